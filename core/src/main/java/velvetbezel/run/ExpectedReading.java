package velvetbezel.run;

import java.util.Locale;
import velvetbezel.harness.TerminalId;

/**
 * What a meter must show at a place: kind and nominal value; how far a reading may be off is for whoever judges it.
 *
 * @param place where the probe goes, for people
 * @param state what is done to the car, for people
 * @param low   the value, or the lower end where it is a range
 * @param high  the same, or the upper end
 */
public record ExpectedReading(Kind kind, TerminalId at, String place, String state, double low, double high) {
    /** Ohms are measured with the battery off, between the place and body metal, or between the two wires of a pair. */
    public enum Kind {
        VOLTS,
        OHMS_TO_METAL,
        OHMS_OF_PAIR,
        OPEN_TO_METAL
    }

    public static ExpectedReading volts(TerminalId at, String place, String state, double volts) {
        return new ExpectedReading(Kind.VOLTS, at, place, state, volts, volts);
    }

    /** "12.6 V key off", "below 1 Ω to body metal". */
    public String words() {
        return switch (kind) {
            case VOLTS -> (Math.abs(low) < 0.5 ? "nothing" : String.format(Locale.ROOT, "%.1f V", low)) + " " + state;
            case OHMS_TO_METAL -> String.format(Locale.ROOT, "below %.0f Ω to body metal, %s", high, state);
            case OHMS_OF_PAIR -> String.format(Locale.ROOT, "%.0f to %.0f Ω between the pair, %s", low, high, state);
            case OPEN_TO_METAL -> "open to body metal, " + state;
        };
    }
}
