package velvetbezel.harness;

/** A plug of a device in an installation. */
public record PlugRef(String instance, String plug) implements Comparable<PlugRef> {
    @Override
    public int compareTo(PlugRef other) {
        return toString().compareTo(other.toString());
    }

    @Override
    public String toString() {
        return instance + "/" + plug;
    }
}
