package velvetbezel.harness;

import java.util.Optional;
import velvetbezel.sheet.LeadRole;

/** A bare lead that stays unused and is capped on its own. */
public record Cap(TerminalId lead, Optional<LeadRole> role, CapReason reason) {}
