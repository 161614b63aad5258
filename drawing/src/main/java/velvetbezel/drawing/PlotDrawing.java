package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.List;

/** Kits as points: price across, what they lose upwards, so that the best lie at the lower left. */
public record PlotDrawing(
        double width, double height, List<Tick> across, List<Tick> up, List<Dot> dots, double left, double bottom) {
    private static final double WIDTH = 800;
    private static final double HEIGHT = 230;
    private static final double LEFT = 44;
    private static final double RIGHT = 16;
    private static final double TOP = 16;
    private static final double BOTTOM = 40;
    private static final int TICKS_ACROSS = 8;
    private static final int TICKS_UP = 4;
    private static final double[] STEPS = {1, 2, 2.5, 5, 10};

    /**
     * A kit.
     *
     * @param name  its letter
     * @param words price and losses, for who cannot see the place
     * @param shown whether it stands in the table beside the plot
     */
    public record Point(
            String name, String words, double price, int losses, boolean shown, boolean chosen, String href) {}

    public record Tick(double at, String label) {}

    /** @param labelled its name is written beside it */
    public record Dot(String name, String words, double x, double y, String style, boolean labelled, String href) {}

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", width, height);
    }

    public static PlotDrawing of(List<Point> points) {
        double least = points.stream().mapToDouble(Point::price).min().orElse(0);
        double most = points.stream().mapToDouble(Point::price).max().orElse(1);
        double step = step((most - least) / TICKS_ACROSS);
        double from = Math.floor(least / step) * step;
        double to = Math.max(from + step, Math.ceil(most / step) * step);
        int top = Math.max(1, points.stream().mapToInt(Point::losses).max().orElse(1));
        double rise = Math.max(1, step((double) top / TICKS_UP));
        double ceiling = Math.ceil(top / rise) * rise;
        List<Tick> across = new ArrayList<>();
        for (double v = from; v <= to + step / 2; v += step)
            across.add(new Tick(x(v, from, to), Shapes.path("%.0f", v)));
        List<Tick> up = new ArrayList<>();
        for (double v = 0; v <= ceiling + rise / 2; v += rise) up.add(new Tick(y(v, ceiling), Shapes.path("%.0f", v)));
        List<Dot> dots = points.stream()
                .map(p -> new Dot(
                        p.name(),
                        p.words(),
                        x(p.price(), from, to),
                        y(p.losses(), ceiling),
                        p.chosen() ? "chosen" : p.shown() ? "shown" : "other",
                        p.shown() || p.chosen(),
                        p.href()))
                .sorted((a, b) -> Boolean.compare(a.labelled, b.labelled))
                .toList();
        return new PlotDrawing(WIDTH, HEIGHT, List.copyOf(across), List.copyOf(up), dots, LEFT, HEIGHT - BOTTOM);
    }

    private static double x(double price, double from, double to) {
        return LEFT + (price - from) / (to - from) * (WIDTH - LEFT - RIGHT);
    }

    private static double y(double losses, double ceiling) {
        return HEIGHT - BOTTOM - losses / ceiling * (HEIGHT - BOTTOM - TOP);
    }

    /** A round step of at least this much. */
    private static double step(double wished) {
        double power = Math.pow(10, Math.floor(Math.log10(Math.max(wished, 1e-9))));
        for (double s : STEPS) if (s * power >= wished) return s * power;
        return 10 * power;
    }
}
