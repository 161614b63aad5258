package velvetbezel.sheet.fit;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * Where an antenna, a microphone, a socket or a module may go.
 *
 * @param words  as a fitter would call it
 * @param facts  what is known of it: 1 or 0 for yes or no, else a number; what is not in it nobody knows
 * @param room   behind it, where it lies in the cavity
 * @param behind parts of the dash that must be off to reach it
 */
public record MountingPlace(
        String id, String words, Map<Known, Double> facts, Optional<SpaceBox> room, List<String> behind) {
    public MountingPlace {
        facts = Map.copyOf(facts);
        behind = List.copyOf(behind);
    }

    public OptionalDouble of(Known fact) {
        Double value = facts.get(fact);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** What may be known of a place. */
    public enum Known {
        METAL_ABOVE(true),
        METAL_BELOW(true),
        METAL_ROUND(true),
        COATED_GLASS(true),
        AIRBAG_PATH(true),
        KNEE_AIRBAG_DOOR(true),
        NEAR_A_FLAP(true),
        VISOR_HITS(true),
        VENT_BLOWS(true),
        LEAD_DANGLES(true),
        BLOCKS_THE_LAST_CENTIMETRE(true),
        OVER_PEDALS(true),
        HOT(true),
        SEALED_IN(true),
        VIEW_BLOCKED(true),
        /** Degrees off level. */
        TILT(false),
        /** The higher the better; counted in steps, not in mm. */
        HEIGHT(false),
        /** Mm from the driver's mouth. */
        FROM_THE_MOUTH(false),
        /** Mm behind the face of a socket. */
        DEPTH_BEHIND(false),
        /** Mm off the middle of the car. */
        OFF_CENTRE(false);

        private final boolean truth;

        Known(boolean truth) {
            this.truth = truth;
        }

        /** Whether it is a yes or a no. */
        public boolean truth() {
            return truth;
        }

        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        public static Optional<Known> find(String word) {
            return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
        }

        public static String all() {
            return Arrays.stream(values()).map(Known::word).collect(Collectors.joining(", "));
        }
    }
}
