package velvetbezel.diagnose;

import java.util.Locale;

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

    /** As data files write it: "joint open". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
