package velvetbezel.function;

import java.util.List;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.PortRef;

/** What must be true in the last picture of a step. */
public sealed interface Expect {
    record Arrives(String signal, PortRef at) implements Expect {}

    /** A reading of volts against battery minus, or of amps through a terminal, within min and max. */
    record Reads(Unit unit, TerminalId at, double min, double max) implements Expect {
        public enum Unit {
            VOLTS,
            AMPS
        }
    }

    record InMode(String instance, String mode, String is) implements Expect {}

    record Shows(String instance, String what) implements Expect {}

    /** Noise at a port is not above what its sheet calls quiet. */
    record Quiet(PortRef at) implements Expect {}

    record Not(Expect expect) implements Expect {}

    record Any(List<Expect> expects) implements Expect {
        public Any {
            expects = List.copyOf(expects);
        }
    }
}
