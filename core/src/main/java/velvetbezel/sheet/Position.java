package velvetbezel.sheet;

import java.util.Optional;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/**
 * A numbered place in a plug, with the wire in it.
 *
 * @param number as printed on the plug: "A4" is position 4 of plug A
 * @param name   what the device's rules call it; empty when they do not
 * @param role   empty for a position without a wire
 * @param bare   the wire ends as a bare lead, to be joined
 * @param metres length of that wire
 * @param wired  whether the wire is there at all; a car of this trim may lack it
 * @param to     in a vehicle: the terminal at the wire's other end, as device.terminal
 */
public record Position(
        String number,
        String name,
        Optional<LeadRole> role,
        Flow flow,
        Fact<WireColour> colour,
        Fact<Gauge> gauge,
        double metres,
        boolean bare,
        Fact<Boolean> wired,
        Optional<String> to) {
    public boolean empty() {
        return role.isEmpty();
    }
}
