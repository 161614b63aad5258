package velvetbezel.store;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;

/**
 * A text that was brought in, read.
 *
 * @param document empty where it has faults
 */
record ReadText(String file, Optional<Document> document, List<Fault> faults) {
    /** Ten thousand expanded sheets at once are more than the memory holds. */
    private static final int AT_ONCE = 100;

    /** Reads some at a time and hands them over in their order. */
    static void some(Map<String, String> texts, Consumer<List<ReadText>> take) {
        List<Map.Entry<String, String>> all = new ArrayList<>(texts.entrySet());
        for (int i = 0; i < all.size(); i += AT_ONCE)
            take.accept(all.subList(i, Math.min(all.size(), i + AT_ONCE)).stream()
                    .map(t -> read(t.getKey(), t.getValue()))
                    .toList());
    }

    private static ReadText read(String file, String text) {
        try {
            return new ReadText(file, Optional.of(Document.read(text)), List.of());
        } catch (InvalidInput e) {
            return new ReadText(file, Optional.empty(), e.faults());
        }
    }

    /** Why a sheet is refused whose id came before in the same import. */
    static String twice(Document d) {
        return "id \"%s\" comes twice in this import; keep one.".formatted(d.id());
    }

    /** Why a sheet is refused whose id is one of another kind in the library. */
    static String otherKind(Document d, String kind) {
        return "is a %s in the library and a %s in this import; give one of them another id.".formatted(kind, d.kind());
    }
}
