package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.units.Millimetres;

/**
 * Inch sockets on metric hexagons. The inch is 25.4 mm exactly (international yard, 1959); tolerances are IT13 of ISO
 * 286 for hexagons of ISO 4759-1, from memory; play is plain geometry.
 */
class HexFitTest {
    private static HexFit fit(double hexagon, double inches) {
        return HexFit.of(new Millimetres(hexagon), new Millimetres(inches * HexFit.INCH));
    }

    @ParameterizedTest
    @CsvSource({
        // hexagon, socket in inches, clearance in mm, play in degrees, verdict
        "7, 0.28125, 0.14, 2.1, PASSES",
        "5.5, 0.21875, 0.06, 1.0, PASSES",
        "11, 0.4375, 0.11, 1.0, PASSES",
        "14, 0.5625, 0.29, 2.1, PASSES",
        "19, 0.75, 0.05, 0.3, PASSES",
        "8, 0.3125, -0.06, 0, MAY_BE_TIGHT",
        "6, 0.25, 0.35, 6.4, NO",
        "10, 0.375, -0.48, 0, NO",
        "12, 0.5, 0.70, 6.4, NO",
        "13, 0.5, -0.30, 0, NO"
    })
    void socketOfTheOtherSystem(double hexagon, double inches, double clearance, double play, HexFit.Verdict verdict) {
        HexFit fit = fit(hexagon, inches);
        assertEquals(verdict, fit.verdict());
        assertEquals(clearance, fit.clearance().value(), 0.006);
        assertEquals(play, fit.degrees(), 0.06);
    }

    @Test
    void socketOfItsOwnSizeDoesNotTurnAndALargerOneTurnsMore() {
        assertEquals(0, HexFit.play(1), 1e-9);
        double before = 0;
        for (double r = 1.001; r < 2 / Math.sqrt(3); r += 0.001) {
            assertTrue(HexFit.play(r) > before);
            before = HexFit.play(r);
        }
        assertEquals(90, HexFit.play(2 / Math.sqrt(3) + 1e-9), "it spins");
    }

    @Test
    void sevenMillimetresMayBeTurnedByNineThirtySeconds() {
        assertEquals(
                HexFit.Verdict.PASSES,
                HexFit.inchSubstitutes(new Millimetres(7)).get("9/32 in").verdict());
        assertTrue(HexFit.inchSubstitutes(new Millimetres(10)).isEmpty(), "3/8 is too small, 13/32 is in no set");
    }
}
