package velvetbezel.match;

/**
 * What is paid for a part or a kit.
 *
 * @param cents   prices that are known, in hundredths of the workshop's currency
 * @param minutes labour that is known
 * @param cuts    cuts to the car
 * @param days    to wait until all of it is there
 * @param missing what nobody stated of it
 */
public record Cost(long cents, int minutes, int cuts, int days, Missing missing) {
    public static final Cost NOTHING = new Cost(0, 0, 0, 0);

    /**
     * How many prices and times nobody stated: it costs the sum, and so many more.
     *
     * @param fits parts that nobody has proven in such a car
     */
    public record Missing(int prices, int times, int fits) {
        public static final Missing NOTHING = new Missing(0, 0, 0);

        Missing plus(Missing other) {
            if (equals(NOTHING)) return other;
            return other.equals(NOTHING)
                    ? this
                    : new Missing(prices + other.prices, times + other.times, fits + other.fits);
        }

        /** Whether a sum with these gaps can be compared with one with those: more gaps make it look cheaper. */
        boolean covers(Missing other) {
            return prices <= other.prices && times <= other.times && fits <= other.fits;
        }
    }

    /** With nothing missing. */
    public Cost(long cents, int minutes, int cuts, int days) {
        this(cents, minutes, cuts, days, Missing.NOTHING);
    }

    public Cost plus(Cost other) {
        return new Cost(
                cents + other.cents,
                minutes + other.minutes,
                cuts + other.cuts,
                Math.max(days, other.days),
                missing.plus(other.missing));
    }

    /** As good in everything, or better. */
    public boolean covers(Cost other) {
        return cents <= other.cents
                && minutes <= other.minutes
                && cuts <= other.cuts
                && days <= other.days
                && missing.covers(other.missing);
    }
}
