package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Size of an opening in the dash, or of a radio's face (ISO 7736: 180 × 50 mm and its double, from memory; some
 * makers cut an opening of one and a half times that height).
 */
public enum Opening {
    ONE_DIN("one-DIN"),
    ONE_AND_A_HALF("one-and-a-half-height"),
    TWO_DIN("two-DIN");

    private final String label;

    Opening(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    public static String all() {
        return Arrays.stream(values()).map(Opening::label).collect(Collectors.joining(", "));
    }

    public static Optional<Opening> find(String label) {
        return Arrays.stream(values()).filter(o -> o.label.equals(label)).findFirst();
    }
}
