package velvetbezel.sheet.strip;

import java.util.Locale;

/** Where a part of a dash is: in its place, free but hanging on its leads, or out of the car. */
public enum ItemPosition {
    HOME,
    LOOSE,
    AWAY;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
