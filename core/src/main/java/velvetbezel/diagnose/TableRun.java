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
import java.util.function.Consumer;
import java.util.function.Function;
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
import velvetbezel.sheet.Effect;
import velvetbezel.state.VehicleState;

/** Runs an installation with each of its faults. What was set up and learned on the healthy one is done once. */
final class TableRun {
    /** Left and right. */
    private static final int EXCHANGED = 2;

    /** So many are run before the first table is there. */
    private static final int LIKELIEST = 100;

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

    /** @param early told what the likeliest faults show, before the others are run */
    SymptomTable run(IntConsumer done, Consumer<SymptomTable> early, BooleanSupplier stopped) {
        Shown right = shown(healthy);
        Set<RuleRef> acting = acting(right);
        List<Fault> faults = FaultCatalogue.of(healthy, rates, first);
        AtomicInteger count = new AtomicInteger();
        Function<Fault, Optional<Result>> run = f -> {
            if (stopped.getAsBoolean()) return Optional.empty();
            Result result = idle(f, acting) ? asHealthy(f, right) : result(f, right);
            done.accept(count.incrementAndGet());
            return Optional.of(result);
        };
        int likely = Math.min(LIKELIEST, faults.size());
        List<Result> results = new ArrayList<>(results(faults.subList(0, likely), run));
        early.accept(table(results, right, List.of()));
        results.addAll(results(faults.subList(likely, faults.size()), run));
        return table(results, right, Swaps.of(healthy));
    }

    private static List<Result> results(List<Fault> faults, Function<Fault, Optional<Result>> run) {
        return faults.parallelStream().map(run).flatMap(Optional::stream).toList();
    }

    /**
     * A rule that is in force in nothing that is tried can be dead without changing any of it, unless it enters a mode: then
     * it may have been in force only on the way there.
     */
    private boolean idle(Fault fault, Set<RuleRef> acting) {
        return fault.edits().stream()
                .allMatch(e -> e instanceof Edit.Disable d
                        && !acting.contains(new RuleRef(d.instance(), d.rule()))
                        && !enters(d));
    }

    private boolean enters(Edit.Disable d) {
        return healthy.instance(d.instance()).stream()
                .flatMap(i -> i.device().rules().stream())
                .filter(rule -> rule.id().equals(d.rule()))
                .anyMatch(rule -> rule.then().stream().anyMatch(Effect.Enter.class::isInstance));
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
                    if (table.tests().get(i) instanceof Trial.OfSwap s)
                        return table.findings().get(i).indexOf(symptom(tried.with(s.exchange()), s.again(), right));
                    int check = number(((Trial.OfCheck) table.tests().get(i)).function());
                    return table.findings().get(i).indexOf(now.checks.get(check).against(right.checks.get(check)));
                })
                .toArray();
    }

    private int number(FunctionId function) {
        return functions.stream().map(CarFunction::id).toList().indexOf(function);
    }

    /** What one function shows of an installation, against the healthy one. */
    private Finding.Symptom symptom(Installation tried, FunctionId function, Shown right) {
        int check = number(function);
        CarFunction f = functions.get(check);
        return new Perceived(f, sinks, scenes(run(tried), start(tried), f)).against(right.checks.get(check));
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
        Memory start = start(tried);
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

    private Memory start(Installation tried) {
        Map<String, String> modes = new HashMap<>(first.memory().modes());
        modes.putAll(tried.modes());
        return new Memory(modes, first.memory().inForce());
    }

    private static List<Picture> scenes(Run run, Memory start, CarFunction f) {
        return run.through(f.states(), start).stream().map(Settled::picture).toList();
    }

    // --- the table of what they showed

    private SymptomTable table(List<Result> results, Shown right, List<Swaps.Swap> swaps) {
        Columns columns = new Columns();
        for (int i = 0; i < functions.size(); i++) {
            int check = i;
            columns.add(
                    new Trial.OfCheck(functions.get(i).id()),
                    Finding.Symptom.RIGHT,
                    results.stream().<Finding>map(r -> r.symptoms.get(check)).toList());
        }
        for (int t = 0; t < meters.trials().size(); t++) {
            int place = t;
            Trial.Measured trial = meters.trials().get(t);
            MeterBands bands = MeterBands.of(
                    trial.meter(),
                    right.read.get(place),
                    results.stream().map(r -> r.read.get(place)).toList());
            columns.add(
                    trial,
                    bands.of(right.read.get(place)),
                    results.stream().map(r -> bands.of(r.read.get(place))).toList());
        }
        for (Swaps.Swap swap : swaps) exchanged(swap, results, right, columns);
        List<SymptomTable.Row> rows = new ArrayList<>();
        for (int r = 0; r < results.size(); r++) {
            int row = r;
            rows.add(new SymptomTable.Row(
                    results.get(r).fault,
                    columns.shows.stream().mapToInt(c -> c[row]).toArray()));
        }
        return new SymptomTable(
                columns.tests,
                columns.findings,
                columns.tests.stream().map(this::scenes).toList(),
                rows);
    }

    private void exchanged(Swaps.Swap swap, List<Result> results, Shown right, Columns columns) {
        Installation swapped = healthy.with(swap.exchange());
        Run run = run(swapped);
        Memory start = start(swapped);
        List<Integer> changed = IntStream.range(0, functions.size())
                .filter(i -> !new Perceived(functions.get(i), sinks, scenes(run, start, functions.get(i)))
                        .against(right.checks.get(i))
                        .right())
                .boxed()
                .limit(EXCHANGED)
                .toList();
        if (changed.isEmpty()) return;
        FunctionId again = functions.get(changed.get(0)).id();
        Finding.Symptom exchanged = symptom(swapped, again, right);
        columns.add(
                new Trial.OfSwap(swap.exchange(), again, swap.words()),
                exchanged,
                results.parallelStream()
                        .map(r -> exchanged(r, changed, exchanged, swapped, right))
                        .toList());
    }

    /** A fault that one side notices is run with the exchange; one that none does shows no more, one that both do the same. */
    private Finding exchanged(
            Result r, List<Integer> sides, Finding.Symptom exchanged, Installation swapped, Shown right) {
        long wrong = sides.stream().filter(i -> !r.symptoms.get(i).right()).count();
        if (wrong == 0) return exchanged;
        return wrong == sides.size()
                ? r.symptoms.get(sides.get(0))
                : symptom(
                        swapped.with(r.fault.edits()),
                        functions.get(sides.get(0)).id(),
                        right);
    }

    private List<VehicleState> scenes(Trial test) {
        return functions.stream()
                .filter(f -> test.equals(new Trial.OfCheck(f.id())))
                .findFirst()
                .map(CarFunction::states)
                .orElse(List.of());
    }

    /** Tests at which some fault shows something, what each can show, and what each fault shows of it. */
    private static final class Columns {
        private final List<Trial> tests = new ArrayList<>();
        private final List<List<Finding>> findings = new ArrayList<>();
        private final List<int[]> shows = new ArrayList<>();

        void add(Trial test, Finding healthy, List<Finding> shown) {
            Map<Finding, Integer> places = new LinkedHashMap<>(Map.of(healthy, 0));
            shown.forEach(f -> places.putIfAbsent(f, places.size()));
            if (places.size() < 2) return;
            tests.add(test);
            findings.add(List.copyOf(places.keySet()));
            shows.add(shown.stream().mapToInt(places::get).toArray());
        }
    }
}
