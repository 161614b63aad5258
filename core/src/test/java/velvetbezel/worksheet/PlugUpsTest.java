package velvetbezel.worksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;

/** What is only plugged, and what must be left alone. */
class PlugUpsTest {
    private static PlugUps of(String vehicle, String radio, String... parts) {
        return PlugUps.of(Demo.fit(Demo.vehicle(vehicle), radio, parts));
    }

    /**
     * On one premium system front and rear plugs are exchanged (common practice): the letters mislead, the positions
     * do not.
     */
    @Test
    void exchangedFrontAndRearPlugsAreCrossed() {
        List<PlugUps.PlugUp> together = of("meridale-plover-2014-amplified", "ondel-47", "thornlea-plover-2014")
                .together();
        assertEquals(
                List.of("F into R", "R into F"),
                together.stream()
                        .filter(PlugUps.PlugUp::crossed)
                        .map(p -> p.first().plug().id() + " into "
                                + p.second().plug().id())
                        .toList());
        assertTrue(of("corrick-ferryman-2006", "pebblefen-p2", "thornlea-iso-steering").together().stream()
                .noneMatch(PlugUps.PlugUp::crossed));
    }

    @Test
    void plugsOfTheCarWithoutAPartnerAndSocketsThatStayEmptyAreListed() {
        PlugUps crossover = of(
                "meridale-plover-2019-amplified",
                "ondel-47",
                "quillmoor-plover-panel",
                "ashdyke-plover-module",
                "marlstone-plover-iso-fed");
        assertEquals(
                List.of("second", "usb", "gps"),
                crossover.alone().stream().map(e -> e.plug().id()).toList());
        assertTrue(crossover.empty().stream()
                .map(e -> e.plug().id())
                .toList()
                .containsAll(List.of("wired remote", "camera", "microphone", "aux", "gps")));
    }

    @Test
    void fibreMovesWithItsHousingAndTheWayToAnAccessPointIsTold() {
        assertEquals(
                2,
                of("brindlow-quern-2013", "ondel-over-9", "ashdyke-quern-through").together().stream()
                        .filter(PlugUps.PlugUp::insert)
                        .count());
        PlugUps bypass =
                of("meridale-plover-2019-amplified", "ondel-47", "ashdyke-plover-module", "hobwright-plover-bypass");
        assertEquals(
                List.of("at the factory amplifier under the left front seat"),
                bypass.together().stream()
                        .flatMap(p -> p.access().stream())
                        .map(a -> a.place().words())
                        .toList());
    }
}
