package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.fit.SpaceLines;

/** Measures typed in lines, and back. */
class SpaceLinesTest {
    private static Stream<Map<?, ?>> demo() {
        try (Stream<Path> files = Files.walk(Path.of("../demo"))) {
            return files
                    .filter(f -> f.toString().endsWith(".json"))
                    .<Map<?, ?>>map(f -> (Map<?, ?>) Demo.parse(text(f)))
                    .toList()
                    .stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int roundTrips(
            String field, Function<Object, String> write, Function<String, SpaceLines.Read> read) {
        List<Map<?, ?>> sheets = demo().filter(s -> s.containsKey(field)).toList();
        for (Map<?, ?> sheet : sheets) {
            String lines = write.apply(sheet.get(field));
            SpaceLines.Read back = read.apply(lines);
            assertEquals(List.of(), back.faults(), () -> sheet.get("id") + "\n" + lines);
            assertEquals(sheet.get(field), back.tree(), () -> sheet.get("id") + "\n" + lines);
            assertEquals(lines, write.apply(back.tree()));
        }
        return sheets.size();
    }

    @Test
    void everyMeasureOfTheDemoGoesToLinesAndBack() {
        assertEquals(7, roundTrips("site", SpaceLines::ofSite, SpaceLines::site));
        assertEquals(6, roundTrips("body", SpaceLines::ofBody, SpaceLines::body));
        assertTrue(roundTrips("frame", SpaceLines::ofFrame, SpaceLines::frame) >= 11);
    }

    @Test
    void lineSaysWhatIsMissingAndWhatIsUncertain() {
        SpaceLines.Read read = SpaceLines.site(
                "opening: w 184, h 104 ±0.2\nband upper: x -16..200, y 38..128, depth 150..220?\nband lower: x 0..9, y 0..38, depth 205 (stated)");
        assertEquals(List.of(), read.faults());
        assertEquals(
                Map.of("w", 184, "h", Map.of("value", 104, "tolerance", 0.2)),
                read.tree().get("opening"));
        assertTrue(read.tree().get("bands").toString().contains("{missing=true, range=[150, 220]}"));
        assertTrue(read.tree().get("bands").toString().contains("{value=205, from=stated}"));
    }

    @Test
    void whatCannotBeReadIsNamedWithItsLineAndWhatIsExpected() {
        SpaceLines.Read read = SpaceLines.site(
                "opening: w wide\nshelf: x 1..2\nband: x 1..2\nalso rib: x 1..2\nin the way rib: colour red");
        assertEquals(
                List.of("line 1", "line 2", "line 3", "line 4", "line 5"),
                read.faults().stream().map(f -> f.field()).toList());
        assertEquals("says \"w wide\"; expected w 205.", read.faults().get(0).message());
        assertTrue(read.faults().get(1).message().startsWith("begins with \"shelf\"; expected one of opening, "));
        assertEquals("has no name: \"band …\".", read.faults().get(2).message());
        assertEquals(
                "adds a box to \"rib\", which no line before it names.",
                read.faults().get(3).message());
    }

    @Test
    void roomOfAPlaceIsItsOwnBox() {
        String line = "place ledge: words the ledge, metal above no, x 10..90, y 0..40, z 180..220";
        SpaceLines.Read read = SpaceLines.site(line);
        assertEquals(List.of(), read.faults());
        assertTrue(read.tree().toString().contains("room={x=[10, 90], y=[0, 40], z=[180, 220]}"));
        assertEquals(line, SpaceLines.ofSite(read.tree()));
    }

    @Test
    void commaWithinWordsStaysThere() {
        SpaceLines.Read read = SpaceLines.frame(
                "kit: mount frame, finish graphite, fine grain\ntrim rib: back to the edge, then across");
        assertEquals("graphite, fine grain", read.tree().get("finish"));
        assertEquals(Map.of("rib", "back to the edge, then across"), read.tree().get("trims"));
    }
}
