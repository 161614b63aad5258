package velvetbezel.bench;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import velvetbezel.draft.Expander;
import velvetbezel.draft.Recognise;
import velvetbezel.store.Json;
import velvetbezel.store.StandardArchetypes;

/** Short sheets: the demo's most heavily wired car, from lines to a long sheet and back. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class ShortSheetBenchmark {
    private Object amplified;
    private Object written;
    private final List<Object> all = new ArrayList<>();

    @Setup
    public void read() throws Exception {
        for (String folder : List.of("vehicles", "radios", "parts"))
            try (var files = Files.list(Path.of("demo", folder))) {
                for (Path file : files.toList()) {
                    Object tree = Json.parse(Files.readString(file, StandardCharsets.UTF_8));
                    if (Expander.isShort(tree)) all.add(tree);
                    if (file.endsWith("meridale-plover-2014-amplified.json")) amplified = tree;
                }
            }
        written = Expander.expand(amplified, StandardArchetypes.all()).tree();
    }

    @Benchmark
    public Object expandTheAmplifiedCar() {
        return Expander.expand(amplified, StandardArchetypes.all());
    }

    @Benchmark
    public int expandAllOfTheDemo() {
        int size = 0;
        for (Object tree : all)
            size += Expander.expand(tree, StandardArchetypes.all()).tree().size();
        return size;
    }

    @Benchmark
    public Object recogniseTheAmplifiedCar() {
        return Recognise.in(written, StandardArchetypes.all());
    }
}
