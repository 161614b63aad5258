package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.StripDown;

/** The dashes of the demo's cars. */
class DemoDashesTest {
    @Test
    void everyCarOfTheDemoComesApartAndGoesTogetherSafely() {
        List<Sheet> cars = Demo.all("vehicles");
        assertTrue(cars.size() >= 7);
        for (Sheet car : cars) {
            StripDown strip = ((Sheet.Vehicle) car).strip().orElseThrow(() -> new AssertionError(car.id()));
            Wanted wanted = Wanted.away(strip.items().stream()
                    .filter(i -> i.kind() == ItemKind.RADIO)
                    .findFirst()
                    .orElseThrow()
                    .id()
                    .name());
            StripPlan plan = new Planner().plan(strip, wanted, CarState.CLOSED);
            assertTrue(plan instanceof StripPlan.Least, car.id() + " " + plan);
            List<StripStep> steps = new ArrayList<>(plan.found().orElseThrow().steps());
            steps.add(new StripStep.End());
            assertEquals(
                    List.of(),
                    new Simulation(strip, wanted, Cars.rules())
                            .run(CarState.CLOSED, steps)
                            .hazards(),
                    car.id());
        }
    }
}
