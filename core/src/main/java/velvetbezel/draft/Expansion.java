package velvetbezel.draft;

import java.util.List;
import java.util.Map;

/**
 * A long sheet made from a short one.
 *
 * @param tree    the sheet
 * @param behind  the pieces of the catalogue it was made with
 * @param struck  the pieces that would be behind it, if it were not said that this car is otherwise
 * @param assumed what nobody typed, and which value stands for it
 * @param open    what the roles leave open, answered or not
 */
public record Expansion(
        Map<String, Object> tree,
        List<Archetype> behind,
        List<Archetype> struck,
        List<AssumedValue> assumed,
        List<Choosing> open) {
    static final Expansion NOTHING = new Expansion(Map.of(), List.of(), List.of(), List.of(), List.of());

    public Expansion {
        behind = List.copyOf(behind);
        struck = List.copyOf(struck);
        assumed = List.copyOf(assumed);
        open = List.copyOf(open);
    }

    /** @param value as it is typed, or from and to where only a range is known */
    public record AssumedValue(String piece, String name, String value, String unit) {}
}
