package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;

/** How the face of a plug is arranged. */
class PlugFamilyTest {
    private static final PlugFamily SIXTEEN =
            Demo.crossover().family(Demo.crossover().car().plugs().get(0)).orElseThrow();

    /** Who turns a plug round in the hand finds position 1 at the other end (common practice). */
    @Test
    void wireSideIsTheMirrorImageOfTheMatingSide() {
        PlugFamily mating = SIXTEEN.from(PlugFamily.Side.MATING_SIDE);
        assertEquals("8", SIXTEEN.rows().get(0).get(0));
        assertEquals("1", mating.rows().get(0).get(0));
        assertEquals(SIXTEEN.latch(), mating.latch());
        assertEquals(SIXTEEN, mating.from(PlugFamily.Side.WIRE_SIDE));
        PlugFamily side =
                new PlugFamily("side", List.of(List.of("1", "2")), PlugFamily.Latch.LEFT, PlugFamily.Side.WIRE_SIDE);
        assertEquals(
                PlugFamily.Latch.RIGHT, side.from(PlugFamily.Side.MATING_SIDE).latch());
    }

    @Test
    void faceThatLeavesOutOrRepeatsAPositionIsRefused() {
        InvalidInput refused = assertThrows(
                InvalidInput.class,
                () -> Demo.vehicle(
                        "meridale-plover-2019-amplified",
                        t -> t.replace("[7, 8, 9, 10, 11, 12]", "[7, 8, 8, 10, 11, 13]")));
        assertTrue(refused.getMessage().contains("hold position 8 twice"), refused::getMessage);
        assertTrue(
                refused.getMessage().contains("hold 11 positions and no 9; list all of them, from 1."),
                refused::getMessage);
    }

    @Test
    void plugOfAnotherSizeHasNoFaceOfThatFamily() {
        Plug plug = Demo.crossover().car().plugs().get(0);
        Plug shorter = new Plug(
                plug.id(),
                plug.family(),
                plug.socket(),
                8,
                plug.positions().subList(0, 8),
                plug.housing(),
                plug.access());
        assertTrue(Demo.crossover().family(shorter).isEmpty());
    }
}
