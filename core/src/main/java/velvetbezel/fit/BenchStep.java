package velvetbezel.fit;

import java.util.List;
import java.util.Locale;

/**
 * One step of putting kit and radio together, in its order: at the bench, then in the car.
 *
 * @param of what it speaks of, as its kind wants it
 */
public record BenchStep(Kind kind, List<String> of) {
    public BenchStep {
        of = List.copyOf(of);
    }

    /** "take out cross brace": by this a job keeps that it is done. */
    public String key() {
        return of.isEmpty() ? kind.word() : kind.word() + " " + of.get(0);
    }

    /** What is done. */
    public enum Kind {
        /** Factory parts move over, with their own screws. */
        KEEP,
        INSERTS_OUT,
        INSERTS_IN,
        HOLES,
        BRACKET,
        TOGETHER,
        SCREW,
        SCREW_UNKNOWN,
        TABS_FOLD,
        TABS_IDLE,
        /** Nobody measured how far the walls are. */
        TABS_LOOK,
        RING_ON,
        NO_BRACKETS,
        FEET,
        TAKE_OUT,
        MOVE_ASIDE,
        CUT,
        /** Leads go through closed rings first. */
        RINGS,
        TEST_FIT,
        CLIPS,
        FOAM;

        /** Whether it is done in the car and not at the bench. */
        public boolean inTheCar() {
            return compareTo(TAKE_OUT) >= 0;
        }

        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
    }
}
