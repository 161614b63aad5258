package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** Short sheets of cars, radios and parts, and what they come to. */
class ExpanderTest {
    private static final String POWER = "4 acc violet/white, 6 lamps grey, 7 constant red thick, 8 ground brown thick";
    private static final String SOUND = "1-8 speakers rr fr fl rl";
    private static final String ANTENNA = "1 antenna, 2 antenna shield";

    private static Map<String, Object> car(Map<String, Object> plugs, Map<String, Object> has) {
        Map<String, Object> car = new LinkedHashMap<>();
        car.putAll(Map.of("format", "velvet-bezel/short", "version", 1, "kind", "vehicle", "name", "Corrick Tern van"));
        car.put("years", List.of(2007, 2011));
        car.put("plugs", plugs);
        if (!has.isEmpty()) car.put("has", has);
        return car;
    }

    private static Map<String, Object> plain(Map<String, Object> more) {
        Map<String, Object> plugs = new LinkedHashMap<>();
        plugs.put("A", Map.of("family", "ISO 10487 A", "positions", POWER));
        plugs.put("B", Map.of("family", "ISO 10487 B", "positions", SOUND));
        plugs.put("antenna", Map.of("family", "DIN antenna", "positions", ANTENNA));
        plugs.putAll(more);
        return plugs;
    }

    private static Map<String, Object> expanded(Object tree) {
        return Expander.expand(tree, Demo.archetypes()).tree();
    }

    private static Sheet.Vehicle read(Object tree) {
        return (Sheet.Vehicle) SheetReader.read(expanded(tree));
    }

    private static Set<String> has(Sheet.Vehicle v) {
        return Outcomes.compare(Builder.factory(v), Builder.factory(v), Demo.CATALOGUE).entrySet().stream()
                .filter(e -> e.getValue().works())
                .map(e -> e.getKey().text())
                .collect(Collectors.toSet());
    }

    private static List<String> faults(Object tree) {
        return assertThrows(InvalidInput.class, () -> expanded(tree)).faults().stream()
                .map(InputProblem::toString)
                .toList();
    }

    /** Two ISO plugs and an antenna: the functions of any plain van, and a radio on plain tails keeps them all. */
    @Test
    void plainIsoPinoutGivesACarThatRuns() {
        Sheet.Vehicle v = read(car(plain(Map.of()), Map.of()));
        assertEquals(List.of(), Builder.factory(v).faults());
        assertTrue(
                has(v).containsAll(Set.of(
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
                        "reception")),
                has(v)::toString);
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(
                Builder.factory(v),
                Builder.replacement(v, Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-tails")),
                Demo.CATALOGUE);
        assertEquals(
                List.of(),
                outcomes.entrySet().stream()
                        .filter(e -> e.getValue() instanceof Outcome.Lost)
                        .map(e -> e.getKey().text())
                        .filter(f -> !f.startsWith("calls"))
                        .toList());
    }

    @Test
    void steeringLadderIsBuiltFromItsResistancesAndOpenWithoutThem() {
        Map<String, Object> plugs = plain(Map.of("S", "1 swc white/green, 2 swg brown/green"));
        assertTrue(has(read(car(plugs, Map.of("ladder", Map.of("volume up", 100, "next", 470)))))
                .containsAll(Set.of("button volume up", "button next")));
        Map<String, Object> unmeasured = car(plugs, Map.of("ladder", List.of("next", "previous")));
        assertEquals(List.of("next", "previous"), read(unmeasured).buttons());
        assertTrue(
                Expander.attempt(unmeasured, Demo.archetypes())
                        .enough()
                        .orElseThrow()
                        .open()
                        .contains(
                                "Not measured: the resistance of next, previous. Whether a radio can tell them apart stays open."));
    }

    @Test
    void amplifiedCarWithABusHasAmplifierChimesAndRetainedPower() {
        Map<String, Object> plugs = new LinkedHashMap<>();
        plugs.put(
                "main",
                Map.of(
                        "family", "Bramblewick 16-way",
                        "positions",
                                "1-8 line pairs, 9 rem blue/white, 10 gnd black, 12 b+ yellow, 15 can h, 16 can l"));
        plugs.put("antenna", Map.of("family", "Bramblewick antenna", "positions", ANTENNA));
        Map<String, Object> typed = car(plugs, Map.of("antenna", "amplified"));
        typed.put("buttons", List.of("next"));
        Sheet.Vehicle v = read(typed);
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

    /** The earth of an amplifier with a shared return is a range nobody measured: noise stays open. */
    @Test
    void sharedReturnLeavesNoiseOpen() {
        Map<String, Object> plugs = new LinkedHashMap<>();
        plugs.put("K1", "1 constant red, 2 ground brown, 3 acc violet");
        plugs.put("K2", "1-4 line pairs common, 5 line common bare, 6 remote");
        Expansion made = Expander.expand(car(plugs, Map.of()), Demo.archetypes());
        assertTrue(made.assumed().stream()
                .anyMatch(a -> a.name().equals("amplifier's earth") && a.value().equals("0.002 to 0.1")));
        Sheet.Vehicle v = (Sheet.Vehicle) SheetReader.read(made.tree());
        assertTrue(has(v).contains("amplifier"), has(v)::toString);
    }

    /** Every fault at once, each in the line or answer that was typed. */
    @Test
    void everythingThatCannotBeReadIsNamedAtOnce() {
        Map<String, Object> plugs = new LinkedHashMap<>();
        plugs.put("A", "1 warmth, 4 acc, 4 lamps, 5 fl+\n7 constant BL, 9 grund");
        Map<String, Object> has = new LinkedHashMap<>();
        has.put("antena", "amplified");
        has.put("ladder", Map.of("next", 100));
        assertEquals(
                List.of(
                        "plugs.A: line 1: \"warmth\" names no role; the nearest are data, brake, camera. A wire that nobody knows is \"unknown\".",
                        "plugs.A: line 5: \"BL\" is not read: after the role come colour, size, length, \"> where\" and \"from\" with who says so.",
                        "plugs.A: line 6: \"grund\" names no role; the nearest are ground, GPS, USB. A wire that nobody knows is \"unknown\".",
                        "plugs.A: position 4 is typed twice; one position holds one wire.",
                        "plugs: hold no constant: a radio needs one. Type its position, or measure which it is.",
                        "plugs: hold no ground: a radio needs one. Type its position, or measure which it is.",
                        "plugs: carry \"front left +\" alone: its partner front left − is missing.",
                        "has.antena: is nothing the catalogue knows; the nearest are antenna, ladder, ladder 2.",
                        "has.ladder: hangs on nothing: no position carries steering 1."),
                faults(car(plugs, has)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            1 constant, 2 ground, 130 acc   | plugs.A: has a wire at position 130; a plug has at most 120.
            1 constant, 2 ground, 0 acc     | plugs.A: counts from position 1; there is no position 0.
            1 constant, 2 ground, acc       | plugs.A: "accessory" has no position; write its number before it.
            1 constant, 2 ground, 3 acc, 4 hazard, 5 brake lamp, 6 data | plugs.A: position 5: nothing stands behind "brake lamp"; choose what it feeds, or write "unknown".
            1 constant, 2 ground, 3-6 line pairs common, 7 line common, 8 line fl- | plugs: carry a common line return and returns of their own (line front left −); a channel has one of the two.
            """)
    void badLineIsAFaultOfItsPlug(String lines, String fault) {
        assertTrue(
                faults(car(Map.of("A", lines), Map.of())).contains(fault),
                () -> faults(car(Map.of("A", lines), Map.of())).toString());
    }

    @Test
    void keysThatNothingTellsApartAreRefused() {
        Map<String, Object> plugs = plain(Map.of("S", "1 swc, 2 swg"));
        Map<String, Object> ladder = new LinkedHashMap<>();
        ladder.put("next", 470);
        ladder.put("previous", 470.0);
        assertEquals(
                List.of(
                        "has.ladder: next and previous have the same resistance, 470 Ω: nothing can tell them apart; measure again."),
                faults(car(plugs, Map.of("ladder", ladder))));
    }

    @Test
    void placeWithNothingThereIsRefused() {
        Map<String, Object> car = car(plain(Map.of()), Map.of());
        car.put("places", Map.of("column", Map.of("at", "behind the column cover")));
        assertTrue(faults(car)
                .contains("places.column.wires: name nothing that lies there; type its wires, or take it out."));
    }

    /** A wire that nobody knows is on the sheet, goes somewhere, and joins nothing. */
    @Test
    void unknownWireIsCappedAndGuessedGroundJoinsNothing() {
        Map<String, Object> plugs = plain(Map.of());
        plugs.put("A", Map.of("family", "ISO 10487 A", "positions", POWER + ", 1 unknown pink, 2 ground? black"));
        Installation job = Builder.replacement(
                read(car(plugs, Map.of())), Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-tails"));
        assertEquals(List.of(), job.faults());
        assertTrue(job.joints().stream().noneMatch(j -> j.leads().toString().contains("A.2 ")), job.joints()::toString);
    }

    /** The order in which lines and plugs were typed says nothing. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void orderOfLinesAndPlugsChangesNothing(int seed) {
        Random random = new Random(seed);
        for (String id : List.of("meridale-plover-2019-amplified", "corrick-ferryman-2006", "larkfen-porter-2011")) {
            Object typed = Demo.parse(Demo.file(id));
            Object mixed = mixed((Map<?, ?>) typed, random);
            assertEquals(
                    Optional.empty(),
                    Patch.between(Recognise.whole(expanded(typed)), Recognise.whole(expanded(mixed))),
                    id);
        }
    }

    private static Map<String, Object> mixed(Map<?, ?> car, Random random) {
        Map<String, Object> mixed = Archetypes.object(car);
        Map<String, Object> plugs = Archetypes.object(car.get("plugs"));
        List<String> ids = new ArrayList<>(plugs.keySet());
        Collections.shuffle(ids, random);
        Map<String, Object> again = new LinkedHashMap<>();
        for (String id : ids) again.put(id, mixedLines(plugs.get(id), random));
        mixed.put("plugs", again);
        return mixed;
    }

    private static Object mixedLines(Object plug, Random random) {
        if (plug instanceof Map<?, ?> map) {
            Map<String, Object> copy = Archetypes.object(map);
            copy.put("positions", mixedLines(map.get("positions"), random));
            return copy;
        }
        String text = plug instanceof List<?> lines
                ? lines.stream().map(Object::toString).collect(Collectors.joining(", "))
                : plug.toString();
        List<String> leads = new ArrayList<>(Arrays.asList(text.split(", ")));
        Collections.shuffle(leads, random);
        return String.join("\n", leads);
    }

    // --- radios and parts

    private static Map<String, Object> device(String kind, String name, Map<String, Object> more) {
        Map<String, Object> sheet = new LinkedHashMap<>();
        sheet.putAll(Map.of("format", "velvet-bezel/short", "version", 1, "kind", kind, "name", name));
        sheet.putAll(more);
        return sheet;
    }

    /** Leads in one line, what it has, a number: it plays in the minibus as one entered by hand would. */
    @Test
    void radioTypedInOneLinePlaysInTheMinibus() {
        Sheet.Radio radio = (Sheet.Radio) SheetReader.read(expanded(device(
                "radio",
                "Velmar 3",
                Map.of(
                        "size",
                        "one-DIN",
                        "leads",
                        "P3, S8, remote, lamps, steering 1 brown/white, steering ground",
                        "has",
                        Map.of("dims with the dimmer", true, "microphone", true),
                        "numbers",
                        Map.of("antenna socket", "DIN antenna")))));
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(
                Builder.factory(Demo.minibus()),
                Builder.replacement(Demo.minibus(), radio, Demo.parts("thornlea-iso-steering")),
                Demo.CATALOGUE);
        for (String f : List.of("power", "memory", "front left", "rear right", "reception", "dimmer", "button next"))
            assertTrue(outcomes.get(new FunctionId(f)).works(), () -> f + outcomes.get(new FunctionId(f)));
    }

    /** A line-level adapter from its plugs: shells of the RCA plugs on one common, and a lead for later. */
    @Test
    void adapterCarriesLineLevelOnAndItsSpareLeadIsCapped() {
        Sheet.Part part = (Sheet.Part) SheetReader.read(expanded(device(
                "part",
                "Corvale T4",
                Map.of(
                        "part", "vehicle harness adapter",
                        "bare", "common code",
                        "RCA", List.of("front"),
                        "plugs",
                                Map.of(
                                        "K1", "1 constant, 2 ground, 3 accessory",
                                        "K2",
                                                "1 line fl+ > RCA fl+, 2 line fr+ > RCA fr+, 5 line common > RCA fl- + RCA fr-, 6 remote"),
                        "leads", "spare gives accessory red/white"))));
        assertEquals(
                "yellow",
                part.device()
                        .orElseThrow()
                        .plug("K1")
                        .orElseThrow()
                        .at("1")
                        .orElseThrow()
                        .colour()
                        .known()
                        .orElseThrow()
                        .words());
        Map<String, Object> plugs = new LinkedHashMap<>();
        plugs.put("K1", "1 constant red, 2 ground brown, 3 acc violet");
        plugs.put("K2", "1-2 line pairs common front, 5 line common bare, 6 remote");
        Installation job = Builder.replacement(read(car(plugs, Map.of())), Demo.radio("ondel-47"), List.of(part));
        assertEquals(List.of(), job.faults());
        assertTrue(job.caps().stream().anyMatch(c -> c.lead().instance().equals(part.id())));
        assertTrue(Outcomes.compare(Builder.factory(read(car(plugs, Map.of()))), job, Demo.CATALOGUE)
                .get(new FunctionId("front left"))
                .works());
    }

    @Test
    void wireToNowhereAndAFeatureWithoutItsLeadAreNamed() {
        assertEquals(
                List.of(
                        "leads: hold no lead that is data high, which \"accessory from the bus\" needs; type it, or take that off.",
                        "plugs.K1: position 1 goes to \"RCA fl+\", and this part has no such plug, position or lead."),
                faults(device(
                                "part",
                                "Corvale T4",
                                Map.of(
                                        "part",
                                        "data module",
                                        "plugs",
                                        Map.of("K1", "1 line fl+ > RCA fl+, 2 ground, 3 constant"),
                                        "leads",
                                        "gives accessory",
                                        "has",
                                        Map.of("accessory from the bus", true))))
                        .stream()
                        .sorted()
                        .toList());
    }

    @Test
    void cableHasAnEndAtEachOfTwoPlaces() {
        Sheet.Part cable = (Sheet.Part) SheetReader.read(expanded(device(
                "part",
                "Corvale nine-way cable",
                Map.of("part", "cable", "cable", Map.of("wires", "S8, remote", "ends", List.of("dash", "boot"))))));
        assertEquals(18, cable.device().orElseThrow().leads().size());
        assertTrue(assertThrows(
                        InvalidInput.class,
                        () -> SheetReader.read(expanded(device(
                                "part",
                                "Corvale cable",
                                Map.of(
                                        "part",
                                        "cable",
                                        "cable",
                                        Map.of("wires", "remote", "ends", List.of("dash", "dash")))))))
                .getMessage()
                .contains("expected the two different places where the cable ends"));
    }

    // --- what is typed beside the lines

    @ParameterizedTest
    @CsvSource({
        "2004-2009,2004,2009,''",
        "05/2018,2018,2018,2018-05",
        "2018 on,2018,2100,''",
        "2017-02 to 2020-06,2017,2020,2017-02 to 2020-06",
        "5.2004 - 2009,2004,2009,2004-05 to 2009"
    })
    void yearsAreReadAsPapersWriteThem(String text, int first, int last, String built) {
        assertEquals(Optional.of(new Years(first, last, built)), Years.read(text));
    }

    @ParameterizedTest
    @ValueSource(strings = {"2009-2004", "13/2018", "long ago", "18", ""})
    void noSpanOfYears(String text) {
        assertEquals(Optional.empty(), Years.read(text));
    }

    /** On this paper B is black, whatever B means elsewhere. */
    @Test
    void paperHasItsOwnWords() {
        List<InputProblem> faults = new ArrayList<>();
        Paper paper = Paper.read("B = black, BATT2 = constant; W = warm\nSW", faults);
        assertEquals(
                List.of(
                        "paper: \"warm\" is no colour and no role; the nearest are bare, data, tan.",
                        "paper: \"SW\" maps nothing; write it as B = black."),
                faults.stream().map(InputProblem::toString).toList());
        assertEquals(
                "7 constant red/black, 8 ground black",
                ShortLines.text(ShortLines.read("7 BATT2 R/B, 8 gnd B", paper).leads()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            textBlock =
                    """
            Pin;Function;Colour;Size\\n7;30;R/W;0,75 mm2\\n8;gnd;BN        # 7 constant red/white 0.75 mm², 8 ground brown
            7,constant,red/white\\n8,ground,brown                          # 7 constant red/white, 8 ground brown
            7\\tRD/WH\\tconstant\\n8\\tBN\\tground                             # 7 constant red/white, 8 ground brown
            "7";"constant";"red"                                          # 7 constant red
            """)
    void pastedListIsReadRowByRow(String pasted, String means) {
        ShortLines.Read read = ShortLines.read(pasted.replace("\\n", "\n").replace("\\t", "\t"));
        assertEquals(List.of(), read.unread());
        assertEquals(means, ShortLines.text(read.leads()));
    }
}
