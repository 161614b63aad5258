package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** What tells look-alike generations and trims of one model apart (common practice, no source). */
public enum Trait {
    OPTION_CODE("Option code on the service label"),
    /** A sheet gives a range, "2012-08 to 2016-10"; a person sees a month. */
    BUILT("Month built, on the door label"),
    DISPLAY("Size of the factory display"),
    PLUGS("Plugs at the back of the factory radio"),
    STEERING_LAYOUT("Layout of the steering-wheel buttons"),
    PANEL_COLOUR("Colour of the panel round the radio");

    private static final String UNTIL = " to ";
    private final String text;

    Trait(String text) {
        this.text = text;
    }

    public String text() {
        return text;
    }

    /** As sheets write it: "option code". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    public static Optional<Trait> find(String label) {
        return Arrays.stream(values()).filter(t -> t.label().equals(label)).findFirst();
    }

    public static String all() {
        return Arrays.stream(values()).map(Trait::label).collect(Collectors.joining(", "));
    }

    /** A reading that agrees with what a sheet states. */
    public String example(String stated) {
        return this == BUILT ? stated.split(UNTIL, 2)[0] : stated;
    }

    /** Whether what a sheet states agrees with what was seen. */
    public boolean agrees(String stated, String seen) {
        String[] ends = stated.split(UNTIL, 2);
        if (this != BUILT || ends.length < 2) return stated.equalsIgnoreCase(seen.strip());
        return ends[0].compareTo(seen.strip()) <= 0 && seen.strip().compareTo(ends[1]) <= 0;
    }
}
