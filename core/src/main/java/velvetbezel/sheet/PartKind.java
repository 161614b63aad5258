package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.sheet.fit.Thing;

/** What a part is, in the order in which a kit is listed. */
public enum PartKind {
    DASH_KIT("dash kit"),
    VEHICLE_HARNESS_ADAPTER("vehicle harness adapter"),
    PASS_THROUGH_HARNESS("pass-through harness"),
    ANTENNA_ADAPTER("antenna adapter"),
    CONTROL_INTERFACE("control interface"),
    DATA_MODULE("data module"),
    AMPLIFIER_BYPASS("amplifier bypass"),
    CAMERA_ADAPTER("camera adapter"),
    CAMERA("camera"),
    MICROPHONE("microphone"),
    USB_ADAPTER("USB adapter"),
    AUX_ADAPTER("aux adapter"),
    GPS_ANTENNA("GPS antenna"),
    SATELLITE_ADAPTER("satellite adapter"),
    REAR_SCREEN_ADAPTER("rear screen adapter"),
    ACCESS_LEAD("access lead"),
    GROUND_LOOP_ISOLATOR("ground-loop isolator"),
    AMPLIFIER("amplifier"),
    CABLE("cable"),
    RELAY("relay"),
    CONVERTER("converter");

    private final String label;

    PartKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** What it wants a place for; empty for what goes where the radio is. */
    public Optional<Thing.Kind> wants() {
        return switch (this) {
            case GPS_ANTENNA -> Optional.of(Thing.Kind.GPS_ANTENNA);
            case MICROPHONE -> Optional.of(Thing.Kind.MICROPHONE);
            case USB_ADAPTER, AUX_ADAPTER -> Optional.of(Thing.Kind.SOCKET);
            case CAMERA -> Optional.of(Thing.Kind.CAMERA);
            case CONTROL_INTERFACE, DATA_MODULE, GROUND_LOOP_ISOLATOR, AMPLIFIER, RELAY, CONVERTER -> Optional.of(
                    Thing.Kind.MODULE);
            default -> Optional.empty();
        };
    }

    /** Whether a part of this kind carries no current. */
    public boolean wireless() {
        return this == DASH_KIT;
    }

    public static Optional<PartKind> find(String label) {
        return Arrays.stream(values()).filter(k -> k.label().equals(label)).findFirst();
    }

    public static String all() {
        return Arrays.stream(values()).map(PartKind::label).collect(Collectors.joining(", "));
    }
}
