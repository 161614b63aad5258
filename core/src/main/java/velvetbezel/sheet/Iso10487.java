package velvetbezel.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The usual roles of connectors A and B of ISO 10487 (from memory; A1 to A3 vary). Some vehicles exchange
 * A4 and A7 (common practice, no source): this table tells what is unusual, never what a car has.
 */
public final class Iso10487 {
    private static final Map<String, List<Optional<LeadRole>>> ROLES = Map.of(
            "ISO 10487 A",
                    List.of(
                            Optional.of(LeadRole.SPEED),
                            Optional.of(LeadRole.MUTE),
                            Optional.empty(),
                            Optional.of(LeadRole.CONSTANT),
                            Optional.of(LeadRole.ANTENNA_POWER),
                            Optional.of(LeadRole.ILLUMINATION),
                            Optional.of(LeadRole.ACCESSORY),
                            Optional.of(LeadRole.GROUND)),
            "ISO 10487 B",
                    List.of(
                            Optional.of(LeadRole.REAR_RIGHT_PLUS),
                            Optional.of(LeadRole.REAR_RIGHT_MINUS),
                            Optional.of(LeadRole.FRONT_RIGHT_PLUS),
                            Optional.of(LeadRole.FRONT_RIGHT_MINUS),
                            Optional.of(LeadRole.FRONT_LEFT_PLUS),
                            Optional.of(LeadRole.FRONT_LEFT_MINUS),
                            Optional.of(LeadRole.REAR_LEFT_PLUS),
                            Optional.of(LeadRole.REAR_LEFT_MINUS)));

    private Iso10487() {}

    /** @return empty for another family, a number outside 1 to 8, or a position the standard leaves open */
    public static Optional<LeadRole> role(String family, String number) {
        List<Optional<LeadRole>> roles = ROLES.get(family);
        if (roles == null || !number.matches("[1-8]")) return Optional.empty();
        return roles.get(Integer.parseInt(number) - 1);
    }
}
