package velvetbezel.draft;

import java.util.List;
import java.util.Map;

/**
 * A question that the roles at the plugs leave open.
 *
 * @param asks    the beginning of a sentence that an option ends
 * @param when    where it is asked at all
 * @param options value and its words; a value "no" takes nothing
 * @param start   what holds until somebody answers
 * @param several more than one option may be taken
 */
public record Choosing(
        String id, String asks, List<Word> when, Map<String, String> options, String start, boolean several) {
    public Choosing {
        when = List.copyOf(when);
    }

    /** The words that an answer makes true: "antenna amplified", "subwoofer"; none for "no". */
    static List<String> words(String id, Object answer) {
        if (answer instanceof List<?> several)
            return several.stream().map(v -> id + " " + v).toList();
        if (Boolean.FALSE.equals(answer) || "no".equals(answer)) return List.of();
        return answer instanceof String text && !text.equals("yes") ? List.of(id + " " + text) : List.of(id);
    }

    /** The answer that holds until somebody gives one. */
    public Object startAnswer() {
        return several ? List.of(start) : start;
    }
}
