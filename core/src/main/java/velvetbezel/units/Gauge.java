package velvetbezel.units;

/**
 * Size of a round solid copper conductor, held as its cross-section.
 *
 * <p>AWG is geometric: d = 0.127 mm × 92^((36 − n) / 39) (ASTM B258, from memory). Stranded wire of a
 * gauge reads a few percent higher in resistance (common practice, no source); that is a separate
 * allowance and not part of this type.
 *
 * @param squareMillimetres cross-section in mm², more than zero
 */
public record Gauge(double squareMillimetres) implements Comparable<Gauge> {
    /** Ω·mm²/m of copper at 20 °C: 1/58 (100 % IACS; GNU units 2.22 agrees). */
    public static final double COPPER_RESISTIVITY = 1.0 / 58;
    /** Change of copper's resistance per kelvin at 20 °C (annealed copper, from memory). */
    public static final double COPPER_ALPHA = 0.00393;

    private static final double SMALLEST = 0.127;
    private static final double STEP = 92;

    public Gauge {
        if (!(squareMillimetres > 0) || squareMillimetres > 1000)
            throw new IllegalArgumentException(
                    "A cross-section of %s mm² is not between 0 and 1000.".formatted(squareMillimetres));
    }

    /** @param number AWG number; 0 is 1/0, −3 is 4/0 */
    public static Gauge awg(double number) {
        double diameter = SMALLEST * Math.pow(STEP, (36 - number) / 39);
        return new Gauge(Math.PI / 4 * diameter * diameter);
    }

    /** Cross-section of several conductors taken together in one joint. */
    public Gauge plus(Gauge other) {
        return new Gauge(squareMillimetres + other.squareMillimetres);
    }

    public double diameterMillimetres() {
        return Math.sqrt(4 * squareMillimetres / Math.PI);
    }

    /** Circular mils: the square of the diameter in thousandths of an inch. */
    public double circularMils() {
        return Math.pow(diameterMillimetres() / 0.0254, 2);
    }

    /** AWG number of this cross-section, fractional; the nearest real size is {@link #nearestAwg()}. */
    public double awgNumber() {
        return 36 - 39 * Math.log(diameterMillimetres() / SMALLEST) / Math.log(STEP);
    }

    public int nearestAwg() {
        return (int) Math.round(awgNumber());
    }

    /** Resistance of {@code metres} of this conductor at 20 °C. */
    public Ohms resistance(double metres) {
        return new Ohms(COPPER_RESISTIVITY / squareMillimetres * metres);
    }

    public Ohms resistance(double metres, double celsius) {
        return new Ohms(resistance(metres).value() * (1 + COPPER_ALPHA * (celsius - 20)));
    }

    @Override
    public int compareTo(Gauge other) {
        return Double.compare(squareMillimetres, other.squareMillimetres);
    }

    @Override
    public String toString() {
        return Numbers.plain(squareMillimetres) + " mm²";
    }
}
