package velvetbezel.harness;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;

/** A part that goes into one of several places: its left and right become those of the place. */
final class Slotted {
    private static final String SECOND = "#2";
    private static final String FRONT_SLOT = "front";
    private static final String REAR_SLOT = "rear";
    private static final Map<LeadRole, LeadRole> FRONT = new EnumMap<>(Map.of(
            LeadRole.LINE_LEFT_PLUS, LeadRole.LINE_FRONT_LEFT_PLUS,
            LeadRole.LINE_LEFT_MINUS, LeadRole.LINE_FRONT_LEFT_MINUS,
            LeadRole.LINE_RIGHT_PLUS, LeadRole.LINE_FRONT_RIGHT_PLUS,
            LeadRole.LINE_RIGHT_MINUS, LeadRole.LINE_FRONT_RIGHT_MINUS));
    private static final Map<LeadRole, LeadRole> REAR = new EnumMap<>(Map.of(
            LeadRole.LINE_LEFT_PLUS, LeadRole.LINE_REAR_LEFT_PLUS,
            LeadRole.LINE_LEFT_MINUS, LeadRole.LINE_REAR_LEFT_MINUS,
            LeadRole.LINE_RIGHT_PLUS, LeadRole.LINE_REAR_RIGHT_PLUS,
            LeadRole.LINE_RIGHT_MINUS, LeadRole.LINE_REAR_RIGHT_MINUS));
    private static final Map<String, Map<LeadRole, LeadRole>> SLOTS = Map.of(FRONT_SLOT, FRONT, REAR_SLOT, REAR);

    private Slotted() {}

    /**
     * A part used twice goes to the front first and to the rear next, unless somebody says where it goes.
     *
     * @param instance of a part that is used more than once, the second ends in #2
     */
    static Device of(Device device, PartUse use, String instance) {
        return use.slot()
                .or(() -> Optional.of(instance.endsWith(SECOND) ? REAR_SLOT : FRONT_SLOT))
                .map(SLOTS::get)
                .map(roles -> device.withPlugs(
                        device.plugs().stream().map(p -> plug(p, roles)).toList()))
                .orElse(device);
    }

    private static Plug plug(Plug plug, Map<LeadRole, LeadRole> roles) {
        List<Position> positions =
                plug.positions().stream().map(p -> position(p, roles)).toList();
        return plug.withPositions(positions);
    }

    private static Position position(Position p, Map<LeadRole, LeadRole> roles) {
        return p.role().filter(roles::containsKey).isEmpty()
                ? p
                : p.carrying(now(p.carries().orElseThrow(), roles));
    }

    private static Fact<LeadRole> now(Fact<LeadRole> fact, Map<LeadRole, LeadRole> roles) {
        return fact instanceof Fact.Known<LeadRole> k ? new Fact.Known<>(roles.get(k.value()), k.from()) : fact;
    }
}
