package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.WireColour;

/** What one paper means by its own abbreviations. */
class PaperTest {
    private final List<InputProblem> faults = new ArrayList<>();

    /** "B" is black on one paper and blue on the next; "GR" is grey here and green there. */
    @ParameterizedTest
    @CsvSource({
        "B = black,          B,     black",
        "B = blue,           B,     blue",
        "'B = black, W = white', B/W, black/white",
        "B = black,          R/B,   red/black",
        "B = black,          RD/BK, red/black",
        "GR = grey,          gr,    grey",
    })
    void colourIsReadAsThisPaperWritesIt(String paper, String typed, String colour) {
        assertEquals(
                Optional.of(colour), Paper.read(paper, faults).colour(typed).map(WireColour::words));
        assertEquals(List.of(), faults);
    }

    /** "BL" and "GR" are short for several colours: without a word from the paper they are not read. */
    @ParameterizedTest
    @CsvSource({"BL", "GR", "BL/GR"})
    void colourThatMeansSeveralIsNotReadAlone(String typed) {
        assertEquals(Optional.empty(), Paper.PLAIN.colour(typed));
    }

    @Test
    void roleIsReadAsThisPaperWritesItAndElseAsUsual() {
        Paper paper = Paper.read("SP1 = front left +\nBATT2 = constant; 30 = illumination", faults);
        assertEquals(Optional.of(LeadRole.CONSTANT), paper.role("batt2"));
        assertEquals(Optional.of(LeadRole.FRONT_LEFT_PLUS), paper.role("SP1"));
        // DIN 72552 terminal 30 is the battery; a paper that says otherwise is believed
        assertEquals(Optional.of(LeadRole.ILLUMINATION), paper.role("30"));
        assertEquals(Optional.of(LeadRole.CONSTANT), Paper.PLAIN.role("30"));
        assertEquals(Optional.of(LeadRole.GROUND), paper.role("31"));
        assertEquals(List.of(), faults);
    }

    @Test
    void abbreviationThatMeansNothingIsToldAndTheOthersStand() {
        Paper paper = Paper.read("B = blak, W, = red, V = violet", faults);
        assertEquals(3, faults.size());
        assertTrue(faults.get(0).message().startsWith("\"blak\" is no colour and no role; the nearest are black"));
        assertEquals("\"W\" maps nothing; write it as B = black.", faults.get(1).message());
        assertEquals(Optional.of("violet"), paper.colour("V").map(WireColour::words));
    }
}
