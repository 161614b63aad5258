package velvetbezel.worksheet;

/** Why going by colour alone would go wrong or leave something out: one reason a joint is an exception. */
public record Deviation(Kind kind, String text) {
    public enum Kind {
        COLOURS_DIFFER,
        OTHER_FUNCTION,
        THREE_OR_MORE,
        NOT_AT_CAR_PLUG,
        COLOUR_UNKNOWN
    }
}
