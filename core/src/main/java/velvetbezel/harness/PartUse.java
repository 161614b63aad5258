package velvetbezel.harness;

import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.Location;

/**
 * How a part is used in a kit.
 *
 * @param slot where one that goes into several places goes: front or rear of a pair, the role that a relay serves
 * @param ends where the two ends of a cable lie; empty where its sheet says
 */
public record PartUse(Use use, Optional<String> slot, List<Location> ends) {
    public static final PartUse FITTED = new PartUse(Use.FITTED, Optional.empty(), List.of());

    public PartUse {
        ends = List.copyOf(ends);
    }

    public static PartUse of(Use use) {
        return new PartUse(use, Optional.empty(), List.of());
    }

    public PartUse in(String place) {
        return new PartUse(use, Optional.of(place), ends);
    }

    public PartUse between(Location a, Location b) {
        return new PartUse(use, slot, List.of(a, b));
    }
}
