package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Repeats a list entry over names: {@code {"each": {"$c": ["fl","fr"]}, "carry": ["in_$c","out_$c"]}}. */
final class Each {
    private Each() {}

    static Object expand(Object tree) {
        if (tree instanceof Map<?, ?> map) {
            Map<String, Object> copy = new LinkedHashMap<>();
            map.forEach((key, value) -> copy.put((String) key, expand(value)));
            return copy;
        }
        if (!(tree instanceof List<?> list)) return tree;
        List<Object> copy = new ArrayList<>();
        for (Object entry : list) {
            if (entry instanceof Map<?, ?> map && map.get("each") instanceof Map<?, ?> names && wellFormed(names))
                repeat(map, names, copy);
            else copy.add(expand(entry));
        }
        return copy;
    }

    private static boolean wellFormed(Map<?, ?> names) {
        return names.size() == 1
                && names.keySet().iterator().next().toString().startsWith("$")
                && names.values().iterator().next() instanceof List<?>;
    }

    private static void repeat(Map<?, ?> entry, Map<?, ?> names, List<Object> into) {
        Map<Object, Object> body = new LinkedHashMap<>(entry);
        body.remove("each");
        String name = (String) names.keySet().iterator().next();
        for (Object value : (List<?>) names.values().iterator().next())
            into.add(expand(replace(body, name, String.valueOf(value))));
    }

    private static Object replace(Object tree, String name, String value) {
        if (tree instanceof String text) return text.replace(name, value);
        if (tree instanceof List<?> list)
            return list.stream().map(e -> replace(e, name, value)).toList();
        if (!(tree instanceof Map<?, ?> map)) return tree;
        Map<String, Object> copy = new LinkedHashMap<>();
        map.forEach((k, v) -> copy.put(((String) k).replace(name, value), replace(v, name, value)));
        return copy;
    }
}
