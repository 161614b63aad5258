package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import velvetbezel.draft.Archetype;
import velvetbezel.draft.Attempt;
import velvetbezel.draft.Choosing;
import velvetbezel.draft.Expansion;
import velvetbezel.draft.Feature;
import velvetbezel.draft.Paper;
import velvetbezel.draft.ShortLines;
import velvetbezel.drawing.PlugDrawing;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Mount;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.PlugFamily;
import velvetbezel.sheet.Provenance;
import velvetbezel.store.Library;
import velvetbezel.store.StandardArchetypes;

/**
 * A sheet that is being typed in lines: its plugs with their faces, and what the program makes of it so far.
 *
 * @param action where it is sent
 * @param refused why it was not saved; empty while it is typed
 */
public record LinesView(
        String kind,
        String action,
        String heading,
        Map<String, String> typed,
        List<PlugRow> plugs,
        Look look,
        List<InputProblem> refused,
        List<Library.Entry> vehicles,
        List<String> carPlugs,
        List<String> families) {
    /** Before the name of an answer or number that hangs on nothing just now. */
    static final String KEPT = "kept.";

    private static final String LINES = "line outputs";
    private static final int LEAST_ROWS = 3;
    private static final List<String> FIRST_PLUGS = List.of("A", "B", "antenna");

    /**
     * @param drawing empty until it has a position
     * @param unread  words of its lines that are not read
     * @param rows    of its field, one more than were typed
     */
    public record PlugRow(int number, Optional<PlugDrawing> drawing, String name, List<Unread> unread, int rows) {}

    /** @param before what stands before it in its line */
    public record Unread(String before, String words, String why) {}

    /** @param chosen empty where nobody said */
    public record Question(
            String id, String asks, Map<String, String> options, boolean several, String start, List<String> chosen) {}

    /** @param value as typed, or empty; @param start what holds otherwise */
    public record Number(String name, String start, String unit, String value) {}

    /** A piece of the catalogue. @param field to say that this car is otherwise; empty where that cannot be said */
    public record Behind(String text, String field, boolean struck) {}

    /** @param functions of a car; joints of a part, in words */
    public record Look(
            Optional<Boolean> enough,
            List<String> stops,
            List<String> open,
            List<Behind> behind,
            List<Question> questions,
            List<Number> numbers,
            List<Feature> features,
            List<String> functions) {}

    /** The fields of a sheet of which nothing is typed yet. */
    static Map<String, String> blank(String kind) {
        Map<String, String> typed = new LinkedHashMap<>(Map.of("from", "printed"));
        if (kind.equals("vehicle"))
            for (int i = 0; i < FIRST_PLUGS.size(); i++) typed.put("plug" + i, FIRST_PLUGS.get(i));
        if (kind.equals("vehicle"))
            typed.putAll(Map.of("family2", "DIN antenna", "lines2", "1 antenna\n2 antenna shield"));
        if (kind.equals("part")) typed.putAll(Map.of("part", PartKind.VEHICLE_HARNESS_ADAPTER.label(), "bare", "yes"));
        return typed;
    }

    /** How many plugs the page shows: those that were typed, and those asked for. */
    static int plugs(Map<String, String> typed) {
        int count = 0;
        for (int i = 0; i < LinesForm.MOST_PLUGS; i++) if (typed.containsKey("plug" + i)) count = i + 1;
        return count;
    }

    static List<PlugRow> rows(
            Map<String, String> typed, List<Plug> faces, Function<Plug, Optional<PlugFamily>> families) {
        Paper paper = Paper.read(typed.getOrDefault("paper", ""), new ArrayList<>());
        List<PlugRow> rows = new ArrayList<>();
        for (int i = 0; i < plugs(typed); i++) {
            String id = typed.getOrDefault("plug" + i, "").strip();
            String name = id.isEmpty() ? "plug " + (i + 1) : id;
            String text = typed.getOrDefault("lines" + i, "");
            Optional<PlugDrawing> drawing = faces.stream()
                    .filter(f -> f.id().equals(name) && !text.isBlank())
                    .findFirst()
                    .map(f -> PlugDrawing.of(f, families.apply(f), PlugFamily.Side.WIRE_SIDE));
            rows.add(new PlugRow(
                    i,
                    drawing,
                    name,
                    unread(text, paper),
                    Math.max(LEAST_ROWS, (int) text.lines().count() + 1)));
        }
        return rows;
    }

    static List<Unread> unread(String text, Paper paper) {
        return ShortLines.read(text, paper).unread().stream()
                .map(u -> new Unread(before(text, u.from()), u.words(), u.why()))
                .toList();
    }

    private static String before(String text, int at) {
        int start = Math.max(text.lastIndexOf('\n', at - 1), text.lastIndexOf(',', at - 1)) + 1;
        return text.substring(start, at).strip();
    }

    static Look look(String kind, Map<String, String> typed, Attempt attempt, List<String> functions) {
        Expansion made = attempt.expansion();
        List<String> stops = attempt.enough()
                .map(e -> e.stops())
                .orElse(attempt.faults().stream()
                        .map(f -> f.field() + ": " + f.message())
                        .toList());
        return new Look(
                attempt.enough().map(e -> e.toPlan()),
                stops,
                attempt.enough().map(e -> e.open()).orElse(List.of()),
                behind(kind, made, numbers(typed)),
                made.open().stream().map(c -> question(c, typed)).toList(),
                numbers(made, typed),
                kind.equals("vehicle") ? List.of() : features(kind),
                functions);
    }

    /** Those that are struck out come last. */
    private static List<Behind> behind(String kind, Expansion made, Map<String, Object> numbers) {
        return Stream.concat(
                        made.behind().stream().map(a -> behind(kind, a, numbers, false)),
                        made.struck().stream().map(a -> behind(kind, a, numbers, true)))
                .distinct()
                .toList();
    }

    private static Behind behind(String kind, Archetype a, Map<String, Object> numbers, boolean struck) {
        return new Behind(a.words(numbers), kind.equals("vehicle") ? LinesForm.OTHERWISE + a.id() : "", struck);
    }

    /** Each pair of line outputs by itself. */
    private static List<Feature> features(String kind) {
        return StandardArchetypes.all().features(kind).stream()
                .flatMap(f -> f.id().equals(LINES)
                        ? Stream.of("front", "rear", "subwoofer")
                                .map(p -> new Feature(LINES + "." + p, "line outputs, " + p))
                        : Stream.of(f))
                .toList();
    }

    private static Map<String, Object> numbers(Map<String, String> typed) {
        Map<String, Object> numbers = new LinkedHashMap<>();
        typed.forEach((k, v) -> {
            if (k.startsWith("num.") && !v.isBlank()) numbers.put(k.substring("num.".length()), v.strip());
        });
        return numbers;
    }

    private static Question question(Choosing c, Map<String, String> typed) {
        List<String> chosen = c.several()
                ? c.options().keySet().stream()
                        .filter(o -> !typed.getOrDefault("has." + c.id() + "." + o, "")
                                .isBlank())
                        .toList()
                : Optional.ofNullable(typed.get("has." + c.id())).filter(t -> !t.isBlank()).stream()
                        .toList();
        return new Question(
                c.id(), c.asks(), c.options(), c.several(), c.options().get(c.start()), chosen);
    }

    /** Everything that may be typed of what was taken, what was typed first. */
    private static List<Number> numbers(Expansion made, Map<String, String> typed) {
        Map<String, Number> numbers = new LinkedHashMap<>();
        for (Archetype a : made.behind())
            for (Archetype.Param p : a.params())
                if (!(p.start() instanceof Map<?, ?> m && m.isEmpty()))
                    numbers.putIfAbsent(
                            p.name(),
                            new Number(p.name(), start(made, p), p.unit(), typed.getOrDefault("num." + p.name(), "")));
        return List.copyOf(numbers.values());
    }

    private static String start(Expansion made, Archetype.Param p) {
        return made.assumed().stream()
                .filter(a -> a.name().equals(p.name()))
                .map(Expansion.AssumedValue::value)
                .findFirst()
                .orElse("");
    }

    /** What was answered or typed and hangs on nothing just now: it comes back when what it hung on does. */
    public Map<String, String> kept() {
        Map<String, String> kept = new LinkedHashMap<>();
        typed.forEach((k, v) -> {
            if (k.startsWith(KEPT) && !v.isBlank()) kept.put(k, v);
        });
        return kept;
    }

    public int leadRows() {
        return Math.max(LEAST_ROWS, (int) value("leads").lines().count() + 1);
    }

    public String value(String field) {
        return typed.getOrDefault(field, "");
    }

    public boolean ticked(String field) {
        return !value(field).isBlank();
    }

    public List<String> openings() {
        return Opening.labels();
    }

    public List<String> kinds() {
        return Arrays.stream(PartKind.values()).map(PartKind::label).toList();
    }

    public List<String> mounts() {
        return Arrays.stream(Mount.values()).map(Mount::label).toList();
    }

    public List<String> origins() {
        return Arrays.stream(Provenance.Origin.values())
                .map(Provenance.Origin::word)
                .toList();
    }
}
