package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.controls.ButtonLadder;
import velvetbezel.controls.VoltBand;

/** What a device reads of each button, on one axis of volts: bands, the lines between windows, what was measured. */
public record LadderDrawing(
        double width,
        double height,
        double axis,
        List<Band> bands,
        List<Line> lines,
        List<Tick> ticks,
        List<Dot> dots) {
    private static final double WIDTH = 760;
    private static final double LEFT = 14;
    private static final double RIGHT = 34;
    private static final double BAND = 22;
    private static final double ROW = 17;
    private static final double LETTER = 7;
    private static final double GAP = 8;
    private static final int MOST_ROWS = 6;

    /** @param x middle of the name, in row {@code y}; {@code from} to {@code to} the band, {@code at} its likely place */
    public record Band(String name, double x, double y, double at, double from, double to, boolean rest) {}

    /** Between two windows. */
    public record Line(double at) {}

    public record Tick(double at, String label) {}

    /** A reading of this car. */
    public record Dot(String name, double at) {}

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", width, height);
    }

    /**
     * @param rest     how nothing pressed is called
     * @param measured the same ladder as this car was measured; the same object where it was not
     */
    public static LadderDrawing of(ButtonLadder ladder, String rest, ButtonLadder measured) {
        double reference = ladder.reader().reference().value();
        List<VoltBand> all = ladder.bands();
        List<Double> ends = new ArrayList<>();
        List<Band> named = new ArrayList<>();
        for (VoltBand b : all) {
            String name = b.button().isEmpty() ? rest : b.button();
            double at = x(b.nominal().value(), reference);
            double half = name.length() * LETTER / 2;
            double middle = Math.min(Math.max(at, LEFT + half), WIDTH - half);
            int row = row(ends, middle - half, middle + half);
            named.add(new Band(
                    name,
                    middle,
                    row,
                    at,
                    x(b.low().value(), reference),
                    x(Math.min(reference, b.high().value()), reference),
                    b.button().isEmpty()));
        }
        double axis = ends.size() * ROW + 2 * GAP + BAND;
        List<Band> bands = named.stream()
                .map(b -> new Band(b.name, b.x, (ends.size() - b.y) * ROW - GAP / 2, b.at, b.from, b.to, b.rest))
                .toList();
        return new LadderDrawing(
                WIDTH,
                axis + 2 * ROW + GAP,
                axis,
                bands,
                lines(ladder, reference),
                ticks(reference),
                dots(ladder, measured));
    }

    /** The lowest row in which a name finds room. */
    private static int row(List<Double> ends, double from, double to) {
        for (int row = 0; row < ends.size(); row++)
            if (ends.get(row) + GAP <= from || row == MOST_ROWS - 1) {
                ends.set(row, to);
                return row;
            }
        ends.add(to);
        return ends.size() - 1;
    }

    private static double x(double volts, double reference) {
        return LEFT + (WIDTH - LEFT - RIGHT) * volts / reference;
    }

    private static List<Line> lines(ButtonLadder ladder, double reference) {
        return ladder.rungs().stream()
                .flatMap(r -> ladder.window(r).stream())
                .filter(w -> w.high() < reference)
                .map(w -> new Line(x(w.high(), reference)))
                .toList();
    }

    private static List<Tick> ticks(double reference) {
        List<Tick> ticks = new ArrayList<>();
        for (int v = 0; v <= reference; v++) ticks.add(new Tick(x(v, reference), v + " V"));
        return ticks;
    }

    private static List<Dot> dots(ButtonLadder ladder, ButtonLadder measured) {
        if (measured == ladder) return List.of();
        double reference = ladder.reader().reference().value();
        return measured.bands().stream()
                .filter(b -> !b.button().isEmpty())
                .map(b -> new Dot(b.button(), x(b.nominal().value(), reference)))
                .toList();
    }

    /** Where bands stand above the axis. */
    public double bandTop() {
        return axis - BAND;
    }

    public double bandHeight() {
        return BAND;
    }
}
