package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Puts facts measured on one car into a sheet's tree, so that everything is computed from them. */
public final class Settling {
    private static final Pattern SEGMENT = Pattern.compile("([^.\\[\\]]+)|\\[([^\\]]+)]");

    private Settling() {}

    /**
     * @param path as in {@link FieldRef#path}: {@code plugs[A].positions[position 9].colour}
     * @return a changed copy; list entries written with {@code each} are written out
     * @throws InvalidInput if the sheet has no such field
     */
    public static Object measured(Object tree, String path, Object value, String by) {
        Object copy = copy(Each.expand(tree));
        List<String> steps = new ArrayList<>();
        Matcher m = SEGMENT.matcher(path);
        while (m.find()) steps.add(m.group(1) != null ? m.group(1) : m.group(2));
        Object at = copy;
        for (int i = 0; i < steps.size() - 1; i++) at = step(at, steps.get(i), path);
        if (!(at instanceof Map<?, ?>)) throw new InvalidInput(path, "is no field of this sheet.");
        Map<String, Object> fact = new LinkedHashMap<>();
        fact.put("value", value);
        fact.put("from", "measured");
        fact.put("by", by);
        @SuppressWarnings("unchecked") Map<String, Object> owner = (Map<String, Object>) at;
        owner.put(steps.get(steps.size() - 1), fact);
        return copy;
    }

    private static Object step(Object at, String name, String path) {
        if (at instanceof Map<?, ?> map && map.containsKey(name)) return map.get(name);
        if (at instanceof List<?> list)
            for (Object entry : list)
                if (entry instanceof Map<?, ?> map && (name.equals(map.get("id")) || name.equals("position " + map.get("position")))) return entry;
        throw new InvalidInput(path, "is no field of this sheet.");
    }

    private static Object copy(Object tree) {
        if (tree instanceof Map<?, ?> map) {
            Map<String, Object> copy = new LinkedHashMap<>();
            map.forEach((k, v) -> copy.put((String) k, copy(v)));
            return copy;
        }
        return tree instanceof List<?> list ? new ArrayList<>(list.stream().map(Settling::copy).toList()) : tree;
    }
}
