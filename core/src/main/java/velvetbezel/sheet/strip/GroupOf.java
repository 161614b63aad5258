package velvetbezel.sheet.strip;

import java.util.Optional;

/** Names one group of fasteners of a part: "radio/rear". Clips are a group of their own. */
public record GroupOf(ItemId item, String name) implements Comparable<GroupOf> {
    /** Name of the group that a part's clips make. */
    public static final String CLIPS = "clips";

    /** Empty where the text has no stroke in it. */
    public static Optional<GroupOf> read(String text) {
        int stroke = text.indexOf('/');
        return stroke <= 0 || stroke == text.length() - 1
                ? Optional.empty()
                : Optional.of(new GroupOf(new ItemId(text.substring(0, stroke)), text.substring(stroke + 1)));
    }

    @Override
    public int compareTo(GroupOf other) {
        return toString().compareTo(other.toString());
    }

    @Override
    public String toString() {
        return item + "/" + name;
    }
}
