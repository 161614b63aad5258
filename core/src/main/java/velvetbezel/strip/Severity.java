package velvetbezel.strip;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How bad a hazard is, worst first. */
public enum Severity {
    /** A person can be hurt. */
    DANGER,
    /** Something breaks. */
    DAMAGE,
    /** A fault is stored that has to be read out and cleared. */
    FAULT,
    /** There is no way on without going back. */
    STUCK,
    /** Work is done twice. */
    ORDER,
    /** Something is left undone or open. */
    LEFT,
    /** It cannot be done like this. */
    IMPOSSIBLE,
    /** Nothing is wrong; look out. */
    CAUTION;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Optional<Severity> find(String word) {
        return Arrays.stream(values()).filter(s -> s.word().equals(word)).findFirst();
    }
}
