package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** Vehicles from paper pinouts, and devices from building blocks: what comes out runs like any other sheet. */
class PinoutTest {
    static final Blocks BLOCKS = blocks();
    private static final Map<String, Object> PAPER = Map.of("from", "printed", "by", "label on the chassis");

    private static Blocks blocks() {
        try {
            return Blocks.read(Demo.parse(Files.readString(
                    Path.of("..", "store", "src", "main", "resources", "velvetbezel", "store", "blocks.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** "4 acc violet/white 18": position, role, colour, gauge. */
    private static Pinout.PlugLines plug(String id, String family, boolean socket, int size, String... lines) {
        List<Pinout.Line> read = new ArrayList<>();
        for (String line : lines) {
            String[] f = line.split("\\|");
            read.add(new Pinout.Line(Integer.parseInt(f[0]), f[1], f.length > 2 ? f[2] : "", f.length > 3 ? f[3] : ""));
        }
        return new Pinout.PlugLines(id, family, socket, size, read);
    }

    private static Pinout car(List<String> buttons, List<Double> ladder, boolean fed, Pinout.PlugLines... plugs) {
        return new Pinout(
                "corrick-tern-2009",
                "Corrick Tern",
                "Corrick",
                "Tern",
                "van, plain",
                2007,
                2011,
                Opening.ONE_DIN,
                false,
                buttons,
                ladder,
                fed,
                List.of(plugs));
    }

    private static final Pinout.PlugLines A = plug(
            "A",
            "ISO 10487 A",
            true,
            8,
            "4|acc|violet/white",
            "6|58|grey/black",
            "7|30|red/white|16",
            "8|31|brown|1.5 mm²");
    private static final Pinout.PlugLines B = plug(
            "B",
            "ISO 10487 B",
            true,
            8,
            "1|rr+|blue/red",
            "2|rr-|blue/brown",
            "3|fr+|grey/red",
            "4|fr-|grey/brown",
            "5|lf+|yellow/red",
            "6|lf-|yellow/brown",
            "7|rl+|green/red",
            "8|rear left -|green/brown");
    private static final Pinout.PlugLines ANTENNA =
            plug("antenna", "DIN antenna", false, 2, "1|antenna", "2|antenna shield");

    private static Sheet.Vehicle read(Pinout p) {
        return (Sheet.Vehicle) SheetReader.read(p.sheet(BLOCKS, PAPER));
    }

    private static Set<String> has(Sheet.Vehicle v) {
        return Outcomes.fulfilled(Builder.factory(v), Demo.CATALOGUE).stream()
                .map(FunctionId::text)
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @CsvSource({
        "fl+,front left +",
        "lf -,front left −",
        "line rr-,line rear right −",
        "30,constant",
        "58,illumination",
        "CAN H,data high",
        "Front Right −,front right −",
        "swg,steering ground"
    })
    void rolesAreReadInShortForms(String text, String role) {
        assertEquals(role, LeadRole.read(text).orElseThrow().label());
    }

    /**
     * The paper's plugs on the minibus's standard: the same functions as the sheet that was entered by hand, and the
     * same outcomes.
     */
    @Test
    void plainIsoPinoutGivesACarThatRuns() {
        Sheet.Vehicle v = read(car(List.of(), List.of(), false, A, B, ANTENNA));
        assertEquals(List.of(), Builder.factory(v).faults());
        assertEquals(
                Set.of(
                        "power",
                        "memory",
                        "dimming",
                        "dimmer",
                        "polarity",
                        "standby",
                        "front left",
                        "front right",
                        "rear left",
                        "rear right",
                        "fader",
                        "balance",
                        "no noise",
                        "reception"),
                has(v));
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(
                Builder.factory(v),
                Builder.replacement(v, Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-tails")),
                Demo.CATALOGUE);
        assertTrue(outcomes.values().stream().noneMatch(Outcome.Lost.class::isInstance), outcomes::toString);
    }

    @Test
    void steeringLadderIsBuiltFromItsResistancesAndUnknownWithoutThem() {
        Pinout.PlugLines s = plug("S", "Hobwright 2-way", true, 2, "1|swc|white/green", "2|swg|brown/green");
        List<String> keys = List.of("volume up", "volume down", "next");
        assertTrue(has(read(car(keys, List.of(100.0, 220.0, 470.0), false, A, B, s, ANTENNA)))
                .containsAll(Set.of("button volume up", "button volume down", "button next")));
        Sheet.Vehicle unmeasured = read(car(List.of("next"), List.of(), false, A, B, s, ANTENNA));
        Outcome next = Outcomes.compare(Builder.factory(unmeasured), Builder.factory(unmeasured), Demo.CATALOGUE)
                .get(new FunctionId("standby"));
        assertTrue(next.works());
        assertTrue(assertThrows(InvalidInput.class, () -> read(car(keys, List.of(100.0), false, A, B, s, ANTENNA)))
                .getMessage()
                .contains("has 1 resistances for 3 keys"));
    }

    @Test
    void amplifiedPinoutWithABusGivesAmplifierChimesAndRetainedPower() {
        Pinout.PlugLines main = plug(
                "main",
                "Bramblewick 16-way",
                true,
                16,
                "1|line fl+",
                "2|line fl-",
                "3|line fr+",
                "4|line fr-",
                "5|line rl+",
                "6|line rl-",
                "7|line rr+",
                "8|line rr-",
                "9|rem|blue/white",
                "10|gnd|black",
                "12|b+|yellow",
                "15|can h",
                "16|can l");
        Sheet.Vehicle v = read(car(
                List.of("next"),
                List.of(),
                true,
                main,
                plug("antenna", "Bramblewick antenna", false, 2, "1|antenna", "2|antenna shield")));
        assertTrue(v.amplified());
        assertTrue(
                has(v).containsAll(Set.of(
                        "power",
                        "retained power",
                        "amplifier",
                        "chimes",
                        "button next",
                        "front left",
                        "rear right",
                        "antenna feed",
                        "dimming",
                        "fader")),
                has(v)::toString);
        Installation fitted = Builder.replacement(
                v, Demo.radio("ondel-47"), Demo.parts("ashdyke-plover-module", "marlstone-plover-iso-fed"));
        assertTrue(Outcomes.compare(Builder.factory(v), fitted, Demo.CATALOGUE)
                .get(new FunctionId("amplifier"))
                .works());
    }

    @Test
    void everythingOnThePaperThatCannotBeReadIsNamedAtOnce() {
        Pinout.PlugLines bad = plug("A", "ISO 10487 A", true, 8, "1|warmth", "4|acc", "5|fl+", "7|30", "8|31");
        List<String> faults =
                assertThrows(InvalidInput.class, () -> read(car(List.of(), List.of(), false, bad))).faults().stream()
                        .map(Fault::toString)
                        .toList();
        assertEquals(
                List.of(
                        "plugs[A].positions[position 1].role: \"warmth\" is no role of a lead. Use the short or long form, such as acc, fl+, illumination.",
                        "plugs[A].positions[position 5].role: \"front left +\" stands alone: its partner front left − is missing."),
                faults);
        assertTrue(assertThrows(
                        InvalidInput.class,
                        () -> read(car(List.of(), List.of(), false, plug("A", "ISO 10487 A", true, 8, "7|30"))))
                .getMessage()
                .contains("hold no constant or no ground"));
    }

    /** A radio put together from blocks is as good as one entered by hand. */
    @Test
    void radioFromBlocksPlaysInTheMinibus() {
        Map<String, Object> device = Map.of("id", "radio", "name", "Bench radio");
        for (String block : List.of(
                "power",
                "speaker fl",
                "speaker fr",
                "speaker rl",
                "speaker rr",
                "memory",
                "dims",
                "dims with the dimmer",
                "hands-free",
                "learned keys"))
            device = BLOCKS.find("radio", block).orElseThrow().addTo(device, Map.of());
        device = BLOCKS.find("radio", "antenna").orElseThrow().addTo(device, Map.of("family", "DIN antenna"));
        Sheet.Radio radio = (Sheet.Radio) SheetReader.read(Map.of(
                "format",
                "velvet-bezel/sheet",
                "version",
                1,
                "kind",
                "radio",
                "id",
                "bench-radio",
                "name",
                "Bench radio",
                "source",
                PAPER,
                "size",
                "one-DIN",
                "price",
                10,
                "device",
                device));
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(
                Builder.factory(Demo.minibus()),
                Builder.replacement(Demo.minibus(), radio, Demo.parts("thornlea-iso-steering")),
                Demo.CATALOGUE);
        assertTrue(outcomes.values().stream().noneMatch(Outcome.Lost.class::isInstance), outcomes::toString);
        assertTrue(outcomes.get(new FunctionId("calls from the front")).works());
    }

    @Test
    void blockSaysWhatItCannotReadAndWhatIsThereAlready() {
        Block dims = BLOCKS.find("radio", "dims").orElseThrow();
        assertEquals("Dims above 4 V on illumination", dims.sentence());
        Map<String, Object> power = BLOCKS.find("radio", "power").orElseThrow().addTo(Map.of("id", "radio"), Map.of());
        assertEquals(
                "volts: \"bright\" is no number; type one such as 4.",
                assertThrows(InvalidInput.class, () -> dims.addTo(power, Map.of("volts", "bright")))
                        .getMessage());
        Map<String, Object> dimming = dims.addTo(power, Map.of("volts", "6"));
        assertTrue(assertThrows(InvalidInput.class, () -> dims.addTo(dimming, Map.of("volts", "5")))
                .getMessage()
                .contains("\"dim\" is there already"));
    }

    /** Every block of a radio can be added on top of power, and what comes out is read without a fault. */
    @Test
    void everyBlockFitsOnABareRadio() {
        Map<String, Object> device = BLOCKS.find("radio", "power").orElseThrow().addTo(Map.of("id", "radio"), Map.of());
        for (Block b : BLOCKS.of("radio")) if (!b.id().equals("power")) device = b.addTo(device, Map.of());
        Sheet.Radio radio = (Sheet.Radio) SheetReader.read(Map.of(
                "format",
                "velvet-bezel/sheet",
                "version",
                1,
                "kind",
                "radio",
                "id",
                "all-blocks",
                "name",
                "All",
                "source",
                PAPER,
                "size",
                "two-DIN",
                "price",
                10,
                "device",
                device));
        assertEquals(List.of(), Builder.faultsOf(radio));
    }
}
