package velvetbezel.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.match.Market;
import velvetbezel.match.Matcher;
import velvetbezel.match.RadioMatch;
import velvetbezel.match.Wishes;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;

/**
 * The front of one radio in the plain crossover with eight needs and many candidates for each: copies of the demo's parts that
 * behave as these and are priced anew. Price and labour are correlated at −0.6 (dearer is quicker), a seventh waits, a
 * twentieth asks for a cut. Tables are filled in the set-up: this measures the search.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class MatchBenchmark {
    private static final double CORRELATION = -0.6;
    private static final Set<PartKind> NEEDS = Set.of(PartKind.DASH_KIT, PartKind.VEHICLE_HARNESS_ADAPTER, PartKind.ANTENNA_ADAPTER, PartKind.DATA_MODULE, PartKind.CAMERA, PartKind.MICROPHONE, PartKind.USB_ADAPTER, PartKind.GPS_ANTENNA);
    @Param({"5", "10", "20", "40"}) private int candidates;
    private RadioMatch match;
    private Market market;

    @Setup public void put() {
        Random random = new Random(7);
        Sheet.Vehicle vehicle = Workshop.find(Sheet.Vehicle.class, "meridale-plover-2019-plain");
        Sheet.Radio radio = Workshop.find(Sheet.Radio.class, "ondel-47");
        Map<PartKind, List<Sheet.Part>> kinds = Workshop.all(Sheet.Part.class).stream().filter(p -> NEEDS.contains(p.kind())).filter(p -> p.vehicles().isEmpty() || p.vehicles().contains(vehicle.id())).collect(Collectors.groupingBy(Sheet.Part::kind));
        List<Sheet.Part> parts = new ArrayList<>();
        Map<String, Integer> days = new HashMap<>();
        kinds.forEach((kind, here) -> {
            for (int i = 0; i < Math.max(candidates, here.size()); i++) parts.add(copy(here.get(i % here.size()), i, random, days));
        });
        Installation factory = Builder.factory(vehicle);
        Set<FunctionId> had = Outcomes.fulfilled(factory, Workshop.catalogue());
        match = RadioMatch.of(factory, vehicle, radio, parts, Workshop.catalogue(), had);
        market = new Market(Map.of(), days);
        Matcher.match(List.of(match), wishes(), market);
    }

    private static Wishes wishes() { return new Wishes(Set.of(), Set.of(new FunctionId("microphone"), new FunctionId("position"), new FunctionId("rear camera"), new FunctionId("usb"), new FunctionId("aux")), Optional.empty()); }

    private static Sheet.Part copy(Sheet.Part p, int i, Random random, Map<String, Integer> days) {
        double price = random.nextGaussian();
        double labour = CORRELATION * price + Math.sqrt(1 - CORRELATION * CORRELATION) * random.nextGaussian();
        String id = p.id() + "-" + i;
        if (random.nextInt(7) == 0) days.put(id, 1 + random.nextInt(5));
        return new Sheet.Part(new Sheet.Header(id, p.name() + " " + i, p.header().from()), p.kind(), Math.max(100, Math.round(p.priceCents() * (1 + 0.25 * price))), Math.max(0, (int) Math.round(p.minutes() * (1 + 0.25 * labour))),
            random.nextInt(20) == 0 ? 1 : p.cuts(), p.holds(), p.device(), p.vehicles(), p.finishes(), p.takes());
    }

    @Benchmark public Object front() { return Matcher.match(List.of(match), wishes(), market); }
}
