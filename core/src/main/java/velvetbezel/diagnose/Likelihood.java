package velvetbezel.diagnose;

import java.util.List;

/**
 * How likely a person says one thing where another is predicted. All of them are common practice, no source: people
 * mishear, and meters slip.
 */
final class Likelihood {
    private static final double AS_PREDICTED = 0.95;
    private static final double RIGHT_FOR_WRONG = 0.02;
    private static final double OTHER_SYMPTOM = 0.03;
    private static final double UNHEARD_OF = 0.1;
    private static final double UNHEARD_OF_AND_RIGHT = 0.01;
    private static final double READS_RIGHT = 0.97;
    private static final double READS_WRONG = 0.03;
    private static final double LOOKS_RIGHT = 0.95;
    private static final double AT_TIMES_WRONG = 0.6;
    /** Of two faults, either may hide the other. */
    private static final double EITHER = 0.4;

    private static final double NEITHER = 0.2;

    private Likelihood() {}

    /** @param predicted place among {@code of} findings; {@code seen} the same, or below 0 as an observation says */
    static double of(Trial test, int of, int predicted, int seen) {
        if (seen == Observation.SOMETIMES) return predicted == 0 ? 1 - AT_TIMES_WRONG : AT_TIMES_WRONG;
        return test instanceof Trial.Measured ? reading(of, predicted, seen) : check(predicted, seen);
    }

    private static double check(int predicted, int seen) {
        if (seen == Observation.NONE_OF_THEM) return predicted == 0 ? UNHEARD_OF_AND_RIGHT : UNHEARD_OF;
        if (seen == Observation.NOT_RIGHT) return predicted == 0 ? RIGHT_FOR_WRONG : AS_PREDICTED;
        if (seen == predicted) return AS_PREDICTED;
        return (predicted == 0) != (seen == 0) ? RIGHT_FOR_WRONG : OTHER_SYMPTOM;
    }

    private static double reading(int of, int predicted, int seen) {
        if (seen == Observation.NONE_OF_THEM) return UNHEARD_OF_AND_RIGHT;
        if (seen == Observation.NOT_RIGHT) return predicted == 0 ? READS_WRONG : READS_RIGHT;
        return seen == predicted ? READS_RIGHT : READS_WRONG / Math.max(1, of - 1);
    }

    /** Of two faults at once: what one alone shows where the other shows nothing, else either. */
    static double pair(Trial test, int of, int first, int second, int seen) {
        if (first == second || second == 0) return of(test, of, first, seen);
        if (first == 0) return of(test, of, second, seen);
        return EITHER * of(test, of, first, seen)
                + EITHER * of(test, of, second, seen)
                + NEITHER * (test instanceof Trial.Measured ? READS_WRONG / Math.max(1, of - 1) : OTHER_SYMPTOM);
    }

    /** Of a meter that is not in circuit: it shows nothing, whatever is there. */
    static double deadMeter(List<Finding> of, int seen) {
        if (seen < 0) return UNHEARD_OF_AND_RIGHT;
        return of.get(seen) instanceof Finding.Nothing ? READS_RIGHT : READS_WRONG / Math.max(1, of.size() - 1);
    }

    static double look(boolean there, boolean found) {
        return there == found ? LOOKS_RIGHT : 1 - LOOKS_RIGHT;
    }
}
