package velvetbezel.prove;

/** What a check showed. */
public enum Result {
    OPEN,
    RIGHT,
    NOT_RIGHT,
    COULD_NOT_TEST
}
