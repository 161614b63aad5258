package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What may be seen of an amplified factory system, the strongest evidence first (common practice, no source). */
public enum AudioSign {
    CHASSIS_LABEL("Pinout label on the radio's chassis shows line outputs"),
    SPEAKER_PAIRS_MISSING("Speaker pairs missing from the radio's plug"),
    MORE_PLUGS("More plugs than the plain version"),
    SUBWOOFER("Subwoofer or dash-top centre speaker in the car"),
    OPTION_CODE("Option code of the premium system"),
    GRILLE_BADGE("Badge on the speaker grilles");

    private final String text;

    AudioSign(String text) {
        this.text = text;
    }

    public String text() {
        return text;
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** How what was looked at stands to what the sheet says. */
    public enum Verdict {
        NOTHING_SEEN,
        AGREES,
        CONTRADICTS,
        /** What was seen and what was looked for and not found speak against each other. */
        UNDECIDED
    }

    /** The strongest of what was seen. */
    public static Optional<AudioSign> strongest(Set<AudioSign> seen) {
        return Arrays.stream(values()).filter(seen::contains).findFirst();
    }
}
