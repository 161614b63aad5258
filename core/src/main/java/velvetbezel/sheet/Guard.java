package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;
import velvetbezel.state.StateField;

/** When a rule is in force. Terminals, ports, settings and modes are named within the rule's own device. */
public sealed interface Guard {
    /**
     * Potential at a terminal against {@code of}. False where not connected, for {@code max} too.
     *
     * @param hold    replaces {@code min} while the rule is in force
     * @param learned names a window stored at first use
     */
    record Volts(
            String terminal,
            String of,
            Optional<Quantity> min,
            Optional<Quantity> max,
            Optional<Quantity> hold,
            Optional<String> learned)
            implements Guard {}

    /** Current through the terminal's outside conductors, either way, at least {@code min} amps. */
    record Amps(String terminal, Quantity min) implements Guard {}

    /** A word field is one of {@code values}, or a field of names has all of them. */
    record State(StateField field, List<String> values) implements Guard {
        public State {
            values = List.copyOf(values);
        }
    }

    record Hears(String port, String signal) implements Guard {}

    record Setting(String name, String is) implements Guard {}

    record Mode(String name, String is) implements Guard {}

    /** True unless the device was misplaced in this way. */
    record Placed(String name) implements Guard {}

    record Met(String condition) implements Guard {}

    record All(List<Guard> guards) implements Guard {
        public All {
            guards = List.copyOf(guards);
        }
    }

    record Any(List<Guard> guards) implements Guard {
        public Any {
            guards = List.copyOf(guards);
        }
    }

    record Not(Guard guard) implements Guard {}

    /** Not known whether it holds; answers are computed both ways. */
    record Open(FieldRef field) implements Guard {}

    Guard ALWAYS = new All(List.of());
}
