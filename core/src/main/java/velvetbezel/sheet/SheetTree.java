package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Changes in a sheet's tree, by the paths that faults and missing facts name:
 * {@code plugs[A].positions[position 9].colour}. Each gives a changed copy; what comes of it is read and checked
 * like any other sheet.
 */
public final class SheetTree {
    /** Under these a list holds the ends of a box. */
    private static final Set<String> AXES = Set.of("x", "y", "z");

    private static final Pattern SEGMENT = Pattern.compile("([^.\\[\\]]+)|\\[([^\\]]+)]");

    private SheetTree() {}

    /** A copy with {@code each} entries written out. */
    public static Object copy(Object tree) {
        return deep(Each.expand(tree));
    }

    /**
     * Puts a fact measured on one car in place of whatever was said.
     *
     * @throws InvalidInput if the sheet has no such field
     */
    public static Object measured(Object tree, String path, Object value, String by) {
        return put(tree, path, Optional.of(claim(value, Provenance.Origin.MEASURED, by, "")));
    }

    /** One saying of a value. @param date ISO date, may be empty */
    public static Map<String, Object> claim(Object value, Provenance.Origin from, String by, String date) {
        Map<String, Object> claim = new LinkedHashMap<>();
        claim.put("value", value);
        claim.put("from", from.word());
        if (!by.isEmpty()) claim.put("by", by);
        if (!date.isEmpty()) claim.put("date", date);
        return claim;
    }

    /**
     * Adds a claim to a fact: it takes the place of an earlier one of the same origin, and stands beside the others,
     * so that a disagreement shows as a conflict.
     *
     * @param usual origin of a plain value, which has the sheet's own provenance
     */
    public static Object claimed(Object tree, String path, Map<String, Object> claim, Provenance usual) {
        List<Object> claims = new ArrayList<>();
        Object said = get(tree, path).orElse(List.of());
        for (Object old : said instanceof List<?> list ? list : List.of(said)) {
            if (old instanceof Map<?, ?> map && map.containsKey("missing")) continue;
            Map<?, ?> other = old instanceof Map<?, ?> map ? map : claim(old, usual.origin(), usual.by(), usual.date());
            if (!claim.get("from").equals(other.get("from"))) claims.add(other);
        }
        claims.add(claim);
        return put(tree, path, Optional.of(claims.size() == 1 ? claim : claims));
    }

    /** What stands at a path. */
    public static Optional<Object> get(Object tree, String path) {
        Object at = Each.expand(tree);
        for (String name : steps(path)) {
            Optional<Object> next = child(at, name);
            if (next.isEmpty()) return Optional.empty();
            at = next.get();
        }
        return Optional.of(at);
    }

    /**
     * @param value empty takes the field away
     * @throws InvalidInput if what holds the field is not there
     */
    public static Object put(Object tree, String path, Optional<?> value) {
        Object copy = copy(tree);
        List<String> steps = steps(path);
        Object at = copy;
        for (String name : steps.subList(0, Math.max(0, steps.size() - 1)))
            at = child(at, name).orElseThrow(() -> noField(path));
        String last = steps.isEmpty() ? "" : steps.get(steps.size() - 1);
        if (at instanceof List<?> list && value.isPresent()) {
            @SuppressWarnings("unchecked")
            List<Object> owner = (List<Object>) list;
            owner.set(index(list, last).orElseThrow(() -> noField(path)), value.get());
            return copy;
        }
        if (steps.isEmpty() || !(at instanceof Map<?, ?>)) throw noField(path);
        @SuppressWarnings("unchecked")
        Map<String, Object> owner = (Map<String, Object>) at;
        if (value.isPresent()) owner.put(last, value.get());
        else owner.remove(last);
        return copy;
    }

    /**
     * A sheet for a sister model or trim: the same facts, every one of them only assumed until somebody looks.
     *
     * @param sister name of the sheet it is copied from
     */
    public static Object sister(Object tree, String id, String name, String sister) {
        Object copy = put(put(withoutClaims(copy(tree)), "id", Optional.of(id)), "name", Optional.of(name));
        Map<String, Object> source = new LinkedHashMap<>();
        source.put("from", Provenance.Origin.ASSUMED.word());
        source.put("by", "sister: " + sister);
        return put(copy, "source", Optional.of(source));
    }

    /** Claims give way to the value they agree on; where they do not, to nothing known. */
    private static Object withoutClaims(Object tree) {
        if (tree instanceof Map<?, ?> map) {
            if (map.containsKey("value") && map.containsKey("from")) return map.get("value");
            Map<String, Object> plain = new LinkedHashMap<>();
            map.forEach((k, v) -> plain.put((String) k, AXES.contains(k) ? ends(v) : withoutClaims(v)));
            return plain;
        }
        if (!(tree instanceof List<?> list)) return tree;
        boolean claims = !list.isEmpty()
                && list.stream()
                        .allMatch(e -> e instanceof Map<?, ?> m && m.containsKey("value") && m.containsKey("from"));
        List<Object> plain =
                new ArrayList<>(list.stream().map(SheetTree::withoutClaims).toList());
        if (!claims) return plain;
        return plain.stream().distinct().count() == 1 ? plain.get(0) : Map.of("missing", true);
    }

    /** The two ends of a box: two lengths, and not two claims of one. */
    private static Object ends(Object tree) {
        return tree instanceof List<?> list
                ? new ArrayList<>(list.stream().map(SheetTree::withoutClaims).toList())
                : withoutClaims(tree);
    }

    /** Where two sheets differ. @param first empty where only the second has it, and the other way round */
    public record Difference(String path, Optional<String> first, Optional<String> second) {}

    /**
     * Every place where two trees differ, in the order of the first; entries of lists are matched by id, position or
     * name.
     */
    public static List<Difference> differences(Object first, Object second) {
        List<Difference> found = new ArrayList<>();
        compare("", Each.expand(first), Each.expand(second), found);
        return found;
    }

    private static void compare(String path, Object a, Object b, List<Difference> found) {
        if (Objects.equals(a, b)) return;
        Map<String, Object> left = parts(a);
        Map<String, Object> right = parts(b);
        if (left.isEmpty() || right.isEmpty()) {
            found.add(new Difference(
                    path,
                    Optional.ofNullable(a).map(SheetTree::words),
                    Optional.ofNullable(b).map(SheetTree::words)));
            return;
        }
        Set<String> names = new LinkedHashSet<>(left.keySet());
        names.addAll(right.keySet());
        for (String name : names)
            compare(
                    name.startsWith("[") || path.isEmpty() ? path + name : path + "." + name,
                    left.get(name),
                    right.get(name),
                    found);
    }

    private static Map<String, Object> parts(Object tree) {
        Map<String, Object> parts = new LinkedHashMap<>();
        if (tree instanceof Map<?, ?> map) map.forEach((k, v) -> parts.put((String) k, v));
        if (tree instanceof List<?> list && list.stream().anyMatch(Map.class::isInstance))
            for (int i = 0; i < list.size(); i++) parts.put("[" + Node.nameOf(list.get(i), i) + "]", list.get(i));
        return parts;
    }

    private static String words(Object tree) {
        if (tree instanceof Map<?, ?> map)
            return map.entrySet().stream()
                    .map(e -> e.getKey() + " " + words(e.getValue()))
                    .collect(Collectors.joining(", "));
        return tree instanceof List<?> list
                ? list.stream().map(SheetTree::words).collect(Collectors.joining("; "))
                : String.valueOf(tree);
    }

    private static InvalidInput noField(String path) {
        return new InvalidInput(path, "is no field of this sheet.");
    }

    private static List<String> steps(String path) {
        List<String> steps = new ArrayList<>();
        Matcher m = SEGMENT.matcher(path);
        while (m.find()) steps.add(m.group(1) != null ? m.group(1) : m.group(2));
        return steps;
    }

    private static Optional<Object> child(Object at, String name) {
        if (at instanceof Map<?, ?> map) return Optional.ofNullable(map.get(name));
        if (at instanceof List<?> list)
            for (Object entry : list)
                if (entry instanceof Map<?, ?> map
                        && (name.equals(map.get("id")) || name.equals("position " + map.get("position"))))
                    return Optional.of(entry);
        return at instanceof List<?> list ? index(list, name).map(list::get) : Optional.empty();
    }

    /** An entry without a name goes by its number, from 1 on. */
    private static Optional<Integer> index(List<?> list, String name) {
        if (!name.matches("\\d{1,4}")) return Optional.empty();
        int i = Integer.parseInt(name) - 1;
        return i >= 0 && i < list.size() && Node.nameOf(list.get(i), i).equals(name)
                ? Optional.of(i)
                : Optional.empty();
    }

    private static Object deep(Object tree) {
        if (tree instanceof Map<?, ?> map) {
            Map<String, Object> copy = new LinkedHashMap<>();
            map.forEach((k, v) -> copy.put((String) k, deep(v)));
            return copy;
        }
        return tree instanceof List<?> list
                ? new ArrayList<>(list.stream().map(SheetTree::deep).toList())
                : tree;
    }
}
