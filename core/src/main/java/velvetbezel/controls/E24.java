package velvetbezel.controls;

import java.util.ArrayList;
import java.util.List;

/** Preferred resistors (IEC 60063, series E24). */
public final class E24 {
    private static final int[] DECADE = {
        10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91
    };

    /** In ohms, 100 Ω to 100 kΩ, both included. */
    public static final List<Double> OHMS = ohms();

    private E24() {}

    private static List<Double> ohms() {
        List<Double> ohms = new ArrayList<>();
        for (int ten = 10; ten <= 1000; ten *= 10) for (int e : DECADE) ohms.add((double) e * ten);
        ohms.add(100_000.0);
        return List.copyOf(ohms);
    }
}
