package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.units.Volts;

/** Voltages that a meter would show, put together where its error makes them one. */
final class VoltBands {
    /** Of a usual meter with the battery measured first (common practice, no source). */
    private static final double SHARE = 0.008;

    private static final double FIXED = 0.06;
    /** Less than this is as good as nothing: leads in the air pick up as much (common practice, no source). */
    static final double NOTHING = 0.3;

    private final List<Finding.Between> bands = new ArrayList<>();

    private VoltBands() {}

    static VoltBands of(Optional<Volts> healthy, List<Optional<Volts>> shown) {
        VoltBands made = new VoltBands();
        double[] values = Stream.concat(Stream.of(healthy), shown.stream())
                .flatMap(Optional::stream)
                .mapToDouble(Volts::value)
                .filter(v -> Math.abs(v) >= NOTHING)
                .sorted()
                .toArray();
        double low = Double.NaN;
        double high = Double.NaN;
        for (double v : values) {
            if (Double.isNaN(low) || v - error(v) > high) {
                if (!Double.isNaN(low)) made.bands.add(band(low, high));
                low = v - error(v);
            }
            high = v + error(v);
        }
        if (!Double.isNaN(low)) made.bands.add(band(low, high));
        return made;
    }

    private static double error(double volts) {
        return SHARE * Math.abs(volts) + FIXED;
    }

    private static Finding.Between band(double low, double high) {
        return new Finding.Between(new Volts(low), new Volts(high));
    }

    Finding of(Optional<Volts> shown) {
        return shown.filter(v -> Math.abs(v.value()) >= NOTHING)
                .<Finding>flatMap(v -> bands.stream()
                        .filter(b -> v.value() >= b.low().value()
                                && v.value() <= b.high().value())
                        .map(Finding.class::cast)
                        .findFirst())
                .orElseGet(Finding.NothingSteady::new);
    }
}
