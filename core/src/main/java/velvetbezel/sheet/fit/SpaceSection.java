package velvetbezel.sheet.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A kind of line: the word it begins with, where what it says stands in the tree, and what it may say.
 *
 * @param word   "band"
 * @param path   of the object or list in the tree; an empty text for the tree itself
 * @param id     field that the name on the line is; an empty text where the line has no name
 * @param fields what may be said
 * @param inBox  fields of the first of its boxes
 */
record SpaceSection(String word, String path, String id, List<SpaceValue.Field> fields, List<SpaceValue.Field> inBox) {
    private static final List<SpaceValue.Field> BOX =
            SpaceValue.fields("x ends, y ends, z ends, may text, by number, bears text");
    private static final String PLACE_FACTS = Stream.of(MountingPlace.Known.values())
            .map(k -> k.word() + (k.truth() ? " yes" : " number"))
            .reduce((a, b) -> a + ", " + b)
            .orElseThrow();

    /** A place has one room, where an obstruction has boxes. */
    private static final String ROOMS = "places";

    static final List<SpaceSection> SITE = List.of(
            one("opening", "opening", "w length, h length"),
            one("dash", "", "depth length, lean number"),
            one("stood in it", "held", "face w length, face h length, d length"),
            many("band", "bands", "id", "x ends, y ends, depth length, taper number"),
            new SpaceSection(
                    "in the way",
                    "obstructions",
                    "id",
                    SpaceValue.fields("fasteners text, minutes number, carries text, reached yes"),
                    BOX),
            new SpaceSection("also", "obstructions", "id", List.of(), BOX),
            words("trim", "trims"),
            many("fitting", "fittings", "kit", "computed number, seen number, note text"),
            new SpaceSection(
                    "place",
                    ROOMS,
                    "id",
                    SpaceValue.fields("words text, behind texts, " + PLACE_FACTS),
                    SpaceValue.fields("x ends, y ends, z ends")),
            many("way", "ways", "", "a text, b text, length length, over texts, passes behind yes, hole length"));

    static final List<SpaceSection> BODY = List.of(
            one("face", "face", "w length, h length, d length"),
            one("chassis", "chassis", "w length, h length, d length, x number, y number"),
            one("radio", "", "knobs length, ring length, feet length"),
            many("rear box", "rear", "id", "x number, y number, w number, h number, out length"),
            many("socket", "sockets", "plug", "x number, y number, w number, h number, out length, bend length"),
            many("hole", "holes", "n", "sides text, z number, y number, thread text, most number"),
            many("finger room", "fingers", "what", "side text, y pair, room length"),
            many("comes with", "things", "name", "what text, lead length, plug length"));

    static final List<SpaceSection> FRAME = List.of(
            one("kit", "", "mount text, plane length, feet length, bracket plane length, finish text, screws number"),
            one("aperture", "aperture", "x length, y length, w length, h length"),
            many("insert", "inserts", "id", "x ends, y ends, z ends, may text"),
            words("trim", "trims"),
            one("left bracket", "brackets.left", "mark text, height number, thickness number, flip yes"),
            many("left slot", "brackets.left.slots", "id", "z pair, y pair, countersunk yes"),
            one("right bracket", "brackets.right", "mark text, height number, thickness number, flip yes"),
            many("right slot", "brackets.right.slots", "id", "z pair, y pair, countersunk yes"),
            one("clips", "clips", "count number, pull text"),
            one("bench", "", "keep texts, rings texts"),
            many("tab", "tabs", "id", "wall length, reach length"),
            many("screws out", "screws out", "of", "back number, to text"));

    private static SpaceSection one(String word, String path, String fields) {
        return new SpaceSection(word, path, "", SpaceValue.fields(fields), List.of());
    }

    private static SpaceSection many(String word, String path, String id, String fields) {
        return new SpaceSection(word, path, id.isEmpty() ? "-" : id, SpaceValue.fields(fields), List.of());
    }

    /** A map from names to free words: "trim rib: back to the inner edge". */
    private static SpaceSection words(String word, String path) {
        return new SpaceSection(word, path, "*", List.of(), List.of());
    }

    private boolean list() {
        return !id.isEmpty() && !id.equals("*");
    }

    private boolean freeWords() {
        return id.equals("*");
    }

    boolean named() {
        return !id.isEmpty() && !id.equals("-");
    }

    boolean begins(String head) {
        String small = head.toLowerCase(Locale.ROOT);
        return named() ? small.startsWith(word + " ") || small.equals(word) : small.equals(word);
    }

    private boolean also() {
        return word.equals("also");
    }

    // --- typed to tree

    /** The clauses of a line. @param wrong takes what cannot be read, each in a sentence */
    Map<String, Object> values(String text, List<String> wrong) {
        if (freeWords()) return Map.of("words", text);
        List<SpaceValue.Field> all = Stream.concat(fields.stream(), inBox.stream())
                .sorted(Comparator.comparingInt((SpaceValue.Field f) -> f.name().length())
                        .reversed())
                .toList();
        List<String> clauses = new ArrayList<>();
        for (String part : text.split(","))
            if (clauses.isEmpty() || all.stream().anyMatch(f -> f.begins(part.strip()))) clauses.add(part.strip());
            // a comma within words
            else clauses.set(clauses.size() - 1, clauses.get(clauses.size() - 1) + "," + part);
        Map<String, Object> values = new LinkedHashMap<>();
        for (String clause : clauses) {
            if (clause.isEmpty()) continue;
            Optional<SpaceValue.Field> field =
                    all.stream().filter(f -> f.begins(clause)).findFirst();
            if (field.isEmpty()) {
                wrong.add("says \"%s\"; expected %s."
                        .formatted(
                                clause,
                                String.join(
                                        ", ",
                                        Stream.concat(fields.stream(), inBox.stream())
                                                .map(SpaceValue.Field::example)
                                                .toList())));
                continue;
            }
            Optional<Object> value = field.get().read(clause);
            if (value.isPresent()) values.put(field.get().name(), value.get());
            else
                wrong.add("says \"%s\"; expected %s."
                        .formatted(clause, field.get().example()));
        }
        return values;
    }

    /** @return what is wrong; empty where it stands in the tree now */
    Optional<String> put(Map<String, Object> tree, String name, Map<String, Object> values) {
        if (freeWords()) {
            object(tree, path).put(name, values.get("words"));
            return Optional.empty();
        }
        if (!list()) {
            Map<String, Object> at = object(tree, path);
            values.forEach((field, value) -> nested(at, field, value));
            return Optional.empty();
        }
        List<Object> all = listAt(tree);
        if (also()) return also(all, name, values);
        Map<String, Object> entry = new LinkedHashMap<>();
        if (named()) entry.put(id, id.equals("n") && name.matches("\\d{1,3}") ? Integer.valueOf(name) : name);
        entry.putAll(only(values, fields));
        Map<String, Object> box = only(values, inBox);
        if (path.equals(ROOMS) && !box.isEmpty()) entry.put("room", box);
        if (!path.equals(ROOMS) && !inBox.isEmpty()) entry.put("boxes", new ArrayList<>(List.of(box)));
        all.add(entry);
        return Optional.empty();
    }

    private Optional<String> also(List<Object> all, String name, Map<String, Object> values) {
        for (Object o : all)
            if (o instanceof Map<?, ?> m && name.equals(m.get("id")) && m.get("boxes") instanceof List<?> boxes) {
                @SuppressWarnings("unchecked") // made above
                List<Object> own = (List<Object>) boxes;
                own.add(only(values, inBox));
                return Optional.empty();
            }
        return Optional.of("adds a box to \"%s\", which no line before it names.".formatted(name));
    }

    private static Map<String, Object> only(Map<String, Object> values, List<SpaceValue.Field> fields) {
        Map<String, Object> some = new LinkedHashMap<>();
        for (SpaceValue.Field f : fields) if (values.containsKey(f.name())) some.put(f.name(), values.get(f.name()));
        return some;
    }

    /** "face w" stands in an object of its own. */
    private static void nested(Map<String, Object> at, String field, Object value) {
        if (field.startsWith("face ")) object(at, "face").put(field.substring("face ".length()), value);
        else at.put(field, value);
    }

    @SuppressWarnings("unchecked") // every object in this tree was made here
    private static Map<String, Object> object(Map<String, Object> tree, String path) {
        Map<String, Object> at = tree;
        for (String step : path.isEmpty() ? new String[0] : path.split("\\."))
            at = (Map<String, Object>) at.computeIfAbsent(step, s -> new LinkedHashMap<String, Object>());
        return at;
    }

    @SuppressWarnings("unchecked") // as above
    private List<Object> listAt(Map<String, Object> tree) {
        int dot = path.lastIndexOf('.');
        Map<String, Object> owner = object(tree, dot < 0 ? "" : path.substring(0, dot));
        return (List<Object>) owner.computeIfAbsent(path.substring(dot + 1), s -> new ArrayList<>());
    }

    // --- tree to lines

    List<String> lines(Object tree) {
        Object at = tree;
        for (String step : path.isEmpty() ? new String[0] : path.split("\\."))
            at = at instanceof Map<?, ?> m ? m.get(step) : null;
        if (at == null || also()) return List.of();
        if (freeWords())
            return at instanceof Map<?, ?> m
                    ? m.entrySet().stream()
                            .map(e -> "%s %s: %s".formatted(word, e.getKey(), e.getValue()))
                            .toList()
                    : List.of();
        if (!list()) return at instanceof Map<?, ?> m ? line(word, clauses(m, fields)) : List.of();
        List<String> lines = new ArrayList<>();
        for (Object o : at instanceof List<?> list ? list : List.of())
            if (o instanceof Map<?, ?> m) {
                String head = named() ? word + " " + m.get(id) : word;
                List<?> boxes = boxes(m);
                List<String> clauses = new ArrayList<>(clauses(m, fields));
                if (!boxes.isEmpty()) clauses.addAll(clauses((Map<?, ?>) boxes.get(0), inBox));
                lines.add(clauses.isEmpty() ? head : head + ": " + String.join(", ", clauses));
                for (Object box : boxes.subList(Math.min(1, boxes.size()), boxes.size()))
                    lines.addAll(line("also " + m.get(id), clauses((Map<?, ?>) box, inBox)));
            }
        return lines;
    }

    private List<?> boxes(Map<?, ?> of) {
        if (path.equals(ROOMS)) return of.get("room") == null ? List.of() : List.of(of.get("room"));
        return of.get("boxes") instanceof List<?> b ? b : List.of();
    }

    private static List<String> line(String head, List<String> clauses) {
        return clauses.isEmpty() ? List.of() : List.of(head + ": " + String.join(", ", clauses));
    }

    private static List<String> clauses(Map<?, ?> object, List<SpaceValue.Field> fields) {
        List<String> clauses = new ArrayList<>();
        for (SpaceValue.Field f : fields) {
            Object value = f.name().startsWith("face ")
                    ? object.get("face") instanceof Map<?, ?> face
                            ? face.get(f.name().substring("face ".length()))
                            : null
                    : object.get(f.name());
            if (value != null) clauses.add(f.name() + " " + f.write(value));
        }
        return clauses;
    }
}
