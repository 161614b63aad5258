package velvetbezel.strip;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import velvetbezel.units.Millimetres;

/**
 * Whether a socket serves for a hexagon of another size, by clearance and play; no table of pairs.
 *
 * @param clearance opening less the nominal width across flats, in mm; negative where the opening is the smaller
 * @param degrees   how far the socket turns before it grips; 90 where it spins
 */
public record HexFit(Verdict verdict, Millimetres clearance, double degrees) {
    public enum Verdict {
        PASSES,
        /** Only where the hexagon is at the small end of its tolerance; never hammered on. */
        MAY_BE_TIGHT,
        ONLY_IN_NEED,
        NO
    }

    /** Millimetres to the inch, exact. */
    public static final double INCH = 25.4;

    private static final double PASSES = 2.2;
    private static final double IN_NEED = 3.5;
    private static final double HALF_ROOT_THREE = Math.sqrt(3) / 2;

    /** Sockets found in inch sets, in sixty-fourths of an inch (common practice, no source). */
    private static final List<Integer> INCH_SOCKETS =
            List.of(12, 14, 16, 18, 20, 22, 24, 28, 32, 36, 40, 44, 48, 52, 56, 60, 64);

    /**
     * @param hexagon nominal width across flats
     * @param opening of the socket
     */
    public static HexFit of(Millimetres hexagon, Millimetres opening) {
        double s = hexagon.value();
        double clearance = opening.value() - s;
        if (clearance < -tolerance(s)) return new HexFit(Verdict.NO, new Millimetres(clearance), 0);
        if (clearance < 0) return new HexFit(Verdict.MAY_BE_TIGHT, new Millimetres(clearance), 0);
        double play = play(opening.value() / s);
        Verdict verdict = play <= PASSES ? Verdict.PASSES : play <= IN_NEED ? Verdict.ONLY_IN_NEED : Verdict.NO;
        return new HexFit(verdict, new Millimetres(clearance), play);
    }

    /**
     * A hexagon of width s in an opening S turns by 30° less the angle whose cosine is S/s · √3/2; it spins at
     * 2/√3.
     */
    static double play(double ratio) {
        double cosine = ratio * HALF_ROOT_THREE;
        return cosine >= 1 ? 90 : 30 - Math.toDegrees(Math.acos(cosine));
    }

    /** By how much a hexagon may be smaller than its nominal width: IT13 (ISO 4759-1 and 286, from memory). */
    static double tolerance(double s) {
        return s <= 6 ? 0.18 : s <= 10 ? 0.22 : s <= 18 ? 0.27 : s <= 30 ? 0.33 : 0.39;
    }

    /** Inch sockets that may serve for a hexagon, by their names: "9/32 in". */
    public static Map<String, HexFit> inchSubstitutes(Millimetres hexagon) {
        Map<String, HexFit> serve = new TreeMap<>();
        for (int n : INCH_SOCKETS) {
            HexFit fit = of(hexagon, new Millimetres(n * INCH / 64));
            if (fit.verdict() != Verdict.NO) serve.put(fraction(n), fit);
        }
        return serve;
    }

    private static String fraction(int sixtyFourths) {
        int over = 64;
        int n = sixtyFourths;
        while (n % 2 == 0 && over > 1) {
            n /= 2;
            over /= 2;
        }
        return over == 1 ? n + " in" : n + "/" + over + " in";
    }
}
