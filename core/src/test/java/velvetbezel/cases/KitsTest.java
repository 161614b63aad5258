package velvetbezel.cases;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.CapReason;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Misfed;
import velvetbezel.harness.Moves;
import velvetbezel.harness.PlugRef;
import velvetbezel.harness.SubstituteChoice;
import velvetbezel.match.Filling;
import velvetbezel.match.Kit;
import velvetbezel.match.KitDecisions;
import velvetbezel.match.KitNeed;
import velvetbezel.match.Lacking;
import velvetbezel.match.Market;
import velvetbezel.match.Matcher;
import velvetbezel.match.RadioMatch;
import velvetbezel.match.Wishes;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.worksheet.Load;
import velvetbezel.worksheet.Loads;
import velvetbezel.worksheet.Worksheet;

/** Parts that the ten jobs leave out, and what would come of them. */
class KitsTest {
    private static Installation with(CaseFile job, String... kit) {
        return Builder.build(job.recipe(Arrays.stream(kit).map(job::partNamed).toList()));
    }

    private static Kind kind(CaseFile job, Installation i, String function) {
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(Builder.factory(job.vehicle()), i, job.catalogue());
        return outcomes.get(new FunctionId(function)).kind();
    }

    @Test
    void harnessOfTheOtherGenerationDoesNotMate() {
        Installation i = with(CaseFile.of("N2", 0), "h2", "w1");
        assertTrue(i.matings().stream()
                .noneMatch(m ->
                        m.second().equals(new PlugRef("h2", "M2")) || m.first().equals(new PlugRef("h2", "M2"))));
    }

    @Test
    void twelveVoltsOnASixVoltCameraGiveNoPicture() {
        CaseFile job = CaseFile.of("N3", 0);
        assertEquals(Kind.LOST, kind(job, with(job, "bx5", "c12"), "rear camera"));
        assertEquals(Kind.KEPT, kind(job, with(job, "bx5", "c6"), "rear camera"));
    }

    @Test
    void plainHarnessOnACarWithoutAnAccessoryWireStaysSilent() {
        CaseFile job = CaseFile.of("N3", 0);
        Installation i = with(job, "hp");
        assertEquals(Kind.LOST, kind(job, i, "front left"));
        assertTrue(i.caps().stream()
                .anyMatch(c -> c.lead().name().equals("remote") && c.reason() instanceof CapReason.NotBroughtOut));
    }

    /** The older module makes no accessory: the wire at the ignition switch serves, and power is not retained. */
    @Test
    void olderModuleTakesAccessoryFromTheIgnitionSwitch() {
        CaseFile job = CaseFile.of("N3", 0);
        Installation i = with(job, "bx3", "c6");
        assertTrue(i.joints().stream()
                .anyMatch(j -> j.role() == LeadRole.ACCESSORY
                        && j.leads().stream().anyMatch(l -> l.toString().equals("car.column.1"))));
        assertEquals(Kind.KEPT, kind(job, i, "front left"));
        assertEquals(Kind.LOST, kind(job, i, "retained power"));
        assertEquals(Kind.LOST, kind(job, i, "dimming"));
    }

    @Test
    void passThroughWithoutASeatForTheFibreSilencesEverySpeaker() {
        CaseFile job = CaseFile.of("N4", 0);
        assertEquals(Kind.LOST, kind(job, with(job, "pt3", "ax2", "cm"), "front left"));
    }

    /** 2.4 A through a lead that bears 0.3 A (common practice, no source). */
    @Test
    void motorMastOnTheRadiosAntennaLeadAsksForARelay() {
        CaseFile job = CaseFile.of("N5", 0);
        assertEquals(
                List.of("Antenna power lead of Hesk M2 bears 0.3 A, and what hangs on it draws 2.4 A. "
                        + "Put a relay between them, fed from constant with a fuse of its own."),
                Misfed.in(with(job)).stream().map(f -> f.message()).toList());
        assertEquals(List.of(), Misfed.in(job.built()));
    }

    @Test
    void antennaFedFromAccessoryIsAChoiceThatSaysSo() {
        CaseFile job = CaseFile.of("N7", 0);
        List<SubstituteChoice> choices = job.built().substitutes();
        assertEquals(1, choices.size());
        assertEquals(LeadRole.ANTENNA_POWER, choices.get(0).wanted());
        assertEquals(LeadRole.ACCESSORY, choices.get(0).source().orElseThrow());
    }

    @Test
    void aChoiceEqualToTheDefaultChangesNothing() {
        CaseFile job = CaseFile.of("N7", 0);
        Installation chosen = Builder.build(
                job.recipe(job.kit()).substituting(Map.of(LeadRole.ANTENNA_POWER, Optional.of(LeadRole.ACCESSORY))));
        assertEquals(job.built().joints(), chosen.joints());
        assertEquals(job.built().caps(), chosen.caps());
        Installation unfed =
                Builder.build(job.recipe(job.kit()).substituting(Map.of(LeadRole.ANTENNA_POWER, Optional.empty())));
        assertTrue(unfed.caps().stream()
                .anyMatch(c -> c.lead().toString().equals("aa.feed") && c.reason() instanceof CapReason.ByHand));
        assertEquals(Kind.LOST, kind(job, unfed, "antenna feed"));
    }

    /** Without the bypass lead the amplifier's output plug stays home, and the remote would switch a dead amplifier. */
    @Test
    void amplifierIsBypassedOnlyWhereItsOutputPlugIsParted() {
        CaseFile job = CaseFile.of("N9", 0);
        assertTrue(job.built().caps().stream().anyMatch(c -> c.reason() instanceof CapReason.Bypassed));
        Installation kept = with(job, "hz", "c9");
        assertTrue(kept.caps().stream().noneMatch(c -> c.reason() instanceof CapReason.Bypassed));
        assertFalse(kept.joints().stream().noneMatch(j -> j.role() == LeadRole.AMP_REMOTE));
    }

    @Test
    void movedBackWhereItBelongsALeadMakesTheSameJoints() {
        CaseFile job = CaseFile.of("N6", 0);
        Installation i = job.built();
        Moves none = new Moves(Map.of());
        assertEquals(
                i.joints(), Builder.build(job.recipe(job.kit()).moving(none)).joints());
    }

    /** All kits of a job with what was decided of them beforehand; a frame is at hand. */
    private static List<Kit> kits(CaseFile job, PartKind... also) {
        KitDecisions decisions = new KitDecisions(Map.of(KitNeed.DASH_KIT, Filling.of(Filling.By.OWN)), Set.of(also));
        Installation factory = Builder.factory(job.vehicle());
        List<RadioMatch> radios = RadioMatch.of(
                factory,
                job.vehicle(),
                List.of(job.radio()),
                job.allParts(),
                job.catalogue(),
                Outcomes.fulfilled(factory, job.catalogue()),
                decisions);
        return Matcher.match(radios, Wishes.NONE, Market.SHEETS).kits();
    }

    /** No function asks for an amplifier: it is in a kit because somebody wants it, and sound goes through it. */
    @Test
    void addedAmplifierIsInEveryKitOnceItIsWanted() {
        CaseFile job = CaseFile.of("N6", 0);
        assertTrue(kits(job).stream().noneMatch(k -> k.has("amp")));
        List<Kit> with = kits(job, PartKind.AMPLIFIER);
        assertTrue(with.stream().allMatch(k -> k.has("amp")));
        assertTrue(with.get(0).working().contains(new FunctionId("front left")));
        assertTrue(with.get(0).build(job.vehicle()).caps().stream()
                .anyMatch(c -> c.reason() instanceof CapReason.DrivenBy));
    }

    /** The coax fits the radio without it, but the antenna's amplifier is fed by its blue lead (common practice). */
    @Test
    void adapterThatFeedsTheAntennaIsOfferedWhereTheAntennaFitsAnyway() {
        assertTrue(kits(CaseFile.of("N6", 0)).stream().filter(k -> k.has("aa")).anyMatch(k -> k.working()
                .contains(new FunctionId("reception"))));
    }

    @Test
    void wantedPartThatTheLibraryLacksIsNamed() {
        CaseFile job = CaseFile.of("N6", 0);
        KitDecisions relay = new KitDecisions(Map.of(), Set.of(PartKind.RELAY));
        assertTrue(Matcher.lacking(job.vehicle(), List.of(job.radio()), job.allParts(), relay, Market.SHEETS)
                .get(0)
                .things()
                .contains(new Lacking.Thing(Optional.empty(), "relay is in the library")));
    }

    /** 9.94 A on a lead good for 10 A is borne; that no fuse suits both load and lead is what is wrong. */
    @Test
    void nearlyFullLeadIsBorneAndTheMissingFuseIsNamed() {
        Installation job = CaseFile.of("N1", 0).built();
        List<Load> loads = Loads.of(job, Worksheet.of(job), Demo.tables());
        Load ground = loads.stream()
                .filter(l -> l.what().equals("ground"))
                .findFirst()
                .orElseThrow();
        assertTrue(ground.figures().startsWith("9.94 A on the 18 AWG lead"), ground::figures);
        assertFalse(ground.verdict().wrong());
        assertEquals(
                List.of("constant, its fuse"),
                loads.stream().filter(l -> l.verdict().wrong()).map(Load::what).toList());
    }

    /** The shells of the plugs lie on one return: they share, and drive nothing. */
    @Test
    void rcaSetsOnACommonReturnAreNoTiedOutputs() {
        CaseFile job = CaseFile.of("N2", 0);
        Installation i = job.built();
        assertTrue(job.vehicle().car().plugs().stream()
                .flatMap(p -> p.positions().stream())
                .anyMatch(p -> p.role().equals(Optional.of(LeadRole.LINE_COMMON))));
        assertEquals(List.of(), i.faults());
    }

    @Test
    void whatIsRefusedNamesPlugAndPositionOfBothSides() {
        assertEquals(
                "two outputs are tied together: Z4.1 of factory amplifier and rr+ of Wexcombe E3. "
                        + "Leave one out, or put a diode or relay between them.",
                CaseFile.of("N9", 1).built().faults().get(0).message());
    }

    /** A loom cut together with its aerial lead: the sheet is right, and the end of the lead lies among the others. */
    @Test
    @SuppressWarnings("unchecked")
    void cutLoomWithAnAntennaLeadIsRead() {
        CaseFile job = CaseFile.of("N5", 0);
        Map<String, Object> car =
                (Map<String, Object>) Demo.parse(job.sheets().get("vehicle").toString());
        List<Object> plugs = new ArrayList<>((List<Object>) car.get("plugs"));
        plugs.removeIf(p -> ((Map<String, Object>) p).get("id").equals("antenna"));
        Map<String, Object> stub = new LinkedHashMap<>((Map<String, Object>) plugs.get(0));
        List<Object> ends = new ArrayList<>((List<Object>) stub.get("positions"));
        ends.add(Map.of("position", 11, "role", "antenna", "to", "antenna.centre", "bare", true));
        stub.putAll(Map.of("positions", ends, "size", 11));
        car.put("plugs", List.of(stub));
        Sheet.Vehicle cut = (Sheet.Vehicle) SheetReader.read(car);
        assertEquals(List.of(), Builder.faultsOf(cut));
        Installation built = Builder.replacement(cut, job.radio(), List.of());
        assertTrue(built.caps().stream().anyMatch(c -> c.lead().toString().startsWith("car.stub.11")));
    }
}
