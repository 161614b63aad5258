package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * How and when a setting of a device is set. Each is empty where its sheet does not say.
 *
 * @param tape whether it is taped over once it is set, so that nobody turns it in the dash
 * @param fact which trait of the vehicle decides its value
 */
public record HowSet(Optional<Moment> when, Optional<Means> by, boolean tape, Optional<Trait> fact) {
    public static final HowSet UNSAID = new HowSet(Optional.empty(), Optional.empty(), false, Optional.empty());

    /** When it is set. */
    public enum Moment {
        /** Read when power comes: set at the bench. */
        BEFORE_POWER,
        FIRST_START,
        AFTER,
        /** Chosen again and again: a source, a fader. */
        IN_USE;

        public static Optional<Moment> find(String label) {
            return HowSet.find(values(), label);
        }
    }

    /** With what it is set. */
    public enum Means {
        SELECTOR,
        SWITCHES,
        COMPUTER,
        MENU,
        BUTTONS;

        public static Optional<Means> find(String label) {
            return HowSet.find(values(), label);
        }
    }

    private static <E extends Enum<E>> Optional<E> find(E[] all, String label) {
        return Arrays.stream(all).filter(e -> label(e).equals(label)).findFirst();
    }

    /** As sheets write it: "before power". */
    public static String label(Enum<?> word) {
        return word.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
