package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.units.Decibels;

/**
 * How strong a signal is against music at a speaker, or by how much a device changes it.
 *
 * @param stated whether a paper or a meter gave the number; a class of signal says which inputs it suits, never that
 *     one installation is louder than another
 */
public record SignalLevel(Decibels value, boolean stated) {
    /** Classes of signals and gains (common practice, no source). */
    private enum Named {
        SPEAKER(0),
        LINE(-10),
        AMPLIFIER(10);

        private final Decibels value;

        Named(double decibels) {
            this.value = new Decibels(decibels);
        }

        private String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public static SignalLevel of(double decibels) {
        return new SignalLevel(new Decibels(decibels), true);
    }

    public static Optional<SignalLevel> named(String word) {
        return Arrays.stream(Named.values())
                .filter(n -> n.word().equals(word))
                .map(n -> new SignalLevel(n.value, false))
                .findFirst();
    }

    static String names() {
        return Arrays.stream(Named.values()).map(Named::word).collect(Collectors.joining(", "));
    }

    public SignalLevel plus(SignalLevel gain) {
        return new SignalLevel(value.plus(gain.value), stated && gain.stated);
    }

    /** What may be said of it: a number only where one was stated. */
    public Optional<Decibels> number() {
        return stated ? Optional.of(value) : Optional.empty();
    }
}
