package velvetbezel.function;

/** An outcome in one word, without its path or reason. */
public enum Kind {
    KEPT,
    CHANGED,
    LOST,
    GAINED,
    UNKNOWN,
    ABSENT;

    public boolean works() {
        return this == KEPT || this == CHANGED || this == GAINED;
    }
}
