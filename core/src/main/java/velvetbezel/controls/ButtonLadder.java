package velvetbezel.controls;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import velvetbezel.run.Window;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * The buttons of one reader. Resistance seen from a reader never falls when a resistor grows (Rayleigh's monotonicity
 * law), so the bands' ends are at the corners: all resistors low with the pull-up high, and the reverse.
 *
 * @param rungs     by rising ohms, what is seen at rest among them
 * @param series    whether a button shorts a chain of resistors, rather than putting in one of its own
 * @param tolerance of the wheel's resistors, as a share of them
 * @param assumed   whether the sheet states no tolerance
 */
public record ButtonLadder(KeyReader reader, List<Rung> rungs, boolean series, double tolerance, boolean assumed) {
    /** Of a wheel whose sheet does not say: less would call sound wheels faulty (common practice, no source). */
    public static final double USUAL_TOLERANCE = 0.10;

    /** Half a step of the converter, and two of noise (our choice). */
    private static final double LEARNED_STEPS = 2.5;

    /** Below every reading, and above. */
    static final double FAR = 1000;

    public ButtonLadder {
        rungs = rungs.stream().sorted(Comparator.comparingDouble(Rung::ohms)).toList();
    }

    /** Buttons by rising ohms. */
    public List<Rung> buttons() {
        return rungs.stream().filter(r -> !r.rest()).toList();
    }

    public Optional<Rung> rung(String button) {
        return rungs.stream().filter(r -> r.button().equals(button)).findFirst();
    }

    /** The same wheel with more ohms in series. */
    public ButtonLadder with(double contact) {
        return of(
                reader,
                rungs.stream()
                        .map(r -> new Rung(r.button(), r.ohms() + contact))
                        .toList());
    }

    /** The same with what each button was measured at. */
    ButtonLadder of(KeyReader other, List<Rung> measured) {
        return new ButtonLadder(other, measured, series, tolerance, assumed);
    }

    ButtonLadder pulledUpBy(double ohms) {
        return of(
                new KeyReader(reader.at(), reader.of(), reader.reference(), new Ohms(ohms), reader.converter()), rungs);
    }

    private double volts(Rung r) {
        return reader.share(r.ohms()) * reader.reference().value();
    }

    /** By rising volts, with the windows that are stored when it is learned as it is. */
    public List<VoltBand> bands() {
        return rungs.stream()
                .map(r -> new VoltBand(
                        r.button(), new Volts(corner(r, -1)), new Volts(volts(r)), new Volts(corner(r, 1)), window(r)))
                .toList();
    }

    /** @param way −1 for the lowest volts, 1 for the highest */
    private double corner(Rung r, int way) {
        double ohms = r.ohms() * (1 + way * tolerance);
        double pullUp = reader.pullUp().value() * (1 - way * reader.tolerance());
        return KeyReader.share(ohms, pullUp) * reader.reference().value() * (1 + way * reader.referenceError());
    }

    /** Halfway to both neighbours, as a device divides the axis that learned them. */
    public Optional<Window> window(Rung r) {
        if (r.rest()) return Optional.empty();
        int i = rungs.indexOf(r);
        double low = i == 0 ? -FAR : (volts(rungs.get(i - 1)) + volts(r)) / 2;
        double high = i == rungs.size() - 1 ? FAR : (volts(rungs.get(i + 1)) + volts(r)) / 2;
        return high - low > reader.step() ? Optional.of(new Window(low, high)) : Optional.empty();
    }

    /** Between neighbours whose resistors are known, as a device knows those it learned. */
    public List<WindowGap> gaps() {
        List<WindowGap> gaps = new ArrayList<>();
        for (int i = 1; i < rungs.size(); i++)
            gaps.add(WindowGap.of(
                    rungs.get(i - 1).button(),
                    rungs.get(i).button(),
                    (volts(rungs.get(i)) - volts(rungs.get(i - 1))) / reader.step() - 2 * LEARNED_STEPS));
        return gaps;
    }

    /** Whether a device that learned these buttons tells them all apart. */
    public boolean clear() {
        return gaps().stream().allMatch(g -> g.kind() == WindowGap.Kind.CLEAR);
    }

    /** Of each button, the least first; none for one that is the last on the axis. */
    public List<RingLimit> ringLimits() {
        List<RingLimit> limits = new ArrayList<>();
        for (int i = 0; i + 1 < rungs.size(); i++) {
            Rung r = rungs.get(i);
            double edge =
                    (reader.share(r.ohms()) + reader.share(rungs.get(i + 1).ohms())) / 2;
            double more = Math.max(0, reader.ohmsAt(edge) - r.ohms());
            if (!r.rest())
                limits.add(new RingLimit(
                        new Ohms(more), r.button(), rungs.get(i + 1).button()));
        }
        limits.sort(Comparator.comparing(RingLimit::more));
        return limits;
    }

    /** The button that goes first when the slip ring ages; empty where there is none. */
    public Optional<RingLimit> first() {
        return ringLimits().stream().findFirst();
    }

    /** Whether two buttons cannot be told apart whatever the pull-up. */
    public boolean equalButtons() {
        for (int i = 1; i < rungs.size(); i++)
            if (rungs.get(i).ohms() == rungs.get(i - 1).ohms()) return true;
        return false;
    }

    /** The least space between neighbours, as a share of the reference. */
    public double leastShare() {
        double least = 1;
        for (int i = 1; i < rungs.size(); i++)
            least = Math.min(
                    least,
                    reader.share(rungs.get(i).ohms())
                            - reader.share(rungs.get(i - 1).ohms()));
        return least;
    }

    /**
     * The same ladder at the pull-up that leaves most space between its nearest neighbours, of two alike the one whose
     * slip ring may age more. Among those that the reader's sheet names, else of the series E24. Empty where no pull-up
     * helps: equal buttons, or fewer than two rungs.
     */
    public Optional<ButtonLadder> best() {
        if (rungs.size() < 2 || equalButtons()) return Optional.empty();
        List<Double> choice = reader.pullUps().isEmpty() ? E24.OHMS : reader.pullUps();
        return choice.stream()
                .map(this::pulledUpBy)
                .max(Comparator.comparingDouble(ButtonLadder::leastShare)
                        .thenComparing(l -> l.first().map(f -> f.more().value()).orElse(0.0)));
    }
}
