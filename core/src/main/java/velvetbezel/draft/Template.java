package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Fills a piece of an archetype: {@code ${name}} by its value, {@code ${c.long}} by what a table of words says of it,
 * {@code ${key.value}} by what a map has under it; an entry with "each" once per value, one with "if" only where its
 * words hold. An entry that is no object stands under "entry". A field whose value nobody knows is left out.
 */
final class Template {
    private static final Pattern NAME = Pattern.compile("\\$\\{([^}]+)}");

    private final Map<String, Object> values;
    private final Predicate<String> holds;
    private final Map<String, Map<String, String>> words;

    /** A value that is being looked for: it stands whole where the name stands, and in a text as its start. */
    record Hole(String name, Object start) {
        @Override
        public String toString() {
            return Template.text(start);
        }
    }

    /** A text that a hole stands in the middle of. */
    record TextHole(String before, Hole hole, String after) {
        @Override
        public String toString() {
            return before + hole + after;
        }
    }

    /** @param holds whether a word is true: a role that is there, a choice that was taken */
    Template(Map<String, Object> values, Predicate<String> holds, Map<String, Map<String, String>> words) {
        this.values = values;
        this.holds = holds;
        this.words = words;
    }

    private Template with(String name, Object value, Optional<Object> under) {
        Map<String, Object> more = new HashMap<>(values);
        more.put(name, value);
        under.ifPresent(u -> more.put(name + ".value", u));
        return new Template(more, holds, words);
    }

    @SuppressWarnings("unchecked")
    Map<String, Object> object(Map<String, Object> piece) {
        Object filled = fill(piece);
        return filled == null ? Map.of() : (Map<String, Object>) filled;
    }

    Object fill(Object tree) {
        if (tree instanceof String text) return text.contains("${") ? text(text, NAME.matcher(text)) : text;
        if (tree instanceof List<?> list) {
            List<Object> filled = new ArrayList<>();
            list.forEach(entry -> entry(entry, filled));
            return filled;
        }
        if (!(tree instanceof Map<?, ?> map)) return tree;
        Map<String, Object> filled = new LinkedHashMap<>();
        map.forEach((k, v) -> {
            Object value = taken(v) ? v instanceof Map<?, ?> m ? fill(without(m, "if")) : fill(v) : null;
            if (value != null) filled.put(text(fill(k)), value);
        });
        return filled.isEmpty() && !map.isEmpty() ? null : filled;
    }

    private void entry(Object entry, List<Object> into) {
        if (!taken(entry)) return;
        if (!(entry instanceof Map<?, ?> map)) {
            into.add(fill(entry));
            return;
        }
        Map<String, Object> body = without(map, "if");
        if (body.remove("each") instanceof Map<?, ?> each) {
            String name = (String) each.keySet().iterator().next();
            Object over = fill(each.values().iterator().next());
            if (over instanceof Map<?, ?> m)
                m.forEach((k, v) -> with(name, k, Optional.of(v)).entry(body, into));
            else
                for (Object value : (List<?>) over)
                    with(name, value, Optional.empty()).entry(body, into);
        } else {
            Object filled = body.containsKey("entry") ? fill(body.get("entry")) : fill(body);
            if (filled != null) into.add(filled);
        }
    }

    private boolean taken(Object entry) {
        return !(entry instanceof Map<?, ?> map)
                || !(map.get("if") instanceof String word)
                || Word.all(word).stream().allMatch(w -> w.holds(holds));
    }

    private static Map<String, Object> without(Map<?, ?> map, String name) {
        Map<String, Object> copy = new LinkedHashMap<>();
        map.forEach((k, v) -> {
            if (!k.equals(name)) copy.put((String) k, v);
        });
        return copy;
    }

    private Object text(String text, Matcher name) {
        if (name.matches()) return value(name.group(1));
        name.reset();
        if (name.find() && value(name.group(1)) instanceof Hole hole)
            return new TextHole(text.substring(0, name.start()), hole, text.substring(name.end()));
        name.reset();
        return name.replaceAll(m -> Matcher.quoteReplacement(text(value(m.group(1)))));
    }

    private Object value(String name) {
        if (values.containsKey(name)) return values.get(name);
        int dot = name.lastIndexOf('.');
        if (dot > 0 && words.containsKey(name.substring(dot + 1)))
            return words.get(name.substring(dot + 1)).get(text(value(name.substring(0, dot))));
        throw new IllegalStateException("No value for ${%s}; known: %s".formatted(name, values.keySet()));
    }

    /** Whole numbers without a point. */
    static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    /** Numbers as they are typed, lists by commas. */
    static String text(Object value) {
        if (value instanceof Number n) return number(n.doubleValue());
        return value instanceof List<?> list
                ? list.stream().map(Template::text).collect(Collectors.joining(", "))
                : String.valueOf(value);
    }
}
