package velvetbezel.sheet;

import velvetbezel.state.VehicleState;

/** A number in a rule: fixed, following the dimmer, or not known but within a range. */
public sealed interface Quantity {
    record Fixed(double value) implements Quantity {}

    /** Linear between its values at dimmer 0 % and 100 %. */
    record Follows(double at0, double at100) implements Quantity {}

    /** Not known; answers are computed at both ends of the range. */
    record Open(FieldRef field, double low, double high) implements Quantity {}

    static Quantity of(double value) {
        return new Fixed(value);
    }

    /** @param last whether an open quantity takes its high end */
    default double at(VehicleState state, boolean last) {
        if (this instanceof Fixed fixed) return fixed.value;
        if (this instanceof Follows f) return f.at0 + (f.at100 - f.at0) * state.dimmer() / 100;
        Open open = (Open) this;
        return last ? open.high : open.low;
    }
}
