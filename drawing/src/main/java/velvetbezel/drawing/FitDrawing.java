package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.fit.Collision;
import velvetbezel.fit.DepthLeft;
import velvetbezel.fit.FitReport;
import velvetbezel.sheet.fit.Band;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.SpaceBox;

/**
 * A radio in its opening, to scale: one unit is one millimetre. From the front, and from the side with the face at the
 * left.
 *
 * @param title "Front", "Side"
 * @param wide  in mm, with the margin
 * @param high  in mm, with the margin
 */
public record FitDrawing(String title, double wide, double high, List<Shape> shapes, List<Dimension> dimensions) {
    private static final double MARGIN = 26;

    /** What a shape is, which decides how it is drawn. */
    public enum Kind {
        OPENING,
        CAVITY,
        /** Something that stays. */
        STAYS,
        /** Something that has to go, hatched. */
        GOES,
        FACE,
        CHASSIS,
        /** A plug with the room its leads need to turn. */
        PLUG;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param label written in it or beside it; an empty text where it has none */
    public record Shape(Kind kind, double x, double y, double width, double height, String label) {
        /** Narrower than its label: it is written below. */
        public boolean narrow() {
            return label.length() * 4.6 > width;
        }
    }

    /** A dimension line from one place to another at one height. */
    public record Dimension(double x0, double x1, double y, String label) {
        public double middle() {
            return (x0 + x1) / 2;
        }
    }

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", wide, high);
    }

    private record Window(double x0, double y0, double x1, double y1) {
        double x(double x) {
            return x - x0 + MARGIN;
        }

        /** The picture's y runs downwards. */
        double y(double y) {
            return y1 - y + MARGIN;
        }

        double wide() {
            return x1 - x0 + 2 * MARGIN;
        }

        double high() {
            return y1 - y0 + 2 * MARGIN;
        }
    }

    public static List<FitDrawing> of(Site site, FitReport fit) {
        return List.of(front(site, fit), side(site, fit));
    }

    private static Set<String> going(FitReport fit) {
        return fit.collisions().stream()
                .filter(c -> !c.insertOfKit() && !c.refused())
                .map(Collision::with)
                .collect(Collectors.toSet());
    }

    private static FitDrawing front(Site site, FitReport fit) {
        Window w = window(site, fit, false);
        List<Shape> shapes = new ArrayList<>();
        for (Band b : site.bands())
            shapes.add(shape(w, Kind.CAVITY, b.x0().likely(), b.x1().likely(), b.y0().likely(), b.y1().likely(), ""));
        for (Obstruction o : site.obstructions())
            for (Obstruction.Piece p : o.pieces()) {
                SpaceBox box = p.box();
                shapes.add(shape(
                        w,
                        going(fit).contains(o.id()) ? Kind.GOES : Kind.STAYS,
                        box.x0().likely(),
                        box.x1().likely(),
                        box.y0().likely(),
                        box.y1().likely(),
                        o.id()));
            }
        shapes.add(shape(
                w, Kind.OPENING, 0, site.width().likely(), 0, site.height().likely(), ""));
        for (FitReport.PlacedBody b : fit.bodies())
            shapes.add(shape(w, kind(b), b.x0(), b.x1(), b.y0(), b.y1(), kind(b) == Kind.PLUG ? b.name() : ""));
        Dimension across = new Dimension(
                w.x(0),
                w.x(site.width().likely()),
                w.high() - 8,
                mm(site.width().likely()));
        return new FitDrawing("Front", w.wide(), w.high(), shapes, List.of(across));
    }

    private static FitDrawing side(Site site, FitReport fit) {
        Window w = window(site, fit, true);
        List<Shape> shapes = new ArrayList<>();
        for (Band b : site.bands())
            shapes.add(shape(
                    w,
                    Kind.CAVITY,
                    0,
                    b.depth().missing() ? w.x1 : b.depth().likely() + fit.plane(),
                    b.y0().likely(),
                    b.y1().likely(),
                    b.depth().missing() ? b.id() + ": depth not measured" : ""));
        for (Obstruction o : site.obstructions())
            for (Obstruction.Piece p : o.pieces()) {
                SpaceBox box = p.box();
                shapes.add(shape(
                        w,
                        going(fit).contains(o.id()) ? Kind.GOES : Kind.STAYS,
                        box.z0().likely() + fit.plane(),
                        box.z1().likely() + fit.plane(),
                        box.y0().likely(),
                        box.y1().likely(),
                        o.id()));
            }
        for (FitReport.PlacedBody b : fit.bodies())
            shapes.add(shape(w, kind(b), b.z0(), b.z1(), b.y0(), b.y1(), kind(b) == Kind.PLUG ? b.name() : ""));
        List<Dimension> dimensions = new ArrayList<>();
        fit.tightest().ifPresent(d -> fit.bodies().stream()
                .filter(b -> b.name().equals(d.body()))
                .findFirst()
                .ifPresent(b -> dimensions.add(left(w, b, d))));
        return new FitDrawing("Side, the face at the left", w.wide(), w.high(), shapes, dimensions);
    }

    private static Dimension left(Window w, FitReport.PlacedBody body, DepthLeft d) {
        double left = d.slack().left().likely();
        return new Dimension(
                w.x(Math.min(body.z1(), body.z1() + left)),
                w.x(Math.max(body.z1(), body.z1() + left)),
                w.high() - 8,
                mm(left) + " left");
    }

    private static Kind kind(FitReport.PlacedBody b) {
        return b.name().equals("face") ? Kind.FACE : b.name().equals("chassis") ? Kind.CHASSIS : Kind.PLUG;
    }

    private static Shape shape(Window w, Kind kind, double x0, double x1, double y0, double y1, String label) {
        return new Shape(kind, w.x(x0), w.y(y1), Math.max(1, x1 - x0), Math.max(1, y1 - y0), label);
    }

    private static String mm(double mm) {
        return Math.round(mm) + " mm";
    }

    /** All that is drawn. @param side whether from the side, where across is depth */
    private static Window window(Site site, FitReport fit, boolean side) {
        double[] w = {0, 0, side ? 0 : site.width().likely(), site.height().likely()};
        for (FitReport.PlacedBody b : fit.bodies())
            grow(w, side ? b.z0() : b.x0(), side ? b.z1() : b.x1(), b.y0(), b.y1());
        for (Band b : site.bands())
            grow(
                    w,
                    side ? 0 : b.x0().likely(),
                    side
                            ? fit.plane()
                                    + (b.depth().missing()
                                            ? b.depth().least()
                                            : b.depth().likely())
                            : b.x1().likely(),
                    b.y0().likely(),
                    b.y1().likely());
        for (Obstruction o : site.obstructions())
            for (Obstruction.Piece p : o.pieces())
                grow(
                        w,
                        side
                                ? p.box().z0().likely() + fit.plane()
                                : p.box().x0().likely(),
                        side
                                ? p.box().z1().likely() + fit.plane()
                                : p.box().x1().likely(),
                        p.box().y0().likely(),
                        p.box().y1().likely());
        return new Window(w[0], w[1], w[2], w[3]);
    }

    private static void grow(double[] w, double x0, double x1, double y0, double y1) {
        w[0] = Math.min(w[0], x0);
        w[1] = Math.min(w[1], y0);
        w[2] = Math.max(w[2], x1);
        w[3] = Math.max(w[3], y1);
    }
}
