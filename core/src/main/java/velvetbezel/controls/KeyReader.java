package velvetbezel.controls;

import java.util.List;
import java.util.Optional;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.Converter;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * A terminal at which a device tells keys apart: it pulls the wire up and measures what the wheel leaves of the voltage.
 *
 * @param at        where it measures
 * @param of        against what
 * @param reference volts behind the pull-up
 * @param pullUp    ohms of it
 * @param converter what the sheet says of the measuring; nothing where it is silent
 */
public record KeyReader(TerminalId at, TerminalId of, Volts reference, Ohms pullUp, Optional<Converter> converter) {
    /** Of a converter whose sheet does not say (common in small controllers, from memory). */
    private static final int USUAL_BITS = 10;

    /** Of a pull-up whose sheet does not say, in percent (common practice, no source). */
    private static final double USUAL_TOLERANCE = 5;

    /** Of a reference that does not follow the pull-up's supply, in percent (common practice, no source). */
    private static final double REFERENCE_ERROR = 2;

    public int bits() {
        return converter.flatMap(Converter::bits).orElse(USUAL_BITS);
    }

    public boolean bitsAssumed() {
        return converter.flatMap(Converter::bits).isEmpty();
    }

    /** How far the pull-up may be off, as a share of it. */
    public double tolerance() {
        return converter.flatMap(Converter::tolerance).orElse(USUAL_TOLERANCE) / 100;
    }

    public boolean toleranceAssumed() {
        return converter.flatMap(Converter::tolerance).isEmpty();
    }

    /** How far off the reference may be, as a share of it: not at all where it is the pull-up's own supply. */
    public double referenceError() {
        return converter.flatMap(Converter::ratio).orElse(false) ? 0 : REFERENCE_ERROR / 100;
    }

    /** Ohms among which the pull-up can be chosen; none where it is soldered in. */
    public List<Double> pullUps() {
        return converter.map(Converter::pullUps).orElse(List.of());
    }

    /** One step of the converter. */
    public double step() {
        return reference.value() / steps();
    }

    double steps() {
        return 1 << bits();
    }

    /** The share of the reference that is left over some ohms. @param ohms may be infinite: nothing pressed */
    double share(double ohms) {
        return share(ohms, pullUp.value());
    }

    static double share(double ohms, double pullUp) {
        return Double.isInfinite(ohms) ? 1 : ohms / (ohms + pullUp);
    }

    /** Ohms that leave some volts; infinite at the reference and above. */
    double ohms(double volts) {
        return volts >= reference.value() ? Double.POSITIVE_INFINITY : ohmsAt(volts / reference.value());
    }

    double ohmsAt(double share) {
        return pullUp.value() * share / (1 - share);
    }
}
