package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.state.StateField;

/**
 * Reads what a device can be told to do at each button: every press becomes a setting whose values are the commands, and
 * every command of a press a rule that asks for that value. So the rules stay the one place that says what happens.
 */
final class KeyMapReader {
    private static final HowSet BY_COMPUTER = new HowSet(
            Optional.of(HowSet.Moment.BEFORE_POWER), Optional.of(HowSet.Means.COMPUTER), false, Optional.empty());
    private static final Guard LONG = new Guard.State(StateField.BUTTONS, List.of(KeyPress.HELD));

    /** What a device does at its buttons. @param settings one for each press, in the sheet's order */
    record Read(List<Choice> settings, List<Rule> rules) {}

    private final Node map;
    private final RuleReader rules;
    private final List<String> ports;

    private KeyMapReader(Node map, RuleReader rules, List<String> ports) {
        this.map = map;
        this.rules = rules;
        this.ports = ports;
    }

    /**
     * @param map   fields {@code at} (port that hears the buttons, or terminal that learned them), {@code when},
     *     {@code sends} (port), {@code presses}, {@code commands}, {@code functions} (of the car: name to effect),
     *     {@code fixed} (press to reason), {@code defaults} (press to command)
     * @param ports of the device
     */
    static Read read(Node map, RuleReader rules, List<String> ports) {
        if (!map.present()) return new Read(List.of(), List.of());
        map.only("at", "when", "sends", "presses", "commands", "functions", "fixed", "defaults");
        return new KeyMapReader(map, rules, ports).read();
    }

    private Read read() {
        List<String> labels = map.at("presses").texts();
        Map<String, Effect> commands = commands();
        DeviceReader.twice(map.at("presses"), labels, "press");
        known("fixed", labels);
        known("defaults", labels);
        List<Choice> settings = new ArrayList<>();
        List<Rule> made = new ArrayList<>();
        for (String label : labels) {
            KeyPress press =
                    KeyPress.of(label, map.at("fixed").at(label).optionalText().filter(r -> !r.isEmpty()));
            List<String> values = Stream.concat(Stream.of(KeyPress.NOTHING), commands.keySet().stream())
                    .toList();
            settings.add(new Choice(press.setting(), start(press, commands), values, BY_COMPUTER, Optional.of(press)));
            commands.forEach((name, effect) -> made.add(rule(press, name, effect)));
        }
        return new Read(settings, made);
    }

    private Map<String, Effect> commands() {
        Map<String, Effect> commands = new LinkedHashMap<>();
        String port = map.at("sends").text();
        if (!ports.contains(port)) map.at("sends").fault("\"%s\" is no port of this device.".formatted(port));
        for (String name : map.at("commands").texts())
            commands.put(name, new Effect.Emit(port, KeyPress.COMMAND + name, SignalLevel.of(0)));
        map.at("functions").fields().forEach((name, effect) -> {
            if (commands.containsKey(name)) effect.fault("is a command of the radio too; give it a name of its own.");
            rules.effect(effect).stream().findFirst().ifPresent(e -> commands.put(name, e));
        });
        return commands;
    }

    private void known(String field, List<String> labels) {
        map.at(field).fields().forEach((label, value) -> {
            if (!labels.contains(label))
                value.fault("is for a press that is not listed; presses are %s.".formatted(String.join(", ", labels)));
        });
    }

    /** By the sheet, else the command of the same name, else nothing. */
    private String start(KeyPress press, Map<String, Effect> commands) {
        Node said = map.at("defaults").at(press.label());
        if (!said.present()) return commands.containsKey(press.label()) ? press.label() : KeyPress.NOTHING;
        String name = said.text();
        if (commands.containsKey(name) || name.equals(KeyPress.NOTHING)) return name;
        said.fault("\"%s\" is no command; known are %s, and nothing."
                .formatted(name, String.join(", ", commands.keySet())));
        return KeyPress.NOTHING;
    }

    /** The value of the setting stands first, so that what is not chosen costs a run nothing. */
    private Rule rule(KeyPress press, String command, Effect effect) {
        return new Rule(
                "%s: %s".formatted(press.label(), command),
                new Guard.All(List.of(
                        new Guard.Setting(press.setting(), command),
                        map.has("when") ? rules.guard(map.at("when")) : Guard.All.ALWAYS,
                        press.held() ? LONG : new Guard.Not(LONG),
                        at(press.button()))),
                List.of(effect));
    }

    private Guard at(String button) {
        String at = map.at("at").text();
        return ports.contains(at) ? new Guard.Hears(at, "button." + button) : rules.learned(map.at("at"), button);
    }
}
