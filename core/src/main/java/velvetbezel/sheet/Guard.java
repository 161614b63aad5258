package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
            implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.volts(this);
        }

        @Override
        public List<Quantity> numbers() {
            return Stream.of(min, max, hold).flatMap(Optional::stream).toList();
        }

        @Override
        public List<String> terminals() {
            return List.of(terminal, of);
        }
    }

    /** Current through the terminal's outside conductors, either way, at least {@code min} amps. */
    record Amps(String terminal, Quantity min) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.amps(this);
        }

        @Override
        public List<Quantity> numbers() {
            return List.of(min);
        }

        @Override
        public List<String> terminals() {
            return List.of(terminal);
        }
    }

    /** A word field is one of {@code values}, or a field of names has all of them. */
    record State(StateField field, List<String> values) implements Guard {
        public State {
            values = List.copyOf(values);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.state(this);
        }
    }

    record Hears(String port, String signal) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.hears(this);
        }
    }

    record Setting(String name, String is) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.setting(this);
        }
    }

    record Mode(String name, String is) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.mode(this);
        }
    }

    /** True unless the device was misplaced in this way. */
    record Placed(String name) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.placed(this);
        }
    }

    record Met(String condition) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.met(this);
        }
    }

    record All(List<Guard> guards) implements Guard {
        /** Here and not in the interface: two threads that load both at once would wait for each other. */
        public static final Guard ALWAYS = new All(List.of());

        public All {
            guards = List.copyOf(guards);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.all(this);
        }

        @Override
        public List<Guard> inner() {
            return guards;
        }
    }

    record Any(List<Guard> guards) implements Guard {
        public Any {
            guards = List.copyOf(guards);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.any(this);
        }

        @Override
        public List<Guard> inner() {
            return guards;
        }
    }

    record Not(Guard guard) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.not(this);
        }

        @Override
        public List<Guard> inner() {
            return List.of(guard);
        }
    }

    /** Not known whether it holds; answers are computed both ways. */
    record Open(FieldRef field) implements Guard {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.open(this);
        }
    }

    /** One method for each kind of guard: a new kind does not compile until everybody who asks has an answer. */
    interface Visitor<R> {
        R volts(Volts guard);

        R amps(Amps guard);

        R state(State guard);

        R hears(Hears guard);

        R setting(Setting guard);

        R mode(Mode guard);

        R placed(Placed guard);

        R met(Met guard);

        R all(All guard);

        R any(Any guard);

        R not(Not guard);

        R open(Open guard);
    }

    <R> R accept(Visitor<R> visitor);

    /** Guards that this one is made of. */
    default List<Guard> inner() {
        return List.of();
    }

    /** Numbers that it compares with. */
    default List<Quantity> numbers() {
        return List.of();
    }

    /** Terminals that it measures at. */
    default List<String> terminals() {
        return List.of();
    }

    /** This guard and all that it is made of, outside first. */
    default Stream<Guard> parts() {
        return Stream.concat(Stream.of(this), inner().stream().flatMap(Guard::parts));
    }
}
