package velvetbezel.sheet.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;

/** Reads what sheets say of space. What is wrong is noted with its field, and reading goes on. */
public final class FitReader {
    private static final int MOST_BOXES = 60;
    private final String sheet;
    private final Provenance usual;

    private FitReader(String sheet, Provenance usual) {
        this.sheet = sheet;
        this.usual = usual;
    }

    /** The opening of a vehicle; empty where nothing was measured. */
    public static Optional<Site> site(Node node, String sheet, Provenance usual) {
        return node.present() ? Optional.of(new FitReader(sheet, usual).site(node)) : Optional.empty();
    }

    public static Optional<RadioBody> body(Node node, String sheet, Provenance usual) {
        return node.present() ? Optional.of(new FitReader(sheet, usual).body(node)) : Optional.empty();
    }

    public static Optional<KitFrame> frame(Node node, String sheet, Provenance usual) {
        return node.present() ? Optional.of(new FitReader(sheet, usual).frame(node)) : Optional.empty();
    }

    // --- lengths

    /**
     * A number, {@code {"value": 104, "from": "measured", "tolerance": 0.2}}, a list of such claims, or
     * {@code {"missing": true, "range": [150, 220]}}.
     */
    private Length length(Node node, double least) {
        FieldRef field = new FieldRef(sheet, node.path());
        if (!node.present()) return Length.missing(field, Math.max(0, least), Length.MOST);
        if (node.isList()) {
            List<Length> claims =
                    node.list().stream().map(n -> claim(n, field, least)).toList();
            List<Length> standing =
                    claims.stream().filter(c -> c.origin().stands()).toList();
            return claims.isEmpty()
                    ? Length.missing(field, Math.max(0, least), Length.MOST)
                    : Length.settle(field, standing.isEmpty() ? claims : standing);
        }
        return claim(node, field, least);
    }

    private Length claim(Node node, FieldRef field, double least) {
        if (node.has("missing")) {
            List<Node> range = node.only("missing", "range").at("range").list();
            if (range.size() != 2) return Length.missing(field, Math.max(0, least), Length.MOST);
            double from = range.get(0).number(least, Length.MOST);
            double to = range.get(1).number(least, Length.MOST);
            if (from > to) node.at("range").fault("says from %s to %s; write the smaller first.".formatted(from, to));
            return Length.missing(field, Math.min(from, to), Math.max(from, to));
        }
        if (!node.isObject()) {
            double value = node.number(least, Length.MOST);
            return Length.of(field, value, usual.origin(), Length.tolerance(usual.origin()));
        }
        node.only("value", "from", "by", "date", "tolerance");
        Provenance.Origin origin = node.at("from")
                .one(
                        Provenance.Origin::find,
                        "measured, printed, catalogue, stated, assumed",
                        Provenance.Origin.ASSUMED,
                        usual.origin());
        double tolerance = node.at("tolerance").number(0, 100, Length.tolerance(origin));
        return Length.of(field, node.at("value").number(least, Length.MOST), origin, tolerance);
    }

    private Length positive(Node node) {
        return length(node, 0.1);
    }

    private Length zero(Node node) {
        return node.present()
                ? length(node, 0)
                : Length.of(new FieldRef(sheet, node.path()), 0, Provenance.Origin.PRINTED, 0);
    }

    /** Two ends of a box on one axis; x and z may lie before the corner or the face. */
    private Length[] ends(Node node) {
        List<Node> two = node.list();
        if (two.size() != 2) {
            node.fault("expected two numbers, from and to, in mm.");
            Length none = zero(node.at("none"));
            return new Length[] {none, none};
        }
        Length from = length(two.get(0), -Length.MOST);
        Length to = length(two.get(1), -Length.MOST);
        if (from.likely() >= to.likely())
            node.fault("says from %s to %s; the second must be the larger.".formatted(from.likely(), to.likely()));
        return new Length[] {from, to};
    }

    private SpaceBox box(Node node) {
        Length[] x = ends(node.at("x"));
        Length[] y = ends(node.at("y"));
        Length[] z = ends(node.at("z"));
        return new SpaceBox(x[0], x[1], y[0], y[1], z[0], z[1]);
    }

    // --- the car

    private Site site(Node node) {
        node.only("id", "opening", "bands", "obstructions", "lean");
        Node opening = node.at("opening").only("w", "h");
        Length width = positive(opening.at("w"));
        Length height = positive(opening.at("h"));
        List<Band> bands = node.at("bands").list().stream().map(this::band).toList();
        touching(bands, node.at("bands"));
        List<Obstruction> obstructions =
                node.at("obstructions").list().stream().map(this::obstruction).toList();
        int boxes = obstructions.stream().mapToInt(o -> o.pieces().size()).sum();
        if (boxes > MOST_BOXES)
            node.at("obstructions").fault("have %d boxes; at most %d are read.".formatted(boxes, MOST_BOXES));
        twice(obstructions.stream().map(Obstruction::id).toList(), node.at("obstructions"));
        return new Site(
                node.at("id").text("dash"),
                width,
                height,
                bands.isEmpty() ? List.of(asOpening(node, width, height)) : bands,
                bands.isEmpty(),
                obstructions,
                node.at("lean").number(-45, 45, 0));
    }

    /** Nobody measured behind: as wide and high as the opening, and of unknown depth. */
    private Band asOpening(Node node, Length width, Length height) {
        Length nothing = zero(node.at("none"));
        return new Band("behind the opening", nothing, width, nothing, height, length(node.at("depth"), 0), 0);
    }

    private Band band(Node node) {
        node.only("id", "x", "y", "depth", "taper");
        Length[] x = ends(node.at("x"));
        Length[] y = ends(node.at("y"));
        Length depth = positive(node.at("depth"));
        double taper = node.at("taper").number(0, 50, 0);
        if (!depth.missing() && 2 * taper * depth.likely() / 100 >= x[1].likely() - x[0].likely())
            node.at("taper").fault("closes the band before its depth.");
        return new Band(node.at("id").text("band"), x[0], x[1], y[0], y[1], depth, taper);
    }

    private static void touching(List<Band> bands, Node node) {
        List<Band> sorted = new ArrayList<>(bands);
        sorted.sort(Comparator.comparingDouble(b -> b.y0().likely()));
        for (int i = 1; i < sorted.size(); i++) {
            double gap = sorted.get(i).y0().likely() - sorted.get(i - 1).y1().likely();
            if (Math.abs(gap) > 0.5)
                node.fault("%s and %s %s by %.0f mm; each band ends where the next begins."
                        .formatted(
                                sorted.get(i - 1).id(),
                                sorted.get(i).id(),
                                gap > 0 ? "leave a gap" : "overlap",
                                Math.abs(gap)));
        }
    }

    private static void twice(List<?> ids, Node node) {
        Set<Object> seen = new HashSet<>();
        for (Object id : ids) if (!seen.add(id)) node.fault("names \"%s\" twice.".formatted(id));
    }

    private Obstruction obstruction(Node node) {
        node.only("id", "fasteners", "minutes", "carries", "boxes");
        return new Obstruction(
                node.at("id").text(),
                node.at("fasteners").text(""),
                node.at("minutes").number(0, 600, 0),
                node.at("carries").text(""),
                node.at("boxes").list().stream().map(this::piece).toList());
    }

    private Obstruction.Piece piece(Node node) {
        node.only("x", "y", "z", "may", "by", "bears");
        Obstruction.May may = node.at("may")
                .one(
                        Obstruction.May::find,
                        "unscrew, move, trim, cut off, never",
                        Obstruction.May.NEVER,
                        Obstruction.May.NEVER);
        return new Obstruction.Piece(
                box(node),
                may,
                node.at("by").number(0, 500, 0),
                node.at("bears").text(""));
    }

    // --- the radio

    private RadioBody body(Node node) {
        node.only("face", "chassis", "sockets", "holes");
        Node face = node.at("face").only("w", "h", "d");
        Node chassis = node.at("chassis").only("w", "h", "d", "x", "y");
        Length width = positive(chassis.at("w"));
        Length height = positive(chassis.at("h"));
        List<RadioBody.Hole> holes =
                node.at("holes").list().stream().map(FitReader::hole).toList();
        twice(holes.stream().map(RadioBody.Hole::number).toList(), node.at("holes"));
        return new RadioBody(
                positive(face.at("w")),
                positive(face.at("h")),
                zero(face.at("d")),
                width,
                height,
                positive(chassis.at("d")),
                chassis.at("x").number(-Length.MOST, Length.MOST, 0),
                chassis.at("y").number(-Length.MOST, Length.MOST, 0),
                node.at("sockets").list().stream()
                        .map(n -> socket(n, width.likely(), height.likely()))
                        .toList(),
                holes);
    }

    /** Measured from the left as seen from behind, which is from the right as seen from the front. */
    private RadioBody.Socket socket(Node node, double chassisWidth, double chassisHeight) {
        node.only("plug", "x", "y", "w", "h", "out", "bend");
        double w = node.at("w").number(0.1, Length.MOST);
        double h = node.at("h").number(0.1, Length.MOST);
        double x = node.at("x").number(0, Length.MOST);
        double y = node.at("y").number(0, Length.MOST);
        if (x + w > chassisWidth + 1 || y + h > chassisHeight + 1)
            node.fault("lies outside the rear, which is %.0f × %.0f mm.".formatted(chassisWidth, chassisHeight));
        return new RadioBody.Socket(
                node.at("plug").text(),
                chassisWidth - x - w,
                y,
                w,
                h,
                zero(node.at("out")),
                length(node.at("bend"), 0));
    }

    private static RadioBody.Hole hole(Node node) {
        node.only("n", "sides", "z", "y", "thread", "most");
        return new RadioBody.Hole(
                node.at("n").whole(1, 40),
                node.at("sides").text("both"),
                node.at("z").number(0, Length.MOST),
                node.at("y").number(0, Length.MOST),
                node.at("thread").text("M5"),
                node.at("most").number(0, 50, 0));
    }

    // --- the kit

    private KitFrame frame(Node node) {
        node.only("mount", "aperture", "inserts", "trims", "brackets", "plane", "finish");
        KitFrame.Mount mount = node.at("mount")
                .one(
                        FitReader::mount,
                        Arrays.stream(KitFrame.Mount.values())
                                .map(m -> m.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")),
                        KitFrame.Mount.FRAME);
        if (mount == KitFrame.Mount.FRAME && !node.has("aperture"))
            node.at("aperture").fault("is missing; a frame says what the face comes through: {\"w\": 182, \"h\": 53}.");
        Node brackets = node.at("brackets").only("left", "right");
        if (brackets.has("left") != brackets.has("right"))
            brackets.at(brackets.has("left") ? "right" : "left").fault("is missing; a radio hangs on both sides.");
        Map<String, String> trims = new LinkedHashMap<>();
        node.at("trims").fields().forEach((id, words) -> trims.put(id, words.text()));
        return new KitFrame(
                mount,
                node.has("aperture") ? Optional.of(aperture(node.at("aperture"))) : Optional.empty(),
                node.at("inserts").list().stream().map(this::insert).toList(),
                trims,
                bracket(brackets.at("left")),
                bracket(brackets.at("right")),
                zero(node.at("plane")),
                node.at("finish").text(""));
    }

    private static Optional<KitFrame.Mount> mount(String word) {
        return Arrays.stream(KitFrame.Mount.values())
                .filter(m -> m.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }

    private KitFrame.Aperture aperture(Node node) {
        node.only("x", "y", "w", "h");
        return new KitFrame.Aperture(
                node.has("x") ? length(node.at("x"), -Length.MOST) : zero(node.at("x")),
                node.has("y") ? length(node.at("y"), -Length.MOST) : zero(node.at("y")),
                positive(node.at("w")),
                positive(node.at("h")));
    }

    private Obstruction insert(Node node) {
        node.only("id", "x", "y", "z", "may");
        Obstruction.May may = node.at("may")
                .one(Obstruction.May::find, "cut off, trim, never", Obstruction.May.CUT_OFF, Obstruction.May.CUT_OFF);
        return new Obstruction(node.at("id").text(), "", 0, "", List.of(new Obstruction.Piece(box(node), may, 0, "")));
    }

    private static Optional<KitFrame.Bracket> bracket(Node node) {
        if (!node.present()) return Optional.empty();
        node.only("mark", "height", "thickness", "flip", "slots");
        double height = node.at("height").number(1, Length.MOST);
        return Optional.of(new KitFrame.Bracket(
                node.at("mark").text(""),
                height,
                node.at("thickness").number(0, 20, 1.5),
                node.has("flip") ? Optional.of(node.at("flip").truth(false)) : Optional.empty(),
                node.at("slots").list().stream().map(n -> slot(n, height)).toList()));
    }

    private static KitFrame.Slot slot(Node node, double height) {
        node.only("id", "z", "y");
        double[] z = two(node.at("z"));
        double[] y = two(node.at("y"));
        if (y[0] < 0 || y[1] > height)
            node.at("y").fault("lies outside its bracket, which is %.0f mm high.".formatted(height));
        return new KitFrame.Slot(node.at("id").text(), z[0], z[1], y[0], y[1]);
    }

    private static double[] two(Node node) {
        List<Double> numbers = node.list().stream()
                .map(n -> n.number(-Length.MOST, Length.MOST))
                .toList();
        if (numbers.size() == 2 && numbers.get(0) <= numbers.get(1))
            return new double[] {numbers.get(0), numbers.get(1)};
        node.fault("expected two numbers that rise, found %s.".formatted(numbers));
        return new double[] {0, 0};
    }
}
