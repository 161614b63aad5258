package velvetbezel.circuit;

import java.util.Optional;
import velvetbezel.units.Volts;

/** What a meter from a node to another would show, or that there is no path between them. */
public sealed interface NodeVoltage {
    record At(Volts volts) implements NodeVoltage {}

    record NotConnected() implements NodeVoltage {}

    NotConnected NOT_CONNECTED = new NotConnected();

    static NodeVoltage of(double volts) {
        return new At(new Volts(volts));
    }

    /** The reading, where there is one. */
    default Optional<Volts> reading() {
        return this instanceof At at ? Optional.of(at.volts()) : Optional.empty();
    }
}
