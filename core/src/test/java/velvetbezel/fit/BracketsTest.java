package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;

/** Holes and slots against trying every millimetre. */
class BracketsTest {
    private static final int FAR = 90;
    private static final int HIGH = 4;

    private static RadioBody radio(Random r) {
        StringBuilder holes = new StringBuilder();
        for (int n = 1; n <= 4; n++)
            holes.append(n > 1 ? ", " : "")
                    .append("{'n': %d, 'sides': '%s', 'z': %d, 'y': %d}"
                            .formatted(n, n < 4 ? "both" : "left", 10 + r.nextInt(100), 10 + r.nextInt(4)));
        return Dashes.radio("{'face': {'w': 180, 'h': 100}, 'chassis': {'w': 178, 'h': 98, 'd': 150}, 'holes': [%s]}"
                .formatted(holes));
    }

    private static String bracket(Random r) {
        StringBuilder slots = new StringBuilder();
        for (int s = 0; s < 3; s++) {
            int z = 5 + r.nextInt(100);
            int y = 8 + r.nextInt(4);
            slots.append(s > 0 ? ", " : "")
                    .append("{'id': 's%d', 'z': [%d, %d], 'y': [%d, %d]}"
                            .formatted(s, z, z + 8 + r.nextInt(20), y, y + 2 + r.nextInt(3)));
        }
        return "{'height': 98, 'flip': %s, 'slots': [%s]}".formatted(r.nextBoolean(), slots);
    }

    /** Whether two screws hold a side with the face so far back and so high. */
    private static boolean holds(RadioBody radio, KitFrame.Bracket b, String side, int back, int high) {
        for (boolean flip : b.flip().orElse(false) ? new boolean[] {false, true} : new boolean[] {false})
            for (RadioBody.Hole one : radio.holes())
                for (RadioBody.Hole two : radio.holes())
                    for (KitFrame.Slot s : b.slots())
                        for (KitFrame.Slot t : b.slots())
                            if (one.number() < two.number()
                                    && on(one, side)
                                    && on(two, side)
                                    && (s != t || Math.hypot(one.z() - two.z(), one.y() - two.y()) >= 8)
                                    && in(one, s, b, flip, back, high)
                                    && in(two, t, b, flip, back, high)) return true;
        return false;
    }

    private static boolean on(RadioBody.Hole h, String side) {
        return h.sides().equals("both") || h.sides().equals(side);
    }

    private static boolean in(RadioBody.Hole h, KitFrame.Slot s, KitFrame.Bracket b, boolean flip, int back, int high) {
        double y0 = flip ? b.height() - s.y1() : s.y0();
        double y1 = flip ? b.height() - s.y0() : s.y1();
        double z = h.z() + back;
        double y = h.y() + high;
        return z >= s.z0() && z <= s.z1() && y >= y0 && y <= y1;
    }

    @Test
    void nearestToFlushIsWhatTryingEveryMillimetreFinds() {
        int found = 0;
        int none = 0;
        for (int seed = 0; seed < 60; seed++) {
            Random r = new Random(seed);
            RadioBody radio = radio(r);
            Optional<KitFrame> kit = Dashes.kit(
                    "{'mount': 'iso', 'brackets': {'left': %s, 'right': %s}}".formatted(bracket(r), bracket(r)));
            int best = Integer.MAX_VALUE;
            for (int back = -FAR; back <= FAR; back++)
                for (int high = -HIGH; high <= HIGH; high++)
                    if (Math.abs(back) < best
                            && holds(radio, kit.orElseThrow().left().orElseThrow(), "left", back, high)
                            && holds(radio, kit.orElseThrow().right().orElseThrow(), "right", back, high))
                        best = Math.abs(back);
            double own = Brackets.choices(radio, kit, 0, HIGH).stream()
                    .mapToDouble(c -> Math.abs(c.setBack()))
                    .min()
                    .orElse(Integer.MAX_VALUE);
            assertEquals(best, own, "seed " + seed);
            if (best == Integer.MAX_VALUE) none++;
            else found++;
        }
        assertTrue(found > 10 && none > 10, found + " found, " + none + " not");
    }
}
