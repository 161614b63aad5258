package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Which way a lead works, seen from its owner: two that give are never tied together. */
public enum Flow {
    GIVES,
    TAKES,
    SHARES;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public Flow opposite() {
        return switch (this) {
            case GIVES -> TAKES;
            case TAKES -> GIVES;
            case SHARES -> SHARES;
        };
    }

    static Optional<Flow> find(String word) {
        return Arrays.stream(values()).filter(f -> f.word().equals(word)).findFirst();
    }
}
