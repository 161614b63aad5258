package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** What holds a radio in the dash. */
public enum Mount {
    /** A dash kit. */
    FRAME("frame"),
    /** The factory brackets, screwed to the holes at its sides: where the opening is of its own size. */
    FACTORY_BRACKETS("factory brackets"),
    /** Its own tabs or feet, in front of the panel. */
    FRONT("feet in front"),
    /** Its own base, on top of the dash. */
    TOP("base on top");

    private final String label;

    Mount(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    public static String all() {
        return Arrays.stream(values()).map(Mount::label).collect(Collectors.joining(", "));
    }

    public static Optional<Mount> find(String label) {
        return Arrays.stream(values()).filter(m -> m.label.equals(label)).findFirst();
    }
}
