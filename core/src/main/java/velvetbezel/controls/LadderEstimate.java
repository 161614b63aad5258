package velvetbezel.controls;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.ejml.simple.SimpleMatrix;

/**
 * Contact resistance of a slip ring and buttons that are off, from readings: generalised least squares over
 * {@code reading = sheet + contact + A·off + error}, errors from the resistors' tolerance and the meter's.
 *
 * @param contact    ohms in series with every button, as estimated; may come out a little negative
 * @param twoSigma   how far off that may be, in ohms
 * @param odd        buttons off their sheet by more than tolerance and meter allow; at most two
 * @param cannotTell buttons of which one may be meant instead of those named, since the readings fit as well
 * @param residuals  of each reading to what the estimate expects, in ohms
 * @param chi2       their weighted square sum
 * @param many       whether more than half of the buttons are off by themselves: another ladder
 */
public record LadderEstimate(
        double contact,
        double twoSigma,
        double wobble,
        List<Odd> odd,
        List<String> cannotTell,
        Map<String, Double> residuals,
        double chi2,
        boolean many) {
    /** Of a meter whose data nobody typed: a share of the reading and ohms (common practice, no source). */
    private static final double METER_SHARE = 0.008;

    private static final double METER_OHMS = 0.3;
    /** Limits that are evenly filled have this many times their standard deviation. */
    private static final double EVEN = Math.sqrt(3);

    private static final int MOST_ODD = 2;
    /** Readings beyond the unknowns, before one more button is called odd. */
    private static final int DEGREES_LEFT = 2;

    private static final double ONE_PERCENT = 0.01;
    /** χ² of one degree at 5 %: sets nearer than this cannot be told apart. */
    private static final double NEAR = 3.84;

    /** A button and by how many ohms it is off. */
    public record Odd(String button, double off) {}

    private record Fitted(Set<Integer> off, double[] values, SimpleMatrix left, double chi2, double sigma) {}

    /** @param readings of at least one button of the ladder, all finite */
    public static LadderEstimate of(ButtonLadder ladder, KeyReadings readings) {
        Map<String, Double> least = readings.least();
        List<Rung> rungs = ladder.buttons().stream()
                .filter(r -> least.containsKey(r.button()) && Double.isFinite(least.get(r.button())))
                .toList();
        return new Estimating(ladder, rungs, least).estimate(readings.wobble());
    }

    /** With buttons that do not close at all. */
    LadderEstimate and(List<Odd> dead) {
        List<Odd> all = new ArrayList<>(odd);
        all.addAll(dead);
        return new LadderEstimate(contact, twoSigma, wobble, all, cannotTell, residuals, chi2, many);
    }

    private static final class Estimating {
        private final ButtonLadder ladder;
        private final List<Rung> rungs;
        private final int n;
        private final SimpleMatrix off;
        private final SimpleMatrix covariance;
        private final SimpleMatrix weights;

        Estimating(ButtonLadder ladder, List<Rung> rungs, Map<String, Double> read) {
            this.ladder = ladder;
            this.rungs = rungs;
            this.n = rungs.size();
            this.off = new SimpleMatrix(n, 1);
            this.covariance = new SimpleMatrix(n, n);
            for (int i = 0; i < n; i++) {
                double reading = read.get(rungs.get(i).button());
                off.set(i, 0, reading - rungs.get(i).ohms());
                for (int j = 0; j < n; j++) covariance.set(i, j, parts(Math.min(i, j), i == j));
                double meter = (METER_SHARE * reading + METER_OHMS) / EVEN;
                covariance.set(i, i, covariance.get(i, i) + meter * meter);
            }
            this.weights = covariance.invert();
        }

        /** Covariance by tolerance: in a chain the resistors before a button are shared with those behind it. */
        private double parts(int upTo, boolean same) {
            if (!ladder.series()) return same ? square(rungs.get(upTo).ohms()) : 0;
            return IntStream.rangeClosed(0, upTo)
                    .mapToDouble(k -> square(
                            rungs.get(k).ohms() - (k == 0 ? 0 : rungs.get(k - 1).ohms())))
                    .sum();
        }

        private double square(double ohms) {
            double sigma = ohms * ladder.tolerance() / EVEN;
            return sigma * sigma;
        }

        LadderEstimate estimate(double wobble) {
            double point = critical();
            Fitted best = fit(Set.of());
            List<Fitted> rivals = List.of(best);
            for (int size = 1; size <= MOST_ODD && n - size >= DEGREES_LEFT; size++) {
                List<Fitted> all = sets(size).stream()
                        .map(this::fit)
                        .sorted(Comparator.comparingDouble(Fitted::chi2))
                        .toList();
                if (all.isEmpty() || best.chi2 - all.get(0).chi2 <= point) break;
                best = all.get(0);
                rivals = all;
            }
            return new LadderEstimate(
                    best.values[0],
                    2 * best.sigma,
                    wobble,
                    odd(best),
                    cannotTell(best, rivals),
                    residuals(best),
                    best.chi2,
                    many(point));
        }

        /** χ² must fall by more than this for one more button: the two-sided 1 % point, shared among all buttons. */
        private double critical() {
            double z = NormalDistribution.of(0, 1).inverseSurvivalProbability(ONE_PERCENT / (2 * Math.max(1, n)));
            return z * z;
        }

        /** In a chain the first resistor looks like contact, so it is never named. */
        private List<Set<Integer>> sets(int size) {
            List<Set<Integer>> sets = new ArrayList<>();
            for (int i = ladder.series() ? 1 : 0; i < n; i++)
                if (size == 1) sets.add(Set.of(i));
                else for (int j = i + 1; j < n; j++) sets.add(Set.of(i, j));
            return sets;
        }

        private Fitted fit(Set<Integer> odd) {
            List<Integer> columns = odd.stream().sorted().toList();
            SimpleMatrix x = new SimpleMatrix(n, 1 + columns.size());
            for (int i = 0; i < n; i++) {
                x.set(i, 0, 1);
                for (int c = 0; c < columns.size(); c++) {
                    boolean moved = ladder.series() ? i >= columns.get(c) : i == columns.get(c);
                    x.set(i, c + 1, moved ? 1 : 0);
                }
            }
            SimpleMatrix inverse = x.transpose().mult(weights).mult(x).invert();
            SimpleMatrix theta = inverse.mult(x.transpose()).mult(weights).mult(off);
            SimpleMatrix left = off.minus(x.mult(theta));
            double[] values = new double[1 + columns.size()];
            for (int c = 0; c < values.length; c++) values[c] = theta.get(c, 0);
            return new Fitted(
                    odd,
                    values,
                    left,
                    left.transpose().mult(weights).mult(left).get(0, 0),
                    Math.sqrt(inverse.get(0, 0)));
        }

        private List<Odd> odd(Fitted best) {
            List<Integer> columns = best.off.stream().sorted().toList();
            return IntStream.range(0, columns.size())
                    .mapToObj(c -> new Odd(rungs.get(columns.get(c)).button(), best.values[c + 1]))
                    .toList();
        }

        private List<String> cannotTell(Fitted best, List<Fitted> rivals) {
            Set<Integer> others = new HashSet<>();
            for (Fitted f : rivals) if (f.chi2 - best.chi2 < NEAR) others.addAll(f.off);
            others.removeAll(best.off);
            return others.stream().sorted().map(i -> rungs.get(i).button()).toList();
        }

        private Map<String, Double> residuals(Fitted best) {
            Map<String, Double> residuals = new LinkedHashMap<>();
            for (int i = 0; i < n; i++) residuals.put(rungs.get(i).button(), best.left.get(i, 0));
            return residuals;
        }

        /** Whether most buttons lie further from the middle one than their own tolerance and meter allow. */
        private boolean many(double point) {
            if (n < DEGREES_LEFT + 1) return false;
            double middle = median();
            long far = IntStream.range(0, n)
                    .filter(i -> Math.pow(off.get(i, 0) - middle, 2) > point * covariance.get(i, i))
                    .count();
            return 2 * far > n;
        }

        private double median() {
            double[] all = IntStream.range(0, n)
                    .mapToDouble(i -> off.get(i, 0))
                    .sorted()
                    .toArray();
            return n % 2 == 1 ? all[n / 2] : (all[n / 2 - 1] + all[n / 2]) / 2;
        }
    }
}
