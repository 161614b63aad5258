package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/**
 * Faults that no test tells apart.
 *
 * @param shows of each test the place of what it shows among its findings
 * @param rate  of all together, what the car did at arrival included
 */
record SameRow(int[] shows, List<Fault> faults, double rate) {
    static List<SameRow> of(List<SymptomTable.Row> rows, ToDoubleFunction<SymptomTable.Row> rate) {
        Map<List<Integer>, List<SymptomTable.Row>> same = new LinkedHashMap<>();
        for (SymptomTable.Row r : rows)
            same.computeIfAbsent(Arrays.stream(r.shows()).boxed().toList(), k -> new ArrayList<>())
                    .add(r);
        return same.values().stream()
                .map(alike -> new SameRow(
                        alike.get(0).shows(),
                        alike.stream().map(SymptomTable.Row::fault).toList(),
                        alike.stream().mapToDouble(rate).sum()))
                .toList();
    }

    /** The share of it that lies at a place. */
    double at(RepairPoint place) {
        return share(f -> f.place().equals(place));
    }

    double of(Set<FaultKind> kinds) {
        return share(f -> kinds.contains(f.kind()));
    }

    private double share(Predicate<Fault> which) {
        double all = faults.stream().mapToDouble(Fault::rate).sum();
        return faults.stream().filter(which).mapToDouble(Fault::rate).sum() / Math.max(Double.MIN_NORMAL, all);
    }
}
