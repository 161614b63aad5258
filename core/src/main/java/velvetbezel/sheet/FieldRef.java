package velvetbezel.sheet;

/** Names one field of one sheet, so that an answer can say what it lacks. */
public record FieldRef(String sheet, String path) implements Comparable<FieldRef> {
    @Override
    public int compareTo(FieldRef other) {
        return toString().compareTo(other.toString());
    }

    @Override
    public String toString() {
        return sheet + ": " + path;
    }
}
