package velvetbezel.diagnose;

/** What a person saw, measured or found. */
public sealed interface Observation {
    /** The finding that was seen is none that a fault here would show. */
    int NONE_OF_THEM = -2;
    /** It is not right, and nobody said in which way. */
    int NOT_RIGHT = -1;
    /** It is right at times, and wrong at others. */
    int SOMETIMES = -3;

    /** @param finding place among the test's findings, or one of those above */
    record OfTest(Trial test, int finding) implements Observation {}

    /** It could not be tried: nothing is known by it, and it is not advised again. */
    record CouldNot(Trial test) implements Observation {}

    /** The meter was tried on a point that is known to be live, its clip where it was. */
    record MeterProved() implements Observation {}

    /** A place was looked at. @param found whether something was wrong there */
    record OfLook(RepairPoint place, boolean found) implements Observation {}
}
