package velvetbezel.prove;

/** What a result means. */
public record Verdict(Kind kind, String text) {
    /** SETTLED needs nothing more; OPEN is still to do; WRONG needs work. */
    public enum Kind {
        SETTLED,
        OPEN,
        WRONG
    }
}
