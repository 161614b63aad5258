package velvetbezel.prove;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Installation;

class CommonCauseTest {
    private static final Installation CROSSOVER = Demo.crossoverJob();

    private static List<String> cause(List<String> failing, String... working) {
        return new CommonCause(CROSSOVER, Demo.outcomes(CROSSOVER)).of(ids(failing.stream()), ids(Stream.of(working)));
    }

    private static List<FunctionId> ids(Stream<String> names) {
        return names.map(FunctionId::new).toList();
    }

    /** Both rear corners silent and both front ones right: one plug or pair, not two joints (common practice). */
    @Test
    void rearLeftAndRearRightSilentTogetherHaveOneCauseAndItLeads() {
        List<String> causes = cause(List.of("rear left", "rear right"), "front left", "front right");
        assertTrue(causes.get(0).startsWith("plug \"rear"), causes::toString);
    }

    @Test
    void oneFailureAloneHasNoCommonCause() {
        assertEquals(List.of(), cause(List.of("rear left"), "front left"));
    }
}
