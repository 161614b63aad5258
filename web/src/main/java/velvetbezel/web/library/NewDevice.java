package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.PartKind;
import velvetbezel.store.StandardBlocks;

/** A new radio or part as its form says it, before blocks are added. */
final class NewDevice {
    private static final int MOST_ID = 60;

    private NewDevice() {}

    /** @throws InvalidInput with every field that is missing or cannot be read */
    static Map<String, Object> sheet(boolean radio, Map<String, String> typed, Map<String, Object> source) {
        List<Fault> faults = new ArrayList<>();
        String name = text(typed, "name");
        if (name.isEmpty()) faults.add(new Fault("name", "is missing."));
        Map<String, Object> sheet = new LinkedHashMap<>();
        sheet.put("format", "velvet-bezel/sheet");
        sheet.put("version", 1);
        sheet.put("kind", radio ? "radio" : "part");
        sheet.put("id", text(typed, "id").isEmpty() ? id(name) : text(typed, "id"));
        sheet.put("name", name);
        sheet.put("source", source);
        if (radio) sheet.put("size", text(typed, "size"));
        else sheet.put("part", text(typed, "part"));
        number(typed, "price", faults).ifPresent(p -> sheet.put("price", p));
        if (radio) radio(sheet, typed, name);
        else part(sheet, typed, name, faults);
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return sheet;
    }

    private static void radio(Map<String, Object> sheet, Map<String, String> typed, String name) {
        Map<String, Object> device = Map.of("id", "radio", "name", name.isEmpty() ? "radio" : name);
        sheet.put(
                "device",
                StandardBlocks.all().find("radio", "power").orElseThrow().addTo(device, Map.of()));
        if (!text(typed, "mount").isEmpty()) sheet.put("mount", text(typed, "mount"));
        if (!text(typed, "stays").isEmpty()) sheet.put("factory radio stays", true);
    }

    private static void part(Map<String, Object> sheet, Map<String, String> typed, String name, List<Fault> faults) {
        number(typed, "minutes", faults).ifPresent(m -> sheet.put("minutes", m));
        boolean wireless =
                PartKind.find(text(typed, "part")).filter(PartKind::wireless).isPresent();
        if (wireless) {
            sheet.put("holds", Map.of("opening", text(typed, "opening"), "radio", text(typed, "holds radio")));
            sheet.put("vehicles", words(typed, "vehicles"));
            sheet.put("finishes", words(typed, "finishes"));
        } else sheet.put("device", Map.of("id", "part", "name", name.isEmpty() ? "part" : name));
    }

    private static String text(Map<String, String> typed, String field) {
        return typed.getOrDefault(field, "").strip();
    }

    static List<String> words(Map<String, String> typed, String field) {
        return text(typed, field).isEmpty()
                ? List.of()
                : List.of(text(typed, field).split("\\s*[,;]\\s*"));
    }

    static Optional<Double> number(Map<String, String> typed, String field, List<Fault> faults) {
        String text = text(typed, field).replace(',', '.');
        if (text.isEmpty()) return Optional.empty();
        if (text.matches("\\d{1,7}(\\.\\d{1,2})?")) return Optional.of(Double.valueOf(text));
        faults.add(new Fault(field, "\"%s\" is no number; type one such as 12.50.".formatted(text)));
        return Optional.empty();
    }

    /** "Corrick Tern, 2007" → "corrick-tern-2007". */
    static String id(String text) {
        String id = text.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return id.length() > MOST_ID ? id.substring(0, MOST_ID).replaceAll("-$", "") : id;
    }
}
