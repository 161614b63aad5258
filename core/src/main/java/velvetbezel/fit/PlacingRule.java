package velvetbezel.fit;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.Thing;

/**
 * What speaks against a place.
 *
 * @param things  of what it speaks
 * @param refuses whether nothing of the kind may go there; else it is only warned of
 * @param fact    of the place
 * @param over    for a number: more than this speaks against it; empty for a yes or no
 * @param under   for a number: less than this
 * @param reason  in one clause
 * @param placement what a device is not any more where the rule speaks against its place: "clear of metal"
 */
public record PlacingRule(
        String id,
        Set<Thing.Kind> things,
        boolean refuses,
        MountingPlace.Known fact,
        OptionalDouble over,
        OptionalDouble under,
        String reason,
        Optional<String> placement) {
    public PlacingRule {
        things = Set.copyOf(things);
    }

    /** What it says of a place. */
    public enum Answer {
        SPEAKS_AGAINST,
        FREE,
        /** Nobody knows the fact. */
        UNKNOWN
    }

    Answer of(MountingPlace place) {
        OptionalDouble value = place.of(fact);
        if (value.isEmpty()) return Answer.UNKNOWN;
        double v = value.getAsDouble();
        boolean against = over.isPresent() || under.isPresent()
                ? over.isPresent() && v > over.getAsDouble() || under.isPresent() && v < under.getAsDouble()
                : v != 0;
        return against ? Answer.SPEAKS_AGAINST : Answer.FREE;
    }
}
