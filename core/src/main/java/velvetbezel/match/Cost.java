package velvetbezel.match;

/**
 * What is paid for a part or a kit.
 *
 * @param cents   price in hundredths of the workshop's currency
 * @param minutes labour
 * @param cuts    cuts to the car
 * @param days    to wait until all of it is there
 */
public record Cost(long cents, int minutes, int cuts, int days) {
    public static final Cost NOTHING = new Cost(0, 0, 0, 0);

    public Cost plus(Cost other) {
        return new Cost(cents + other.cents, minutes + other.minutes, cuts + other.cuts, Math.max(days, other.days));
    }

    /** As good in everything, or better. */
    public boolean covers(Cost other) {
        return cents <= other.cents && minutes <= other.minutes && cuts <= other.cuts && days <= other.days;
    }
}
