package velvetbezel.bench;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import velvetbezel.controls.ButtonLadder;
import velvetbezel.controls.KeyInputs;
import velvetbezel.controls.KeyReadings;
import velvetbezel.controls.LadderVerdict;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.controls.SetUpSearch;
import velvetbezel.function.Catalogue;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Sheet;

/** The minibus's ladder with all its windows, E24 and five readings; the settings of the amplified crossover with its module. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class ControlsBenchmark {
    private static final KeyReadings READ = new KeyReadings(Map.of(
            "volume up", List.of(138.0),
            "volume down", List.of(256.0),
            "next", List.of(488.0),
            "previous", List.of(951.0),
            "source", List.of(1846.0)));
    private static final String AMPLIFIED = "meridale-plover-2019-amplified";
    private static final Catalogue CATALOGUE = Workshop.catalogue();
    private Installation minibus;
    private ButtonLadder ladder;
    private Installation crossover;
    private Installation factory;

    @Setup
    public void cars() {
        minibus = fit("corrick-ferryman-2006", "pebblefen-p2", "thornlea-iso-steering");
        ladder = KeyInputs.of(minibus).get(0).ladder().orElseThrow();
        crossover = fit(AMPLIFIED, "ondel-47", "ashdyke-plover-module");
        factory = Builder.factory(Workshop.find(Sheet.Vehicle.class, AMPLIFIED));
    }

    private static Installation fit(String vehicle, String radio, String part) {
        return Builder.replacement(
                Workshop.find(Sheet.Vehicle.class, vehicle),
                Workshop.find(Sheet.Radio.class, radio),
                Workshop.parts(part));
    }

    @Benchmark
    public Object ladderWithWindowsAndBestPullUp() {
        return List.of(ladder.bands(), ladder.gaps(), ladder.ringLimits(), ladder.best());
    }

    @Benchmark
    public LadderVerdict verdictOfFiveReadings() {
        return LadderVerdict.of(ladder, READ);
    }

    @Benchmark
    public Object inputsByRunning() {
        return KeyInputs.of(minibus);
    }

    @Benchmark
    public SetUpPlan settingsWithProof() {
        return SetUpSearch.of(
                crossover,
                CATALOGUE,
                new Outcomes.Against(factory, CATALOGUE),
                new SetUpSearch.Asked(Set.of(), Set.of(), Outcomes.fulfilled(factory, CATALOGUE), Map.of(), Map.of()));
    }
}
