package velvetbezel.prove;

import java.util.Optional;
import velvetbezel.harness.Installation;
import velvetbezel.harness.SettingId;

/** What is set up on a device, in words. */
public final class SetUp {
    private SetUp() {}

    /** "selector of Cordwin interface on 4", "buttons learned by Pebblefen P2". */
    public static String words(Installation installation, SettingId id) {
        String device =
                installation.instance(id.instance()).map(i -> i.device().name()).orElse(id.instance());
        Optional<String> value = Optional.ofNullable(installation.settings().get(id.key()));
        return value.map(v -> "%s of %s on %s".formatted(id.setting(), device, v))
                .orElseGet(() -> "%s by %s".formatted(id.setting(), device));
    }
}
