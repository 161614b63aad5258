package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Sums with values worked by hand; the wedge by a table of tangents (tan 3° = 0.05241). */
class SmallSumsTest {
    @Test
    void stripOf610InTwelvePiecesWithCutsOfOneGives49Point92() {
        assertEquals(49.92, SmallSums.pieces(610, 12, 1).each(), 0.005);
        assertEquals(Optional.empty(), SmallSums.pieces(610, 12, 1).folds());
    }

    @Test
    void stripOf480InSixteenIsFoldedFourTimes() {
        assertEquals(new SmallSums.Pieces(30, Optional.of(4)), SmallSums.pieces(480, 16, 0));
    }

    @Test
    void piecesAndCutsMakeTheStrip() {
        Random random = new Random(4);
        for (int i = 0; i < 200; i++) {
            double length = 100 + random.nextInt(900);
            int n = 1 + random.nextInt(20);
            double cut = random.nextInt(3);
            assertEquals(length, n * SmallSums.pieces(length, n, cut).each() + (n - 1) * cut, 1e-9);
        }
    }

    @Test
    void stripThatIsAllCutsIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> SmallSums.pieces(10, 12, 1));
        assertThrows(IllegalArgumentException.class, () -> SmallSums.pieces(10, 0, 1));
    }

    @Test
    void faceOf100MillimetresAtThreeDegreesStandsFivePoint24Off() {
        assertEquals(5.24, SmallSums.wedge(100, 3), 0.005);
        assertEquals(5.24, SmallSums.wedge(100, -3), 0.005);
    }

    @Test
    void screwInto6MillimetresThroughABracketOfOneAndAHalfIsSixLong() {
        // M5 pitch 0.8: ISO 261, from memory
        SmallSums.Screw screw = SmallSums.screw(6, 1.5, SmallSums.pitch("M5").orElseThrow());
        assertEquals(7.5, screw.most(), 1e-9);
        assertEquals(3.9, screw.least(), 1e-9);
        assertEquals(Optional.of(6), screw.stock());
    }

    @Test
    void noStockScrewBetweenFourPointOneAndFourPointEight() {
        assertEquals(Optional.empty(), SmallSums.screw(3.3, 1.5, 0.87).stock());
    }

    @Test
    void mouldedPlugOf16By8PassesAHoleOf19() {
        assertEquals(17.9, SmallSums.diagonal(16, 8), 0.05);
        SmallSums.Drill drill = SmallSums.drill(17.9, 22);
        assertEquals(OptionalDouble.of(19), drill.mm());
        // 3/4 in is 19.05 mm
        assertEquals(Optional.of(12), drill.sixteenths());
    }

    @Test
    void foamIsPressedToBetweenHalfAndThreeQuarters() {
        Range foam = SmallSums.foam(6);
        assertEquals(8, foam.least(), 1e-9);
        assertEquals(12, foam.most(), 1e-9);
        assertTrue(foam.likely() > foam.least() && foam.likely() < foam.most());
    }
}
