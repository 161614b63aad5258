package velvetbezel.simulate;

/**
 * What a line is made to do wrong.
 *
 * @param unplugAfter bytes both ways; below zero never
 * @param garbled     share of the bytes, 0 to 1
 * @param seed        of the garbling
 */
public record Faults(long unplugAfter, double garbled, long seed) {
    public static final Faults NONE = new Faults(-1, 0, 1);
}
