package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.fit.Brackets;
import velvetbezel.fit.Collision;
import velvetbezel.fit.DepthLeft;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.Range;
import velvetbezel.fit.Remedy;
import velvetbezel.sheet.fit.Band;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/**
 * A radio in its opening, to scale: one unit is one millimetre. In third angle: from the front, from above over it, and
 * from the side at its right.
 *
 * @param view   which it is
 * @param title  what is seen
 * @param wide   in mm, with the margin
 * @param high   in mm, with the margin
 */
public record FitDrawing(
        View view, String title, double wide, double high, List<Shape> shapes, List<Dimension> dimensions) {
    private static final double MARGIN = 26;
    /** What is trimmed goes so far beyond what it meets. */
    private static final double CLEARANCE = 2;
    /** A bracket goes on so far behind its last slot, where its sheet does not say. */
    private static final double END = 15;
    /** Half of a hole as it is drawn. */
    private static final double HOLE = 2.5;
    /** Width of a letter of a label, roughly. */
    private static final double LETTER = 4.8;

    /** From where it is looked at. */
    public enum View {
        TOP("From above, the face below"),
        FRONT("Front"),
        SIDE("Side, the face at the left"),
        BRACKET("Bracket");

        private final String title;

        View(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What a shape is, which decides how it is drawn. */
    public enum Kind {
        OPENING,
        CAVITY,
        /** Something that stays. */
        STAYS,
        /** Something that has to go, hatched; of what is trimmed only the part that goes. */
        GOES,
        FACE,
        CHASSIS,
        /** A plug with the room its leads need to turn. */
        PLUG,
        MODULE,
        /** A bracket of a kit, and its slots. */
        BRACKET,
        SLOT,
        /** A threaded hole of the radio; its number is its label. */
        HOLE;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * @param label  written in it or beside it; an empty text where it has none
     * @param hidden behind the face, as seen in this view
     */
    public record Shape(Kind kind, double x, double y, double width, double height, String label, boolean hidden) {
        /** Narrower than its label: it is written below. */
        public boolean narrow() {
            return label.length() * LETTER > width;
        }
    }

    /** A dimension line between two points, along the picture or up it. */
    public record Dimension(double x0, double y0, double x1, double y1, String label) {
        public double middleX() {
            return (x0 + x1) / 2;
        }

        public double middleY() {
            return (y0 + y1) / 2;
        }

        /** Where its label is centred, so that it stays within a picture so wide. */
        public double labelX(double wide) {
            double half = label.length() * LETTER / 2;
            return Math.max(half, Math.min(wide - half, middleX()));
        }

        public boolean upright() {
            return x0 == x1;
        }
    }

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", wide, high);
    }

    /** A box in the dash; what it is and is called. */
    private record Solid(Kind kind, String label, double x0, double x1, double y0, double y1, double z0, double z1) {}

    /** @param stowed modules where they lie */
    public static List<FitDrawing> of(Site site, FitReport fit, List<FitReport.PlacedBody> stowed) {
        List<Solid> solids = new ArrayList<>();
        for (Band b : site.bands()) solids.add(cavity(b, fit));
        for (Obstruction o : site.obstructions()) solids.addAll(solids(o, fit));
        for (FitReport.PlacedBody b : fit.bodies()) solids.add(solid(kind(b), kind(b) == Kind.PLUG ? b.name() : "", b));
        for (FitReport.PlacedBody b : stowed) solids.add(solid(Kind.MODULE, "module", b));
        return List.of(
                of(View.TOP, site, fit, solids), of(View.FRONT, site, fit, solids), of(View.SIDE, site, fit, solids));
    }

    private static Solid solid(Kind kind, String label, FitReport.PlacedBody b) {
        return new Solid(kind, label, b.x0(), b.x1(), b.y0(), b.y1(), b.z0(), b.z1());
    }

    private static Solid cavity(Band b, FitReport fit) {
        boolean missing = b.depth().missing();
        double deepest = fit.bodies().stream()
                .mapToDouble(FitReport.PlacedBody::z1)
                .max()
                .orElse(0);
        double depth =
                missing ? Math.max(b.depth().least(), deepest) : b.depth().likely() + fit.plane();
        return new Solid(
                Kind.CAVITY,
                missing ? b.id() + ": depth not measured" : "",
                b.x0().likely(),
                b.x1().likely(),
                b.y0().likely(),
                b.y1().likely(),
                0,
                depth);
    }

    /** An obstruction, and of what is trimmed the part that goes. */
    private static List<Solid> solids(Obstruction o, FitReport fit) {
        List<Collision> met = fit.collisions().stream()
                .filter(c -> !c.insertOfKit() && !c.refused() && c.with().equals(o.id()))
                .toList();
        boolean whole = met.stream().anyMatch(c -> !(c.remedy() instanceof Remedy.Trim));
        List<Solid> solids = new ArrayList<>();
        for (Obstruction.Piece p : o.pieces()) {
            Solid box = new Solid(
                    whole ? Kind.GOES : Kind.STAYS,
                    o.id(),
                    p.box().x0().likely(),
                    p.box().x1().likely(),
                    p.box().y0().likely(),
                    p.box().y1().likely(),
                    p.box().z0().likely() + fit.plane(),
                    p.box().z1().likely() + fit.plane());
            solids.add(box);
            if (whole || p.may() != Obstruction.May.TRIM) continue;
            Set<String> bodies = met.stream().map(Collision::body).collect(Collectors.toSet());
            fit.bodies().stream()
                    .filter(b -> bodies.contains(b.name()))
                    .flatMap(b -> cut(box, b).stream())
                    .forEach(solids::add);
        }
        return solids;
    }

    private static Optional<Solid> cut(Solid box, FitReport.PlacedBody body) {
        Solid cut = new Solid(
                Kind.GOES,
                "",
                Math.max(box.x0, body.x0() - CLEARANCE),
                Math.min(box.x1, body.x1() + CLEARANCE),
                Math.max(box.y0, body.y0() - CLEARANCE),
                Math.min(box.y1, body.y1() + CLEARANCE),
                box.z0,
                Math.min(box.z1, body.z1() + CLEARANCE));
        return cut.x0 < cut.x1 && cut.y0 < cut.y1 && cut.z0 < cut.z1 ? Optional.of(cut) : Optional.empty();
    }

    private static Kind kind(FitReport.PlacedBody b) {
        return b.name().equals("face") ? Kind.FACE : b.name().equals("chassis") ? Kind.CHASSIS : Kind.PLUG;
    }

    // --- the plane of a view: across to the right, up

    private static double[] plane(View view, Solid s) {
        return switch (view) {
            case FRONT -> new double[] {s.x0, s.x1, s.y0, s.y1};
            case TOP -> new double[] {s.x0, s.x1, s.z0, s.z1};
            case SIDE, BRACKET -> new double[] {s.z0, s.z1, s.y0, s.y1};
        };
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

    private static FitDrawing of(View view, Site site, FitReport fit, List<Solid> solids) {
        Solid opening = new Solid(
                Kind.OPENING, "", 0, site.width().likely(), 0, site.height().likely(), 0, 0);
        List<Solid> all = new ArrayList<>(solids);
        all.add(opening);
        Window w = window(view, all);
        List<Shape> shapes = new ArrayList<>();
        for (Solid s : all) {
            if (view == View.TOP && s.kind == Kind.OPENING) continue;
            boolean hidden = view == View.FRONT && s.z0 > 0 && s.kind != Kind.CAVITY;
            shapes.add(shape(view, w, s, hidden));
        }
        return new FitDrawing(view, view.title(), w.wide(), w.high(), shapes, dimensions(view, site, fit, w));
    }

    /**
     * A bracket from its side, the face at the left, with its slots and the radio's holes where they come to lie.
     *
     * @param side "left" or "right"
     */
    public static FitDrawing of(KitFrame.Bracket bracket, RadioBody radio, Brackets.HoleChoice choice, String side) {
        boolean flip = side.equals("left") ? choice.flipLeft() : choice.flipRight();
        double deepest =
                bracket.slots().stream().mapToDouble(KitFrame.Slot::z1).max().orElse(0);
        List<Solid> solids = new ArrayList<>();
        solids.add(new Solid(Kind.BRACKET, "", 0, 0, 0, bracket.height(), 0, deepest + END));
        for (KitFrame.Slot s : bracket.slots())
            solids.add(new Solid(
                    Kind.SLOT,
                    s.id(),
                    0,
                    0,
                    flip ? bracket.height() - s.y1() : s.y0(),
                    flip ? bracket.height() - s.y0() : s.y1(),
                    s.z0(),
                    s.z1()));
        for (RadioBody.Hole h : radio.holes())
            if (h.sides().equals("both") || h.sides().equals(side)) {
                double z = h.z() + choice.setBack();
                double y = h.y() + choice.height();
                solids.add(
                        new Solid(Kind.HOLE, String.valueOf(h.number()), 0, 0, y - HOLE, y + HOLE, z - HOLE, z + HOLE));
            }
        Window w = window(View.BRACKET, solids);
        String title = "Bracket %s, %s side%s".formatted(bracket.mark(), side, flip ? ", upside down" : "");
        return new FitDrawing(
                View.BRACKET,
                title,
                w.wide(),
                w.high(),
                solids.stream().map(s -> shape(View.BRACKET, w, s, false)).toList(),
                List.of());
    }

    private static Shape shape(View view, Window w, Solid s, boolean hidden) {
        double[] p = plane(view, s);
        return new Shape(
                s.kind,
                w.x(p[0]),
                w.y(p[3]),
                Math.max(1, p[1] - p[0]),
                Math.max(1, p[3] - p[2]),
                s.kind == Kind.CAVITY && view == View.FRONT ? "" : s.label,
                hidden);
    }

    private static Window window(View view, List<Solid> solids) {
        double[] w = {0, 0, 0, 0};
        for (Solid s : solids) {
            double[] p = plane(view, s);
            w[0] = Math.min(w[0], p[0]);
            w[1] = Math.min(w[1], p[2]);
            w[2] = Math.max(w[2], p[1]);
            w[3] = Math.max(w[3], p[3]);
        }
        return new Window(w[0], w[1], w[2], w[3]);
    }

    private static List<Dimension> dimensions(View view, Site site, FitReport fit, Window w) {
        List<Dimension> lines = new ArrayList<>();
        if (view == View.FRONT) {
            double low = w.high() - 8;
            lines.add(new Dimension(
                    w.x(0),
                    low,
                    w.x(site.width().likely()),
                    low,
                    mm(site.width().likely())));
            lines.add(new Dimension(
                    10,
                    w.y(site.height().likely()),
                    10,
                    w.y(0),
                    mm(site.height().likely())));
        }
        if (view == View.SIDE)
            fit.tightest().ifPresent(d -> fit.bodies().stream()
                    .filter(b -> b.name().equals(d.body()))
                    .findFirst()
                    .ifPresent(b -> lines.add(left(w, b, d))));
        return lines;
    }

    private static Dimension left(Window w, FitReport.PlacedBody body, DepthLeft d) {
        Range left = d.slack().left();
        double from = d.nearer() ? body.z0() - left.likely() : body.z1();
        double to = d.nearer() ? body.z0() : body.z1() + left.likely();
        String range = left.least() == left.most()
                ? ""
                : " (%s to %s)".formatted(Math.round(left.least()), Math.round(left.most()));
        double y = w.high() - 8;
        return new Dimension(
                w.x(Math.min(from, to)), y, w.x(Math.max(from, to)), y, Math.round(left.likely()) + " mm left" + range);
    }

    private static String mm(double mm) {
        return Math.round(mm) + " mm";
    }
}
