package velvetbezel.function;

import java.util.List;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.PortRef;

/** What must be true in the last picture of a step. */
public sealed interface Expect {
    record Arrives(String signal, PortRef at) implements Expect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.arrives(this);
        }
    }

    /** A reading of volts against battery minus, or of amps through a terminal, within min and max. */
    record Reads(Unit unit, TerminalId at, double min, double max) implements Expect {
        public enum Unit {
            VOLTS,
            AMPS
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.reads(this);
        }
    }

    record InMode(String instance, String mode, String is) implements Expect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.inMode(this);
        }
    }

    record Shows(String instance, String what) implements Expect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.shows(this);
        }
    }

    /**
     * A signal that is at one port would arrive at another, whether or not it is there: half of an arrival, the other
     * half being that it arrives at the first. No catalogue asks for it.
     */
    record Passes(String signal, PortRef from, PortRef at) implements Expect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.passes(this);
        }
    }

    /** Noise at a port is not above what its sheet calls quiet. */
    record Quiet(PortRef at) implements Expect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.quiet(this);
        }
    }

    record Not(Expect expect) implements Expect {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.not(this);
        }
    }

    record Any(List<Expect> expects) implements Expect {
        public Any {
            expects = List.copyOf(expects);
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.any(this);
        }
    }

    /** One method for each kind: a new kind does not compile until everybody who asks has an answer. */
    interface Visitor<R> {
        R arrives(Arrives expect);

        R reads(Reads expect);

        R inMode(InMode expect);

        R shows(Shows expect);

        R passes(Passes expect);

        R quiet(Quiet expect);

        R not(Not expect);

        R any(Any expect);
    }

    <R> R accept(Visitor<R> visitor);
}
