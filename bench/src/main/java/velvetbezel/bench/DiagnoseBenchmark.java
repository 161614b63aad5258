package velvetbezel.bench;

import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.Observation;
import velvetbezel.diagnose.SymptomTable;

/** What every fault of a kit would show, and one step of a search with eight answers. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class DiagnoseBenchmark {
    private static final int ANSWERS = 8;
    private final Searched minibus = Searched.minibus();
    private final Searched crossover = Searched.crossover();
    private SymptomTable table;
    private List<Observation> seen;

    @Setup
    public void search() {
        table = crossover.table();
        int[] shows = table.rows().get(0).shows();
        seen = IntStream.range(0, ANSWERS)
                .<Observation>mapToObj(
                        i -> new Observation.OfTest(table.tests().get(i), i == 0 ? Observation.NOT_RIGHT : shows[i]))
                .toList();
    }

    @Benchmark
    public SymptomTable tableOfTheMinibus() {
        return minibus.table();
    }

    @Benchmark
    public SymptomTable tableOfTheCrossover() {
        return crossover.table();
    }

    @Benchmark
    public Diagnosis stepOnTheCrossover() {
        return Diagnosis.of(table, seen, Map.of());
    }
}
