package velvetbezel.harness;

/**
 * A place where something can be measured. Derived from the device, its plug and position, so that it
 * survives edits and can be compared across two installations.
 */
public record TerminalId(String instance, String name) implements Comparable<TerminalId> {
    @Override
    public int compareTo(TerminalId other) {
        return toString().compareTo(other.toString());
    }

    @Override
    public String toString() {
        return instance + "." + name;
    }
}
