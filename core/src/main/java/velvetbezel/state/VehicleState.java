package velvetbezel.state;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * The state a vehicle is put in. Immutable; {@link #with} gives changed copies.
 *
 * @param words    one allowed word per word field
 * @param dimmer   instrument dimmer, 0 to 100 %
 * @param buttons  names of the buttons held
 * @param unplugged names of the connectors taken off
 * @param settings settings chosen while this state lasts, "device.setting" → value
 */
public record VehicleState(
        Map<StateField, String> words,
        double dimmer,
        Set<String> buttons,
        Set<String> unplugged,
        Map<String, String> settings) {

    /** Parked, locked up, battery connected, nothing pressed. */
    public static final VehicleState AT_REST = new VehicleState(restWords(), 100, Set.of(), Set.of(), Map.of());

    public VehicleState {
        words = Map.copyOf(words);
        buttons = Set.copyOf(buttons);
        unplugged = Set.copyOf(unplugged);
        settings = Map.copyOf(settings);
        if (!(dimmer >= 0 && dimmer <= 100))
            throw new IllegalArgumentException("A dimmer at %s %% is not between 0 and 100.".formatted(dimmer));
    }

    private static Map<StateField, String> restWords() {
        Map<StateField, String> words = new EnumMap<>(StateField.class);
        for (StateField field : StateField.values())
            if (field.kind() == StateField.Kind.WORD)
                words.put(field, field.words().get(0));
        return words;
    }

    public String word(StateField field) {
        return words.get(field);
    }

    /** @throws IllegalArgumentException if the field has no such value */
    public VehicleState with(StateField field, String word) {
        if (!field.words().contains(word))
            throw new IllegalArgumentException(
                    "%s cannot be \"%s\"; it is one of %s.".formatted(field.label(), word, field.words()));
        Map<StateField, String> changed = new EnumMap<>(words);
        changed.put(field, word);
        return new VehicleState(changed, dimmer, buttons, unplugged, settings);
    }

    public VehicleState withDimmer(double percent) {
        return new VehicleState(words, percent, buttons, unplugged, settings);
    }

    public VehicleState withButtons(Set<String> held) {
        return new VehicleState(words, dimmer, held, unplugged, settings);
    }

    public VehicleState withUnplugged(Set<String> names) {
        return new VehicleState(words, dimmer, buttons, names, settings);
    }

    public VehicleState withSettings(Map<String, String> chosen) {
        Map<String, String> merged = new TreeMap<>(settings);
        merged.putAll(chosen);
        return new VehicleState(words, dimmer, buttons, unplugged, merged);
    }

    /** The same where some settings, by their keys, are not chosen. */
    public VehicleState withoutSettings(Set<String> keys) {
        if (keys.isEmpty()) return this;
        Map<String, String> kept = new TreeMap<>(settings);
        kept.keySet().removeAll(keys);
        return new VehicleState(words, dimmer, buttons, unplugged, kept);
    }

    /** Names held or taken off, for the fields that are sets of names. */
    public Set<String> names(StateField field) {
        return switch (field) {
            case BUTTONS -> buttons;
            case UNPLUGGED -> unplugged;
            default -> Set.of();
        };
    }

    /** What differs from {@code before}, in the order of the fields, for people: "key → run". */
    public Map<String, String> changesFrom(VehicleState before) {
        Map<String, String> changes = new LinkedHashMap<>();
        for (StateField field : StateField.values()) {
            switch (field.kind()) {
                case WORD -> put(changes, field.label(), before.word(field), word(field));
                case NUMBER -> put(changes, field.label(), before.dimmer + " %", dimmer + " %");
                case NAMES -> put(changes, field.label(), sorted(before.names(field)), sorted(names(field)));
                case CHOICES -> settings.forEach((name, value) -> put(changes, name, before.settings.get(name), value));
            }
        }
        return changes;
    }

    private static String sorted(Set<String> names) {
        return names.isEmpty() ? "none" : String.join(", ", new TreeSet<>(names));
    }

    private static void put(Map<String, String> changes, String name, String before, String after) {
        if (!after.equals(before)) changes.put(name, after);
    }
}
