package velvetbezel.prove;

/** What a meter is set to, and the error of a usual one (common practice, no source). */
public enum Meter {
    /** Against body metal, with the battery measured first; leads in the air pick up as much as the least. */
    VOLTS(0.008, 0.06, 0.3, -2, 60),
    /** With the battery off, and what its own leads have taken off. */
    OHMS(0.02, 0.3, 0, 0, 100e6),
    /** In the battery's negative lead. */
    AMPS(0.02, 0.002, 0.005, 0, 20);

    private final double share;
    private final double fixed;
    private final double least;
    private final double lowest;
    private final double highest;

    Meter(double share, double fixed, double least, double lowest, double highest) {
        this.share = share;
        this.fixed = fixed;
        this.least = least;
        this.lowest = lowest;
        this.highest = highest;
    }

    /** How far what it shows may be off, in its unit. */
    public double error(double shown) {
        return share * Math.abs(shown) + fixed;
    }

    boolean possible(double shown) {
        return shown >= lowest && shown <= highest;
    }

    /** Less than this is as good as nothing. */
    public double least() {
        return least;
    }
}
