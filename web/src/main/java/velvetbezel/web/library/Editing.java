package velvetbezel.web.library;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Document;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.web.shell.Today;

/** Changes sheets by hand: one position of a plug at a time, a sister sheet, a revision brought back. */
@Service
class Editing {
    private final Library library;
    private final Clock clock;

    /** What a person typed for one position. @param keep number of the colour's claim to keep alone; empty for none */
    record Typed(
            String plug,
            String position,
            boolean empty,
            String role,
            String to,
            String colour,
            String gauge,
            String from,
            String by,
            Optional<Integer> keep) {}

    Editing(Library library, Clock clock) {
        this.library = library;
        this.clock = clock;
    }

    Document find(String id) {
        return library.find(id)
                .filter(d -> d.sheet().isPresent())
                .orElseThrow(
                        () -> new InvalidInput(id, "There is no sheet of this name here. Choose one from the list."));
    }

    static List<Plug> plugs(Sheet sheet) {
        if (sheet instanceof Sheet.Vehicle v) return v.car().plugs();
        if (sheet instanceof Sheet.Radio r) return r.device().plugs();
        return ((Sheet.Part) sheet).device().map(Device::plugs).orElse(List.of());
    }

    static String path(Sheet sheet, String plug, String position) {
        return "%splugs[%s].positions[position %s]"
                .formatted(sheet instanceof Sheet.Vehicle ? "" : "device.", plug, position);
    }

    /** @throws InvalidInput with every fault; nothing is written then */
    void position(String id, String who, int seen, Typed typed) {
        Sheet sheet = find(id).sheet().orElseThrow();
        String path = path(sheet, typed.plug, typed.position);
        library.change(id, who, "Position %s of plug %s".formatted(typed.position, typed.plug), seen, tree -> {
            Object before = SheetTree.get(tree, path)
                    .orElseThrow(() -> new InvalidInput(path, "is no position of this sheet."));
            if (typed.keep.isPresent())
                return SheetTree.put(
                        tree,
                        path + ".colour",
                        Optional.of(claims(before, "colour").get(typed.keep.get())));
            if (typed.empty) return replaced(tree, path, Map.of("position", number(typed.position), "empty", true));
            Object changed = isEmpty(before)
                    ? replaced(tree, path, Map.of("position", number(typed.position), "role", role(typed.role)))
                    : SheetTree.get(tree, path + ".role")
                                    .filter(r -> roleShown(r).equals(typed.role))
                                    .isPresent()
                            ? tree
                            : SheetTree.put(tree, path + ".role", Optional.of(role(typed.role)));
            if (sheet instanceof Sheet.Vehicle)
                changed = SheetTree.put(
                        changed, path + ".to", Optional.of(typed.to).filter(t -> !t.isBlank()));
            changed = fact(
                    changed,
                    path + ".colour",
                    typed.colour,
                    typed,
                    sheet.header().from());
            return fact(
                    changed, path + ".gauge", typed.gauge, typed, sheet.header().from());
        });
    }

    /** A role as typed: "illumination?" is a guess, "unknown" is a role that nobody knows. */
    private static Object role(String typed) {
        String text = typed.strip();
        return text.endsWith("?")
                ? Map.of("guessed", text.substring(0, text.length() - 1).strip())
                : text;
    }

    private static String roleShown(Object role) {
        if (role instanceof Map<?, ?> map && map.containsKey("guessed")) return map.get("guessed") + "?";
        return shown(role);
    }

    private static Object number(String position) {
        return position.matches("\\d{1,3}") ? Integer.parseInt(position) : position;
    }

    private static boolean isEmpty(Object position) {
        return position instanceof Map<?, ?> map && Boolean.TRUE.equals(map.get("empty"));
    }

    private static Object replaced(Object tree, String path, Map<String, Object> with) {
        Map<String, Object> position = new LinkedHashMap<>(with);
        Object copy = SheetTree.copy(tree);
        String plug = path.substring(0, path.indexOf(".positions["));
        List<Object> positions = new ArrayList<>(
                (List<?>) SheetTree.get(copy, plug + ".positions").orElseThrow());
        positions.replaceAll(p -> p instanceof Map<?, ?> map
                        && String.valueOf(map.get("position")).equals(String.valueOf(position.get("position")))
                ? position
                : p);
        return SheetTree.put(copy, plug + ".positions", Optional.of(positions));
    }

    /** A new claim only where something else was typed than what stands. */
    private Object fact(Object tree, String path, String text, Typed typed, Provenance usual) {
        if (text.strip().equals(shown(SheetTree.get(tree, path).orElse(null)))) return tree;
        if (text.isBlank()) return SheetTree.put(tree, path, Optional.of(Map.of("missing", true)));
        Object value = text.strip().matches("-?\\d{1,2}") && path.endsWith(".gauge")
                ? (Object) Integer.parseInt(text.strip())
                : text.strip();
        Provenance.Origin origin = Provenance.Origin.find(typed.from)
                .orElseThrow(() -> new InvalidInput("from", "\"%s\" is no origin of a fact.".formatted(typed.from)));
        return SheetTree.claimed(
                tree,
                path,
                SheetTree.claim(value, origin, typed.by.strip(), Today.at(clock).toString()),
                usual);
    }

    /** How a fact stands in the form: its value, or nothing where it is missing or disputed. */
    static String shown(Object fact) {
        if (fact instanceof Map<?, ?> map) return map.containsKey("missing") ? "" : String.valueOf(map.get("value"));
        return fact == null || fact instanceof List<?> ? "" : String.valueOf(fact);
    }

    /** Sayings of a fact, plain values included. */
    static List<Object> claims(Object position, String field) {
        Object fact = position instanceof Map<?, ?> map ? map.get(field) : null;
        if (fact == null) return List.of();
        return fact instanceof List<?> list ? new ArrayList<>(list) : List.of(fact);
    }

    /** Makes a sheet for a sister model or trim. @return its id */
    String duplicate(String id, String who, String newId, String name) {
        Document original = find(id);
        if (library.find(newId.strip()).isPresent())
            throw new InvalidInput("id", "\"%s\" is taken; choose another id.".formatted(newId.strip()));
        if (name.isBlank()) throw new InvalidInput("name", "is empty; give the new sheet a name of its own.");
        library.take(
                Map.of(
                        "the copy",
                        Json.write(SheetTree.sister(
                                Json.parse(original.body()), newId.strip(), name.strip(), original.name()))),
                who);
        return newId.strip();
    }

    List<SheetTree.Difference> differences(String id, String with) {
        return SheetTree.differences(
                Json.parse(find(id).body()), Json.parse(find(with).body()));
    }

    Object tree(String id) {
        return Json.parse(find(id).body());
    }
}
