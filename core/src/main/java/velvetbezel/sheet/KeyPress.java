package velvetbezel.sheet;

import java.util.Optional;

/**
 * A press of a steering-wheel button for which a device can be told what to do.
 *
 * @param held  a long press
 * @param fixed why nobody can choose what it does; empty where it can be chosen
 */
public record KeyPress(String button, boolean held, Optional<String> fixed) {
    /** What a state's buttons hold beside the button while a press is long. */
    public static final String HELD = "held";
    /** What a press does that is told to do nothing. */
    public static final String NOTHING = "nothing";
    /** How the message of a command begins, which its receiver does whatever was pressed, and how long. */
    public static final String COMMAND = "command.";

    private static final String LONG = ", " + HELD;

    /** @param label as sheets write it: "next", or "next, held" */
    static KeyPress of(String label, Optional<String> fixed) {
        boolean held = label.endsWith(LONG);
        return new KeyPress(held ? label.substring(0, label.length() - LONG.length()) : label, held, fixed);
    }

    public String label() {
        return held ? button + LONG : button;
    }

    /** What the setting is called that says what it does. */
    String setting() {
        return "button " + label();
    }
}
