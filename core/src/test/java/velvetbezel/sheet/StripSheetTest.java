package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.StripLines;
import velvetbezel.sheet.strip.StripReader;
import velvetbezel.sheet.strip.WorkLines;

/** Strip-downs on sheets: as JSON, as typed lines, and what is refused. */
class StripSheetTest {
    private static final FactReader FACTS = new FactReader("car", Provenance.of(Provenance.Origin.STATED));

    private static List<String> faults(String json) {
        List<InputProblem> faults = new ArrayList<>();
        StripReader.read(Node.root(Demo.parse(json.replace('\'', '"')), faults), FACTS);
        return faults.stream().map(InputProblem::toString).toList();
    }

    @Test
    void everythingWrongIsNamedAtOnceEachWithItsField() {
        List<String> faults = faults(
                """
                {'facts': {'batteries': [{'id': 'main', 'clamp': 'hex 2'}], 'start-up': -4},
                 'items': [
                  {'id': 'lid', 'kind': 'lid'},
                  {'id': 'fascia', 'behind': ['fascia', 'lid', 'shelf'], 'clear': {'gear': ['low', 'fifth'], 'mood': ['good']}},
                  {'id': 'fascia', 'minutes': [4, 2, 1]},
                  {'id': 'a', 'behind': ['b']}, {'id': 'b', 'behind': ['c']}, {'id': 'c', 'behind': ['a:loose']},
                  {'id': 'radio', 'fasteners': [{'id': 'front', 'drive': 'hex', 'count': 0, 'after': ['rear']},
                    {'id': 'side', 'drive': 'T20', 'count': [4, 3]}, {'id': 'top', 'drive': 'hex 7', 'count': 99}]}],
                 'works': [{'id': 'w', 'after': ['w'], 'plugged': ['radio.main']}]}""");
        for (String expected : List.of(
                "facts.batteries[main].clamp: \"hex 2\" is not known",
                "facts.start-up: -4 is outside 0 to 600.",
                "items: names \"fascia\" twice.",
                "items[fascia].behind: says that fascia hides itself; name the part in front of it.",
                "items[fascia].behind: waits until lid is away, and a lid is only opened; write \"lid:loose\".",
                "items[fascia].behind: \"shelf\" is no part of this dash",
                "items[fascia].clear.gear: \"fifth\" is no value of gear",
                "items[fascia].clear.mood: is no field of the vehicle's state",
                "items[fascia].minutes: expected three numbers that rise",
                "items: go in a circle: a waits for b waits for c waits for a.",
                "items[radio].fasteners[front].drive: \"hex\" is not known",
                "items[radio].fasteners[front].count: 0 is outside 1 to 60.",
                "items[radio].fasteners[front].after: \"rear\" is no group of radio",
                "items[radio].fasteners[side].count: says at least 4 and at most 3; write the smaller first.",
                "items[radio].fasteners[top].count: 99 is outside 1 to 60.",
                "works[w].after: comes after itself.",
                "works[w].plugged: \"radio.main\" is no plug of a part of this dash."))
            assertTrue(
                    faults.stream().anyMatch(f -> f.startsWith(expected)),
                    () -> expected + "\nis not among\n" + String.join("\n", faults));
    }

    @Test
    void hexagonOutsideThreeToThirtySixMillimetresIsNone() {
        for (String drive : List.of("hex 2.5", "hex 37", "T", "cross 9", "spanner"))
            assertEquals(
                    1,
                    faults("{'items': [{'id': 'a', 'fasteners': [{'id': 'f', 'drive': '%s', 'count': 1}]}]}"
                                    .formatted(drive))
                            .size(),
                    drive);
        for (String drive : List.of("hex 3", "hex 36", "hex 5.5", "T20", "cross 2", "hex socket 4", "release key"))
            assertEquals(
                    List.of(),
                    faults("{'items': [{'id': 'a', 'fasteners': [{'id': 'f', 'drive': '%s', 'count': 1}]}]}"
                            .formatted(drive)),
                    drive);
    }

    @Test
    void typedLinesOfEveryDashOfTheDemoSayWhatItsSheetSays() {
        for (Sheet sheet : Demo.all("vehicles")) {
            StripDown strip = ((Sheet.Vehicle) sheet).strip().orElseThrow();
            String lines = StripLines.write(strip.items());
            StripLines.Read read = StripLines.read(lines);
            assertEquals(List.of(), read.faults(), lines);
            WorkLines.Read works = WorkLines.read(WorkLines.write(strip.works(), strip.extras()));
            assertEquals(List.of(), works.faults());
            Map<String, Object> tree = new LinkedHashMap<>(Map.of("items", read.items()));
            tree.put("works", works.works());
            tree.put("extras", works.extras());
            List<InputProblem> faults = new ArrayList<>();
            StripDown again = StripReader.read(Node.root(tree, faults), FACTS).orElseThrow();
            assertEquals(List.of(), faults, lines);
            assertEquals(lines, StripLines.write(again.items()));
            assertEquals(
                    WorkLines.write(strip.works(), strip.extras()), WorkLines.write(again.works(), again.extras()));
        }
    }

    @Test
    void lineThatIsNotUnderstoodIsNamedAndTheOthersAreRead() {
        StripLines.Read read = StripLines.read(
                """
                fascia: 9 clips from lower left clockwise, glued
                radio (wireless): 4 hex 7 front
                shelf (shelf): 2 cross 2, behind fascia""");
        assertEquals(1, read.items().size());
        assertEquals(
                List.of("line 1", "line 2"),
                read.faults().stream().map(InputProblem::field).toList());
        assertTrue(read.faults().get(0).message().startsWith("\"glued\" is not understood. Known are: 2 hex 7 front"));
        assertTrue(read.faults().get(1).message().startsWith("\"wireless\" is no kind of part; one of panel, radio"));
    }
}
