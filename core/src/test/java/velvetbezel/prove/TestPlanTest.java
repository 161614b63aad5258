package velvetbezel.prove;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.harness.Installation;

class TestPlanTest {
    private static final TestPlan MINIBUS = plan(Demo.minibusJob());

    private static TestPlan plan(Installation i) {
        return TestPlan.of(i, Demo.CATALOGUE, Demo.outcomes(i));
    }

    private static Check check(TestPlan plan, String function) {
        return plan.checks().stream()
                .filter(c -> c.function().id().text().equals(function))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void onlyFunctionsOfThisCarAreTried() {
        assertEquals(22, MINIBUS.checks().size());
        assertTrue(MINIBUS.checks().stream()
                .noneMatch(c -> c.function().id().text().equals("amplifier")));
    }

    @Test
    void oldFaultIsNotBlamedOnTheFitter() {
        assertEquals(
                "Was faulty at arrival already.",
                check(MINIBUS, "rear left")
                        .verdict(Baseline.FAULTY, Result.NOT_RIGHT)
                        .text());
    }

    /** A silent corner points to its own joint, not to the ground that everything shares. */
    @Test
    void newFaultNamesTheJointThatFewestFunctionsShare() {
        Verdict verdict = check(MINIBUS, "rear left").verdict(Baseline.WORKED, Result.NOT_RIGHT);
        assertEquals(Verdict.Kind.WRONG, verdict.kind());
        assertTrue(verdict.text().contains("First suspect: the rear left"), verdict.text());
    }

    @Test
    void lossToldBeforeThePurchaseIsNoFault() {
        TestPlan plan = plan(Demo.fit(Demo.minibus(), "pebblefen-p2", "thornlea-iso-tails"));
        Check button = check(plan, "button next");
        assertTrue(!button.due());
        assertEquals(
                "Does not work, as told before the purchase.",
                button.verdict(Baseline.WORKED, Result.NOT_RIGHT).text());
    }

    /** What would be closed in comes first, what needs a sleeping car last, power before everything. */
    @Test
    void checksComeByPhaseAndNeedFewerChangesThanTheCataloguesOrder() {
        List<Check> checks = MINIBUS.checks();
        assertEquals("power", checks.get(0).function().id().text());
        assertEquals("standby", checks.get(checks.size() - 1).function().id().text());
        for (int i = 1; i + 1 < checks.size(); i++)
            assertTrue(checks.get(i - 1)
                            .function()
                            .phase()
                            .compareTo(checks.get(i).function().phase())
                    <= 0);
        List<Check> catalogue = Demo.CATALOGUE.functions().stream()
                .flatMap(f -> checks.stream().filter(c -> c.function().equals(f)))
                .toList();
        assertEquals(catalogue.size(), checks.size());
        assertTrue(
                CheckOrder.changesOf(checks) < CheckOrder.changesOf(catalogue),
                CheckOrder.changesOf(checks) + " against " + CheckOrder.changesOf(catalogue));
    }
}
