package velvetbezel.function;

import java.util.List;
import java.util.Locale;
import velvetbezel.sheet.FieldRef;

/** What becomes of a function. */
public sealed interface Outcome {
    record Kept(List<Hop> path) implements Outcome {
        public Kept {
            path = List.copyOf(path);
        }
    }

    /** Still there, but different: reversed, louder, fainter. */
    record Changed(List<String> how, List<Hop> path) implements Outcome {
        public Changed {
            how = List.copyOf(how);
            path = List.copyOf(path);
        }
    }

    record Lost(Break at) implements Outcome {}

    record Gained(List<Hop> path) implements Outcome {
        public Gained {
            path = List.copyOf(path);
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
