package velvetbezel.sheet.fit;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Something behind, or before, an opening that a radio may meet.
 *
 * @param fasteners what holds it: "4 × 8 mm"; an empty text where nothing is said
 * @param minutes   to take it out; 0 where nobody stated it
 * @param carries   what hangs on it and needs a new place; an empty text where nothing does
 * @param reached   whether a hand must reach it when all is done: a hazard switch, a lever
 */
public record Obstruction(
        String id, String fasteners, double minutes, String carries, boolean reached, List<Piece> pieces) {
    public Obstruction {
        pieces = List.copyOf(pieces);
    }

    /** What may be done with a box. */
    public enum May {
        UNSCREW,
        MOVE,
        TRIM,
        CUT_OFF,
        NEVER;

        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        static Optional<May> find(String word) {
            return Arrays.stream(values()).filter(m -> m.word().equals(word)).findFirst();
        }
    }

    /**
     * One box of it.
     *
     * @param by    how far it may be moved, in mm
     * @param bears what it holds up; an empty text where nothing
     */
    public record Piece(SpaceBox box, May may, double by, String bears) {}
}
