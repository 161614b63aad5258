package velvetbezel.units;

/** Resistance in ohms, zero or more. */
public record Ohms(double value) implements Comparable<Ohms> {
    public Ohms {
        if (!Double.isFinite(value) || value < 0)
            throw new IllegalArgumentException("Ohms (%s) must be a finite number, zero or more.".formatted(value));
    }

    @Override
    public int compareTo(Ohms other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.plain(value) + " Ω";
    }
}
