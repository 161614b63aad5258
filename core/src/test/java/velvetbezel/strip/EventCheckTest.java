package velvetbezel.strip;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.StripDown;

/** What somebody says was done to a dash, and the trays. */
class EventCheckTest {
    private static final StripDown CAR = Cars.leverAgainstLamp();

    private static CarState after(String... steps) {
        CarState car = CarState.CLOSED;
        for (String s : steps) car = car.after(StepText.read(s));
        return car;
    }

    private static Optional<String> refused(CarState car, String step) {
        return new EventCheck(CAR).refused(car, StepText.read(step));
    }

    @Test
    void whatCannotHaveBeenDoneIsRefusedWithWhatWasGivenAndExpected() {
        CarState car = after("loosen radio", "lift radio", "undo fascia/clips × 9");
        for (var e : List.of(
                List.of("loosen sunroof", "\"sunroof\" is no part of this dash"),
                List.of("lift radio", "radio is away already; it cannot be lifted a second time."),
                List.of("lift glove box", "glove box stays in the car: it is a lid."),
                List.of("fasten fascia", "fascia is home already; only what is loose can be fastened."),
                List.of("undo radio/front × 60", "60 out of radio/front, which has 2. Count again"),
                List.of("undo radio/left × 1", "\"radio/left\" is no group of fasteners of this dash."),
                List.of("do up fascia/clips × 10", "10 of fascia/clips put in, and 9 are in the tray."),
                List.of("plug in radio.main", "radio.main is on already."),
                List.of("do polish", "\"polish\" is no work of this sheet.")))
            assertTrue(refused(car, e.get(0)).orElse("taken").startsWith(e.get(1)), () -> refused(car, e.get(0))
                    .orElse("taken"));
        assertEquals(
                Optional.empty(), refused(car, "undo radio/front × 3"), "one more than stated is found now and then");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "undo radio/front × -3", "undo radio/front × 99", "undo radio × 2", "set gear: fifth", "fly"
            })
    void whatIsNoStepIsSaidToBeNone(String text) {
        assertThrows(InvalidInput.class, () -> StepText.read(text));
    }

    @Test
    void everyStepReadsBackFromItsText() {
        List<StripStep> steps = new Planner()
                .plan(CAR, Wanted.away("radio"), CarState.CLOSED)
                .found()
                .orElseThrow()
                .steps();
        for (StripStep s : steps) assertEquals(s, StepText.read(StepText.write(s)));
    }

    @Test
    void screwInTheHandBelongsToTheGroupOfItsDriveThatWasClosedLast() {
        List<StripStep> steps = StepText.readAll(List.of(
                "undo surround/under lid × 2",
                "loosen surround",
                "undo radio/front × 2",
                "loosen radio",
                "do up radio/front × 1",
                "fasten radio",
                "do up surround/under lid × 1",
                "fasten surround"));
        CarState car = CarState.CLOSED;
        for (StripStep s : steps) car = car.after(s);
        TrayAdvice advice = new TrayAdvice(CAR, car, steps);
        assertEquals(
                List.of("surround/under lid", "radio/front", "radio/rear"),
                advice.inHand("hex 7").stream().map(Object::toString).toList());
        assertEquals(List.of(), advice.inHand("T20"), "from the kit");
        assertEquals(
                TrayAdvice.Missing.LOST,
                advice.missing(GroupOf.read("radio/front").orElseThrow())
                        .orElseThrow()
                        .why());
    }

    @Test
    void missingScrewThatMayDropDroppedAtItsStepAndOneNotCountedOutWasNotOutAtAll() {
        List<StripStep> steps = StepText.readAll(List.of("undo radio/rear × 2", "undo fascia/clips × 7"));
        CarState car = CarState.CLOSED;
        for (StripStep s : steps) car = car.after(s);
        TrayAdvice advice = new TrayAdvice(CAR, car, steps);
        var rear = advice.missing(GroupOf.read("radio/rear").orElseThrow()).orElseThrow();
        var clips = advice.missing(GroupOf.read("fascia/clips").orElseThrow()).orElseThrow();
        assertEquals(List.of(TrayAdvice.Missing.DROPPED, 0), List.of(rear.why(), rear.step()));
        assertEquals(List.of(TrayAdvice.Missing.NOT_COUNTED_OUT, 1), List.of(clips.why(), clips.step()));
    }
}
