package velvetbezel.cases;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import velvetbezel.Demo;
import velvetbezel.draft.Archetypes;
import velvetbezel.draft.Expander;
import velvetbezel.function.Catalogue;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.PartUse;
import velvetbezel.harness.Recipe;
import velvetbezel.harness.SettingId;
import velvetbezel.harness.TerminalId;
import velvetbezel.harness.Use;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/**
 * A whole job with every expected conclusion (cases.json, derived on paper), and the long sheets it is about: car, radio
 * and parts, with which of our terminals each name of the case is.
 *
 * @param trap empty for the job itself, 1 or 2 for what changes in it
 */
record CaseFile(String id, int trap, JsonNode sheets, JsonNode expected) {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Archetypes CATALOGUE = Demo.archetypes();
    static final List<String> IDS = List.of("N1", "N2", "N3", "N4", "N5", "N6", "N7", "N8", "N9", "N10");

    /** The same job with car, radio and parts as a person types them: short sheets. */
    static CaseFile typed(String id, int trap) {
        CaseFile file = of(id, trap);
        ObjectNode sheets = (ObjectNode) file.sheets.deepCopy();
        JsonNode typed = read("typed/" + id + ".json");
        List.of("vehicle", "radio", "parts").forEach(f -> sheets.set(f, typed.get(f)));
        for (int i = 0; i < typed.get("traps").size(); i++) {
            ObjectNode own = (ObjectNode) sheets.get("traps").get(i);
            typed.get("traps").get(i).properties().forEach(e -> own.set(e.getKey(), e.getValue()));
        }
        return new CaseFile(id, trap, sheets, file.expected);
    }

    static CaseFile of(String id, int trap) {
        JsonNode expected = read("cases.json")
                .get("cases")
                .valueStream()
                .filter(c -> c.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow()
                .get("expected");
        return new CaseFile(id, trap, read(id + ".json"), expected);
    }

    private static JsonNode read(String name) {
        try (InputStream in = CaseFile.class.getResourceAsStream("/cases/" + name)) {
            return JSON.readTree(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    String name() {
        return trap == 0 ? id : id + " trap " + trap;
    }

    /** What the trap says of this field, else the job itself. */
    private Optional<JsonNode> part(String field) {
        JsonNode own = trap == 0 ? null : sheets.get("traps").get(trap - 1).get(field);
        return Optional.ofNullable(own != null ? own : sheets.get(field));
    }

    JsonNode trapped() {
        return sheets.get("traps").get(trap - 1);
    }

    /** Expected counts of the job or of its trap; empty where the kit is refused. */
    Optional<JsonNode> counts() {
        JsonNode counts = trap == 0
                ? expected.get("counts")
                : expected.get("traps").get(trap - 1).get("counts");
        return counts == null || counts.isNull() ? Optional.empty() : Optional.of(counts);
    }

    /** As the trap has it: another one, or with a word of its sheet changed. */
    Sheet.Vehicle vehicle() {
        String[] text = {part("vehicle").orElseThrow().toString()};
        if (trap > 0 && trapped().has("instead"))
            trapped()
                    .get("instead")
                    .properties()
                    .forEach(e -> text[0] = text[0].replace(
                            "\"" + e.getKey() + "\"", "\"" + e.getValue().asString() + "\""));
        return (Sheet.Vehicle) sheet(JSON.readTree(text[0]));
    }

    Sheet.Radio radio() {
        return (Sheet.Radio) sheet(part("radio").orElseThrow());
    }

    private static Sheet sheet(JsonNode node) {
        Object tree = Demo.parse(node.toString());
        return SheetReader.read(
                Expander.isShort(tree) ? Expander.expand(tree, CATALOGUE).tree() : tree);
    }

    Sheet.Part partNamed(String id) {
        return (Sheet.Part) sheet(sheets.get("parts")
                .valueStream()
                .filter(p -> p.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow());
    }

    /** Everything that is offered for the job. */
    List<Sheet.Part> allParts() {
        return sheets.get("parts").valueStream().map(p -> (Sheet.Part) sheet(p)).toList();
    }

    List<Sheet.Part> kit() {
        return part("kit")
                .orElseThrow()
                .valueStream()
                .map(n -> partNamed(n.asString()))
                .toList();
    }

    Recipe recipe(List<Sheet.Part> kit) {
        return Recipe.of(vehicle(), radio(), kit).using(uses()).setting(settings());
    }

    Installation built() {
        return Builder.build(recipe(kit()));
    }

    private Map<String, PartUse> uses() {
        Map<String, PartUse> uses = new HashMap<>();
        part("uses").ifPresent(all -> all.properties().forEach(e -> {
            PartUse use = PartUse.of(
                    e.getValue().has("use")
                            ? Use.valueOf(e.getValue().get("use").asString())
                            : Use.FITTED);
            uses.put(
                    e.getKey(),
                    e.getValue().has("slot") ? use.in(e.getValue().get("slot").asString()) : use);
        }));
        return uses;
    }

    Map<SettingId, String> settings() {
        Map<SettingId, String> settings = new LinkedHashMap<>();
        part("settings").ifPresent(all -> all.properties().forEach(e -> {
            String[] names = e.getKey().split("\\.", 2);
            settings.put(new SettingId(names[0], names[1]), e.getValue().asString());
        }));
        return settings;
    }

    /** Our name of a lead, as the case calls it. */
    String named(TerminalId id) {
        JsonNode name = sheets.get("names").get(id.toString());
        return name == null ? id.toString() : name.asString();
    }

    Catalogue catalogue() {
        Map<String, Object> tree = new LinkedHashMap<>(asMap(Demo.tree("functions")));
        List<Object> functions = new ArrayList<>((List<?>) tree.get("functions"));
        if (sheets.has("extra"))
            functions.addAll((List<?>) Demo.parse(sheets.get("extra").toString()));
        tree.put("functions", functions);
        return Catalogue.read(tree);
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> asMap(Object tree) {
        return (Map<String, Object>) tree;
    }
}
