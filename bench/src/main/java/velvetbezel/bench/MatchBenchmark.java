package velvetbezel.bench;

import java.util.List;
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
import org.openjdk.jmh.annotations.Warmup;
import velvetbezel.match.Matcher;
import velvetbezel.match.RadioMatch;

/**
 * The front of one radio with eight needs and many candidates for each. Tables are filled in the set-up: this
 * measures the search.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class MatchBenchmark {
    @Param({"5", "10", "20", "40"})
    private int candidates;

    private Seeded shop;
    private RadioMatch match;

    @Setup
    public void put() {
        shop = new Seeded(candidates);
        match = shop.one("ondel-47");
        front();
    }

    @Benchmark
    public Object front() {
        return Matcher.match(List.of(match), shop.wishes(), shop.market());
    }
}
