package velvetbezel.harness;

import velvetbezel.sheet.Sheet;
import velvetbezel.units.Ohms;

/** A change to an installation; a fault is a list of these. */
public sealed interface Edit {
    /** A conductor parts: a joint's leg, a contact pushed back, a broken wire. */
    record Open(ConductorId conductor) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.open(this);
        }
    }

    /** Something joins two terminals that should not touch. */
    record Bridge(TerminalId a, TerminalId b, Ohms ohms) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.bridge(this);
        }
    }

    /** The far ends of two conductors change places. */
    record Swap(ConductorId first, ConductorId second) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.swap(this);
        }
    }

    /** The pair of a port crosses over, at the conductors that end at the port's terminals. */
    record ReversePair(String instance, String port) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.reversePair(this);
        }
    }

    /** A leg goes to another terminal than it should. */
    record Move(ConductorId conductor, TerminalId to) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.move(this);
        }
    }

    record SetOhms(ConductorId conductor, Ohms ohms) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.setOhms(this);
        }
    }

    /** A setting, "working" included. */
    record SetSetting(String instance, String setting, String value) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.setSetting(this);
        }
    }

    /** A setting stands on a value that nothing chosen in use moves: the wrong source, a selector never set. */
    record Stick(String instance, String setting, String value) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.stick(this);
        }
    }

    /** One rule of a device is never in force: one output is dead and the device alive. */
    record Disable(String instance, String rule) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.disable(this);
        }
    }

    /** A mode starts elsewhere: a blown fuse stays blown until this mends it. */
    record StartMode(String instance, String mode, String value) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.startMode(this);
        }
    }

    record Misplace(String instance, String placement) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.misplace(this);
        }
    }

    record ReplacePart(String instance, Sheet.Part part) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.replacePart(this);
        }
    }

    /** A part goes between plugs mated in the car; they stay mated otherwise. */
    record Insert(Sheet.Part part) implements Edit {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.insert(this);
        }
    }

    /** One method for each kind of edit: a new kind does not compile until it is carried out. */
    interface Visitor<R> {
        R open(Open edit);

        R bridge(Bridge edit);

        R swap(Swap edit);

        R reversePair(ReversePair edit);

        R move(Move edit);

        R setOhms(SetOhms edit);

        R setSetting(SetSetting edit);

        R stick(Stick edit);

        R disable(Disable edit);

        R startMode(StartMode edit);

        R misplace(Misplace edit);

        R replacePart(ReplacePart edit);

        R insert(Insert edit);
    }

    <R> R accept(Visitor<R> visitor);
}
