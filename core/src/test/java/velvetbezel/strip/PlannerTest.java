package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.strip.StripDown;

/** Orders of single dashes, as a fitter would find them. */
class PlannerTest {
    private static final Planner PLANNER = new Planner();

    private static List<String> texts(StripPlan plan) {
        return plan.found().orElseThrow().steps().stream().map(StepText::write).toList();
    }

    private static void assertNoHazard(StripDown strip, Wanted wanted, StripPlan plan) {
        List<StripStep> steps = new ArrayList<>(plan.found().orElseThrow().steps());
        steps.add(new StripStep.End());
        assertEquals(
                List.of(),
                new Simulation(strip, wanted, Cars.rules())
                        .run(CarState.CLOSED, steps)
                        .hazards());
    }

    @Test
    void panelPassesTheLeverAtLowAndItsAirbagLampComesOffWithTheBatteryOff() {
        StripDown car = Cars.leverAgainstLamp();
        StripPlan plan = PLANNER.plan(car, Wanted.away("radio"), CarState.CLOSED);
        List<String> steps = texts(plan);
        List<String> order = List.of(
                "do delete paired phones",
                "set gear: low, foot brake held",
                "loosen fascia",
                "set gear: park, foot brake held",
                "set key: off",
                "set battery: disconnected",
                "unplug fascia.airbag lamp",
                "lift fascia",
                "unplug radio.main",
                "exchange",
                "plug in fascia.airbag lamp",
                "set battery: connected",
                "function test",
                "fasten radio",
                "fasten fascia");
        assertEquals(order, steps.stream().filter(order::contains).distinct().toList());
        assertEquals(11, plan.found().orElseThrow().changes());
        assertTrue(plan instanceof StripPlan.Least);
        assertNoHazard(car, Wanted.away("radio"), plan);
    }

    @Test
    void panelThatCannotHangInFrontOfTheLeverHasNoOrderAndWhatWouldFreeItIsSaid() {
        StripDown car = Cars.of(
                """
                {'facts': {'lever': {'key': ['run'], 'foot brake': true, 'battery': true}},
                 'items': [{'id': 'panel', 'rests': false, 'clear': {'gear': ['low']},
                   'leads': [{'id': 'airbag lamp', 'circuit': 'airbag'}]},
                  {'id': 'radio', 'kind': 'radio', 'behind': ['panel'], 'leads': [{'id': 'main'}]}]}""");
        StripPlan.NoOrder none = (StripPlan.NoOrder) PLANNER.plan(car, Wanted.away("radio"), CarState.CLOSED);
        assertEquals(List.of(), none.deadEnds());
        assertEquals(
                // by the release the lever goes low with the battery off already, and back once the panel is away
                List.of(StripPlan.Relaxation.Kind.MECHANICAL_RELEASE, StripPlan.Relaxation.Kind.PART_RESTS),
                none.relaxations().stream().map(StripPlan.Relaxation::kind).toList());
    }

    @Test
    void gloveBoxBehindThePanelThatHasItsButtonIsADeadEndAndTheButtonIsNamed() {
        StripDown car = Cars.of(
                """
                {'items': [{'id': 'panel', 'leads': [{'id': 'button', 'gives': ['release']}]},
                  {'id': 'glove box', 'kind': 'lid', 'electric': {}, 'uses': ['release'], 'behind': ['panel']},
                  {'id': 'radio', 'kind': 'radio', 'behind': ['glove box:loose']}]}""");
        StripPlan.NoOrder none = (StripPlan.NoOrder) PLANNER.plan(car, Wanted.away("radio"), CarState.CLOSED);
        assertEquals(
                List.of(new StripPlan.DeadEnd(StripPlan.DeadEnd.Kind.ITS_OWN_PLUG, "loosen glove box", "panel.button")),
                none.deadEnds());
        assertEquals(
                List.of(StripPlan.Relaxation.Kind.FUNCTION_ELSEWHERE),
                none.relaxations().stream().map(StripPlan.Relaxation::kind).toList());
    }

    @Test
    void powerBehindAnOpenAirbagPlugIsOnlyToBeHadWithAStoredFault() {
        StripDown car = Cars.of(
                """
                {'items': [{'id': 'panel', 'leads': [{'id': 'lamp', 'circuit': 'airbag'}]},
                  {'id': 'flap', 'kind': 'lid', 'electric': {}, 'behind': ['panel']},
                  {'id': 'radio', 'kind': 'radio', 'behind': ['flap:loose']}]}""");
        StripPlan.NoOrder none = (StripPlan.NoOrder) PLANNER.plan(car, Wanted.away("radio"), CarState.CLOSED);
        assertEquals(
                StripPlan.DeadEnd.Kind.POWER_WITH_AIRBAG_OPEN,
                none.deadEnds().get(0).kind());
        StripPlan.Order harm =
                PLANNER.leastHarm(car, Wanted.away("radio"), CarState.CLOSED).orElseThrow();
        List<StripStep> steps = new ArrayList<>(harm.steps());
        steps.add(new StripStep.End());
        Set<Severity> found = new Simulation(car, Wanted.away("radio"), Cars.rules())
                .run(CarState.CLOSED, steps).hazards().stream()
                        .map(HazardFinding::severity)
                        .collect(Collectors.toSet());
        assertEquals(Set.of(Severity.FAULT), found);
    }

    @Test
    void surroundThatMayHangInsteadOfComingAwayIsTheOneQuestion() {
        StripDown car = Cars.of(
                """
                {'facts': {'lever': {'key': ['run'], 'foot brake': true, 'battery': true}},
                 'items': [{'id': 'surround', 'leads': [{'id': 'switches'}]},
                  {'id': 'fascia', 'behind': ['surround'], 'clear': {'gear': ['low']}, 'leads': [{'id': 'hazard'}]},
                  {'id': 'radio', 'kind': 'radio', 'behind': ['fascia'], 'leads': [{'id': 'main'}]}],
                 'works': [{'id': 'delete paired phones', 'phase': 'before', 'plugged': ['radio.main'],
                   'needs': {'battery': ['connected'], 'key': ['run']}}]}""");
        StripPlan plan = PLANNER.plan(car, Wanted.away("radio"), CarState.CLOSED);
        int changes = plan.found().orElseThrow().changes();
        StripPlan.Relaxation asked = PLANNER.question(car, Wanted.away("radio"), CarState.CLOSED, changes)
                .orElseThrow();
        assertEquals("fascia behind surround", asked.of());
        assertEquals(List.of(15, 11), List.of(changes, asked.changes()));
    }

    @Test
    void bothBatteriesComeOffBeforeAnyPlugAndBothAreOnForTheTest() {
        StripDown car = Cars.of(
                """
                {'facts': {'batteries': [{'id': 'left'}, {'id': 'right'}]},
                 'items': [{'id': 'radio', 'kind': 'radio', 'leads': [{'id': 'main'}]}]}""");
        StripPlan plan = PLANNER.plan(car, Wanted.away("radio"), CarState.CLOSED);
        List<String> steps = texts(plan);
        for (String off : List.of("set battery: disconnected", "set second battery: disconnected"))
            assertTrue(steps.indexOf(off) >= 0 && steps.indexOf(off) < steps.indexOf("unplug radio.main"), off);
        for (String on : List.of("set battery: connected", "set second battery: connected"))
            assertTrue(steps.indexOf(on) > 0 && steps.indexOf(on) < steps.indexOf("function test"), on);
        assertNoHazard(car, Wanted.away("radio"), plan);
    }

    @Test
    void lidsAloneNeedNoBattery() {
        StripDown car = Cars.of(
                """
                {'items': [{'id': 'cover', 'kind': 'cover', 'clips': {'count': 3}}],
                 'extras': [{'id': 'dash camera lead', 'open': ['cover:loose']}]}""");
        Wanted lead = new Wanted(Set.of(), Set.of(), Set.of("dash camera lead"), School.USUAL);
        assertEquals(
                List.of("undo cover/clips × 3", "loosen cover", "do up cover/clips × 3", "fasten cover"),
                texts(PLANNER.plan(car, lead, CarState.CLOSED)));
    }

    @Test
    void partClosedWithItsPlugOffIsOpenedAgain() {
        StripDown car = Cars.leverAgainstLamp();
        Wanted radio = Wanted.away("radio");
        List<StripStep> steps =
                PLANNER.plan(car, radio, CarState.CLOSED).found().orElseThrow().steps();
        CarState at = CarState.CLOSED;
        for (StripStep s : steps) if (!StepText.write(s).equals("plug in fascia.glove-box button")) at = at.after(s);
        List<String> rest = texts(PLANNER.plan(car, radio, at));
        assertTrue(rest.indexOf("loosen fascia") >= 0, rest.toString());
        assertTrue(rest.indexOf("plug in fascia.glove-box button") > rest.indexOf("loosen fascia"), rest.toString());
        assertTrue(rest.indexOf("fasten fascia") > rest.indexOf("plug in fascia.glove-box button"), rest.toString());
    }

    @Test
    void nothingWantedIsNothingToOpen() {
        Wanted nothing = new Wanted(Set.of(), Set.of(), Set.of(), School.USUAL);
        assertEquals(new StripPlan.Nothing(), PLANNER.plan(Cars.leverAgainstLamp(), nothing, CarState.CLOSED));
    }
}
