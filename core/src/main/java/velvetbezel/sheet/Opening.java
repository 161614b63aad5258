package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Optional;

/** Size of an opening in the dash, or of a radio's face (ISO 7736: 180 × 50 mm and its double, from memory). */
public enum Opening {
    ONE_DIN("one-DIN"), TWO_DIN("two-DIN");

    private final String label;

    Opening(String label) { this.label = label; }

    public String label() { return label; }

    public static Optional<Opening> find(String label) {
        return Arrays.stream(values()).filter(o -> o.label.equals(label)).findFirst();
    }
}
