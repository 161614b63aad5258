package velvetbezel.bench;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
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
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import velvetbezel.match.Matcher;
import velvetbezel.match.RadioMatch;
import velvetbezel.sheet.Sheet;

/**
 * The front over 200 radios from nothing: tables filled by building and running, then searched, on two threads
 * as the app does it.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 1)
@Measurement(iterations = 3)
public class RadiosBenchmark {
    @Param({"5", "40"})
    private int candidates;
    /** Whether the 200 are of six behaviours, or no two behave alike. */
    @Param({"true", "false"})
    private boolean alike;

    private final ExecutorService threads = Executors.newFixedThreadPool(2);
    private Seeded shop;
    private List<Sheet.Radio> radios;

    @Setup
    public void put() {
        shop = new Seeded(candidates);
        radios = shop.radios(200, alike);
    }

    @Benchmark
    public Object all() {
        List<CompletableFuture<RadioMatch.Found>> found = shop.match(radios).stream()
                .map(m ->
                        CompletableFuture.supplyAsync(() -> m.kits(shop.wishes(), shop.market(), () -> false), threads))
                .toList();
        return Matcher.best(found.stream().map(CompletableFuture::join).toList());
    }

    @TearDown
    public void stop() {
        threads.shutdown();
    }
}
