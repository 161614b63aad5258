package velvetbezel.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.Fitter;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.fit.FitReader;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;
import velvetbezel.store.Json;

/** A crowded dash: eight bands, forty boxes, a radio with ten plugs and twenty holes, brackets with ten slots a side. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class FitBenchmark {
    private static final Provenance MEASURED = Provenance.of(Provenance.Origin.MEASURED);
    private Site site;
    private RadioBody radio;
    private Optional<KitFrame> kit;

    @Setup
    public void dash() {
        List<String> bands = new ArrayList<>();
        for (int b = 0; b < 8; b++)
            bands.add("{\"id\": \"b%d\", \"x\": [-20, 210], \"y\": [%d, %d], \"depth\": %d}"
                    .formatted(b, 15 * b - 10, 15 * b + 5, 200 + 3 * b));
        List<String> boxes = new ArrayList<>();
        for (int o = 0; o < 40; o++)
            boxes.add(
                    "{\"id\": \"o%d\", \"boxes\": [{\"x\": [%d, %d], \"y\": [%d, %d], \"z\": [%d, %d], \"may\": \"trim\"}]}"
                            .formatted(o, 4 * o, 4 * o + 30, 2 * o, 2 * o + 20, 100 + 2 * o, 130 + 2 * o));
        site = FitReader.site(
                        node("{\"opening\": {\"w\": 184, \"h\": 104}, \"bands\": [%s], \"obstructions\": [%s]}"
                                .formatted(String.join(",", bands), String.join(",", boxes))),
                        "car",
                        MEASURED)
                .orElseThrow();
        List<String> plugs = new ArrayList<>();
        List<String> holes = new ArrayList<>();
        List<String> slots = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            plugs.add("{\"plug\": \"p%d\", \"x\": %d, \"y\": 10, \"w\": 15, \"h\": 15, \"out\": 12, \"bend\": 25}"
                    .formatted(i, 16 * i));
            slots.add("{\"id\": \"s%d\", \"z\": [%d, %d], \"y\": [%d, %d]}".formatted(i, 8 * i, 8 * i + 6, 9, 12));
        }
        for (int h = 0; h < 20; h++) holes.add("{\"n\": %d, \"z\": %d, \"y\": 10}".formatted(h + 1, 6 * h));
        radio = FitReader.body(
                        node(
                                "{\"face\": {\"w\": 180, \"h\": 100}, \"chassis\": {\"w\": 178, \"h\": 98, \"d\": 160}, \"sockets\": [%s], \"holes\": [%s]}"
                                        .formatted(String.join(",", plugs), String.join(",", holes))),
                        "radio",
                        MEASURED)
                .orElseThrow();
        String bracket = "{\"height\": 98, \"slots\": [%s]}".formatted(String.join(",", slots));
        kit = FitReader.frame(
                node("{\"mount\": \"iso\", \"brackets\": {\"left\": %s, \"right\": %s}}".formatted(bracket, bracket)),
                "kit",
                MEASURED);
    }

    private static Node node(String json) {
        List<InputProblem> faults = new ArrayList<>();
        return Node.root(Json.parse(json), faults);
    }

    @Benchmark
    public FitReport fit() {
        return Fitter.of(site, radio, Optional.empty());
    }

    @Benchmark
    public FitReport fitWithBrackets() {
        return Fitter.of(site, radio, kit);
    }
}
