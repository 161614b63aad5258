package velvetbezel.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import velvetbezel.sheet.FactReader;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.StripReader;
import velvetbezel.store.Json;
import velvetbezel.store.StandardHazards;
import velvetbezel.strip.CarState;
import velvetbezel.strip.Planner;
import velvetbezel.strip.School;
import velvetbezel.strip.Simulation;
import velvetbezel.strip.StripPlan;
import velvetbezel.strip.StripStep;
import velvetbezel.strip.Wanted;

/**
 * Orders for dashes of forty parts, all of them off, one car in eight asking for the lever; and 200 steps
 * simulated.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class StripBenchmark {
    private static final int CARS = 40;
    private static final int ITEMS = 40;
    private static final int STEPS = 200;
    private final Planner planner = new Planner();
    private List<StripDown> cars;
    private StripDown simulated;
    private List<StripStep> steps;
    private int next;

    @Setup
    public void cars() throws IOException {
        cars = new ArrayList<>();
        int least = 0;
        int none = 0;
        for (int seed = 0; seed < CARS; seed++) {
            StripDown car = car(seed);
            cars.add(car);
            StripPlan plan = planner.plan(car, all(car), CarState.CLOSED);
            if (plan instanceof StripPlan.Least l) {
                least++;
                if (l.order().steps().size() >= STEPS && steps == null) {
                    simulated = car;
                    steps = l.order().steps().subList(0, STEPS);
                }
            }
            if (plan instanceof StripPlan.NoOrder) none++;
        }
        System.out.printf("%d cars: %d proved least, %d without an order%n", CARS, least, none);
    }

    private static Wanted all(StripDown car) {
        return new Wanted(
                car.items().stream().map(DashItem::id).collect(Collectors.toSet()), Set.of(), Set.of(), School.USUAL);
    }

    private static StripDown car(long seed) {
        Random random = new Random(seed);
        List<String> items = new ArrayList<>();
        int airbags = 0;
        for (int i = 0; i < ITEMS; i++) {
            List<String> behind = new ArrayList<>();
            for (int j = 0; j < i; j++)
                if (random.nextInt(Math.max(2, i)) == 0)
                    behind.add("\"p%d%s\"".formatted(j, random.nextInt(3) == 0 ? ":loose" : ""));
            List<String> leads = new ArrayList<>();
            for (int c = random.nextInt(3); c > 0; c--) {
                boolean airbag = airbags < 3 && random.nextInt(8) == 0;
                if (airbag) airbags++;
                leads.add("{\"id\": \"c%d\"%s}".formatted(c, airbag ? ", \"circuit\": \"airbag\"" : ""));
            }
            String clear = random.nextInt(8) == 0 ? ", \"clear\": {\"gear\": [\"low\"]}" : "";
            items.add(
                    "{\"id\": \"p%d\", \"behind\": [%s], \"leads\": [%s]%s, \"fasteners\": [{\"id\": \"f\", \"drive\": \"hex 7\", \"count\": 2}]}"
                            .formatted(i, String.join(", ", behind), String.join(", ", leads), clear));
        }
        List<InputProblem> faults = new ArrayList<>();
        Object tree = Json.parse(
                "{\"facts\": {\"lever\": {\"key\": [\"run\"], \"foot brake\": true, \"battery\": true}}, \"items\": [%s]}"
                        .formatted(String.join(", ", items)));
        return StripReader.read(Node.root(tree, faults), new FactReader("car", Provenance.of(Provenance.Origin.STATED)))
                .orElseThrow();
    }

    @Benchmark
    public StripPlan order() {
        StripDown car = cars.get(next++ % CARS);
        return planner.plan(car, all(car), CarState.CLOSED);
    }

    @Benchmark
    public Simulation.Ran simulate() {
        return new Simulation(simulated, all(simulated), StandardHazards.all()).run(CarState.CLOSED, steps);
    }
}
