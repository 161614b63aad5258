package velvetbezel.function;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.ScenarioReader;
import velvetbezel.sheet.SheetReader;

/** All functions that are asked of an installation, in the order in which they are proved. */
public record Catalogue(String id, List<CarFunction> functions) {
    public Catalogue {
        functions = List.copyOf(functions);
    }

    public Optional<CarFunction> find(FunctionId id) {
        return functions.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /**
     * Reads a document of kind "functions".
     *
     * @throws InvalidInput with every fault
     */
    public static Catalogue read(Object tree) {
        List<InputProblem> faults = new ArrayList<>();
        Node node = Node.root(tree, faults);
        String id = SheetReader.header(node).id();
        node.only("format", "version", "kind", "id", "name", "source", "functions");
        List<CarFunction> functions =
                node.at("functions").list().stream().map(Catalogue::function).toList();
        Set<FunctionId> seen = new HashSet<>();
        for (CarFunction f : functions)
            if (!seen.add(f.id())) node.at("functions").fault("has function \"%s\" twice.".formatted(f.id()));
        if (functions.isEmpty()) node.at("functions").fault("is missing or empty.");
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return new Catalogue(id, functions);
    }

    /** Settings that scenarios choose, by name: sources, faders, pages. They are in use all the time, and not set up. */
    public Set<String> settingsInUse() {
        return functions.stream()
                .flatMap(f -> f.scenario().stream())
                .flatMap(s -> s.set().settings().keySet().stream())
                .map(key -> key.substring(key.indexOf('.') + 1))
                .collect(Collectors.toUnmodifiableSet());
    }

    private static CarFunction function(Node node) {
        node.only("function", "name", "group", "ask", "expected", "wish", "must", "feeds", "phase", "scenario");
        return new CarFunction(
                new FunctionId(node.at("function").text()),
                node.at("name").text(),
                node.at("group").text(),
                node.at("ask").text(),
                node.at("expected").text(),
                node.at("wish").truth(false),
                node.at("must").truth(false),
                node.has("feeds")
                        ? Optional.of(node.at("feeds").one(LeadRole::find, LeadRole.all(), LeadRole.ANTENNA_POWER))
                        : Optional.empty(),
                node.at("phase")
                        .one(CheckPhase::find, CheckPhase.all(), CheckPhase.BEFORE_CLOSING, CheckPhase.BEFORE_CLOSING),
                node.at("scenario").list().stream().map(Catalogue::scene).toList());
    }

    private static CarFunction.Scene scene(Node node) {
        node.only("set", "expect");
        return new CarFunction.Scene(
                ScenarioReader.step(node.at("set")),
                node.at("expect").list().stream()
                        .flatMap(n -> expect(n).stream())
                        .toList());
    }

    private static Optional<Expect> expect(Node node) {
        if (node.has("arrives"))
            return Optional.of(
                    new Expect.Arrives(node.only("arrives", "at").at("arrives").text(), port(node.at("at"))));
        if (node.has("shows")) {
            String[] halves = halves(node.only("shows").at("shows"), ":");
            return Optional.of(new Expect.Shows(halves[0], halves[1]));
        }
        if (node.has("reads")) return Optional.of(reads(node));
        if (node.has("mode")) {
            String[] halves = halves(node.only("mode", "is").at("mode"), "\\.");
            return Optional.of(
                    new Expect.InMode(halves[0], halves[1], node.at("is").text()));
        }
        if (node.has("quiet"))
            return Optional.of(new Expect.Quiet(port(node.only("quiet").at("quiet"))));
        if (node.has("not")) return expect(node.only("not").at("not")).map(Expect.Not::new);
        if (node.has("any"))
            return Optional.of(new Expect.Any(node.only("any").at("any").list().stream()
                    .flatMap(n -> expect(n).stream())
                    .toList()));
        node.fault("is nothing to expect; use one of arrives, shows, reads, mode, quiet, not, any.");
        return Optional.empty();
    }

    private static Expect reads(Node node) {
        node.only("reads", "at", "min", "max");
        Expect.Reads.Unit unit = node.at("reads")
                .one(
                        u -> switch (u) {
                            case "volts" -> Optional.of(Expect.Reads.Unit.VOLTS);
                            case "amps" -> Optional.of(Expect.Reads.Unit.AMPS);
                            default -> Optional.empty();
                        },
                        "volts, amps",
                        Expect.Reads.Unit.VOLTS);
        String[] halves = halves(node.at("at"), "\\.");
        return new Expect.Reads(
                unit,
                new TerminalId(halves[0], halves[1]),
                node.at("min").number(-1000, 1000, -1000),
                node.at("max").number(-1000, 1000, 1000));
    }

    private static PortRef port(Node node) {
        String[] halves = halves(node, ":");
        return new PortRef(halves[0], halves[1]);
    }

    private static String[] halves(Node node, String mark) {
        String[] halves = node.text().split(mark, 2);
        if (halves.length == 2) return halves;
        node.fault("expected device%sname.".formatted(mark.replace("\\", "")));
        return new String[] {"?", "?"};
    }
}
