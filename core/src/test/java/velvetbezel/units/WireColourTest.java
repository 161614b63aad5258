package velvetbezel.units;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WireColourTest {
    /** IEC 60757 codes, their joined form, and the words people write. */
    @ParameterizedTest
    @CsvSource({
        "blue/white,blue/white",
        "BU/WH,blue/white",
        "BUWH,blue/white",
        "Blue-White,blue/white",
        "purple,violet",
        "gray/black,grey/black",
        "light green,light green",
        "RDBK,red/black",
        "yellow with red,yellow/red",
        "green/green,green"
    })
    void anyUsualNotationIsRead(String text, String words) {
        assertEquals(Optional.of(words), WireColour.read(text).map(WireColour::words));
    }

    /** "BL" and "GR" are national short forms of more than one colour (common practice, no source). */
    @ParameterizedTest
    @ValueSource(strings = {"blurple", "BL", "GR", "", "blue/", "/white", "blue/white/red"})
    void whatNamesNoColourIsNotGuessed(String text) {
        assertEquals(Optional.empty(), WireColour.read(text));
    }

    @Test
    void everyColourIsReadBackFromItsCodeAndItsWords() {
        for (Colour base : Colour.values())
            for (Colour stripe : Colour.values()) {
                WireColour colour = WireColour.of(base, stripe);
                assertEquals(Optional.of(colour), WireColour.read(colour.words()));
                assertEquals(Optional.of(colour), WireColour.read(colour.codes()));
            }
    }
}
