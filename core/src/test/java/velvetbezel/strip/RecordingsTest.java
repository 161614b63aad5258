package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.fit.FitQuestion;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.Fitter;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.StripDown;

/** What is made of recorded steps: links between parts, times of a person; and what a radio's fit adds to an order. */
class RecordingsTest {
    private static List<StripStep> steps(String... texts) {
        return Arrays.stream(texts).map(StepText::read).toList();
    }

    private static final List<StripStep> FIRST = steps(
            "undo surround/top hex 7 × 2",
            "loosen surround",
            "lift surround",
            "loosen vent",
            "lift vent",
            "loosen fascia",
            "lift fascia",
            "exchange");
    private static final List<StripStep> SECOND = steps(
            "loosen vent", "lift vent", "loosen surround", "lift surround", "loosen fascia", "lift fascia", "exchange");

    @Test
    void oneRecordingTakesEveryEarlierPartForOneInFront() {
        assertEquals(
                List.of(new Recorder.Link("vent", "surround"), new Recorder.Link("fascia", "vent")),
                new Recorder(List.of(FIRST), Set.of(), Set.of()).links());
    }

    @Test
    void secondRecordingInAnotherOrderTakesALinkAway() {
        List<Recorder.Link> links = new Recorder(List.of(FIRST, SECOND), Set.of(), Set.of()).links();
        assertEquals(
                Set.of(new Recorder.Link("fascia", "surround"), new Recorder.Link("fascia", "vent")),
                Set.copyOf(links));
    }

    @Test
    void whatAPersonSaysCouldHaveComeFirstIsNoLink() {
        Recorder recorder = new Recorder(List.of(FIRST), Set.of(), Set.of(new Recorder.Link("vent", "surround")));
        assertEquals(
                Set.of(new Recorder.Link("fascia", "surround"), new Recorder.Link("fascia", "vent")),
                Set.copyOf(recorder.links()));
    }

    private static final StripDown SHEET =
            Cars.read(Demo.parse(("{'items': [{'id': 'fascia', 'minutes': [1, 4, 8], 'fasteners':"
                            + " [{'id': 'top', 'drive': 'hex 7', 'count': 2}]}, {'id': 'radio', 'kind': 'radio', 'minutes': [1, 2, 4]}]}")
                    .replace('\'', '"')));

    private static Timeline timeline(Object... stepsAndSeconds) {
        List<Timeline.Timed> timed = new ArrayList<>();
        for (int i = 0; i < stepsAndSeconds.length; i += 2)
            timed.add(new Timeline.Timed(
                    "%06d-a".formatted(i), StepText.read((String) stepsAndSeconds[i]), OptionalLong.of((int)
                            stepsAndSeconds[i + 1])));
        return new Timeline(timed);
    }

    @Test
    void partTakesWhatItsScrewsAndItsLiftingTook() {
        Timeline t = timeline(
                "set key: off",
                0,
                "undo fascia/top × 2",
                120,
                "loosen fascia",
                300,
                "lift fascia",
                360,
                "loosen radio",
                480);
        assertEquals(
                List.of(new LearnedTimes.Taken("loosen fascia", 4, 6), new LearnedTimes.Taken("loosen radio", 2, 2)),
                t.taken(SHEET, Set.of()));
        assertEquals(List.of(), t.pauses());
    }

    @Test
    void pauseOfMoreThanTenMinutesIsAskedAboutAndCountsOnlyAsWork() {
        Timeline t = timeline("loosen fascia", 0, "loosen radio", 11 * 60);
        assertEquals(
                List.of(11.0), t.pauses().stream().map(Timeline.Pause::minutes).toList());
        assertEquals(List.of(), t.taken(SHEET, Set.of()));
        assertEquals(
                List.of(new LearnedTimes.Taken("loosen radio", 2, 11)),
                t.taken(SHEET, Set.of(t.pauses().get(0).id())));
    }

    // --- what the fit adds

    private static final Sheet.Vehicle CAR = Demo.vehicle("meridale-plover-2019-plain");

    private static FitWorks works(String radio) {
        Optional<KitFrame> kit = Demo.parts("quillmoor-plover-panel").get(0).frame();
        FitReport fit = Fitter.of(new FitQuestion(
                CAR.site().orElseThrow(), Demo.radio(radio).shape().orElseThrow(), kit, "", Set.of(), ""));
        return FitWorks.in(CAR.strip().orElseThrow(), fit, kit);
    }

    private static List<StripStep> plan(FitWorks works) {
        Set<ItemId> away = new HashSet<>(works.away());
        away.add(new ItemId("radio"));
        return new Planner()
                .plan(works.strip(), new Wanted(away, Set.of(), Set.of(), School.USUAL), CarState.CLOSED)
                .found()
                .orElseThrow()
                .steps();
    }

    @Test
    void braceInFrontOfADeepRadioComesOutBeforeTheExchangeAndStaysOut() {
        List<StripStep> steps = plan(works("ondel-60"));
        int undone = steps.indexOf(StepText.read("undo cross brace/screws × 4"));
        int exchange = steps.indexOf(new StripStep.Exchange());
        assertTrue(undone > steps.indexOf(StepText.read("lift radio")) && undone < exchange, steps::toString);
        assertTrue(steps.stream().noneMatch(s -> s.equals(StepText.read("fasten cross brace"))), steps::toString);
        assertEquals(Set.of(), works("ondel-47").away());
    }

    @Test
    void thingThatGoesBehindAPartOpensIt() {
        MountingPlace back = CAR.site().orElseThrow().places().stream()
                .filter(p -> p.id().equals("glove box"))
                .findFirst()
                .orElseThrow();
        List<StripStep> steps = plan(works("ondel-47").mounting(Map.of("module", back)));
        int mounted = steps.indexOf(StepText.read("do mount module at back of the glove box"));
        int opened = steps.indexOf(StepText.read("loosen glove box"));
        assertTrue(opened >= 0 && opened < mounted, steps::toString);
    }

    @Test
    void screwsThatGoToTheNewRadioAreSpareAndNoneIsLeftOver() {
        List<StripStep> steps = plan(works("ondel-47"));
        CarState car = CarState.CLOSED;
        for (StripStep s : steps) car = car.after(s);
        boolean rear = steps.stream()
                .anyMatch(s ->
                        s instanceof StripStep.Spare x && x.group().toString().equals("radio/rear bracket"));
        assertTrue(rear, steps::toString);
        assertTrue(steps.stream()
                .noneMatch(s ->
                        s instanceof StripStep.DoUp d && d.group().toString().equals("radio/rear bracket")));
        assertEquals(0, car.trays().left());
    }
}
