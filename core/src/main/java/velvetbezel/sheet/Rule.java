package velvetbezel.sheet;

import java.util.List;

/** When the guard holds, the effects are in force. */
public record Rule(String id, Guard when, List<Effect> then) {
    public Rule {
        then = List.copyOf(then);
    }
}
