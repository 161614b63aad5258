package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import velvetbezel.function.FunctionId;
import velvetbezel.prove.Baseline;

/** Weighs every fault, and every two of them, against what was seen. */
final class Beliefs {
    /** Belief before anything is seen that no fault of the table is it (common practice, no source). */
    private static final double NONE = 0.01;

    private static final double NONE_LIKELIHOOD = 0.5;
    private static final double MOSTLY_NONE = 0.5;
    /** Of a car's own faults: what worked at arrival, and what was faulty. */
    private static final double WORKED = 0.2;

    private static final double FAULTY = 20;
    /** So many of the likeliest weigh in the choice of the next test. */
    private static final int WEIGHED = 80;

    /** A place that holds so much is looked at, and a test that tells less than this is not worth its minutes. */
    private static final double ENOUGH = 0.5;

    private static final double LEAST_BITS = 0.3;
    private static final double SMALL = 1e-4;
    private static final int LOOKS = 2;

    private final SymptomTable table;
    private final List<SameRow> classes;
    private final Map<Trial, Integer> places = new HashMap<>();

    /** Faults that no test tells apart. */
    private record SameRow(int[] shows, List<Fault> faults, double rate) {
        /** The share of it that lies at a place. */
        double at(RepairPoint place) {
            return faults.stream()
                            .filter(f -> f.place().equals(place))
                            .mapToDouble(Fault::rate)
                            .sum()
                    / Math.max(
                            Double.MIN_NORMAL,
                            faults.stream().mapToDouble(Fault::rate).sum());
        }
    }

    /** One class, or two. @param second the first again where there is one alone */
    private record Hypothesis(SameRow first, SameRow second, double weight) {
        boolean single() {
            return first == second;
        }

        List<SameRow> rows() {
            return single() ? List.of(first) : List.of(first, second);
        }

        double at(RepairPoint place) {
            return single() ? first.at(place) : 1 - (1 - first.at(place)) * (1 - second.at(place));
        }

        Hypothesis scaled(double by) {
            return new Hypothesis(first, second, weight * by);
        }
    }

    Beliefs(SymptomTable table, Map<FunctionId, Baseline> baseline) {
        this.table = table;
        for (int i = 0; i < table.tests().size(); i++) places.put(table.tests().get(i), i);
        Map<List<Integer>, List<SymptomTable.Row>> same = new LinkedHashMap<>();
        for (SymptomTable.Row r : table.rows())
            same.computeIfAbsent(Arrays.stream(r.shows()).boxed().toList(), k -> new ArrayList<>())
                    .add(r);
        this.classes = same.values().stream()
                .map(rows -> new SameRow(
                        rows.get(0).shows(),
                        rows.stream().map(SymptomTable.Row::fault).toList(),
                        rows.stream()
                                .mapToDouble(r -> r.fault().rate() * known(r, baseline))
                                .sum()))
                .toList();
    }

    /** What the car did at arrival speaks for or against its own old faults. */
    private double known(SymptomTable.Row row, Map<FunctionId, Baseline> baseline) {
        if (!row.fault().ofCar()) return 1;
        Set<Baseline> touched = IntStream.range(0, table.tests().size())
                .filter(i -> row.shows()[i] != 0)
                .mapToObj(i -> table.tests().get(i))
                .filter(Trial.OfCheck.class::isInstance)
                .map(t -> baseline.getOrDefault(((Trial.OfCheck) t).function(), Baseline.NOT_TESTED))
                .collect(Collectors.toSet());
        if (touched.contains(Baseline.FAULTY)) return FAULTY;
        return touched.contains(Baseline.WORKED) ? WORKED : 1;
    }

    Diagnosis after(List<Observation> seen) {
        boolean wrong = seen.stream()
                .anyMatch(o -> o instanceof Observation.OfTest t && t.finding() != 0
                        || o instanceof Observation.OfLook l && l.found());
        if (!wrong) return new Diagnosis(List.of(), 0, 0, 0, Optional.empty());
        double none = NONE;
        for (Observation o : seen)
            if (!(o instanceof Observation.CouldNot))
                none *= o instanceof Observation.OfTest t
                        ? NONE_LIKELIHOOD / Math.max(1, findings(t.test()).size())
                        : NONE_LIKELIHOOD;
        List<Hypothesis> all = weighed(seen);
        double sum = none + all.stream().mapToDouble(Hypothesis::weight).sum();
        if (sum <= 0) return new Diagnosis(List.of(), 0, 0, 1, Optional.of(new Advice.NoneFits()));
        List<Hypothesis> ranked = all.stream()
                .map(h -> h.scaled(1 / sum))
                .sorted(Comparator.comparingDouble(Hypothesis::weight).reversed())
                .toList();
        return told(ranked, none / sum, seen);
    }

    /** Of a test in the table; −1 where it tells nothing. */
    private int place(Trial test) {
        return places.getOrDefault(test, -1);
    }

    private List<Finding> findings(Trial test) {
        int i = place(test);
        return i < 0 ? List.of() : table.findings().get(i);
    }

    private List<Hypothesis> weighed(List<Observation> seen) {
        List<Hypothesis> all = new ArrayList<>();
        double[] single = new double[classes.size()];
        for (int i = 0; i < single.length; i++) {
            single[i] = classes.get(i).rate() * likelihood(classes.get(i), classes.get(i), seen);
            all.add(new Hypothesis(classes.get(i), classes.get(i), single[i]));
        }
        for (int i = 0; i < single.length; i++)
            for (int k = i + 1; k < single.length; k++) {
                double prior = classes.get(i).rate() * classes.get(k).rate();
                // two are no better explanation than one of them unless together they explain more
                double better = Math.max(single[i], single[k]);
                if (prior <= better * SMALL) continue;
                double both = prior * likelihood(classes.get(i), classes.get(k), seen);
                if (both > better) all.add(new Hypothesis(classes.get(i), classes.get(k), both));
            }
        return all;
    }

    private double likelihood(SameRow a, SameRow b, List<Observation> seen) {
        double all = 1;
        for (Observation o : seen) {
            if (o instanceof Observation.OfTest t) {
                int i = place(t.test());
                if (i < 0) all *= Likelihood.check(0, t.finding());
                else
                    all *= Likelihood.pair(
                            t.test(), table.findings().get(i).size(), a.shows()[i], b.shows()[i], t.finding());
            } else if (o instanceof Observation.OfLook l) {
                double there = new Hypothesis(a, b, 1).at(l.place());
                all *= there * Likelihood.look(true, l.found()) + (1 - there) * Likelihood.look(false, l.found());
            }
        }
        return all;
    }

    // --- what is told

    private Diagnosis told(List<Hypothesis> ranked, double none, List<Observation> seen) {
        List<Explanation> best = ranked.stream()
                .filter(h -> h.weight() > SMALL)
                .limit(Diagnosis.MOST)
                .map(h -> explanation(h, seen))
                .toList();
        List<Hypothesis> rest = ranked.stream()
                .filter(h -> h.weight() > SMALL)
                .skip(Diagnosis.MOST)
                .toList();
        return new Diagnosis(
                best,
                rest.size(),
                rest.stream().mapToDouble(Hypothesis::weight).sum(),
                none,
                Optional.of(none > MOSTLY_NONE ? new Advice.NoneFits() : next(ranked, seen)));
    }

    private Explanation explanation(Hypothesis h, List<Observation> seen) {
        return new Explanation(
                h.rows().stream()
                        .map(c -> c.faults().stream()
                                .sorted(Comparator.comparingDouble(Fault::rate).reversed())
                                .toList())
                        .toList(),
                h.weight(),
                seen.stream().filter(o -> contradicts(h, o)).toList());
    }

    private boolean contradicts(Hypothesis h, Observation o) {
        if (o instanceof Observation.CouldNot) return false;
        if (o instanceof Observation.OfLook l) return l.found() ? h.at(l.place()) == 0 : h.at(l.place()) > 1 - SMALL;
        Observation.OfTest t = (Observation.OfTest) o;
        int i = place(t.test());
        if (i < 0) return t.finding() != 0;
        if (t.finding() < 0) return h.rows().stream().allMatch(c -> c.shows()[i] == 0);
        return t.finding() == 0
                ? h.rows().stream().allMatch(c -> c.shows()[i] != 0)
                : h.rows().stream().noneMatch(c -> c.shows()[i] == t.finding());
    }

    // --- what to do next

    private Advice next(List<Hypothesis> ranked, List<Observation> seen) {
        List<Hypothesis> top = normal(ranked.subList(0, Math.min(WEIGHED, ranked.size())));
        Map<RepairPoint, Double> places = places(top, seen);
        Optional<Advice.Try> test = best(top, seen);
        Optional<Map.Entry<RepairPoint, Double>> place = places.entrySet().stream()
                .max(Comparator.comparingDouble(e -> e.getValue() / e.getKey().cost()));
        boolean sure = places.values().stream().anyMatch(b -> b >= ENOUGH);
        if (place.isPresent() && (sure || test.isEmpty() || test.get().bits() < LEAST_BITS))
            return new Advice.LookAt(place.get().getKey(), place.get().getValue());
        return test.<Advice>map(t -> t).orElseGet(Advice.NoneFits::new);
    }

    private static List<Hypothesis> normal(List<Hypothesis> some) {
        double sum = some.stream().mapToDouble(Hypothesis::weight).sum();
        return some.stream().map(h -> h.scaled(1 / sum)).toList();
    }

    /** Belief at each place; one that was looked at twice in vain is done with. */
    private static Map<RepairPoint, Double> places(List<Hypothesis> top, List<Observation> seen) {
        Map<RepairPoint, Long> looks = seen.stream()
                .filter(Observation.OfLook.class::isInstance)
                .collect(Collectors.groupingBy(o -> ((Observation.OfLook) o).place(), Collectors.counting()));
        Map<RepairPoint, Double> places = new TreeMap<>();
        for (Hypothesis h : top)
            h.rows().stream()
                    .flatMap(c -> c.faults().stream())
                    .map(Fault::place)
                    .distinct()
                    .filter(p -> looks.getOrDefault(p, 0L) < LOOKS)
                    .forEach(p -> places.merge(p, h.weight() * h.at(p), Double::sum));
        return places;
    }

    private Optional<Advice.Try> best(List<Hypothesis> top, List<Observation> seen) {
        Set<Trial> done = new HashSet<>();
        seen.forEach(o -> {
            if (o instanceof Observation.OfTest t) done.add(t.test());
            if (o instanceof Observation.CouldNot c) done.add(c.test());
        });
        ToDoubleFunction<Advice.Try> worth = t -> t.bits() / t.test().minutes();
        return IntStream.range(0, table.tests().size())
                .filter(i -> !done.contains(table.tests().get(i)))
                .mapToObj(i -> tried(i, top))
                .max(Comparator.comparingDouble(worth));
    }

    /** Information of a test: the entropy of what it would show, less what a person's noise makes of it. */
    private Advice.Try tried(int test, List<Hypothesis> hypotheses) {
        int of = table.findings().get(test).size();
        double[] mixed = new double[of];
        double noise = 0;
        for (Hypothesis h : hypotheses) {
            double[] says = new double[of];
            double sum = 0;
            for (int k = 0; k < of; k++) {
                says[k] = Likelihood.pair(
                        table.tests().get(test),
                        of,
                        h.first().shows()[test],
                        h.second().shows()[test],
                        k);
                sum += says[k];
            }
            double own = 0;
            for (int k = 0; k < of; k++) {
                double p = says[k] / sum;
                mixed[k] += h.weight() * p;
                own += entropy(p);
            }
            noise += h.weight() * own;
        }
        double bits = Math.max(0, Arrays.stream(mixed).map(Beliefs::entropy).sum() - noise);
        return new Advice.Try(
                table.tests().get(test), bits, Arrays.stream(mixed).boxed().toList());
    }

    /** How likely each finding of one test is now. */
    List<Double> chances(Trial test, List<Observation> seen) {
        int i = place(test);
        if (i < 0) return List.of();
        List<Hypothesis> all = weighed(seen);
        all.sort(Comparator.comparingDouble(Hypothesis::weight).reversed());
        return tried(i, normal(all.subList(0, Math.min(WEIGHED, all.size())))).chances();
    }

    private static double entropy(double p) {
        return p <= 0 ? 0 : -p * Math.log(p) / Math.log(2);
    }
}
