package velvetbezel.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;

/** A change of state: only what is named changes. */
public record ScenarioStep(
        Map<StateField, String> words,
        Optional<Double> dimmer,
        Optional<Set<String>> buttons,
        Optional<Set<String>> unplugged,
        Map<String, String> settings) {
    public VehicleState from(VehicleState before) {
        VehicleState next = before;
        for (var word : words.entrySet()) next = next.with(word.getKey(), word.getValue());
        if (dimmer.isPresent()) next = next.withDimmer(dimmer.get());
        if (buttons.isPresent()) next = next.withButtons(buttons.get());
        if (unplugged.isPresent()) next = next.withUnplugged(unplugged.get());
        return settings.isEmpty() ? next : next.withSettings(settings);
    }

    /**
     * What a device wants done once before it works: states to pass through, and terminals at which it
     * learns the vehicle's buttons one by one.
     */
    public record FirstUse(ScenarioStep set, List<String> learnAt) {
        public FirstUse {
            learnAt = List.copyOf(learnAt);
        }
    }
}
