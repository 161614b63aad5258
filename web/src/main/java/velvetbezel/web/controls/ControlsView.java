package velvetbezel.web.controls;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.controls.Decision;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.Trait;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.SetUpView;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * Controls: what has to be set and when, what is lost until then, and how each button of the wheel is read.
 *
 * @param second what is lost now, and which button goes first
 * @param lines  what has to be set, in the order of time
 * @param stays  settings that stay as delivered
 * @param notes  what a person should know of the answer itself
 * @param wheel  its buttons as they look; {@code maps} what devices are told to do at them
 * @param interfaces what is set up by computer
 * @param compared  what a file turned out to be, by the device it was held against
 * @param paper  whether there is a kit to print a card and a guide of
 */
public record ControlsView(
        Frame frame,
        String heading,
        List<String> second,
        List<SetUpView.Line> lines,
        List<String> stays,
        List<String> notes,
        Optional<WheelView> wheel,
        List<MapView> maps,
        List<LadderView> ladders,
        List<InterfaceView> interfaces,
        Map<String, List<String>> compared,
        boolean paper) {
    private static final int SAID = 4;
    private static final SettingId ANY = new SettingId("any", "any");

    /** How it can be known that a setting is made. @param value as it is kept */
    public record Evidence(String value, String words) {}

    public List<Evidence> evidence() {
        return Arrays.stream(Entry.Evidence.values())
                .map(e -> new Evidence(
                        JobCodec.text(Change.set(new Entry.SettingMade(ANY), e)).orElseThrow(),
                        Say.it("set.evidence." + e)))
                .toList();
    }

    static ControlsView of(OpenJob open, StandIns standIns, Frame.Trouble trouble, WheelView.Asked asked) {
        Frame frame = Frame.of(open, Station.CONTROLS, trouble);
        if (open.design().isEmpty())
            return new ControlsView(
                    frame,
                    Say.it("controls.no.kit"),
                    List.of(Say.it("controls.no.kit.verdict")),
                    List.of(),
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    List.of(),
                    Map.of(),
                    false);
        List<SetUpView.Line> lines = SetUpView.of(open);
        List<LadderView> ladders = LadderView.of(open);
        List<InterfaceView> interfaces = InterfaceView.of(open, standIns);
        return new ControlsView(
                frame,
                heading(open, lines, interfaces),
                second(open, lines, ladders),
                lines,
                SetUpView.asDelivered(open),
                notes(open),
                Optional.of(WheelView.of(open, standIns, asked)).filter(w -> !w.empty()),
                MapView.of(open),
                ladders,
                interfaces,
                Map.of(),
                true);
    }

    /** The same page with what a file turned out to be. */
    ControlsView compared(String device, List<String> said) {
        return new ControlsView(
                frame,
                heading,
                second,
                lines,
                stays,
                notes,
                wheel,
                maps,
                ladders,
                interfaces,
                Map.of(device, said),
                paper);
    }

    private static String heading(OpenJob open, List<SetUpView.Line> lines, List<InterfaceView> interfaces) {
        boolean power = open.has(new Entry.FirstPower());
        List<SetUpView.Line> before =
                lines.stream().filter(l -> l.beforePower() && !l.set()).toList();
        for (SetUpView.Line l : lines)
            if (!l.found().isEmpty() && l.wrong() && !l.set()) return Say.it("controls.differs", l.words());
        if (power && !before.isEmpty())
            return Say.it("controls.late", before.get(0).words());
        if (open.vehicle().orElseThrow().wheelOpen())
            return Say.it("controls.look", Words.small(Trait.STEERING_LAYOUT.text()));
        for (Decision d : open.design().orElseThrow().setUp().decisions()) {
            String old = open.text(new Entry.SettingRevoked(d.id()));
            if (!old.isEmpty() && !open.has(new Entry.SettingMade(d.id())))
                return Say.it("controls.stale", d.id().setting(), old, d.value().orElse(Say.it("set.nothing")));
            if (d.open() && d.when() == HowSet.Moment.BEFORE_POWER)
                return Say.it(
                        "controls.look",
                        Words.small(((Decision.Wanted.Open) d.wanted()).fact().text()));
        }
        for (InterfaceView i : interfaces) if (i.stale()) return Say.it("controls.loaded.other", i.device());
        if (!before.isEmpty()) return Say.it("controls.not.yet", before.size());
        if (lines.isEmpty()) return Say.it("controls.nothing");
        if (lines.stream().allMatch(SetUpView.Line::set)) return Say.it("controls.all");
        return Say.it(power ? "controls.ready.on" : "controls.ready");
    }

    private static List<String> second(OpenJob open, List<SetUpView.Line> lines, List<LadderView> ladders) {
        List<String> second = new ArrayList<>();
        lines.stream()
                .filter(l -> l.beforePower() && !l.set())
                .findFirst()
                .ifPresent(l -> second.add(Say.it("controls.not.yet.first", l.words())));
        List<String> lost = lostNow(open);
        if (!lost.isEmpty()) second.add(Say.it("controls.lost.now", some(Words.together(lost))));
        SetUpPlan plan = open.design().orElseThrow().setUp();
        if (!plan.lostBySetting().isEmpty())
            second.add(Say.it("controls.lost.by.setting", names(open, plan.lostBySetting())));
        long after = lines.stream().filter(l -> !l.beforePower() && !l.set()).count();
        if (after > 0) second.add(Say.it("controls.after", after));
        ladders.stream()
                .filter(l -> l.mark().equals("lost"))
                .map(LadderView::verdict)
                .forEach(second::add);
        ladders.stream().map(LadderView::weakest).filter(w -> !w.isEmpty()).forEach(second::add);
        return second;
    }

    /** A few of many, with how many more there are; all stand at their settings. */
    private static String some(List<String> names) {
        return names.size() <= SAID
                ? Words.list(names)
                : Say.it("controls.and.more", String.join(", ", names.subList(0, SAID)), names.size() - SAID);
    }

    /** Functions that some setting serves which is not made yet. */
    private static List<String> lostNow(OpenJob open) {
        Set<FunctionId> lost = new LinkedHashSet<>();
        for (Decision d : open.design().orElseThrow().setUp().decisions())
            if (!open.has(new Entry.SettingMade(d.id()))) lost.addAll(d.lostWhileUnset());
        return lost.stream().map(open::functionName).toList();
    }

    private static String names(OpenJob open, List<FunctionId> functions) {
        return Words.list(
                Words.together(functions.stream().map(open::functionName).collect(Collectors.toList())));
    }

    private static List<String> notes(OpenJob open) {
        return open.design().orElseThrow().setUp().proof() == SetUpPlan.Proof.PROVEN
                ? List.of()
                : List.of(Say.it("controls.best.found"));
    }
}
