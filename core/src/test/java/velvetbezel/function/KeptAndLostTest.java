package velvetbezel.function;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.JointId;
import velvetbezel.harness.ProposedSettings;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.ScenarioStep;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.units.Ohms;

/**
 * Every function of the catalogue: an installation in which it works, and one in which it is lost for a named reason.
 */
class KeptAndLostTest {
    private static final Map<String, Installation> BUILT = new HashMap<>();
    private static final Map<Installation, Map<FunctionId, Outcome>> OUTCOMES = new HashMap<>();
    private static final String CROSSOVER =
            "meridale-plover-2019-amplified ondel-47 quillmoor-plover-panel ashdyke-plover-module marlstone-plover-iso-fed kelfax-plover-camera-voice kelfax-plover-usb marlstone-plover-gps";
    private static final String OLDER =
            "meridale-plover-2014-amplified ondel-60 quillmoor-plover-panel ashdyke-plover-2014-module marlstone-plover-iso-fed marlstone-plover-satellite kelfax-plover-rear-screen";
    private static final String VAN = "larkfen-porter-2011 ondel-47 thornlea-porter-switches marlstone-din-to-iso";
    private static final String WEDDING = "hasterley-regent-1994 pebblefen-p2 hobwright-regent-pocket thornlea-regent";
    private static final String QUERN =
            "brindlow-quern-2013 ondel-over-9 quillmoor-quern-hood ashdyke-quern-through marlstone-quern-aux kelfax-microphone kelfax-plate-camera kelfax-gps-antenna";
    private static final String MINIBUS =
            "corrick-ferryman-2006 pebblefen-p2 quillmoor-ferryman-frame thornlea-iso-steering";
    private static final String NO_LINK =
            CROSSOVER.replace("ashdyke-plover-module", "thornlea-plover-amplified ashdyke-bus-power");

    /** @param other a kit, or what is done to the kit that works: it is lost in comparison with that one */
    private record Row(String function, String works, Object other, String why) {
        @Override
        public String toString() {
            return function;
        }
    }

    private static Row row(String function, String works, String other, String why) {
        return new Row(function, works, other, why);
    }

    private static Row fault(String function, String works, String why, Edit... edits) {
        return new Row(function, works, List.of(edits), why);
    }

    private static Edit open(LeadRole role, String lead) {
        return new Edit.Open(ConductorId.leg(JointId.of(role), new TerminalId("radio", lead)));
    }

    private static Edit bridge(String a, String b) {
        return new Edit.Bridge(terminal(a), terminal(b), new Ohms(0.01));
    }

    private static TerminalId terminal(String text) {
        return new TerminalId(text.substring(0, text.indexOf('.')), text.substring(text.indexOf('.') + 1));
    }

    private static String without(String kit, String part) {
        return kit.replace(" " + part, "");
    }

    static Stream<Row> rows() {
        String tarnlight = CROSSOVER.replace("ondel-47", "tarnlight-minor");
        String noWheel = MINIBUS.replace("thornlea-iso-steering", "thornlea-iso-tails");
        String bypass = CROSSOVER + " hobwright-plover-bypass";
        List<Row> rows = List.of(
                row(
                        "power",
                        CROSSOVER,
                        CROSSOVER.replace("ashdyke-plover-module", "thornlea-plover-amplified"),
                        "Accessory lead of Ondel 47 is not connected, needs 9.0 V"),
                row(
                        "retained power",
                        CROSSOVER,
                        CROSSOVER.replace("ashdyke-plover-module", "thornlea-plover-amplified ashdyke-bus-power-b"),
                        "Ashdyke bus power module B works only with key accessory or run"),
                fault(
                        "memory",
                        MINIBUS,
                        "entered setup = needed with key off",
                        new Edit.Swap(
                                ConductorId.leg(JointId.of(LeadRole.CONSTANT), terminal("radio.const")),
                                ConductorId.leg(JointId.of(LeadRole.ACCESSORY), terminal("radio.acc")))),
                row(
                        "dimming",
                        MINIBUS,
                        MINIBUS.replace("pebblefen-p2", "tarnlight-minor"),
                        "Tarnlight Minor cannot do this: dimmed"),
                row(
                        "dimmer",
                        MINIBUS,
                        MINIBUS.replace("pebblefen-p2", "tarnlight-minor"),
                        "Tarnlight Minor cannot do this: dimmed low"),
                fault("standby", MINIBUS, "more than 0.030 A", bridge("radio.acc", "radio.const")),
                fault(
                        "front left",
                        MINIBUS,
                        "front left + joint, leg to the front left + lead of Pebblefen P2 is open",
                        open(LeadRole.FRONT_LEFT_PLUS, "fl+")),
                fault("front right", MINIBUS, "front right − joint", open(LeadRole.FRONT_RIGHT_MINUS, "fr-")),
                fault("polarity", MINIBUS, "front right − joint", open(LeadRole.FRONT_RIGHT_MINUS, "fr-")),
                fault("rear left", MINIBUS, "rear left + joint", open(LeadRole.REAR_LEFT_PLUS, "rl+")),
                fault("rear right", MINIBUS, "rear right − joint", open(LeadRole.REAR_RIGHT_MINUS, "rr-")),
                row(
                        "fader",
                        CROSSOVER,
                        CROSSOVER
                                .replace("ondel-47", "pebblefen-p2")
                                .replace("ashdyke-plover-module", "thornlea-plover-amplified ashdyke-bus-power"),
                        "position main 5 (line rear left +) of the car's plug, which nothing feeds"),
                fault("balance", MINIBUS, "rear left + joint", open(LeadRole.REAR_LEFT_PLUS, "rl+")),
                row("subwoofer", CROSSOVER, bypass, "Remote of the factory amplifier reads 0 V, needs 6.0 V."),
                row("centre speaker", CROSSOVER, bypass, "Remote of the factory amplifier reads 0 V, needs 6.0 V."),
                row(
                        "amplifier",
                        CROSSOVER,
                        CROSSOVER.replace("ashdyke-plover-module", "thornlea-plover-plain"),
                        "Remote of the factory amplifier reads 0 V, needs 6.0 V"),
                fault(
                        "no noise",
                        MINIBUS,
                        "a ground that carries other currents",
                        open(LeadRole.GROUND, "gnd"),
                        bridge("radio.fl-", "radio.gnd"),
                        bridge("front left speaker.minus", "battery.minus")),
                row(
                        "speed volume",
                        VAN,
                        VAN.replace("ondel-47", "pebblefen-p2"),
                        "Pebblefen P2 cannot do this: louder with speed"),
                row(
                        "mute",
                        VAN,
                        VAN.replace("ondel-47", "pebblefen-p2"),
                        "Music still arrives at the front left speaker"),
                row(
                        "reception",
                        CROSSOVER,
                        CROSSOVER.replace("iso-fed", "iso"),
                        "arrives at the Ondel 47 too weak, at -30.0 dB"),
                row(
                        "antenna feed",
                        WEDDING,
                        WEDDING.replace("thornlea-regent", "thornlea-regent-basic"),
                        "position power 5 (antenna power) of the car's plug"),
                row(
                        "satellite radio",
                        OLDER,
                        without(OLDER, "marlstone-plover-satellite"),
                        "Nothing takes up position satellite 1 (satellite) of the car's plug"),
                row("button volume up", MINIBUS, noWheel, "Nothing is connected to steering 1 lead of Pebblefen P2"),
                row("button volume down", MINIBUS, noWheel, "steering 1 lead"),
                row("button next", MINIBUS, noWheel, "steering 1 lead"),
                row("button previous", MINIBUS, noWheel, "steering 1 lead"),
                row("button source", MINIBUS, noWheel, "steering 1 lead"),
                row(
                        "button mute",
                        OLDER,
                        OLDER.replace("ashdyke-plover-2014-module", "thornlea-plover-2014"),
                        "The signal \"remote.mute\" does not reach the Ondel 60"),
                row("button answer", CROSSOVER, NO_LINK, "position wired remote 1 (wired remote) of Ondel 47"),
                row("button hang up", CROSSOVER, NO_LINK, "wired remote"),
                row("button voice", CROSSOVER, NO_LINK, "wired remote"),
                row("button next held", CROSSOVER, NO_LINK, "wired remote"),
                row("button previous held", MINIBUS, noWheel, "steering 1 lead"),
                row("button voice held", CROSSOVER, NO_LINK, "wired remote"),
                row(
                        "factory controller",
                        QUERN,
                        "brindlow-quern-2013 ondel-47 quillmoor-plover-panel",
                        "Ondel 47 cannot do this: factory menu"),
                row(
                        "climate controls",
                        CROSSOVER,
                        CROSSOVER.replace("quillmoor-plover-panel", "hobwright-plover-frame"),
                        "\"climate.fan up\" does not reach the climate unit"),
                row(
                        "hazard switch",
                        CROSSOVER,
                        CROSSOVER.replace("quillmoor-plover-panel", "hobwright-plover-frame"),
                        "position panel 1 (hazard) of the car's plug, where nothing is joined"),
                row("chimes", CROSSOVER, NO_LINK, "position data 1 (radio data) of Ondel 47"),
                row(
                        "telematics voice",
                        CROSSOVER,
                        CROSSOVER.replace("camera-voice", "camera-aux"),
                        "Nothing takes up position second 6 (telematics voice) of the car's plug"),
                row("parking sensors", CROSSOVER, NO_LINK, "position data 1 (radio data) of Ondel 47"),
                row(
                        "rear camera",
                        CROSSOVER,
                        CROSSOVER.replace("kelfax-plover-camera-voice", "hobwright-plover-camera-12"),
                        "Supply of the factory camera reads 12.3 V, more than the 7.5 V allowed"),
                row(
                        "camera by hand",
                        QUERN,
                        without(QUERN, "kelfax-plate-camera"),
                        "position camera 1 (camera) of Ondel Over 9"),
                row(
                        "usb",
                        CROSSOVER,
                        without(CROSSOVER, "kelfax-plover-usb"),
                        "Nothing takes up position usb 1 (USB) of the car's plug"),
                row(
                        "aux",
                        CROSSOVER.replace("camera-voice", "camera-aux"),
                        CROSSOVER,
                        "Nothing takes up position second 9 (aux input) of the car's plug"),
                row(
                        "rear entertainment",
                        OLDER,
                        without(OLDER, "kelfax-plover-rear-screen"),
                        "Nothing takes up position radio 1 (rear screen) of Kelfax rear-screen adapter"),
                row("settings menus", CROSSOVER, NO_LINK, "position data 1 (radio data)"),
                row("gauges", CROSSOVER, NO_LINK, "position data 1 (radio data)"),
                row("tyre pressures", CROSSOVER, NO_LINK, "position data 1 (radio data)"),
                row("fault codes", CROSSOVER, NO_LINK, "position data 1 (radio data)"),
                row("stop-start memory", CROSSOVER, NO_LINK, "\"stop-start.off\" does not reach the body computer"),
                fault("diagnosis", CROSSOVER, "more than the 4.0 V allowed", bridge("car.main.11", "car.main.12")),
                fault(
                        "position",
                        CROSSOVER,
                        "GPS antenna is misplaced: clear of metal",
                        new Edit.Misplace("gps antenna", "clear of metal")),
                row("phone mirroring", CROSSOVER, tarnlight, "Tarnlight Minor cannot do this: phone mirroring"),
                row(
                        "wireless mirroring",
                        OLDER,
                        OLDER.replace("ondel-60", "ondel-47"),
                        "Ondel 47 cannot do this: wireless mirroring"),
                row(
                        "phone sound",
                        QUERN,
                        without(QUERN, "marlstone-quern-aux"),
                        "Nothing takes up position screen 1 (aux input) of Marlstone aux lead"),
                row("hands-free", CROSSOVER, tarnlight, "The signal \"caller\" does not reach the factory amplifier"),
                row(
                        "calls from the front",
                        OLDER.replace("ashdyke-plover-2014-module", "thornlea-plover-2014"),
                        OLDER.replace("ashdyke-plover-2014-module", "thornlea-plover-2014-premium"),
                        "line front left +"),
                row(
                        "microphone",
                        CROSSOVER,
                        without(CROSSOVER, "kelfax-plover-camera-voice"),
                        "Nothing takes up position second 4 (microphone) of the car's plug"),
                row(
                        "video when parked",
                        VAN,
                        without(VAN, "thornlea-porter-switches"),
                        "Parking brake lead of Ondel 47"),
                row(
                        "video by sequence",
                        VAN.replace("ondel-47", "ondel-60"),
                        without(VAN.replace("ondel-47", "ondel-60"), "thornlea-porter-switches"),
                        "Parking brake lead of Ondel 60"));
        return rows.stream();
    }

    private static Installation build(String kit) {
        return BUILT.computeIfAbsent(kit, k -> {
            String[] ids = k.strip().split(" +");
            // set up as the rules propose: a module comes without its vehicle
            return ProposedSettings.applied(
                    Demo.fit(Demo.vehicle(ids[0]), ids[1], Arrays.copyOfRange(ids, 2, ids.length)),
                    Demo.CATALOGUE.settingsInUse());
        });
    }

    private static Map<FunctionId, Outcome> outcomes(Installation i) {
        return OUTCOMES.computeIfAbsent(i, Demo::outcomes);
    }

    @SuppressWarnings("unchecked")
    private static Outcome lost(Row row, Installation works) {
        FunctionId id = new FunctionId(row.function);
        Catalogue alone = new Catalogue("alone", List.of(Demo.CATALOGUE.find(id).orElseThrow()));
        if (row.other instanceof String kit)
            return Outcomes.compare(works, build(kit), alone).get(id);
        Installation faulty = works;
        for (Edit edit : (List<Edit>) row.other) faulty = faulty.with(edit);
        return Outcomes.faulty(works, faulty, alone).get(id);
    }

    @ParameterizedTest
    @MethodSource("rows")
    void worksHereAndIsLostThereForThisReason(Row row) {
        Installation works = build(row.works);
        Outcome here = outcomes(works).get(new FunctionId(row.function));
        assertTrue(here.works(), () -> row.function + ": " + here);
        Outcome there = lost(row, works);
        String why = assertInstanceOf(Outcome.Lost.class, there, () -> row.function + ": " + there)
                .at()
                .why();
        assertTrue(why.contains(row.why), () -> row.function + ": " + why);
    }

    @Test
    void everyFunctionOfTheCatalogueIsTriedBothWays() {
        Set<String> tried = new TreeSet<>(rows().map(Row::function).toList());
        assertEquals(
                new TreeSet<>(Demo.CATALOGUE.functions().stream()
                        .map(f -> f.id().text())
                        .toList()),
                tried);
    }

    /**
     * A level radio shows video whenever the brake is set; one that wants the sequence shows none until it was done.
     */
    @Test
    void parkingBrakeByLevelAndBySequenceDiffer() {
        assertTrue(outcomes(build(VAN)).get(new FunctionId("video when parked")).works());
        Outcome level = outcomes(build(VAN.replace("ondel-47", "ondel-60"))).get(new FunctionId("video when parked"));
        assertTrue(assertInstanceOf(Outcome.Absent.class, level).at().why().contains("brake"), level::toString);
    }

    /** With one aux input two wishes compete: the adapter for the one takes it from the other. */
    @Test
    void emergencyVoiceAndAuxSocketCompeteForOneInput() {
        for (String adapter : List.of("camera-voice", "camera-aux")) {
            Map<FunctionId, Outcome> o = outcomes(build(CROSSOVER.replace("camera-voice", adapter)));
            assertEquals(
                    1,
                    Stream.of("telematics voice", "aux")
                            .filter(f -> o.get(new FunctionId(f)).works())
                            .count(),
                    adapter);
        }
    }

    /** Screen over the factory radio: without another source chosen there is silence although everything is on. */
    @Test
    void screenIsSilentWhileAnotherFactorySourceIsSelected() {
        CarFunction sound = Demo.CATALOGUE.find(new FunctionId("phone sound")).orElseThrow();
        CarFunction.Scene scene = sound.scenario().get(0);
        ScenarioStep tuner = new ScenarioStep(
                scene.set().words(),
                scene.set().dimmer(),
                scene.set().buttons(),
                scene.set().unplugged(),
                Map.of("screen.phone", "plugged in", "radio.source", "tuner"));
        CarFunction unchosen = new CarFunction(
                sound.id(),
                sound.name(),
                sound.group(),
                sound.ask(),
                sound.expected(),
                sound.wish(),
                sound.must(),
                Optional.empty(),
                sound.phase(),
                List.of(new CarFunction.Scene(tuner, scene.expects())));
        assertTrue(Outcomes.fulfilled(build(QUERN), new Catalogue("chosen", List.of(sound)))
                .contains(sound.id()));
        assertTrue(Outcomes.fulfilled(build(QUERN), new Catalogue("not chosen", List.of(unchosen)))
                .isEmpty());
    }

    /** The fibre goes where its housing goes: a pass-through without a chamber for it loses all sound. */
    @Test
    void fibreLeftAtTheFactoryPlugLosesTheSoundAndMovedKeepsIt() {
        Map<FunctionId, Outcome> left =
                outcomes(build(QUERN.replace("ashdyke-quern-through", "ashdyke-quern-through-a")));
        assertEquals(
                "Nothing takes up position fibre 1 (fibre out) of the car's plug: its plug has no partner here.",
                assertInstanceOf(Outcome.Lost.class, left.get(new FunctionId("front left")))
                        .at()
                        .why());
        assertTrue(outcomes(build(QUERN)).get(new FunctionId("front left")) instanceof Outcome.Kept);
    }

    /** Whatever rule of the new radio or its parts is deleted: what it alone did is gone, and nothing else comes. */
    @Test
    void deletingARuleRemovesItsBehaviour() {
        Map<String, String> behaviour = Map.of(
                "mirroring",
                "phone mirroring",
                "camera in reverse",
                "rear camera",
                "dim",
                "dimming",
                "page tyres",
                "tyre pressures",
                "sensors",
                "parking sensors",
                "chime",
                "chimes",
                "driver heard",
                "microphone");
        behaviour.forEach((rule, function) -> {
            Installation less = Builder.replacement(
                    Demo.crossover(),
                    (Sheet.Radio) SheetReader.read(withoutRule(Demo.tree("ondel-47"), rule)),
                    build(CROSSOVER).recipe().parts().values().stream().toList());
            Map<FunctionId, Outcome> before = outcomes(build(CROSSOVER));
            Map<FunctionId, Outcome> after = Demo.outcomes(less);
            Set<String> changed = new HashSet<>();
            after.forEach((id, o) -> {
                if (o.works() != before.get(id).works()) changed.add(id.text());
            });
            Set<String> expected = function.equals("microphone") ? Set.of(function, "hands-free") : Set.of(function);
            assertEquals(expected, changed, rule);
        });
    }

    @SuppressWarnings("unchecked")
    private static Object withoutRule(Object sheet, String rule) {
        List<Object> rules =
                (List<Object>) ((Map<String, Object>) ((Map<String, Object>) sheet).get("device")).get("rules");
        assertTrue(rules.removeIf(r -> rule.equals(((Map<String, Object>) r).get("id"))), rule);
        return sheet;
    }
}
