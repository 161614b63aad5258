package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import velvetbezel.prove.Meter;

/** Values that a meter would show, put together where its error makes them one. */
final class MeterBands {
    private final Meter meter;
    private final List<Finding.Between> bands = new ArrayList<>();

    private MeterBands(Meter meter) {
        this.meter = meter;
    }

    /** @param shown empty where the meter shows nothing at all */
    static MeterBands of(Meter meter, OptionalDouble healthy, List<OptionalDouble> shown) {
        MeterBands made = new MeterBands(meter);
        double[] values = Stream.concat(Stream.of(healthy), shown.stream())
                .flatMapToDouble(OptionalDouble::stream)
                .filter(v -> Math.abs(v) >= meter.least())
                .sorted()
                .toArray();
        double low = Double.NaN;
        double high = Double.NaN;
        for (double v : values) {
            if (Double.isNaN(low) || v - meter.error(v) > high) {
                if (!Double.isNaN(low)) made.bands.add(new Finding.Between(meter, low, high));
                low = v - meter.error(v);
            }
            high = v + meter.error(v);
        }
        if (!Double.isNaN(low)) made.bands.add(new Finding.Between(meter, low, high));
        return made;
    }

    Finding of(OptionalDouble shown) {
        Finding nothing = new Finding.Nothing(meter);
        return Stream.concat(Stream.of(nothing), bands.stream())
                .filter(f -> f.holds(shown))
                .findFirst()
                .orElse(nothing);
    }
}
