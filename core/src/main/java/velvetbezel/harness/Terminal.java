package velvetbezel.harness;

import java.util.Optional;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Location;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/**
 * A terminal and what its sheet says of it.
 *
 * @param carries  what its own sheet calls it; in a harness adapter that is the maker's label, and the car decides.
 *     Empty for what has no role: a device's inside
 * @param place    where it is, for people: "A4", or the name of the lead
 * @param location where in the car it lies
 */
public record Terminal(
        TerminalId id,
        Kind kind,
        Optional<Fact<LeadRole>> carries,
        LeadState state,
        Flow flow,
        Fact<WireColour> colour,
        Fact<Gauge> gauge,
        String place,
        Location location) {
    /**
     * INNER terminals belong to a device's inside; BARE ones are lead ends to be joined; at a TAP a lead is joined to a
     * wire of the car that stays whole.
     */
    public enum Kind {
        POSITION,
        BARE,
        INNER,
        TAP
    }

    /** What its own sheet calls it, where that is known. */
    public Optional<LeadRole> role() {
        return carries.flatMap(Fact::known);
    }

    /** Whether a joint can be made here. */
    public boolean joinable() {
        return kind == Kind.BARE || kind == Kind.TAP;
    }
}
