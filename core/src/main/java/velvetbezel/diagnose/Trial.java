package velvetbezel.diagnose;

import java.util.List;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.TerminalId;
import velvetbezel.prove.Meter;

/** Something to try or to measure. */
public sealed interface Trial {
    /** Minutes of one (from memory). */
    int CHECK = 1;

    int READING = 1;

    /** The clamp comes off and goes on again once for several (common practice, no source). */
    int WITHOUT_BATTERY = 1;

    /** Exchanged, and changed back (from memory). */
    int EXCHANGE = 6;

    /** Until a car sleeps (common practice, no source). */
    int FALLING_ASLEEP = 20;

    /** Trying a function. */
    record OfCheck(FunctionId function) implements Trial {
        @Override
        public int minutes() {
            return CHECK;
        }
    }

    /**
     * Trying a function with two like things exchanged.
     *
     * @param words what is exchanged
     */
    record OfSwap(List<Edit> exchange, FunctionId again, String words) implements Trial {
        public OfSwap {
            exchange = List.copyOf(exchange);
        }

        @Override
        public int minutes() {
            return CHECK + EXCHANGE;
        }
    }

    /** Reading a meter. */
    sealed interface Measured extends Trial {
        Meter meter();

        /** Where the probes go. */
        String words();

        @Override
        default int minutes() {
            return switch (meter()) {
                case VOLTS -> READING;
                case OHMS -> READING + WITHOUT_BATTERY;
                case AMPS -> READING + FALLING_ASLEEP;
            };
        }
    }

    /** Volts against body metal. */
    record OfReading(TerminalId at, MeasuringState in, String words) implements Measured {
        @Override
        public Meter meter() {
            return Meter.VOLTS;
        }
    }

    /** Ohms, with the battery's negative clamp off. @param to the battery's negative for body metal */
    record OfOhms(TerminalId from, TerminalId to, String words) implements Measured {
        @Override
        public Meter meter() {
            return Meter.OHMS;
        }
    }

    /** The current that is drawn once everything sleeps. */
    record OfStandby(String words) implements Measured {
        @Override
        public Meter meter() {
            return Meter.AMPS;
        }
    }

    int minutes();
}
