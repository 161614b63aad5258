package velvetbezel.fit;

/** Whether it goes in. */
public enum FitVerdict {
    GOES_IN,
    /** Nothing is certain to be in the way, and what may be can be removed. */
    GOES_IN_PERHAPS_AFTER,
    /** After something is taken out, moved or trimmed. */
    GOES_IN_AFTER,
    /** One measurement decides. */
    MEASURE_FIRST,
    DOES_NOT_GO_IN
}
