package velvetbezel.cases;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import velvetbezel.Demo;
import velvetbezel.function.FirstUse;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.CapReason;
import velvetbezel.harness.Installation;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Learned;
import velvetbezel.run.Ohmmeter;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.SheetReader;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Ohms;
import velvetbezel.worksheet.CapRow;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Load;
import velvetbezel.worksheet.Loads;
import velvetbezel.worksheet.PlugUps;
import velvetbezel.worksheet.Worksheet;

/** Every line of a case, with what the program concludes. */
final class CaseLines {
    /** Volts that a meter at rest may be off by. */
    private static final double NEAR = 0.3;
    /** Ohms that a meter and the wires may be off by. */
    private static final double LOOSE = 0.1;
    /** Less than this is nothing steady. */
    private static final double NOTHING = 0.5;

    private final CaseFile file;
    private final Installation installation;
    private final Worksheet worksheet;
    private final PlugUps plugs;
    private final List<Line> lines = new ArrayList<>();

    /** A line of the case. */
    record Line(String key, String expected, String found) {
        boolean right() {
            return expected.equals(found);
        }

        @Override
        public String toString() {
            return "%s: expected %s, found %s".formatted(key, expected, found);
        }
    }

    private CaseLines(CaseFile file) {
        this.file = file;
        this.installation = file.built();
        this.worksheet = Worksheet.of(installation);
        this.plugs = PlugUps.of(installation);
    }

    static List<Line> of(CaseFile file) {
        CaseLines lines = new CaseLines(file);
        lines.counts();
        if (file.trap() == 0) lines.whole();
        else lines.trap();
        return lines.lines;
    }

    private void line(String key, Object expected, Object found) {
        lines.add(new Line(file.name() + " " + key, String.valueOf(expected), String.valueOf(found)));
    }

    private void counts() {
        file.counts().ifPresent(counts -> {
            int joined =
                    worksheet.joints().stream().mapToInt(j -> j.leads().size()).sum();
            line("leads", counts.get("leads").asInt(), joined + worksheet.caps().size());
            line("joints", counts.get("joints").asInt(), worksheet.joints().size());
            line("caps", counts.get("caps").asInt(), worksheet.caps().size());
            line("exceptions", counts.get("exceptions").asInt(), exceptions());
        });
    }

    private int exceptions() {
        return worksheet.joints().stream().mapToInt(j -> j.deviations().size()).sum()
                + plugExceptions().size();
    }

    private List<String> plugExceptions() {
        List<String> kinds = new ArrayList<>();
        if (plugs.together().stream().anyMatch(PlugUps.PlugUp::crossed)) kinds.add("crossed links");
        if (plugs.together().stream().anyMatch(PlugUps.PlugUp::insert)) kinds.add("moved insert");
        return kinds;
    }

    private void whole() {
        joints();
        exceptionLines();
        caps();
        outcomes(file.expected().get("outcomes_structured"));
        readings();
        ohms();
        faults();
    }

    private Set<String> leads(JointRow row) {
        return row.leads().stream().map(l -> file.named(l.id())).collect(Collectors.toCollection(TreeSet::new));
    }

    private void joints() {
        List<JointRow> rows = worksheet.joints();
        for (JsonNode joint : file.expected().get("joints")) {
            int n = joint.get("n").asInt();
            Set<String> expected = joint.get("leads")
                    .valueStream()
                    .map(JsonNode::asString)
                    .collect(Collectors.toCollection(TreeSet::new));
            Object found = n <= rows.size() ? place(rows.get(n - 1)) + leads(rows.get(n - 1)) : "none";
            line("joint " + n, place(joint) + expected, found);
        }
    }

    /** A lead run from elsewhere is joined at the dash. */
    private static String place(JsonNode joint) {
        return joint.get("place").asString().replaceAll(",.*", "");
    }

    private static String place(JointRow row) {
        return row.id().location().words();
    }

    private void exceptionLines() {
        Map<String, Set<String>> expected = new TreeMap<>();
        file.expected().get("exceptions").forEach(x -> expected.computeIfAbsent(
                        x.get("joint").isNull()
                                ? "plugs"
                                : "joint " + x.get("joint").asInt(),
                        k -> new TreeSet<>())
                .add(x.get("kind").asString()));
        Map<String, Set<String>> found = new TreeMap<>();
        worksheet.joints().forEach(j -> j.deviations()
                .forEach(d -> found.computeIfAbsent("joint " + j.number(), k -> new TreeSet<>())
                        .add(d.kind().label())));
        if (!plugExceptions().isEmpty()) found.put("plugs", new TreeSet<>(plugExceptions()));
        Set<String> keys = new TreeSet<>(expected.keySet());
        keys.addAll(found.keySet());
        for (String key : keys)
            line("exceptions of " + key, expected.getOrDefault(key, Set.of()), found.getOrDefault(key, Set.of()));
    }

    private void caps() {
        for (JsonNode cap : file.expected().get("caps")) {
            String lead = cap.get("lead").asString();
            line("cap of " + lead, cap.get("code").asString(), reason(lead));
        }
    }

    private String reason(String lead) {
        return worksheet.caps().stream()
                .filter(c -> file.named(c.lead().id()).equals(lead))
                .map(CapRow::reason)
                .map(CapReason::getClass)
                .map(Class::getSimpleName)
                .findFirst()
                .orElse("not capped");
    }

    private void outcomes(JsonNode expected) {
        Map<FunctionId, Outcome> outcomes =
                Outcomes.compare(Builder.factory(file.vehicle()), installation, file.catalogue());
        JsonNode functions = file.sheets().get("functions");
        for (JsonNode o : expected) {
            String name = o.get("function").asString();
            if (!functions.has(name)) {
                line("outcome of " + name, o.get("outcome").asString(), "no function for it");
                continue;
            }
            if (functions.get(name).isString()) {
                String unknown = reason(functions.get(name).asString()).equals("RoleUnknown") ? "unknown" : "known";
                line("outcome of " + name, o.get("outcome").asString(), unknown);
                continue;
            }
            String once = o.get("once_set_up").asBoolean() ? " once set up" : "";
            for (JsonNode f : functions.get(name)) {
                Outcome found = outcomes.get(new FunctionId(f.asString()));
                line(
                        "outcome of %s (%s)".formatted(name, f.asString()),
                        o.get("outcome").asString() + once,
                        found == null
                                ? "no such function"
                                : found.word() + (found.once().isEmpty() ? "" : " once set up"));
            }
        }
    }

    // --- readings

    private void readings() {
        FirstUse first = FirstUse.of(installation, Assumption.ALL_FIRST);
        Run run = new Run(installation, first.learned(), Assumption.ALL_FIRST);
        file.expected().get("readings").properties().forEach(state -> {
            JsonNode set = file.sheets().get("states").get(state.getKey());
            if (set == null) return;
            VehicleState wanted = SheetReader.step(Demo.parse(set.toString())).from(VehicleState.AT_REST);
            Picture picture = run.in(wanted, first.memory()).picture();
            state.getValue().forEach(r -> reading(state.getKey(), r, picture));
        });
    }

    private void reading(String state, JsonNode reading, Picture picture) {
        String at = reading.get("at").asString();
        String value = reading.get("value").asString();
        JsonNode place = file.sheets().get("places").get(at);
        if (place == null || value.contains(" / ")) return;
        String[] names = place.asString().split("\\.", 2);
        TerminalId id = new TerminalId(names[0], names[1]);
        double volts = picture.at(id).reading().map(v -> v.value()).orElse(0.0);
        line("reading %s, %s".formatted(at, state), value, agrees(value, volts) ? value : "%.2f V".formatted(volts));
    }

    private static boolean agrees(String value, double volts) {
        if (value.equals("nothing steady")) return Math.abs(volts) < NOTHING;
        String[] words = value.split(" ");
        if (words[0].equals("below")) return volts < Double.parseDouble(words[1]);
        if (words[0].equals("between"))
            return volts > Double.parseDouble(words[1]) - NEAR && volts < Double.parseDouble(words[3]) + NEAR;
        if (words[0].equals("above")) return volts > Double.parseDouble(words[1]);
        return Math.abs(volts - Double.parseDouble(words[0])) <= NEAR;
    }

    /** Read with the battery off; several readings of one place stand in one line, after each other. */
    private void ohms() {
        if (!file.sheets().has("ohms")) return;
        Run run = new Run(installation, Learned.NOTHING, Assumption.ALL_FIRST);
        for (JsonNode o : file.sheets().get("ohms")) {
            String at = o.get("at").asString();
            String value = ohms(at);
            if (o.has("part")) value = value.split(", ")[o.get("part").asInt()];
            Set<String> held = o.has("button") ? Set.of(o.get("button").asString()) : Set.of();
            VehicleState off = VehicleState.AT_REST
                    .with(StateField.BATTERY, "disconnected")
                    .withButtons(held);
            Optional<Double> found = Ohmmeter.ohms(
                            run.in(off, run.start()).picture(), terminal(o.get("from")), terminal(o.get("to")))
                    .map(Ohms::value);
            line("ohms %s %s".formatted(at, held), value, agrees(value, found) ? value : found);
        }
    }

    private String ohms(String at) {
        return file.expected().get("readings").properties().stream()
                .flatMap(state -> state.getValue().valueStream())
                .filter(r -> r.get("at").asString().equals(at))
                .map(r -> r.get("value").asString())
                .findFirst()
                .orElseThrow();
    }

    private static TerminalId terminal(JsonNode name) {
        String[] names = name.asString().split("\\.", 2);
        return new TerminalId(names[0], names[1]);
    }

    /** "open", "below 1 ohm", "about 4", "4 to 5", "90-150", "15 k". */
    private static boolean agrees(String value, Optional<Double> found) {
        if (value.equals("open") || found.isEmpty()) return value.equals("open") && found.isEmpty();
        List<Double> numbers = Pattern.compile("\\d+( k)?")
                .matcher(value)
                .results()
                .map(n -> n.group().endsWith("k")
                        ? 1000 * Double.parseDouble(n.group().replace(" k", ""))
                        : Double.parseDouble(n.group()))
                .toList();
        double low = value.startsWith("below") ? 0 : numbers.get(0) * (1 - LOOSE);
        double high = numbers.get(numbers.size() > 1 ? 1 : 0) * (1 + LOOSE);
        return found.get() >= low && found.get() <= high;
    }

    private void faults() {
        line("faults of the build", List.of(), installation.faults());
    }

    // --- traps

    private void trap() {
        JsonNode trap = file.trapped();
        if (trap.has("refused")) line("refused", trap.get("refused").asString(), refused());
        if (trap.has("joints"))
            trap.get("joints").properties().forEach(e -> {
                Set<String> expected = e.getValue()
                        .valueStream()
                        .map(JsonNode::asString)
                        .collect(Collectors.toCollection(TreeSet::new));
                Optional<JointRow> row = row(e.getKey());
                line(
                        "joint " + e.getKey(),
                        expected,
                        row.map(this::leads).map(Object::toString).orElse("none"));
            });
        if (trap.has("absent"))
            for (JsonNode role : trap.get("absent"))
                line(
                        "no joint " + role.asString(),
                        "none",
                        row(role.asString())
                                .map(this::leads)
                                .map(Object::toString)
                                .orElse("none"));
        if (trap.has("outcomes")) {
            Map<FunctionId, Outcome> outcomes =
                    Outcomes.compare(Builder.factory(file.vehicle()), installation, file.catalogue());
            trap.get("outcomes")
                    .properties()
                    .forEach(e -> line(
                            "outcome of " + e.getKey(),
                            e.getValue().asString(),
                            outcomes.get(new FunctionId(e.getKey())).kind()));
        }
    }

    private String refused() {
        if (!installation.faults().isEmpty()) return "tied";
        return Loads.of(installation, worksheet, Demo.tables()).stream()
                        .anyMatch(l -> l.kind() == Load.Kind.SPEAKER && l.verdict() == Load.Verdict.OVER)
                ? "load"
                : "taken";
    }

    private Optional<JointRow> row(String role) {
        return worksheet.joints().stream()
                .filter(j -> j.id().name().equals(role))
                .findFirst();
    }
}
