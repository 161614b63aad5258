package velvetbezel.sheet.strip;

/** Names one part of a dash: "fascia". */
public record ItemId(String name) implements Comparable<ItemId> {
    @Override
    public int compareTo(ItemId other) {
        return name.compareTo(other.name);
    }

    @Override
    public String toString() {
        return name;
    }
}
