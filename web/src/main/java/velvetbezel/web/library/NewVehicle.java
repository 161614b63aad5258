package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import velvetbezel.draft.Pinout;
import velvetbezel.draft.ShortLead;
import velvetbezel.draft.ShortLines;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/** The form of a new vehicle: what was typed, plug by plug, and what is wrong with it. */
public record NewVehicle(Map<String, String> typed, List<PlugRow> plugs, List<Fault> faults) {
    private static final List<String> FIRST_PLUGS = List.of("A", "B", "antenna");
    private static final int MOST_PLUGS = 12;
    private static final int MOST_POSITIONS = 60;

    /**
     * @param lines  empty until the positions are laid out
     * @param text   the plug as typed in lines, as far as it is not laid out
     * @param unread words of it that are not read, each with what it could be
     */
    public record PlugRow(
            int number, String id, String family, String size, List<Row> lines, String text, List<Unread> unread) {}

    /** @param before what stands before it in the text, for finding it */
    public record Unread(String before, String words, String why) {}

    /** @param fault what is wrong at this position, or empty text */
    public record Row(int position, String role, String colour, String gauge, String fault) {}

    static NewVehicle empty() {
        List<PlugRow> plugs = new ArrayList<>();
        for (String id : FIRST_PLUGS)
            plugs.add(new PlugRow(
                    plugs.size(),
                    id,
                    id.equals("antenna") ? "DIN antenna" : "",
                    id.equals("antenna") ? "2" : "",
                    List.of(),
                    "",
                    List.of()));
        return new NewVehicle(Map.of("opening", Opening.ONE_DIN.label(), "from", "printed"), plugs, List.of());
    }

    /** The pinout of a sister model or trim, to be changed where the paper differs. */
    static NewVehicle like(Sheet.Vehicle v) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("make", v.make());
        typed.put("model", v.model());
        typed.put("trim", "");
        typed.put("first year", String.valueOf(v.fromYear()));
        typed.put("last year", String.valueOf(v.toYear()));
        typed.put("opening", v.opening().label());
        typed.put("buttons", String.join(", ", v.buttons()));
        if (v.northAmerica()) typed.put("north america", "yes");
        typed.put("from", "assumed");
        typed.put("by", "sister: " + v.name());
        List<Plug> plugs = v.car().plugs();
        for (int i = 0; i < plugs.size(); i++) {
            Plug plug = plugs.get(i);
            typed.put("plug" + i, plug.id());
            typed.put("family" + i, plug.family());
            typed.put("size" + i, String.valueOf(plug.size()));
            for (Position p : plug.positions()) {
                String place = i + "." + p.number();
                typed.put("role" + place, p.role().map(LeadRole::label).orElse(""));
                typed.put(
                        "colour" + place,
                        p.colour().known().map(WireColour::words).orElse(""));
                typed.put("gauge" + place, gauge(p));
            }
        }
        return of(typed, false, List.of());
    }

    /** What is only assumed is assumed again. */
    private static String gauge(Position p) {
        return p.gauge() instanceof Fact.Known<Gauge> g && g.from().origin() != Provenance.Origin.ASSUMED
                ? String.valueOf(g.value().nearestAwg())
                : "";
    }

    /** @param more one more plug than was typed */
    static NewVehicle of(Map<String, String> given, boolean more, List<Fault> faults) {
        Map<String, String> typed = new LinkedHashMap<>(given);
        for (int i = 0; i < MOST_PLUGS; i++) layOut(typed, i);
        int count = (int) IntStream.range(0, MOST_PLUGS)
                .filter(i -> typed.containsKey("plug" + i))
                .count();
        List<PlugRow> plugs = new ArrayList<>(
                IntStream.range(0, count).mapToObj(i -> row(typed, i, faults)).toList());
        if (more && plugs.size() < MOST_PLUGS)
            plugs.add(new PlugRow(plugs.size(), "", "", "", List.of(), "", List.of()));
        return new NewVehicle(typed, plugs, faults);
    }

    private static PlugRow row(Map<String, String> typed, int i, List<Fault> faults) {
        String id = at(typed, "plug" + i);
        String family = at(typed, "family" + i);
        int size = size(at(typed, "size" + i)).orElse(0);
        boolean antenna = family.toLowerCase(Locale.ROOT).endsWith("antenna") && size == 2;
        List<Row> lines = IntStream.rangeClosed(1, size)
                .mapToObj(n -> {
                    String usual = antenna && !typed.containsKey("role" + i + "." + n)
                            ? n == 1 ? LeadRole.ANTENNA.label() : LeadRole.ANTENNA_SHIELD.label()
                            : "";
                    String fault = faults.stream()
                            .filter(f -> f.field().startsWith("plugs[%s].positions[position %d]".formatted(id, n)))
                            .map(Fault::message)
                            .findFirst()
                            .orElse("");
                    return new Row(
                            n,
                            typed.getOrDefault("role" + i + "." + n, usual),
                            at(typed, "colour" + i + "." + n),
                            at(typed, "gauge" + i + "." + n),
                            fault);
                })
                .toList();
        String text = typed.getOrDefault("lines" + i, "");
        return new PlugRow(
                i,
                id,
                family,
                at(typed, "size" + i),
                family.isEmpty() ? List.of() : lines,
                text,
                unread(ShortLines.read(text), text));
    }

    /** What was typed in lines goes to its positions; the text stays where something of it is not read. */
    private static void layOut(Map<String, String> typed, int plug) {
        String text = typed.getOrDefault("lines" + plug, "");
        if (text.isBlank()) return;
        ShortLines.Read read = ShortLines.read(text);
        int last = 0;
        for (ShortLead lead : read.leads()) {
            if (lead.position().isEmpty()) continue;
            int n = lead.position().getAsInt();
            last = Math.max(last, n);
            String place = plug + "." + n;
            typed.put("role" + place, lead.role().map(LeadRole::label).orElse(""));
            typed.put("colour" + place, lead.colour().map(WireColour::words).orElse(""));
            typed.put(
                    "gauge" + place,
                    lead.size()
                            .filter(s -> s.matches(".*\\d.*"))
                            .map(s -> s.replace(" AWG", ""))
                            .orElse(""));
        }
        if (last > size(at(typed, "size" + plug)).orElse(0)) typed.put("size" + plug, String.valueOf(last));
        if (unread(read, text).isEmpty()) typed.remove("lines" + plug);
    }

    private static List<Unread> unread(ShortLines.Read read, String text) {
        List<Unread> unread = new ArrayList<>();
        for (ShortLines.Unread u : read.unread())
            unread.add(new Unread(
                    text.substring(lineStart(text, u.from()), u.from()).strip(), u.words(), u.why()));
        for (ShortLead lead : read.leads())
            if (lead.position().isEmpty())
                unread.add(new Unread("", lead.text(), "has no position; write its number before it."));
            else if (lead.guessed() || lead.state() != LeadState.USED || lead.gives())
                unread.add(new Unread(
                        "", lead.text(), "is laid out as a used wire of this role; say the rest on the sheet."));
        return unread;
    }

    private static int lineStart(String text, int at) {
        return Math.max(text.lastIndexOf('\n', at - 1), text.lastIndexOf(',', at - 1)) + 1;
    }

    private static String at(Map<String, String> typed, String name) {
        return typed.getOrDefault(name, "").strip();
    }

    private static Optional<Integer> size(String text) {
        return text.matches("\\d{1,2}") && Integer.parseInt(text) >= 1 && Integer.parseInt(text) <= MOST_POSITIONS
                ? Optional.of(Integer.parseInt(text))
                : Optional.empty();
    }

    public String value(String name) {
        return typed.getOrDefault(name, "");
    }

    public List<String> openings() {
        return Opening.labels();
    }

    public List<String> roles() {
        return Arrays.stream(LeadRole.values()).map(LeadRole::label).toList();
    }

    public boolean laidOut() {
        return plugs.stream().anyMatch(p -> !p.lines.isEmpty());
    }

    /** Faults that no position shows. */
    public List<Fault> general() {
        return faults.stream()
                .filter(f -> plugs.stream().flatMap(p -> p.lines.stream()).noneMatch(r -> r.fault.equals(f.message())))
                .toList();
    }

    /** @throws InvalidInput with every field that is missing or cannot be read */
    static Pinout pinout(Map<String, String> typed) {
        List<Fault> faults = new ArrayList<>();
        String make = needed(typed, "make", faults);
        String model = needed(typed, "model", faults);
        String trim = needed(typed, "trim", faults);
        int from = year(typed, "first year", faults);
        int to = year(typed, "last year", faults);
        List<Pinout.PlugLines> plugs = new ArrayList<>();
        for (PlugRow p : of(typed, false, List.of()).plugs) plug(p, plugs, faults);
        if (plugs.isEmpty()) faults.add(new Fault("plugs", "are missing; give at least the plug that carries power."));
        List<String> buttons = NewDevice.words(typed, "buttons");
        List<Double> ladder = NewDevice.words(typed, "ladder").stream()
                .flatMap(o -> ohms(o, faults).stream())
                .toList();
        Opening opening = Opening.find(at(typed, "opening")).orElseGet(() -> {
            faults.add(new Fault(
                    "opening", "\"%s\" is no opening; one of %s.".formatted(at(typed, "opening"), Opening.all())));
            return Opening.ONE_DIN;
        });
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        String name = at(typed, "name").isEmpty()
                ? "%s %s, %d to %d, %s".formatted(make, model, from, to, trim)
                : at(typed, "name");
        String id = at(typed, "id").isEmpty()
                ? NewDevice.id(make + " " + model + " " + from + " " + trim)
                : at(typed, "id");
        return new Pinout(
                id,
                name,
                make,
                model,
                trim,
                from,
                to,
                opening,
                !at(typed, "north america").isEmpty(),
                buttons,
                ladder,
                at(typed, "antenna feed").equals("fed"),
                plugs);
    }

    private static void plug(PlugRow p, List<Pinout.PlugLines> plugs, List<Fault> faults) {
        if (p.family.isEmpty() && p.size.isEmpty()) return;
        String name = p.id.isEmpty() ? "plug " + (p.number + 1) : p.id;
        if (p.id.isEmpty())
            faults.add(new Fault(name, "has no letter or name; give the one that is printed on it, or A, B, C."));
        if (p.family.isEmpty())
            faults.add(new Fault(name, "has no plug family; name the kind of plug, such as ISO 10487 A."));
        if (size(p.size).isEmpty())
            faults.add(new Fault(
                    name,
                    "\"%s\" is no number of positions; a whole number from 1 to %d."
                            .formatted(p.size, MOST_POSITIONS)));
        for (ShortLines.Unread u : ShortLines.read(p.text).unread())
            faults.add(new Fault(name, "\"%s\" %s".formatted(u.words(), u.why())));
        boolean antenna = p.lines.stream()
                .anyMatch(l ->
                        LeadRole.read(l.role).filter(LeadRole.ANTENNA::equals).isPresent());
        plugs.add(new Pinout.PlugLines(
                p.id,
                p.family,
                !antenna,
                size(p.size).orElse(1),
                p.lines.stream()
                        .filter(l -> !l.role.isBlank())
                        .map(l -> new Pinout.Line(l.position, l.role, l.colour, l.gauge))
                        .toList()));
    }

    private static String needed(Map<String, String> typed, String field, List<Fault> faults) {
        if (at(typed, field).isEmpty()) faults.add(new Fault(field, "is missing."));
        return at(typed, field);
    }

    private static int year(Map<String, String> typed, String field, List<Fault> faults) {
        String text = at(typed, field);
        if (text.matches("(19|20)\\d\\d")) return Integer.parseInt(text);
        faults.add(new Fault(field, "\"%s\" is no model year; four digits such as 2009.".formatted(text)));
        return 0;
    }

    private static Optional<Double> ohms(String text, List<Fault> faults) {
        if (text.matches("\\d{1,6}(\\.\\d{1,2})?") && Double.parseDouble(text) > 0)
            return Optional.of(Double.valueOf(text));
        faults.add(new Fault("ladder", "\"%s\" is no resistance; type ohms such as 470.".formatted(text)));
        return Optional.empty();
    }
}
