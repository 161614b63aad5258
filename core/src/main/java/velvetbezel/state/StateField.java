package velvetbezel.state;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The fields of a {@link VehicleState}. A word field lists its values; the first is the value at rest. */
public enum StateField {
    KEY("off", "accessory", "run", "crank"),
    ENGINE("stopped", "running"),
    LAMPS("off", "on"),
    /** Instrument dimmer, 0 to 100 %. */
    DIMMER(Kind.NUMBER),
    GEAR("park", "reverse", "neutral", "drive", "low"),
    FOOT_BRAKE("released", "pressed"),
    PARKING_BRAKE("released", "set"),
    DOOR("closed", "open"),
    /** The negative clamp, which is taken off first and put back last (common practice, no source). */
    BATTERY("connected", "disconnected"),
    BATTERY_POSITIVE("connected", "disconnected"),
    SECOND_BATTERY("connected", "disconnected"),
    SECOND_BATTERY_POSITIVE("connected", "disconnected"),
    COLUMN("home", "down", "up"),
    TESTER("unplugged", "plugged"),
    /** Left until everything sleeps. */
    RESTED("no", "yes"),
    UNPLUGGED(Kind.NAMES),
    BUTTONS(Kind.NAMES),
    /** Settings a person chooses for the duration of the state, as device.setting → value. */
    SETTINGS(Kind.CHOICES);

    /** How a field's value is shaped. */
    public enum Kind {
        WORD,
        NUMBER,
        NAMES,
        CHOICES
    }

    private final Kind kind;
    private final List<String> words;

    StateField(String... words) {
        this.kind = Kind.WORD;
        this.words = List.of(words);
    }

    StateField(Kind kind) {
        this.kind = kind;
        this.words = List.of();
    }

    public Kind kind() {
        return kind;
    }

    /** Values a word field may have. */
    public List<String> words() {
        return words;
    }

    /** Name as sheets and people write it: "parking brake". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    public static Optional<StateField> find(String label) {
        return Arrays.stream(values()).filter(f -> f.label().equals(label)).findFirst();
    }
}
