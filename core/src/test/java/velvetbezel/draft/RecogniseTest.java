package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;

/** Long sheets found in the catalogue. */
class RecogniseTest {
    private static final Archetypes CATALOGUE = Demo.archetypes();

    static List<String> sheets() {
        List<String> ids = new ArrayList<>();
        for (String folder : List.of("vehicles", "radios", "parts"))
            try (Stream<Path> files = Files.list(Path.of("..", "demo", folder))) {
                files.map(f -> f.getFileName().toString().replace(".json", ""))
                        .sorted()
                        .forEach(ids::add);
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        return ids;
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void expandingGivesTheSheetBack(String id) {
        Recognised found = Recognise.in(Demo.tree(id), CATALOGUE);
        Object again = Expander.expand(found.tree(), CATALOGUE).tree();
        assertEquals(Optional.empty(), Patch.between(Recognise.whole(again), Recognise.whole(Demo.tree(id))));
    }

    @Test
    void share() {
        for (String id : sheets()) {
            Recognised r = Recognise.in(Demo.tree(id), CATALOGUE);
            System.out.printf(
                    "LIFT %s: devices %d of %d %s, rules %d of %d %s%n",
                    id,
                    r.devices().lifted(),
                    r.devices().all(),
                    r.devices().left(),
                    r.rules().lifted(),
                    r.rules().all(),
                    r.rules().left());
            System.out.println(
                    "TREE " + tools.jackson.databind.json.JsonMapper.shared().writeValueAsString(r.tree()));
        }
        assertTrue(true);
    }
}
