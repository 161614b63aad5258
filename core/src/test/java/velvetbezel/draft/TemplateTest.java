package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;

/** Pieces of the catalogue, filled with what was typed. */
class TemplateTest {
    private static final Map<String, Object> VALUES = Map.of(
            "ohms",
            0.2,
            "amps",
            5.0,
            "corner",
            "front left",
            "corners",
            List.of("fl", "rr"),
            "keys",
            Map.of("mode", 300));

    private static Object filled(String piece, String... true_) {
        Map<String, Map<String, String>> words = Map.of("plus", Map.of("front left", "FL+"));
        return new Template(VALUES, Set.of(true_)::contains, words).fill(Demo.parse(piece));
    }

    /** A number stays one where it stands alone, and is written without a needless point inside a text. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            {"a": "${ohms}"}                        | {"a": 0.2}
            {"a": "draws ${amps} A at ${ohms}"}     | {"a": "draws 5 A at 0.2"}
            {"a": "${corner.plus}"}                 | {"a": "FL+"}
            {"at ${corner}": 1}                     | {"at front left": 1}
            {"a": "plain $ {text}"}                 | {"a": "plain $ {text}"}
            """)
    void holesAreFilled(String piece, String result) {
        assertEquals(Demo.parse(result), filled(piece));
    }

    @Test
    void entryStandsForEachOfAList() {
        assertEquals(
                Demo.parse("[{\"id\": \"speaker fl\"}, {\"id\": \"speaker rr\"}, \"end\"]"),
                filled("[{\"each\": {\"c\": \"${corners}\"}, \"id\": \"speaker ${c}\"}, \"end\"]"));
        assertEquals(
                Demo.parse("[{\"key\": \"mode\", \"ohms\": 300}]"),
                filled("[{\"each\": {\"k\": \"${keys}\"}, \"key\": \"${k}\", \"ohms\": \"${k.value}\"}]"));
    }

    /** What hangs on a condition is there where it holds, and leaves nothing behind where it does not. */
    @Test
    void conditionDecidesWhetherAnEntryStands() {
        String piece = "[{\"if\": \"accessory\", \"id\": \"on\"}, {\"if\": \"!accessory\", \"id\": \"bus\"}]";
        assertEquals(Demo.parse("[{\"id\": \"on\"}]"), filled(piece, "accessory"));
        assertEquals(Demo.parse("[{\"id\": \"bus\"}]"), filled(piece));
        assertEquals(Demo.parse("[{\"id\": \"bus\"}]"), filled(piece, "illumination"));
    }

    /** A slip in the catalogue is an error, never an empty text in somebody's car. */
    @Test
    void holeWithoutAValueIsNamed() {
        String message = assertThrows(IllegalStateException.class, () -> filled("{\"a\": \"${volts}\"}"))
                .getMessage();
        assertTrue(message.startsWith("No value for ${volts}; known: "), message);
    }
}
