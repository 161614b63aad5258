package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;

/** Bad sheets are refused whole, each fault with its field and what is allowed. */
class SheetReaderTest {
    private static List<String> faults(String id, String... replacements) {
        String text = Demo.text(id);
        for (int i = 0; i < replacements.length; i += 2) {
            assertTrue(text.contains(replacements[i]), "The sheet has no " + replacements[i]);
            text = text.replace(replacements[i], replacements[i + 1]);
        }
        String changed = text;
        return assertThrows(InvalidInput.class, () -> SheetReader.read(Demo.parse(changed))).faults().stream()
                .map(InputProblem::toString)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "corrick-ferryman-2006",
                "meridale-plover-2019-amplified",
                "ondel-47",
                "pebblefen-p2",
                "tarnlight-minor",
                "ashdyke-plover-module",
                "quillmoor-plover-panel"
            })
    void demoSheetsAreReadAndTieNoOutputs(String id) {
        assertEquals(List.of(), Builder.faultsOf(Demo.sheet(id)));
    }

    @Test
    void missingPositionIsNamedWithWhatToDo() {
        assertEquals(
                List.of(
                        "plugs[A].positions: position 5 of plug A (ISO 10487 A, 8 positions) is missing. List it, with \"empty\": true if it holds no wire.",
                        "radio.plugs[A].positions: position 5 of plug A (ISO 10487 A, 8 positions) is missing. List it, with \"empty\": true if it holds no wire."),
                faults("corrick-ferryman-2006", "{\"position\": 5, \"empty\": true}, ", ""));
    }

    @Test
    void twoWiresInOnePositionAreNamed() {
        List<String> faults = faults(
                "corrick-ferryman-2006",
                "{\"position\": 7, \"role\": \"constant\"",
                "{\"position\": 4, \"role\": \"constant\"");
        assertTrue(
                faults.contains(
                        "plugs[A].positions[position 4]: holds a second wire: position 4 of plug A is listed twice. One position holds one wire; correct the number of one of them."),
                faults::toString);
        assertTrue(faults.stream().anyMatch(f -> f.contains("position 7 of plug A")), faults::toString);
    }

    @Test
    void positionOutsideThePlugIsNamed() {
        assertTrue(
                faults(
                                "corrick-ferryman-2006",
                                "{\"position\": 8, \"role\": \"ground\", \"to\"",
                                "{\"position\": 17, \"role\": \"ground\", \"to\"")
                        .contains(
                                "plugs[A].positions[position 17].position: \"17\" is no position of plug A, whose positions are numbered 1 to 8. Check the pinout, or the plug's size."));
    }

    @Test
    void unknownRoleListsTheKnownOnes() {
        List<String> faults = faults(
                "corrick-ferryman-2006", "\"role\": \"illumination\", \"to\"", "\"role\": \"mood light\", \"to\"");
        assertEquals(1, faults.size());
        assertTrue(
                faults.get(0)
                        .startsWith(
                                "plugs[A].positions[position 6].role: \"mood light\" is not known; allowed: ground, amplifier ground, constant, accessory, ignition"),
                faults::toString);
    }

    @Test
    void badColourSaysHowColoursAreWritten() {
        List<String> faults = faults("corrick-ferryman-2006", "\"colour\": \"red/white\"", "\"colour\": \"blurple\"");
        assertEquals(1, faults.size());
        assertTrue(
                faults.get(0)
                        .startsWith(
                                "plugs[A].positions[position 7].colour: \"blurple\" is not known; allowed: a colour or base/stripe from: black, brown"),
                faults::toString);
    }

    @Test
    void everyFaultIsReportedAtOnce() {
        List<String> faults = faults(
                "corrick-ferryman-2006",
                "\"opening\": \"one-DIN\"",
                "\"opening\": \"three-DIN\"",
                "\"colour\": \"red/white\"",
                "\"colour\": \"blurple\"",
                "\"years\": [2004, 2008]",
                "\"years\": [2008, 2004]",
                "\"to\": \"radio fuse.out\"",
                "\"to\": \"radio fuse.exit\"",
                "\"emit\": \"out\"",
                "\"emit\": \"nowhere\"");
        assertEquals(5, faults.size(), faults::toString);
    }

    @Test
    void misspeltFieldIsNotLostSilently() {
        assertEquals(
                List.of(
                        "device.leads[acc].color: is no field here; the fields are name, role, state, flow, colour, gauge, metres, amplifier only, end."),
                faults(
                        "ondel-47",
                        "\"name\": \"acc\", \"role\": \"accessory\", \"colour\"",
                        "\"name\": \"acc\", \"role\": \"accessory\", \"color\""));
    }

    /** At a station that there is not, a caution would be shown nowhere. */
    @Test
    void cautionAtAStationThatThereIsNotIsRefused() {
        assertEquals(
                List.of(
                        "cautions[1].station: \"Arrival\" is not known; allowed: Arrive, Match, Fit, Wire, Open up, Prove, Hand over."),
                faults("corrick-ferryman-2006", "\"station\": \"Arrive\"", "\"station\": \"Arrival\""));
    }

    @Test
    void newerVersionAndForeignFormatAreRefused() {
        assertEquals(
                List.of(
                        "version: is newer than this program, which reads up to version 1. Update the program, or export the sheet from the older one."),
                faults("ondel-47", "\"version\": 1", "\"version\": 2"));
        assertEquals(
                List.of("format: \"some/other\" is not known; allowed: velvet-bezel/sheet."),
                faults("ondel-47", "velvet-bezel/sheet", "some/other"));
    }

    @Test
    void aListOrATextIsNoSheet() {
        for (Object tree : new Object[] {List.of(1, 2), "text", 7})
            assertThrows(InvalidInput.class, () -> SheetReader.read(tree));
    }

    @Test
    void ruleMayUseOnlyNamesOfItsDevice() {
        assertTrue(faults("ondel-47", "{\"volts\": \"lamps\", \"min\": 4}", "{\"volts\": \"lumps\", \"min\": 4}")
                .get(0)
                .startsWith("device.rules[dim].when[2].volts: \"lumps\" is no terminal of this device; it has "));
        assertTrue(faults("ondel-47", "\"enter\": \"setup=done\"", "\"enter\": \"setup=finished\"")
                .get(0)
                .contains("allowed: needed, done"));
    }
}
