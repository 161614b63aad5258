package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A place in a document that is being read. Reading never throws: what is wrong is added to the faults
 * with the path of its field, and a harmless value takes its place, so that one pass finds everything.
 */
public final class Node {
    /** Stands for a text that could not be read, once its fault is noted; a sheet cannot write it. */
    static final String UNREAD = "?";

    private final Object value;
    private final String path;
    private final List<InputProblem> faults;

    private Node(Object value, String path, List<InputProblem> faults) {
        this.value = value;
        this.path = path;
        this.faults = faults;
    }

    /** The root of a tree of maps, lists, texts, numbers and booleans, with its {@code each} entries repeated. */
    public static Node root(Object tree, List<InputProblem> faults) {
        return new Node(Each.expand(tree), "", faults);
    }

    public String path() {
        return path;
    }

    /** What stands here, unread; null where nothing does. */
    public Object value() {
        return value;
    }

    public boolean present() {
        return value != null;
    }

    public boolean isText() {
        return value instanceof String;
    }

    public boolean isNumber() {
        return value instanceof Number;
    }

    public boolean isList() {
        return value instanceof List<?>;
    }

    public boolean isObject() {
        return value instanceof Map<?, ?>;
    }

    public void fault(String message) {
        faults.add(new InputProblem(path.isEmpty() ? "(whole sheet)" : path, message));
    }

    public boolean has(String name) {
        return value instanceof Map<?, ?> map && map.get(name) != null;
    }

    public Node at(String name) {
        Object child = value instanceof Map<?, ?> map ? map.get(name) : null;
        return new Node(child, path.isEmpty() ? name : path + "." + name, faults);
    }

    /** The entries of a list; none when absent. An entry with an id is named by it: {@code rules[power]}. */
    public List<Node> list() {
        if (value == null) return List.of();
        if (!(value instanceof List<?> list)) {
            fault("expected a list, found " + shown() + ".");
            return List.of();
        }
        List<Node> nodes = new ArrayList<>();
        for (int i = 0; i < list.size(); i++)
            nodes.add(new Node(list.get(i), path + "[" + nameOf(list.get(i), i) + "]", faults));
        return nodes;
    }

    static String nameOf(Object entry, int index) {
        if (entry instanceof Map<?, ?> map)
            for (String key : List.of("id", "function", "position", "name"))
                if (map.get(key) instanceof String || map.get(key) instanceof Number)
                    return key.equals("position")
                            ? "position " + map.get(key)
                            : map.get(key).toString();
        return String.valueOf(index + 1);
    }

    /** Fields of an object in their order; none when absent. */
    public Map<String, Node> fields() {
        if (value == null) return Map.of();
        if (!(value instanceof Map<?, ?> map)) {
            fault("expected an object with fields, found " + shown() + ".");
            return Map.of();
        }
        Map<String, Node> nodes = new LinkedHashMap<>();
        map.keySet().forEach(key -> nodes.put((String) key, at((String) key)));
        return nodes;
    }

    /** Notes each field whose name is not among {@code allowed}: a slip of spelling must not be lost. */
    public Node only(String... allowed) {
        List<String> names = List.of(allowed);
        fields().forEach((name, node) -> {
            if (!names.contains(name)) node.fault("is no field here; the fields are " + String.join(", ", names) + ".");
        });
        return this;
    }

    public String text() {
        if (value instanceof String text && !text.isBlank() && !text.strip().equals(UNREAD)) return text.strip();
        if (value instanceof Integer || value instanceof Long) return value.toString();
        fault(value == null ? "is missing; a text is expected." : "expected a text, found " + shown() + ".");
        return UNREAD;
    }

    public String text(String otherwise) {
        return value == null ? otherwise : text();
    }

    public Optional<String> optionalText() {
        return value == null ? Optional.empty() : Optional.of(text());
    }

    public List<String> texts() {
        return list().stream().map(Node::text).toList();
    }

    public double number(double least, double most) {
        if (value instanceof Number number) {
            double d = number.doubleValue();
            if (d >= least && d <= most) return d;
            fault("%s is outside %s to %s.".formatted(value, plain(least), plain(most)));
        } else {
            fault((value == null ? "is missing; " : "found " + shown() + "; ")
                    + "a number from %s to %s is expected.".formatted(plain(least), plain(most)));
        }
        return least;
    }

    public double number(double least, double most, double otherwise) {
        return value == null ? otherwise : number(least, most);
    }

    public int whole(int least, int most) {
        double d = number(least, most);
        if (d != Math.rint(d)) fault("%s must be a whole number.".formatted(value));
        return (int) d;
    }

    public boolean truth(boolean otherwise) {
        if (value == null) return otherwise;
        if (value instanceof Boolean b) return b;
        fault("expected true or false, found " + shown() + ".");
        return otherwise;
    }

    /** One of a closed set of words. */
    public <T> T one(Function<String, Optional<T>> find, String allowed, T otherwise) {
        if (value == null) {
            fault("is missing; allowed: " + allowed + ".");
            return otherwise;
        }
        String text = text();
        return find.apply(text).orElseGet(() -> {
            if (!text.equals(UNREAD)) fault("\"%s\" is not known; allowed: %s.".formatted(text, allowed));
            return otherwise;
        });
    }

    public <T> T one(Function<String, Optional<T>> find, String allowed, T otherwise, T absent) {
        return value == null ? absent : one(find, allowed, otherwise);
    }

    String shown() {
        if (value == null) return "nothing";
        String text = value.toString();
        return value instanceof String
                ? "\"" + text + "\""
                : value instanceof Map<?, ?> ? "an object" : value instanceof List<?> ? "a list" : text;
    }

    private static String plain(double d) {
        return d == Math.rint(d) && Math.abs(d) < 1e15 ? String.valueOf((long) d) : String.valueOf(d);
    }
}
