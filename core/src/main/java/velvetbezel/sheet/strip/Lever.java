package velvetbezel.sheet.strip;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Fact;

/**
 * What moves the selector lever out of park.
 *
 * @param key       key words at which it moves
 * @param footBrake whether a foot on the brake is asked for
 * @param battery   whether it needs the battery
 * @param release   its mechanical release
 * @param manual    a gear lever: no park, no interlock
 */
public record Lever(
        Fact<Set<String>> key,
        Fact<Boolean> footBrake,
        Fact<Boolean> battery,
        Optional<MechanicalRelease> release,
        boolean manual) {
    /** @param behind parts in front of it */
    public record MechanicalRelease(Minutes minutes, List<Behind> behind) {
        public MechanicalRelease {
            behind = List.copyOf(behind);
        }
    }

    /** Where nobody knows, it is taken to need the battery: the worse case. */
    public boolean needsBattery() {
        return battery.known().orElse(true);
    }

    public boolean needsFoot() {
        return footBrake.known().orElse(true);
    }

    /** Where nobody knows, the key is taken to be needed at run. */
    public Set<String> keyWords() {
        return key.known().orElse(Set.of("run"));
    }
}
