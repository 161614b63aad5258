package velvetbezel.worksheet;

import java.util.Set;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Volts;

/** One lead to be capped on its own. @param carries volts on it with key and lamps on; 0 where nothing feeds it */
public record CapRow(LeadEnd lead, String why, Volts carries) {
    private static final Set<LeadRole> FOR_LATER = Set.of(LeadRole.AMP_REMOTE, LeadRole.ACCESSORY);

    /**
     * A spare accessory or remote lead: left where a hand reaches it, for an amplifier or camera to come (common
     * practice).
     */
    public boolean forLater() {
        return lead.labelled().filter(FOR_LATER::contains).isPresent();
    }
}
