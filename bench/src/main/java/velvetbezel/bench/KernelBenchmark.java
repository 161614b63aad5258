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
import velvetbezel.function.Catalogue;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.match.Matcher;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.Sheet;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.store.Document;
import velvetbezel.worksheet.Worksheet;

/** What the pages wait for: reading a sheet, building, one state, all outcomes, the worksheet, all kits of a car. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class KernelBenchmark {
    private static final VehicleState ON =
            VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on");

    @Param({"minibus", "crossover"})
    String car;

    private Sheet.Vehicle vehicle;
    private Sheet.Radio radio;
    private List<Sheet.Part> parts;
    private Installation installation;
    private Installation factory;
    private final Catalogue catalogue = Workshop.catalogue();

    @Setup
    public void build() {
        boolean bus = car.equals("minibus");
        vehicle = Workshop.find(Sheet.Vehicle.class, bus ? "corrick-ferryman-2006" : "meridale-plover-2019-amplified");
        radio = Workshop.find(Sheet.Radio.class, bus ? "pebblefen-p2" : "ondel-47");
        parts = bus
                ? Workshop.parts("quillmoor-ferryman-frame", "thornlea-iso-steering")
                : Workshop.parts(
                        "quillmoor-plover-panel",
                        "ashdyke-plover-module",
                        "marlstone-plover-iso-fed",
                        "kelfax-plover-camera-voice",
                        "kelfax-plover-usb",
                        "marlstone-plover-gps");
        installation = installation();
        factory = Builder.factory(vehicle);
    }

    @Benchmark
    public Document sheet() {
        return Document.read(Workshop.text(vehicle.id()));
    }

    @Benchmark
    public Installation installation() {
        return Builder.replacement(vehicle, radio, parts);
    }

    @Benchmark
    public Picture oneState() {
        Run run = Run.of(installation);
        return run.in(ON, run.start()).picture();
    }

    @Benchmark
    public Object outcomes() {
        return Outcomes.compare(factory, installation, catalogue);
    }

    @Benchmark
    public Worksheet worksheet() {
        return Worksheet.of(installation);
    }

    @Benchmark
    public Object kits() {
        return Matcher.match(vehicle, Workshop.all(Sheet.Radio.class), Workshop.all(Sheet.Part.class), catalogue);
    }
}
