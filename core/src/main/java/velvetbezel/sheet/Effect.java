package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;

/** What a rule does while in force. Terminals and ports are named within the rule's own device. */
public sealed interface Effect {
    /**
     * Volts behind ohms, from {@code minus} to {@code plus}.
     *
     * @param converter how a device that pulls a wire up reads it; empty where the sheet says nothing of it
     */
    record Drive(String plus, String minus, Quantity volts, Quantity ohms, Optional<Converter> converter)
            implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.drive(this);
        }

        @Override
        public List<Quantity> numbers() {
            return List.of(volts, ohms);
        }

        @Override
        public List<String> terminals() {
            return List.of(plus, minus);
        }
    }

    /** A conductor; signals pass it up to 10 Ω. @param tolerance in percent; empty where nobody stated it */
    record Connect(String a, String b, Quantity ohms, Optional<Double> tolerance) implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.connect(this);
        }

        @Override
        public List<Quantity> numbers() {
            return List.of(ohms);
        }

        @Override
        public List<String> terminals() {
            return List.of(a, b);
        }
    }

    /**
     * A load, in ohms; a sheet may state it in amps at 12 V. Signals never pass.
     *
     * @param tolerance in percent; empty where nobody stated it
     */
    record Draw(String a, String b, Quantity ohms, Optional<Double> tolerance) implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.draw(this);
        }

        @Override
        public List<Quantity> numbers() {
            return List.of(ohms);
        }

        @Override
        public List<String> terminals() {
            return List.of(a, b);
        }
    }

    record Diode(String anode, String cathode, Quantity forwardVolts, Quantity onOhms) implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.diode(this);
        }

        @Override
        public List<Quantity> numbers() {
            return List.of(forwardVolts, onOhms);
        }

        @Override
        public List<String> terminals() {
            return List.of(anode, cathode);
        }
    }

    record Emit(String port, String signal, SignalLevel level) implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.emit(this);
        }
    }

    record Carry(String in, String out, SignalLevel gain) implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.carry(this);
        }
    }

    /** What a person sees or hears of the device itself. */
    record Show(String what) implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.show(this);
        }
    }

    record Enter(String mode, String value) implements Effect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.enter(this);
        }
    }

    /** One method for each kind of effect: a new kind does not compile until everybody who asks has an answer. */
    interface Visitor<R> {
        R drive(Drive effect);

        R connect(Connect effect);

        R draw(Draw effect);

        R diode(Diode effect);

        R emit(Emit effect);

        R carry(Carry effect);

        R show(Show effect);

        R enter(Enter effect);
    }

    <R> R accept(Visitor<R> visitor);

    /** Numbers that it is made with; only electrical effects have some. */
    default List<Quantity> numbers() {
        return List.of();
    }

    /** The two terminals of an electrical effect; none of any other. */
    default List<String> terminals() {
        return List.of();
    }

    /** Whether the effect changes currents and voltages. */
    default boolean electrical() {
        return !terminals().isEmpty();
    }
}
