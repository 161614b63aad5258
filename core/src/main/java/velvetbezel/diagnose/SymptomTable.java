package velvetbezel.diagnose;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import velvetbezel.function.CarFunction;
import velvetbezel.harness.Installation;
import velvetbezel.state.VehicleState;

/**
 * What every single fault of an installation would show at every test.
 *
 * @param tests    that tell something; those at which no fault shows anything are left out
 * @param findings of each test what it can show, first what it shows where nothing is wrong
 * @param scenes   of each check the states it passes through, one for each scene that a finding names; none of a reading
 * @param rows     a fault each, the likeliest first
 */
public record SymptomTable(
        List<Trial> tests, List<List<Finding>> findings, List<List<VehicleState>> scenes, List<Row> rows) {
    public SymptomTable {
        scenes = List.copyOf(scenes);
        tests = List.copyOf(tests);
        findings = List.copyOf(findings);
        rows = List.copyOf(rows);
    }

    /** @param shows of each test the place of what it shows among its findings; 0 is as healthy */
    public record Row(Fault fault, int[] shows) {
        /** Whether any test notices it. */
        boolean silent() {
            for (int s : shows) if (s != 0) return false;
            return true;
        }
    }

    /**
     * @param functions that are to work
     * @param done      told how many faults have been run
     * @param early     told a table of the likeliest faults alone, as soon as it is there
     * @param stopped   asked before every fault
     */
    public static SymptomTable of(
            Installation healthy,
            List<CarFunction> functions,
            FaultRates rates,
            IntConsumer done,
            Consumer<SymptomTable> early,
            BooleanSupplier stopped) {
        return new TableRun(healthy, functions, rates).run(done, early, stopped);
    }

    /**
     * What another installation shows at these tests: the healthy one with several faults at once.
     *
     * @return of each test the place of what is shown among its findings; −1 where it is none of them
     */
    public int[] shownBy(Installation faulty, Installation healthy, List<CarFunction> functions, FaultRates rates) {
        return new TableRun(healthy, functions, rates).against(faulty, this);
    }

    public List<Fault> faults() {
        return rows.stream().map(Row::fault).toList();
    }

    /** Faults that nothing here would show: said, not hidden. */
    public List<Fault> silent() {
        return rows.stream().filter(Row::silent).map(Row::fault).toList();
    }

    /** Tests that a fault at a place can change: what is mended there is tried again by these. */
    public List<Trial> touchedFrom(String place) {
        return IntStream.range(0, tests.size())
                .filter(i -> rows.stream()
                        .anyMatch(r ->
                                r.shows()[i] != 0 && r.fault().place().name().equals(place)))
                .mapToObj(tests::get)
                .toList();
    }

    public Optional<RepairPoint> place(String name) {
        return rows.stream()
                .map(r -> r.fault().place())
                .filter(p -> p.name().equals(name))
                .findFirst();
    }

    /** What a meter's value means: the finding that holds it. @param shown empty where it shows nothing at all */
    public int findingOf(Trial.Measured test, OptionalDouble shown) {
        List<Finding> of = findings.get(indexOf(test));
        return IntStream.range(0, of.size())
                .filter(k -> of.get(k).holds(shown))
                .findFirst()
                .orElse(Observation.NONE_OF_THEM);
    }

    /** @return the place of a test; −1 where it tells nothing */
    public int indexOf(Trial test) {
        return tests.indexOf(test);
    }
}
