package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * How likely what was seen is where one class of faults is there, or two at once. Logarithms, since much that was seen
 * makes a product too small for a number. Of two, what both change is looked at alone: everything else is as of one.
 */
final class Weights {
    /** Belief before it is read that a meter's clip, leads or fuse are at fault (from memory). */
    private static final double METER = 0.02;

    private final List<SameRow> classes;
    private final List<Seen> seen = new ArrayList<>();
    private final List<Look> looks = new ArrayList<>();
    private final BitSet[] changes;
    private final double[] told;
    private final double[] read;
    private final double healthyTold;
    private final double healthyRead;
    private final double dead;

    /** @param like logarithm of the likelihood of what was seen, by what is predicted */
    private record Seen(Trial test, int place, int of, int finding, double[] like) {
        boolean measured() {
            return test instanceof Trial.Measured;
        }
    }

    /** @param there the share of each class that lies at the place */
    private record Look(double[] there, boolean found) {
        double log(double share) {
            return Math.log(share * Likelihood.look(true, found) + (1 - share) * Likelihood.look(false, found));
        }
    }

    /** @param dead the part in which the meter is at fault */
    record Weight(double log, double dead) {}

    Weights(SymptomTable table, Map<Trial, Integer> places, List<SameRow> classes, List<Observation> observed) {
        this.classes = classes;
        double blind = Math.log(METER);
        double alike = 0;
        for (Observation o : observed) {
            if (o instanceof Observation.MeterProved) blind = Double.NEGATIVE_INFINITY;
            if (o instanceof Observation.OfLook l)
                looks.add(new Look(
                        classes.stream().mapToDouble(c -> c.at(l.place())).toArray(), l.found()));
            if (!(o instanceof Observation.OfTest t)) continue;
            int place = places.getOrDefault(t.test(), -1);
            if (place < 0) {
                alike += Math.log(Likelihood.of(t.test(), 1, 0, t.finding()));
                continue;
            }
            List<Finding> of = table.findings().get(place);
            seen.add(new Seen(t.test(), place, of.size(), t.finding(), likelihoods(t, of.size())));
            if (t.test() instanceof Trial.Measured) blind += Math.log(Likelihood.deadMeter(of, t.finding()));
        }
        this.dead = blind;
        double unchanged = alike;
        int[] healthy = new int[table.tests().size()];
        this.healthyTold = unchanged + sum(healthy, false);
        this.healthyRead = sum(healthy, true);
        this.told = classes.stream()
                .mapToDouble(c -> unchanged + sum(c.shows(), false))
                .toArray();
        this.read = classes.stream().mapToDouble(c -> sum(c.shows(), true)).toArray();
        this.changes = classes.stream().map(this::changes).toArray(BitSet[]::new);
    }

    private static double[] likelihoods(Observation.OfTest t, int of) {
        return IntStream.range(0, of)
                .mapToDouble(predicted -> Math.log(Likelihood.of(t.test(), of, predicted, t.finding())))
                .toArray();
    }

    private double sum(int[] shows, boolean measured) {
        double sum = 0;
        for (Seen s : seen) if (s.measured() == measured) sum += s.like[shows[s.place]];
        return sum;
    }

    private BitSet changes(SameRow row) {
        BitSet changed = new BitSet(seen.size());
        for (int i = 0; i < seen.size(); i++) if (row.shows()[seen.get(i).place] != 0) changed.set(i);
        return changed;
    }

    Weight of(int a) {
        double looked = 0;
        for (Look l : looks) looked += l.log(l.there[a]);
        return weight(told[a] + looked, read[a]);
    }

    Weight of(int a, int b) {
        double tells = told[a] + told[b] - healthyTold;
        double reads = read[a] + read[b] - healthyRead;
        for (Look l : looks) tells += l.log(1 - (1 - l.there[a]) * (1 - l.there[b]));
        if (changes[a].intersects(changes[b])) {
            BitSet both = (BitSet) changes[a].clone();
            both.and(changes[b]);
            for (int i = both.nextSetBit(0); i >= 0; i = both.nextSetBit(i + 1)) {
                Seen s = seen.get(i);
                int first = classes.get(a).shows()[s.place];
                int second = classes.get(b).shows()[s.place];
                double more = Math.log(Likelihood.pair(s.test, s.of, first, second, s.finding))
                        - s.like[first]
                        - s.like[second]
                        + s.like[0];
                if (s.measured()) reads += more;
                else tells += more;
            }
        }
        return weight(tells, reads);
    }

    private Weight weight(double tells, double reads) {
        double good = dead == Double.NEGATIVE_INFINITY ? reads : reads + Math.log(1 - METER);
        double most = Math.max(good, dead);
        double both = most + Math.log(Math.exp(good - most) + Math.exp(dead - most));
        return new Weight(tells + both, Math.exp(dead - both));
    }
}
