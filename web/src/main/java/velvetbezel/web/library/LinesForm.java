package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.draft.Paper;
import velvetbezel.draft.Years;
import velvetbezel.sheet.InputProblem;
import velvetbezel.store.Json;

/** What was typed on the page of lines, as a short sheet, and a short sheet as it would be typed there. */
final class LinesForm {
    static final int MOST_PLUGS = 16;
    private static final String FORMAT = "velvet-bezel/short";
    private static final String YES = "yes";
    private static final Pattern KEY = Pattern.compile("(.+?)\\s+(\\d+(?:[.,]\\d+)?)\\s*(k)?\\s*(?:Ω|ohms?)?");
    /** Fields of a sheet that have a place of their own on the page. */
    private static final List<String> SHOWN = List.of(
            "format",
            "version",
            "kind",
            "id",
            "name",
            "source",
            "make",
            "model",
            "trim",
            "years",
            "opening",
            "north america",
            "buttons",
            "plugs",
            "places",
            "leads",
            "bare",
            "has",
            "numbers",
            "otherwise",
            "paper",
            "size",
            "mount",
            "factory radio stays",
            "price",
            "minutes",
            "cuts",
            "part",
            "holds",
            "vehicles",
            "fits",
            "finishes",
            "ratings",
            "RCA",
            "revision");

    /** Before the name of a piece that is struck out. */
    static final String OTHERWISE = "otherwise.";

    private static final List<String> RATINGS = List.of("draws amps", "least speaker ohms", "line out volts");

    private final Map<String, String> typed;
    private final List<InputProblem> faults;

    private LinesForm(Map<String, String> typed, List<InputProblem> faults) {
        this.typed = typed;
        this.faults = faults;
    }

    /**
     * The short sheet of what was typed.
     *
     * @param kind   vehicle, radio or part
     * @param source where the paper is from
     * @param faults what the fields themselves say wrong is added
     */
    static Map<String, Object> tree(
            String kind, Map<String, String> typed, Map<String, Object> source, List<InputProblem> faults) {
        return new LinesForm(typed, faults).tree(kind, source);
    }

    private Map<String, Object> tree(String kind, Map<String, Object> source) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("format", FORMAT);
        tree.put("version", 1);
        tree.put("kind", kind);
        text("id").ifPresent(id -> tree.put("id", id));
        tree.put("name", at("name"));
        tree.put("source", source);
        switch (kind) {
            case "vehicle" -> vehicle(tree);
            case "radio" -> radio(tree);
            default -> part(tree);
        }
        Map<String, Object> plugs = plugs();
        if (!plugs.isEmpty()) tree.put("plugs", plugs);
        text("leads").ifPresent(l -> tree.put("leads", lines(l)));
        paper().ifPresent(p -> tree.put("paper", p));
        Map<String, Object> has = has();
        if (!has.isEmpty()) tree.put("has", has);
        Map<String, Object> numbers = numbers();
        if (!numbers.isEmpty()) tree.put("numbers", numbers);
        List<String> otherwise = otherwise();
        if (!otherwise.isEmpty()) tree.put("otherwise", otherwise);
        text("rest").ifPresent(rest -> rest(rest, tree));
        return tree;
    }

    /** What the page does not show is kept as it was. */
    private static void rest(String json, Map<String, Object> tree) {
        if (Json.parse(json) instanceof Map<?, ?> kept) kept.forEach((k, v) -> tree.putIfAbsent((String) k, v));
    }

    private void vehicle(Map<String, Object> tree) {
        for (String field : List.of("make", "model", "trim")) text(field).ifPresent(t -> tree.put(field, t));
        if (at("years").isEmpty())
            faults.add(new InputProblem("years", "are missing; type them as 2004-2009 or 05/2018."));
        else
            Years.read(at("years"))
                    .ifPresentOrElse(
                            y -> years(tree, y),
                            () -> faults.add(new InputProblem(
                                    "years",
                                    "\"%s\" is no span of years; type it as 2004-2009, 05/2018 or 2018 on."
                                            .formatted(at("years")))));
        text("opening").ifPresent(o -> tree.put("opening", o));
        if (has("north america")) tree.put("north america", true);
        if (!at("buttons").isEmpty()) tree.put("buttons", words("buttons"));
    }

    private static void years(Map<String, Object> tree, Years years) {
        tree.put("years", List.of(years.first(), years.last()));
        if (!years.built().isEmpty()) tree.put("traits", Map.of("built", years.built()));
    }

    private void radio(Map<String, Object> tree) {
        text("size").ifPresent(s -> tree.put("size", s));
        text("mount").ifPresent(m -> tree.put("mount", m));
        number("price").ifPresent(p -> tree.put("price", p));
        if (has("stays")) tree.put("factory radio stays", true);
        Map<String, Object> ratings = new LinkedHashMap<>();
        for (String r : RATINGS) number("rating." + r).ifPresent(n -> ratings.put(r, n));
        if (!ratings.isEmpty()) tree.put("ratings", ratings);
    }

    private void part(Map<String, Object> tree) {
        tree.put("part", at("part"));
        number("price").ifPresent(p -> tree.put("price", p));
        number("minutes").ifPresent(m -> tree.put("minutes", m));
        number("cuts").ifPresent(c -> tree.put("cuts", c));
        if (has("bare")) tree.put("bare", "common code");
        List<String> rca =
                Stream.of("front", "rear").filter(p -> has("rca." + p)).toList();
        if (!rca.isEmpty()) tree.put("RCA", rca);
        if (!at("holds.opening").isEmpty() || !at("holds.radio").isEmpty())
            tree.put("holds", Map.of("opening", at("holds.opening"), "radio", at("holds.radio")));
        for (String list : List.of("vehicles", "finishes")) if (!at(list).isEmpty()) tree.put(list, words(list));
        FitFields.tree(typed, faults).ifPresent(f -> tree.put("fits", f));
    }

    private Map<String, Object> plugs() {
        Map<String, Object> plugs = new LinkedHashMap<>();
        for (int i = 0; i < MOST_PLUGS; i++) {
            String text = typed.getOrDefault("lines" + i, "").strip();
            String id = at("plug" + i);
            if (id.isEmpty() && text.isEmpty()) continue;
            if (text.isEmpty() && at("family" + i).isEmpty() && at("size" + i).isEmpty()) continue;
            if (id.isEmpty()) id = "plug " + (i + 1);
            if (plugs.containsKey(id))
                faults.add(new InputProblem("plugs." + id, "comes twice; give one of the two another name."));
            plugs.put(id, plug(i, text));
        }
        return plugs;
    }

    private Map<String, Object> plug(int i, String text) {
        Map<String, Object> plug = new LinkedHashMap<>();
        text("family" + i).ifPresent(f -> plug.put("family", f));
        number("size" + i).ifPresent(s -> plug.put("size", s));
        text("half" + i).ifPresent(h -> plug.put("socket", h.equals("socket")));
        text("partner" + i).ifPresent(p -> plug.put("partner", p));
        text("in" + i).ifPresent(p -> plug.put("in", p));
        if (has("cut" + i)) plug.put("cut", true);
        if (!at("place" + i).isEmpty()) {
            Map<String, Object> access = new LinkedHashMap<>();
            access.put("place", at("place" + i));
            text("route" + i).ifPresent(r -> access.put("route", r));
            access.put("minutes", number("minutes" + i).orElse(0));
            text("mate" + i).ifPresent(m -> access.put("mate", m));
            if (has("optional" + i)) access.put("optional", true);
            plug.put("access", access);
        }
        plug.put("positions", lines(text));
        return plug;
    }

    private static Object lines(String text) {
        List<String> lines =
                text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
        return lines.size() == 1 ? lines.get(0) : lines;
    }

    private Optional<Map<String, String>> paper() {
        if (at("paper").isEmpty()) return Optional.empty();
        Map<String, String> words = Paper.read(at("paper"), faults).words();
        return words.isEmpty() ? Optional.empty() : Optional.of(words);
    }

    private Map<String, Object> has() {
        Map<String, Object> has = new LinkedHashMap<>();
        typed.forEach((name, value) -> {
            if (!name.startsWith("has.") || value.isBlank()) return;
            String[] parts = name.substring("has.".length()).split("\\.", 2);
            if (parts.length == 1) has.put(parts[0], value.equals(YES) ? (Object) true : value);
            else if (value.equals(YES)) several(has, parts[0]).add(parts[1]);
        });
        for (String ladder : List.of("ladder", "ladder 2")) if (!at(ladder).isEmpty()) has.put(ladder, ladder(ladder));
        return has;
    }

    @SuppressWarnings("unchecked")
    private static List<String> several(Map<String, Object> has, String id) {
        return (List<String>) has.computeIfAbsent(id, k -> new ArrayList<String>());
    }

    /** "volume up 300, volume down" : ohms where somebody measured them. */
    private Object ladder(String field) {
        Map<String, Object> keys = new LinkedHashMap<>();
        for (String key : words(field)) {
            Matcher m = KEY.matcher(key);
            if (!m.matches()) keys.put(key, "unknown");
            else
                keys.put(
                        m.group(1), Double.parseDouble(m.group(2).replace(',', '.')) * (m.group(3) == null ? 1 : 1000));
        }
        return keys;
    }

    private Map<String, Object> numbers() {
        Map<String, Object> numbers = new LinkedHashMap<>();
        typed.forEach((name, value) -> {
            if (!name.startsWith("num.") || value.isBlank()) return;
            String number = value.strip().replace(',', '.');
            if (number.matches("-?\\d{1,7}(\\.\\d{1,4})?")) numbers.put(name.substring("num.".length()), plain(number));
            else
                numbers.put(
                        name.substring("num.".length()),
                        value.contains(",") ? Arrays.asList(value.strip().split("\\s*,\\s*")) : value.strip());
        });
        return numbers;
    }

    private List<String> otherwise() {
        return typed.entrySet().stream()
                .filter(e -> e.getKey().startsWith(OTHERWISE) && !e.getValue().isBlank())
                .map(e -> e.getKey().substring(OTHERWISE.length()))
                .sorted()
                .toList();
    }

    private static Object plain(String number) {
        return number.contains(".") ? (Object) Double.valueOf(number) : Integer.valueOf(number);
    }

    private String at(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    private boolean has(String field) {
        return !at(field).isEmpty();
    }

    private Optional<String> text(String field) {
        return Optional.of(at(field)).filter(t -> !t.isEmpty());
    }

    private List<String> words(String field) {
        return Typed.words(typed, field);
    }

    private Optional<Object> number(String field) {
        String text = at(field).replace(',', '.');
        if (text.isEmpty()) return Optional.empty();
        if (text.matches("\\d{1,7}(\\.\\d{1,2})?")) return Optional.of(plain(text));
        faults.add(new InputProblem(field, "\"%s\" is no number; type one such as 12.50.".formatted(at(field))));
        return Optional.empty();
    }

    // --- the other way

    /** A short sheet as it would be typed. */
    static Map<String, String> typed(Map<?, ?> sheet) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (String field : List.of(
                "id", "name", "make", "model", "trim", "opening", "size", "mount", "part", "price", "minutes", "cuts"))
            put(typed, field, sheet.get(field));
        if (sheet.get("years") instanceof List<?> years) put(typed, "years", years(years));
        for (String list : List.of("buttons", "vehicles", "finishes")) put(typed, list, joined(sheet.get(list), ", "));
        if (sheet.get("otherwise") instanceof List<?> ids) ids.forEach(id -> typed.put(OTHERWISE + id, YES));
        FitFields.typed(sheet.get("fits"), typed);
        flag(typed, "north america", sheet.get("north america"));
        flag(typed, "stays", sheet.get("factory radio stays"));
        flag(typed, "bare", sheet.get("bare") != null);
        put(typed, "leads", joined(sheet.get("leads"), "\n"));
        if (sheet.get("RCA") instanceof List<?> pairs) pairs.forEach(p -> typed.put("rca." + p, YES));
        if (sheet.get("holds") instanceof Map<?, ?> holds) {
            put(typed, "holds.opening", holds.get("opening"));
            put(typed, "holds.radio", holds.get("radio"));
        }
        if (sheet.get("ratings") instanceof Map<?, ?> ratings)
            ratings.forEach((k, v) -> put(typed, "rating." + k, number(v)));
        if (sheet.get("paper") instanceof Map<?, ?> paper)
            put(
                    typed,
                    "paper",
                    paper.entrySet().stream()
                            .map(e -> e.getKey() + " = " + e.getValue())
                            .collect(Collectors.joining(", ")));
        if (sheet.get("has") instanceof Map<?, ?> has) has.forEach((k, v) -> answer(typed, (String) k, v));
        if (sheet.get("numbers") instanceof Map<?, ?> numbers)
            numbers.forEach((k, v) -> put(typed, "num." + k, v instanceof List<?> ? joined(v, ", ") : number(v)));
        if (sheet.get("source") instanceof Map<?, ?> source) {
            put(typed, "from", source.get("from"));
            put(typed, "by", source.get("by"));
        }
        typedPlugs(sheet, typed);
        Map<String, Object> rest = new LinkedHashMap<>();
        sheet.forEach((k, v) -> {
            if (!SHOWN.contains(k)) rest.put((String) k, v);
        });
        if (!rest.isEmpty()) typed.put("rest", Json.write(rest));
        return typed;
    }

    private static void typedPlugs(Map<?, ?> sheet, Map<String, String> typed) {
        if (!(sheet.get("plugs") instanceof Map<?, ?> plugs)) return;
        int[] i = {0};
        plugs.forEach((id, said) -> {
            int n = i[0]++;
            put(typed, "plug" + n, id);
            if (!(said instanceof Map<?, ?> plug)) {
                put(typed, "lines" + n, onLines(said));
                return;
            }
            for (String field : List.of("family", "size", "partner", "in")) put(typed, field + n, plug.get(field));
            if (plug.get("socket") instanceof Boolean socket) typed.put("half" + n, socket ? "socket" : "plug");
            flag(typed, "cut" + n, plug.get("cut"));
            put(typed, "lines" + n, onLines(plug.get("positions")));
            if (plug.get("access") instanceof Map<?, ?> access) {
                for (String field : List.of("place", "route", "minutes", "mate"))
                    put(typed, field + n, access.get(field));
                flag(typed, "optional" + n, access.get("optional"));
            }
        });
    }

    /** One lead a line: the colours in brackets of a set stay together. */
    private static String onLines(Object positions) {
        return joined(positions, "\n").replaceAll(", (?=\\d{1,3}[ -])", "\n");
    }

    static String years(List<?> years) {
        if (years.get(0).equals(years.get(1))) return String.valueOf(years.get(0));
        return years.get(1).equals(Years.OPEN_END) ? years.get(0) + " on" : years.get(0) + "-" + years.get(1);
    }

    private static void answer(Map<String, String> typed, String name, Object said) {
        if (name.startsWith("ladder")) typed.put(name, ladderText(said));
        else if (name.equals("line outputs") && Boolean.TRUE.equals(said))
            List.of("front", "rear").forEach(p -> typed.put("has." + name + "." + p, YES));
        else if (said instanceof List<?> several) several.forEach(s -> typed.put("has." + name + "." + s, YES));
        else put(typed, "has." + name, said instanceof Boolean b ? (b ? YES : "no") : said);
    }

    private static String ladderText(Object said) {
        if (said instanceof List<?> keys) return joined(keys, ", ");
        return ((Map<?, ?>) said)
                .entrySet().stream()
                        .map(e -> e.getValue() instanceof Number n ? e.getKey() + " " + number(n) : (String) e.getKey())
                        .collect(Collectors.joining(", "));
    }

    private static void flag(Map<String, String> typed, String field, Object said) {
        if (Boolean.TRUE.equals(said)) typed.put(field, YES);
    }

    private static void put(Map<String, String> typed, String field, Object said) {
        if (said != null && !said.toString().isEmpty()) typed.put(field, number(said));
    }

    private static String number(Object said) {
        return said instanceof Double d && d == Math.rint(d) ? String.valueOf(Math.round(d)) : String.valueOf(said);
    }

    private static String joined(Object list, String by) {
        return list instanceof List<?> l
                ? l.stream().map(LinesForm::number).collect(Collectors.joining(by))
                : list == null ? "" : list.toString();
    }
}
