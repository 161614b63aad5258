package velvetbezel.web.library;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.drawing.Shapes;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Geometry;
import velvetbezel.sheet.Lead;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Mate;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.Document;
import velvetbezel.store.Library;
import velvetbezel.store.Listing;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/** One sheet: its facts, its plugs position by position, its leads. */
public record SheetView(
        String id,
        String name,
        String shelf,
        String source,
        List<Line> facts,
        List<Table> tables,
        List<Sheet.Caution> cautions,
        String lacks,
        boolean wired,
        int revision,
        List<Past> past,
        List<Other> others) {
    /** A change, and the revision it made way for. */
    public record Past(int revision, String when, String who, String what) {}

    /** A sheet of the same kind, to compare with. */
    public record Other(String id, String name) {}

    public record Line(String name, String value) {}

    private static final int MOST_OTHERS = 500;
    private static final DateTimeFormatter WHEN =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    /** A plug, or the bare leads of a device. */
    public record Table(String heading, List<Wire> wires) {}

    /** @param colour drawn and named; @param from provenance where it is not the sheet's own */
    public record Wire(
            String place, String role, Shapes.Wire wire, String colour, String gauge, String goes, String from) {}

    /** A part known only from a list: what it lacks to be built. */
    static SheetView unbuildable(Listing l) {
        List<Line> facts = new ArrayList<>(
                List.of(new Line("Kind", l.type()), new Line("Maker", l.maker().isEmpty() ? "not stated" : l.maker())));
        if (!l.opening().isEmpty()) facts.add(new Line("Opening", l.opening()));
        if (!l.families().isEmpty()) facts.add(new Line("Plug family", String.join(", ", l.families())));
        facts.addAll(commerce(l));
        String lacks = l.type().equals("dash kit")
                ? "which opening it fills, which radio it takes, and for which vehicles"
                : "its plugs position by position, its bare leads with role and colour, and what it makes";
        return new SheetView(
                l.id(),
                l.name(),
                l.kind() + "s",
                "",
                facts,
                List.of(),
                List.of(),
                "Not yet buildable: it is known from a list only. It lacks a sheet that says %s.".formatted(lacks),
                false,
                0,
                List.of(),
                List.of());
    }

    private static List<Line> commerce(Listing l) {
        return List.of(new Line("Price", ShelfView.price(l)), new Line("Stock", ShelfView.stock(l)));
    }

    static SheetView of(Document document, Optional<Listing> listing, Library library) {
        Sheet sheet = document.sheet().orElseThrow();
        List<Line> facts = new ArrayList<>();
        List<Table> tables = new ArrayList<>();
        List<Sheet.Caution> cautions = List.of();
        if (sheet instanceof Sheet.Vehicle v) {
            facts.addAll(List.of(
                    new Line("Make and model", v.make() + " " + v.model()),
                    new Line("Trim", v.trim()),
                    new Line("Years", v.fromYear() + " to " + v.toYear()),
                    new Line("Opening", v.opening().label()),
                    new Line("Audio system", v.amplified() ? "amplified" : "plain"),
                    new Line("Steering buttons", String.join(", ", v.buttons())),
                    new Line("Devices", v.devices().stream().map(Device::name).collect(Collectors.joining(", ")))));
            geometry("Opening and room", v.space()).ifPresent(facts::add);
            v.devices().forEach(d -> ratings(d).ifPresent(facts::add));
            if (!v.traits().isEmpty())
                facts.add(new Line(
                        "Told by",
                        v.traits().entrySet().stream()
                                .sorted(Map.Entry.comparingByKey())
                                .map(t -> t.getKey().label() + " " + t.getValue())
                                .collect(Collectors.joining("; "))));
            List<String> has = Outcomes.fulfilled(Builder.factory(v), library.catalogue()).stream()
                    .flatMap(f -> library.catalogue().find(f).stream())
                    .map(f -> f.name().toLowerCase(Locale.ROOT))
                    .toList();
            facts.add(new Line(
                    "Functions",
                    has.isEmpty()
                            ? "no function: nothing plays"
                            : "%d functions: %s".formatted(has.size(), String.join(", ", has))));
            v.car().plugs().forEach(p -> tables.add(plug(sheet, p)));
            cautions = v.cautions();
        } else if (sheet instanceof Sheet.Radio r) {
            facts.addAll(List.of(
                    new Line("Size", r.size().label()),
                    new Line("Held by", r.mount().label()),
                    new Line("Price", r.priceCents().map(ShelfView::money).orElse("not stated"))));
            if (r.screen()) facts.add(new Line("Architecture", "a screen over the factory radio, which stays"));
            geometry("Face and chassis", r.body()).ifPresent(facts::add);
            ratings(r.device()).ifPresent(facts::add);
            device(sheet, r.device(), tables);
        } else {
            Sheet.Part p = (Sheet.Part) sheet;
            facts.addAll(List.of(
                    new Line("Kind", p.kind().label()),
                    new Line("Labour", p.minutes().map(m -> m + " min").orElse("not stated"))));
            if (p.cuts() > 0) facts.add(new Line("Cuts to the car", String.valueOf(p.cuts())));
            listing.ifPresent(l -> facts.addAll(commerce(l)));
            p.holds()
                    .ifPresent(h -> facts.add(new Line(
                            "Holds",
                            "a %s radio in a %s opening"
                                    .formatted(h.radio().label(), h.opening().label()))));
            p.fits().ifPresent(f -> facts.add(new Line("Fit list", f.words())));
            if (!p.vehicles().isEmpty())
                facts.add(new Line("Goes into no other car than", String.join(", ", p.vehicles())));
            if (!p.finishes().isEmpty()) facts.add(new Line("Colours", String.join(", ", p.finishes())));
            geometry("Takes behind the dash", p.takes()).ifPresent(facts::add);
            p.device().flatMap(SheetView::ratings).ifPresent(facts::add);
            p.device().ifPresent(d -> device(sheet, d, tables));
        }
        return new SheetView(
                sheet.id(),
                sheet.name(),
                document.kind() + "s",
                sheet.header().from().toString(),
                facts,
                tables,
                cautions,
                "",
                !(sheet instanceof Sheet.Part p && p.device().isEmpty()),
                library.revision(sheet.id()),
                past(library, sheet.id()),
                library.entries(document.kind()).stream()
                        .filter(e -> !e.id().equals(sheet.id()))
                        .limit(MOST_OTHERS)
                        .map(e -> new Other(e.id(), e.name()))
                        .toList());
    }

    /** What a sheet, or the tables, were before, newest first. */
    static List<Past> past(Library library, String id) {
        return library.history(id).stream()
                .map(h -> new Past(h.revision(), WHEN.format(h.at()), h.who(), h.what()))
                .toList();
    }

    /** What its maker states it draws and bears; empty where nobody does. */
    private static Optional<Line> ratings(Device d) {
        List<String> known = new ArrayList<>();
        d.ratings().draws().ifPresent(a -> known.add("draws up to " + a));
        d.ratings().leastSpeaker().ifPresent(o -> known.add("speakers of %s and more".formatted(o)));
        d.ratings().lineOut().ifPresent(v -> known.add("line outputs give up to " + v));
        d.ratings().lineIn().ifPresent(v -> known.add("line inputs take up to " + v));
        return known.isEmpty()
                ? Optional.empty()
                : Optional.of(new Line("Ratings, " + d.name(), String.join(", ", known)));
    }

    /** Measures that somebody stated; empty where nobody did. */
    private static Optional<Line> geometry(String name, Geometry g) {
        List<String> known = new ArrayList<>();
        g.width().known().ifPresent(w -> known.add(w + " wide"));
        g.height().known().ifPresent(h -> known.add(h + " high"));
        g.depth().known().ifPresent(d -> known.add(d + " deep"));
        return known.isEmpty() ? Optional.empty() : Optional.of(new Line(name, String.join(", ", known)));
    }

    private static void device(Sheet sheet, Device device, List<Table> tables) {
        if (!device.leads().isEmpty())
            tables.add(new Table(
                    "Bare leads",
                    device.leads().stream().map(l -> wire(sheet, l)).toList()));
        device.plugs().forEach(p -> tables.add(plug(sheet, p)));
    }

    private static Table plug(Sheet sheet, Plug plug) {
        return new Table(
                "%s: %s, %d positions, %s"
                                .formatted(
                                        plug.id().length() == 1 ? "Plug " + plug.id() : plug.id(),
                                        plug.family(),
                                        plug.size(),
                                        plug.socket() ? "socket" : "plug")
                        + plug.access()
                                .map(a -> "; %s, %d min: %s%s%s"
                                        .formatted(
                                                a.place(),
                                                a.minutes(),
                                                a.route(),
                                                a.mate() == Mate.STAYS_MATED ? "; tapped, the plug stays mated" : "",
                                                a.optional() ? "; only where wanted" : ""))
                                .orElse(""),
                plug.positions().stream().map(p -> wire(sheet, p)).toList());
    }

    private static Wire wire(Sheet sheet, Position p) {
        if (p.empty()) return new Wire(p.number(), "empty", null, "", "", "", "");
        String goes = p.to().orElse(p.bare() ? "bare lead" : "");
        return wire(sheet, p.number(), p.roleWords(), p.role(), p.colour(), p.gauge(), goes);
    }

    private static Wire wire(Sheet sheet, Lead l) {
        return wire(
                sheet,
                l.name(),
                l.roleWords(),
                l.role(),
                l.colour(),
                l.gauge(),
                l.flow().word());
    }

    private static Wire wire(
            Sheet sheet,
            String place,
            String words,
            Optional<LeadRole> role,
            Fact<WireColour> colour,
            Fact<Gauge> gauge,
            String goes) {
        boolean loose = role.filter(r -> r.group() == LeadRole.Group.PLUGGED || r.group() == LeadRole.Group.LINE)
                .isEmpty();
        boolean drawn = loose || colour.known().isPresent();
        return new Wire(
                place,
                words,
                drawn ? Shapes.Wire.of("M1 6H33", colour, place, words(colour)) : null,
                drawn ? words(colour) : "",
                gauge instanceof Fact.Known<Gauge> g
                        ? "AWG %d%s"
                                .formatted(
                                        g.value().nearestAwg(),
                                        g.from().origin() == Provenance.Origin.ASSUMED ? " assumed" : "")
                        : "",
                goes,
                from(sheet, colour));
    }

    private static String words(Fact<WireColour> colour) {
        if (colour instanceof Fact.Known<WireColour> known) return known.value().words();
        Fact.Missing<WireColour> missing = (Fact.Missing<WireColour>) colour;
        return missing.conflicting()
                ? missing.claims().stream().map(c -> c.value().words()).collect(Collectors.joining(" or "))
                : "not stated";
    }

    private static String from(Sheet sheet, Fact<WireColour> colour) {
        if (colour instanceof Fact.Known<WireColour> known)
            return known.from().equals(sheet.header().from())
                    ? ""
                    : known.from().toString();
        return ((Fact.Missing<WireColour>) colour).conflicting()
                ? Optional.of((Fact.Missing<WireColour>) colour).get().claims().stream()
                        .map(c -> c.from().toString())
                        .collect(Collectors.joining(" against "))
                : "";
    }
}
