package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.sheet.fit.FitReader;
import velvetbezel.sheet.fit.SpaceLines;

/**
 * Measures of one kind of sheet, typed in lines.
 *
 * @param field where they stand in the sheet
 */
enum SpaceForm {
    SITE("site", SpaceLines::ofSite, SpaceLines::site),
    BODY("body", SpaceLines::ofBody, SpaceLines::body),
    FRAME("frame", SpaceLines::ofFrame, SpaceLines::frame);

    private final String field;
    private final Function<Object, String> write;
    private final Function<String, SpaceLines.Read> read;

    SpaceForm(String field, Function<Object, String> write, Function<String, SpaceLines.Read> read) {
        this.field = field;
        this.write = write;
        this.read = read;
    }

    static SpaceForm of(Sheet sheet) {
        if (sheet instanceof Sheet.Vehicle) return SITE;
        return sheet instanceof Sheet.Radio ? BODY : FRAME;
    }

    String field() {
        return field;
    }

    /** What is typed of a sheet already. */
    String typed(Object tree) {
        return SheetTree.get(tree, field).map(write).orElse("");
    }

    /** @param tree of the field; @param said what it comes to, a line each */
    record Read(Map<String, Object> tree, List<InputProblem> faults) {}

    /** A line that is as it was keeps what it does not say: who measured it, and other claims. */
    Read read(String text, Object before, Sheet sheet) {
        SpaceLines.Read lines = read.apply(text);
        List<InputProblem> faults = new ArrayList<>(lines.faults());
        Map<String, Object> tree = lines.tree();
        Optional<Object> old = SheetTree.get(before, field);
        if (old.isPresent()) {
            Object kept = kept(tree, read.apply(write.apply(old.get())).tree(), old.get());
            tree = object(kept);
        }
        if (faults.isEmpty()) check(tree, sheet, faults);
        return new Read(tree, faults);
    }

    private void check(Map<String, Object> tree, Sheet sheet, List<InputProblem> faults) {
        Node node = Node.root(tree, faults);
        switch (this) {
            case SITE -> FitReader.site(node, sheet.id(), sheet.header().from());
            case BODY -> FitReader.body(node, sheet.id(), sheet.header().from());
            case FRAME -> FitReader.frame(node, sheet.id(), sheet.header().from());
        }
    }

    private static Map<String, Object> object(Object tree) {
        Map<String, Object> object = new LinkedHashMap<>();
        ((Map<?, ?>) tree).forEach((k, v) -> object.put((String) k, v));
        return object;
    }

    /** What was read of an old line and is read of the new one alike stays as it stood. */
    private static Object kept(Object now, Object was, Object old) {
        if (now.equals(was)) return old;
        if (now instanceof Map<?, ?> n && was instanceof Map<?, ?> w && old instanceof Map<?, ?> o) {
            Map<String, Object> kept = new LinkedHashMap<>();
            n.forEach((k, v) ->
                    kept.put((String) k, w.containsKey(k) && o.containsKey(k) ? kept(v, w.get(k), o.get(k)) : v));
            return kept;
        }
        if (!(now instanceof List<?> n && was instanceof List<?> w && old instanceof List<?> o)) return now;
        List<Object> kept = new ArrayList<>();
        for (Object entry : n) {
            int at = w.indexOf(entry);
            kept.add(at >= 0 && at < o.size() ? o.get(at) : entry);
        }
        return kept;
    }
}
