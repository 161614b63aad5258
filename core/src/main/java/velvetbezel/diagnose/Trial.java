package velvetbezel.diagnose;

import velvetbezel.function.FunctionId;
import velvetbezel.harness.TerminalId;

/** Something to try or to measure. */
public sealed interface Trial {
    /** Minutes of one (from memory). */
    int CHECK = 1;

    int READING = 1;

    /** Trying a function. */
    record OfCheck(FunctionId function) implements Trial {
        @Override
        public int minutes() {
            return CHECK;
        }
    }

    /** Volts against body metal. @param words where the probe goes */
    record OfReading(TerminalId at, MeasuringState in, String words) implements Trial {
        @Override
        public int minutes() {
            return READING;
        }
    }

    int minutes();
}
