package velvetbezel.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.PlugFamily;

class PlugDrawingTest {
    private static final Plug MAIN = Demo.crossover().car().plugs().get(0);
    private static final PlugDrawing DRAWING = PlugDrawing.of(MAIN);

    @Test
    void everyPositionHasItsPlaceInTheOrderOfNumbersAndNoneOverlap() {
        assertEquals(
                MAIN.positions().stream().map(p -> p.number()).toList(),
                DRAWING.cells().stream().map(PlugDrawing.Cell::number).toList());
        for (PlugDrawing.Cell a : DRAWING.cells()) {
            assertTrue(a.x() + a.width() <= DRAWING.width() && a.y() + a.height() <= DRAWING.height());
            for (PlugDrawing.Cell b : DRAWING.cells()) assertFalse(a != b && a.x() == b.x() && a.y() == b.y());
        }
        assertEquals(
                2, DRAWING.cells().stream().map(PlugDrawing.Cell::y).distinct().count());
    }

    @Test
    void conflictAndEmptyPositionsAreToldInWords() {
        PlugDrawing.Cell nine = DRAWING.cells().get(8);
        assertEquals("conflict", nine.style());
        assertEquals("Position 9, amp remote, blue/white or blue/yellow", nine.label());
        assertEquals(
                List.of("13", "14"),
                DRAWING.cells().stream()
                        .filter(PlugDrawing.Cell::empty)
                        .map(PlugDrawing.Cell::number)
                        .toList());
    }

    @Test
    void aShortPlugIsOneRow() {
        assertEquals(
                1,
                PlugDrawing.of(Demo.minibus().car().plugs().get(2)).cells().stream()
                        .map(PlugDrawing.Cell::y)
                        .distinct()
                        .count());
    }

    @Test
    void faceOfAKnownFamilyIsDrawnAsItLiesInTheHand() {
        PlugDrawing face = PlugDrawing.of(MAIN, Demo.crossover().family(MAIN), PlugFamily.Side.MATING_SIDE);
        assertEquals("1", face.cells().get(0).number());
        assertEquals("9", face.cells().get(8).number());
        assertEquals("Seen from the mating side, latch at the top.", face.seen());
        Shapes.Box latch = face.latch().orElseThrow();
        assertTrue(latch.y() + latch.height() <= face.cells().get(0).y());
    }
}
