package velvetbezel.worksheet;

import java.util.Optional;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/**
 * A bare lead in a joint or under a cap.
 *
 * @param owner       whose side it comes from; an adapter's tail that ends in the car's plug is the car's
 * @param place       position at the car's plug, or the name of the lead
 * @param carries     what its own sheet calls it
 * @param carColour   colour of the car's wire behind it
 */
public record LeadEnd(
        TerminalId id,
        Instance.Owner owner,
        String device,
        String place,
        Optional<Fact<LeadRole>> carries,
        Fact<WireColour> colour,
        Fact<Gauge> gauge,
        Optional<Fact<WireColour>> carColour,
        Optional<TerminalId> carPosition) {
    /** What its own sheet calls it, where that is known. */
    public Optional<LeadRole> labelled() {
        return carries.flatMap(Fact::known);
    }

    /** Whose it is, for sentences. */
    public String deviceWords() {
        return id.instance().equals(Builder.CAR) ? "the car" : device;
    }

    public String colourWords() {
        return colour.known().map(WireColour::words).orElse("colour not known");
    }
}
