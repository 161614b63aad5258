package velvetbezel.function;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.JointId;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.units.Colour;
import velvetbezel.units.Ohms;
import velvetbezel.worksheet.Worksheet;

/** What becomes of the factory functions of the two demo cars, by running them. */
class OutcomesTest {
    private static Set<String> with(Map<FunctionId, Outcome> outcomes, Class<? extends Outcome> kind) {
        return outcomes.entrySet().stream()
                .filter(e -> kind.isInstance(e.getValue()))
                .map(e -> e.getKey().text())
                .collect(Collectors.toSet());
    }

    private static ConductorId leg(LeadRole role, String lead) {
        return ConductorId.leg(
                JointId.of(role),
                new TerminalId(lead.substring(0, lead.indexOf('.')), lead.substring(lead.indexOf('.') + 1)));
    }

    @Test
    void minibusKeepsEverythingItHadAndGainsNoHandsFreeWithoutAMicrophone() {
        Map<FunctionId, Outcome> outcomes = Demo.outcomes(Demo.minibusJob());
        assertEquals(
                Set.of(
                        "power",
                        "memory",
                        "dimming",
                        "dimmer",
                        "standby",
                        "front left",
                        "front right",
                        "rear left",
                        "rear right",
                        "fader",
                        "balance",
                        "polarity",
                        "no noise",
                        "reception",
                        "button volume up",
                        "button volume down",
                        "button next",
                        "button previous",
                        "button source"),
                with(outcomes, Outcome.Kept.class));
        assertEquals(
                Set.of("calls from the front", "button next held", "button previous held"),
                with(outcomes, Outcome.Gained.class));
        assertEquals(Set.of(), with(outcomes, Outcome.Lost.class));
    }

    @Test
    void crossoverWithTheDataModuleKeepsAmplifierChimesAndButtons() {
        Map<FunctionId, Outcome> outcomes = Demo.outcomes(Demo.crossoverJob());
        assertEquals(Set.of("dimmer", "aux"), with(outcomes, Outcome.Lost.class));
        assertTrue(with(outcomes, Outcome.Kept.class)
                .containsAll(Set.of("power", "amplifier", "chimes", "button next", "dimming", "reception")));
        assertEquals(
                Set.of(
                        "phone mirroring",
                        "phone sound",
                        "gauges",
                        "fault codes",
                        "stop-start memory",
                        "camera by hand",
                        "button voice held"),
                with(outcomes, Outcome.Gained.class));
    }

    /** The plain trim's harness in the amplified car: nothing turns the amplifier on. */
    @Test
    void plainHarnessLosesTheAmplifierAtItsRemoteWithTheNeed() {
        Installation plain = Demo.fit(
                Demo.crossover(),
                "ondel-47",
                "quillmoor-plover-panel",
                "thornlea-plover-plain",
                "marlstone-plover-iso-fed");
        Break at = assertInstanceOf(Outcome.Lost.class, Demo.outcome(plain, "amplifier"))
                .at();
        assertEquals("car.main.9", at.at());
        assertEquals(
                "Remote of the factory amplifier reads 0 V, needs 6.0 V. The way ends at position main 9 (amp remote) of the car's plug, which nothing feeds.",
                at.why());
        assertEquals(Optional.of(new Need.Lead(LeadRole.AMP_REMOTE)), at.need());
        assertEquals(
                Optional.of(new Need.Lead(LeadRole.ACCESSORY)),
                assertInstanceOf(Outcome.Lost.class, Demo.outcome(plain, "power"))
                        .at()
                        .need());
    }

    /** Trim decides the harness (common practice): in the plain trim the same harness gives all four corners. */
    @Test
    void plainHarnessInThePlainTrimGivesAllFourCorners() {
        Installation plain = Demo.fit(
                Demo.vehicle("meridale-plover-2019-plain"),
                "ondel-47",
                "quillmoor-plover-panel",
                "thornlea-plover-plain",
                "marlstone-plover-iso-fed");
        Map<FunctionId, Outcome> outcomes = Demo.outcomes(plain);
        assertTrue(
                with(outcomes, Outcome.Kept.class)
                        .containsAll(Set.of(
                                "front left",
                                "front right",
                                "rear left",
                                "rear right",
                                "power",
                                "dimming",
                                "reception")),
                outcomes::toString);
        assertEquals("absent", outcomes.get(new FunctionId("amplifier")).word());
    }

    @Test
    void amplifiedHarnessInThePlainTrimLosesTheSound() {
        Installation wrong = Demo.fit(
                Demo.vehicle("meridale-plover-2019-plain"),
                "ondel-47",
                "quillmoor-plover-panel",
                "thornlea-plover-amplified",
                "ashdyke-bus-power",
                "marlstone-plover-iso-fed");
        assertTrue(with(Demo.outcomes(wrong), Outcome.Lost.class).size()
                        + with(Demo.outcomes(wrong), Outcome.Changed.class).size()
                >= 4);
    }

    @Test
    void chimesAreLostWithoutALinkToTheRadio() {
        Installation i = Demo.fit(
                Demo.crossover(),
                "ondel-47",
                "thornlea-plover-amplified",
                "ashdyke-bus-power",
                "marlstone-plover-iso-fed");
        assertEquals(
                Optional.of(new Need.Lead(LeadRole.RADIO_DATA)),
                assertInstanceOf(Outcome.Lost.class, Demo.outcome(i, "chimes"))
                        .at()
                        .need());
    }

    @Test
    void unfedAntennaAmplifierMakesReceptionTooWeak() {
        Installation i = Demo.fit(Demo.crossover(), "ondel-47", "ashdyke-plover-module", "marlstone-plover-iso");
        assertEquals(
                "The signal \"broadcast\" arrives at the Ondel 47 too weak, at -30.0 dB.",
                assertInstanceOf(Outcome.Lost.class, Demo.outcome(i, "reception"))
                        .at()
                        .why());
    }

    /** The trade's commonest mistake (common practice): asks for set-up at every key-off. */
    @Test
    void constantAndAccessoryExchangedLosesTheMemoryAndNothingElse() {
        Installation healthy = Demo.minibusJob();
        Installation faulty = healthy.with(
                new Edit.Swap(leg(LeadRole.CONSTANT, "radio.const"), leg(LeadRole.ACCESSORY, "radio.acc")));
        Map<FunctionId, Outcome> outcomes = Outcomes.faulty(healthy, faulty, Demo.CATALOGUE);
        assertEquals(Set.of("memory"), with(outcomes, Outcome.Lost.class));
        Break at = ((Outcome.Lost) outcomes.get(new FunctionId("memory"))).at();
        assertTrue(at.why().contains("entered setup = needed with key off"), at.why());
    }

    @Test
    void accessoryJoinedToConstantPlaysOnWithTheKeyOff() {
        Installation healthy = Demo.minibusJob();
        Installation faulty = healthy.with(
                new Edit.Bridge(new TerminalId("radio", "acc"), new TerminalId("radio", "const"), new Ohms(0.01)));
        Map<FunctionId, Outcome> outcomes = Outcomes.faulty(healthy, faulty, Demo.CATALOGUE);
        assertEquals(Set.of("power", "standby"), with(outcomes, Outcome.Lost.class));
        assertTrue(((Outcome.Lost) outcomes.get(new FunctionId("power")))
                .at()
                .why()
                .startsWith("Pebblefen P2 goes on showing \"on\""));
    }

    @Test
    void reversedPairIsChangedNotLost() {
        Installation healthy = Demo.minibusJob();
        Map<FunctionId, Outcome> outcomes =
                Outcomes.faulty(healthy, healthy.with(new Edit.ReversePair("rear left speaker", "in")), Demo.CATALOGUE);
        assertEquals(
                List.of("polarity reversed"),
                assertInstanceOf(Outcome.Changed.class, outcomes.get(new FunctionId("rear left")))
                        .how());
        assertEquals(Set.of("rear left", "fader", "balance"), with(outcomes, Outcome.Changed.class));
    }

    @ParameterizedTest
    @CsvSource({
        "ILLUMINATION,radio.lamps,dimming;dimmer",
        "REAR_LEFT_PLUS,radio.rl+,rear left;fader;balance",
        "FRONT_RIGHT_MINUS,radio.fr-,front right;fader;balance;polarity;calls from the front",
        "STEERING_1,radio.key1,button volume up;button volume down;button next;button previous;button source;button next held;button previous held"
    })
    void openLegChangesExactlyTheFunctionsThatUseIt(LeadRole role, String lead, String functions) {
        Installation healthy = Demo.minibusJob();
        ConductorId leg = leg(role, lead);
        Map<FunctionId, Outcome> outcomes = Outcomes.faulty(healthy, healthy.with(new Edit.Open(leg)), Demo.CATALOGUE);
        assertEquals(Set.of(functions.split(";")), with(outcomes, Outcome.Lost.class));
        outcomes.values().forEach(o -> {
            if (o instanceof Outcome.Lost lost)
                assertEquals(Optional.of(leg), lost.at().conductor());
        });
    }

    static Stream<Installation> healthy() {
        return Stream.of(Demo.minibusJob(), Demo.crossoverJob());
    }

    /** The property behind the examples, for every leg of both cars: what changes is what has the leg in its path. */
    @ParameterizedTest
    @MethodSource("healthy")
    void everyOpenLegChangesExactlyTheFunctionsWhosePathHasIt(Installation healthy) {
        Map<FunctionId, Outcome> sound = Outcomes.faulty(healthy, healthy, Demo.CATALOGUE);
        for (Conductor c : healthy.conductors()) {
            if (c.kind() != Conductor.Kind.LEG) continue;
            Set<FunctionId> uses = new HashSet<>();
            sound.forEach((id, o) -> {
                if (o instanceof Outcome.Kept kept
                        && kept.path().stream()
                                .anyMatch(h -> h instanceof Hop.Over over
                                        && over.conductor().equals(c.id()))) uses.add(id);
            });
            Set<FunctionId> changed = new HashSet<>();
            Outcomes.faulty(healthy, healthy.with(new Edit.Open(c.id())), Demo.CATALOGUE)
                    .forEach((id, o) -> {
                        if (!o.sameFor(sound.get(id))) changed.add(id);
                    });
            // a ground has parallel ways, over a camera's shield for one: what goes on by another way does not change
            if (c.id().text().contains("joint ground")) assertTrue(uses.containsAll(changed), c.id().text());
            else assertEquals(uses, changed, c.id().text());
        }
    }

    @Test
    void changingEveryColourChangesNoOutcome() {
        Sheet.Vehicle repainted = Demo.vehicle(
                "corrick-ferryman-2006", t -> t.replaceAll("\"colour\": \"[^\"]+\"", "\"colour\": \"pink\""));
        Installation i =
                Builder.replacement(repainted, Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-steering"));
        assertEquals(words(Demo.outcomes(Demo.minibusJob())), words(Demo.outcomes(i)));
    }

    /** Every wire of the car, the radio and the parts in another colour: the same outcomes, other exceptions. */
    @Test
    void paintingEveryWireAnotherColourChangesTheExceptionsAndNoOutcome() {
        Random random = new Random(7);
        velvetbezel.units.Colour[] all = Colour.values();
        UnaryOperator<String> paint = text -> Pattern.compile("\"colour\": \"[^\"]+\"")
                .matcher(text)
                .replaceAll(m -> "\"colour\": \"" + all[random.nextInt(all.length)].word() + "\"");
        Installation painted = Builder.replacement(
                Demo.vehicle("corrick-ferryman-2006", paint),
                (Sheet.Radio) repaint("pebblefen-p2", paint),
                List.of((Sheet.Part) repaint("thornlea-iso-steering", paint)));
        assertEquals(words(Demo.outcomes(Demo.minibusJob())), words(Demo.outcomes(painted)));
        var before = Worksheet.of(Demo.minibusJob());
        var after = Worksheet.of(painted);
        assertEquals(
                before.joints().stream().map(j -> j.id()).toList(),
                after.joints().stream().map(j -> j.id()).toList());
        org.junit.jupiter.api.Assertions.assertNotEquals(
                before.exceptions().stream().map(j -> j.id()).toList(),
                after.exceptions().stream().map(j -> j.id()).toList());
    }

    private static Sheet repaint(String id, UnaryOperator<String> paint) {
        return SheetReader.read(Demo.parse(paint.apply(Demo.text(id))));
    }

    private static Map<FunctionId, String> words(Map<FunctionId, Outcome> outcomes) {
        return outcomes.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().word()));
    }

    @Test
    void functionThatRestsOnAMissingFactIsUnknownAndNamesIt() {
        Sheet.Vehicle unsure = Demo.vehicle(
                "corrick-ferryman-2006",
                t -> t.replace(
                        "\"role\": \"illumination\", \"to\"",
                        "\"wired\": {\"missing\": true}, \"role\": \"illumination\", \"to\""));
        Installation i = Builder.replacement(unsure, Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-steering"));
        Map<FunctionId, Outcome> outcomes = Demo.outcomes(i);
        Outcome.Unknown unknown = assertInstanceOf(Outcome.Unknown.class, outcomes.get(new FunctionId("dimming")));
        assertEquals(
                List.of("corrick-ferryman-2006: plugs[A].positions[position 6].wired"),
                unknown.fields().stream().map(Object::toString).toList());
        assertEquals(Set.of("dimming", "dimmer"), with(outcomes, Outcome.Unknown.class));
    }

    @Test
    void missingNumberIsUnknownOnlyWhereItsRangeDecides() {
        for (String range : List.of("[4, 5]", "[4, 30]")) {
            Sheet.Vehicle unsure = Demo.vehicle(
                    "corrick-ferryman-2006",
                    t -> t.replace(
                            "{\"volts\": \"lamps\", \"min\": 4}",
                            "{\"volts\": \"lamps\", \"min\": {\"missing\": \"dim voltage\", \"range\": " + range
                                    + "}}"));
            Outcome dimming = Demo.outcome(
                    Builder.replacement(unsure, Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-steering")),
                    "dimming");
            assertEquals(range.equals("[4, 5]") ? "kept" : "unknown", dimming.word());
        }
    }

    @Test
    void twoButtonsTooCloseAreNotLearnedApart() {
        Sheet.Vehicle close = Demo.vehicle("corrick-ferryman-2006", t -> t.replace("\"ohms\": 220", "\"ohms\": 100.5"));
        Map<FunctionId, Outcome> outcomes = Demo.outcomes(
                Builder.replacement(close, Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-steering")));
        Break why = assertInstanceOf(Outcome.Absent.class, outcomes.get(new FunctionId("button volume down")))
                .at();
        assertTrue(outcomes.get(new FunctionId("button next")).works());
        assertTrue(why.why().contains("volume down"), why.why());
    }

    /** How loud a factory amplifier is, no paper says; a made-up gain would call the bypass fainter. */
    @Test
    void onlyAStatedLevelMakesASpeakerLouderOrFainter() {
        String[] kit = {"quillmoor-plover-panel", "ashdyke-plover-module", "hobwright-plover-bypass"};
        Installation stated = Demo.fit(Demo.crossover(), "ondel-47", kit);
        Outcome.Changed fainter = assertInstanceOf(Outcome.Changed.class, Demo.outcome(stated, "front left"));
        assertEquals(List.of("fainter by 12.0 dB"), fainter.how());
        Sheet.Vehicle classes =
                Demo.vehicle("meridale-plover-2019-amplified", t -> t.replace("\"gain\": 22", "\"gain\": \"amplifier\"")
                        .replace("\"gain\": -10", "\"gain\": \"line\""));
        assertEquals(
                Kind.KEPT,
                Demo.outcome(Demo.fit(classes, "ondel-47", kit), "front left").kind());
    }
}
