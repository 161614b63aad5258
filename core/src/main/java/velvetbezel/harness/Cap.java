package velvetbezel.harness;

import java.util.Optional;
import velvetbezel.sheet.LeadRole;

/** A bare lead that stays unused and is capped on its own. */
public record Cap(TerminalId lead, Optional<LeadRole> role, Reason reason) {
    /** Why a lead has no partner. */
    public enum Reason {
        NO_WIRE_IN_CAR,
        NO_PARTNER,
        INTERFACE_READS_IT,
        CAR_SERVES_IT,
        PLUG_NOT_MATED,
        BY_HAND
    }
}
