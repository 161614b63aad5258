package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.controls.SetUpFile;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Mutation;
import velvetbezel.sheet.SheetReader;
import velvetbezel.store.Json;
import velvetbezel.store.SetUpFiles;

/** The published JSON Schemas (2020-12) describe what the reader takes. */
@ExtendWith(TestApp.class)
class SchemaTest {
    private static final Schema SHEET = schema("sheet-1");
    private static final Schema SHORT = schema("short-1");

    private static final Schema SET_UP = schema("set-up-1");

    @Test
    void setUpFileIsValidAndOneWithAnotherFieldIsNot() {
        String file = new String(
                SetUpFiles.write(new SetUpFile(
                        "module",
                        1,
                        "AD-20417",
                        "a car",
                        "a radio",
                        "",
                        new TreeMap<>(Map.of("vehicle", "Plover")),
                        new TreeMap<>(Map.of("next, held", "mute")),
                        new TreeMap<>(Map.of("key1", new TreeMap<>(Map.of("next", List.of(247, 402))))))),
                StandardCharsets.UTF_8);
        assertEquals(List.of(), faults(SET_UP, file));
        assertFalse(faults(SET_UP, file.replace("\"vehicle\":\"a car\"", "\"vehicle\":\"a car\",\"more\":1"))
                .isEmpty());
    }

    private static Schema schema(String name) {
        try {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(
                            Files.readString(Path.of("src/main/resources/static/schemas", name + ".json")),
                            InputFormat.JSON);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<String> faults(Schema schema, String json) {
        return schema.validate(json, InputFormat.JSON).stream()
                .map(Object::toString)
                .toList();
    }

    static Stream<Path> sheets() throws IOException {
        return Files.walk(Path.of("../demo"))
                .filter(p -> p.toString().endsWith(".json") && !p.endsWith("functions.json"));
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void everySheetOfTheDemoIsValid(Path sheet) throws IOException {
        String text = Files.readString(sheet);
        boolean typed = text.contains("\"velvet-bezel/short\"");
        assertEquals(List.of(), faults(typed ? SHORT : SHEET, text));
        assertEquals(
                List.of(),
                faults(SHEET, Demo.text(sheet.getFileName().toString().replace(".json", ""))));
    }

    @Test
    void catalogueOfTheDemoIsValid() {
        assertEquals(List.of(), faults(schema("functions-1"), Demo.text("functions")));
    }

    /** A schema that refused what the reader takes would mislead who writes sheets. */
    @ParameterizedTest
    @ValueSource(strings = {"corrick-ferryman-2006", "ondel-47", "ashdyke-plover-module", "quillmoor-plover-panel"})
    void whatTheReaderTakesIsValidByTheSchemaToo(String id) {
        int refused = 0;
        for (int seed = 0; seed < 150; seed++) {
            Object tree = Demo.tree(id);
            String what = Mutation.in(tree, new Random(seed));
            List<String> faults = faults(SHEET, Json.write(tree));
            if (!faults.isEmpty()) refused++;
            if (taken(tree)) assertEquals(List.of(), faults, "seed %d, %s".formatted(seed, what));
        }
        assertTrue(refused > 40, "the schema refused only " + refused);
    }

    private static boolean taken(Object tree) {
        try {
            SheetReader.read(tree);
            return true;
        } catch (InvalidInput e) {
            return false;
        }
    }

    @Test
    void schemasAreServedAtTheirAddresses() {
        for (String name : List.of("sheet-1", "short-1", "functions-1")) {
            HttpResponse<String> answer = new Site(TestApp.url(), "nobody").get("/schemas/" + name + ".json");
            assertEquals(200, answer.statusCode());
            assertFalse(answer.body().isBlank());
        }
    }
}
