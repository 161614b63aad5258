package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.strip.StripDown;

class PlannerTest {
    private static List<String> texts(List<StripStep> steps) {
        return steps.stream().map(StepText::write).toList();
    }

    static void assertNoHazard(StripDown strip, Wanted wanted, CarState from, List<StripStep> steps) {
        Simulation.Ran ran = new Simulation(strip, wanted, Cars.rules())
                .run(
                        from,
                        IntStream.rangeClosed(0, steps.size())
                                .mapToObj(i -> i < steps.size() ? steps.get(i) : new StripStep.End())
                                .toList());
        assertEquals(List.of(), ran.hazards(), () -> String.join("\n", texts(steps)));
    }

    @Test
    void panelPassesTheLeverAtLowAndItsAirbagLampComesOffWithTheBatteryOff() {
        StripDown car = Cars.leverAgainstLamp();
        StripPlan plan = new Planner().plan(car, Wanted.away("radio"), CarState.CLOSED);
        StripPlan.Order order = plan.found().orElseThrow();
        assertNoHazard(car, Wanted.away("radio"), CarState.CLOSED, order.steps());
        assertTrue(plan instanceof StripPlan.Least);
    }
}
