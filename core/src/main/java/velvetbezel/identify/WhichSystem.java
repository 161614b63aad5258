package velvetbezel.identify;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Sheet;

/**
 * How far what was seen of a car speaks for each sheet of its model: trims and generations that look alike take
 * different parts. Every sheet is as likely as the others at first; each observation weighs by how often it is made
 * on such a car (Bayes' rule).
 *
 * @param candidates the likeliest first
 * @param next       the look that would decide most, where one is left that decides anything
 */
public record WhichSystem(List<Candidate> candidates, Optional<AudioSign> next) {
    /** Above this share a sheet counts as told apart (common practice would say "sure"; the figure is ours). */
    public static final double SURE = 0.95;
    private static final double YEAR_FITS = 0.98;
    private static final double GAIN_WORTH_A_LOOK = 0.01;

    /** How often a sign is seen on an amplified and on a plain car (from memory of the trade's talk, no source). */
    private static final Map<AudioSign, double[]> SEEN = new EnumMap<>(Map.of(
        AudioSign.CHASSIS_LABEL, new double[] {0.95, 0.01}, AudioSign.SPEAKER_PAIRS_MISSING, new double[] {0.90, 0.02}, AudioSign.MORE_PLUGS, new double[] {0.70, 0.10},
        AudioSign.SUBWOOFER, new double[] {0.60, 0.05}, AudioSign.OPTION_CODE, new double[] {0.85, 0.05}, AudioSign.GRILLE_BADGE, new double[] {0.75, 0.08}));

    /** @param share between 0 and 1; the shares of all candidates add up to 1 */
    public record Candidate(Sheet.Vehicle vehicle, double share) {}

    public WhichSystem { candidates = List.copyOf(candidates); }

    /**
     * @param sheets the sheets of one model; none gives no candidates
     * @param seen   signs looked for: true where seen, false where not there
     * @param year   model year, where the VIN tells it
     */
    public static WhichSystem of(List<Sheet.Vehicle> sheets, Map<AudioSign, Boolean> seen, Optional<Integer> year) {
        double[] shares = new double[sheets.size()];
        for (int i = 0; i < shares.length; i++) shares[i] = weight(sheets.get(i), seen, year);
        normalise(shares);
        List<Candidate> candidates = new ArrayList<>();
        for (int i = 0; i < shares.length; i++) candidates.add(new Candidate(sheets.get(i), shares[i]));
        candidates.sort(Comparator.comparingDouble((Candidate c) -> -c.share).thenComparing(c -> c.vehicle.id()));
        return new WhichSystem(candidates, nextLook(sheets, shares, seen));
    }

    private static double weight(Sheet.Vehicle sheet, Map<AudioSign, Boolean> seen, Optional<Integer> year) {
        double weight = year.map(y -> y >= sheet.fromYear() && y <= sheet.toYear() ? YEAR_FITS : 1 - YEAR_FITS).orElse(1.0);
        for (var sign : seen.entrySet()) weight *= likelihood(sign.getKey(), sign.getValue(), sheet);
        return weight;
    }

    private static double likelihood(AudioSign sign, boolean there, Sheet.Vehicle sheet) {
        double p = SEEN.get(sign)[sheet.amplified() ? 0 : 1];
        return there ? p : 1 - p;
    }

    private static void normalise(double[] shares) {
        double sum = Arrays.stream(shares).sum();
        for (int i = 0; i < shares.length; i++) shares[i] /= sum;
    }

    /** The sign whose answer, seen or not, leaves least uncertainty on average (expected entropy). */
    private static Optional<AudioSign> nextLook(List<Sheet.Vehicle> sheets, double[] shares, Map<AudioSign, Boolean> seen) {
        double now = entropy(shares);
        return Arrays.stream(AudioSign.values()).filter(s -> !seen.containsKey(s)).filter(s -> now - expectedEntropy(sheets, shares, s) > GAIN_WORTH_A_LOOK)
            .min(Comparator.comparingDouble(s -> expectedEntropy(sheets, shares, s)));
    }

    private static double expectedEntropy(List<Sheet.Vehicle> sheets, double[] shares, AudioSign sign) {
        double expected = 0;
        for (boolean there : new boolean[] {true, false}) {
            double[] after = new double[shares.length];
            for (int i = 0; i < shares.length; i++) after[i] = shares[i] * likelihood(sign, there, sheets.get(i));
            double chance = Arrays.stream(after).sum();
            normalise(after);
            expected += chance * entropy(after);
        }
        return expected;
    }

    private static double entropy(double[] shares) { return Arrays.stream(shares).filter(p -> p > 0).map(p -> -p * Math.log(p)).sum() / Math.log(2); }

    public boolean sure() { return !candidates.isEmpty() && candidates.get(0).share >= SURE; }
}
