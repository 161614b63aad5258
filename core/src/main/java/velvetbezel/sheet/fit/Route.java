package velvetbezel.sheet.fit;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A way for a lead between two places; {@link #RADIO} is one of them without being listed.
 *
 * @param over         what it passes over
 * @param passesBehind whether it passes behind them, where it does no harm
 * @param hole         mm that a plug must pass; empty where the way is open
 */
public record Route(
        String from, String to, Length length, Set<Over> over, boolean passesBehind, Optional<Length> hole) {
    public static final String RADIO = "radio";

    public Route {
        over = Set.copyOf(over);
    }

    /** What a lead must not hang over, or should keep clear of. */
    public enum Over {
        CURTAIN_AIRBAG,
        PEDALS,
        COLUMN,
        FLAP;

        /** A lead over it can hurt somebody. */
        public boolean forbidden() {
            return this != FLAP;
        }

        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        static Optional<Over> find(String word) {
            return Arrays.stream(values()).filter(o -> o.word().equals(word)).findFirst();
        }

        static String all() {
            return Arrays.stream(values()).map(Over::word).collect(Collectors.joining(", "));
        }
    }
}
