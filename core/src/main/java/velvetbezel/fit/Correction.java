package velvetbezel.fit;

import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.fit.Site;

/**
 * By how much earlier fittings with one kit came out deeper than their holes say: every row of holes is as far off.
 *
 * @param range   from the least to the most that was seen
 * @param records how many fittings it rests on
 */
public record Correction(Range range, int records) {
    /** Fittings further apart than this contradict each other (FIT 3.10). */
    private static final double AGREE = 2;

    static Optional<Correction> of(Site site, String kit) {
        List<Double> off = site.fittings().stream()
                .filter(f -> f.kit().equals(kit))
                .map(f -> f.seen() - f.computed())
                .sorted()
                .toList();
        if (off.isEmpty()) return Optional.empty();
        double least = off.get(0);
        double most = off.get(off.size() - 1);
        return Optional.of(new Correction(new Range(least, (least + most) / 2, most), off.size()));
    }

    /** Whether the fittings contradict each other. */
    public boolean conflict() {
        return range.most() - range.least() > AGREE;
    }
}
