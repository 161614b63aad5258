package velvetbezel.controls;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.SettingId;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Learned;
import velvetbezel.run.Window;
import velvetbezel.sheet.Choice;

/**
 * What is loaded into one device: for which car and radio it is, and every setting.
 *
 * @param device   id of its sheet
 * @param revision of its program
 * @param serial   of the very device
 * @param vehicle  id of its sheet
 * @param radio    id of its sheet; {@code radioSerial} an empty text where nobody noted it
 * @param settings by name
 * @param map      command of each press, "next" or "next, held"
 * @param windows  in steps of its converter, low end and high end, by terminal and button
 */
public record SetUpFile(
        String device,
        int revision,
        String serial,
        String vehicle,
        String radio,
        String radioSerial,
        SortedMap<String, String> settings,
        SortedMap<String, String> map,
        SortedMap<String, SortedMap<String, List<Integer>>> windows) {
    /** What serials look like: letters, digits and hyphens. */
    public static final String SERIAL = "[A-Z0-9]{1,6}(-[A-Z0-9]{1,8}){0,3}";

    public SetUpFile {
        settings = Collections.unmodifiableSortedMap(new TreeMap<>(settings));
        map = Collections.unmodifiableSortedMap(new TreeMap<>(map));
        windows = Collections.unmodifiableSortedMap(new TreeMap<>(windows));
    }

    /** In what two files differ. */
    public enum Differs {
        /** For which car, radio or device it is. */
        WHOSE,
        SETTING,
        /** What a button does. */
        PRESS,
        WINDOWS
    }

    /** One thing in which two files differ. @param now empty where only the other has it */
    public record Difference(Differs in, String what, String then, String now) {}

    /** Of a device as it is decided. */
    public static SetUpFile of(
            Installation installation,
            Instance device,
            SetUpPlan plan,
            List<KeyInput> keys,
            String serial,
            String radioSerial) {
        SortedMap<String, String> settings = new TreeMap<>();
        SortedMap<String, String> map = new TreeMap<>();
        Map<SettingId, String> decided = plan.values();
        for (Choice c : device.device().settings()) {
            String value = decided.get(new SettingId(device.id(), c.name()));
            if (value != null)
                c.press().ifPresentOrElse(p -> map.put(p.label(), value), () -> settings.put(c.name(), value));
        }
        SortedMap<String, SortedMap<String, List<Integer>>> windows = new TreeMap<>();
        for (KeyInput k : keys)
            if (k.reader().at().instance().equals(device.id()))
                k.ladder().ifPresent(l -> windows.put(k.reader().at().name(), windows(l)));
        return new SetUpFile(
                device.sheet(),
                1,
                serial,
                installation.recipe().vehicle().id(),
                installation.recipe().radio().map(r -> r.id()).orElse(""),
                radioSerial,
                settings,
                map,
                windows);
    }

    private static SortedMap<String, List<Integer>> windows(ButtonLadder ladder) {
        SortedMap<String, List<Integer>> windows = new TreeMap<>();
        int most = (int) ladder.reader().steps() - 1;
        for (Rung r : ladder.buttons()) {
            Optional<Window> w = ladder.window(r);
            w.ifPresent(
                    x -> windows.put(r.button(), List.of(step(ladder, x.low(), most), step(ladder, x.high(), most))));
        }
        return windows;
    }

    private static int step(ButtonLadder ladder, double volts, int most) {
        return (int)
                Math.max(0, Math.min(most, Math.round(volts / ladder.reader().step())));
    }

    /** What would have to change to make another file of this one: for whom it is first, then its settings. */
    public List<Difference> to(SetUpFile now) {
        List<Difference> differences = new ArrayList<>();
        differ(differences, Differs.WHOSE, "device", device, now.device);
        differ(differences, Differs.WHOSE, "revision", String.valueOf(revision), String.valueOf(now.revision));
        differ(differences, Differs.WHOSE, "serial", serial, now.serial);
        differ(differences, Differs.WHOSE, "vehicle", vehicle, now.vehicle);
        differ(differences, Differs.WHOSE, "radio", radio, now.radio);
        differ(differences, Differs.WHOSE, "radio serial", radioSerial, now.radioSerial);
        differ(differences, Differs.SETTING, settings, now.settings);
        differ(differences, Differs.PRESS, map, now.map);
        if (!windows.equals(now.windows)) differences.add(new Difference(Differs.WINDOWS, "", "", ""));
        return differences;
    }

    private static void differ(
            List<Difference> into, Differs in, SortedMap<String, String> then, SortedMap<String, String> now) {
        SortedMap<String, String> all = new TreeMap<>(then);
        all.putAll(now);
        all.keySet().forEach(s -> differ(into, in, s, then.getOrDefault(s, ""), now.getOrDefault(s, "")));
    }

    /** The device as this file sets it. */
    public Map<SettingId, String> values(Instance instance) {
        Map<SettingId, String> values = new TreeMap<>();
        for (Choice c : instance.device().settings()) {
            String value = c.press().map(p -> map.get(p.label())).orElseGet(() -> settings.get(c.name()));
            if (value != null) values.put(new SettingId(instance.id(), c.name()), value);
        }
        return values;
    }

    /** What the device knows of the buttons by this file; the ends of the converter stand for all beyond them. */
    public Learned learned(Instance instance, List<KeyInput> keys) {
        Map<String, Map<String, Window>> learned = new HashMap<>();
        for (KeyInput k : keys) {
            TerminalId at = k.reader().at();
            if (!at.instance().equals(instance.id())) continue;
            Map<String, Window> of = new HashMap<>();
            windows.getOrDefault(at.name(), new TreeMap<>())
                    .forEach((button, ends) -> of.put(button, window(k.reader(), ends)));
            learned.put(instance.id() + "." + at.name(), of);
        }
        return new Learned(learned);
    }

    private static Window window(KeyReader reader, List<Integer> ends) {
        return new Window(
                ends.get(0) == 0 ? -ButtonLadder.FAR : ends.get(0) * reader.step(),
                ends.get(1) >= reader.steps() - 1 ? ButtonLadder.FAR : ends.get(1) * reader.step());
    }

    private static void differ(List<Difference> into, Differs in, String what, String then, String now) {
        if (!Objects.equals(then, now)) into.add(new Difference(in, what, then, now));
    }
}
