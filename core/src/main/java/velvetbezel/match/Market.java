package velvetbezel.match;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Sheet;

/**
 * What sheets cost today, where it differs from what they say, and how long they take to come.
 *
 * @param cents price by id of the sheet
 * @param days  to wait by id of the sheet; nothing to wait for what is not named
 */
public record Market(Map<String, Long> cents, Map<String, Integer> days) {
    /** Prices of the sheets, everything on the shelf. */
    public static final Market SHEETS = new Market(Map.of(), Map.of());

    public Market {
        cents = Map.copyOf(cents);
        days = Map.copyOf(days);
    }

    /** The same with some of the parts at hand already: nothing to buy, nothing to wait for. */
    public Market owning(Set<String> parts) {
        Map<String, Long> less = new HashMap<>(cents);
        Map<String, Integer> sooner = new HashMap<>(days);
        parts.forEach(p -> {
            less.put(p, 0L);
            sooner.remove(p);
        });
        return new Market(less, sooner);
    }

    /** Empty where neither the market nor the sheet says it. */
    public Optional<Long> cents(Sheet.Part part) {
        return Optional.ofNullable(cents.get(part.id())).or(part::priceCents);
    }

    /** As for a part. */
    public Optional<Long> cents(Sheet.Radio radio) {
        return Optional.ofNullable(cents.get(radio.id())).or(radio::priceCents);
    }

    public int days(Sheet sheet) {
        return days.getOrDefault(sheet.id(), 0);
    }

    public Cost of(Sheet.Radio radio) {
        Optional<Long> price = cents(radio);
        return new Cost(price.orElse(0L), 0, 0, days(radio), new Cost.Missing(price.isEmpty() ? 1 : 0, 0, 0));
    }

    /** Labour includes the way to a plug elsewhere in the car. */
    public Cost of(Sheet.Vehicle vehicle, Sheet.Part part) {
        Optional<Long> price = cents(part);
        return new Cost(
                price.orElse(0L),
                part.minutes().orElse(0)
                        + Slots.ways(vehicle, part).stream()
                                .mapToInt(Access::minutes)
                                .sum(),
                part.cuts(),
                days(part),
                new Cost.Missing(
                        price.isEmpty() ? 1 : 0,
                        part.minutes().isEmpty() ? 1 : 0,
                        part.unproven(vehicle).isPresent() ? 1 : 0));
    }
}
