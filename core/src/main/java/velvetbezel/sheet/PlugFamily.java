package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What plugs of one family have in common on their face. The same plug seen from its wires is the mirror image of what
 * is seen where it mates.
 *
 * @param rows  numbers of the positions, row by row from the top, as seen from {@code seen}
 * @param latch where the latch is
 */
public record PlugFamily(String name, List<List<String>> rows, Latch latch, Side seen) {
    public enum Latch {
        TOP,
        BOTTOM,
        LEFT,
        RIGHT;

        /** Where it is on the mirror image. */
        Latch mirrored() {
            return this == LEFT ? RIGHT : this == RIGHT ? LEFT : this;
        }

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public enum Side {
        WIRE_SIDE,
        MATING_SIDE;

        public String words() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
    }

    private static final int MOST_POSITIONS = 200;

    public PlugFamily {
        rows = rows.stream().map(List::copyOf).toList();
    }

    /** The same as seen from a side. */
    public PlugFamily from(Side side) {
        if (side == seen) return this;
        List<List<String>> mirrored = rows.stream().map(PlugFamily::reversed).toList();
        return new PlugFamily(name, mirrored, latch.mirrored(), side);
    }

    private static List<String> reversed(List<String> row) {
        List<String> reversed = new ArrayList<>(row);
        Collections.reverse(reversed);
        return reversed;
    }

    static PlugFamily read(Node node) {
        node.only("family", "rows", "latch", "seen from");
        List<List<String>> rows = node.at("rows").list().stream()
                .map(row -> row.list().stream()
                        .map(n -> String.valueOf(n.whole(1, MOST_POSITIONS)))
                        .toList())
                .toList();
        Set<String> seen = new HashSet<>();
        for (List<String> row : rows)
            for (String number : row)
                if (!seen.add(number))
                    node.at("rows").fault("hold position %s twice; a position has one place.".formatted(number));
        for (int n = 1; n <= seen.size(); n++)
            if (!seen.contains(String.valueOf(n)))
                node.at("rows")
                        .fault("hold %d positions and no %d; list all of them, from 1.".formatted(seen.size(), n));
        return new PlugFamily(
                node.at("family").text(),
                rows,
                node.at("latch")
                        .one(w -> find(Latch.values(), w, Latch::word), words(Latch.values(), Latch::word), Latch.TOP),
                node.at("seen from")
                        .one(
                                w -> find(Side.values(), w, Side::words),
                                words(Side.values(), Side::words),
                                Side.WIRE_SIDE));
    }

    private static <T> Optional<T> find(T[] all, String word, Function<T, String> name) {
        return Arrays.stream(all).filter(v -> name.apply(v).equals(word)).findFirst();
    }

    private static <T> String words(T[] all, Function<T, String> name) {
        return Arrays.stream(all).map(name).collect(Collectors.joining(", "));
    }
}
