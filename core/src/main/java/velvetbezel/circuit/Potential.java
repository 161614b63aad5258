package velvetbezel.circuit;

import java.util.Optional;
import velvetbezel.units.Volts;

/** What a meter from a node to another would show, or that there is no path between them. */
public sealed interface Potential {
    record At(Volts volts) implements Potential {}

    record NotConnected() implements Potential {}

    NotConnected NOT_CONNECTED = new NotConnected();

    static Potential of(double volts) {
        return new At(new Volts(volts));
    }

    /** The reading, where there is one. */
    default Optional<Volts> reading() {
        return this instanceof At at ? Optional.of(at.volts()) : Optional.empty();
    }
}
