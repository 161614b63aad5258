package velvetbezel.draft;

import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;

/**
 * A condition of an archetype: a role that is at the plugs ("illumination"), one at the radio's own plugs ("ground at
 * the radio"), or what was chosen ("antenna amplified"). With ! before it, that this is not so.
 */
public record Word(String words, boolean wanted) {
    static Word of(String text) {
        boolean wanted = !text.startsWith("!");
        return new Word(Roles.label(wanted ? text : text.substring(1)), wanted);
    }

    /** Several by commas. */
    static List<Word> all(String text) {
        return Arrays.stream(text.split("\\s*,\\s*")).map(Word::of).toList();
    }

    boolean holds(Predicate<String> facts) {
        return facts.test(words) == wanted;
    }
}
