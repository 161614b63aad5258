package velvetbezel.run;

import velvetbezel.sheet.FieldRef;
import velvetbezel.state.VehicleState;

/** How a missing field is taken in one case: its first way (guard false, leg open, number low) or its last. */
@FunctionalInterface
public interface Assumption {
    boolean last(FieldRef field, VehicleState state);

    Assumption ALL_FIRST = (field, state) -> false;
    Assumption ALL_LAST = (field, state) -> true;
}
