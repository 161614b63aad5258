package velvetbezel.cases;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The order of each of the ten jobs, and the wrong order that somebody took. */
class StripCasesTest {
    @ParameterizedTest
    @ValueSource(strings = {"N1", "N2", "N3", "N4", "N5", "N6", "N7", "N8", "N9", "N10"})
    void everyLineOfTheOrderHoldsInThePlan(String id) {
        StripCases job = new StripCases(id);
        assertEquals(
                CaseFile.of(id, 0).expected().get("order").size(), job.orderLines(), "a line of the case is left out");
        List<String> plan = job.plan();
        for (int line = 0; line < job.orderLines(); line++) {
            int of = line;
            assertTrue(job.holds(line, plan), () -> job.line(of) + "\n" + String.join("\n", plan));
        }
        assertEquals(List.of(), job.hazardsOfPlan());
    }

    @ParameterizedTest
    @ValueSource(strings = {"N1", "N2", "N3", "N4", "N5", "N6", "N7", "N8", "N9", "N10"})
    void wrongOrderIsCaughtAtItsStepWithItsHazard(String id) {
        StripCases job = new StripCases(id);
        String expected =
                CaseFile.of(id, 0).expected().get("wrong_order").get("hazard").asString();
        assertEquals(expected.toLowerCase(Locale.ROOT), job.hazard());
        assertTrue(job.wrong().stream().anyMatch(f -> f.severity().word().equals(job.hazard())), () -> job.wrong()
                .toString());
    }
}
