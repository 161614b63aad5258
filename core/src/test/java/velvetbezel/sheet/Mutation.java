package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Spoils one place of a good sheet. */
public final class Mutation {
    private static final List<Object> GARBAGE = List.of(
            "",
            "?",
            "no such thing",
            -1,
            1e300,
            3.7,
            true,
            List.of(),
            Map.of(),
            List.of(1, "two"),
            Map.of("missing", "x"),
            "car.A.1",
            "radio",
            "gnd");

    private Mutation() {}

    /** Walks down to a random place and spoils it. @return what was done */
    public static String in(Object tree, Random random) {
        Object at = tree;
        StringBuilder path = new StringBuilder();
        while (true) {
            List<Object> keys = keys(at);
            Object key = keys.get(random.nextInt(keys.size()));
            Object child = get(at, key);
            path.append('/').append(key);
            if (!keys(child).isEmpty() && random.nextInt(6) > 0) {
                at = child;
                continue;
            }
            return spoil(at, key, random) + " at " + path;
        }
    }

    private static List<Object> keys(Object at) {
        if (at instanceof Map<?, ?> map) return new ArrayList<>(map.keySet());
        List<Object> keys = new ArrayList<>();
        if (at instanceof List<?> list) for (int i = 0; i < list.size(); i++) keys.add(i);
        return keys;
    }

    private static Object get(Object at, Object key) {
        return at instanceof Map<?, ?> map ? map.get(key) : ((List<?>) at).get((int) key);
    }

    @SuppressWarnings("unchecked")
    private static String spoil(Object at, Object key, Random random) {
        int how = random.nextInt(4);
        if (at instanceof Map<?, ?>) {
            Map<String, Object> map = (Map<String, Object>) at;
            if (how == 0) return "removed " + map.remove(key);
            if (how == 1) return "misspelt: " + map.put(key + "x", map.remove(key));
            Object with = other(map, random);
            return "put %s for %s".formatted(with, map.put((String) key, with));
        }
        List<Object> list = (List<Object>) at;
        int i = (int) key;
        if (how == 0) return "removed " + list.remove(i);
        if (how == 1) {
            list.add(i, list.get(i));
            return "doubled " + list.get(i);
        }
        Object with = other(new LinkedHashMap<>(), random);
        return "put %s for %s".formatted(with, list.set(i, with));
    }

    /** Garbage, or a value from elsewhere in the same object. */
    private static Object other(Map<String, Object> map, Random random) {
        List<Object> choices = new ArrayList<>(GARBAGE);
        choices.addAll(map.values());
        return choices.get(random.nextInt(choices.size()));
    }
}
