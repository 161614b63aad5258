package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.Sheet;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.Tables;
import velvetbezel.worksheet.Worksheet;

/** Minutes of a whole job: each counted once, each with where it comes from. */
class LabourTest {
    private static final Sheet.Vehicle CAR = Demo.vehicle("meridale-plover-2019-plain");
    private static final Sheet.Radio RADIO = Demo.radio("ondel-60");
    private static final List<Sheet.Part> PARTS =
            Demo.parts("quillmoor-plover-panel", "thornlea-plover-plain", "marlstone-plover-iso");
    private static final Tables TABLES = Demo.tables();

    private static Labour labour(Optional<Double> opening) {
        Kit kit = new Kit(RADIO, PARTS, Cost.NOTHING, 0, Map.of());
        Worksheet worksheet = Worksheet.of(Builder.replacement(CAR, RADIO, PARTS));
        return Labour.of(CAR, kit, worksheet, TABLES, JointChoices.USUAL, SetUpWork.NONE, opening);
    }

    private static Labour.Line line(Labour labour, Labour.Source source) {
        return labour.lines().stream()
                .filter(l -> l.source() == source)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void twelveJointsAreNotDoneInAQuarterOfAnHour() {
        Worksheet worksheet = Worksheet.of(Builder.replacement(CAR, RADIO, PARTS));
        assertTrue(worksheet.joints().size() >= 12, () -> worksheet.joints().size() + " joints");
        Labour.Line joints = line(labour(Optional.empty()), Labour.Source.JOINTS);
        int ends = worksheet.joints().stream().mapToInt(j -> j.leads().size()).sum();
        assertEquals(ends, joints.count());
        assertEquals(ends * TABLES.minutes().leadEnd().get(TABLES.school()), joints.minutes(), 1e-9);
        assertTrue(joints.minutes() > 15, () -> joints.minutes() + " min");
    }

    /** One file by computer at ten minutes and five buttons at half a minute (common practice, no source). */
    @Test
    void settingsAndLearnedButtonsAreMinutesOfTheirOwn() {
        HowSet computer = new HowSet(Optional.empty(), Optional.of(HowSet.Means.COMPUTER), false, Optional.empty());
        Kit kit = new Kit(RADIO, PARTS, Cost.NOTHING, 0, Map.of());
        Worksheet worksheet = Worksheet.of(Builder.replacement(CAR, RADIO, PARTS));
        Labour labour = Labour.of(
                CAR, kit, worksheet, TABLES, JointChoices.USUAL, new SetUpWork(List.of(computer), 5), Optional.empty());
        assertEquals(10, line(labour, Labour.Source.SETTINGS).minutes(), 1e-9);
        assertEquals(2.5, line(labour, Labour.Source.KEYS).minutes(), 1e-9);
    }

    @Test
    void whatGoesForTheRadioIsInThePlannedOrderOrALineOfItsOwn() {
        // the brace in front of this radio: 10 min on the vehicle's sheet
        assertEquals(
                10, line(labour(Optional.empty()), Labour.Source.MAKING_WAY).minutes());
        Labour planned = labour(Optional.of(50.0));
        assertTrue(planned.lines().stream().noneMatch(l -> l.source() == Labour.Source.MAKING_WAY));
        assertEquals(50, line(planned, Labour.Source.OPENING).minutes());
    }

    @Test
    void linesAreTheSumAndNoIdComesTwice() {
        Labour labour = labour(Optional.of(50.0));
        assertEquals(
                Math.round(labour.lines().stream()
                        .mapToDouble(Labour.Line::minutes)
                        .sum()),
                labour.minutes());
        assertEquals(
                labour.lines().size(),
                labour.lines().stream().map(Labour.Line::id).distinct().count());
    }

    @Test
    void whatAPersonSaysTakesThePlaceOfOneLine() {
        Labour labour = labour(Optional.of(50.0));
        Labour said = labour.with(Map.of("opening", 90, "nothing", 5));
        assertEquals(labour.minutes() + 40, said.minutes());
        assertEquals(Optional.of(50.0), line(said, Labour.Source.OPENING).stated());
    }

    @Test
    void timeNobodyStatedIsMissingUntilAPersonSaysIt() {
        Labour labour = new Labour(
                List.of(new Labour.Line("part x", Labour.Source.PART, "x", 1, Optional.empty(), Optional.empty())));
        assertEquals(1, labour.in(Cost.NOTHING).missing().times());
        assertEquals(
                0, labour.with(Map.of("part x", 7)).in(Cost.NOTHING).missing().times());
        assertEquals(7, labour.with(Map.of("part x", 7)).minutes());
    }
}
