package velvetbezel.function;

import java.util.List;
import java.util.Locale;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.FieldRef;

/** What becomes of a function. */
public sealed interface Outcome {
    /** Names, among settings, the learning of buttons. */
    String LEARNED = "buttons learned";

    /** @param once settings that must be made first: with any of them as delivered it does not work */
    record Kept(List<Hop> path, List<SettingId> once) implements Outcome {
        public Kept {
            path = List.copyOf(path);
            once = List.copyOf(once);
        }
    }

    /** Still there, but different: reversed, louder, fainter, by another way. */
    record Changed(List<String> how, List<Hop> path, List<SettingId> once) implements Outcome {
        public Changed {
            how = List.copyOf(how);
            path = List.copyOf(path);
            once = List.copyOf(once);
        }
    }

    record Lost(Break at) implements Outcome {}

    record Gained(List<Hop> path, List<SettingId> once) implements Outcome {
        public Gained {
            path = List.copyOf(path);
            once = List.copyOf(once);
        }
    }

    /** Depends on fields that nobody has stated. */
    record Unknown(List<FieldRef> fields) implements Outcome {
        public Unknown {
            fields = List.copyOf(fields);
        }
    }

    /** Neither the factory installation nor the new one has it. */
    record Absent(Break at) implements Outcome {}

    /** The way it takes; empty for what does not work or is not known. */
    default List<Hop> path() {
        return List.of();
    }

    /** Settings without which it would not work; none for what does not work or is not known. */
    default List<SettingId> once() {
        return List.of();
    }

    /** The same, working only once these are set up. */
    default Outcome once(List<SettingId> settings) {
        if (this instanceof Kept k) return new Kept(k.path(), settings);
        if (this instanceof Gained g) return new Gained(g.path(), settings);
        return this instanceof Changed c ? new Changed(c.how(), c.path(), settings) : this;
    }

    default String word() {
        return getClass().getSimpleName().toLowerCase(Locale.ROOT);
    }

    default Kind kind() {
        return Kind.valueOf(getClass().getSimpleName().toUpperCase(Locale.ROOT));
    }

    default boolean works() {
        return kind().works();
    }

    /** Equal in what a person would notice: the kind, and how it changed. */
    default boolean sameFor(Outcome other) {
        if (this instanceof Changed a && other instanceof Changed b)
            return a.how().equals(b.how());
        return getClass() == other.getClass();
    }
}
