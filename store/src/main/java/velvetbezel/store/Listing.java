package velvetbezel.store;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Sheet;

/**
 * One line of a shelf: what lists and searches need to know.
 *
 * @param type     a part's kind, a vehicle's audio system; empty for a radio
 * @param families plug families it mates by
 * @param opening  the opening it has or fills, the size of a radio
 * @param carries  lead roles it carries or makes
 * @param stock    pieces in the workshop; empty where nobody keeps count
 * @param days     to wait when it is not in stock
 * @param fits     vehicles it is made for; empty where its plugs and opening decide
 * @param buildable whether its positions are known, so that it can go into an installation
 */
public record Listing(
        String id,
        String kind,
        String name,
        String maker,
        String type,
        List<String> families,
        String opening,
        List<String> carries,
        Optional<Long> priceCents,
        Optional<Integer> stock,
        Optional<Integer> days,
        boolean buildable,
        List<String> fits) {
    public Listing {
        families = List.copyOf(families);
        carries = List.copyOf(carries);
        fits = List.copyOf(fits);
    }

    static Listing of(Sheet sheet) {
        if (sheet instanceof Sheet.Vehicle v)
            return new Listing(
                    v.id(),
                    "vehicle",
                    v.name(),
                    v.make(),
                    v.amplified() ? "amplified" : "plain",
                    families(v.car()),
                    v.opening().label(),
                    carries(v.car()),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    true,
                    List.of());
        String maker = sheet.name().contains(" ")
                ? sheet.name().substring(0, sheet.name().indexOf(' '))
                : sheet.name();
        if (sheet instanceof Sheet.Radio r)
            return new Listing(
                    r.id(),
                    "radio",
                    r.name(),
                    maker,
                    "",
                    families(r.device()),
                    r.size().label(),
                    carries(r.device()),
                    r.priceCents(),
                    Optional.empty(),
                    Optional.empty(),
                    true,
                    List.of());
        Sheet.Part p = (Sheet.Part) sheet;
        return new Listing(
                p.id(),
                "part",
                p.name(),
                maker,
                p.kind().label(),
                p.device().map(Listing::families).orElse(List.of()),
                p.holds().map(h -> h.opening().label()).orElse(""),
                p.device().map(Listing::carries).orElse(List.of()),
                p.priceCents(),
                Optional.empty(),
                Optional.empty(),
                true,
                p.vehicles());
    }

    private static List<String> families(Device d) {
        return d.plugs().stream().map(Plug::family).distinct().toList();
    }

    private static List<String> carries(Device d) {
        return Stream.concat(
                        d.leads().stream().flatMap(l -> l.role().stream()),
                        d.plugs().stream()
                                .flatMap(p -> p.positions().stream())
                                .map(Position::role)
                                .flatMap(Optional::stream))
                .distinct()
                .sorted()
                .map(LeadRole::label)
                .toList();
    }

    /** By name, without what is not the sheet's: stock and days. */
    Map<String, Object> values() {
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("kind", kind);
        values.put("name", name);
        values.put("maker", maker);
        values.put("type", type);
        values.put("families", families);
        values.put("opening", opening);
        values.put("carries", carries);
        priceCents.ifPresent(c -> values.put("price", c));
        values.put("words", words());
        values.put("fits", fits);
        return values;
    }

    /** What is searched; a blank stands before each word, the first included. */
    String words() {
        return SearchWords.column(List.of(id, name, maker, type, opening, String.join(" ", families)));
    }
}
