package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts two trees together: objects field by field, lists entry by entry, where an id or name tells which belong
 * together.
 */
final class Merge {
    private Merge() {}

    static Map<String, Object> objects(Map<?, ?> first, Map<?, ?> second) {
        Map<String, Object> merged = new LinkedHashMap<>();
        first.forEach((k, v) -> merged.put((String) k, v));
        second.forEach((k, v) -> merged.merge((String) k, v, Merge::both));
        return merged;
    }

    private static Object both(Object first, Object second) {
        if (first instanceof Map<?, ?> a && second instanceof Map<?, ?> b) return objects(a, b);
        return first instanceof List<?> a && second instanceof List<?> b ? lists(a, b) : second;
    }

    private static List<Object> lists(List<?> first, List<?> second) {
        List<Object> merged = new ArrayList<>(first);
        for (Object entry : second) {
            int at = indexOf(merged, entry);
            if (at < 0) merged.add(entry);
            else merged.set(at, both(merged.get(at), entry));
        }
        return merged;
    }

    private static int indexOf(List<Object> list, Object entry) {
        for (int i = 0; i < list.size(); i++)
            if (list.get(i).equals(entry) || name(entry) != null && name(entry).equals(name(list.get(i)))) return i;
        return -1;
    }

    private static Object name(Object entry) {
        if (!(entry instanceof Map<?, ?> map)) return null;
        return map.get("id") != null ? map.get("id") : map.get("name");
    }
}
