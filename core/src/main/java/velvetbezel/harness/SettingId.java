package velvetbezel.harness;

/** A setting of a device in an installation. */
public record SettingId(String instance, String setting) implements Comparable<SettingId> {
    /** As states and sheets write it: "instance.setting". */
    public String key() {
        return instance + "." + setting;
    }

    @Override
    public int compareTo(SettingId other) {
        return key().compareTo(other.key());
    }

    @Override
    public String toString() {
        return key();
    }
}
