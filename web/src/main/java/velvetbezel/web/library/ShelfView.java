package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.web.util.UriComponentsBuilder;
import velvetbezel.sheet.LeadRole;
import velvetbezel.store.Listing;
import velvetbezel.store.Shelves;

/**
 * Vehicles, radios or parts that answer a search.
 *
 * @param fault what was wrong with the search itself
 */
public record ShelfView(
        String shelf,
        String heading,
        Asked asked,
        List<Filter> filters,
        List<String> columns,
        List<Row> rows,
        String previous,
        String next,
        String fault) {
    static final int PAGE = 50;

    /** What a person asked for, as typed. */
    public record Asked(
            String q,
            String type,
            String family,
            String opening,
            String carries,
            boolean stock,
            boolean buildable,
            String most,
            int page) {
        static final Asked NOTHING = new Asked("", "", "", "", "", false, false, "", 0);

        boolean anything() {
            return !with(0).equals(NOTHING);
        }

        Asked with(int otherPage) {
            return new Asked(q, type, family, opening, carries, stock, buildable, most, otherPage);
        }

        Shelves.Query query(String kind, Optional<Long> cents) {
            return new Shelves.Query(kind, q, type, family, opening, carries, stock, buildable, cents, page);
        }

        String href(String shelf) {
            UriComponentsBuilder uri = UriComponentsBuilder.fromPath("/" + shelf);
            Map<String, String> values = new LinkedHashMap<>();
            values.put("q", q);
            values.put("type", type);
            values.put("family", family);
            values.put("opening", opening);
            values.put("carries", carries);
            values.put("stock", stock ? "on" : "");
            values.put("buildable", buildable ? "on" : "");
            values.put("most", most);
            values.put("page", page == 0 ? "" : String.valueOf(page));
            values.forEach((k, v) -> {
                if (!v.isEmpty()) uri.queryParam(k, "{" + k + "}");
            });
            return uri.encode().buildAndExpand(values).toUriString();
        }
    }

    /** A list to choose one value from. */
    public record Filter(String name, String label, List<String> values, String chosen) {}

    public record Row(String id, String name, boolean buildable, List<String> cells) {}

    static ShelfView of(String shelf, Asked asked, Shelves shelves) {
        String kind = shelf.substring(0, shelf.length() - 1);
        Optional<Optional<Long>> cents = cents(asked.most);
        Shelves.Found found =
                cents.map(c -> shelves.find(asked.query(kind, c), PAGE)).orElse(new Shelves.Found(List.of(), 0));
        String fault =
                cents.isPresent() ? "" : "\"%s\" is no price; type a number such as 40 or 39.90.".formatted(asked.most);
        return new ShelfView(
                shelf,
                heading(shelf, kind, asked, found.total()),
                asked,
                filters(kind, asked, shelves.facets(kind)),
                columns(kind),
                found.items().stream().map(ShelfView::row).toList(),
                asked.page > 0 ? asked.with(asked.page - 1).href(shelf) : "",
                found.total() > (asked.page + 1) * PAGE
                        ? asked.with(asked.page + 1).href(shelf)
                        : "",
                fault);
    }

    /** Empty where the text is no price; an empty text asks for none. */
    private static Optional<Optional<Long>> cents(String text) {
        String number = text.strip().replace(',', '.');
        if (number.isEmpty()) return Optional.of(Optional.empty());
        return number.matches("\\d{1,7}(\\.\\d{1,2})?")
                ? Optional.of(Optional.of(Math.round(Double.parseDouble(number) * 100)))
                : Optional.empty();
    }

    private static String heading(String shelf, String kind, Asked asked, int total) {
        String what =
                total == 1 ? "1 " + kind : total > Shelves.COUNTED ? "more than 1,000 " + shelf : total + " " + shelf;
        if (total == 0)
            return asked.anything() ? "Nothing answers this search" : "No %s yet: import some".formatted(shelf);
        return asked.anything()
                ? what.substring(0, 1).toUpperCase(Locale.ROOT)
                        + what.substring(1)
                        + (total == 1 ? " answers" : " answer")
                : what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1);
    }

    private static List<Filter> filters(String kind, Asked asked, Shelves.Facets facets) {
        List<Filter> filters = new ArrayList<>();
        if (!facets.types().isEmpty())
            filters.add(
                    new Filter("type", kind.equals("vehicle") ? "Audio system" : "Kind", facets.types(), asked.type));
        filters.add(new Filter("family", "Plug family", facets.families(), asked.family));
        filters.add(new Filter("opening", kind.equals("radio") ? "Size" : "Opening", facets.openings(), asked.opening));
        filters.add(new Filter(
                "carries",
                kind.equals("part") ? "Carries or makes" : "Has a lead for",
                Arrays.stream(LeadRole.values()).map(LeadRole::label).toList(),
                asked.carries));
        return filters;
    }

    private static List<String> columns(String kind) {
        return switch (kind) {
            case "vehicle" -> List.of("Audio system", "Opening", "Plugs");
            case "radio" -> List.of("Size", "Price", "Stock", "Plugs");
            default -> List.of("Kind", "Price", "Stock", "Plugs");
        };
    }

    private static Row row(Listing l) {
        String plugs = l.families().isEmpty() ? "—" : String.join(", ", l.families());
        List<String> cells =
                switch (l.kind()) {
                    case "vehicle" -> List.of(l.type(), l.opening(), plugs);
                    case "radio" -> List.of(l.opening(), price(l), stock(l), plugs);
                    default -> List.of(l.type(), price(l), stock(l), plugs);
                };
        return new Row(l.id(), l.name(), l.buildable(), cells);
    }

    static String price(Listing l) {
        return l.priceCents().map(ShelfView::money).orElse("—");
    }

    static String stock(Listing l) {
        String days = l.days()
                .filter(d -> l.stock().orElse(0) == 0)
                .map(d -> d == 0 ? "same day" : d == 1 ? "1 day" : d + " days")
                .orElse("");
        return l.stock()
                .map(String::valueOf)
                .map(s -> days.isEmpty() ? s : s + ", " + days)
                .orElse(days.isEmpty() ? "—" : days);
    }

    static String money(long cents) {
        return String.format(Locale.ROOT, "%.2f", cents / 100.0);
    }

    /** Address of everything that was found. */
    public String all() {
        return asked.href(shelf);
    }

    /** For the search from anywhere: what it found of each kind. */
    static List<ShelfView> everywhere(String q, Shelves shelves) {
        return List.of("vehicles", "radios", "parts").stream()
                .map(s -> of(s, new Asked(q, "", "", "", "", false, false, "", 0), shelves))
                .filter(v -> !v.rows.isEmpty())
                .collect(Collectors.toList());
    }
}
