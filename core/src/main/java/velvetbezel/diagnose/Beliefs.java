package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Builder;
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
    /** Belief at which a meter is proved first (from memory). */
    private static final double METER_IN_DOUBT = 0.3;
    /** A reading that less than this of belief explains speaks against the sheet. */
    private static final double HARDLY = 0.05;
    /** What comes and goes is a loose thing, so many times as likely (common practice, no source). */
    private static final double LOOSE_AT_TIMES = 5;

    private static final Set<FaultKind> LOOSE = Set.of(FaultKind.POOR_CONTACT, FaultKind.PLUG_NOT_HOME);

    private final SymptomTable table;
    private final List<SameRow> classes;
    private final Map<Trial, Integer> places = new HashMap<>();

    /**
     * One class, or two.
     *
     * @param second the first again where there is one alone
     * @param weight its belief; its logarithm while they are weighed
     * @param dead   the part of it in which the meter is at fault
     */
    private record Hypothesis(SameRow first, SameRow second, double weight, double dead) {
        boolean single() {
            return first == second;
        }

        List<SameRow> rows() {
            return single() ? List.of(first) : List.of(first, second);
        }

        double at(RepairPoint place) {
            return single() ? first.at(place) : 1 - (1 - first.at(place)) * (1 - second.at(place));
        }

        Hypothesis weighing(double other) {
            return new Hypothesis(first, second, other, dead);
        }
    }

    Beliefs(SymptomTable table, Map<FunctionId, Baseline> baseline) {
        this.table = table;
        for (int i = 0; i < table.tests().size(); i++) places.put(table.tests().get(i), i);
        this.classes = SameRow.of(table.rows(), r -> r.fault().rate() * known(r, baseline));
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

    Diagnosis after(List<Observation> all) {
        boolean wrong = all.stream()
                .anyMatch(o -> o instanceof Observation.OfTest t && t.finding() != 0
                        || o instanceof Observation.OfLook l && l.found());
        if (!wrong) return Diagnosis.NOTHING_WRONG;
        List<Observation> seen = witnesses(all);
        double none = Math.log(NONE);
        for (Observation o : seen)
            if (o instanceof Observation.OfTest t)
                none += Math.log(
                        NONE_LIKELIHOOD / Math.max(1, findings(t.test()).size()));
            else if (o instanceof Observation.OfLook) none += Math.log(NONE_LIKELIHOOD);
        List<Hypothesis> ranked = weighed(seen, none);
        double some = ranked.stream().mapToDouble(Hypothesis::weight).sum();
        return told(ranked, Math.max(0, 1 - some), all);
    }

    /** Without what is no second witness: the same thing perceived in the same scene of another check. */
    private List<Observation> witnesses(List<Observation> seen) {
        Set<List<Object>> perceived = new HashSet<>();
        List<Observation> counting = new ArrayList<>();
        seen.stream()
                .sorted(Comparator.comparingInt(o -> o instanceof Observation.OfTest t ? place(t.test()) : -1))
                .forEach(o -> {
                    List<List<Object>> own = perceived(o);
                    if (own.isEmpty() || perceived.addAll(own)) counting.add(o);
                });
        return counting;
    }

    /** Each thing that is otherwise than in the healthy car, with the state of the car in which it was noticed. */
    private List<List<Object>> perceived(Observation o) {
        if (!(o instanceof Observation.OfTest t) || !(t.test() instanceof Trial.OfCheck)) return List.of();
        if (t.finding() <= 0 || place(t.test()) < 0) return List.of();
        int i = place(t.test());
        if (!(table.findings().get(i).get(t.finding()) instanceof Finding.Symptom s)) return List.of();
        return s.diffs().stream()
                .map(d -> List.<Object>of(table.scenes().get(i).get(d.scene()), d.kind(), d.what(), d.where()))
                .toList();
    }

    /** Of a test in the table; −1 where it tells nothing. */
    private int place(Trial test) {
        return places.getOrDefault(test, -1);
    }

    private List<Finding> findings(Trial test) {
        int i = place(test);
        return i < 0 ? List.of() : table.findings().get(i);
    }

    /**
     * The likeliest first; what they lack to 1 is none of these.
     *
     * @param none logarithm of the weight of none of these
     */
    private List<Hypothesis> weighed(List<Observation> seen, double none) {
        Weights weights = new Weights(table, places, classes, seen);
        boolean atTimes =
                seen.stream().anyMatch(o -> o instanceof Observation.OfTest t && t.finding() == Observation.SOMETIMES);
        double[] rates = classes.stream()
                .mapToDouble(c -> Math.log(c.rate() * (atTimes ? 1 + (LOOSE_AT_TIMES - 1) * c.of(LOOSE) : 1)))
                .toArray();
        List<Hypothesis> all = new ArrayList<>();
        for (int i = 0; i < rates.length; i++) all.add(hypothesis(i, i, rates[i], weights.of(i)));
        List<Hypothesis> single = List.copyOf(all);
        for (int i = 0; i < rates.length; i++)
            for (int k = i + 1; k < rates.length; k++) {
                double prior = rates[i] + rates[k];
                // two are no better explanation than one of them unless together they explain more
                double better = Math.max(single.get(i).weight(), single.get(k).weight());
                if (prior <= better + Math.log(SMALL)) continue;
                Hypothesis both = hypothesis(i, k, prior, weights.of(i, k));
                if (both.weight() > better) all.add(both);
            }
        double most = Math.max(
                none, all.stream().mapToDouble(Hypothesis::weight).max().orElse(none));
        double sum = Math.exp(none - most)
                + all.stream().mapToDouble(h -> Math.exp(h.weight() - most)).sum();
        return all.stream()
                .map(h -> h.weighing(Math.exp(h.weight() - most) / sum))
                .sorted(Comparator.comparingDouble(Hypothesis::weight).reversed())
                .toList();
    }

    private Hypothesis hypothesis(int a, int b, double prior, Weights.Weight weight) {
        return new Hypothesis(classes.get(a), classes.get(b), prior + weight.log(), weight.dead());
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
        double deadMeter =
                ranked.stream().mapToDouble(h -> h.weight() * h.dead()).sum();
        return new Diagnosis(
                best,
                rest.size(),
                rest.stream().mapToDouble(Hypothesis::weight).sum(),
                none,
                deadMeter,
                deadMeter > METER_IN_DOUBT ? List.of() : doubted(ranked, seen),
                Optional.of(advice(ranked, none, deadMeter, seen)));
    }

    private Advice advice(List<Hypothesis> ranked, double none, double deadMeter, List<Observation> seen) {
        if (deadMeter > METER_IN_DOUBT) return new Advice.ProveMeter(deadMeter);
        return none > MOSTLY_NONE ? new Advice.NoneFits() : next(ranked, seen);
    }

    private List<Trial.OfReading> doubted(List<Hypothesis> ranked, List<Observation> seen) {
        List<Trial.OfReading> doubted = new ArrayList<>();
        for (Observation o : seen)
            if (o instanceof Observation.OfTest t
                    && t.finding() != 0
                    && t.test() instanceof Trial.OfReading r
                    && r.at().instance().equals(Builder.CAR)
                    && explained(ranked, o) < HARDLY) doubted.add(r);
        return doubted;
    }

    private double explained(List<Hypothesis> ranked, Observation o) {
        return ranked.stream()
                .filter(h -> h.weight() > SMALL && !contradicts(h, o))
                .mapToDouble(Hypothesis::weight)
                .sum();
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
        if (o instanceof Observation.CouldNot || o instanceof Observation.MeterProved) return false;
        if (o instanceof Observation.OfLook l) return l.found() ? h.at(l.place()) == 0 : h.at(l.place()) > 1 - SMALL;
        Observation.OfTest t = (Observation.OfTest) o;
        int i = place(t.test());
        if (i < 0) return t.finding() != 0;
        if (t.finding() == Observation.NONE_OF_THEM && t.test() instanceof Trial.Measured) return true;
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
        return some.stream().map(h -> h.weighing(h.weight() / sum)).toList();
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
        List<Hypothesis> all = weighed(witnesses(seen), Math.log(NONE));
        return tried(i, normal(all.subList(0, Math.min(WEIGHED, all.size())))).chances();
    }

    private static double entropy(double p) {
        return p <= 0 ? 0 : -p * Math.log(p) / Math.log(2);
    }
}
