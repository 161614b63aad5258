package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleSupplier;
import java.util.stream.IntStream;
import velvetbezel.prove.Meter;

/**
 * A car with a hidden fault that answers what a person tries, out of the table of what faults show: for practice. Its meter
 * has the noise of a usual one (common practice, no source).
 */
public final class SimulatedCar {
    private static final double SHARE = 0.004;
    private static final double VOLTS = 0.01;
    private static final double AMPS = 0.001;
    /** Of the leads, and how much of it is not taken off. */
    private static final double LEAD_OHMS = 0.1;

    /** Where a lead in the air picks up at most so much. */
    private static final double IN_THE_AIR = 0.2;

    private final SymptomTable table;
    private final SymptomTable.Row row;

    private SimulatedCar(SymptomTable table, SymptomTable.Row row) {
        this.table = table;
        this.row = row;
    }

    /**
     * Hides one fault that some check notices.
     *
     * @param seed the same hides the same fault, whatever the rates have learned meanwhile
     * @return empty where no check notices any
     */
    public static Optional<SimulatedCar> of(SymptomTable table, long seed) {
        List<SymptomTable.Row> noticed = new ArrayList<>(table.rows().stream()
                .filter(r -> new SimulatedCar(table, r).complaint().isPresent())
                .sorted(Comparator.comparing(r -> r.fault().id()))
                .toList());
        return noticed.isEmpty()
                ? Optional.empty()
                : Optional.of(new SimulatedCar(table, noticed.get(Math.floorMod(seed, noticed.size()))));
    }

    public Fault hidden() {
        return row.fault();
    }

    /** The first check that is not right: what its owner comes with. */
    public Optional<Trial.OfCheck> complaint() {
        return IntStream.range(0, row.shows().length)
                .filter(i -> row.shows()[i] != 0 && table.tests().get(i) instanceof Trial.OfCheck)
                .mapToObj(i -> (Trial.OfCheck) table.tests().get(i))
                .findFirst();
    }

    /**
     * What a test shows.
     *
     * @param mended whether the fault is not there any more
     */
    public Finding shows(Trial test, boolean mended) {
        int i = table.indexOf(test);
        return table.findings().get(i).get(mended ? 0 : row.shows()[i]);
    }

    /** What the meter's display says. @param chance gives numbers from 0 to 1 */
    public OptionalDouble reads(Trial.Measured test, boolean mended, DoubleSupplier chance) {
        Finding finding = shows(test, mended);
        if (!(finding instanceof Finding.Between b)) return nothing(test.meter(), chance);
        double middle = (b.low() + b.high()) / 2;
        double off = (SHARE * middle + fixed(test.meter())) * (2 * chance.getAsDouble() - 1);
        return OptionalDouble.of(Math.min(b.high(), Math.max(b.low(), middle + off)));
    }

    private static double fixed(Meter meter) {
        return switch (meter) {
            case VOLTS -> VOLTS;
            case OHMS -> LEAD_OHMS;
            case AMPS -> AMPS;
        };
    }

    private static OptionalDouble nothing(Meter meter, DoubleSupplier chance) {
        return switch (meter) {
            case VOLTS -> OptionalDouble.of(IN_THE_AIR * chance.getAsDouble());
            case OHMS -> OptionalDouble.empty();
            case AMPS -> OptionalDouble.of(AMPS * chance.getAsDouble());
        };
    }
}
