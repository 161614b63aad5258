package velvetbezel.job;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Builder;
import velvetbezel.harness.JointId;
import velvetbezel.harness.Moves;
import velvetbezel.harness.Recipe;
import velvetbezel.harness.TerminalId;
import velvetbezel.job.Entry.Done;
import velvetbezel.prove.Result;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.units.Volts;
import velvetbezel.worksheet.CapRow;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Reading;

/** What a change does to work already done on the minibus, with the adapter with a steering tail or the one without. */
class ConsequencesTest {
    private static final Sheet.Vehicle CAR = Demo.minibus();
    private static final JointId STEERING = JointId.of(LeadRole.STEERING_1);
    private static final JointId GROUND = JointId.of(LeadRole.GROUND);

    private static Design with(String... parts) {
        return design(Recipe.of(CAR, Demo.radio("pebblefen-p2"), Demo.parts(parts)), JobState.EMPTY);
    }

    private static Design design(Recipe recipe, JobState state) {
        return Design.of(
                Builder.factory(CAR),
                Builder.build(recipe.moving(state.moves())),
                Demo.CATALOGUE,
                Demo.tables(),
                state.ways());
    }

    private static final Design TAIL = with("quillmoor-ferryman-frame", "thornlea-iso-steering");
    private static final Design NO_TAIL = with("quillmoor-ferryman-frame", "thornlea-iso-tails");

    /** Everything ticked, measured and tested. */
    private static JobState allDone(Design design) {
        List<Change<?>> done = new ArrayList<>();
        for (JointRow j : design.worksheet().joints()) {
            done.add(Change.set(new Entry.JointMade(j.id()), Done.DONE));
            done.add(Change.set(new Entry.ReadBack(j.id()), Entry.Agreement.AGREES));
            for (Reading r : j.readings())
                done.add(Change.set(new Entry.ReadingTaken(r.at(), r.state()), new Volts(12.4)));
        }
        for (CapRow c : design.worksheet().caps())
            done.add(Change.set(new Entry.CapMade(c.lead().id()), Done.DONE));
        for (String f : List.of("power", "front left", "reception")) {
            done.add(Change.set(new Entry.ResultGiven(new FunctionId(f)), Result.RIGHT));
            done.add(Change.set(new Entry.ResultNoted(new FunctionId(f)), "fine"));
        }
        done.add(Change.set(new Entry.NoteWritten(), "keep me"));
        return JobState.EMPTY.with(done);
    }

    private static Set<Entry<?>> entries(List<Change<?>> changes) {
        return changes.stream().map(Change::entry).collect(Collectors.toSet());
    }

    @Test
    void adapterWithoutSteeringTailTakesBackThatJointAndEveryResult() {
        JobState done = allDone(TAIL);
        JobState after = done.with(Consequences.of(done, Optional.of(TAIL), Optional.of(NO_TAIL)));
        assertTrue(!after.has(new Entry.JointMade(STEERING)) && !after.has(new Entry.ReadBack(STEERING)));
        assertTrue(after.has(new Entry.JointToUndo(STEERING)), "it is in the harness still");
        assertEquals(List.of(), after.all(Entry.ResultGiven.class));
        assertEquals(List.of(), after.all(Entry.ResultNoted.class));
        assertTrue(after.has(new Entry.NoteWritten()));
    }

    @Test
    void jointOfAnEarlierKitStandsWhenThatKitIsChosenAgain() {
        JobState done = allDone(TAIL);
        JobState between = done.with(Consequences.of(done, Optional.of(TAIL), Optional.of(NO_TAIL)));
        JobState again = between.with(Consequences.of(between, Optional.of(NO_TAIL), Optional.of(TAIL)));
        assertTrue(again.has(new Entry.JointMade(STEERING)));
        assertEquals(List.of(), again.all(Entry.JointToUndo.class));
    }

    @Test
    void sameDesignChangesNothing() {
        assertEquals(List.of(), Consequences.of(allDone(TAIL), Optional.of(TAIL), Optional.of(TAIL)));
    }

    @Test
    void workThatWasNotDoneIsNotTakenBack() {
        assertEquals(List.of(), Consequences.of(JobState.EMPTY, Optional.of(TAIL), Optional.of(NO_TAIL)));
    }

    @Test
    void kitThatIsGivenUpTakesEveryTickAndCap() {
        JobState done = allDone(TAIL);
        JobState after = done.with(Consequences.of(done, Optional.of(TAIL), Optional.empty()));
        assertEquals(List.of(), after.all(Entry.JointMade.class));
        assertEquals(List.of(), after.all(Entry.CapMade.class));
        assertEquals(List.of(), after.all(Entry.ReadingTaken.class));
        assertEquals(
                done.all(Entry.JointMade.class).size(),
                after.all(Entry.JointToUndo.class).size());
    }

    private static Design moved(Design of, TerminalId lead) {
        Recipe recipe = of.installation().recipe().moving(new Moves(Map.of(lead, Optional.empty())));
        return Design.of(
                Builder.factory(recipe.vehicle()),
                Builder.build(recipe),
                Demo.CATALOGUE,
                Demo.tables(),
                JobState.EMPTY.ways());
    }

    /** Every function tried and right. */
    private static JobState tried(Design design) {
        return JobState.EMPTY.with(design.outcomes().keySet().stream()
                .map(f -> Change.set(new Entry.ResultGiven(f), Result.RIGHT))
                .toList());
    }

    private static Set<FunctionId> fallen(Design was, Design is) {
        return entries(Consequences.of(tried(was), Optional.of(was), Optional.of(is))).stream()
                .map(e -> ((Entry.ResultGiven) e).function())
                .collect(Collectors.toSet());
    }

    private static List<TerminalId> movable(Design design) {
        return design.worksheet().joints().stream()
                .flatMap(j -> j.leads().stream())
                .map(l -> l.id())
                .filter(id -> id.instance().equals(Builder.RADIO))
                .toList();
    }

    /** A speaker lead taken off: that corner, and what is heard from it, are tried again, and little else. */
    @Test
    void movedSpeakerLeadTakesTheResultsOfItsCorner() {
        TerminalId lead = movable(TAIL).stream()
                .filter(id -> TAIL.installation().terminal(id).role().equals(Optional.of(LeadRole.FRONT_LEFT_PLUS)))
                .findFirst()
                .orElseThrow();
        Set<FunctionId> fallen = fallen(TAIL, moved(TAIL, lead));
        assertTrue(
                fallen.containsAll(Set.of(new FunctionId("front left"), new FunctionId("polarity"))), fallen::toString);
        assertTrue(
                !fallen.contains(new FunctionId("rear right")) && !fallen.contains(new FunctionId("power")),
                fallen::toString);
    }

    @Test
    void radioFedOtherwiseTakesEveryResult() {
        TerminalId constant = movable(TAIL).stream()
                .filter(id -> TAIL.installation().terminal(id).role().equals(Optional.of(LeadRole.CONSTANT)))
                .findFirst()
                .orElseThrow();
        assertEquals(TAIL.outcomes().keySet(), fallen(TAIL, moved(TAIL, constant)));
    }

    /** Whatever lead is moved: a function that comes out otherwise is always among those to be tried again. */
    @Test
    void everyFunctionThatComesOutOtherwiseIsTriedAgain() {
        Design job = Design.of(
                Builder.factory(Demo.crossover()),
                Demo.crossoverJob(),
                Demo.CATALOGUE,
                Demo.tables(),
                JobState.EMPTY.ways());
        for (Design was : List.of(TAIL, job))
            for (TerminalId lead : movable(was)) {
                Design is = moved(was, lead);
                Set<FunctionId> fallen = fallen(was, is);
                is.outcomes().forEach((f, o) -> {
                    if (!o.sameFor(was.outcomes().get(f))) assertTrue(fallen.contains(f), () -> lead + " changes " + f);
                });
                System.out.printf(
                        "%s: %d of %d results fall%n",
                        lead, fallen.size(), was.outcomes().size());
            }
    }

    @Test
    void movedLeadTouchesOnlyTheJointsItLeftAndCameTo() {
        TerminalId lead = TAIL.worksheet().joints().stream()
                .filter(j -> j.id().equals(GROUND))
                .flatMap(j -> j.leads().stream())
                .map(l -> l.id())
                .filter(id -> id.instance().equals(Builder.RADIO))
                .findFirst()
                .orElseThrow();
        Recipe moved = TAIL.installation().recipe().moving(new Moves(Map.of(lead, Optional.empty())));
        JobState done = allDone(TAIL);
        Set<Entry<?>> touched = entries(Consequences.of(
                done,
                Optional.of(TAIL),
                Optional.of(design(
                        moved,
                        JobState.EMPTY.with(List.of(Change.set(new Entry.LeadMoved(lead), Optional.empty())))))));
        assertEquals(
                Set.of(GROUND),
                touched.stream()
                        .filter(Entry.JointMade.class::isInstance)
                        .map(e -> ((Entry.JointMade) e).joint())
                        .collect(Collectors.toSet()));
    }
}
