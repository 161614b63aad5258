package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FactReader;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.sheet.strip.Battery;
import velvetbezel.sheet.strip.Lever;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.StripLines;
import velvetbezel.sheet.strip.StripReader;
import velvetbezel.sheet.strip.WorkLines;

/** A strip-down as it is typed: lines for parts and works, and a few facts of the vehicle. */
final class StripForm {
    private static final String UNKNOWN = "unknown";
    private static final List<String> BATTERIES = List.of("main", "second");

    private StripForm() {}

    /** What stands in the fields of a vehicle's sheet. */
    static Map<String, String> typed(Sheet.Vehicle vehicle) {
        Map<String, String> typed = new LinkedHashMap<>();
        Optional<StripDown> strip = vehicle.strip();
        typed.put("parts", strip.map(s -> StripLines.write(s.items())).orElse(""));
        typed.put(
                "works", strip.map(s -> WorkLines.write(s.works(), s.extras())).orElse(""));
        Optional<Lever> lever = strip.flatMap(s -> s.facts().lever());
        typed.put("lever", lever.map(l -> l.manual() ? "manual" : "automatic").orElse("none"));
        typed.put(
                "lever key",
                lever.flatMap(l -> l.key().known())
                        .map(k -> String.join(" or ", sorted(k)))
                        .orElse(""));
        typed.put("lever battery", lever.map(l -> yesNo(l.battery())).orElse(UNKNOWN));
        typed.put("lever foot", lever.map(l -> yesNo(l.footBrake())).orElse(UNKNOWN));
        typed.put("release", lever.flatMap(Lever::release).isPresent() ? "yes" : "no");
        List<Battery> batteries = strip.map(s -> s.facts().batteries()).orElse(List.of());
        for (int b = 0; b < BATTERIES.size(); b++)
            typed.put(
                    "battery " + (b + 1),
                    batteries.size() > b
                            ? batteries.get(b).place() + ", "
                                    + batteries.get(b).clamp().words()
                            : "");
        typed.put("radio code", strip.map(s -> yesNo(s.facts().radioCode())).orElse(UNKNOWN));
        typed.put(
                "wait",
                strip.flatMap(s -> s.facts().waitAfterOff().known())
                        .map(String::valueOf)
                        .orElse(""));
        return typed;
    }

    private static List<String> sorted(Set<String> words) {
        return words.stream().sorted().collect(Collectors.toList());
    }

    private static String yesNo(Fact<Boolean> fact) {
        return fact.known().map(b -> b ? "yes" : "no").orElse(UNKNOWN);
    }

    /** @param tree of the sheet's {@code strip}; @param strip what it comes to, where nothing is wrong */
    record Read(Map<String, Object> tree, Optional<StripDown> strip, List<InputProblem> faults) {}

    /** @param before the sheet's tree: what the lines do not say of an unchanged part stays */
    static Read read(Map<String, String> typed, Object before, Sheet.Vehicle vehicle) {
        StripLines.Read parts = StripLines.read(typed.getOrDefault("parts", ""));
        WorkLines.Read works = WorkLines.read(typed.getOrDefault("works", ""));
        List<InputProblem> faults = new ArrayList<>(parts.faults());
        faults.addAll(works.faults());
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("facts", facts(typed, before));
        tree.put("items", kept(parts.items(), before, vehicle));
        if (!works.works().isEmpty()) tree.put("works", works.works());
        if (!works.extras().isEmpty()) tree.put("extras", works.extras());
        List<InputProblem> inTree = new ArrayList<>();
        Optional<StripDown> strip = StripReader.read(
                Node.root(tree, inTree),
                new FactReader(vehicle.id(), vehicle.header().from()));
        faults.addAll(inTree);
        return new Read(tree, faults.isEmpty() ? strip : Optional.empty(), faults);
    }

    /** An entry whose line is as it was is kept whole; a changed one keeps which plug of the wiring is which. */
    private static List<Object> kept(List<Object> items, Object before, Sheet.Vehicle vehicle) {
        Map<String, Object> lines = new LinkedHashMap<>();
        vehicle.strip().ifPresent(s -> s.items()
                .forEach(i -> lines.put(
                        i.id().name(),
                        StripLines.read(StripLines.write(List.of(i))).items().get(0))));
        List<Object> kept = new ArrayList<>();
        for (Object item : items) {
            String id = ((Map<?, ?>) item).get("id").toString();
            Optional<Object> old = SheetTree.get(before, "strip.items[%s]".formatted(id));
            kept.add(item.equals(lines.get(id)) && old.isPresent() ? old.get() : item);
        }
        return kept;
    }

    private static Map<String, Object> facts(Map<String, String> typed, Object before) {
        Map<String, Object> facts = new LinkedHashMap<>();
        if (SheetTree.get(before, "strip.facts").orElse(null) instanceof Map<?, ?> old)
            old.forEach((k, v) -> facts.put((String) k, v));
        facts.remove("lever");
        switch (typed.getOrDefault("lever", "none")) {
            case "manual" -> facts.put("lever", Map.of("manual", true));
            case "automatic" -> facts.put("lever", lever(typed, before));
            default -> {}
        }
        List<Object> batteries = new ArrayList<>();
        for (int b = 0; b < BATTERIES.size(); b++)
            if (!typed.getOrDefault("battery " + (b + 1), "").isBlank())
                batteries.add(battery(b, typed.get("battery " + (b + 1)), facts.get("batteries")));
        facts.remove("batteries");
        if (!batteries.isEmpty()) facts.put("batteries", batteries);
        truth(facts, "radio code", typed.getOrDefault("radio code", UNKNOWN));
        facts.remove("wait after off");
        String wait = typed.getOrDefault("wait", "").strip();
        if (!wait.isEmpty()) facts.put("wait after off", number(wait));
        return facts;
    }

    /** What is no number is read as a text, and refused with its field. */
    private static Object number(String text) {
        return text.matches("\\d{1,5}") ? (Object) Integer.valueOf(text) : text;
    }

    private static void truth(Map<String, Object> facts, String name, String said) {
        facts.remove(name);
        if (said.equals("yes") || said.equals("no")) facts.put(name, said.equals("yes"));
    }

    private static Map<String, Object> lever(Map<String, String> typed, Object before) {
        Map<String, Object> lever = new LinkedHashMap<>();
        String key = typed.getOrDefault("lever key", "").strip();
        if (!key.isEmpty()) lever.put("key", List.of(key.split(" or ")));
        truth(lever, "foot brake", typed.getOrDefault("lever foot", UNKNOWN));
        truth(lever, "battery", typed.getOrDefault("lever battery", UNKNOWN));
        if (typed.getOrDefault("release", "no").equals("yes"))
            lever.put(
                    "release",
                    SheetTree.get(before, "strip.facts.lever.release").orElse(Map.of()));
        return lever;
    }

    /** "engine bay left, hex 10": the last phrase is the clamp's tool. */
    private static Map<String, Object> battery(int number, String text, Object before) {
        Map<String, Object> battery = new LinkedHashMap<>();
        if (before instanceof List<?> list && list.size() > number && list.get(number) instanceof Map<?, ?> old)
            old.forEach((k, v) -> battery.put((String) k, v));
        battery.putIfAbsent("id", BATTERIES.get(number));
        int comma = text.lastIndexOf(',');
        battery.put("place", comma < 0 ? text.strip() : text.substring(0, comma).strip());
        if (comma >= 0) battery.put("clamp", text.substring(comma + 1).strip());
        return battery;
    }
}
