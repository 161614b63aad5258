package velvetbezel.prove;

import java.util.OptionalDouble;

/**
 * What a meter showed.
 *
 * @param shown in volts, ohms or amps; empty where it shows nothing at all: open
 */
public record MeterReading(Meter meter, OptionalDouble shown) {
    /** Whether a car can show it; if not, the range or the leads are wrong (common practice, no source). */
    public boolean possible() {
        return shown.isEmpty() || meter.possible(shown.getAsDouble());
    }
}
