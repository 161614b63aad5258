package velvetbezel.diagnose;

import java.util.List;

/** The one next thing to do. */
public sealed interface Advice {
    /**
     * @param bits    how much it is expected to tell
     * @param chances of each of its findings
     */
    record Try(Trial test, double bits, List<Double> chances) implements Advice {
        public Try {
            chances = List.copyOf(chances);
        }
    }

    /** @param belief share of all that speaks for something at this place */
    record LookAt(RepairPoint place, double belief) implements Advice {}

    /** The meter itself is in doubt: its clip, leads and fuse come first, on a point that is known to be live. */
    record ProveMeter(double belief) implements Advice {}

    /** What was seen fits no fault that is known here. */
    record NoneFits() implements Advice {}
}
