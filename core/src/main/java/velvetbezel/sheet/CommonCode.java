package velvetbezel.sheet;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.units.WireColour;

/** What the colours of aftermarket leads usually mean (common practice, no source): usual, never certain. */
public final class CommonCode {
    private static final Map<WireColour, LeadRole> ROLES = roles();
    /** Where two colours mean one role, the one that says whose function it is: the striped. */
    private static final Map<LeadRole, WireColour> COLOURS = ROLES.entrySet().stream()
            .collect(Collectors.toUnmodifiableMap(
                    Map.Entry::getValue, Map.Entry::getKey, (a, b) -> a.stripe().isPresent() ? a : b));

    private CommonCode() {}

    private static Map<WireColour, LeadRole> roles() {
        Map<WireColour, LeadRole> roles = new HashMap<>();
        put(roles, "yellow", LeadRole.CONSTANT);
        put(roles, "red", LeadRole.ACCESSORY);
        put(roles, "black", LeadRole.GROUND);
        put(roles, "blue", LeadRole.ANTENNA_POWER);
        put(roles, "blue/white", LeadRole.AMP_REMOTE);
        put(roles, "orange", LeadRole.ILLUMINATION);
        put(roles, "orange/white", LeadRole.ILLUMINATION);
        put(roles, "white", LeadRole.FRONT_LEFT_PLUS);
        put(roles, "white/black", LeadRole.FRONT_LEFT_MINUS);
        put(roles, "grey", LeadRole.FRONT_RIGHT_PLUS);
        put(roles, "grey/black", LeadRole.FRONT_RIGHT_MINUS);
        put(roles, "green", LeadRole.REAR_LEFT_PLUS);
        put(roles, "green/black", LeadRole.REAR_LEFT_MINUS);
        put(roles, "violet", LeadRole.REAR_RIGHT_PLUS);
        put(roles, "violet/black", LeadRole.REAR_RIGHT_MINUS);
        put(roles, "light green", LeadRole.PARKING_BRAKE);
        put(roles, "violet/white", LeadRole.REVERSE);
        put(roles, "pink", LeadRole.SPEED);
        put(roles, "brown", LeadRole.MUTE);
        return Map.copyOf(roles);
    }

    private static void put(Map<WireColour, LeadRole> roles, String colour, LeadRole role) {
        roles.put(WireColour.read(colour).orElseThrow(), role);
    }

    /** What a lead of this colour usually is; empty for a colour that the code does not have. */
    public static Optional<LeadRole> role(WireColour colour) {
        return Optional.ofNullable(ROLES.get(colour));
    }

    /** What colour a lead of this role usually has; empty for a role that the code does not have. */
    public static Optional<WireColour> colour(LeadRole role) {
        return Optional.ofNullable(COLOURS.get(role));
    }
}
