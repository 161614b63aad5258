package velvetbezel.worksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;

class GoodsInTest {
    private static List<String> of(String sheet, List<GoodsIn.Check> checks) {
        return checks.stream()
                .filter(c -> c.sheet().equals(sheet))
                .map(GoodsIn.Check::what)
                .toList();
    }

    @Test
    void everyPlugIsTriedOnItsPartner() {
        List<String> harness = of("thornlea-iso-steering", GoodsIn.of(Demo.minibusJob()));
        assertTrue(
                harness.containsAll(List.of(
                        "Its ISO 10487 A goes home on the car's plug A and locks.",
                        "Its ISO 10487 B goes home on the car's plug B and locks.",
                        "Its Hobwright 2-way goes home on the car's plug S and locks.")),
                harness::toString);
    }

    /** The microphone and the aux input have the same jack (common practice). */
    @Test
    void microphoneGoesIntoItsOwnSocketAndNotIntoTheLookAlike() {
        List<String> microphone = of(
                "kelfax-microphone",
                GoodsIn.of(Demo.fit(
                        Demo.minibus(),
                        "pebblefen-p2",
                        "quillmoor-ferryman-frame",
                        "thornlea-iso-steering",
                        "kelfax-microphone")));
        assertTrue(
                microphone.contains(
                        "Its 3.5 mm jack goes into the microphone socket of the Pebblefen P2, not into the look-alike beside it."),
                microphone::toString);
    }

    /** The same harness with bare leads and with finished plugs: two revisions (common practice). */
    @Test
    void revisionIsToldByItsBareLeads() {
        List<GoodsIn.Check> checks = GoodsIn.of(Demo.fit(
                Demo.vehicle("meridale-plover-2014-amplified"),
                "tarnlight-major",
                "quillmoor-plover-pocket",
                "thornlea-plover-2014-b",
                "marlstone-plover-iso-fed"));
        assertTrue(of("thornlea-plover-2014-b", checks)
                .contains("No bare leads: every plug is finished. With bare leads it is another revision."));
        List<GoodsIn.Check> other = GoodsIn.of(Demo.fit(
                Demo.vehicle("meridale-plover-2014-amplified"),
                "pebblefen-p2",
                "quillmoor-plover-pocket",
                "thornlea-plover-2014",
                "marlstone-plover-din-fed"));
        assertTrue(of("thornlea-plover-2014", other).stream()
                .anyMatch(w -> w.endsWith("With finished plugs it is another revision.")));
    }

    @Test
    void checksHaveNamesOfTheirOwnAndTheFactoryRadioHasNone() {
        List<GoodsIn.Check> checks = GoodsIn.of(Demo.crossoverJob());
        assertEquals(
                checks.size(),
                checks.stream().map(c -> c.sheet() + c.id()).distinct().count());
        assertFalse(checks.isEmpty());
        assertEquals(List.of(), GoodsIn.of(Builder.factory(Demo.minibus())));
    }
}
