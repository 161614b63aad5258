package velvetbezel.harness;

import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.LeadRole;

/**
 * Leads that a person joins otherwise than their roles say.
 *
 * @param to the joint that a bare lead goes into, by its role; empty for a lead that is capped
 */
public record Moves(Map<TerminalId, Optional<LeadRole>> to) {
    public static final Moves NONE = new Moves(Map.of());

    public Moves {
        to = Map.copyOf(to);
    }
}
