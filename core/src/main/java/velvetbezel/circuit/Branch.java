package velvetbezel.circuit;

/** An element between two nodes. Branch current is positive from {@code a} through the element to {@code b}. */
public sealed interface Branch {
    int a();

    int b();

    /** @param ohms more than zero */
    record Resistor(int a, int b, double ohms) implements Branch {
        public Resistor {
            atLeast("resistance", ohms, Double.MIN_NORMAL);
        }
    }

    /**
     * Volts behind ohms, plus at {@code a}.
     *
     * @param ohms zero for an ideal source, which occurs in imported netlists only
     */
    record Source(int a, int b, double volts, double ohms) implements Branch {
        public Source {
            atLeast("source resistance", ohms, 0);
        }
    }

    /** Pulls {@code amps} out of {@code a} and pushes them into {@code b}. */
    record Current(int a, int b, double amps) implements Branch {}

    /** Piecewise linear: open below its forward voltage, then that voltage behind {@code ohms}. */
    record Diode(int a, int b, double forwardVolts, double ohms) implements Branch {
        public Diode {
            atLeast("diode resistance", ohms, Double.MIN_NORMAL);
        }
    }

    private static void atLeast(String what, double value, double least) {
        if (!(value >= least) || Double.isInfinite(value))
            throw new IllegalArgumentException(
                    "A %s of %s is not allowed here; it must be a finite number of at least %s."
                            .formatted(what, value, least));
    }
}
