package velvetbezel.worksheet;

import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * A voltage divider in a line lead: series resistor, then one across the input. Values from E24 (IEC 60063), the pair
 * nearest by ratio.
 *
 * @param gives what it leaves of the source's voltage
 */
public record Pad(Ohms series, Ohms shunt, Volts gives) {
    private static final double[] E24 = {
        1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5,
        8.2, 9.1
    };
    /** The shunt stays well below a line input's 10 kΩ and more (common practice, no source). */
    private static final double DECADE = 1000;

    private static final double MOST_SHUNT = 3.3;

    /** @throws IllegalArgumentException unless {@code wanted} is less than {@code source} */
    static Pad of(Volts source, Volts wanted) {
        if (wanted.value() >= source.value())
            throw new IllegalArgumentException("A pad from %s to %s would have to amplify.".formatted(source, wanted));
        Pad best = null;
        for (double shunt : E24) {
            if (shunt > MOST_SHUNT) break;
            Ohms across = new Ohms(shunt * DECADE);
            Ohms series = nearest(new Ohms(across.value() * (source.value() / wanted.value() - 1)));
            Pad pad = new Pad(
                    series, across, new Volts(source.value() * across.value() / (across.value() + series.value())));
            // rather a little too quiet than clipping
            if (pad.gives.value() <= wanted.value() && (best == null || pad.gives.value() > best.gives.value()))
                best = pad;
        }
        return best == null
                ? new Pad(nearest(new Ohms(DECADE * source.value() / wanted.value())), new Ohms(DECADE), wanted)
                : best;
    }

    /** The E24 value nearest by ratio: 2345 Ω is 2400 Ω, as 2400 / 2345 is less than 2345 / 2200. */
    public static Ohms nearest(Ohms wanted) {
        double decade = Math.pow(10, Math.floor(Math.log10(wanted.value())));
        double best = E24[0] * decade;
        for (double d : new double[] {decade, decade * 10})
            for (double e : E24)
                if (Math.abs(Math.log(e * d / wanted.value())) < Math.abs(Math.log(best / wanted.value())))
                    best = e * d;
        return new Ohms(Math.round(best * 1e6) / 1e6);
    }
}
