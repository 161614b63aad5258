package velvetbezel.units;

/** Level or gain in decibels. A voltage ratio is 10^(dB/20), a power ratio 10^(dB/10). */
public record Decibels(double value) implements Comparable<Decibels> {
    public Decibels {
        if (!Double.isFinite(value))
            throw new IllegalArgumentException("Decibels (%s) must be a finite number.".formatted(value));
    }

    public static Decibels ofVoltageRatio(double ratio) {
        return new Decibels(20 * Math.log10(ratio));
    }

    public static Decibels ofPowerRatio(double ratio) {
        return new Decibels(10 * Math.log10(ratio));
    }

    public double voltageRatio() {
        return Math.pow(10, value / 20);
    }

    public double powerRatio() {
        return Math.pow(10, value / 10);
    }

    public Decibels plus(Decibels gain) {
        return new Decibels(value + gain.value);
    }

    @Override
    public int compareTo(Decibels other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.plain(value) + " dB";
    }
}
