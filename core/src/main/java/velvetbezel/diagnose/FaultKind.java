package velvetbezel.diagnose;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What can be wrong with a thing of an installation. */
public enum FaultKind {
    JOINT_OPEN,
    PIN_PUSHED_BACK,
    PLUG_NOT_HOME,
    WIRE_BROKEN,
    POOR_CONTACT,
    LEADS_EXCHANGED,
    LEAD_ASTRAY,
    PAIR_REVERSED,
    SHORT_TO_GROUND,
    SHORT_TO_CONSTANT,
    PAIR_SHORTED,
    FUSE_BLOWN,
    DEVICE_DEAD,
    OUTPUT_DEAD,
    SETTING_WRONG,
    SET_UP_MISSING,
    MOUNTED_WRONG,
    SOCKETS_EXCHANGED;

    public static Optional<FaultKind> find(String label) {
        return Arrays.stream(values()).filter(k -> k.label().equals(label)).findFirst();
    }

    /** As data files write it: "joint open". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
