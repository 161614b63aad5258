package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import velvetbezel.units.Gauge;
import velvetbezel.units.Millimetres;
import velvetbezel.units.WireColour;

/**
 * Reads facts: a plain value (which has the sheet's own provenance), {@code {"value":…, "from":…}}, a list
 * of such claims, or {@code {"missing": true}}.
 */
public final class FactReader {
    private static final String ORIGINS = "measured, printed, catalogue, stated, assumed";
    private static final double MOST_MILLIMETRES = 2000;
    private static final String ROLES = LeadRole.all();
    private static final List<String> UNKNOWN_ROLES = List.of("unknown", "carried on");
    private final String sheet;
    private final Provenance usual;

    /** @param usual provenance of a value that states none */
    public FactReader(String sheet, Provenance usual) {
        this.sheet = sheet;
        this.usual = usual;
    }

    Fact<WireColour> colour(Node node) {
        return read(node, n -> n.one(WireColour::read, WireColour.expected(), null));
    }

    /**
     * What a lead is for: the name of a role, {@code "unknown"}, {@code {"guessed": role}}, or claims. A part's wire
     * that only carries on what it meets is {@code "carried on"}: it has no role of its own.
     */
    Fact<LeadRole> role(Node node) {
        FieldRef field = new FieldRef(sheet, node.path());
        if (node.isText() && UNKNOWN_ROLES.contains(node.text())) return Fact.missing(field);
        if (node.has("guessed"))
            return new Fact.Guessed<>(
                    node.only("guessed", "from", "by", "date")
                            .at("guessed")
                            .one(LeadRole::find, ROLES, LeadRole.GROUND),
                    node.has("from") ? provenance(node) : usual);
        if (!node.present()) return new Fact.Known<>(node.one(LeadRole::find, ROLES, LeadRole.GROUND), usual);
        return read(node, n -> n.one(LeadRole::find, ROLES, null));
    }

    /** An AWG number, or a text such as "0.75 mm²". */
    Fact<Gauge> gauge(Node node) {
        return read(node, n -> {
            if (n.isNumber()) return Gauge.awg(n.number(-3, 40));
            return n.one(
                    FactReader::squareMillimetres, "an AWG number from -3 to 40, or a text such as \"0.75 mm²\"", null);
        });
    }

    private static Optional<Gauge> squareMillimetres(String text) {
        String number = text.replaceAll("\\s*mm(²|2)$", "").replace(',', '.');
        return number.matches("\\d{1,3}(\\.\\d+)?") && Double.parseDouble(number) > 0
                ? Optional.of(new Gauge(Double.parseDouble(number)))
                : Optional.empty();
    }

    /** Width, height and depth; missing where nobody stated them. */
    Geometry geometry(Node node) {
        node.only("width", "height", "depth");
        return new Geometry(
                millimetres(node.at("width")), millimetres(node.at("height")), millimetres(node.at("depth")));
    }

    private Fact<Millimetres> millimetres(Node node) {
        return read(node, n -> new Millimetres(n.number(0, MOST_MILLIMETRES)));
    }

    Fact<Boolean> truth(Node node) {
        return node.present() ? read(node, n -> n.truth(true)) : new Fact.Known<>(true, usual);
    }

    /** A fact whose plain value {@code value} reads; missing where nothing is said. */
    public <T> Fact<T> fact(Node node, Function<Node, T> value) {
        return read(node, value);
    }

    /** The same where saying nothing means something. */
    public <T> Fact<T> fact(Node node, Function<Node, T> value, T unsaid) {
        return node.present() ? read(node, value) : new Fact.Known<>(unsaid, usual);
    }

    private <T> Fact<T> read(Node node, Function<Node, T> value) {
        FieldRef field = new FieldRef(sheet, node.path());
        if (!node.present() || node.has("missing")) return Fact.missing(field);
        if (!node.isList()) return claim(node, value).<Fact<T>>map(c -> c).orElse(Fact.missing(field));
        List<Fact.Known<T>> claims = new ArrayList<>();
        for (Node entry : node.list()) claim(entry, value).ifPresent(claims::add);
        return Fact.settle(field, claims);
    }

    private <T> Optional<Fact.Known<T>> claim(Node node, Function<Node, T> value) {
        Provenance from = usual;
        Node said = node;
        if (node.isObject()) {
            node.only("value", "from", "by", "date");
            from = provenance(node);
            said = node.at("value");
        }
        T read = value.apply(said);
        return read == null ? Optional.empty() : Optional.of(new Fact.Known<>(read, from));
    }

    static Provenance provenance(Node node) {
        return new Provenance(
                node.at("from").one(Provenance.Origin::find, ORIGINS, Provenance.Origin.ASSUMED),
                node.at("by").text(""),
                node.at("date").text(""));
    }
}
