package velvetbezel.controls;

/**
 * Between two neighbours on the volt axis.
 *
 * @param below     button with the lower volts
 * @param above     with the higher; an empty text for nothing pressed
 * @param freeSteps converter steps between their bands; negative where they overlap
 */
public record WindowGap(String below, String above, double freeSteps, Kind kind) {
    private static final double CLEAR = 8;

    /** CLEAR from eight steps on (our choice), NARROW below, COLLIDES where the bands overlap. */
    public enum Kind {
        CLEAR,
        NARROW,
        COLLIDES
    }

    static WindowGap of(String below, String above, double freeSteps) {
        return new WindowGap(
                below, above, freeSteps, freeSteps >= CLEAR ? Kind.CLEAR : freeSteps < 0 ? Kind.COLLIDES : Kind.NARROW);
    }
}
