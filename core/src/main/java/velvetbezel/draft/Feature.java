package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Something a radio or part may be said to have or make.
 *
 * @param id   the word under "has"
 * @param text what it does, in words
 */
public record Feature(String id, String text) {
    /** What follows from the leads and the rest; nobody says it. */
    private static final Set<String> DERIVED =
            Set.of("stays", "speakers", "interface", "voice", "reverse told", "speed told");

    /** Words that only refine another piece, and what they mean. */
    private static final Map<String, String> REFINE = Map.of(
            "operator over aux", "lets an emergency call over its aux input through",
            "remote for amplifiers only", "its remote lead is for amplifiers only");

    /** All that pieces ask for, in their order. */
    static List<Feature> of(List<Archetype> pieces) {
        Map<String, Feature> features = new LinkedHashMap<>();
        for (Archetype a : pieces) {
            List<String> asked = new ArrayList<>();
            for (Word w : a.when())
                if (w.wanted()
                        && !w.words().startsWith("said ")
                        && !w.words().endsWith(Roles.LEAD)
                        && !DERIVED.contains(w.words())) asked.add(w.words());
            if (!asked.isEmpty()) {
                String last = asked.get(asked.size() - 1);
                features.putIfAbsent(last, new Feature(last, a.words(Map.of())));
            }
            REFINE.forEach((word, text) -> {
                if (a.adds().toString().contains("if=" + word)) features.putIfAbsent(word, new Feature(word, text));
            });
        }
        return List.copyOf(features.values());
    }
}
