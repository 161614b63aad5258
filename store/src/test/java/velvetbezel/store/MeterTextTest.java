package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.prove.Meter;
import velvetbezel.prove.MeterReading;
import velvetbezel.sheet.InvalidInput;

/** Readings as people write them. */
class MeterTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "VOLTS | 12.4 | 12.4",
                "VOLTS | 12,4 V | 12.4",
                "VOLTS | 80 mV | 0.08",
                "VOLTS | -0.2v | -0.2",
                "OHMS | 4.1 Ω | 4.1",
                "OHMS | 150 ohm | 150",
                "OHMS | 1.2 kΩ | 1200",
                "OHMS | 2 MΩ | 2000000",
                "OHMS | 3 \u2126 | 3",
                "AMPS | 30 mA | 0.03",
                "AMPS | 0.03 A | 0.03"
            })
    void unitsThatPeopleWriteAreUnderstood(Meter meter, String text, double value) {
        assertEquals(value, MeterText.read(meter, text).shown().orElseThrow(), 1e-9);
    }

    @Test
    void openIsAReadingOfAnOhmmeterAndIsReadBackAsItWasWritten() {
        MeterReading open = MeterText.read(Meter.OHMS, "Open");
        assertEquals(OptionalDouble.empty(), open.shown());
        assertEquals("open", MeterText.of(Meter.OHMS).write().apply(open));
        MeterReading much = MeterText.read(Meter.OHMS, "1.2 MΩ");
        assertEquals(
                much,
                MeterText.read(Meter.OHMS, MeterText.of(Meter.OHMS).write().apply(much)));
    }

    /** The message says what was typed and what is expected. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "OHMS | 4.1 | has no unit",
                "AMPS | 30 | has no unit",
                "OHMS | 12 V | another unit",
                "VOLTS | 4 Ω | another unit",
                "VOLTS | open | is no voltage",
                "VOLTS | 12.4.1 | is no voltage",
                "VOLTS | 1240 | is no voltage of a car",
                "AMPS | none | is no current"
            })
    void unitThatIsMissingOrWrongIsAskedFor(Meter meter, String text, String says) {
        InvalidInput refused = assertThrows(InvalidInput.class, () -> MeterText.read(meter, text));
        String message = refused.faults().get(0).message();
        assertTrue(message.contains(says) && message.contains("\"" + text + "\""), message);
    }

    @ParameterizedTest
    @CsvSource({"VOLTS, 61", "VOLTS, -3", "OHMS, 200000000", "AMPS, 40"})
    void whatNoCarShowsIsNotPossible(Meter meter, double shown) {
        assertEquals(false, new MeterReading(meter, OptionalDouble.of(shown)).possible());
    }
}
