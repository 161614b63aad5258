package velvetbezel.worksheet;

import velvetbezel.harness.TerminalId;
import velvetbezel.units.Volts;

/**
 * A voltage to measure against ground, with what it must be.
 *
 * @param place     where the probe goes, for people
 * @param state     what is done to the car, for people
 * @param tolerance from a battery between 12.2 and 12.8 V at rest and a meter of 0.5 % (common practice)
 */
public record Reading(TerminalId at, String place, String state, Volts expected, Volts tolerance) {
    public boolean accepts(Volts measured) {
        return Math.abs(measured.value() - expected.value()) <= tolerance.value();
    }
}
