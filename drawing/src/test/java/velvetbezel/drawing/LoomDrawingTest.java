package velvetbezel.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

class LoomDrawingTest {
    private static final LoomDrawing LOOM = LoomDrawing.of(List.of(
            new LoomDrawing.Station("Arrive", "", "/a", LoomDrawing.State.SETTLED, false),
            new LoomDrawing.Station("Match", "kit B", "/m", LoomDrawing.State.WRONG, true),
            new LoomDrawing.Station("Wire", "", "/w", LoomDrawing.State.OPEN, false)));

    @Test
    void everyStateIsTellableByAWordAndNotByColourAlone() {
        assertEquals(
                List.of("settled", "something is wrong", "open"),
                LOOM.branches().stream().map(LoomDrawing.Branch::word).toList());
        assertEquals(
                List.of("settled", "wrong", "open"),
                LOOM.branches().stream().map(LoomDrawing.Branch::style).toList());
    }

    @Test
    void branchesLeaveTheLoomInOrderAndWithinIt() {
        for (int i = 1; i < LOOM.branches().size(); i++)
            assertTrue(LOOM.branches().get(i).y() > LOOM.branches().get(i - 1).y());
        assertTrue(LOOM.branches().get(2).y() < LOOM.height());
        assertEquals(
                1, LOOM.branches().stream().filter(LoomDrawing.Branch::current).count());
    }
}
