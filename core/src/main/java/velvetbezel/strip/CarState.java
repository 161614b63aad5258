package velvetbezel.strip;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.VehicleFacts;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;

/**
 * A car with its dash partly open.
 *
 * @param vehicle   key, lever, batteries and the rest
 * @param positions parts that are not home
 * @param off       plugs that are off
 * @param works     works that are done
 * @param exchanged whether the new is in the place of the old
 * @param tested    whether the function test was made since
 * @param trays     fasteners out and in
 */
public record CarState(
        VehicleState vehicle,
        Map<ItemId, ItemPosition> positions,
        Set<ConnectorOf> off,
        Set<String> works,
        boolean exchanged,
        boolean tested,
        Trays trays) {
    /** Closed, parked and locked up. */
    public static final CarState CLOSED =
            new CarState(VehicleState.AT_REST, Map.of(), Set.of(), Set.of(), false, false, Trays.EMPTY);

    /** Negative and positive clamp of the first and second battery. */
    static final List<StateField> NEGATIVES = List.of(StateField.BATTERY, StateField.SECOND_BATTERY);

    static final List<StateField> POSITIVES = List.of(StateField.BATTERY_POSITIVE, StateField.SECOND_BATTERY_POSITIVE);

    static final String ON = "connected";
    static final String OFF = "disconnected";
    static final String PARK = "park";
    static final String KEY_OFF = "off";

    public CarState {
        positions = Map.copyOf(positions);
        off = Set.copyOf(off);
        works = Set.copyOf(works);
    }

    public ItemPosition position(ItemId item) {
        return positions.getOrDefault(item, ItemPosition.HOME);
    }

    public String word(StateField field) {
        return vehicle.word(field);
    }

    /** Whether one battery of the vehicle, counted from 0, feeds it. */
    public boolean feeds(int battery) {
        return word(NEGATIVES.get(battery)).equals(ON)
                && word(POSITIVES.get(battery)).equals(ON);
    }

    /** Whether any battery feeds the car. */
    public boolean live(VehicleFacts facts) {
        for (int b = 0; b < facts.batteryCount(); b++) if (feeds(b)) return true;
        return false;
    }

    /** Whether every battery does. */
    public boolean allLive(VehicleFacts facts) {
        for (int b = 0; b < facts.batteryCount(); b++) if (!feeds(b)) return false;
        return true;
    }

    /** What a step leaves behind; a step that was impossible is taken as done. */
    public CarState after(StripStep step) {
        if (step instanceof StripStep.SetState s) return with(vehicle.with(s.field(), s.to()));
        if (step instanceof StripStep.Loosen s) return at(s.item(), ItemPosition.LOOSE);
        if (step instanceof StripStep.Lift s) return at(s.item(), ItemPosition.AWAY);
        if (step instanceof StripStep.PutIn s) return at(s.item(), ItemPosition.LOOSE);
        if (step instanceof StripStep.Fasten s) return at(s.item(), ItemPosition.HOME);
        if (step instanceof StripStep.Unplug s) return plug(s.connector(), true);
        if (step instanceof StripStep.PlugIn s) return plug(s.connector(), false);
        if (step instanceof StripStep.DoWork s) return done(s.work());
        if (step instanceof StripStep.Exchange)
            return new CarState(vehicle, positions, off, works, true, tested, trays);
        if (step instanceof StripStep.FunctionTest)
            return new CarState(vehicle, positions, off, works, exchanged, true, trays);
        return new CarState(vehicle, positions, off, works, exchanged, tested, trays.after(step));
    }

    private CarState with(VehicleState set) {
        return new CarState(set, positions, off, works, exchanged, tested, trays);
    }

    private CarState at(ItemId item, ItemPosition position) {
        Map<ItemId, ItemPosition> then = new HashMap<>(positions);
        if (position == ItemPosition.HOME) then.remove(item);
        else then.put(item, position);
        return new CarState(vehicle, then, off, works, exchanged, tested, trays);
    }

    private CarState plug(ConnectorOf connector, boolean isOff) {
        Set<ConnectorOf> then = new HashSet<>(off);
        if (isOff) then.add(connector);
        else then.remove(connector);
        return new CarState(vehicle, positions, then, works, exchanged, tested, trays);
    }

    private CarState done(String work) {
        Set<String> then = new HashSet<>(works);
        then.add(work);
        return new CarState(vehicle, positions, off, then, exchanged, tested, trays);
    }
}
