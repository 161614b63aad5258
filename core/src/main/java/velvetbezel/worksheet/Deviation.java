package velvetbezel.worksheet;

/** Why going by colour alone would go wrong or leave something out: one reason a joint is an exception. */
public record Deviation(Kind kind, String text) {
    public enum Kind {
        COLOURS_DIFFER("colours differ"),
        OTHER_FUNCTION("same colour, other function"),
        COLOUR_UNKNOWN("colour not known"),
        THREE_OR_MORE("three or more leads"),
        AWAY("away from the radio's plug"),
        LOOK_ALIKE("look-alike left out"),
        GUESS("guess");

        /** Whether going by colour would go wrong: three leads, or a way to walk, mislead nobody's eye. */
        public boolean misleads() {
            return this != THREE_OR_MORE && this != AWAY;
        }

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
