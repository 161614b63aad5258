package velvetbezel.harness;

import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.LeadRole;

/**
 * What serves where nothing gives what a lead takes.
 *
 * @param wanted what nothing gives
 * @param source what serves instead; empty where it stays unfed
 * @param leads  that it serves
 */
public record SubstituteChoice(LeadRole wanted, Optional<LeadRole> source, List<TerminalId> leads) {
    /** What could serve at all, in order. */
    public List<LeadRole> sources() {
        return Substitutes.possible().getOrDefault(wanted, List.of());
    }

    public SubstituteChoice {
        leads = List.copyOf(leads);
    }
}
