package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What two trees differ in, as a tree: a JSON merge patch (RFC 7396: null takes a field away), except that lists whose
 * entries have names are patched entry by entry ({@code "gone": true} takes one away), and other lists are replaced.
 * The order of named entries, and of texts in a list, says nothing.
 */
final class Patch {
    private static final String GONE = "gone";
    private static final String INSTEAD = "instead";

    private Patch() {}

    /** @return empty where the two say the same */
    static Optional<Object> between(Object from, Object to) {
        if (same(from, to)) return Optional.empty();
        if (from instanceof Map<?, ?> a && to instanceof Map<?, ?> b) return Optional.of(objects(a, b));
        if (from instanceof List<?> a && to instanceof List<?> b && named(a) && named(b))
            return Optional.of(entries(a, b));
        return Optional.of(to instanceof List<?> list && named(list) ? Map.of(INSTEAD, to) : to);
    }

    private static Map<String, Object> objects(Map<?, ?> from, Map<?, ?> to) {
        Map<String, Object> patch = new LinkedHashMap<>();
        Set<Object> keys = new LinkedHashSet<>(from.keySet());
        keys.addAll(to.keySet());
        for (Object key : keys)
            if (!to.containsKey(key)) patch.put((String) key, null);
            else if (!from.containsKey(key)) patch.put((String) key, to.get(key));
            else between(from.get(key), to.get(key)).ifPresent(p -> patch.put((String) key, p));
        return patch;
    }

    private static List<Object> entries(List<?> from, List<?> to) {
        List<Object> patch = new ArrayList<>();
        Map<Object, Map<?, ?>> wanted = byName(to);
        Map<Object, Map<?, ?>> had = byName(from);
        had.forEach((name, entry) -> {
            Map<String, Object> changed = new LinkedHashMap<>(names(entry));
            if (!wanted.containsKey(name)) changed.put(GONE, true);
            else changed.putAll(objects(entry, wanted.get(name)));
            if (changed.size() > names(entry).size()) patch.add(changed);
        });
        wanted.forEach((name, entry) -> {
            if (!had.containsKey(name)) patch.add(entry);
        });
        return patch;
    }

    static Object apply(Object tree, Object patch) {
        if (patch instanceof List<?> p && tree instanceof List<?> t && named(t) && named(p)) return entriesOf(t, p);
        if (!(patch instanceof Map<?, ?> changes)) return patch;
        if (changes.size() == 1 && changes.containsKey(INSTEAD)) return changes.get(INSTEAD);
        Map<String, Object> changed = Archetypes.object(tree);
        changes.forEach((k, v) -> {
            if (v == null) changed.remove(k);
            else changed.put((String) k, apply(changed.get(k), v));
        });
        return changed;
    }

    private static List<Object> entriesOf(List<?> tree, List<?> patch) {
        Map<Object, Map<?, ?>> changes = byName(patch);
        List<Object> changed = new ArrayList<>();
        for (Object entry : tree) {
            Map<?, ?> change = changes.remove(names((Map<?, ?>) entry));
            if (change == null) changed.add(entry);
            else if (!Boolean.TRUE.equals(change.get(GONE))) changed.add(apply(entry, change));
        }
        changes.values().stream().filter(c -> !c.containsKey(GONE)).forEach(changed::add);
        return changed;
    }

    /** Numbers by their value; lists of texts and of named entries in any order. */
    static boolean same(Object a, Object b) {
        if (a instanceof Number x && b instanceof Number y) return x.doubleValue() == y.doubleValue();
        if (a instanceof Map<?, ?> x && b instanceof Map<?, ?> y)
            return x.keySet().equals(y.keySet()) && x.keySet().stream().allMatch(k -> same(x.get(k), y.get(k)));
        if (!(a instanceof List<?> x) || !(b instanceof List<?> y)) return Objects.equals(a, b);
        if (x.size() != y.size()) return false;
        if (named(x) && named(y)) return same(byName(x), byName(y));
        if (x.stream().allMatch(String.class::isInstance))
            return x.stream().collect(Collectors.toSet()).equals(new LinkedHashSet<>(y));
        for (int i = 0; i < x.size(); i++) if (!same(x.get(i), y.get(i))) return false;
        return true;
    }

    /** How many values a patch holds. */
    static int size(Object patch) {
        if (patch instanceof Map<?, ?> map)
            return map.values().stream().mapToInt(Patch::size).sum();
        return patch instanceof List<?> list
                ? list.stream().mapToInt(Patch::size).sum()
                : 1;
    }

    static boolean named(List<?> list) {
        return list.stream().allMatch(e -> e instanceof Map<?, ?> m && !names(m).isEmpty())
                && byName(list).size() == list.size();
    }

    static Map<Object, Map<?, ?>> byName(List<?> list) {
        Map<Object, Map<?, ?>> entries = new LinkedHashMap<>();
        for (Object entry : list) entries.put(names((Map<?, ?>) entry), (Map<?, ?>) entry);
        return entries;
    }

    /** The fields that tell an entry from the others of its list; none where nothing does. */
    private static Map<String, Object> names(Map<?, ?> entry) {
        for (List<String> keys : List.of(List.of("id"), List.of("position"), List.of("from", "to"), List.of("name")))
            if (keys.stream().allMatch(k -> entry.get(k) instanceof String || entry.get(k) instanceof Number)) {
                Map<String, Object> names = new LinkedHashMap<>();
                keys.forEach(k -> names.put(k, entry.get(k)));
                return names;
            }
        return Map.of();
    }
}
