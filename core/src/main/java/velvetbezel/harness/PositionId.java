package velvetbezel.harness;

import java.util.Optional;

/** A numbered position of a plug. */
public record PositionId(PlugRef plug, String number) {
    private static final String TAIL = " lead";

    /** Where the position is measured. */
    public TerminalId contact() {
        return new TerminalId(plug.instance(), plug.plug() + "." + number);
    }

    /** The bare end of the wire out of it. */
    TerminalId tail() {
        return new TerminalId(plug.instance(), contact().name() + TAIL);
    }

    /** The position of a plug's contact or of the bare end of its wire; empty for any other terminal. */
    public static Optional<PositionId> of(TerminalId id) {
        String name =
                id.name().endsWith(TAIL) ? id.name().substring(0, id.name().length() - TAIL.length()) : id.name();
        int dot = name.lastIndexOf('.');
        return dot < 0
                ? Optional.empty()
                : Optional.of(
                        new PositionId(new PlugRef(id.instance(), name.substring(0, dot)), name.substring(dot + 1)));
    }

    /** Whether a terminal is the bare end of a wire out of a plug. */
    static boolean isTail(TerminalId id) {
        return id.name().endsWith(TAIL);
    }
}
