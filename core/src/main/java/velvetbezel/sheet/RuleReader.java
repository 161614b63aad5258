package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.state.StateField;

/** Reads rules, guards and effects, and checks each name against the names of the device. */
final class RuleReader {
    private static final double VOLTS = 1000;
    private static final double OHMS = 1e9;
    /** A sheet's resistance is never less: 1 mΩ keeps every equation solvable. */
    private static final double LEAST_OHMS = 0.001;

    private static final String GROUND = "gnd";

    private final String sheet;
    private final Names names;

    /** The names of one device that its rules may use. */
    record Names(
            List<String> terminals,
            List<String> ports,
            Map<String, List<String>> settings,
            Map<String, List<String>> modes,
            List<String> placements,
            List<String> conditions) {}

    RuleReader(String sheet, Names names) {
        this.sheet = sheet;
        this.names = names;
    }

    Rule rule(Node node) {
        node.only("id", "when", "then");
        Guard when = node.has("when") ? guard(node.at("when")) : Guard.All.ALWAYS;
        List<Effect> then =
                node.at("then").list().stream().flatMap(n -> effect(n).stream()).toList();
        if (node.at("then").list().isEmpty())
            node.at("then").fault("is missing or empty; a rule has at least one effect.");
        return new Rule(node.at("id").text(), when, then);
    }

    Guard guard(Node node) {
        if (node.isList())
            return new Guard.All(node.list().stream().map(this::guard).toList());
        if (node.has("volts")) return volts(node);
        if (node.has("amps"))
            return new Guard.Amps(terminal(node.only("amps", "min").at("amps")), quantity(node.at("min"), 0, 1000));
        if (node.has("state")) return state(node);
        if (node.has("hears"))
            return new Guard.Hears(
                    port(node.only("hears", "signal").at("hears")),
                    node.at("signal").text());
        if (node.has("setting"))
            return new Guard.Setting(
                    node.only("setting", "is").at("setting").text(), choice(node, "setting", names.settings()));
        if (node.has("mode"))
            return new Guard.Mode(node.only("mode", "is").at("mode").text(), choice(node, "mode", names.modes()));
        if (node.has("placed"))
            return new Guard.Placed(known(node.only("placed").at("placed"), names.placements(), "placement"));
        if (node.has("met")) return new Guard.Met(known(node.only("met").at("met"), names.conditions(), "condition"));
        if (node.has("any"))
            return new Guard.Any(
                    node.only("any").at("any").list().stream().map(this::guard).toList());
        if (node.has("not")) return new Guard.Not(guard(node.only("not").at("not")));
        if (node.has("missing"))
            return new Guard.Open(new FieldRef(sheet, node.at("missing").text()));
        node.fault(
                "is no guard; expected one of volts, amps, state, hears, setting, mode, placed, met, any, not, missing, or a list of guards.");
        return Guard.All.ALWAYS;
    }

    private Guard volts(Node node) {
        node.only("volts", "of", "min", "max", "hold", "learned");
        if (!node.has("min") && !node.has("max") && !node.has("learned")) node.fault("needs min, max or learned.");
        String of = node.has("of") ? terminal(node.at("of")) : ownGround(node);
        return new Guard.Volts(
                terminal(node.at("volts")),
                of,
                optional(node.at("min")),
                optional(node.at("max")),
                optional(node.at("hold")),
                node.at("learned").optionalText());
    }

    private String ownGround(Node node) {
        if (!names.terminals().contains(GROUND))
            node.fault("compares with \"gnd\", and the device has no terminal of that name; name one with of.");
        return GROUND;
    }

    /** Within the window that was learned for a button at a terminal, against the device's own ground. */
    Guard learned(Node at, String button) {
        return new Guard.Volts(
                terminal(at), ownGround(at), Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(button));
    }

    private Optional<Quantity> optional(Node node) {
        return node.present() ? Optional.of(quantity(node, -VOLTS, VOLTS)) : Optional.empty();
    }

    private Guard state(Node node) {
        node.only("state", "is", "in", "has");
        StateField field = node.at("state")
                .one(
                        StateField::find,
                        "key, engine, lamps, gear, foot brake, parking brake, door, battery, "
                                + "second battery, column, tester, rested, unplugged, buttons",
                        StateField.KEY);
        String used = node.has("in") ? "in" : node.has("has") ? "has" : "is";
        List<String> values = used.equals("in")
                ? node.at("in").texts()
                : List.of(node.at(used).text());
        if (field.kind() == StateField.Kind.WORD)
            for (String value : values)
                if (!field.words().contains(value))
                    node.at(used)
                            .fault("\"%s\" is no value of %s; allowed: %s."
                                    .formatted(value, field.label(), String.join(", ", field.words())));
        return new Guard.State(field, values);
    }

    private String choice(Node node, String kind, Map<String, List<String>> known) {
        String name = known(node.at(kind), List.copyOf(known.keySet()), kind);
        String value = node.at("is").text();
        List<String> values = known.getOrDefault(name, List.of());
        if (!values.isEmpty() && !values.contains(value))
            node.at("is")
                    .fault("\"%s\" is no value of %s %s; allowed: %s."
                            .formatted(value, kind, name, String.join(", ", values)));
        return value;
    }

    Optional<Effect> effect(Node node) {
        if (node.has("drive")) return Optional.of(drive(node));
        if (node.has("connect")) return Optional.of(connect(node));
        if (node.has("draw")) return Optional.of(draw(node));
        if (node.has("diode")) return Optional.of(diode(node));
        if (node.has("emit"))
            return Optional.of(new Effect.Emit(
                    port(node.only("emit", "signal", "level").at("emit")),
                    node.at("signal").text(),
                    level(node.at("level"))));
        if (node.has("carry")) {
            List<Node> two = two(node.only("carry", "gain").at("carry"));
            return Optional.of(new Effect.Carry(port(two.get(0)), port(two.get(1)), level(node.at("gain"))));
        }
        if (node.has("show"))
            return Optional.of(new Effect.Show(node.only("show").at("show").text()));
        if (node.has("enter")) return enter(node.only("enter").at("enter"));
        node.fault("is no effect; expected one of drive, connect, draw, diode, emit, carry, show, enter.");
        return Optional.empty();
    }

    private Effect drive(Node node) {
        node.only("drive", "volts", "ohms", "tolerance", "bits", "ratio", "pull-ups");
        boolean pair = node.at("drive").isList();
        List<Node> two = pair ? two(node.at("drive")) : List.of(node.at("drive"));
        String minus = pair ? terminal(two.get(1)) : "gnd";
        if (!pair && !names.terminals().contains("gnd"))
            node.fault("drives against \"gnd\", and the device has no terminal of that name; name both.");
        return new Effect.Drive(
                terminal(two.get(0)),
                minus,
                quantity(node.at("volts"), -VOLTS, VOLTS),
                quantity(node.at("ohms"), LEAST_OHMS, OHMS),
                converter(node));
    }

    private static Optional<Converter> converter(Node node) {
        if (Stream.of("tolerance", "bits", "ratio", "pull-ups").noneMatch(node::has)) return Optional.empty();
        return Optional.of(new Converter(
                tolerance(node),
                node.has("bits") ? Optional.of((int) node.at("bits").number(4, 24)) : Optional.empty(),
                node.has("ratio") ? Optional.of(node.at("ratio").truth(false)) : Optional.empty(),
                node.at("pull-ups").list().stream().map(n -> n.number(1, OHMS)).toList()));
    }

    /** In percent. */
    private static Optional<Double> tolerance(Node node) {
        return node.has("tolerance") ? Optional.of(node.at("tolerance").number(0, 50)) : Optional.empty();
    }

    private Effect connect(Node node) {
        List<Node> two = two(node.only("connect", "ohms", "tolerance").at("connect"));
        return new Effect.Connect(
                terminal(two.get(0)),
                terminal(two.get(1)),
                quantity(node.at("ohms"), LEAST_OHMS, OHMS),
                tolerance(node));
    }

    private Effect draw(Node node) {
        List<Node> two = two(node.only("draw", "amps", "ohms", "tolerance").at("draw"));
        Quantity ohms = node.has("amps")
                ? fromAmps(quantity(node.at("amps"), 1e-6, 1000))
                : quantity(node.at("ohms"), LEAST_OHMS, OHMS);
        return new Effect.Draw(terminal(two.get(0)), terminal(two.get(1)), ohms, tolerance(node));
    }

    /** Amps are stated at 12 V. */
    private static Quantity fromAmps(Quantity amps) {
        if (amps instanceof Quantity.Fixed fixed) return Quantity.of(12 / fixed.value());
        if (amps instanceof Quantity.Follows f) return new Quantity.Follows(12 / f.at0(), 12 / f.at100());
        Quantity.Open open = (Quantity.Open) amps;
        return new Quantity.Open(open.field(), 12 / open.low(), 12 / open.high());
    }

    private Effect diode(Node node) {
        List<Node> two = two(node.only("diode", "vf", "ron").at("diode"));
        return new Effect.Diode(
                terminal(two.get(0)),
                terminal(two.get(1)),
                node.has("vf") ? quantity(node.at("vf"), 0, 50) : Quantity.of(0.7),
                node.has("ron") ? quantity(node.at("ron"), LEAST_OHMS, OHMS) : Quantity.of(0.05));
    }

    private Optional<Effect> enter(Node node) {
        String[] halves = node.text().split("=", 2);
        if (halves.length != 2 || !names.modes().containsKey(halves[0])) {
            node.fault("expected mode=value with a mode of this device (%s), found %s."
                    .formatted(String.join(", ", names.modes().keySet()), node.shown()));
            return Optional.empty();
        }
        if (!names.modes().get(halves[0]).contains(halves[1]))
            node.fault("\"%s\" is no value of mode %s; allowed: %s."
                    .formatted(
                            halves[1],
                            halves[0],
                            String.join(", ", names.modes().get(halves[0]))));
        return Optional.of(new Effect.Enter(halves[0], halves[1]));
    }

    Quantity quantity(Node node, double least, double most) {
        if (!node.isObject()) return Quantity.of(node.number(least, most));
        if (node.has("of")) {
            node.only("of", "at0", "at100");
            if (!node.at("of").text().equals("dimmer")) node.at("of").fault("a number can follow only the dimmer.");
            return new Quantity.Follows(
                    node.at("at0").number(least, most), node.at("at100").number(least, most));
        }
        node.only("missing", "range");
        List<Node> range = two(node.at("range"));
        return new Quantity.Open(
                new FieldRef(sheet, node.at("missing").text()),
                range.get(0).number(least, most),
                range.get(1).number(least, most));
    }

    /** A number of decibels, or the class of a signal or gain. */
    private static SignalLevel level(Node node) {
        if (!node.isText()) return SignalLevel.of(node.number(-200, 200, 0));
        return SignalLevel.named(node.text()).orElseGet(() -> {
            node.fault(
                    "%s is no level; a number of decibels, or one of %s.".formatted(node.shown(), SignalLevel.names()));
            return SignalLevel.of(0);
        });
    }

    private List<Node> two(Node node) {
        List<Node> list = node.list();
        if (list.size() == 2) return list;
        node.fault("expected a list of two, found " + (node.isList() ? list.size() + " entries" : node.shown()) + ".");
        List<Node> padded = new ArrayList<>(list);
        while (padded.size() < 2) padded.add(node.at("0"));
        return padded;
    }

    private String terminal(Node node) {
        return known(node, names.terminals(), "terminal");
    }

    private String port(Node node) {
        return known(node, names.ports(), "port");
    }

    private static String known(Node node, List<String> known, String kind) {
        String name = node.text();
        if (!name.equals(Node.UNREAD) && !known.contains(name))
            node.fault("\"%s\" is no %s of this device; it has %s."
                    .formatted(name, kind, known.isEmpty() ? "none" : String.join(", ", known)));
        return name;
    }
}
