package velvetbezel.sheet.strip;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** What kind of part it is. A lid is only opened; a fixed part never comes off and only carries plugs. */
public enum ItemKind {
    PANEL,
    RADIO,
    MODULE,
    VENT,
    COVER,
    TRIM,
    SHELF,
    KNOB,
    LID,
    FIXED;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Optional<ItemKind> find(String word) {
        return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
    }

    /** For a message about what is none. */
    static String all() {
        return Arrays.stream(values()).map(ItemKind::word).collect(Collectors.joining(", "));
    }
}
