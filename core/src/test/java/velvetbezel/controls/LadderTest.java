package velvetbezel.controls;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Checks;
import velvetbezel.Demo;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Builder;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Run;
import velvetbezel.sheet.Converter;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/** Steering-wheel ladders: bands, gaps, slip rings, pull-ups. */
class LadderTest {
    private static final double OPEN = Double.POSITIVE_INFINITY;

    static KeyReader reader(double volts, double pullUp) {
        return new KeyReader(
                new TerminalId("radio", "sw"),
                new TerminalId("radio", "gnd"),
                new Volts(volts),
                new Ohms(pullUp),
                Optional.of(new Converter(Optional.of(1.0), Optional.of(10), Optional.of(true), List.of())));
    }

    static ButtonLadder ladder(KeyReader reader, double rest, double... ohms) {
        return ladderOf(reader, 0.05, rest, ohms);
    }

    static ButtonLadder ladderOf(KeyReader reader, double tolerance, double rest, double... ohms) {
        List<Rung> rungs = new ArrayList<>(List.of(new Rung(Rung.REST, rest)));
        for (int i = 0; i < ohms.length; i++) rungs.add(new Rung("button " + (i + 1), ohms[i]));
        return new ButtonLadder(reader, rungs, false, tolerance, false);
    }

    private static List<Double> volts(ButtonLadder ladder) {
        return ladder.bands().stream()
                .filter(b -> !b.button().isEmpty())
                .map(b -> b.nominal().value())
                .toList();
    }

    /** A divider: reference · R / (R + pull-up). */
    @ParameterizedTest
    @CsvSource({
        "5, 1500, 0.31250, 0.63953, 1.19289, 2.00000, 2.97297",
        "3.3, 1000, 0.30000, 0.59508, 1.05510, 1.65000, 2.26875"
    })
    void fiveButtonsLeaveWhatADividerLeaves(
            double reference, double pullUp, double a, double b, double c, double d, double e) {
        List<Double> volts = volts(ladder(reader(reference, pullUp), OPEN, 100, 220, 470, 1000, 2200));
        double[] expected = {a, b, c, d, e};
        for (int i = 0; i < 5; i++) assertEquals(expected[i], volts.get(i), 1e-5);
    }

    /** Nine and nine voltages of ngspice: eight buttons that short a chain, and the chain's end at rest. */
    @ParameterizedTest
    @CsvSource({"5, 1000, 99", "3.3, 4700, 108"})
    void chainOfEightAgreesWithNgspice(double reference, double pullUp, int first) {
        double[] chain = {0, 100, 150, 220, 330, 470, 680, 1000};
        double[] ohms = new double[8];
        double sum = 0;
        for (int i = 0; i < 8; i++) ohms[i] = sum += chain[i];
        ButtonLadder ladder = ladder(reader(reference, pullUp), sum + 3900, ohms);
        List<VoltBand> bands = ladder.bands();
        assertEquals(
                Checks.number("d%03d".formatted(first), "v(adc)"),
                bands.get(8).nominal().value(),
                1e-5);
        for (int i = 0; i < 8; i++)
            assertEquals(
                    Checks.number("d%03d".formatted(first + 1 + i), "v(adc)"),
                    bands.get(i).nominal().value(),
                    1e-5);
    }

    /** 2.5 Ω in the slip ring, by ngspice. */
    @ParameterizedTest
    @CsvSource({"0, d117", "1, d118", "2, d119", "7, d120"})
    void slipRingOf2Point5OhmsAgreesWithNgspice(int button, String check) {
        double[] ohms = {0, 100, 250, 470, 800, 1270, 1950, 2950};
        ButtonLadder ladder = ladder(reader(5, 1000), 6850, ohms).with(2.5);
        assertEquals(
                Checks.number(check, "v(adc)"),
                ladder.bands().get(button).nominal().value(),
                1e-5);
    }

    @Test
    void firstButtonToGoIsVolumeUpAt58OhmsMore() {
        RingLimit first =
                ladder(reader(5, 1500), OPEN, 100, 220, 470, 1000, 2200).first().orElseThrow();
        assertEquals(57.83, first.more().value(), 0.005);
        assertEquals(List.of("button 1", "button 2"), List.of(first.button(), first.becomes()));
    }

    @Test
    void tenKilohmsAtRestMoveEveryLimit() {
        double[] parallel = IntStream.of(100, 220, 470, 1000, 2200)
                .mapToDouble(r -> 1 / (1.0 / r + 1.0 / 10_000))
                .toArray();
        assertEquals(
                List.of(56.09, 109.37, 205.80, 377.11, 1829.06),
                ladder(reader(5, 1500), 10_000, parallel).ringLimits().stream()
                        .map(l -> Math.round(l.more().value() * 100) / 100.0)
                        .toList());
    }

    /** The series E24 of IEC 60063. */
    @Test
    void bestPullUpIsTheOneWithTheLargestSmallestGap() {
        assertEquals(73, E24.OHMS.size());
        assertEquals(470, best(ladder(reader(5, 1500), OPEN, 100, 220, 470, 1000, 2200)));
        assertEquals(1000, best(ladder(reader(5, 1500), OPEN, 150, 680, 2700)));
    }

    /** Two buttons are furthest apart at the geometric mean of their ohms. */
    @Test
    void twoResistorsWantTheirGeometricMean() {
        // 100 and 1600 Ω: 400 Ω; among rest and them the gap to rest binds nowhere near it
        KeyReader between = new KeyReader(
                new TerminalId("radio", "sw"),
                new TerminalId("radio", "gnd"),
                new Volts(5),
                new Ohms(1500),
                Optional.empty());
        ButtonLadder two =
                new ButtonLadder(between, List.of(new Rung("a", 100), new Rung("b", 1600)), false, 0.05, false);
        assertEquals(390, best(two), 45);
    }

    private static double best(ButtonLadder ladder) {
        return ladder.best().orElseThrow().reader().pullUp().value();
    }

    @Test
    void equalButtonsGetNoAdviceOnThePullUp() {
        ButtonLadder equal = ladder(reader(5, 1500), OPEN, 100, 470, 470);
        assertTrue(equal.equalButtons());
        assertEquals(Optional.empty(), equal.best());
        assertEquals(WindowGap.Kind.COLLIDES, equal.gaps().get(1).kind());
        assertEquals(
                List.of("button 2", "button 3"),
                List.of(equal.gaps().get(1).below(), equal.gaps().get(1).above()));
    }

    @Test
    void pullUpsThatAReadersSheetNamesAreTheOnlyChoice() {
        KeyReader named = new KeyReader(
                new TerminalId("radio", "sw"),
                new TerminalId("radio", "gnd"),
                new Volts(5),
                new Ohms(1500),
                Optional.of(
                        new Converter(Optional.empty(), Optional.empty(), Optional.empty(), List.of(1500.0, 3300.0))));
        assertEquals(1500, best(ladder(named, OPEN, 100, 220, 470, 1000, 2200)));
    }

    private static Installation ferryman() {
        return Builder.replacement(
                Demo.minibus(),
                (Sheet.Radio) SheetReader.read(Demo.tree("pebblefen-p2")),
                List.of((Sheet.Part) SheetReader.read(Demo.tree("thornlea-iso-steering")), (Sheet.Part)
                        SheetReader.read(Demo.tree("kestwick-ladder-interface"))));
    }

    /** The closed form of the limit is where the installation, run with that contact, first takes one key for another. */
    @Test
    void ringLimitIsWhereTheRunningInstallationMisreads() {
        Installation built = ferryman();
        KeyInput input = KeyInputs.of(built).stream()
                .filter(i -> i.ladder().isPresent())
                .findFirst()
                .orElseThrow();
        ButtonLadder ladder = input.ladder().get();
        assertEquals(5, ladder.buttons().size());
        assertFalse(ladder.series());
        Installation joined = built;
        RingLimit first = ladder.first().orElseThrow();
        FirstUse learned = FirstUse.of(joined, Assumption.ALL_FIRST);
        double limit = search(joined, learned, ladder, first);
        assertEquals(first.more().value(), limit, 0.1);
    }

    private static double search(Installation built, FirstUse learned, ButtonLadder ladder, RingLimit first) {
        TerminalId wheel = new TerminalId("steering wheel", "sw");
        ConductorId wire = built.conductors().stream()
                .filter(c -> c.a().equals(wheel) || c.b().equals(wheel))
                .findFirst()
                .orElseThrow()
                .id();
        double low = 0;
        double high = 4 * first.more().value();
        while (high - low > 0.01) {
            double middle = (low + high) / 2;
            if (misreads(built.with(new Edit.SetOhms(wire, new Ohms(middle))), learned, ladder, first)) high = middle;
            else low = middle;
        }
        return high;
    }

    private static boolean misreads(Installation aged, FirstUse learned, ButtonLadder ladder, RingLimit first) {
        VehicleState state = VehicleState.AT_REST.with(StateField.KEY, "run").withButtons(Set.of(first.button()));
        double volts = new Run(aged, learned.learned(), Assumption.ALL_FIRST)
                .in(state, learned.memory())
                .picture()
                .between(ladder.reader().at(), ladder.reader().of())
                .reading()
                .orElseThrow()
                .value();
        return volts
                >= ladder.window(ladder.rung(first.button()).orElseThrow())
                        .orElseThrow()
                        .high();
    }

    /** Laws over drawn ladders: order of bands, shrinking gaps, drift upwards only. */
    @ParameterizedTest
    @ValueSource(longs = {11, 23})
    void bandsAreInOrderAndGapsShrinkAsTheRingAges(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 300; i++) {
            ButtonLadder ladder = drawn(random);
            for (VoltBand b : ladder.bands())
                assertTrue(b.low().value() <= b.nominal().value()
                        && b.nominal().value() <= b.high().value());
            assertTrue(ladder.with(5).leastShare() <= ladder.leastShare() + 1e-12);
            ladder.ringLimits()
                    .forEach(l ->
                            assertTrue(ladder.rung(l.becomes()).orElseThrow().ohms()
                                    >= ladder.rung(l.button()).orElseThrow().ohms()));
        }
    }

    /** A ladder that is clear at the corners is misread by no car; where two bands overlap, some car is. */
    @ParameterizedTest
    @ValueSource(longs = {11, 23})
    void clearAtTheCornersIsClearForEveryCarDrawn(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 200; i++) {
            ButtonLadder ladder = drawn(random);
            List<VoltBand> bands = ladder.bands();
            for (int car = 0; car < 50; car++) {
                double pullUp = ladder.reader().pullUp().value()
                        * spread(random, ladder.reader().tolerance());
                for (int r = 0; r < bands.size(); r++) {
                    double ohms = ladder.rungs().get(r).ohms() * spread(random, ladder.tolerance());
                    double v = KeyReader.share(ohms, pullUp) * 5;
                    assertTrue(bands.get(r).low().value() - 1e-9 <= v
                            && v <= bands.get(r).high().value() + 1e-9);
                }
            }
        }
    }

    static double spread(Random random, double tolerance) {
        return 1 + tolerance * (2 * random.nextDouble() - 1);
    }

    private static ButtonLadder drawn(Random random) {
        double[] ohms = random.doubles(3 + random.nextInt(5), Math.log(50), Math.log(8000))
                .map(Math::exp)
                .sorted()
                .toArray();
        return ladder(reader(5, E24.OHMS.get(random.nextInt(60))), random.nextBoolean() ? OPEN : 22_000, ohms);
    }

    /** The unknown resistance of a wheel is a question, and no window is made up. */
    @Test
    void resistanceNobodyStatedIsAskedFor() {
        String text = Demo.text("corrick-ferryman-2006")
                .replaceFirst("\"ohms\": 100}", "\"ohms\": {\"missing\": \"volume up\", \"range\": [50, 150]}}");
        Sheet.Vehicle car = (Sheet.Vehicle) SheetReader.read(Demo.parse(text));
        List<KeyInput> inputs = KeyInputs.of(Builder.replacement(
                car,
                (Sheet.Radio) SheetReader.read(Demo.tree("pebblefen-p2")),
                List.of((Sheet.Part) SheetReader.read(Demo.tree("thornlea-iso-steering")), (Sheet.Part)
                        SheetReader.read(Demo.tree("kestwick-ladder-interface")))));
        KeyInput asked = inputs.stream()
                .filter(i -> i.trouble().equals(Optional.of(KeyInput.Trouble.NOT_STATED)))
                .findFirst()
                .orElseThrow();
        assertEquals(
                List.of("volume up"), asked.fields().stream().map(f -> f.path()).toList());
    }
}
