package velvetbezel.harness;

import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Quantity;

/** A small resistor between two terminals. */
public record Conductor(ConductorId id, Kind kind, TerminalId a, TerminalId b, Quantity ohms, Fact<Boolean> closed) {
    /** A wire, the contact of two mated positions, a leg of a joint, or a bridge made by a fault. */
    public enum Kind {
        WIRE,
        CONTACT,
        LEG,
        BRIDGE
    }

    Conductor open() {
        return new Conductor(id, kind, a, b, ohms, new Fact.Known<>(false, Provenance.of(Provenance.Origin.STATED)));
    }

    Conductor to(TerminalId far) {
        return new Conductor(id, kind, a, far, ohms, closed);
    }

    Conductor withOhms(Quantity changed) {
        return new Conductor(id, kind, a, b, changed, closed);
    }

    /** Not stated to be open; a conductor nobody is sure of may be closed. */
    public boolean mayBeClosed() {
        return closed.known().orElse(true);
    }
}
