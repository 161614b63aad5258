package velvetbezel.function;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** When a function is tried: what would be closed in comes first (common practice, no source). */
public enum CheckPhase {
    BEFORE_CLOSING,
    AFTER_REBUILD,
    ON_THE_ROAD;

    /** As sheets write it: "after rebuild". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    public static Optional<CheckPhase> find(String label) {
        return Arrays.stream(values()).filter(p -> p.label().equals(label)).findFirst();
    }

    static String all() {
        return Arrays.stream(values()).map(CheckPhase::label).collect(Collectors.joining(", "));
    }
}
