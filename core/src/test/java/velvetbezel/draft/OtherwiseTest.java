package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** "This car is otherwise": pieces of the catalogue that are struck out. */
class OtherwiseTest {
    private static Map<String, Object> car(List<String> otherwise) {
        Map<String, Object> car = new LinkedHashMap<>();
        car.putAll(Map.of("format", "velvet-bezel/short", "version", 1, "kind", "vehicle", "name", "Corrick Tern van"));
        car.put("years", List.of(2007, 2011));
        car.put(
                "plugs",
                Map.of(
                        "A",
                                "4 acc violet/white, 5 speed pink, 6 lamps grey, 7 constant red, 8 ground brown, 9 unknown blue",
                        "B", "1-8 speakers rr fr fl rl",
                        "antenna", "1 antenna, 2 antenna shield"));
        if (!otherwise.isEmpty()) car.put("otherwise", otherwise);
        return car;
    }

    private static Expansion expand(String... otherwise) {
        return Expander.expand(car(List.of(otherwise)), Demo.archetypes());
    }

    private static Set<String> functions(Expansion made) {
        Sheet.Vehicle v = (Sheet.Vehicle) SheetReader.read(made.tree());
        return Outcomes.fulfilled(Builder.factory(v), Demo.CATALOGUE).stream()
                .map(f -> f.text())
                .collect(Collectors.toSet());
    }

    /** Dimmed by something else than the lamp switch: the wire is there still, and nobody knows what feeds it. */
    @Test
    void wireOfAPieceStruckOutLeadsNobodyKnowsWhere() {
        Expansion made = expand("lamp switch");
        Sheet.Vehicle v = (Sheet.Vehicle) SheetReader.read(made.tree());
        assertEquals(
                List.of("lamp switch"),
                made.struck().stream().map(Archetype::id).toList());
        assertTrue(made.behind().stream().noneMatch(a -> a.id().equals("lamp switch")));
        assertTrue(
                v.car().plug("A").orElseThrow().positions().stream()
                        .anyMatch(p -> p.number().equals("6") && p.role().isPresent()),
                "its role stays as it was typed");
        assertTrue(functions(expand()).contains("dimming"));
        assertFalse(functions(made).contains("dimming"));
        assertTrue(functions(made).contains("front left"), "the rest is as it was");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"speakers", "lamp switch", "factory radio hears", "speed sender", "ignition switch", "antenna"})
    void carIsReadWithoutAnyOneOfThesePieces(String piece) {
        assertFalse(functions(expand(piece)).isEmpty(), "something plays or keeps its memory still");
    }

    /** Whatever is struck out of the demo's cars, they are read without it, or it is said that the rest needs it. */
    @Test
    void anyPieceOfTheDemosCarsIsStruckOutOrNeeded() {
        List<String> needed = new ArrayList<>();
        int all = 0;
        for (Sheet v : Demo.all("vehicles"))
            for (Archetype piece : Expander.expand(Demo.parse(Demo.file(v.id())), Demo.archetypes())
                    .behind()) {
                Map<String, Object> typed = Archetypes.object(Demo.parse(Demo.file(v.id())));
                typed.put("otherwise", List.of(piece.id()));
                typed.remove("numbers"); // they may be its own
                all++;
                try {
                    SheetReader.read(Expander.expand(typed, Demo.archetypes()).tree());
                } catch (InvalidInput e) {
                    assertEquals("otherwise", e.faults().get(0).field(), e::getMessage);
                    needed.add(v.id() + " " + piece.id());
                }
            }
        System.out.printf("struck out: %d of %d pieces; needed by others: %s%n", all - needed.size(), all, needed);
        assertTrue(needed.size() * 3 < all, needed::toString);
        assertTrue(needed.contains("corrick-ferryman-2006 supply"), "no car is without a battery");
    }

    @Test
    void strikingOutChangesNothingElse() {
        assertEquals(
                expand().behind().stream()
                        .filter(a -> !a.id().equals("speed sender"))
                        .toList(),
                expand("speed sender").behind());
    }

    @Test
    void pieceThatIsNotThereOrNotKnownIsAFault() {
        InvalidInput refused = assertThrows(InvalidInput.class, () -> expand("hazard switch", "lamp swich"));
        assertEquals(
                List.of(
                        "otherwise: \"hazard switch\" is not behind these plugs anyway; take it out.",
                        "otherwise: \"lamp swich\" is nothing the catalogue knows; the nearest are lamp switch, hazard switch, aux socket."),
                refused.faults().stream().map(InputProblem::toString).toList());
    }
}
