package velvetbezel.harness;

import java.util.Optional;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/**
 * A terminal and what its sheet says of it.
 *
 * @param role  what its own sheet calls it; in a harness adapter that is the maker's label, and the car decides
 * @param place where it is, for people: "A4", or the name of the lead
 */
public record Terminal(
        TerminalId id,
        Kind kind,
        Optional<LeadRole> role,
        Flow flow,
        Fact<WireColour> colour,
        Fact<Gauge> gauge,
        String place) {
    /** INNER terminals belong to a device's inside; BARE ones are lead ends to be joined. */
    public enum Kind {
        POSITION,
        BARE,
        INNER
    }
}
