package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Facilities;
import velvetbezel.function.FirstUse;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Labels;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.RuleRef;
import velvetbezel.run.Run;
import velvetbezel.run.Settled;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/** Runs an installation with each of its faults. What was set up and learned on the healthy one is done once. */
final class TableRun {
    private final Installation healthy;
    private final List<CarFunction> functions;
    private final FaultRates rates;
    private final FirstUse first;
    private final Perceived.Sinks sinks;
    private final Map<TerminalId, String> points;

    TableRun(Installation healthy, List<CarFunction> functions, FaultRates rates) {
        this.healthy = healthy;
        Facilities facilities = new Facilities(healthy);
        this.functions = functions.stream().map(facilities::bind).toList();
        this.rates = rates;
        this.first = FirstUse.of(healthy, Assumption.ALL_FIRST);
        this.sinks = Perceived.Sinks.of(healthy);
        this.points = points(healthy);
    }

    /** Where a probe gets to at the radio's place: every lead of a joint, and positions of the car's plugs there. */
    private static Map<TerminalId, String> points(Installation healthy) {
        Labels labels = new Labels(healthy);
        Map<TerminalId, String> points = new LinkedHashMap<>();
        healthy.joints().forEach(j -> j.leads().stream()
                .filter(l -> healthy.terminal(l) != null)
                .forEach(l -> points.put(l, labels.terminal(l))));
        healthy.terminals().values().stream()
                .filter(t -> t.id().instance().equals(Builder.CAR)
                        && t.location().dash()
                        && t.role().isPresent())
                .forEach(t -> points.putIfAbsent(t.id(), labels.terminal(t.id())));
        return points;
    }

    /** What one installation shows: pictures of each function, and volts at each point in each state. */
    private record Shown(List<Perceived> checks, List<Optional<Volts>> volts, List<Picture> pictures) {}

    SymptomTable run(IntConsumer done, BooleanSupplier stopped) {
        Shown right = shown(healthy);
        Set<RuleRef> acting = acting(right);
        List<Fault> faults = FaultCatalogue.of(healthy, rates, first);
        AtomicInteger count = new AtomicInteger();
        List<Optional<Result>> results = faults.parallelStream()
                .map(f -> {
                    if (stopped.getAsBoolean()) return Optional.<Result>empty();
                    Result result = idle(f, acting) ? asHealthy(f, right) : result(f, right);
                    done.accept(count.incrementAndGet());
                    return Optional.of(result);
                })
                .toList();
        return table(results.stream().flatMap(Optional::stream).toList(), right);
    }

    /** A rule that is in force in nothing that is tried can be dead without changing any of it. */
    private static boolean idle(Fault fault, Set<RuleRef> acting) {
        return fault.edits().stream()
                .allMatch(e -> e instanceof Edit.Disable d && !acting.contains(new RuleRef(d.instance(), d.rule())));
    }

    private Set<RuleRef> acting(Shown right) {
        Set<RuleRef> all = new HashSet<>();
        healthy.instances().forEach(i -> i.device().rules().forEach(r -> all.add(new RuleRef(i.id(), r.id()))));
        return all.stream()
                .filter(r -> right.pictures.stream().anyMatch(p -> p.inForce(r)))
                .collect(Collectors.toSet());
    }

    private Result asHealthy(Fault fault, Shown right) {
        return new Result(
                fault, functions.stream().map(f -> Finding.Symptom.RIGHT).toList(), right.volts);
    }

    /** What another installation shows at the tests of a table; −1 for a finding that the table has not. */
    int[] against(Installation tried, SymptomTable table) {
        Shown right = shown(healthy);
        Shown now = shown(tried);
        List<TerminalId> at = List.copyOf(points.keySet());
        return IntStream.range(0, table.tests().size())
                .map(i -> {
                    if (table.tests().get(i) instanceof Trial.OfReading r) {
                        Optional<Volts> volts = now.volts.get(r.in().ordinal() * at.size() + at.indexOf(r.at()));
                        return table.findingOf(r, volts.orElse(new Volts(0)));
                    }
                    FunctionId f = ((Trial.OfCheck) table.tests().get(i)).function();
                    int check = functions.stream().map(CarFunction::id).toList().indexOf(f);
                    return table.findings().get(i).indexOf(now.checks.get(check).against(right.checks.get(check)));
                })
                .toArray();
    }

    private record Result(Fault fault, List<Finding.Symptom> symptoms, List<Optional<Volts>> volts) {}

    private Result result(Fault fault, Shown right) {
        Shown now = shown(healthy.with(fault.edits()));
        List<Finding.Symptom> symptoms = IntStream.range(0, functions.size())
                .mapToObj(i -> now.checks.get(i).against(right.checks.get(i)))
                .toList();
        return new Result(fault, symptoms, now.volts);
    }

    private Shown shown(Installation tried) {
        Run run = tried == healthy
                ? first.run().having(first.learned())
                : new Run(tried, first.learned(), Assumption.ALL_FIRST);
        Map<String, String> modes = new HashMap<>(first.memory().modes());
        modes.putAll(tried.modes());
        Memory start = new Memory(modes, first.memory().inForce());
        List<Perceived> checks = new ArrayList<>();
        List<Picture> pictures = new ArrayList<>();
        for (CarFunction f : functions) {
            List<Picture> scenes = scenes(run, start, f);
            pictures.addAll(scenes);
            checks.add(new Perceived(f, sinks, scenes));
        }
        List<Optional<Volts>> volts = new ArrayList<>();
        for (MeasuringState state : MeasuringState.values()) {
            List<Settled> passed = run.through(state.reachedBy(), start);
            passed.forEach(s -> pictures.add(s.picture()));
            Picture picture = passed.get(passed.size() - 1).picture();
            for (TerminalId at : points.keySet()) volts.add(picture.at(at).reading());
        }
        return new Shown(checks, volts, pictures);
    }

    private static List<Picture> scenes(Run run, Memory start, CarFunction f) {
        VehicleState state = VehicleState.AT_REST;
        List<VehicleState> states = new ArrayList<>();
        for (CarFunction.Scene s : f.scenario()) {
            state = s.set().from(state);
            states.add(state);
        }
        return run.through(states, start).stream().map(Settled::picture).toList();
    }

    // --- the table of what they showed

    private SymptomTable table(List<Result> results, Shown right) {
        List<Trial> tests = new ArrayList<>();
        List<List<Finding>> findings = new ArrayList<>();
        List<int[]> columns = new ArrayList<>();
        for (int i = 0; i < functions.size(); i++) {
            int check = i;
            column(
                    new Trial.OfCheck(functions.get(i).id()),
                    Finding.Symptom.RIGHT,
                    results.stream().<Finding>map(r -> r.symptoms.get(check)).toList(),
                    tests,
                    findings,
                    columns);
        }
        List<TerminalId> at = List.copyOf(points.keySet());
        for (MeasuringState state : MeasuringState.values())
            for (int p = 0; p < at.size(); p++) {
                int place = state.ordinal() * at.size() + p;
                VoltBands bands = VoltBands.of(
                        right.volts.get(place),
                        results.stream().map(r -> r.volts.get(place)).toList());
                column(
                        new Trial.OfReading(at.get(p), state, points.get(at.get(p))),
                        bands.of(right.volts.get(place)),
                        results.stream().map(r -> bands.of(r.volts.get(place))).toList(),
                        tests,
                        findings,
                        columns);
            }
        List<SymptomTable.Row> rows = new ArrayList<>();
        for (int r = 0; r < results.size(); r++) {
            int row = r;
            rows.add(new SymptomTable.Row(
                    results.get(r).fault, columns.stream().mapToInt(c -> c[row]).toArray()));
        }
        return new SymptomTable(tests, findings, rows);
    }

    private static void column(
            Trial test,
            Finding healthy,
            List<Finding> shown,
            List<Trial> tests,
            List<List<Finding>> findings,
            List<int[]> columns) {
        Map<Finding, Integer> places = new LinkedHashMap<>(Map.of(healthy, 0));
        shown.forEach(f -> places.putIfAbsent(f, places.size()));
        if (places.size() < 2) return;
        tests.add(test);
        findings.add(List.copyOf(places.keySet()));
        columns.add(shown.stream().mapToInt(places::get).toArray());
    }
}
