package velvetbezel.sheet;

/** Where joints and access points lie, in words: the dash, the boot, behind the column. */
public record Location(String words) implements Comparable<Location> {
    /** The radio's place; where nothing else is said, everything lies here. */
    public static final Location DASH = new Location("dash");

    public Location {
        if (words.isBlank() || words.contains("#") || words.contains(":"))
            throw new IllegalArgumentException("\"%s\" names no location: words without # or colon.".formatted(words));
    }

    public boolean dash() {
        return equals(DASH);
    }

    /** The dash first, then by name. */
    @Override
    public int compareTo(Location other) {
        return dash() == other.dash() ? words.compareTo(other.words) : dash() ? -1 : 1;
    }

    @Override
    public String toString() {
        return words;
    }
}
