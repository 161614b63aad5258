package velvetbezel.controls;

/**
 * What a device sees while a button is held.
 *
 * @param button an empty text at rest
 * @param ohms   from the reader to what it measures against, as one resistor; infinite where nothing draws
 */
public record Rung(String button, double ohms) {
    /** Named for where nothing is pressed. */
    public static final String REST = "";

    public boolean rest() {
        return button.equals(REST);
    }
}
