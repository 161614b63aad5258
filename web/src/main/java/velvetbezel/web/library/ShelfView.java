package velvetbezel.web.library;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.Library;

/** A list of sheets of one kind. @param imported what the last import did, if there was one */
public record ShelfView(String shelf, String heading, List<Row> rows, List<String> columns, Optional<Library.Imported> imported, List<Fault> faults) {
    public record Row(String id, String name, List<String> cells) {}

    static ShelfView of(String shelf, Library library, Optional<Library.Imported> imported, List<Fault> faults) {
        String kind = shelf.substring(0, shelf.length() - 1);
        List<Row> rows = library.entries(kind).stream().flatMap(e -> library.find(e.id()).stream()).flatMap(d -> d.sheet().stream()).map(ShelfView::row).toList();
        List<String> columns = switch (kind) {
            case "vehicle" -> List.of("Trim", "Years", "Opening", "Audio system", "Plugs");
            case "radio" -> List.of("Size", "Price", "Plugs");
            default -> List.of("Kind", "Price", "Minutes", "Plugs");
        };
        String count = rows.size() == 1 ? "One " + kind : "%d %s".formatted(rows.size(), shelf);
        return new ShelfView(shelf, rows.isEmpty() ? "No %s yet".formatted(shelf) : count, rows, columns, imported, faults);
    }

    private static Row row(Sheet sheet) {
        if (sheet instanceof Sheet.Vehicle v)
            return new Row(v.id(), v.name(), List.of(v.trim(), "%d to %d".formatted(v.fromYear(), v.toYear()), v.opening().label(), v.amplified() ? "amplified" : "plain", families(v.car().plugs())));
        if (sheet instanceof Sheet.Radio r) return new Row(r.id(), r.name(), List.of(r.size().label(), money(r.priceCents()), families(r.device().plugs())));
        Sheet.Part p = (Sheet.Part) sheet;
        return new Row(p.id(), p.name(), List.of(p.kind().label(), money(p.priceCents()), String.valueOf(p.minutes()), p.device().map(d -> families(d.plugs())).orElse("—")));
    }

    private static String families(List<Plug> plugs) { return String.join(", ", plugs.stream().map(Plug::family).distinct().toList()); }

    static String money(long cents) { return String.format(Locale.ROOT, "%.2f", cents / 100.0); }
}
