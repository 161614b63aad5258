package velvetbezel.harness;

/** How a part is used in a kit. */
public enum Use {
    FITTED,
    /** Laid now for something to come: every lead of it is left spare. */
    LATER,
    /** The customer's own, or found in the car: nothing to buy. */
    OWN,
    /** Made by hand in the workshop. */
    MADE
}
