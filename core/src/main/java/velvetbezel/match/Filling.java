package velvetbezel.match;

import java.util.Arrays;
import java.util.Optional;

/**
 * How a need of a kit is filled without buying a part for it: a decision of the job.
 *
 * @param minutes labour, where somebody said it
 * @param cents   material of what is made, in hundredths of the currency, where somebody said it
 */
public record Filling(By by, Optional<Integer> minutes, Optional<Long> cents) {
    public enum By {
        /** The customer's own or found in the car: nothing to buy. */
        OWN("own part"),
        /** Made by hand in the workshop. */
        MADE("made by hand"),
        /** The car's plug is cut off; each wire of it is a cut. */
        HARD_WIRED("hard-wired"),
        NONE("none wanted");

        private final String label;

        By(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        public static Optional<By> find(String label) {
            return Arrays.stream(values()).filter(b -> b.label.equals(label)).findFirst();
        }
    }

    /** With neither time nor material stated. */
    public static Filling of(By by) {
        return new Filling(by, Optional.empty(), Optional.empty());
    }

    /** Nothing is bought but the material of what is made. */
    Optional<Long> price() {
        return by == By.MADE ? cents : Optional.of(0L);
    }
}
