package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Worksheet;

/** A car as former owners left it: what the joints follow, and what is told against the car as it was made. */
class AsBuiltTest {
    private static Map<FunctionId, Outcome> outcomes(Map<String, String> changes, String... kit) {
        return Outcomes.compare(
                Builder.factory(Demo.minibus()),
                Builder.replacement(AsBuilt.of(Demo.minibus(), changes), Demo.radio("pebblefen-p2"), Demo.parts(kit)),
                Demo.CATALOGUE);
    }

    @Test
    void carWithoutChangesIsItsSheet() {
        Sheet.Vehicle sheet = Demo.minibus();
        assertSame(sheet, AsBuilt.of(sheet, Map.of()));
    }

    /** A former owner exchanged A4 and A7: the joints follow what is there, and nothing is lost. */
    @Test
    void exchangedSupplyWiresAreJoinedByWhatTheyCarryNow() {
        Map<String, String> exchanged = Map.of("A/4", "constant", "A/7", "accessory");
        assertTrue(outcomes(exchanged, "thornlea-iso-steering").values().stream()
                .noneMatch(Outcome.Lost.class::isInstance));
        Worksheet sheet = Worksheet.of(Builder.replacement(
                AsBuilt.of(Demo.minibus(), exchanged),
                Demo.radio("pebblefen-p2"),
                Demo.parts("thornlea-iso-steering")));
        JointRow constant = sheet.joints().stream()
                .filter(j -> j.role() == LeadRole.CONSTANT)
                .findFirst()
                .orElseThrow();
        assertTrue(constant.leads().stream().anyMatch(l -> l.place().equals("A4")), constant::toString);
    }

    @Test
    void wireThatWasTakenOutIsLostAgainstTheCarAsItWasMade() {
        Outcome dimming = outcomes(Map.of("A/6", AsBuilt.NO_WIRE), "thornlea-iso-steering")
                .get(new FunctionId("dimming"));
        assertEquals("lost", dimming.word());
    }

    /** Colours of a changed position mislead: it counts as unknown until measured. */
    @Test
    void colourOfAChangedPositionIsNotBelieved() {
        Position a4 = AsBuilt.of(Demo.minibus(), Map.of("A/4", "constant"))
                .car()
                .plugs()
                .get(0)
                .at("4")
                .orElseThrow();
        assertTrue(a4.colour().known().isEmpty());
        assertEquals("radio fuse.out", a4.to().orElseThrow());
    }

    @Test
    void whatCannotBeIsNamedAllAtOnce() {
        List<String> faults = assertThrows(
                        InvalidInput.class,
                        () -> AsBuilt.of(
                                Demo.minibus(), Map.of("A/9", "constant", "B/1", "amp remote", "B/2", "warmth")))
                .faults()
                .stream()
                .map(InputProblem::toString)
                .sorted()
                .toList();
        assertEquals("as built/A/9: is no position of this car's plugs.", faults.get(0));
        assertEquals(
                "as built/B/1: this car's sheet has no wire for amp remote at any plug; add it to the sheet first.",
                faults.get(1));
        assertTrue(
                faults.get(2).startsWith("as built/B/2: \"warmth\" is no role of a lead; allowed: no wire, ground"),
                faults::toString);
    }
}
