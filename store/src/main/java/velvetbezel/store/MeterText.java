package velvetbezel.store;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetbezel.prove.Meter;
import velvetbezel.prove.MeterReading;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.JobTexts.Text;

/** What a meter showed, in the units people write: "12.4 V", "80 mV", "4,1 Ω", "1.2 kΩ", "open", "30 mA". */
final class MeterText {
    private static final String OPEN = "open";
    private static final Pattern NUMBER = Pattern.compile("(-?\\d{1,9}(?:[.,]\\d{1,4})?)\\s*([\\p{L}]*)");
    private static final int DIGITS = 4;
    /** More is a slip of the finger. */
    private static final double MOST_VOLTS = 1000;

    /** What a unit without its prefix is called. */
    private static final Map<Meter, Pattern> UNITS = Map.of(
            Meter.VOLTS, Pattern.compile("(m?)(?:[vV]|volts?)"),
            Meter.OHMS, Pattern.compile("([kKM]?)(?:[Ω\u2126]|[oO]hms?)"),
            Meter.AMPS, Pattern.compile("(m?)(?:[aA]|amps?)"));

    private static final Map<Meter, String> EXAMPLES =
            Map.of(Meter.VOLTS, "12.4 V", Meter.OHMS, "4.1 Ω, 1.2 kΩ or open", Meter.AMPS, "30 mA or 0.03 A");
    private static final Map<Meter, String> NAMES =
            Map.of(Meter.VOLTS, "voltage", Meter.OHMS, "resistance", Meter.AMPS, "current");
    private static final Map<Meter, String> WRITTEN = Map.of(Meter.VOLTS, "V", Meter.OHMS, "Ω", Meter.AMPS, "A");

    private MeterText() {}

    static Text<MeterReading> of(Meter meter) {
        return new Text<>(t -> read(meter, t), MeterText::write);
    }

    /**
     * @throws InvalidInput where it is no number, or says no unit where one is needed; volts need none, since hardly
     *     anything else is read of a battery's circuit
     */
    static MeterReading read(Meter meter, String text) {
        if (meter == Meter.OHMS && text.strip().equalsIgnoreCase(OPEN))
            return new MeterReading(meter, OptionalDouble.empty());
        Matcher number = NUMBER.matcher(text.strip());
        if (!number.matches()) throw refused("\"%s\" is no " + NAMES.get(meter) + "; type it such as %s.", text, meter);
        String unit = number.group(2);
        if (unit.isEmpty() && meter != Meter.VOLTS)
            throw refused("\"%s\" has no unit, and it may be one of several; type it such as %s.", text, meter);
        Matcher of = UNITS.get(meter).matcher(unit);
        if (!unit.isEmpty() && !of.matches())
            throw refused("\"%s\" is in another unit than is asked for; type it such as %s.", text, meter);
        double scale = unit.isEmpty() ? 1 : scale(of.group(1));
        MeterReading reading = new MeterReading(
                meter, OptionalDouble.of(Double.parseDouble(number.group(1).replace(',', '.')) * scale));
        if (meter == Meter.VOLTS && Math.abs(reading.shown().getAsDouble()) >= MOST_VOLTS)
            throw refused("\"%s\" is no " + NAMES.get(meter) + " of a car; type it such as %s.", text, meter);
        return reading;
    }

    private static double scale(String prefix) {
        return switch (prefix) {
            case "k", "K" -> 1e3;
            case "M" -> 1e6;
            case "m" -> 1e-3;
            default -> 1;
        };
    }

    private static InvalidInput refused(String message, String text, Meter meter) {
        return new InvalidInput("", message.formatted(text, EXAMPLES.get(meter)));
    }

    private static String write(MeterReading reading) {
        if (reading.shown().isEmpty()) return OPEN;
        BigDecimal number = BigDecimal.valueOf(reading.shown().getAsDouble())
                .setScale(DIGITS, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return number.toPlainString() + " " + WRITTEN.get(reading.meter());
    }
}
