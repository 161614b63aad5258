package velvetbezel.web.library;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import velvetbezel.draft.Archetype;
import velvetbezel.draft.Attempt;
import velvetbezel.draft.Choosing;
import velvetbezel.draft.Expander;
import velvetbezel.draft.Expansion;
import velvetbezel.draft.Nearest;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Joint;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.PlugFamily;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.store.Document;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.Shelves;
import velvetbezel.store.StandardArchetypes;
import velvetbezel.units.WireColour;
import velvetbezel.web.shell.Today;

/** Sheets typed in lines: what comes of them while they are typed, and their saving. */
@Service
public class Lines {
    private static final String NOTHING_PLAYS = "no function yet: nothing plays";
    private final Library library;
    private final Shelves shelves;
    private final Clock clock;

    Lines(Library library, Shelves shelves, Clock clock) {
        this.library = library;
        this.shelves = shelves;
        this.clock = clock;
    }

    /** The fields of a sheet of which nothing is typed yet. */
    public Map<String, String> blank(String kind) {
        return LinesView.blank(kind);
    }

    /** What a button of the page makes of the fields. @param then "copy" the car's plug, "plug" one more */
    public Map<String, String> changed(Map<String, String> typed, String then) {
        if (then.equals("copy")) return copied(typed);
        Map<String, String> more = new LinkedHashMap<>(typed);
        if (then.equals("plug")) more.put("plug" + LinesView.plugs(typed), "");
        return more;
    }

    /** @param refused why it was not saved; empty while it is typed */
    public LinesView view(
            String kind, String action, String heading, Map<String, String> given, List<InputProblem> refused) {
        List<InputProblem> faults = new ArrayList<>();
        Map<String, String> typed = applied(kind, given);
        Attempt attempt = attempt(kind, typed, "", faults);
        return new LinesView(
                kind,
                action,
                heading,
                typed,
                LinesView.rows(typed, attempt.faces(), this::family),
                LinesView.look(kind, typed, attempt, told(kind, typed, attempt)),
                refused,
                kind.equals("part") ? library.entries("vehicle") : List.of(),
                carPlugs(typed),
                shelves.facets("vehicle").families());
    }

    private List<String> carPlugs(Map<String, String> typed) {
        return vehicle(typed.getOrDefault("car", "")).stream()
                .flatMap(v -> v.car().plugs().stream())
                .map(Plug::id)
                .toList();
    }

    /**
     * What was typed with answers and numbers that hang on something; the others are kept aside until what they hung on
     * is typed again.
     */
    private Map<String, String> applied(String kind, Map<String, String> given) {
        Map<String, String> all = new LinkedHashMap<>();
        given.forEach((k, v) -> all.merge(
                k.startsWith(LinesView.KEPT) ? k.substring(LinesView.KEPT.length()) : k,
                v,
                (a, b) -> a.isBlank() ? b : a));
        Expansion made = attempt(kind, all, "", new ArrayList<>()).expansion();
        Set<String> asked = made.open().stream().map(Choosing::id).collect(Collectors.toSet());
        Set<String> numbers = made.behind().stream()
                .flatMap(a -> a.params().stream())
                .map(Archetype.Param::name)
                .collect(Collectors.toSet());
        Map<String, String> applied = new LinkedHashMap<>();
        all.forEach((k, v) -> {
            boolean answer = kind.equals("vehicle") && k.startsWith("has.") && !asked.contains(k.split("\\.")[1]);
            boolean struck = k.startsWith(LinesForm.OTHERWISE)
                    && made.struck().stream().noneMatch(a -> k.equals(LinesForm.OTHERWISE + a.id()));
            boolean number = k.startsWith("num.") && !numbers.contains(k.substring("num.".length()));
            applied.put((answer || number || struck) && !v.isBlank() ? LinesView.KEPT + k : k, v);
        });
        return applied;
    }

    private Attempt attempt(String kind, Map<String, String> typed, String who, List<InputProblem> faults) {
        Map<String, Object> tree = LinesForm.tree(kind, typed, source(typed, who), faults);
        Attempt attempt = Expander.attempt(tree, StandardArchetypes.all());
        faults.addAll(attempt.faults());
        return attempt;
    }

    private Map<String, Object> source(Map<String, String> typed, String who) {
        Map<String, Object> source = new LinkedHashMap<>();
        source.put("from", typed.getOrDefault("from", "printed"));
        source.put(
                "by",
                typed.getOrDefault("by", "").isBlank() ? who : typed.get("by").strip());
        source.put("date", Today.at(clock).toString());
        if (source.get("by").equals("")) source.remove("by");
        return source;
    }

    /** What is known of a face, from any car that has such a plug. */
    private Optional<PlugFamily> family(Plug plug) {
        return library.family(plug.family())
                .filter(f -> f.rows().stream().mapToInt(List::size).sum() == plug.size());
    }

    /** The functions of a car, or the joints that a part would give. */
    private List<String> told(String kind, Map<String, String> typed, Attempt attempt) {
        if (!attempt.faults().isEmpty()) return List.of();
        try {
            Sheet sheet = SheetReader.read(attempt.tree());
            if (sheet instanceof Sheet.Vehicle v) return functions(v);
            return sheet instanceof Sheet.Part p ? joints(p, typed) : List.of();
        } catch (InvalidInput e) {
            return e.faults().stream().map(f -> f.field() + ": " + f.message()).toList();
        }
    }

    private List<String> functions(Sheet.Vehicle v) {
        List<String> names = Outcomes.fulfilled(Builder.factory(v), library.catalogue()).stream()
                .flatMap(f -> library.catalogue().find(f).stream())
                .map(f -> f.name().toLowerCase(Locale.ROOT))
                .toList();
        return names.isEmpty() ? List.of(NOTHING_PLAYS) : names;
    }

    /** With the first radio on the shelf: what meets what at the bench, beside the car that it was typed for. */
    private List<String> joints(Sheet.Part part, Map<String, String> typed) {
        Optional<Sheet.Vehicle> car = vehicle(typed.getOrDefault("car", ""));
        Optional<Sheet.Radio> radio =
                library.radios().stream().filter(r -> !r.screen()).findFirst();
        if (car.isEmpty() || radio.isEmpty()) return List.of();
        Installation installation = Builder.replacement(car.get(), radio.get(), List.of(part));
        List<String> words = new ArrayList<>();
        installation.faults().forEach(f -> words.add(f.message()));
        for (Joint joint : installation.joints()) words.add(joint(installation, joint));
        installation.caps().stream()
                .filter(c -> c.lead().instance().equals(part.id()))
                .forEach(c -> words.add("capped: "
                        + c.role().map(LeadRole::label).orElse(c.lead().name())));
        return words;
    }

    private static String joint(Installation installation, Joint joint) {
        return "%s: %s"
                .formatted(
                        joint.id().role().label(),
                        joint.leads().stream()
                                .sorted(Comparator.comparing(t -> !t.instance().equals(Builder.RADIO)))
                                .map(t -> "%s %s"
                                        .formatted(
                                                t.instance().equals(Builder.RADIO) ? "radio" : "part",
                                                colour(installation, t)))
                                .collect(Collectors.joining(" + ")));
    }

    private static String colour(Installation installation, TerminalId lead) {
        return installation
                .terminal(lead)
                .colour()
                .known()
                .map(WireColour::words)
                .orElse("in a colour not known");
    }

    Optional<Sheet.Vehicle> vehicle(String id) {
        return library.find(id)
                .flatMap(Document::sheet)
                .filter(Sheet.Vehicle.class::isInstance)
                .map(Sheet.Vehicle.class::cast);
    }

    /** The positions of a plug of a car, for a part that plugs into it: what each carries. */
    public Map<String, String> copied(Map<String, String> typed) {
        Map<String, String> copy = new LinkedHashMap<>(typed);
        vehicle(typed.getOrDefault("car", ""))
                .flatMap(v -> v.car().plug(typed.getOrDefault("carplug", "")))
                .ifPresent(plug -> {
                    int row = freeRow(typed);
                    copy.put("plug" + row, plug.id());
                    copy.put("family" + row, plug.family());
                    copy.put("size" + row, String.valueOf(plug.size()));
                    copy.put("half" + row, plug.socket() ? "plug" : "socket");
                    copy.put(
                            "lines" + row,
                            plug.positions().stream()
                                    .filter(p -> !p.empty())
                                    .map(p -> line(p, typed))
                                    .collect(Collectors.joining("\n")));
                });
        return copy;
    }

    /**
     * A part of bare leads for every plug at the radio's place of a car, in the common code: the tails of a scrapped
     * harness, or made by hand.
     *
     * @return its id; the part that is there already, where there is one
     */
    public String bareLeads(String vehicle, String who) {
        Sheet.Vehicle car = vehicle(vehicle).orElseThrow(() -> new InvalidInput("vehicle", "Choose the car first."));
        String id = ("bare-" + car.id())
                .substring(0, Math.min(60, ("bare-" + car.id()).length()))
                .replaceAll("-$", "");
        if (library.find(id).isPresent()) return id;
        Map<String, String> typed = new LinkedHashMap<>(LinesView.blank("part"));
        typed.putAll(Map.of("id", id, "name", "Bare leads for the " + car.name(), "car", car.id(), "from", "stated"));
        for (Plug plug : car.car().plugs())
            if (plug.access().isEmpty() && plug.positions().stream().anyMatch(Lines::endsBare)) {
                typed.put("carplug", plug.id());
                typed = copied(typed);
            }
        return make("part", typed, who);
    }

    private static boolean endsBare(Position p) {
        return p.role().filter(r -> r.group() != LeadRole.Group.PLUGGED).isPresent();
    }

    private static int freeRow(Map<String, String> typed) {
        int row = 0;
        while (!typed.getOrDefault("lines" + row, "").isBlank()) row++;
        return row;
    }

    /** Line-level positions go on to the RCA plugs that were asked for. */
    private static String line(Position p, Map<String, String> typed) {
        String role = p.role().map(LeadRole::label).orElse("unknown");
        String to = "";
        if (role.startsWith("line ") && (role.endsWith("+") || role.endsWith("−")))
            to = typed.getOrDefault(role.contains(" front ") ? "rca.front" : "rca.rear", "")
                            .isBlank()
                    ? ""
                    : " > RCA" + role.substring("line".length());
        if (role.equals(LeadRole.LINE_COMMON.label())) to = returns(typed);
        return p.number() + " " + role + to;
    }

    private static String returns(Map<String, String> typed) {
        String all = Stream.of("front", "rear")
                .filter(pair -> !typed.getOrDefault("rca." + pair, "").isBlank())
                .flatMap(pair -> Stream.of("left", "right").map(side -> "RCA %s %s −".formatted(pair, side)))
                .collect(Collectors.joining(" + "));
        return all.isEmpty() ? "" : " > " + all;
    }

    /** @throws InvalidInput with every fault; nothing is written then */
    public String make(String kind, Map<String, String> typed, String who) {
        Map<String, Object> tree = sound(kind, typed, who);
        String id =
                (String) Expander.expand(tree, StandardArchetypes.all()).tree().get("id");
        if (library.find(id).isPresent())
            throw new InvalidInput("id", "\"%s\" is taken; give this one another name or id.".formatted(id));
        library.take(Map.of("this page", Json.write(tree)), who);
        return id;
    }

    /** @throws InvalidInput with every fault; nothing is written then */
    void change(String id, String kind, Map<String, String> typed, int seen, String who) {
        Map<String, Object> tree = sound(kind, typed, who);
        tree.put("id", id);
        library.change(id, who, "Typed in lines", seen, before -> tree);
    }

    private Map<String, Object> sound(String kind, Map<String, String> given, String who) {
        Map<String, String> typed = applied(kind, given);
        List<InputProblem> faults = new ArrayList<>();
        Attempt attempt = attempt(kind, typed, who, faults);
        for (String list : List.of("vehicles", "fits.vehicles"))
            unknownSheets(list, typed).forEach(faults::add);
        if (!faults.isEmpty()) {
            Set<String> told = faults.stream().map(InputProblem::field).collect(Collectors.toSet());
            Document.faults(attempt).stream()
                    .filter(f -> !told.contains(f.field()))
                    .forEach(faults::add);
            throw new InvalidInput(faults.stream().distinct().toList());
        }
        return LinesForm.tree(kind, typed, source(typed, who), new ArrayList<>());
    }

    /** Sheets that a part names and nobody has. */
    private Stream<InputProblem> unknownSheets(String field, Map<String, String> typed) {
        List<String> named = Typed.words(typed, field);
        if (named.isEmpty()) return Stream.empty();
        List<String> there =
                library.entries("vehicle").stream().map(Library.Entry::id).toList();
        return named.stream()
                .filter(v -> !there.contains(v))
                .map(v -> new InputProblem(
                        field,
                        "\"%s\" is the id of no vehicle sheet here; near: %s.".formatted(v, Nearest.to(v, there))));
    }

    Map<String, String> typed(String id) {
        return LinesForm.typed((Map<?, ?>) library.typed(id));
    }

    int revision(String id) {
        return library.revision(id);
    }
}
