package velvetbezel.strip;

/**
 * How a workshop goes about it where schools differ.
 *
 * @param bothPoles      the positive clamps come off too
 * @param benchFirst     brackets and joints are made before the car is opened, so that it stands open for less long
 * @param plainPlugsLive plain plugs, never an airbag's or the radio's, are moved with the key off and the battery on
 */
public record School(boolean bothPoles, boolean benchFirst, boolean plainPlugsLive) {
    /** Negative only, bench first, nothing moved live (common practice, no source). */
    public static final School USUAL = new School(false, true, false);
}
