package velvetbezel.web.job;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import velvetbezel.match.Market;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.Listing;
import velvetbezel.store.Shelves;

/** What the shelves say today. */
@Service
public class Prices {
    /** Where nobody says how long a part takes to come that is not in stock. */
    public static final int DAYS_UNKNOWN = 21;

    private final Shelves shelves;

    Prices(Shelves shelves) {
        this.shelves = shelves;
    }

    /** For a job: what is at hand costs it nothing. */
    public Market of(OpenJob open, Stream<? extends Sheet> sheets) {
        return of(sheets.map(Sheet::id).toList()).owning(open.state().owned());
    }

    /** Prices and days of some sheets; what is in stock is there at once. */
    private Market of(List<String> sheets) {
        Map<String, Long> cents = new HashMap<>();
        Map<String, Integer> days = new HashMap<>();
        for (Listing l : shelves.listings(sheets)) {
            l.priceCents().ifPresent(c -> cents.put(l.id(), c));
            boolean counted = l.stock().isPresent() || l.days().isPresent();
            if (counted && l.stock().orElse(0) == 0) days.put(l.id(), l.days().orElse(DAYS_UNKNOWN));
        }
        return new Market(cents, days);
    }
}
