package velvetbezel.function;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;

/** The catalogue of functions is data and is checked like a sheet. */
class CatalogueTest {
    private static List<String> faults(String was, String is) {
        String text = Demo.text("functions");
        assertTrue(text.contains(was), was);
        return assertThrows(InvalidInput.class, () -> Catalogue.read(Demo.parse(text.replace(was, is))))
                .faults()
                .stream()
                .map(InputProblem::toString)
                .toList();
    }

    @Test
    void functionsOfTheDemoAreReadInTheOrderInWhichTheyAreProved() {
        assertEquals("power", Demo.CATALOGUE.functions().get(0).id().text());
        assertEquals(
                12,
                Demo.CATALOGUE.functions().stream()
                        .filter(f -> f.id().text().startsWith("button "))
                        .count());
    }

    @Test
    void unknownExpectationStateOrFieldIsNamed() {
        assertEquals(
                List.of(
                        "functions[memory].scenario[3].expect[2].not: is nothing to expect; use one of arrives, shows, reads, mode, quiet, not, any."),
                faults(
                        "{\"not\": {\"shows\": \"radio:asks for set-up\"}}",
                        "{\"not\": {\"displays\": \"radio:asks for set-up\"}}"));
        assertTrue(
                faults("{\"key\": \"run\", \"lamps\": \"on\"}", "{\"key\": \"run\", \"lamps\": \"bright\"}")
                        .get(0)
                        .startsWith(
                                "functions[dimming].scenario[1].set.lamps: \"bright\" is no value of lamps; allowed: off, on."));
        assertTrue(faults("{\"key\": \"run\", \"lamps\": \"on\"}", "{\"key\": \"run\", \"lamp\": \"on\"}")
                .get(0)
                .contains("is no field of the vehicle's state; allowed: key, engine, lamps"));
        assertTrue(faults("\"shows\": \"radio:dimmed\"", "\"shows\": \"dimmed\"")
                .get(0)
                .contains("expected device:name."));
    }

    @Test
    void functionGivenTwiceIsNamed() {
        assertEquals(
                List.of("functions: has function \"power\" twice."),
                faults("\"function\": \"memory\"", "\"function\": \"power\""));
    }
}
