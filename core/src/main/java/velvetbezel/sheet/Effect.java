package velvetbezel.sheet;

import velvetbezel.units.Decibels;

/** What a rule does while in force. Terminals and ports are named within the rule's own device. */
public sealed interface Effect {
    /** Volts behind ohms, from {@code minus} to {@code plus}. */
    record Drive(String plus, String minus, Quantity volts, Quantity ohms) implements Effect {}

    /** A conductor; signals pass it up to 10 Ω. */
    record Connect(String a, String b, Quantity ohms) implements Effect {}

    /** A load, in ohms; a sheet may state it in amps at 12 V. Signals never pass. */
    record Draw(String a, String b, Quantity ohms) implements Effect {}

    record Diode(String anode, String cathode, Quantity forwardVolts, Quantity onOhms) implements Effect {}

    record Emit(String port, String signal, Decibels level) implements Effect {}

    record Carry(String in, String out, Decibels gain) implements Effect {}

    /** What a person sees or hears of the device itself. */
    record Show(String what) implements Effect {}

    record Enter(String mode, String value) implements Effect {}

    /** Whether the effect changes currents and voltages. */
    default boolean electrical() {
        return this instanceof Drive || this instanceof Connect || this instanceof Draw || this instanceof Diode;
    }
}
