package velvetbezel.units;

/** Potential difference in volts. */
public record Volts(double value) implements Comparable<Volts> {
    public Volts {
        if (!Double.isFinite(value))
            throw new IllegalArgumentException("Volts (%s) must be a finite number.".formatted(value));
    }

    @Override
    public int compareTo(Volts other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.plain(value) + " V";
    }
}
