package velvetbezel.run;

/** Volts between which a learned button is recognised; the low end belongs to it. */
public record Window(double low, double high) {
    boolean holds(double volts) {
        return volts >= low && volts < high;
    }
}
