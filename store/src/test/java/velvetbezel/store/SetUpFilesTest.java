package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.controls.SetUpFile;
import velvetbezel.sheet.InvalidInput;

/** Set-up files are what they were, or known not to be. */
class SetUpFilesTest {
    private static SetUpFile file(String value) {
        return new SetUpFile(
                "ashdyke-plover-module",
                1,
                "AD-20417",
                "meridale-plover-2019-amplified",
                "ondel-47",
                "",
                new TreeMap<>(Map.of("vehicle", value, "amplifier", "on")),
                new TreeMap<>(Map.of("next", "next", "next, held", "mute")),
                new TreeMap<>(Map.of("key1", new TreeMap<>(Map.of("next", List.of(247, 402))))));
    }

    private static String text(SetUpFile file) {
        return new String(SetUpFiles.write(file), StandardCharsets.UTF_8);
    }

    @Test
    void fileComesBackAsItWas() {
        assertEquals(file("Plover"), SetUpFiles.read(SetUpFiles.write(file("Plover"))));
    }

    /** RFC 8785: no white space, names sorted. */
    @Test
    void writtenInTheCanonicalForm() {
        assertTrue(text(file("Plover")).startsWith("{\"digest\":\""));
        assertTrue(text(file("Plover")).contains("\"settings\":{\"amplifier\":\"on\",\"vehicle\":\"Plover\"}"));
    }

    @Test
    @SuppressWarnings("unchecked")
    void orderOfFieldsDoesNotMatterAndAnyChangedValueDoes() {
        Map<String, Object> tree = (Map<String, Object>) Json.parse(text(file("Plover")));
        Random random = new Random(11);
        for (int i = 0; i < 100; i++) {
            List<String> names = new ArrayList<>(tree.keySet());
            Collections.shuffle(names, random);
            Map<String, Object> other = new LinkedHashMap<>();
            names.forEach(n -> other.put(n, tree.get(n)));
            assertEquals(file("Plover"), SetUpFiles.read(Json.write(other).getBytes(StandardCharsets.UTF_8)));
        }
        assertNotEquals(text(file("Plover")), text(file("none")));
        assertArrayEquals(SetUpFiles.write(file("Plover")), SetUpFiles.write(file("Plover")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"Plover\"|\"Quern\"|was changed or cut",
                "\"version\":1|\"version\":2|this program reads 1",
                "velvet-bezel/set-up|something/else|choose a set-up file",
                "\"vehicle\":\"mer|\"vehicles\":\"mer|vehicles",
                "]}}}|]}}|is no JSON"
            })
    void spoiledFileIsRefusedWithWhatToDo(String was, String becomes, String message) {
        String spoiled = text(file("Plover")).replace(was, becomes);
        InvalidInput refused =
                assertThrows(InvalidInput.class, () -> SetUpFiles.read(spoiled.getBytes(StandardCharsets.UTF_8)));
        assertTrue(refused.getMessage().contains(message), refused.getMessage());
    }

    @Test
    void cutAnywhereItIsRefused() {
        byte[] whole = SetUpFiles.write(file("Plover"));
        for (int i = 0; i < whole.length; i++) {
            byte[] cut = Arrays.copyOf(whole, i);
            assertThrows(InvalidInput.class, () -> SetUpFiles.read(cut));
        }
    }

    @Test
    void differencesNameCarAndSetting() {
        assertEquals(
                List.of(new SetUpFile.Difference(SetUpFile.Differs.SETTING, "vehicle", "none", "Plover")),
                file("none").to(file("Plover")).stream()
                        .filter(d -> d.now().equals("Plover"))
                        .toList());
    }
}
