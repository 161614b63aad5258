package velvetbezel.identify;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;

/**
 * How far what was seen of a car speaks for each sheet of its model: trims and generations that look alike take
 * different parts. Every sheet is as likely as the others at first; each observation weighs by how often it is made
 * on such a car (Bayes' rule).
 *
 * @param candidates the likeliest first
 * @param next       the look that would decide most, where one is left that decides anything
 */
public record WhichSystem(List<Candidate> candidates, Optional<Look> next) {
    /** Above this share a sheet counts as told apart (common practice would say "sure"; the figure is ours). */
    public static final double SURE = 0.95;

    /** Signs that speak three to one tell something (ours). */
    private static final double ODDS_THAT_TELL = 3;

    private static final double YEAR_FITS = 0.98;
    /** How often a trait is read as the right sheet states it; the rest are replaced parts and slips (from memory). */
    private static final double TRAIT_FITS = 0.95;

    private static final double UNSTATED = 0.5;
    private static final double GAIN_WORTH_A_LOOK = 0.01;

    /** How often a sign is seen on an amplified and on a plain car (from memory of the trade's talk, no source). */
    private static final Map<AudioSign, double[]> SEEN = new EnumMap<>(Map.of(
            AudioSign.CHASSIS_LABEL,
            new double[] {0.95, 0.01},
            AudioSign.SPEAKER_PAIRS_MISSING,
            new double[] {0.90, 0.02},
            AudioSign.MORE_PLUGS,
            new double[] {0.70, 0.10},
            AudioSign.SUBWOOFER,
            new double[] {0.60, 0.05},
            AudioSign.OPTION_CODE,
            new double[] {0.85, 0.05},
            AudioSign.GRILLE_BADGE,
            new double[] {0.75, 0.08}));

    /** @param share between 0 and 1; the shares of all candidates add up to 1 */
    public record Candidate(Sheet.Vehicle vehicle, double share) {}

    public WhichSystem {
        candidates = List.copyOf(candidates);
    }

    /** Something to look at: a sign that is there or not, or a trait that has one of several values. */
    public sealed interface Look {
        String text();
    }

    public record SignLook(AudioSign sign) implements Look {
        @Override
        public String text() {
            return sign.text();
        }
    }

    public record TraitLook(Trait trait) implements Look {
        @Override
        public String text() {
            return trait.text();
        }
    }

    /**
     * What was seen of one car.
     *
     * @param signs  signs looked for: true where seen, false where not there
     * @param traits what its traits read
     * @param year   model year, where the VIN tells it
     */
    public record Seen(Map<AudioSign, Boolean> signs, Map<Trait, String> traits, Optional<Integer> year) {
        public Seen {
            signs = Map.copyOf(signs);
            traits = Map.copyOf(traits);
        }

        boolean has(Look look) {
            return look instanceof SignLook s
                    ? signs.containsKey(s.sign())
                    : traits.containsKey(((TraitLook) look).trait());
        }
    }

    /**
     * Whether the signs speak for what a sheet says. What was looked for and not found counts as much as what was seen: one
     * badge against three signs that are missing does not make an amplifier.
     */
    public static AudioSign.Verdict verdict(Map<AudioSign, Boolean> signs, boolean sheetSaysAmplified) {
        if (signs.isEmpty()) return AudioSign.Verdict.NOTHING_SEEN;
        double odds = 1;
        for (var sign : signs.entrySet()) {
            double[] p = SEEN.get(sign.getKey());
            odds *= sign.getValue() ? p[0] / p[1] : (1 - p[0]) / (1 - p[1]);
        }
        double says = sheetSaysAmplified ? odds : 1 / odds;
        if (says >= ODDS_THAT_TELL) return AudioSign.Verdict.AGREES;
        return says <= 1 / ODDS_THAT_TELL ? AudioSign.Verdict.CONTRADICTS : AudioSign.Verdict.UNDECIDED;
    }

    /** @param sheets the sheets of one model; none gives no candidates */
    public static WhichSystem of(List<Sheet.Vehicle> sheets, Seen seen) {
        double[] shares = sheets.stream().mapToDouble(s -> weight(s, seen)).toArray();
        normalise(shares);
        List<Candidate> candidates = new ArrayList<>();
        for (int i = 0; i < shares.length; i++) candidates.add(new Candidate(sheets.get(i), shares[i]));
        candidates.sort(Comparator.comparingDouble((Candidate c) -> -c.share).thenComparing(c -> c.vehicle.id()));
        return new WhichSystem(candidates, nextLook(sheets, shares, seen));
    }

    private static double weight(Sheet.Vehicle sheet, Seen seen) {
        double weight = seen.year
                .map(y -> y >= sheet.fromYear() && y <= sheet.toYear() ? YEAR_FITS : 1 - YEAR_FITS)
                .orElse(1.0);
        for (var sign : seen.signs.entrySet()) weight *= likelihood(sign.getKey(), sign.getValue(), sheet);
        for (var trait : seen.traits.entrySet()) weight *= likelihood(trait.getKey(), trait.getValue(), sheet);
        return weight;
    }

    private static double likelihood(AudioSign sign, boolean there, Sheet.Vehicle sheet) {
        double p = SEEN.get(sign)[sheet.amplified() ? 0 : 1];
        return there ? p : 1 - p;
    }

    /** A sheet that does not state the trait is neither helped nor hurt. */
    private static double likelihood(Trait trait, String read, Sheet.Vehicle sheet) {
        String stated = sheet.traits().get(trait);
        return stated == null ? UNSTATED : trait.agrees(stated, read) ? TRAIT_FITS : 1 - TRAIT_FITS;
    }

    private static void normalise(double[] shares) {
        double sum = Arrays.stream(shares).sum();
        for (int i = 0; i < shares.length; i++) shares[i] /= sum;
    }

    /** The look whose answer leaves least uncertainty on average (expected entropy). */
    private static Optional<Look> nextLook(List<Sheet.Vehicle> sheets, double[] shares, Seen seen) {
        List<Look> looks = Stream.<Look>concat(
                        Arrays.stream(AudioSign.values()).map(SignLook::new),
                        Arrays.stream(Trait.values()).map(TraitLook::new))
                .filter(l -> !seen.has(l))
                .toList();
        double now = entropy(shares);
        return looks.stream()
                .filter(l -> now - expectedEntropy(sheets, shares, l) > GAIN_WORTH_A_LOOK)
                .min(Comparator.comparingDouble(l -> expectedEntropy(sheets, shares, l)));
    }

    /** For each answer, how likely each sheet makes it; each sheet's answers add up to 1. */
    private static List<double[]> answers(List<Sheet.Vehicle> sheets, Look look) {
        if (look instanceof SignLook s)
            return Stream.of(true, false)
                    .map(there -> sheets.stream()
                            .mapToDouble(v -> likelihood(s.sign(), there, v))
                            .toArray())
                    .toList();
        Trait trait = ((TraitLook) look).trait();
        List<String> readings = sheets.stream()
                .map(v -> v.traits().get(trait))
                .filter(Objects::nonNull)
                .map(trait::example)
                .distinct()
                .toList();
        List<double[]> answers = readings.stream()
                .map(r -> sheets.stream()
                        .mapToDouble(v -> likelihood(trait, r, v))
                        .toArray())
                .toList();
        for (int i = 0; i < sheets.size(); i++) {
            int sheet = i;
            double sum = answers.stream().mapToDouble(a -> a[sheet]).sum();
            answers.forEach(a -> a[sheet] /= sum);
        }
        return answers;
    }

    private static double expectedEntropy(List<Sheet.Vehicle> sheets, double[] shares, Look look) {
        List<double[]> answers = answers(sheets, look);
        if (answers.isEmpty()) return entropy(shares);
        double expected = 0;
        for (double[] likelihoods : answers) {
            double[] after = new double[shares.length];
            for (int i = 0; i < shares.length; i++) after[i] = shares[i] * likelihoods[i];
            double chance = Arrays.stream(after).sum();
            normalise(after);
            expected += chance * entropy(after);
        }
        return expected;
    }

    private static double entropy(double[] shares) {
        return Arrays.stream(shares)
                        .filter(p -> p > 0)
                        .map(p -> -p * Math.log(p))
                        .sum()
                / Math.log(2);
    }

    public boolean sure() {
        return !candidates.isEmpty() && candidates.get(0).share >= SURE;
    }
}
