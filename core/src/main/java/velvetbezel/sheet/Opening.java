package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;

/**
 * Size of an opening in the dash, or of a radio's face: one of three sizes (ISO 7736: 180 × 50 mm and its double, from
 * memory; some makers cut an opening of one and a half times that height), or the own shape of some vehicle, which is
 * named and matched by that name.
 *
 * @param label "one-DIN", or "shape" and its name, such as "shape of the Plover"
 */
public record Opening(String label) {
    public static final Opening ONE_DIN = new Opening("one-DIN");
    public static final Opening ONE_AND_A_HALF = new Opening("one-and-a-half-height");
    public static final Opening TWO_DIN = new Opening("two-DIN");
    public static final List<Opening> STANDARD = List.of(ONE_DIN, ONE_AND_A_HALF, TWO_DIN);
    private static final String OWN = "shape ";
    private static final int MOST = 60;

    /** Of the usual sizes. */
    public static List<String> labels() {
        return STANDARD.stream().map(Opening::label).toList();
    }

    /** For a message about what is none. */
    public static String all() {
        return String.join(", ", labels()) + ", or \"shape\" and the name of one of its own (\"shape of the Plover\")";
    }

    /** With a noun: "one-DIN opening", "radio (shape of the Plover)". */
    public String of(String thing) {
        return own() ? "%s (%s)".formatted(thing, label) : label + " " + thing;
    }

    public boolean own() {
        return label.startsWith(OWN);
    }

    public static Optional<Opening> find(String label) {
        Optional<Opening> standard =
                STANDARD.stream().filter(o -> o.label.equals(label)).findFirst();
        boolean named = label.startsWith(OWN) && !label.substring(OWN.length()).isBlank() && label.length() <= MOST;
        return standard.or(() -> Optional.of(new Opening(label)).filter(o -> named));
    }
}
