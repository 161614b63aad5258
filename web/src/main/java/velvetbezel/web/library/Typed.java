package velvetbezel.web.library;

import java.util.List;
import java.util.Map;

/** Fields of a form as people fill them in. */
final class Typed {
    private Typed() {}

    /** Words by commas or semicolons; none where nothing was typed. */
    static List<String> words(Map<String, String> typed, String field) {
        String text = typed.getOrDefault(field, "").strip();
        return text.isEmpty() ? List.of() : List.of(text.split("\\s*[,;]\\s*"));
    }
}
