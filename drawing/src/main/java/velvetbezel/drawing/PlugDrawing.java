package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.PlugFamily;
import velvetbezel.sheet.Position;
import velvetbezel.units.WireColour;

/**
 * The face of a plug as a plan, each position with its wire: as its family arranges them, else in two rows in the order
 * of their numbers.
 *
 * @param latch empty where nobody said how the face is arranged
 * @param seen  from which side, in words
 */
public record PlugDrawing(double width, double height, List<Cell> cells, Optional<Shapes.Box> latch, String seen) {
    private static final double CELL_WIDTH = 112;
    private static final double CELL_HEIGHT = 62;
    private static final String UNKNOWN_FACE = "In the order of its numbers: how its face is arranged is not known.";
    private static final int LETTERS = 18;
    private static final int ONE_ROW = 4;
    /** Room round a face for its latch. */
    private static final double EDGE = 12;

    /**
     * @param style "empty", "conflict", "missing" or "known";
     * @param role shortened to fit;
     * @param label everything in words
     */
    public record Cell(
            double x,
            double y,
            double width,
            double height,
            String number,
            Shapes.Wire wire,
            String code,
            String role,
            String style,
            String label) {
        public boolean empty() {
            return style.equals("empty");
        }
    }

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", width, height);
    }

    /**
     * As it lies in the hand.
     *
     * @param family empty where nobody said how its face is arranged: its positions are drawn in the order of numbers
     */
    public static PlugDrawing of(Plug plug, Optional<PlugFamily> family, PlugFamily.Side side) {
        return family.map(f -> face(plug, f.from(side))).orElseGet(() -> of(plug));
    }

    private static PlugDrawing face(Plug plug, PlugFamily family) {
        int columns = family.rows().stream().mapToInt(List::size).max().orElse(1);
        double width = columns * CELL_WIDTH + 2 * EDGE;
        double height = family.rows().size() * CELL_HEIGHT + 2 * EDGE;
        List<Cell> cells = new ArrayList<>();
        for (int r = 0; r < family.rows().size(); r++)
            for (int c = 0; c < family.rows().get(r).size(); c++) {
                double x = EDGE + c * CELL_WIDTH;
                double y = EDGE + r * CELL_HEIGHT;
                plug.at(family.rows().get(r).get(c)).ifPresent(p -> cells.add(cell(p, x, y)));
            }
        return new PlugDrawing(
                width,
                height,
                List.copyOf(cells),
                Optional.of(latch(family.latch(), width, height)),
                "Seen from the %s, latch at the %s."
                        .formatted(family.seen().words(), family.latch().word()));
    }

    private static Shapes.Box latch(PlugFamily.Latch latch, double width, double height) {
        return switch (latch) {
            case TOP -> new Shapes.Box(width / 3, 0, width / 3, EDGE - 2);
            case BOTTOM -> new Shapes.Box(width / 3, height - EDGE + 2, width / 3, EDGE - 2);
            case LEFT -> new Shapes.Box(0, height / 3, EDGE - 2, height / 3);
            case RIGHT -> new Shapes.Box(width - EDGE + 2, height / 3, EDGE - 2, height / 3);
        };
    }

    /** Positions in the order of their numbers. */
    public static PlugDrawing of(Plug plug) {
        List<Position> positions = plug.positions();
        int columns = positions.size() <= ONE_ROW ? Math.max(1, positions.size()) : (positions.size() + 1) / 2;
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < positions.size(); i++)
            cells.add(cell(positions.get(i), 1 + i % columns * CELL_WIDTH, 1 + i / columns * CELL_HEIGHT));
        int rows = (positions.size() + columns - 1) / columns;
        return new PlugDrawing(
                columns * CELL_WIDTH + 2, rows * CELL_HEIGHT + 2, List.copyOf(cells), Optional.empty(), UNKNOWN_FACE);
    }

    private static Cell cell(Position p, double x, double y) {
        if (p.empty())
            return new Cell(
                    x,
                    y,
                    CELL_WIDTH,
                    CELL_HEIGHT,
                    p.number(),
                    null,
                    "",
                    "empty",
                    "empty",
                    "Position %s, empty".formatted(p.number()));
        String role = p.roleWords();
        Shapes.Wire wire = Shapes.Wire.of(
                Shapes.path("M%.0f %.0fH%.0f", x + 34, y + 17, x + CELL_WIDTH - 10),
                p.colour(),
                p.number(),
                words(p.colour()));
        String code = p.colour()
                .known()
                .map(WireColour::codes)
                .orElse(style(p.colour()).equals("conflict") ? "two colours" : "?");
        return new Cell(
                x,
                y,
                CELL_WIDTH,
                CELL_HEIGHT,
                p.number(),
                wire,
                code,
                role.length() <= LETTERS ? role : role.substring(0, LETTERS - 1) + "…",
                style(p.colour()),
                "Position %s, %s, %s".formatted(p.number(), role, words(p.colour())));
    }

    private static String style(Fact<WireColour> colour) {
        if (colour instanceof Fact.Missing<WireColour> missing) return missing.conflicting() ? "conflict" : "missing";
        return "known";
    }

    private static String words(Fact<WireColour> colour) {
        if (colour instanceof Fact.Missing<WireColour> missing && missing.conflicting())
            return missing.claims().stream().map(c -> c.value().words()).collect(Collectors.joining(" or "));
        return colour.known().map(WireColour::words).orElse("colour not known");
    }
}
