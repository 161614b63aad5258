package velvetbezel.run;

import java.util.Map;
import java.util.Optional;

/** Windows a device has stored at first use: "instance.terminal" → button → window. */
public record Learned(Map<String, Map<String, Window>> windows) {
    public static final Learned NOTHING = new Learned(Map.of());

    public Learned {
        windows = Map.copyOf(windows);
    }

    public Optional<Window> window(String terminal, String button) {
        return Optional.ofNullable(windows.getOrDefault(terminal, Map.of()).get(button));
    }

    /** The button for which a voltage at a terminal is taken; empty where it is in no window. */
    public Optional<String> button(String terminal, double volts) {
        return windows.getOrDefault(terminal, Map.of()).entrySet().stream()
                .filter(e -> e.getValue().holds(volts))
                .map(Map.Entry::getKey)
                .findFirst();
    }
}
