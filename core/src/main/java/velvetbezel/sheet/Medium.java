package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What travels at a port. INTERNAL ports mix sources inside a device and have no terminals. */
public enum Medium {
    AUDIO,
    VIDEO,
    RF,
    DATA,
    LIGHT,
    INTERNAL;

    static Optional<Medium> find(String word) {
        return Arrays.stream(values())
                .filter(m -> m.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }
}
