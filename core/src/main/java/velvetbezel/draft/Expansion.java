package velvetbezel.draft;

import java.util.List;
import java.util.Map;

/**
 * A long sheet made from a short one.
 *
 * @param tree    the sheet
 * @param behind  the pieces of the catalogue it was made with
 * @param assumed what nobody typed, and which value stands for it
 * @param open    what the roles leave open, answered or not
 */
public record Expansion(
        Map<String, Object> tree, List<Archetype> behind, List<AssumedValue> assumed, List<Choosing> open) {
    public Expansion {
        behind = List.copyOf(behind);
        assumed = List.copyOf(assumed);
        open = List.copyOf(open);
    }

    /** The pieces in words, each with the numbers that were typed or are assumed. */
    public List<String> behindWords(Map<String, Object> typed) {
        return behind.stream().map(a -> a.words(typed)).distinct().toList();
    }

    /** @param value as it is typed, or from and to where only a range is known */
    public record AssumedValue(String piece, String name, String value, String unit) {}
}
