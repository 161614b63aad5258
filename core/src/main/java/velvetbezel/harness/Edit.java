package velvetbezel.harness;

import velvetbezel.sheet.Sheet;
import velvetbezel.units.Ohms;

/** A change to an installation; a fault is a list of these. */
public sealed interface Edit {
    /** A conductor parts: a joint's leg, a contact pushed back, a broken wire. */
    record Open(ConductorId conductor) implements Edit {}

    /** Something joins two terminals that should not touch. */
    record Bridge(TerminalId a, TerminalId b, Ohms ohms) implements Edit {}

    /** The far ends of two conductors change places. */
    record Swap(ConductorId first, ConductorId second) implements Edit {}

    /** The pair of a port crosses over, at the conductors that end at the port's terminals. */
    record ReversePair(String instance, String port) implements Edit {}

    /** A leg goes to another terminal than it should. */
    record Move(ConductorId conductor, TerminalId to) implements Edit {}

    record SetOhms(ConductorId conductor, Ohms ohms) implements Edit {}

    /** A setting, "working" included. */
    record SetSetting(String instance, String setting, String value) implements Edit {}

    /** A mode starts elsewhere: a blown fuse stays blown until this mends it. */
    record StartMode(String instance, String mode, String value) implements Edit {}

    record Misplace(String instance, String placement) implements Edit {}

    record ReplacePart(String instance, Sheet.Part part) implements Edit {}

    /** A part goes between plugs mated in the car; they stay mated otherwise. */
    record Insert(Sheet.Part part) implements Edit {}
}
