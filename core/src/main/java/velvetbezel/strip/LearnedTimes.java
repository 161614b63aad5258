package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Minutes of a step for one person, learned from what he took. In logarithms, so that twice as long and half as long
 * weigh alike; the less there is to go by, the nearer it stays to the sheet.
 */
public final class LearnedTimes {
    /** Records of a person after which half of his own pace counts. */
    private static final double OF_PERSON = 5;
    /** Records of one step after which half of its own rest counts. */
    private static final double OF_STEP = 3;
    /** A pause longer than this is asked about, and not counted. */
    public static final double PAUSE_MINUTES = 10;

    /** What a step took. @param sheet minutes that the sheet states @param own minutes that it took */
    public record Taken(String step, double sheet, double own) {}

    /** @param records of this step that it rests on; 0: from the sheet and the person's pace */
    public record Learned(double minutes, int records) {}

    private final List<Taken> taken;
    private final double person;

    public LearnedTimes(List<Taken> records) {
        taken = records.stream()
                .filter(t -> t.sheet() > 0 && t.own() > 0 && t.own() <= Math.max(PAUSE_MINUTES, 3 * t.sheet()))
                .toList();
        double n = taken.size();
        person = median(taken.stream().map(LearnedTimes::ratio).toList()) * n / (n + OF_PERSON);
    }

    private static double ratio(Taken t) {
        return Math.log(t.own() / t.sheet());
    }

    /** How much longer than the sheet this person takes; 1 where nothing is known of him. */
    public double pace() {
        return Math.exp(person);
    }

    public int records() {
        return taken.size();
    }

    /** @param sheet minutes that the sheet states for it */
    public Learned of(String step, double sheet) {
        List<Double> rest = taken.stream()
                .filter(t -> t.step().equals(step))
                .map(t -> ratio(t) - person)
                .toList();
        double m = rest.size();
        return new Learned(sheet * Math.exp(person + median(rest) * m / (m + OF_STEP)), rest.size());
    }

    private static double median(List<Double> values) {
        if (values.isEmpty()) return 0;
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        int half = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(half) : (sorted.get(half - 1) + sorted.get(half)) / 2;
    }
}
