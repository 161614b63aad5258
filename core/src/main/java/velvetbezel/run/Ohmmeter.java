package velvetbezel.run;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import velvetbezel.circuit.Resistances;
import velvetbezel.harness.TerminalId;
import velvetbezel.units.Ohms;

/** What an ohmmeter would show in a picture with everything switched off: the resistors alone. */
public final class Ohmmeter {
    private final Picture picture;
    private final Resistances resistances;

    private Ohmmeter(Picture picture, Resistances resistances) {
        this.picture = picture;
        this.resistances = resistances;
    }

    /** @param asked the only terminals between which is measured */
    public static Ohmmeter of(Picture picture, Collection<TerminalId> asked) {
        return new Ohmmeter(
                picture,
                new Resistances(
                        picture.netlist(), asked.stream().map(picture::node).toList()));
    }

    /** Between two terminals alone; empty where they are not joined. */
    public static Optional<Ohms> ohms(Picture picture, TerminalId a, TerminalId b) {
        return of(picture, List.of(a, b)).between(a, b);
    }

    /** @return empty where they are not joined */
    public Optional<Ohms> between(TerminalId a, TerminalId b) {
        return resistances.between(picture.node(a), picture.node(b));
    }
}
