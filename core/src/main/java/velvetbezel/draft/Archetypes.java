package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import velvetbezel.draft.Archetype.Param;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;

/**
 * The catalogue of what standard devices do: behind the plugs of a car, in a radio, in a part (common practice, no
 * source). Sheets that were typed short are expanded with it.
 *
 * @param revision changes whenever a piece does
 * @param words    tables of words that pieces ask for: "long" says front left for fl
 * @param names    usual name of the terminal of a role on a radio or part
 * @param choices  what the roles leave open, in the order in which it is asked
 */
public record Archetypes(
        String revision,
        Map<String, Map<String, String>> words,
        Map<String, String> names,
        List<Choosing> choices,
        List<Archetype> car,
        List<Archetype> radio,
        List<Archetype> part) {
    private static final String FORMAT = "velvet-bezel/archetypes";

    public Archetypes {
        choices = List.copyOf(choices);
        car = List.copyOf(car);
        radio = List.copyOf(radio);
        part = List.copyOf(part);
    }

    /** @throws InvalidInput with every fault */
    public static Archetypes read(Object tree) {
        List<InputProblem> faults = new ArrayList<>();
        Node node = Node.root(tree, faults);
        if (!FORMAT.equals(node.at("format").text())) node.at("format").fault("expected \"" + FORMAT + "\".");
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        Map<?, ?> root = (Map<?, ?>) tree;
        Map<String, Map<String, String>> words = new LinkedHashMap<>();
        object(root.get("words")).forEach((k, v) -> words.put(k, texts(v)));
        Map<String, String> names = new LinkedHashMap<>();
        texts(root.get("names")).forEach((role, name) -> names.put(Roles.label(role), name));
        return new Archetypes(
                (String) root.get("revision"),
                words,
                names,
                objects(root.get("choices")).map(Archetypes::choosing).toList(),
                objects(root.get("car")).map(Archetypes::archetype).toList(),
                objects(root.get("radio")).map(Archetypes::archetype).toList(),
                objects(root.get("part")).map(Archetypes::archetype).toList());
    }

    /** What may be said to be there of a radio, or of a part. */
    public List<Feature> features(String kind) {
        return Feature.of(kind.equals("radio") ? radio : part);
    }

    /** Those of some that are taken where these words hold, in their order. */
    static List<Archetype> taken(List<Archetype> of, Predicate<String> facts) {
        return of.stream()
                .filter(a -> a.when().stream().allMatch(w -> w.holds(facts)))
                .toList();
    }

    /** The question of this name that is open where these words hold. */
    Optional<Choosing> choice(String id, Predicate<String> facts) {
        return choices.stream()
                .filter(c -> c.id().equals(id))
                .filter(c -> c.when().stream().allMatch(w -> w.holds(facts)))
                .findFirst();
    }

    private static Choosing choosing(Map<String, Object> tree) {
        return new Choosing(
                (String) tree.get("id"),
                (String) tree.get("asks"),
                words(tree.get("when")),
                texts(tree.get("options")),
                tree.get("start") instanceof List<?> several ? several.get(0).toString() : (String) tree.get("start"),
                tree.get("start") instanceof List<?>);
    }

    private static Archetype archetype(Map<String, Object> tree) {
        Map<String, Object> adds = new LinkedHashMap<>(tree);
        List.of("id", "text", "when", "params", "to", "radio", "names").forEach(adds::remove);
        List<Param> params = new ArrayList<>();
        object(tree.get("params")).forEach((name, said) -> {
            Map<String, Object> param = object(said);
            params.add(new Param(name, param.get("start"), (String) param.getOrDefault("unit", "")));
        });
        return new Archetype(
                (String) tree.get("id"),
                (String) tree.get("text"),
                words(tree.get("when")),
                params,
                adds,
                list(tree.get("to")),
                object(tree.get("radio")),
                list(tree.get("names")));
    }

    private static List<Word> words(Object list) {
        return list(list).stream().map(w -> Word.of((String) w)).toList();
    }

    private static List<?> list(Object value) {
        return value instanceof List<?> l ? l : List.of();
    }

    private static Stream<Map<String, Object>> objects(Object value) {
        return list(value).stream().map(Archetypes::object);
    }

    static Map<String, Object> object(Object value) {
        Map<String, Object> copy = new LinkedHashMap<>();
        if (value instanceof Map<?, ?> m) m.forEach((k, v) -> copy.put((String) k, v));
        return copy;
    }

    private static Map<String, String> texts(Object value) {
        Map<String, String> texts = new LinkedHashMap<>();
        object(value).forEach((k, v) -> texts.put(k, (String) v));
        return texts;
    }
}
