package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
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
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.run.Assumption;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.RuleRef;
import velvetbezel.run.Run;
import velvetbezel.run.Settled;
import velvetbezel.state.VehicleState;

/** Runs an installation with each of its faults. What was set up and learned on the healthy one is done once. */
final class TableRun {
    private final Installation healthy;
    private final List<CarFunction> functions;
    private final FaultRates rates;
    private final FirstUse first;
    private final Perceived.Sinks sinks;
    private final MeterRun meters;

    TableRun(Installation healthy, List<CarFunction> functions, FaultRates rates) {
        this.healthy = healthy;
        Facilities facilities = new Facilities(healthy);
        this.functions = functions.stream().map(facilities::bind).toList();
        this.rates = rates;
        this.first = FirstUse.of(healthy, Assumption.ALL_FIRST);
        this.sinks = Perceived.Sinks.of(healthy);
        this.meters = new MeterRun(healthy, sinks, run(healthy), first.memory());
    }

    /** What one installation shows: pictures of each function, and what a meter reads. */
    private record Shown(List<Perceived> checks, List<OptionalDouble> read, List<Picture> pictures) {}

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
                fault, functions.stream().map(f -> Finding.Symptom.RIGHT).toList(), right.read);
    }

    /** What another installation shows at the tests of a table; −1 for a finding that the table has not. */
    int[] against(Installation tried, SymptomTable table) {
        Shown right = shown(healthy);
        Shown now = shown(tried);
        return IntStream.range(0, table.tests().size())
                .map(i -> {
                    if (table.tests().get(i) instanceof Trial.Measured m)
                        return table.findingOf(m, now.read.get(meters.trials().indexOf(m)));
                    FunctionId f = ((Trial.OfCheck) table.tests().get(i)).function();
                    int check = functions.stream().map(CarFunction::id).toList().indexOf(f);
                    return table.findings().get(i).indexOf(now.checks.get(check).against(right.checks.get(check)));
                })
                .toArray();
    }

    private record Result(Fault fault, List<Finding.Symptom> symptoms, List<OptionalDouble> read) {}

    private Result result(Fault fault, Shown right) {
        Shown now = shown(healthy.with(fault.edits()));
        List<Finding.Symptom> symptoms = IntStream.range(0, functions.size())
                .mapToObj(i -> now.checks.get(i).against(right.checks.get(i)))
                .toList();
        return new Result(fault, symptoms, now.read);
    }

    private Run run(Installation tried) {
        return tried == healthy
                ? first.run().having(first.learned())
                : new Run(tried, first.learned(), Assumption.ALL_FIRST);
    }

    private Shown shown(Installation tried) {
        Run run = run(tried);
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
        MeterRun.Shown read = meters.of(run, start);
        pictures.addAll(read.pictures());
        return new Shown(checks, read.values(), pictures);
    }

    private static List<Picture> scenes(Run run, Memory start, CarFunction f) {
        return run.through(states(f), start).stream().map(Settled::picture).toList();
    }

    private static List<VehicleState> states(CarFunction f) {
        VehicleState state = VehicleState.AT_REST;
        List<VehicleState> states = new ArrayList<>();
        for (CarFunction.Scene s : f.scenario()) {
            state = s.set().from(state);
            states.add(state);
        }
        return states;
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
        for (int t = 0; t < meters.trials().size(); t++) {
            int place = t;
            Trial.Measured trial = meters.trials().get(t);
            MeterBands bands = MeterBands.of(
                    trial.meter(),
                    right.read.get(place),
                    results.stream().map(r -> r.read.get(place)).toList());
            column(
                    trial,
                    bands.of(right.read.get(place)),
                    results.stream().map(r -> bands.of(r.read.get(place))).toList(),
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
        return new SymptomTable(
                tests, findings, tests.stream().map(this::scenes).toList(), rows);
    }

    private List<VehicleState> scenes(Trial test) {
        return functions.stream()
                .filter(f -> test.equals(new Trial.OfCheck(f.id())))
                .findFirst()
                .map(TableRun::states)
                .orElse(List.of());
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
