package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;

/**
 * A ready-made piece of a device: leads, plugs, ports and rules that belong together.
 *
 * @param text  what it does, in words; names of fields in it begin with $
 * @param kind  "radio" or "part"
 * @param adds  the piece as a device's tree, with the names of fields where their values go
 */
public record Block(String id, String text, String kind, List<Field> fields, Map<String, Object> adds) {
    public Block {
        fields = List.copyOf(fields);
    }

    /** What a person may say of a block. @param start value it begins with */
    public record Field(String name, String label, Kind kind, String start, String unit) {
        public enum Kind {
            NUMBER,
            COUNT,
            TERMINAL,
            WORD,
            WORDS,
            ROLE
        }
    }

    /** The text with the values it would have to begin with. */
    public String sentence() {
        String words = text;
        for (Field f : fields) words = words.replace("$" + f.name(), f.start().isEmpty() ? "…" : f.start());
        return words;
    }

    /**
     * A device with this block added.
     *
     * @param typed field to what was typed
     * @throws InvalidInput naming each field that cannot be read, or what the device has already
     */
    public Map<String, Object> addTo(Map<String, Object> device, Map<String, String> typed) {
        List<Fault> faults = new ArrayList<>();
        Map<String, Object> values = new HashMap<>();
        for (Field f : fields)
            read(f, typed.getOrDefault(f.name(), f.start()).strip(), faults).ifPresent(v -> values.put(f.name(), v));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        if (values.get("size") instanceof Integer size)
            values.put(
                    "positions",
                    IntStream.rangeClosed(1, size)
                            .mapToObj(n -> Map.<String, Object>of("position", n, "empty", true))
                            .toList());
        Map<String, Object> piece = filledPiece(adds, values);
        twice(device, piece, faults);
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return Merge.objects(device, piece);
    }

    private static Optional<Object> read(Field f, String text, List<Fault> faults) {
        if (text.isEmpty()) return fault(f, "is missing.", faults);
        return switch (f.kind()) {
            case NUMBER -> text.replace(',', '.').matches("-?\\d{1,4}(\\.\\d{1,4})?")
                    ? Optional.of(Double.valueOf(text.replace(',', '.')))
                    : fault(f, "\"%s\" is no number; type one such as %s.".formatted(text, f.start()), faults);
            case COUNT -> text.matches("\\d{1,3}") && !text.matches("0+")
                    ? Optional.of(Integer.valueOf(text))
                    : fault(f, "\"%s\" is no count; type a whole number from 1.".formatted(text), faults);
            case ROLE -> LeadRole.read(text)
                    .<Optional<Object>>map(r -> Optional.of(r.label()))
                    .orElseGet(() -> fault(
                            f, "\"%s\" is no role of a lead; allowed: %s.".formatted(text, LeadRole.all()), faults));
            case WORDS -> Optional.of(List.of(text.split("\\s*,\\s*")));
            case TERMINAL, WORD -> Optional.of(text);
        };
    }

    private static Optional<Object> fault(Field f, String message, List<Fault> faults) {
        faults.add(new Fault(f.name(), message));
        return Optional.empty();
    }

    /** What the piece brings under a name that the device uses for something else. */
    private void twice(Map<String, Object> device, Map<String, Object> piece, List<Fault> faults) {
        for (String list : List.of("leads", "plugs", "ports", "rules")) {
            for (Object entry : piece.get(list) instanceof List<?> entries ? entries : List.of()) {
                Object name = entry instanceof Map<?, ?> m ? m.get("id") != null ? m.get("id") : m.get("name") : entry;
                boolean there = device.get(list) instanceof List<?> own
                        && own.stream()
                                .anyMatch(o -> o instanceof Map<?, ?> m
                                        && name.equals(m.get("id") != null ? m.get("id") : m.get("name"))
                                        && !o.equals(entry));
                if (there)
                    faults.add(new Fault(
                            list,
                            "\"%s\" is there already; take it off first, or give this one another name."
                                    .formatted(name)));
            }
        }
    }

    /**
     * A tree with values in the places of their names; a list that holds only a name becomes the list of its values.
     */
    static Object filled(Object tree, Map<String, Object> values) {
        if (tree instanceof String text) return text(text, values);
        if (tree instanceof List<?> list) {
            if (list.size() == 1
                    && list.get(0) instanceof String name
                    && name.startsWith("$")
                    && values.get(name.substring(1)) instanceof List<?> all) return all;
            return list.stream().map(e -> filled(e, values)).toList();
        }
        if (!(tree instanceof Map<?, ?> map)) return tree;
        Map<String, Object> copy = new LinkedHashMap<>();
        map.forEach((k, v) -> copy.put((String) k, filled(v, values)));
        return copy;
    }

    @SuppressWarnings("unchecked")
    static Map<String, Object> filledPiece(Map<String, Object> piece, Map<String, Object> values) {
        return (Map<String, Object>) filled(piece, values);
    }

    private static Object text(String text, Map<String, Object> values) {
        if (text.startsWith("$") && values.containsKey(text.substring(1))) return values.get(text.substring(1));
        return text;
    }
}
