package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Whether a lead is meant to be joined. */
public enum LeadState {
    USED,
    /** Brought out for later or for another car: left long and reachable, capped. */
    SPARE,
    /** The paper says that it is not used here. */
    UNUSED;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** "spare accessory"; nothing is said of a lead that is used. */
    String before(String role) {
        return this == USED ? role : word() + " " + role;
    }

    public static Optional<LeadState> find(String word) {
        return Arrays.stream(values()).filter(s -> s.word().equals(word)).findFirst();
    }
}
