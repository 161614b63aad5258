package velvetbezel.web.library;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Library;
import velvetbezel.web.shell.Today;

/** Changes what a sheet is made of: facts, and pieces of its device. */
@Service
class SheetPieces {
    private static final List<String> LISTS = List.of("leads", "plugs", "wires", "ports", "rules");
    private final Editing editing;
    private final Library library;
    private final Clock clock;

    SheetPieces(Editing editing, Library library, Clock clock) {
        this.editing = editing;
        this.library = library;
        this.clock = clock;
    }

    /** @throws InvalidInput with every fault; nothing is written then */
    void remove(String id, String who, int seen, String list, String key) {
        if (!LISTS.contains(list))
            throw new InvalidInput(
                    "list", "\"%s\" is no list of a device; one of %s.".formatted(list, String.join(", ", LISTS)));
        String path = DeviceView.path(sheet(id));
        library.change(id, who, "Took off: %s %s".formatted(list.substring(0, list.length() - 1), key), seen, tree -> {
            Map<String, Object> device = device(tree, path);
            List<Object> left = new ArrayList<>(device.get(list) instanceof List<?> all ? all : List.of());
            if (!left.removeIf(e -> key.equals(key(e))))
                throw new InvalidInput(list, "\"%s\" is not there any more.".formatted(key));
            device.put(list, left);
            return SheetTree.put(tree, path, Optional.of(device));
        });
    }

    private static String key(Object entry) {
        Map<?, ?> map = (Map<?, ?>) entry;
        if (map.containsKey("from") && map.containsKey("to")) return map.get("from") + " > " + map.get("to");
        return String.valueOf(map.get("id") != null ? map.get("id") : map.get("name"));
    }

    private static Map<String, Object> device(Object tree, String path) {
        Map<String, Object> device = new LinkedHashMap<>();
        ((Map<?, ?>) SheetTree.get(tree, path).orElseThrow(() -> new InvalidInput(path, "This part has no wires.")))
                .forEach((k, v) -> device.put((String) k, v));
        return device;
    }

    private Sheet sheet(String id) {
        return editing.find(id).sheet().orElseThrow();
    }

    /** @param typed path to what was typed, with "from" and "by" for measures */
    void facts(String id, String who, int seen, Map<String, String> typed) {
        Sheet sheet = sheet(id);
        List<FactsView.Field> fields = FactsView.of(sheet, "", seen, editing.tree(id), Map.of(), List.of())
                .fields();
        List<InputProblem> faults = new ArrayList<>();
        List<String> changed = new ArrayList<>();
        Object[] result = {editing.tree(id)};
        for (FactsView.Field f : fields) {
            String text = typed.getOrDefault(f.path(), "").strip();
            if (text.equals(f.value())) continue;
            changed.add(f.label());
            try {
                result[0] = put(result[0], f, text, typed, sheet.header().from());
            } catch (InvalidInput e) {
                faults.addAll(e.faults());
            }
        }
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        if (!changed.isEmpty()) library.change(id, who, String.join(", ", changed), seen, tree -> result[0]);
    }

    private Object put(Object tree, FactsView.Field f, String text, Map<String, String> typed, Provenance usual) {
        Object owned = f.path().contains(".")
                        && SheetTree.get(tree, f.path().substring(0, f.path().indexOf('.')))
                                .isEmpty()
                ? SheetTree.put(tree, f.path().substring(0, f.path().indexOf('.')), Optional.of(new LinkedHashMap<>()))
                : tree;
        return switch (f.kind()) {
            case TEXT, SUGGESTED -> SheetTree.put(
                    owned, f.path(), Optional.of(text).filter(t -> !t.isEmpty()));
            case LIST -> SheetTree.put(owned, f.path(), Optional.of(Typed.words(typed, f.path())));
            case YES_NO -> SheetTree.put(owned, f.path(), Optional.of(!text.isEmpty()));
            case NUMBER -> f.path().startsWith("years[")
                    ? years(owned, f.path().equals("years[1]") ? 0 : 1, number(f, text))
                    : SheetTree.put(owned, f.path(), text.isEmpty() ? Optional.empty() : Optional.of(number(f, text)));
            case MILLIMETRES -> text.isEmpty()
                    ? SheetTree.put(owned, f.path(), Optional.empty())
                    : SheetTree.claimed(owned, f.path(), claim(number(f, text), typed), usual);
        };
    }

    private static Object years(Object tree, int which, Object year) {
        List<Object> years =
                new ArrayList<>((List<?>) SheetTree.get(tree, "years").orElseThrow());
        years.set(which, year);
        return SheetTree.put(tree, "years", Optional.of(years));
    }

    private static Object number(FactsView.Field f, String text) {
        String plain = text.replace(',', '.').replaceAll("\\s*mm$", "");
        if (!plain.matches("\\d{1,7}(\\.\\d{1,2})?"))
            throw new InvalidInput(f.path(), "\"%s\" is no number; type one such as 165.".formatted(text));
        return plain.contains(".") ? (Object) Double.valueOf(plain) : Integer.valueOf(plain);
    }

    private Map<String, Object> claim(Object value, Map<String, String> typed) {
        String from = typed.getOrDefault("from", "measured");
        Provenance.Origin origin = Provenance.Origin.find(from)
                .orElseThrow(() -> new InvalidInput("from", "\"%s\" is no origin of a fact.".formatted(from)));
        return SheetTree.claim(
                value,
                origin,
                typed.getOrDefault("by", "").strip(),
                Today.at(clock).toString());
    }
}
