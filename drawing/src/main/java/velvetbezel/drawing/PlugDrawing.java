package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.units.WireColour;

/**
 * The face of a plug as a plan: its positions in two rows in the order of their numbers, each with its wire. Plugs
 * differ in how they are numbered on their face, so the numbers lead and not the places.
 */
public record PlugDrawing(double width, double height, List<Cell> cells) {
    private static final double CELL_WIDTH = 112;
    private static final double CELL_HEIGHT = 62;
    private static final int LETTERS = 18;
    private static final int ONE_ROW = 4;

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

    public static PlugDrawing of(Plug plug) {
        List<Position> positions = plug.positions();
        int columns = positions.size() <= ONE_ROW ? Math.max(1, positions.size()) : (positions.size() + 1) / 2;
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < positions.size(); i++)
            cells.add(cell(positions.get(i), 1 + i % columns * CELL_WIDTH, 1 + i / columns * CELL_HEIGHT));
        int rows = (positions.size() + columns - 1) / columns;
        return new PlugDrawing(columns * CELL_WIDTH + 2, rows * CELL_HEIGHT + 2, List.copyOf(cells));
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
