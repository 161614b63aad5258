package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import velvetbezel.draft.Archetype.Param;
import velvetbezel.draft.Template.Hole;
import velvetbezel.draft.Template.TextHole;

/** Reads off a sheet what the parameters of pieces must have been: the values that stand where the names stand. */
final class Holes {
    private final Map<String, Object> found = new LinkedHashMap<>();

    private Holes() {}

    /** A hole for each parameter of these pieces; lists are read by {@link #lists}. */
    static Map<String, Object> of(List<Archetype> pieces) {
        Map<String, Object> holes = new HashMap<>();
        for (Archetype piece : pieces)
            for (Param p : piece.params())
                holes.putIfAbsent(p.name(), p.start() instanceof List<?> ? List.of() : new Hole(p.name(), p.start()));
        return holes;
    }

    /**
     * The lists that rules repeat over, as far as the rules of a device tell: each rule that is one of the repeated
     * stands for a word.
     */
    static Map<String, Object> lists(List<Archetype> pieces, Object rules, Predicate<String> holds) {
        Map<String, Object> lists = new LinkedHashMap<>();
        for (Archetype piece : pieces)
            for (Param p : piece.params())
                if (p.start() instanceof List<?>)
                    repeated(piece, p.name()).map(r -> words(r, rules, holds)).ifPresent(found -> {
                        if (!found.equals(p.start())) lists.putIfAbsent(p.name(), found);
                    });
        return lists;
    }

    /** The first rule of a piece that is repeated over a list. */
    private static Optional<Map<String, Object>> repeated(Archetype piece, String list) {
        return Recognise.list(piece.adds().get("rules")).stream()
                .map(Archetypes::object)
                .filter(r -> Archetypes.object(r.get("each")).containsValue("${" + list + "}"))
                .findFirst();
    }

    private static List<String> words(Map<String, Object> repeated, Object rules, Predicate<String> holds) {
        String name =
                Archetypes.object(repeated.get("each")).keySet().iterator().next();
        String[] around = ((String) repeated.get("id")).split(Pattern.quote("${" + name + "}"), 2);
        Pattern id = Pattern.compile(Pattern.quote(around[0]) + "(.+)" + Pattern.quote(around[1]));
        List<String> words = new ArrayList<>();
        for (Object rule : Recognise.list(rules)) {
            Map<String, Object> r = Archetypes.object(rule);
            Matcher m = id.matcher(String.valueOf(r.get("id")));
            if (!m.matches()) continue;
            Template one = new Template(Map.of(name, m.group(1)), holds, Map.of());
            boolean like = List.of("when", "then").stream().allMatch(k -> like(filled(one, repeated.get(k)), r.get(k)));
            if (like) words.add(m.group(1));
        }
        return words;
    }

    /** Conditions that ask for numbers of their own are not compared. */
    private static Object filled(Template one, Object tree) {
        return tree == null
                        || tree.toString().contains("${set for}")
                        || tree.toString().contains("${selector}")
                ? null
                : one.fill(tree);
    }

    /** The same, whatever terminal stands where the piece asks for the one of a role. */
    private static boolean like(Object piece, Object sheet) {
        if (piece == null || piece instanceof String text && text.startsWith("@")) return true;
        if (piece instanceof Map<?, ?> a && sheet instanceof Map<?, ?> b)
            return a.keySet().equals(b.keySet()) && a.keySet().stream().allMatch(k -> like(a.get(k), b.get(k)));
        if (!(piece instanceof List<?> a) || !(sheet instanceof List<?> b)) return Patch.same(piece, sheet);
        return a.size() == b.size() && IntStream.range(0, a.size()).allMatch(i -> like(a.get(i), b.get(i)));
    }

    /** @return what stands in the holes of a tree, where it stands in a sheet; only what differs from the start */
    static Map<String, Object> read(Object tree, Object sheet) {
        Holes holes = new Holes();
        holes.match(tree, sheet);
        holes.found.values().removeIf(Objects::isNull);
        return holes.found;
    }

    private void match(Object tree, Object sheet) {
        if (sheet == null) return;
        if (tree instanceof Hole hole) {
            if (!found.containsKey(hole.name())) found.put(hole.name(), Patch.same(hole.start(), sheet) ? null : sheet);
        } else if (tree instanceof TextHole text && sheet instanceof String said) inText(text, said);
        else if (tree instanceof Map<?, ?> a && sheet instanceof Map<?, ?> b) a.forEach((k, v) -> match(v, b.get(k)));
        else if (tree instanceof List<?> a && sheet instanceof List<?> b) lists(a, b);
    }

    /** A value that stands in a text, such as the amperes in the name of a fuse. */
    private void inText(TextHole text, String said) {
        Object start = text.hole().start();
        if (!said.startsWith(text.before())
                || !said.endsWith(text.after())
                || said.length() <= text.before().length() + text.after().length()) return;
        String inside = said.substring(
                text.before().length(), said.length() - text.after().length());
        if (start instanceof Number && inside.matches("\\d{1,6}")) match(text.hole(), Integer.valueOf(inside));
        if (start instanceof String) match(text.hole(), inside);
    }

    private void lists(List<?> tree, List<?> sheet) {
        if (Patch.named(tree) && Patch.named(sheet)) {
            Map<Object, Map<?, ?>> there = Patch.byName(sheet);
            Patch.byName(tree).forEach((name, entry) -> match(entry, there.get(name)));
        } else if (tree.size() == sheet.size()) for (int i = 0; i < tree.size(); i++) match(tree.get(i), sheet.get(i));
    }
}
