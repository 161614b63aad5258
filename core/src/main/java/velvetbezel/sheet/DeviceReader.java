package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.units.Decibels;
import velvetbezel.units.Gauge;
import velvetbezel.units.Volts;

/** Reads one device: its plugs, leads, ports and rules. */
final class DeviceReader {
    /** Whose device it is: decides which way a lead works when the sheet does not say. */
    enum Owner {
        CAR,
        RADIO,
        PART
    }

    private static final double USUAL_METRES = 0.25;
    private static final double USUAL_CABLE_METRES = 5;
    private static final int MOST_POSITIONS = 120;
    private static final int MOST_MINUTES = 6000;
    private final String sheet;
    private final FactReader facts;
    private final Owner owner;

    DeviceReader(String sheet, FactReader facts, Owner owner) {
        this.sheet = sheet;
        this.facts = facts;
        this.owner = owner;
    }

    Device device(Node node) {
        node.only(
                "id",
                "name",
                "is",
                "plugs",
                "leads",
                "cable",
                "terminals",
                "wires",
                "ports",
                "settings",
                "modes",
                "placements",
                "conditions",
                "rules",
                "map",
                "first use",
                "ratings");
        String id = id(node.at("id"));
        List<Plug> plugs = plugs(node.at("plugs"));
        List<Lead> leads =
                new ArrayList<>(node.at("leads").list().stream().map(this::lead).toList());
        List<InnerWire> cable = cable(node.at("cable"), leads);
        List<String> terminals = node.at("terminals").texts();
        List<String> known = terminalNames(node, plugs, leads, terminals);
        List<Port> ports =
                node.at("ports").list().stream().map(n -> port(n, known)).toList();
        List<Choice> settings = choices(node.at("settings"));
        List<Choice> modes = choices(node.at("modes"));
        List<String> placements = node.at("placements").texts();
        RuleReader rules = new RuleReader(
                sheet,
                new RuleReader.Names(
                        known,
                        ports.stream().map(Port::id).toList(),
                        values(settings),
                        values(modes),
                        placements,
                        List.copyOf(node.at("conditions").fields().keySet())));
        Map<String, Guard> conditions = new LinkedHashMap<>();
        node.at("conditions").fields().forEach((name, guard) -> conditions.put(name, rules.guard(guard)));
        List<Rule> read = new ArrayList<>(
                node.at("rules").list().stream().map(rules::rule).toList());
        KeyMapReader.Read keys = KeyMapReader.read(
                node.at("map"), rules, ports.stream().map(Port::id).toList());
        settings.addAll(keys.settings());
        read.addAll(keys.rules());
        twice(node.at("rules"), read.stream().map(Rule::id).toList(), "rule");
        List<InnerWire> wires = new ArrayList<>(
                node.at("wires").list().stream().map(n -> wire(n, known)).toList());
        wires.addAll(cable);
        return new Device(
                id,
                node.at("name").text(id),
                Set.copyOf(node.at("is").texts().stream().distinct().toList()),
                plugs,
                leads,
                terminals,
                wires,
                ports,
                settings,
                modes,
                placements,
                conditions,
                read,
                node.at("first use").list().stream()
                        .map(n -> firstUse(n, known))
                        .toList(),
                Ratings.read(node.at("ratings")));
    }

    private static String id(Node node) {
        String id = node.text();
        if (id.contains(".") || id.contains(":"))
            node.fault("\"%s\" holds a dot or colon, which part the names of terminals; leave it out.".formatted(id));
        return id;
    }

    private static Map<String, List<String>> values(List<Choice> choices) {
        Map<String, List<String>> values = new LinkedHashMap<>();
        choices.forEach(c -> values.put(c.name(), c.values()));
        return values;
    }

    /** A list that may grow. */
    private static List<Choice> choices(Node node) {
        List<Choice> choices = new ArrayList<>();
        node.fields().forEach((name, choice) -> {
            choice.only("start", "values", "when", "by", "tape", "fact");
            List<String> values = choice.at("values").texts();
            String start = choice.at("start").text();
            if (!values.contains(start))
                choice.at("start")
                        .fault("\"%s\" is not among its values: %s.".formatted(start, String.join(", ", values)));
            choices.add(new Choice(name, start, values, how(choice)));
        });
        return choices;
    }

    private static HowSet how(Node choice) {
        return new HowSet(
                choice.has("when")
                        ? Optional.of(choice.at("when")
                                .one(HowSet.Moment::find, labels(HowSet.Moment.values()), HowSet.Moment.AFTER))
                        : Optional.empty(),
                choice.has("by")
                        ? Optional.of(choice.at("by")
                                .one(HowSet.Means::find, labels(HowSet.Means.values()), HowSet.Means.MENU))
                        : Optional.empty(),
                choice.at("tape").truth(false),
                choice.has("fact")
                        ? Optional.of(choice.at("fact").one(Trait::find, Trait.all(), Trait.STEERING_LAYOUT))
                        : Optional.empty());
    }

    private static String labels(Enum<?>[] words) {
        return Arrays.stream(words).map(HowSet::label).collect(Collectors.joining(", "));
    }

    private List<String> terminalNames(Node node, List<Plug> plugs, List<Lead> leads, List<String> terminals) {
        List<String> names = new ArrayList<>(terminals);
        leads.forEach(l -> names.add(l.name()));
        for (Plug plug : plugs)
            for (Position p : plug.positions()) {
                names.add(plug.id() + "." + p.number());
                if (!p.name().isEmpty()) names.add(p.name());
            }
        twice(node, names, "terminal");
        return names;
    }

    static void twice(Node node, List<String> names, String what) {
        Set<String> seen = new HashSet<>();
        for (String name : names)
            if (!seen.add(name)) node.fault("has two of the %s \"%s\"; give each its own name.".formatted(what, name));
    }

    List<Plug> plugs(Node node) {
        List<Plug> plugs = node.list().stream().map(this::plug).toList();
        List<String> ids = plugs.stream().map(Plug::id).toList();
        twice(node, ids, "plug");
        for (Plug p : plugs)
            p.housing()
                    .filter(h -> !ids.contains(h))
                    .ifPresent(h -> node.fault("has plug %s in \"%s\", which is no plug here; known: %s."
                            .formatted(p.id(), h, String.join(", ", ids))));
        return plugs;
    }

    private Plug plug(Node node) {
        node.only("id", "family", "socket", "size", "positions", "in", "access");
        String id = id(node.at("id"));
        int size = node.at("size").whole(1, MOST_POSITIONS);
        List<Position> positions = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (Node entry : node.at("positions").list()) {
            Position position = position(entry, size, id);
            if (!seen.add(position.number()))
                entry.fault(
                        "holds a second wire: position %s of plug %s is listed twice. One position holds one wire; correct the number of one of them."
                                .formatted(position.number(), id));
            positions.add(position);
        }
        List<String> missing = new ArrayList<>();
        for (int i = 1; i <= size; i++) if (!seen.contains(String.valueOf(i))) missing.add(String.valueOf(i));
        if (!missing.isEmpty())
            node.at("positions")
                    .fault(
                            "position %s of plug %s (%s, %d positions) is missing. List it, with \"empty\": true if it holds no wire."
                                    .formatted(
                                            String.join(", ", missing),
                                            id,
                                            node.at("family").text("?"),
                                            size));
        return new Plug(
                id,
                node.at("family").text(),
                node.at("socket").truth(false),
                size,
                positions,
                node.at("in").optionalText(),
                node.has("access") ? Optional.of(access(node.at("access"))) : Optional.empty());
    }

    private static Access access(Node node) {
        node.only("place", "route", "minutes", "mate", "optional");
        return new Access(
                location(node.at("place")).orElse(Location.DASH),
                node.at("route").text(""),
                node.at("minutes").whole(0, MOST_MINUTES),
                node.at("mate").one(Mate::find, "free, tap, parted, cut", Mate.FREE, Mate.FREE),
                node.at("optional").truth(false));
    }

    private static Optional<Location> location(Node node) {
        if (!node.present()) return Optional.empty();
        String words = node.text();
        if (!words.isBlank() && !words.contains("#") && !words.contains(":")) return Optional.of(new Location(words));
        node.fault("\"%s\" names no place; use words without # or colon, such as boot.".formatted(words));
        return Optional.empty();
    }

    private Position position(Node node, int size, String plug) {
        node.only(
                "position",
                "name",
                "role",
                "state",
                "flow",
                "colour",
                "gauge",
                "metres",
                "bare",
                "wired",
                "to",
                "empty");
        String number = node.at("position").text();
        if (!number.equals(Node.UNREAD)
                && !(number.matches("\\d{1,3}") && Integer.parseInt(number) >= 1 && Integer.parseInt(number) <= size))
            node.at("position")
                    .fault(
                            "\"%s\" is no position of plug %s, whose positions are numbered 1 to %d. Check the pinout, or the plug's size."
                                    .formatted(number, plug, size));
        boolean empty = node.at("empty").truth(false);
        if (empty && (node.has("role") || node.has("to")))
            node.at("empty").fault("is true, and yet the position has a role or a wire; keep one of the two.");
        Optional<Fact<LeadRole>> carries = empty ? Optional.empty() : Optional.of(facts.role(node.at("role")));
        Optional<String> to = node.at("to").optionalText();
        if (owner == Owner.CAR && !empty && to.isEmpty() && node.has("position"))
            node.at("to").fault("is missing; a wire of the car goes to a terminal, as device.terminal.");
        return new Position(
                number,
                node.at("name").text(""),
                carries,
                state(node.at("state")),
                flow(node.at("flow"), carries),
                facts.colour(node.at("colour")),
                facts.gauge(node.at("gauge")),
                metres(node),
                node.at("bare").truth(false),
                facts.truth(node.at("wired")),
                to);
    }

    private static LeadState state(Node node) {
        return node.one(LeadState::find, "used, spare, unused", LeadState.USED, LeadState.USED);
    }

    /** Of a guessed role, too: a guess says which way a lead would work. */
    private Flow flow(Node node, Optional<Fact<LeadRole>> carries) {
        Optional<LeadRole> role = carries.flatMap(Fact::said);
        Flow usual = role.map(r -> switch (owner) {
                    case CAR -> r.carFlow();
                    case RADIO -> r.carFlow().opposite();
                    case PART -> r.carFlow() == Flow.SHARES ? Flow.SHARES : Flow.TAKES;
                })
                .orElse(Flow.SHARES);
        return node.one(Flow::find, "gives, takes, shares", usual, usual);
    }

    private static double metres(Node node) {
        return node.at("metres").number(0.01, 50, USUAL_METRES);
    }

    private Lead lead(Node node) {
        node.only("name", "role", "state", "flow", "colour", "gauge", "metres", "amplifier only", "end");
        Fact<LeadRole> role = facts.role(node.at("role"));
        return new Lead(
                node.at("name").text(),
                role,
                state(node.at("state")),
                flow(node.at("flow"), Optional.of(role)),
                facts.colour(node.at("colour")),
                facts.gauge(node.at("gauge")),
                metres(node),
                node.at("amplifier only").truth(false),
                location(node.at("end")));
    }

    /**
     * A cable bare at both ends: each wire is two leads, one at each end, with a wire between them.
     *
     * @param leads the leads of the device, to which those of the cable are added
     */
    private List<InnerWire> cable(Node node, List<Lead> leads) {
        List<InnerWire> wires = new ArrayList<>();
        if (!node.present()) return wires;
        node.only("ends", "wires");
        List<Location> ends = node.at("ends").list().stream()
                .flatMap(n -> location(n).stream())
                .toList();
        if (ends.size() != 2 || ends.get(0).equals(ends.get(1))) {
            node.at("ends").fault("expected the two different places where the cable ends, such as dash and boot.");
            return wires;
        }
        for (Node wire : node.at("wires").list()) {
            wire.only("role", "colour", "gauge", "metres");
            Fact<LeadRole> role = facts.role(wire.at("role"));
            String name = wire.at("role").text();
            List<String> names = ends.stream().map(e -> name + " at " + e).toList();
            for (int i = 0; i < ends.size(); i++)
                leads.add(new Lead(
                        names.get(i),
                        role,
                        LeadState.USED,
                        Flow.SHARES,
                        facts.colour(wire.at("colour")),
                        facts.gauge(wire.at("gauge")),
                        USUAL_METRES,
                        false,
                        Optional.of(ends.get(i))));
            wires.add(new InnerWire(
                    names.get(0),
                    names.get(1),
                    facts.gauge(wire.at("gauge")),
                    wire.at("metres").number(0.01, 50, USUAL_CABLE_METRES),
                    facts.truth(wire.at("wired"))));
        }
        return wires;
    }

    InnerWire wire(Node node, List<String> known) {
        node.only("from", "to", "gauge", "metres", "wired");
        Fact<Gauge> gauge = node.has("gauge")
                ? facts.gauge(node.at("gauge"))
                : new Fact.Known<>(Gauge.awg(18), Provenance.of(Provenance.Origin.ASSUMED));
        return new InnerWire(
                end(node.at("from"), known),
                end(node.at("to"), known),
                gauge,
                metres(node),
                facts.truth(node.at("wired")));
    }

    private static String end(Node node, List<String> known) {
        String name = node.text();
        if (!name.equals(Node.UNREAD) && !known.contains(name))
            node.fault("\"%s\" is no terminal here; known: %s.".formatted(name, String.join(", ", known)));
        return name;
    }

    private Port port(Node node, List<String> known) {
        node.only("id", "plus", "minus", "medium", "dir", "floor", "quiet");
        Medium medium = node.at("medium").one(Medium::find, "audio, video, rf, data, light, internal", Medium.AUDIO);
        boolean twoWay = medium == Medium.DATA || medium == Medium.INTERNAL;
        Port.Dir dir = twoWay ? Port.Dir.BOTH : node.at("dir").one(DeviceReader::dir, "in, out", Port.Dir.IN);
        if (medium != Medium.INTERNAL && !node.has("plus")) node.at("plus").fault("is missing; name the terminal.");
        return new Port(
                node.at("id").text(),
                node.has("plus") ? Optional.of(end(node.at("plus"), known)) : Optional.empty(),
                node.has("minus") ? Optional.of(end(node.at("minus"), known)) : Optional.empty(),
                medium,
                dir,
                node.has("floor") ? Optional.of(new Decibels(node.at("floor").number(-200, 200))) : Optional.empty(),
                node.has("quiet") ? Optional.of(new Volts(node.at("quiet").number(0, 100))) : Optional.empty());
    }

    private static Optional<Port.Dir> dir(String word) {
        return switch (word) {
            case "in" -> Optional.of(Port.Dir.IN);
            case "out" -> Optional.of(Port.Dir.OUT);
            default -> Optional.empty();
        };
    }

    private static ScenarioStep.FirstUse firstUse(Node node, List<String> known) {
        node.only("set", "learn at");
        return new ScenarioStep.FirstUse(
                ScenarioReader.step(node.at("set")),
                node.at("learn at").list().stream().map(n -> end(n, known)).toList());
    }
}
