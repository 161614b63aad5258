package velvetbezel.match;

import java.util.Map;
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

    public long cents(Sheet.Part part) {
        return cents.getOrDefault(part.id(), part.priceCents());
    }

    public long cents(Sheet.Radio radio) {
        return cents.getOrDefault(radio.id(), radio.priceCents());
    }

    public int days(Sheet sheet) {
        return days.getOrDefault(sheet.id(), 0);
    }

    public Cost of(Sheet.Radio radio) {
        return new Cost(cents(radio), 0, 0, days(radio));
    }

    /** Labour includes the way to a plug elsewhere in the car. */
    public Cost of(Sheet.Vehicle vehicle, Sheet.Part part) {
        return new Cost(
                cents(part),
                part.minutes()
                        + Slots.ways(vehicle, part).stream()
                                .mapToInt(Access::minutes)
                                .sum(),
                part.cuts(),
                days(part));
    }
}
