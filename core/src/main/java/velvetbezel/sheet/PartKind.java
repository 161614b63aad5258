package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** What a part is, in the order in which a kit is listed. */
public enum PartKind {
    DASH_KIT, VEHICLE_HARNESS_ADAPTER, ANTENNA_ADAPTER, CONTROL_INTERFACE, DATA_MODULE;

    public String label() { return name().toLowerCase(Locale.ROOT).replace('_', ' '); }

    public static Optional<PartKind> find(String label) {
        return Arrays.stream(values()).filter(k -> k.label().equals(label)).findFirst();
    }

    public static String all() { return Arrays.stream(values()).map(PartKind::label).collect(Collectors.joining(", ")); }
}
