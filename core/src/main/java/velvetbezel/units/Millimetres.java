package velvetbezel.units;

/** Length in millimetres. */
public record Millimetres(double value) implements Comparable<Millimetres> {
    public Millimetres {
        if (!Double.isFinite(value))
            throw new IllegalArgumentException("Millimetres (%s) must be a finite number.".formatted(value));
    }

    @Override
    public int compareTo(Millimetres other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.plain(value) + " mm";
    }
}
