package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Where a fact comes from.
 *
 * @param by   who says so: a person, a paper, a catalogue; may be empty
 * @param date ISO date of the saying; may be empty
 */
public record Provenance(Origin origin, String by, String date) {

    /** Strongest first. The first three outrank the last two. */
    public enum Origin {
        MEASURED,
        PRINTED,
        CATALOGUE,
        STATED,
        ASSUMED;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** Measured, printed and catalogue facts stand; stated and assumed ones give way to them. */
        public boolean stands() {
            return compareTo(STATED) < 0;
        }

        public static Optional<Origin> find(String word) {
            return Arrays.stream(values()).filter(o -> o.word().equals(word)).findFirst();
        }
    }

    public static Provenance of(Origin origin) {
        return new Provenance(origin, "", "");
    }

    public boolean assumed() {
        return origin == Origin.ASSUMED;
    }

    @Override
    public String toString() {
        return origin.word() + (by.isEmpty() ? "" : " by " + by) + (date.isEmpty() ? "" : ", " + date);
    }
}
