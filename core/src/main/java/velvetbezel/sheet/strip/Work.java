package velvetbezel.sheet.strip;

import java.util.List;
import java.util.Map;
import java.util.Set;
import velvetbezel.state.StateField;

/**
 * Something to be done on the way that is neither taking off nor putting back.
 *
 * @param needs     what must be true of the vehicle
 * @param plugged   plugs that must be on
 * @param unplugged plugs that must be off
 * @param open      parts that must be loose or away
 * @param after     works that come first
 * @param before    parts that may not be put back before it is done
 */
public record Work(
        String id,
        WorkPhase phase,
        Minutes minutes,
        Map<StateField, Set<String>> needs,
        Set<ConnectorOf> plugged,
        Set<ConnectorOf> unplugged,
        List<Behind> open,
        Set<String> after,
        Set<ItemId> before) {
    public Work {
        needs = Map.copyOf(needs);
        plugged = Set.copyOf(plugged);
        unplugged = Set.copyOf(unplugged);
        open = List.copyOf(open);
        after = Set.copyOf(after);
        before = Set.copyOf(before);
    }

    /** Whether it wants power before anything is taken off. */
    public boolean wantsPower() {
        return phase == WorkPhase.BEFORE
                && (needs.containsKey(StateField.BATTERY) || needs.containsKey(StateField.KEY));
    }
}
