package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Opening;
import velvetbezel.units.WireColour;

/**
 * A vehicle as a person has it on paper: its plugs, position by position. What is behind the plugs is not on the
 * paper; standard devices stand for it, and say that they are assumed.
 *
 * @param ladder resistances of the steering keys, Ω, in the order of {@code buttons}; empty where nobody measured them
 * @param fed    the antenna has an amplifier that is fed through its plug
 */
public record Pinout(
        String id,
        String name,
        String make,
        String model,
        String trim,
        int fromYear,
        int toYear,
        Opening opening,
        boolean northAmerica,
        List<String> buttons,
        List<Double> ladder,
        boolean fed,
        List<PlugLines> plugs) {
    private static final String FED = "fed antenna";
    private static final Object USUAL = Map.of("value", 18, "from", "assumed", "by", "usual gauge");
    private static final Object USUAL_SIGNAL = Map.of("value", 22, "from", "assumed", "by", "usual gauge");
    private static final double METRES = 1.5;
    private static final Object BEHIND = Map.of(
            "station",
            "Arrive",
            "text",
            "What is behind the plugs is assumed: standard devices stand for it.",
            "why",
            "The sheet was made from a pinout alone; the baseline test tells how this car's amplifier, antenna and body computer really work.");
    /** A steering key whose resistance nobody measured lies between these, Ω (from memory). */
    private static final List<Integer> LADDER_RANGE = List.of(10, 10_000);

    public Pinout {
        buttons = List.copyOf(buttons);
        ladder = List.copyOf(ladder);
        plugs = List.copyOf(plugs);
    }

    /** @param socket the car's half is the socket */
    public record PlugLines(String id, String family, boolean socket, int size, List<Line> lines) {
        public PlugLines {
            lines = List.copyOf(lines);
        }
    }

    /**
     * A position that holds a wire.
     *
     * @param gauge AWG or mm², may be empty;
     * @param colour in any notation, may be empty
     */
    public record Line(int position, String role, String colour, String gauge) {}

    /**
     * The vehicle's sheet as a tree.
     *
     * @param blocks standard devices
     * @param source where the paper is from
     * @throws InvalidInput naming each position that cannot be read, and each role that lacks its partner
     */
    public Map<String, Object> sheet(Blocks blocks, Map<String, Object> source) {
        return new Drawing(blocks).sheet(source);
    }

    private final class Drawing {
        private final List<Fault> faults = new ArrayList<>();
        private final Map<String, LeadRole> roles = new HashMap<>();
        private final Set<String> present = new HashSet<>();
        private final List<Blocks.Standard> chosen;

        Drawing(Blocks blocks) {
            for (PlugLines plug : plugs)
                for (Line line : plug.lines)
                    LeadRole.read(line.role)
                            .ifPresentOrElse(
                                    r -> roles.put(key(plug, line), r),
                                    () -> faults.add(new Fault(
                                            path(plug, line) + ".role",
                                            "\"%s\" is no role of a lead. Use the short or long form, such as acc, fl+, illumination."
                                                    .formatted(line.role))));
            roles.values().forEach(r -> present.add(r.label()));
            if (fed) present.add(FED);
            chosen = blocks.behind(present);
        }

        Map<String, Object> sheet(Map<String, Object> source) {
            Map<String, Object> to = new HashMap<>();
            chosen.forEach(b -> b.to().forEach((role, terminal) -> to.put(Blocks.label(role), terminal)));
            for (PlugLines plug : plugs)
                for (Line line : plug.lines)
                    if (roles.containsKey(key(plug, line))
                            && !to.containsKey(roles.get(key(plug, line)).label()))
                        faults.add(new Fault(path(plug, line) + ".role", alone(roles.get(key(plug, line)))));
            if (!present.contains("constant") || !present.contains("ground"))
                faults.add(
                        new Fault(
                                "plugs",
                                "hold no constant or no ground: a radio needs both. Enter them, or say which position they are."));
            if (!present.contains("accessory") && !present.contains("data high"))
                faults.add(new Fault("plugs", "hold neither accessory nor a data bus: nothing would turn a radio on."));
            if (!ladder.isEmpty() && ladder.size() != buttons.size())
                faults.add(new Fault(
                        "ladder",
                        "has %d resistances for %d keys; give one for each, or none."
                                .formatted(ladder.size(), buttons.size())));
            if (!faults.isEmpty()) throw new InvalidInput(faults);
            return vehicle(source, to);
        }

        private Map<String, Object> vehicle(Map<String, Object> source, Map<String, Object> to) {
            Map<String, Object> sheet = new LinkedHashMap<>();
            sheet.putAll(Map.of("format", "velvet-bezel/sheet", "version", 1, "kind", "vehicle"));
            sheet.put("id", id);
            sheet.put("name", name);
            sheet.put("source", source);
            sheet.putAll(Map.of("make", make, "model", model, "trim", trim));
            sheet.put("years", List.of(fromYear, toYear));
            sheet.put("opening", opening.label());
            sheet.put("audio system", present.stream().anyMatch(r -> r.startsWith("line ")) ? "amplified" : "plain");
            sheet.put("north america", northAmerica);
            sheet.put("buttons", buttons);
            sheet.put("cautions", List.of(BEHIND));
            Map<String, Object> built = new LinkedHashMap<>();
            for (Blocks.Standard block : chosen)
                built = Merge.objects(built, Block.filledPiece(block.adds(), Map.of("buttons", buttons)));
            if (present.contains("steering 1")) ladder(built);
            sheet.put("devices", built.getOrDefault("devices", List.of()));
            sheet.put("wires", built.getOrDefault("wires", List.of()));
            sheet.put(
                    "plugs",
                    plugs.stream()
                            .map(p -> plug(p, p.socket, line -> carPosition(p, line, to)))
                            .toList());
            sheet.put("radio", radio());
            return sheet;
        }

        private Map<String, Object> plug(PlugLines plug, boolean socket, Function<Line, Map<String, Object>> position) {
            Map<String, Object> tree = new LinkedHashMap<>();
            tree.put("id", plug.id);
            tree.put("family", plug.family);
            if (socket) tree.put("socket", true);
            tree.put("size", plug.size);
            List<Object> positions = new ArrayList<>();
            for (int n = 1; n <= plug.size; n++) {
                int number = n;
                Optional<Line> line =
                        plug.lines.stream().filter(l -> l.position == number).findFirst();
                positions.add(line.map(position).orElseGet(() -> Map.of("position", number, "empty", true)));
            }
            tree.put("positions", positions);
            return tree;
        }

        private Map<String, Object> carPosition(PlugLines plug, Line line, Map<String, Object> to) {
            LeadRole role = roles.get(key(plug, line));
            Map<String, Object> position = new LinkedHashMap<>();
            position.put("position", line.position);
            position.put("role", role.label());
            position.put("to", to.get(role.label()));
            if (!line.colour.isBlank())
                position.put(
                        "colour",
                        WireColour.read(line.colour).map(WireColour::words).orElse(line.colour.strip()));
            boolean signal = role.group() == LeadRole.Group.CONTROL
                    || role.group() == LeadRole.Group.LINE
                    || role.group() == LeadRole.Group.PLUGGED;
            position.put(
                    "gauge",
                    line.gauge.isBlank()
                            ? signal ? USUAL_SIGNAL : USUAL
                            : line.gauge.strip().matches("-?\\d{1,2}")
                                    ? (Object) Integer.valueOf(line.gauge.strip())
                                    : line.gauge.strip());
            position.put("metres", METRES);
            return position;
        }

        private Map<String, Object> radio() {
            List<FactoryRadio.Wired> wires = plugs.stream()
                    .flatMap(p -> p.lines.stream().map(l -> wired(p, l)))
                    .toList();
            FactoryRadio radio = new FactoryRadio(wires, chosen, Map.of("buttons", buttons));
            return radio.tree(plugs.stream()
                    .map(p -> plug(p, !p.socket, line -> radio.position(line.position, wired(p, line))))
                    .toList());
        }

        private FactoryRadio.Wired wired(PlugLines plug, Line line) {
            return new FactoryRadio.Wired(plug.id, String.valueOf(line.position), roles.get(key(plug, line)));
        }

        private void ladder(Map<String, Object> built) {
            List<Object> rules = new ArrayList<>(List.of(
                    Map.of("id", "idle", "then", List.of(Map.of("draw", List.of("sw", "ret"), "ohms", 100_000)))));
            for (int i = 0; i < buttons.size(); i++) {
                Object ohms = ladder.isEmpty()
                        ? Map.of("missing", "resistance of \"%s\"".formatted(buttons.get(i)), "range", LADDER_RANGE)
                        : ladder.get(i);
                rules.add(Map.of(
                        "id",
                        buttons.get(i),
                        "when",
                        Map.of("state", "buttons", "has", buttons.get(i)),
                        "then",
                        List.of(Map.of("draw", List.of("sw", "ret"), "ohms", ohms))));
            }
            List<Object> devices = new ArrayList<>((List<?>) built.get("devices"));
            devices.replaceAll(d -> d instanceof Map<?, ?> m && "steering wheel".equals(m.get("id"))
                    ? Merge.objects(m, Map.of("rules", rules))
                    : d);
            built.put("devices", devices);
        }

        private String alone(LeadRole role) {
            Set<String> partners = new TreeSet<>();
            for (LeadRole r : LeadRole.values())
                if (r != role && !present.contains(r.label()) && stem(r).equals(stem(role))) partners.add(r.label());
            return "\"%s\" stands alone%s."
                    .formatted(
                            role.label(),
                            partners.isEmpty()
                                    ? ": no standard device answers it; leave it out here and enter it on the sheet"
                                    : ": its partner %s is missing".formatted(String.join(" or ", partners)));
        }
    }

    private static String stem(LeadRole role) {
        return role.label().replaceAll(" ([+−]|ground|shield|1)$", "");
    }

    private static String key(PlugLines plug, Line line) {
        return plug.id + "/" + line.position;
    }

    private static String path(PlugLines plug, Line line) {
        return "plugs[%s].positions[position %d]".formatted(plug.id, line.position);
    }
}
