package velvetbezel.sheet.strip;

import java.util.List;
import java.util.Set;

/**
 * A plug that ties a part of the dash to the car until it is taken off.
 *
 * @param unlock how it comes off: "lift lock, press"
 * @param lock   colour of its lock; empty where it has none of its own
 * @param supply whether it carries a supply; an antenna plug does not
 * @param reach  where its part must be before a hand gets to it
 * @param gives  functions of the car that are lost while it is off: "glove box release", "lever"
 * @param plug   the same plug in the sheet's wiring; empty where it is not there
 */
public record ItemConnector(
        ConnectorOf id,
        String unlock,
        String lock,
        Circuit circuit,
        boolean supply,
        ItemPosition reach,
        List<Behind> behind,
        Set<String> gives,
        String plug) {
    /** The function that the selector lever's own plug gives. */
    public static final String LEVER = "lever";

    public ItemConnector {
        behind = List.copyOf(behind);
        gives = Set.copyOf(gives);
    }

    /** Whether every battery must be off when it is moved. */
    public boolean needsDead() {
        return supply || circuit == Circuit.AIRBAG;
    }
}
