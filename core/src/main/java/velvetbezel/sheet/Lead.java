package velvetbezel.sheet;

import java.util.Optional;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/**
 * A bare lead of a device, to be joined.
 *
 * @param carries       what it is for
 * @param amplifierOnly the paper allows amplifiers on it and nothing else
 * @param end           where it ends; empty for one that goes where it is wanted
 */
public record Lead(
        String name,
        Fact<LeadRole> carries,
        LeadState state,
        Flow flow,
        Fact<WireColour> colour,
        Fact<Gauge> gauge,
        double metres,
        boolean amplifierOnly,
        Optional<Location> end) {
    /** What it is for, as a line says it: "spare accessory", "illumination?", "unknown". */
    public String roleWords() {
        return state.before(LeadRole.words(carries));
    }

    /** What it is for, where that is known. */
    public Optional<LeadRole> role() {
        return carries.known();
    }
}
