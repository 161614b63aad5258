package velvetbezel.web.job;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import velvetbezel.web.shell.Words;

/** The stations of a job that exist, in the order of the work. */
public enum Station {
    ARRIVE,
    MATCH,
    FIT,
    WIRE,
    CONTROLS,
    OPEN_UP,
    PROVE,
    HAND_OVER;

    /** As cautions on sheets and people name it: "Hand over". */
    public String label() {
        return Words.sentence(name().toLowerCase(Locale.ROOT).replace('_', ' '));
    }

    public String path() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    static Optional<Station> find(String path) {
        return Arrays.stream(values()).filter(s -> s.path().equals(path)).findFirst();
    }
}
