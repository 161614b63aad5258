package velvetbezel.controls;

import java.util.List;
import java.util.Optional;
import velvetbezel.harness.ConductorId;
import velvetbezel.sheet.FieldRef;

/**
 * One input for keys in an installation.
 *
 * @param ladder  empty where it cannot be told what each button reads
 * @param trouble why not; empty where there is a ladder
 * @param fields  of sheets that would tell
 * @param wheel   the conductor that ends at the wheel, which ages with its slip ring
 */
public record KeyInput(
        KeyReader reader,
        Optional<ButtonLadder> ladder,
        Optional<Trouble> trouble,
        List<FieldRef> fields,
        Optional<ConductorId> wheel) {
    public KeyInput {
        fields = List.copyOf(fields);
    }

    /** Why nothing can be said of an input. */
    public enum Trouble {
        /** Another device drives the same wire. */
        TWO_READERS,
        /** The device does not pull its wire up when it learns: no supply, or the wire is not joined. */
        ASLEEP,
        /** No button changes what it reads. */
        NO_BUTTON,
        /** A resistance that decides is not on the sheet. */
        NOT_STATED
    }

    static KeyInput of(ButtonLadder ladder, Optional<ConductorId> wheel) {
        return new KeyInput(ladder.reader(), Optional.of(ladder), Optional.empty(), List.of(), wheel);
    }

    static KeyInput not(KeyReader reader, Trouble trouble, List<FieldRef> fields) {
        return new KeyInput(reader, Optional.empty(), Optional.of(trouble), fields, Optional.empty());
    }
}
