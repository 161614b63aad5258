package velvetbezel.sheet.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** How one value of a line of measures is written, and read back. */
final class SpaceValue {
    private static final String NUMBER = "-?\\d{1,5}(?:[.,]\\d{1,2})?";
    private static final Pattern LENGTH =
            Pattern.compile("(" + NUMBER + ")(?: mm)?(?: ?± ?(" + NUMBER + "))?(?: \\((\\w+)\\))?");
    private static final Pattern MISSING = Pattern.compile("\\?|(" + NUMBER + ")\\.\\.(" + NUMBER + ")\\?");
    private static final String AND = " + ";

    private SpaceValue() {}

    /** What kind of value stands behind a word. */
    enum Type {
        LENGTH("205"),
        ENDS("-16..200"),
        PAIR("20..26"),
        NUMBER("4"),
        YES("yes"),
        TEXT("words"),
        TEXTS("one + another");

        private final String example;

        Type(String example) {
            this.example = example;
        }
    }

    /** A word with the kind of its value. */
    record Field(String name, Type type) {
        boolean begins(String clause) {
            return clause.startsWith(name + " ");
        }

        String example() {
            return name + " " + type.example;
        }

        /** @param clause begins with the name; empty where the rest is no such value */
        Optional<Object> read(String clause) {
            String text = clause.substring(name.length()).strip();
            return switch (type) {
                case LENGTH -> length(text);
                case ENDS -> ends(text);
                case PAIR -> pair(text);
                case NUMBER -> text.matches(NUMBER) ? Optional.of(number(text)) : Optional.empty();
                case YES -> text.matches("yes|no") ? Optional.of(text.equals("yes")) : Optional.empty();
                case TEXT -> text.isEmpty() ? Optional.empty() : Optional.of(text);
                case TEXTS -> Optional.of(Arrays.stream(text.split("\\+"))
                        .map(String::strip)
                        .filter(t -> !t.isEmpty())
                        .collect(Collectors.<Object>toList()));
            };
        }

        String write(Object value) {
            return switch (type) {
                case LENGTH -> written(value);
                case ENDS, PAIR -> value instanceof List<?> two && two.size() == 2
                        ? written(two.get(0)) + ".." + written(two.get(1))
                        : String.valueOf(value);
                case YES -> Boolean.TRUE.equals(value) ? "yes" : "no";
                case TEXTS -> value instanceof List<?> list
                        ? list.stream().map(String::valueOf).collect(Collectors.joining(AND))
                        : String.valueOf(value);
                case NUMBER -> plain(value);
                case TEXT -> String.valueOf(value);
            };
        }
    }

    /** "x ends, may text": names with the kinds of their values. */
    static List<Field> fields(String text) {
        List<Field> fields = new ArrayList<>();
        for (String f : text.split(", ")) {
            int last = f.lastIndexOf(' ');
            fields.add(new Field(
                    f.substring(0, last), Type.valueOf(f.substring(last + 1).toUpperCase(Locale.ROOT))));
        }
        return List.copyOf(fields);
    }

    private static Number number(String text) {
        double value = Double.parseDouble(text.replace(',', '.'));
        return value == Math.rint(value) ? (Number) (int) value : (Number) value;
    }

    private static Optional<Object> length(String text) {
        Matcher missing = MISSING.matcher(text);
        if (missing.matches()) {
            Map<String, Object> tree = new LinkedHashMap<>();
            tree.put("missing", true);
            if (missing.group(1) != null)
                tree.put("range", List.of(number(missing.group(1)), number(missing.group(2))));
            return Optional.of(tree);
        }
        Matcher m = LENGTH.matcher(text);
        if (!m.matches()) return Optional.empty();
        if (m.group(2) == null && m.group(3) == null) return Optional.of(number(m.group(1)));
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("value", number(m.group(1)));
        if (m.group(3) != null) tree.put("from", m.group(3));
        if (m.group(2) != null) tree.put("tolerance", number(m.group(2)));
        return Optional.of(tree);
    }

    private static Optional<Object> ends(String text) {
        int dots = text.indexOf("..");
        if (dots < 0) return Optional.empty();
        Optional<Object> from = length(text.substring(0, dots).strip());
        Optional<Object> to = length(text.substring(dots + 2).strip());
        return from.isPresent() && to.isPresent() ? Optional.of(List.of(from.get(), to.get())) : Optional.empty();
    }

    private static Optional<Object> pair(String text) {
        return ends(text).filter(e -> ((List<?>) e).stream().allMatch(Number.class::isInstance));
    }

    private static String plain(Object value) {
        if (!(value instanceof Number n)) return String.valueOf(value);
        double d = n.doubleValue();
        return d == Math.rint(d) ? String.valueOf((long) d) : String.valueOf(d);
    }

    /** A number, a claim, or what is missing; of several claims the first, with a mark that there are more. */
    private static String written(Object value) {
        if (value instanceof List<?> claims && !claims.isEmpty()) return written(claims.get(0));
        if (!(value instanceof Map<?, ?> map)) return plain(value);
        if (map.containsKey("missing"))
            return map.get("range") instanceof List<?> r && r.size() == 2
                    ? plain(r.get(0)) + ".." + plain(r.get(1)) + "?"
                    : "?";
        String from = map.get("from") == null ? "" : " (%s)".formatted(map.get("from"));
        String tolerance = map.get("tolerance") == null ? "" : " ±" + plain(map.get("tolerance"));
        return plain(map.get("value")) + tolerance + from;
    }
}
