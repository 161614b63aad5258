package velvetbezel.prove;

/** What a function did at arrival, before anything was touched. */
public enum Baseline {
    NOT_TESTED,
    WORKED,
    FAULTY
}
