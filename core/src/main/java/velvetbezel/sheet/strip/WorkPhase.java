package velvetbezel.sheet.strip;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** When a piece of work has its place. */
public enum WorkPhase {
    /** With the factory radio still working: paired phones deleted, discs taken out, baseline. */
    BEFORE,
    /** While it is open: cables led through. */
    OPEN,
    /** At the bench: brackets, joints. */
    BENCH,
    /** After the function test, before the panels close: loom taped, clips of the frame. */
    AFTER_TEST,
    /** When all is closed: film off. */
    LAST;

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    static Optional<WorkPhase> find(String word) {
        return Arrays.stream(values()).filter(p -> p.word().equals(word)).findFirst();
    }
}
