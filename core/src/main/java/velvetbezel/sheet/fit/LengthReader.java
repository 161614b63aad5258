package velvetbezel.sheet.fit;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;

/** Reads lengths and boxes of a sheet; what is wrong is noted with its field. */
class LengthReader {
    private static final double MOST_LEAD = 20_000;
    final String sheet;
    private final Provenance usual;

    LengthReader(String sheet, Provenance usual) {
        this.sheet = sheet;
        this.usual = usual;
    }

    /**
     * A number, {@code {"value": 104, "from": "measured", "tolerance": 0.2}}, a list of such claims, or
     * {@code {"missing": true, "range": [150, 220]}}.
     */
    Length length(Node node, double least) {
        return length(node, least, Length.MOST);
    }

    private Length length(Node node, double least, double most) {
        FieldRef field = new FieldRef(sheet, node.path());
        if (!node.present()) return Length.missing(field, Math.max(0, least), most);
        if (node.isList()) {
            List<Length> claims =
                    node.list().stream().map(n -> claim(n, field, least, most)).toList();
            List<Length> standing =
                    claims.stream().filter(c -> c.origin().stands()).toList();
            return claims.isEmpty()
                    ? Length.missing(field, Math.max(0, least), most)
                    : Length.settle(field, standing.isEmpty() ? claims : standing);
        }
        return claim(node, field, least, most);
    }

    private Length claim(Node node, FieldRef field, double least, double most) {
        if (node.has("missing")) {
            List<Node> range = node.only("missing", "range").at("range").list();
            if (range.size() != 2) return Length.missing(field, Math.max(0, least), most);
            double from = range.get(0).number(least, most);
            double to = range.get(1).number(least, most);
            if (from > to) node.at("range").fault("says from %s to %s; write the smaller first.".formatted(from, to));
            return Length.missing(field, Math.min(from, to), Math.max(from, to));
        }
        if (!node.isObject()) {
            double value = node.number(least, most);
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
        return Length.of(field, node.at("value").number(least, most), origin, tolerance);
    }

    Length positive(Node node) {
        return length(node, 0.1);
    }

    Length zero(Node node) {
        return node.present()
                ? length(node, 0)
                : Length.of(new FieldRef(sheet, node.path()), 0, Provenance.Origin.PRINTED, 0);
    }

    /** Two ends of a box on one axis; x and z may lie before the corner or the face. */
    Length[] ends(Node node) {
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

    SpaceBox box(Node node) {
        Length[] x = ends(node.at("x"));
        Length[] y = ends(node.at("y"));
        Length[] z = ends(node.at("z"));
        return new SpaceBox(x[0], x[1], y[0], y[1], z[0], z[1]);
    }

    static double[] two(Node node) {
        List<Double> numbers = node.list().stream()
                .map(n -> n.number(-Length.MOST, Length.MOST))
                .toList();
        if (numbers.size() == 2 && numbers.get(0) <= numbers.get(1))
            return new double[] {numbers.get(0), numbers.get(1)};
        node.fault("expected two numbers that rise, found %s.".formatted(numbers));
        return new double[] {0, 0};
    }

    static void twice(List<?> ids, Node node) {
        Set<Object> seen = new HashSet<>();
        for (Object id : ids) if (!seen.add(id)) node.fault("names \"%s\" twice.".formatted(id));
    }

    /** A thing with its own lead: {@code {"name": "…", "lead": 3000, "plug": 9}}. */
    Thing thing(Node node, Thing.Kind kind) {
        node.only("what", "name", "lead", "plug");
        return new Thing(
                kind,
                node.at("name").text(kind.word()),
                node.has("lead") ? Optional.of(along(node.at("lead"))) : Optional.empty(),
                optional(node.at("plug")));
    }

    /** Of a lead or a way, which may run through the whole car. */
    Length along(Node node) {
        return length(node, 0.1, MOST_LEAD);
    }

    Optional<Length> optional(Node node) {
        return node.present() ? Optional.of(positive(node)) : Optional.empty();
    }
}
