package velvetbezel.diagnose;

import java.util.List;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;

/** A state of the car in which a meter is read, and how it is reached. */
public enum MeasuringState {
    /** The door was opened, so that nothing retains power. */
    KEY_OFF(
            VehicleState.AT_REST.with(StateField.KEY, "accessory"),
            VehicleState.AT_REST.with(StateField.KEY, "off"),
            VehicleState.AT_REST.with(StateField.KEY, "off").with(StateField.DOOR, "open")),
    ACCESSORY(VehicleState.AT_REST.with(StateField.KEY, "accessory")),
    RUN_WITH_LAMPS(VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on")),
    RUN_IN_REVERSE(VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.GEAR, "reverse"));

    private final List<VehicleState> reachedBy;

    MeasuringState(VehicleState... reachedBy) {
        this.reachedBy = List.of(reachedBy);
    }

    public List<VehicleState> reachedBy() {
        return reachedBy;
    }
}
