package velvetbezel.web.controls;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.controls.ButtonMap;
import velvetbezel.controls.KeyInput;
import velvetbezel.controls.KeyTry;
import velvetbezel.controls.SetUpFile;
import velvetbezel.drawing.WheelDrawing;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.job.Entry;
import velvetbezel.run.Learned;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * The steering wheel as it looks, with what its buttons do; pressing one tries it.
 *
 * @param layouts drawn; several while nobody has looked which of them it is
 * @param look    field that says which it is; empty where that is known
 * @param plain   buttons of a wheel that no sheet draws
 */
record WheelView(List<WheelDrawing> layouts, String look, List<String> plain, Optional<Tried> tried) {
    /** No wheel's input has so many. */
    private static final double MOST_VOLTS = 100;

    /** A press that is asked to be tried. @param button empty for none */
    record Asked(String button, boolean held) {
        static final Asked NOTHING = new Asked("", false);
    }

    /**
     * What came of a press.
     *
     * @param steps from the wheel to what is seen, each in a sentence
     * @param basis what it was run with
     */
    record Tried(String button, boolean held, String heading, List<String> steps, String basis, String mark) {}

    static WheelView of(OpenJob open, StandIns standIns, Asked asked) {
        Sheet.Vehicle car = open.vehicle().orElseThrow();
        Map<String, List<String>> does = does(open);
        List<WheelDrawing> layouts = car.possibleWheels().entrySet().stream()
                .map(w -> WheelDrawing.of(w.getKey(), w.getValue(), does))
                .toList();
        List<String> there = car.buttons().stream()
                .filter(b -> !car.absentButtons().contains(b))
                .toList();
        return new WheelView(
                layouts,
                car.wheelOpen() ? JobCodec.key(new Entry.TraitSeen(Trait.STEERING_LAYOUT)) : "",
                layouts.isEmpty() ? there : List.of(),
                Optional.of(asked).filter(a -> there.contains(a.button)).map(a -> tried(open, standIns, a)));
    }

    /** Whether there is anything to show. */
    public boolean empty() {
        return layouts.isEmpty() && plain.isEmpty();
    }

    /** What buttons do that is not their own name. */
    private static Map<String, List<String>> does(OpenJob open) {
        Map<String, List<String>> does = new LinkedHashMap<>();
        for (ButtonMap map : maps(open))
            for (ButtonMap.Cell c : map.cells()) {
                if (c.command().equals(c.press().label())
                        || c.command().equals(KeyPress.NOTHING) && c.press().held()) continue;
                does.computeIfAbsent(c.press().button(), k -> new ArrayList<>())
                        .add(Say.it(c.press().held() ? "wheel.hold" : "wheel.press", c.command()));
            }
        return does;
    }

    static List<ButtonMap> maps(OpenJob open) {
        return open.design().map(d -> ButtonMap.of(d.installation(), d.setUp())).orElse(List.of());
    }

    // --- a press

    private static Tried tried(OpenJob open, StandIns standIns, Asked asked) {
        Installation set = open.design().orElseThrow().installation();
        List<KeyInput> keys = open.design().get().keys();
        List<String> loaded = new ArrayList<>();
        Optional<Learned> learned = Optional.empty();
        for (Instance i : set.instances()) {
            Optional<SetUpFile> inForce = standIns.inForce(open.job().number(), i.id());
            if (inForce.isEmpty()) continue;
            loaded.add(i.device().name());
            set = set.withSettings(inForce.get().values(i));
            if (!inForce.get().windows().isEmpty())
                learned = Optional.of(inForce.get().learned(i, keys));
        }
        KeyTry tried = KeyTry.of(set, keys, learned, asked.button, asked.held);
        return new Tried(
                asked.button,
                asked.held,
                heading(tried, set),
                steps(tried, set),
                loaded.isEmpty() ? Say.it("try.decided") : Say.it("try.loaded", Words.list(loaded)),
                tried.shown().isEmpty() ? "lost" : "kept");
    }

    private static String heading(KeyTry tried, Installation set) {
        String press = Say.it(tried.held() ? "try.held" : "try.press", tried.button());
        if (tried.nothing()) return Say.it("try.nothing", press);
        return tried.shown().isEmpty()
                ? Say.it("try.message.only", press)
                : Say.it("try.shows", press, Words.list(said(tried.shown(), set)));
    }

    private static List<String> steps(KeyTry tried, Installation set) {
        List<String> steps = new ArrayList<>();
        for (KeyTry.Taken t : tried.taken())
            steps.add(Say.it(
                    t.button().isEmpty() ? "try.reads.none" : "try.reads",
                    name(set, t.at().instance()),
                    LadderView.volts(t.volts().value()),
                    t.button(),
                    t.window()
                            .map(w -> LadderView.window(w.low(), w.high(), MOST_VOLTS))
                            .orElse("")));
        for (KeyTry.Said m : tried.messages())
            steps.add(Say.it("try.sends", name(set, m.instance()), message(m.what())));
        for (KeyTry.Said s : tried.shown()) steps.add(Say.it("try.does", name(set, s.instance()), s.what()));
        return steps;
    }

    private static String message(String signal) {
        return signal.startsWith(KeyPress.COMMAND)
                ? Say.it("try.command", signal.substring(KeyPress.COMMAND.length()))
                : Say.it("try.message", signal.substring(signal.indexOf('.') + 1));
    }

    private static List<String> said(List<KeyTry.Said> all, Installation set) {
        return all.stream()
                .map(s -> Say.it("try.does", name(set, s.instance()), s.what()))
                .map(s -> s.substring(0, s.length() - 1))
                .toList();
    }

    private static String name(Installation set, String instance) {
        return set.instance(instance)
                .map(i -> Words.sentence(i.device().name()))
                .orElse(instance);
    }
}
