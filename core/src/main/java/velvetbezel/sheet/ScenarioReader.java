package velvetbezel.sheet;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.state.StateField;

/** Reads a change of vehicle state: {@code {"key": "run", "buttons": ["vol+"], "settings": {"radio.fader": "fl"}}}. */
public final class ScenarioReader {
    private ScenarioReader() {}

    public static ScenarioStep step(Node node) {
        Map<StateField, String> words = new EnumMap<>(StateField.class);
        Map<String, String> settings = new LinkedHashMap<>();
        Optional<Double> dimmer = Optional.empty();
        Optional<Set<String>> buttons = Optional.empty();
        Optional<Set<String>> unplugged = Optional.empty();
        for (var entry : node.fields().entrySet()) {
            Node value = entry.getValue();
            StateField field = StateField.find(entry.getKey()).orElse(null);
            if (field == null) value.fault("is no field of the vehicle's state; allowed: " + fields() + ".");
            else
                switch (field.kind()) {
                    case WORD -> words.put(field, word(value, field));
                    case NUMBER -> dimmer = Optional.of(value.number(0, 100));
                    case CHOICES -> value.fields().forEach((name, chosen) -> settings.put(name, chosen.text()));
                    case NAMES -> {
                        Optional<Set<String>> names = Optional.of(
                                Set.copyOf(value.texts().stream().distinct().toList()));
                        if (field == StateField.BUTTONS) buttons = names;
                        else unplugged = names;
                    }
                }
        }
        return new ScenarioStep(words, dimmer, buttons, unplugged, settings);
    }

    private static String word(Node value, StateField field) {
        String text = value.text();
        if (field.words().contains(text)) return text;
        value.fault("\"%s\" is no value of %s; allowed: %s."
                .formatted(text, field.label(), String.join(", ", field.words())));
        return field.words().get(0);
    }

    private static String fields() {
        return String.join(
                ", ", Arrays.stream(StateField.values()).map(StateField::label).toList());
    }
}
