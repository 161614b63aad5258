package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;

/** Which holes of a radio take which slots of a kit's brackets, and how far from flush the face stands then. */
public final class Brackets {
    /** Two screws in one slot need room for their heads (common practice, no source). */
    private static final double APART = 8;

    private Brackets() {}

    /** A screw in a slot. */
    public record HoleAtSlot(int hole, String slot) {}

    /**
     * One way to screw it in.
     *
     * @param setBack  how far the face stands behind flush; negative: before it
     * @param near     how far it can be moved nearer the seat in its slots
     * @param deep     how far deeper
     * @param height   how far it stands above its place
     */
    public record HoleChoice(
            List<HoleAtSlot> left,
            List<HoleAtSlot> right,
            boolean flipLeft,
            boolean flipRight,
            double setBack,
            double near,
            double deep,
            double height) {
        /** "1 front+2 rear/1 front+2 rear": by this a job keeps which it is. */
        public String key() {
            return said(left, flipLeft) + "/" + said(right, flipRight);
        }

        private static String said(List<HoleAtSlot> holes, boolean flip) {
            return holes.stream().map(h -> h.hole() + " " + h.slot()).collect(Collectors.joining("+"))
                    + (flip ? " upside down" : "");
        }

        int flips() {
            return (flipLeft ? 1 : 0) + (flipRight ? 1 : 0);
        }
    }

    private record Ranges(boolean flip, double z0, double z1, double y0, double y1) {}

    /** Two screws of one side, and the ranges that they leave. */
    private record Pair(List<HoleAtSlot> holes, boolean flip, double z0, double z1, double y0, double y1) {}

    /**
     * Every way, flush first; empty where no bracket is described, or no two holes a side meet.
     *
     * @param shift      mm that a face stands deeper than the slots say
     * @param heightRoom mm that it may stand off its height and still be inside its opening
     */
    static List<HoleChoice> choices(RadioBody radio, Optional<KitFrame> kit, double shift, double heightRoom) {
        Optional<KitFrame.Bracket> left = kit.flatMap(KitFrame::left);
        Optional<KitFrame.Bracket> right = kit.flatMap(KitFrame::right);
        if (left.isEmpty() || right.isEmpty()) return List.of();
        List<Pair> rights = pairs(radio, right.get(), "right").stream()
                .sorted(Comparator.comparingDouble(Pair::z0))
                .toList();
        double longest = rights.stream().mapToDouble(r -> r.z1 - r.z0).max().orElse(0);
        Map<Row, HoleChoice> rows = new LinkedHashMap<>();
        for (Pair l : pairs(radio, left.get(), "left"))
            // only those that begin near enough can have a set-back in common
            for (int r = first(rights, l.z0 - longest); r < rights.size() && rights.get(r).z0 <= l.z1; r++) {
                Pair other = rights.get(r);
                both(l, other, shift)
                        .filter(c -> Math.abs(c.height()) <= heightRoom)
                        .ifPresent(c -> rows.putIfAbsent(Row.of(c), c));
            }
        List<HoleChoice> choices = new ArrayList<>(rows.values());
        choices.sort(Comparator.<HoleChoice>comparingDouble(c -> Math.abs(c.setBack()))
                .thenComparingDouble(c -> Math.abs(c.height()))
                .thenComparingInt(HoleChoice::flips)
                .thenComparing(c -> c.left().toString()));
        return choices;
    }

    /** Of rows that hold the face alike the first is told. */
    private record Row(boolean flipLeft, boolean flipRight, double setBack, double near, double deep, double height) {
        static Row of(HoleChoice c) {
            return new Row(c.flipLeft, c.flipRight, c.setBack, c.near, c.deep, c.height);
        }
    }

    private static int first(List<Pair> sorted, double z0) {
        int low = 0;
        int high = sorted.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (sorted.get(middle).z0 < z0) low = middle + 1;
            else high = middle;
        }
        return low;
    }

    private static Optional<HoleChoice> both(Pair l, Pair r, double shift) {
        double z0 = Math.max(l.z0, r.z0) + shift;
        double z1 = Math.min(l.z1, r.z1) + shift;
        double y0 = Math.max(l.y0, r.y0);
        double y1 = Math.min(l.y1, r.y1);
        if (z0 > z1 || y0 > y1) return Optional.empty();
        double setBack = nearest(z0, z1);
        return Optional.of(
                new HoleChoice(l.holes, r.holes, l.flip, r.flip, setBack, setBack - z0, z1 - setBack, nearest(y0, y1)));
    }

    private static double nearest(double from, double to) {
        return Math.max(from, Math.min(to, 0));
    }

    private static List<Pair> pairs(RadioBody radio, KitFrame.Bracket bracket, String side) {
        List<Pair> pairs = new ArrayList<>();
        List<RadioBody.Hole> holes = radio.holes().stream()
                .filter(h -> h.sides().equals("both") || h.sides().equals(side))
                .toList();
        boolean mayFlip = bracket.flip().orElse(false);
        for (boolean flip : mayFlip ? new boolean[] {false, true} : new boolean[] {false})
            for (int a = 0; a < holes.size(); a++)
                for (int b = a + 1; b < holes.size(); b++)
                    for (KitFrame.Slot s : bracket.slots())
                        for (KitFrame.Slot t : bracket.slots())
                            pair(
                                            holes.get(a),
                                            holes.get(b),
                                            s,
                                            t,
                                            flip ? Optional.of(bracket.height()) : Optional.empty())
                                    .ifPresent(pairs::add);
        return distinct(pairs);
    }

    /** Of screws that leave the same ranges the first: they hold the face alike. */
    private static List<Pair> distinct(List<Pair> pairs) {
        Map<Ranges, Pair> first = new LinkedHashMap<>();
        for (Pair p : pairs) first.putIfAbsent(new Ranges(p.flip, p.z0, p.z1, p.y0, p.y1), p);
        return List.copyOf(first.values());
    }

    private static Optional<Pair> pair(
            RadioBody.Hole a, RadioBody.Hole b, KitFrame.Slot s, KitFrame.Slot t, Optional<Double> flipped) {
        boolean crowded = s == t && Math.hypot(a.z() - b.z(), a.y() - b.y()) < APART;
        if (crowded) return Optional.empty();
        double z0 = Math.max(s.z0() - a.z(), t.z0() - b.z());
        double z1 = Math.min(s.z1() - a.z(), t.z1() - b.z());
        double y0 = Math.max(low(s, flipped) - a.y(), low(t, flipped) - b.y());
        double y1 = Math.min(high(s, flipped) - a.y(), high(t, flipped) - b.y());
        if (z0 > z1 || y0 > y1) return Optional.empty();
        return Optional.of(new Pair(
                List.of(new HoleAtSlot(a.number(), s.id()), new HoleAtSlot(b.number(), t.id())),
                flipped.isPresent(),
                z0,
                z1,
                y0,
                y1));
    }

    private static double low(KitFrame.Slot s, Optional<Double> flipped) {
        return flipped.map(h -> h - s.y1()).orElse(s.y0());
    }

    private static double high(KitFrame.Slot s, Optional<Double> flipped) {
        return flipped.map(h -> h - s.y0()).orElse(s.y1());
    }
}
