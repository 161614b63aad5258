package velvetbezel.worksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import velvetbezel.Checks;
import velvetbezel.Demo;
import velvetbezel.circuit.Spice;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.JointId;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Loaded;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Amps;
import velvetbezel.units.Gauge;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

class LoadsTest {
    private static final Tables TABLES = Demo.tables();

    private static List<Load> loads(Installation installation) {
        return Loads.of(installation, Worksheet.of(installation), TABLES);
    }

    private static Load load(List<Load> loads, Load.Kind kind, String what) {
        return loads.stream()
                .filter(l -> l.kind() == kind && l.what().startsWith(what))
                .findFirst()
                .orElseThrow(() -> new AssertionError(loads.toString()));
    }

    private static Sheet.Radio radio(String id, String from, String to) {
        String text = Demo.text(id);
        assertTrue(text.contains(from));
        return (Sheet.Radio) SheetReader.read(Demo.parse(text.replace(from, to)));
    }

    static Stream<JsonNode> fuses() {
        return Checks.of("fuse.next_standard");
    }

    /** At least 1.25 × the continuous load (common practice, no source). */
    @ParameterizedTest
    @MethodSource("fuses")
    void fuseIsTheNextStandardRating(JsonNode check) {
        assertEquals(
                check.get("expected").asDouble(),
                LeadLoads.fuse(
                                new Amps(check.get("input")
                                        .get("continuous_amps")
                                        .asDouble()),
                                TABLES)
                        .orElseThrow()
                        .rating()
                        .value());
    }

    /** Colours of small blade fuses (ISO 8820-3, from memory). */
    @Test
    void bladeFusesHaveTheirColours() {
        Map<Double, String> colours = new HashMap<>();
        TABLES.fuses().forEach(f -> colours.put(f.rating().value(), f.colour()));
        assertEquals(
                List.of("tan", "brown", "red", "blue", "yellow", "green"),
                Stream.of(5.0, 7.5, 10.0, 15.0, 20.0, 30.0).map(colours::get).toList());
    }

    static Stream<JsonNode> e24() {
        return Checks.of("eseries.nearest")
                .filter(c -> c.get("input").get("series").asString().equals("E24"));
    }

    @ParameterizedTest
    @MethodSource("e24")
    void nearestE24ValueIsByRatio(JsonNode check) {
        assertEquals(
                check.get("expected").asDouble(),
                Pad.nearest(new Ohms(check.get("input").get("ohms").asDouble())).value(),
                1e-9);
    }

    /**
     * The radio may draw 7 A at full volume over an 18 AWG tail: 10 A (common practice); 7 × 1.25 = 8.75, the next
     * rating is 10 A, red.
     */
    @Test
    void constantOfTheMinibusIsFusedAtTenAmps() {
        Load constant = load(loads(Demo.minibusJob()), Load.Kind.LEAD, "constant");
        assertTrue(
                constant.figures()
                        .endsWith("A on the 18 AWG lead of Thornlea ISO adapter with steering tail, good for 10 A"),
                constant::figures);
        assertEquals("Fuse for this feed: 10 A, red, blade (usual colours).", constant.text());
    }

    @Test
    void radioThatDrawsMoreThanItsLeadCarriesIsNamed() {
        Installation hungry = Builder.replacement(
                Demo.minibus(),
                radio("pebblefen-p2", "\"draws amps\": 7", "\"draws amps\": 12"),
                Demo.parts("thornlea-iso-steering"));
        assertEquals(
                Load.Verdict.OVER,
                load(loads(hungry), Load.Kind.LEAD, "constant").verdict());
        assertEquals(
                "Too thin: take a thicker lead, or feed the load from elsewhere with its own fuse.",
                load(loads(hungry), Load.Kind.LEAD, "constant").text());
    }

    @Test
    void sheetThatStatesNoCurrentIsSaidAndNotGuessed() {
        Installation silent = Builder.replacement(
                Demo.minibus(), radio("pebblefen-p2", "\"draws amps\": 7, ", ""), Demo.parts("thornlea-iso-steering"));
        assertEquals(
                Load.Verdict.UNKNOWN,
                load(loads(silent), Load.Kind.LEAD, "Pebblefen P2").verdict());
    }

    /** An amplifier input of 30 Ω asks a remote lead for 0.4 A, where 0.3 A is usual (common practice). */
    @Test
    void remoteOverItsLimitAsksForARelay() {
        Sheet.Vehicle hungry = Demo.vehicle(
                "meridale-plover-2019-amplified",
                t -> t.replace(
                        "{\"draw\": [\"remote\", \"gnd\"], \"ohms\": 4700}",
                        "{\"draw\": [\"remote\", \"gnd\"], \"ohms\": 30}"));
        Load remote = load(
                loads(Demo.fit(hungry, "ondel-47", "thornlea-plover-amplified", "ashdyke-bus-power")),
                Load.Kind.LIMIT,
                "amp remote");
        assertEquals(Load.Verdict.OVER, remote.verdict());
        assertEquals(List.of("relay with socket", "fuse holder, in line", "blade fuse"), remote.goods());
    }

    @Test
    void cameraForSixVoltsIsNotFedTwelve() {
        Load twelve = load(
                loads(Demo.fit(
                        Demo.crossover(),
                        "ondel-47",
                        "thornlea-plover-amplified",
                        "ashdyke-bus-power",
                        "hobwright-plover-camera-12")),
                Load.Kind.SUPPLY,
                "factory camera");
        assertEquals(Load.Verdict.OVER, twelve.verdict());
        Load six = load(
                loads(Demo.fit(
                        Demo.crossover(),
                        "ondel-47",
                        "thornlea-plover-amplified",
                        "ashdyke-bus-power",
                        "hobwright-plover-camera-6")),
                Load.Kind.SUPPLY,
                "factory camera");
        assertEquals(Load.Verdict.BEARS, six.verdict());
    }

    /** Two ohms and the leads to them, on channels made for four. */
    @Test
    void bypassedAmplifierLeavesSpeakersTooLowForTheRadio() {
        List<Load> loads = loads(Demo.fit(
                Demo.crossover(),
                "ondel-47",
                "thornlea-plover-amplified",
                "ashdyke-bus-power",
                "hobwright-plover-bypass"));
        assertEquals(
                Load.Verdict.OVER, load(loads, Load.Kind.SPEAKER, "front left").verdict());
        assertTrue(load(loads(Demo.minibusJob()), Load.Kind.SPEAKER, "front left")
                .figures()
                .startsWith("4.1 Ω"));
    }

    /** 4 V into an input that takes 2 V: half is left by two equal resistors. */
    @Test
    void lineLevelTooHighGetsAPadFromE24() {
        Load line = load(
                loads(Demo.fit(Demo.crossover(), "ondel-47", "thornlea-plover-amplified", "ashdyke-bus-power")),
                Load.Kind.LINE,
                "input of factory amplifier");
        assertEquals(
                "It clips before the radio's scale ends: a pad in each line lead, 1000 Ω in series and 1000 Ω across the input, leaves 2 V (E24 values nearest by ratio).",
                line.text());
        Pad odd = Pad.of(new Volts(4), new Volts(0.7));
        assertTrue(odd.gives().value() <= 0.7 && odd.gives().value() > 0.66, odd::toString);
    }

    /**
     * Amplifier inputs and line outputs that share their devices' grounds pop and whine: part of the radio's return
     * current
     * takes the line's shields. An isolator in front alone leaves it at the rear (common practice).
     */
    @Test
    void sharedLineGroundIsNamedUntilBothPairsAreIsolated() {
        Sheet.Vehicle car = Demo.vehicle(
                "meridale-plover-2014-amplified",
                t -> t.replaceFirst("\"wires\": \\[", "\"wires\": [" + grounded("amplifier.in ", "amplifier.gnd")));
        Sheet.Radio radio = radio(
                "tarnlight-major",
                "\"ports\": [",
                "\"wires\": [" + grounded("line ", "gnd").replaceAll(", $", "") + "], \"ports\": [");
        assertEquals(
                "noise on front and rear",
                load(
                                loads(Builder.replacement(car, radio, Demo.parts("thornlea-plover-2014-b"))),
                                Load.Kind.LINE,
                                "ground shared")
                        .figures());
        assertEquals(
                "noise on rear",
                load(
                                loads(Builder.replacement(
                                        car, radio, Demo.parts("thornlea-plover-2014-b", "marlstone-isolator-front"))),
                                Load.Kind.LINE,
                                "ground shared")
                        .figures());
        List<Load> both = loads(Builder.replacement(
                car,
                radio,
                Demo.parts("thornlea-plover-2014-b", "marlstone-isolator-front", "marlstone-isolator-rear")));
        assertTrue(both.stream().noneMatch(l -> l.what().startsWith("ground shared")));
        assertEquals(
                Load.Verdict.OVER,
                load(both, Load.Kind.LINE, "input of factory amplifier").verdict());
    }

    private static String grounded(String prefix, String ground) {
        return Stream.of("fl", "fr", "rl", "rr")
                .map(c -> "{\"from\": \"%s%s-\", \"to\": \"%s\", \"gauge\": 22, \"metres\": 0.05}, "
                        .formatted(prefix, c, ground))
                .collect(Collectors.joining());
    }

    /** 5 m of 18 AWG drop 1.05 V at 10 A (GNU units 2.22, of the check values): here 6.9 A flow, and one more joint. */
    @Test
    void extendedFeedDropsMoreAndIsNamed() {
        Installation usual = Demo.minibusJob();
        JointChoices ways = new JointChoices(
                Optional.empty(),
                Map.of(),
                Set.of(),
                Map.of(
                        JointId.of(LeadRole.CONSTANT),
                        Extension.read("5 m, 18 AWG").orElseThrow()));
        double before = drop(usual);
        double after = drop(ways.applied(usual));
        assertEquals(1.0474118 / 10 * 6.9 + 0.005 * 6.9, after - before, 0.02);
        assertTrue(load(Loads.of(ways.applied(usual), Worksheet.of(usual), TABLES), Load.Kind.DROP, "feed of")
                .text()
                .startsWith("A thicker or shorter lead"));
        assertEquals(
                5.5,
                Materials.of(Worksheet.of(usual), TABLES, ways, List.of()).lines().stream()
                        .filter(l -> l.name().equals("cable, AWG 18"))
                        .findFirst()
                        .orElseThrow()
                        .amount(),
                1e-9);
    }

    private static double drop(Installation installation) {
        return Double.parseDouble(
                load(loads(installation), Load.Kind.DROP, "feed of").figures().replaceAll(" V.*", ""));
    }

    @ParameterizedTest
    @ValueSource(strings = {"1.5 m, 18 AWG", "1,5 m 18", "1.5m of AWG 18"})
    void extensionIsReadAsPeopleWriteIt(String text) {
        assertEquals(new Extension(1.5, Gauge.awg(18)), Extension.read(text).orElseThrow());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1.5", "18 AWG", "0 m 18", "30 m 18", "1 m 40"})
    void otherExtensionsAreRefused(String text) {
        assertEquals(Optional.empty(), Extension.read(text));
    }

    /**
     * Currents and drops at full volume against ngspice (Debian's package), with a battery of 11.0, 12.6 and 14.4 V.
     */
    @ParameterizedTest
    @ValueSource(doubles = {11.0, 12.6, 14.4})
    void loadsAgreeWithNgspice(double battery, @TempDir Path folder) throws Exception {
        Sheet.Vehicle car = Demo.vehicle(
                "corrick-ferryman-2006",
                t -> t.replace("\"volts\": 12.6, \"ohms\": 0.02", "\"volts\": " + battery + ", \"ohms\": 0.02 "));
        Installation installation = Demo.fit(car, "pebblefen-p2", "thornlea-iso-steering");
        Run run = Run.of(installation);
        Picture picture = run.in(
                        VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on"), run.start())
                .picture();
        TerminalId constant = new TerminalId("radio", "const");
        TerminalId ground = new TerminalId("radio", "gnd");
        Loaded loaded = Loaded.of(picture, List.of(new Loaded.Draw(constant, ground, new Amps(5.5))));
        Map<String, Double> theirs = ngspice(Spice.write("full volume", loaded.netlist()), folder);
        for (int node = 1; node < picture.nodes().size(); node++) {
            Volts ours = loaded.at(picture.nodes().get(node)).reading().orElse(null);
            if (ours != null)
                assertEquals(
                        theirs.get(Spice.name(node)),
                        ours.value(),
                        Math.max(1e-9, Math.abs(ours.value()) * 1e-5),
                        picture.nodes().get(node).toString());
        }
        double feed = loaded.at(new TerminalId("battery", "plus"))
                        .reading()
                        .orElseThrow()
                        .value()
                - loaded.at(constant).reading().orElseThrow().value();
        assertTrue(feed > 0.3 && feed < 0.5, "about 0.055 Ω of wires, contacts and fuse, and nearly 7 A: " + feed);
    }

    private static Map<String, Double> ngspice(String deck, Path folder) throws Exception {
        Path file = Files.writeString(folder.resolve("loads.cir"), deck);
        Process process = new ProcessBuilder("ngspice", "-b", file.toString())
                .redirectErrorStream(true)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        Map<String, Double> volts = new HashMap<>();
        Matcher m =
                Pattern.compile("^v\\((n\\d+)\\) = (\\S+)$", Pattern.MULTILINE).matcher(printed);
        while (m.find()) volts.put(m.group(1), Double.parseDouble(m.group(2)));
        return volts;
    }
}
