package velvetbezel.sheet;

import java.util.Optional;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/**
 * A numbered place in a plug, with the wire in it.
 *
 * @param number as printed on the plug: "A4" is position 4 of plug A
 * @param name   what the device's rules call it; empty when they do not
 * @param carries what its wire is for; empty for a position without a wire. In a part, missing for a wire that only
 *     carries on what it meets
 * @param state  spare or unused wires are capped and never joined
 * @param bare   the wire ends as a bare lead, to be joined
 * @param metres length of that wire
 * @param wired  whether the wire is there at all; a car of this trim may lack it
 * @param to     in a vehicle: the terminal at the wire's other end, as device.terminal
 */
public record Position(
        String number,
        String name,
        Optional<Fact<LeadRole>> carries,
        LeadState state,
        Flow flow,
        Fact<WireColour> colour,
        Fact<Gauge> gauge,
        double metres,
        boolean bare,
        Fact<Boolean> wired,
        Optional<String> to) {
    /** What its wire is for, where that is known. */
    public Optional<LeadRole> role() {
        return carries.flatMap(Fact::known);
    }

    /** Whether the wire has no role of its own: in a part, one that carries on what it meets. */
    public boolean carriesOn() {
        return carries.filter(Fact.Missing.class::isInstance).isPresent();
    }

    /** Whether two positions pushed together may carry the same. */
    public boolean agrees(Position other) {
        if (empty() || other.empty()) return false;
        return carriesOn() || other.carriesOn() || role().isPresent() && role().equals(other.role());
    }

    /** The same position with another role. */
    public Position carrying(Fact<LeadRole> role) {
        return new Position(number, name, Optional.of(role), state, flow, colour, gauge, metres, bare, wired, to);
    }

    /** The same with its wire cut off: the end is bare. */
    public Position cut() {
        return new Position(number, name, carries, state, flow, colour, gauge, metres, !empty(), wired, to);
    }

    /** What its wire is for, as a line says it: "spare accessory", "illumination?", "unknown", "empty". */
    public String roleWords() {
        return carries.map(c -> state.before(LeadRole.words(c))).orElse("empty");
    }

    public boolean empty() {
        return carries.isEmpty();
    }
}
