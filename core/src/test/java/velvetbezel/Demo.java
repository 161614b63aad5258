package velvetbezel;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;
import velvetbezel.draft.Archetypes;
import velvetbezel.draft.Expander;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.worksheet.Tables;

/** The demo sheets as test benches: invented cars, radios and parts. */
public final class Demo {
    private static final Path FOLDER = Path.of("..", "demo");
    private static final JsonMapper JSON = new JsonMapper();
    private static final Archetypes ARCHETYPES = readArchetypes();
    public static final Catalogue CATALOGUE = Catalogue.read(tree("functions"));

    private Demo() {}

    /** A demo sheet's long text, whether its file is long or short. */
    public static String text(String id) {
        String file = file(id);
        Object tree = parse(file);
        return Expander.isShort(tree)
                ? written(Expander.expand(tree, ARCHETYPES).tree())
                : file;
    }

    /** JSON in one line with a space after colons and commas, as people write it. */
    private static String written(Object tree) {
        if (tree instanceof Map<?, ?> map)
            return map.entrySet().stream()
                    .map(e -> "\"%s\": %s".formatted(e.getKey(), written(e.getValue())))
                    .collect(Collectors.joining(", ", "{", "}"));
        return tree instanceof List<?> list
                ? list.stream().map(Demo::written).collect(Collectors.joining(", ", "[", "]"))
                : JSON.writeValueAsString(tree);
    }

    /** A demo sheet as its file has it. */
    public static String file(String id) {
        try (Stream<Path> files = Files.walk(FOLDER)) {
            return Files.readString(files.filter(f -> f.getFileName().toString().equals(id + ".json"))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("No demo sheet " + id)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static Object tree(String id) {
        return parse(text(id));
    }

    public static Object parse(String json) {
        return JSON.readValue(json, Object.class);
    }

    /** The catalogue of standard devices that ships with the program. */
    public static Archetypes archetypes() {
        return ARCHETYPES;
    }

    private static Archetypes readArchetypes() {
        try {
            return Archetypes.read(parse(Files.readString(
                    Path.of("..", "store", "src", "main", "resources", "velvetbezel", "store", "archetypes.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The tables that ship with the program. */
    public static Tables tables() {
        return tables(text -> text);
    }

    public static Tables tables(UnaryOperator<String> change) {
        try {
            return Tables.read(parse(change.apply(Files.readString(
                    Path.of("..", "store", "src", "main", "resources", "velvetbezel", "store", "tables.json")))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Every sheet of one folder of the demo. */
    public static List<Sheet> all(String folder) {
        try (Stream<Path> files = Files.list(FOLDER.resolve(folder))) {
            return files.map(f -> f.getFileName().toString().replace(".json", ""))
                    .sorted()
                    .map(Demo::sheet)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static Sheet sheet(String id) {
        return SheetReader.read(tree(id));
    }

    public static Sheet.Vehicle vehicle(String id) {
        return (Sheet.Vehicle) sheet(id);
    }

    /** A vehicle whose sheet's text was changed before it was read. */
    public static Sheet.Vehicle vehicle(String id, UnaryOperator<String> change) {
        String text = text(id);
        String changed = change.apply(text);
        if (changed.equals(text)) throw new IllegalArgumentException("The change of " + id + " changes nothing.");
        return (Sheet.Vehicle) SheetReader.read(parse(changed));
    }

    public static Sheet.Vehicle minibus() {
        return vehicle("corrick-ferryman-2006");
    }

    public static Sheet.Vehicle crossover() {
        return vehicle("meridale-plover-2019-amplified");
    }

    public static Sheet.Radio radio(String id) {
        return (Sheet.Radio) sheet(id);
    }

    public static List<Sheet.Part> parts(String... ids) {
        return Arrays.stream(ids).map(id -> (Sheet.Part) sheet(id)).toList();
    }

    public static Installation fit(Sheet.Vehicle vehicle, String radio, String... parts) {
        return Builder.replacement(vehicle, radio(radio), parts(parts));
    }

    /** The minibus as it is done in the demo: steering tail, no exchanged adapter. */
    public static Installation minibusJob() {
        return fit(minibus(), "pebblefen-p2", "quillmoor-ferryman-frame", "thornlea-iso-steering");
    }

    /** The crossover as it is done in the demo: everything through the data module. */
    public static Installation crossoverJob() {
        return fit(
                crossover(),
                "ondel-47",
                "quillmoor-plover-panel",
                "ashdyke-plover-module",
                "marlstone-plover-iso-fed",
                "kelfax-plover-camera-voice",
                "kelfax-plover-usb",
                "marlstone-plover-gps");
    }

    public static Map<FunctionId, Outcome> outcomes(Installation installation) {
        return Outcomes.compare(Builder.factory(installation.recipe().vehicle()), installation, CATALOGUE);
    }

    public static Outcome outcome(Installation installation, String function) {
        return outcomes(installation).get(new FunctionId(function));
    }
}
