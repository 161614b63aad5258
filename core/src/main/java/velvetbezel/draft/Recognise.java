package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.draft.Recognised.Share;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.SheetTree;

/**
 * Finds the short sheet of a long one: answers and numbers with which the catalogue comes nearest, and by hand what it
 * does not have. Expanding it gives the long sheet back, but for the order of named entries.
 */
public final class Recognise {
    private static final List<String> LEVEL_KEYS = List.of("level", "gain");
    private static final List<String> ROLE_KEYS = List.of("role", "guessed");

    private static final int COST_OF_FAULT = 10_000;

    private Recognise() {}

    /** @param sheet the tree of a long sheet */
    public static Recognised in(Object sheet, Archetypes catalogue) {
        Map<String, Object> whole = whole(sheet);
        return written(
                isCar(whole) ? new RecogniseCar(whole, catalogue).tree() : new RecogniseDevice(whole, catalogue).tree(),
                whole,
                catalogue);
    }

    /**
     * The short sheet of one that was typed short and changed since: its answers and numbers stay, what the change
     * added stands by hand.
     *
     * @param typed the short sheet; @param sheet the long one as it is now
     */
    public static Recognised again(Object typed, Object sheet, Archetypes catalogue) {
        Map<String, Object> whole = whole(sheet);
        Map<String, Object> has = Archetypes.object(((Map<?, ?>) typed).get("has"));
        Map<String, Object> numbers = Archetypes.object(((Map<?, ?>) typed).get("numbers"));
        return written(
                isCar(whole)
                        ? new RecogniseCar(whole, catalogue).tree(has, numbers)
                        : new RecogniseDevice(whole, catalogue).tree(has, numbers),
                whole,
                catalogue);
    }

    private static boolean isCar(Map<String, Object> whole) {
        return "vehicle".equals(whole.get("kind"));
    }

    private static Recognised written(Map<String, Object> shortTree, Map<String, Object> whole, Archetypes catalogue) {
        Optional<Object> patch = patch(shortTree, whole, catalogue, new ArrayList<>());
        patch.ifPresent(p -> shortTree.put(ShortSheet.BY_HAND, p));
        shortTree.put(ShortSheet.REVISION, catalogue.revision());
        return counted(shortTree, whole, patch.map(Archetypes::object).orElse(Map.of()));
    }

    /** What the expansion of a short sheet lacks of the long one. @param faults of the short sheet are added */
    private static Optional<Object> patch(
            Map<String, Object> shortTree, Map<String, Object> whole, Archetypes catalogue, List<InputProblem> faults) {
        return Patch.between(whole(Expander.expand(shortTree, catalogue, faults).tree()), whole);
    }

    /** A sheet's tree written out: nothing is repeated, and every role stands as its label. */
    static Map<String, Object> whole(Object sheet) {
        return Archetypes.object(plain(SheetTree.copy(sheet)));
    }

    /** How much a short sheet leaves to be written by hand; one with faults costs more than any without. */
    static int cost(Map<String, Object> shortTree, Map<String, Object> whole, Archetypes catalogue) {
        List<InputProblem> faults = new ArrayList<>();
        int left = patch(shortTree, whole, catalogue, faults).map(Patch::size).orElse(0);
        return left + COST_OF_FAULT * faults.size();
    }

    /** The one way of writing what sheets write in two: either minus, what goes without saying, one of a single "any". */
    private static Object plain(Object tree) {
        if (tree instanceof List<?> list)
            return list.stream().map(Recognise::plain).toList();
        if (!(tree instanceof Map<?, ?> map)) return tree;
        if (map.size() == 1 && map.get("any") instanceof List<?> any && any.size() == 1) return plain(any.get(0));
        Map<String, Object> copy = new LinkedHashMap<>();
        map.forEach((k, v) -> {
            boolean goesWithoutSaying = Boolean.FALSE.equals(v) && k.equals("socket")
                    || v instanceof Number n && n.doubleValue() == 0 && LEVEL_KEYS.contains(k);
            if (!goesWithoutSaying)
                copy.put((String) k, ROLE_KEYS.contains(k) && v instanceof String r ? Roles.label(r) : plain(v));
        });
        return copy;
    }

    private static Recognised counted(Map<String, Object> tree, Map<String, Object> whole, Map<String, Object> byHand) {
        String radio = isCar(whole) ? "radio" : "device";
        return new Recognised(
                tree,
                share(list(whole.get("devices")), list(byHand.get("devices"))),
                share(
                        list(Archetypes.object(whole.get(radio)).get("rules")),
                        list(Archetypes.object(byHand.get(radio)).get("rules"))));
    }

    private static Share share(List<?> all, List<?> left) {
        List<String> ids =
                all.stream().map(e -> ((Map<?, ?>) e).get("id").toString()).toList();
        return new Share(
                all.size(),
                left.stream()
                        .map(e -> String.valueOf(((Map<?, ?>) e).get("id")))
                        .filter(ids::contains)
                        .toList());
    }

    static List<?> list(Object value) {
        return value instanceof List<?> l ? l : List.of();
    }
}
