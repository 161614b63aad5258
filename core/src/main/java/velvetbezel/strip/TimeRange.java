package velvetbezel.strip;

import java.util.Collection;
import velvetbezel.sheet.strip.Minutes;

/**
 * Minutes of many steps together.
 *
 * @param low   one time in ten it takes less
 * @param usual mean
 * @param high  one time in ten it takes more
 * @param least all steps at their least
 * @param most  all steps at their most
 */
public record TimeRange(double low, double usual, double high, double least, double most) {
    /** Of a normal distribution eight tenths lie within this many standard deviations. */
    private static final double EIGHT_TENTHS = 1.28;

    /**
     * Each step taken as a triangle, independent of the others; the sum is near normal: mean ± 1.28 standard deviations
     * holds eight tenths. Source: mean (a+b+c)/3 and variance of a triangular distribution, any handbook of statistics.
     */
    public static TimeRange of(Collection<Minutes> steps) {
        double mean = 0;
        double variance = 0;
        double least = 0;
        double most = 0;
        for (Minutes m : steps) {
            double a = m.least();
            double b = m.usual();
            double c = m.most();
            mean += (a + b + c) / 3;
            variance += (a * a + b * b + c * c - a * b - a * c - b * c) / 18;
            least += a;
            most += c;
        }
        double spread = EIGHT_TENTHS * Math.sqrt(variance);
        return new TimeRange(Math.max(least, mean - spread), mean, Math.min(most, mean + spread), least, most);
    }

    public TimeRange times(double factor) {
        return new TimeRange(low * factor, usual * factor, high * factor, least * factor, most * factor);
    }
}
