package velvetbezel.controls;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What to do about a wheel, by what was measured. Its thresholds are our choice.
 *
 * @param learned limit of the ring as learned from the sheet; {@code again} once learned as it is now
 */
public record LadderVerdict(
        Kind kind, Optional<LadderEstimate> estimate, Optional<RingLimit> learned, Optional<ButtonLadder> again) {
    /** READS_RIGHT with less than this share of the ring limit used up. */
    private static final double USED = 0.5;
    /** A wobble may take up this share of the room after learning again. */
    private static final double WOBBLE = 0.25;
    /** A ring with more than so many limits is cleaned, not learned. */
    private static final double DIRTY = 2;
    /** Less than so many ohms on every button is a short. */
    private static final double SHORT = 5;

    private static final double ALIKE = 0.02;

    /** From the best to the worst, as far as that can be said. */
    public enum Kind {
        READS_RIGHT,
        LEARN_AGAIN,
        CLEAN_RING,
        REPAIR_BUTTON,
        NOT_THIS_LADDER,
        WIRE_OPEN,
        WIRE_SHORTED,
        UNKNOWN;

        /** Whether something at the wheel has to be mended, and not only learned. */
        public boolean wrong() {
            return this != READS_RIGHT && this != LEARN_AGAIN && this != UNKNOWN;
        }
    }

    public static LadderVerdict of(ButtonLadder ladder, KeyReadings readings) {
        Map<String, Double> least = readings.least();
        least.keySet().removeIf(b -> ladder.rung(b).isEmpty());
        if (least.isEmpty()) return plain(Kind.UNKNOWN);
        if (least.values().stream().allMatch(o -> Double.isInfinite(o)))
            return plain(least.size() > 1 ? Kind.WIRE_OPEN : Kind.UNKNOWN);
        double most = least.values().stream().max(Double::compare).orElseThrow();
        double fewest = least.values().stream().min(Double::compare).orElseThrow();
        if (least.size() > 1 && most < SHORT + fewest * ALIKE && fewest < SHORT) return plain(Kind.WIRE_SHORTED);
        List<LadderEstimate.Odd> dead = least.entrySet().stream()
                .filter(b -> Double.isInfinite(b.getValue()))
                .map(b -> new LadderEstimate.Odd(b.getKey(), Double.POSITIVE_INFINITY))
                .toList();
        return judged(ladder, LadderEstimate.of(ladder, readings).and(dead));
    }

    private static LadderVerdict plain(Kind kind) {
        return new LadderVerdict(kind, Optional.empty(), Optional.empty(), Optional.empty());
    }

    private static LadderVerdict judged(ButtonLadder ladder, LadderEstimate e) {
        ButtonLadder now = asMeasured(ladder, e);
        return new LadderVerdict(kind(ladder, e, now), Optional.of(e), ladder.first(), Optional.of(now));
    }

    private static Kind kind(ButtonLadder ladder, LadderEstimate e, ButtonLadder now) {
        if (e.many()) return Kind.NOT_THIS_LADDER;
        double limit = ladder.first().map(f -> f.more().value()).orElse(0.0);
        double contact = Math.max(0, e.contact());
        if (!e.odd().isEmpty()) return oddOnesClear(now, e) ? Kind.LEARN_AGAIN : Kind.REPAIR_BUTTON;
        if (contact + e.twoSigma() + e.wobble() < USED * limit) return Kind.READS_RIGHT;
        double room = now.first().map(f -> f.more().value()).orElse(0.0);
        boolean learnable = now.clear() && e.wobble() < WOBBLE * room && contact < DIRTY * limit;
        return learnable ? Kind.LEARN_AGAIN : Kind.CLEAN_RING;
    }

    private static boolean oddOnesClear(ButtonLadder now, LadderEstimate e) {
        return now.gaps().stream()
                .filter(g -> e.odd().stream()
                        .anyMatch(o -> g.below().equals(o.button()) || g.above().equals(o.button())))
                .allMatch(g -> g.kind() == WindowGap.Kind.CLEAR);
    }

    /** With the contact in series, and the odd buttons off as they are. */
    private static ButtonLadder asMeasured(ButtonLadder ladder, LadderEstimate e) {
        double contact = Math.max(0, e.contact());
        return ladder.of(
                ladder.reader(),
                ladder.rungs().stream()
                        .map(r -> new Rung(r.button(), Math.max(0, r.ohms() + contact + off(ladder, r, e))))
                        .toList());
    }

    private static double off(ButtonLadder ladder, Rung rung, LadderEstimate e) {
        if (rung.rest()) return 0;
        return e.odd().stream()
                .filter(o -> ladder.series()
                        ? ladder.rung(o.button()).orElseThrow().ohms() <= rung.ohms()
                        : o.button().equals(rung.button()))
                .mapToDouble(LadderEstimate.Odd::off)
                .sum();
    }
}
