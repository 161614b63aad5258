package velvetbezel.run;

import java.util.List;

/**
 * The end of one state.
 *
 * @param unsettled devices that would not come to rest; the run went on without the rule that kept them moving
 */
public record Settled(Picture picture, Memory memory, List<ModeChange> changes, List<String> unsettled) {
    public Settled {
        changes = List.copyOf(changes);
        unsettled = List.copyOf(unsettled);
    }
}
