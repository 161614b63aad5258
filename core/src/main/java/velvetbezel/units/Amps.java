package velvetbezel.units;

/** Current in amperes; positive from the first to the second end of a branch. */
public record Amps(double value) implements Comparable<Amps> {
    public Amps {
        if (!Double.isFinite(value))
            throw new IllegalArgumentException("Amps (%s) must be a finite number.".formatted(value));
    }

    @Override
    public int compareTo(Amps other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.plain(value) + " A";
    }
}
