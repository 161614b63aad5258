package velvetbezel.worksheet;

import java.util.Set;
import velvetbezel.harness.CapReason;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Volts;

/**
 * One lead to be capped on its own.
 *
 * @param why     the reason in a sentence
 * @param carries volts on it with key and lamps on; 0 where nothing feeds it
 */
public record CapRow(LeadEnd lead, CapReason reason, String why, Volts carries) {
    private static final Set<LeadRole> FOR_LATER = Set.of(LeadRole.AMP_REMOTE, LeadRole.ACCESSORY);

    /**
     * A spare lead, accessory or remote: left where a hand reaches it, for an amplifier or camera to come (common
     * practice).
     */
    public boolean forLater() {
        return reason instanceof CapReason.Spare
                || lead.labelled().filter(FOR_LATER::contains).isPresent();
    }
}
