package velvetbezel.draft;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import velvetbezel.sheet.InputProblem;

/** The head of a sheet: what a person leaves out of a short one, by what was typed. */
final class Headers {
    static final String SHEET = "velvet-bezel/sheet";

    private Headers() {}

    /** A copy with id, source and, for a vehicle, make, model and trim. */
    static Map<String, Object> whole(Map<String, Object> typed, List<InputProblem> faults) {
        Map<String, Object> tree = Archetypes.object(typed);
        String name = typed.get("name") instanceof String text ? text.strip() : "";
        if (name.isEmpty()) faults.add(new InputProblem("name", "is missing."));
        tree.putIfAbsent("id", id(name));
        tree.putIfAbsent("source", Map.of("from", "stated"));
        if ("vehicle".equals(typed.get("kind"))) {
            String[] words = name.split("\\s+", 2);
            tree.putIfAbsent("make", words[0]);
            tree.putIfAbsent("model", words.length > 1 ? words[1] : words[0]);
            tree.putIfAbsent("trim", "every trim");
            tree.putIfAbsent("opening", "one-DIN");
        }
        return tree;
    }

    /** Small letters, digits and hyphens. */
    static String id(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD).replaceAll("\\p{M}", "");
        String id = plain.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return id.substring(0, Math.min(60, id.length())).replaceAll("-$", "");
    }
}
