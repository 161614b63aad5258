package velvetbezel.worksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.harness.PartUse;
import velvetbezel.harness.Recipe;
import velvetbezel.harness.Use;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

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

    private static final String HALVES =
            """
            "devices": [
            {"id":"wheel side","name":"wheel side","plugs":[{"id":"link","family":"two-way link","size":1,"positions":[{"position":1,"name":"t","role":"data high"}]}]},
            {"id":"dash side","name":"dash side","plugs":[{"id":"link","family":"two-way link","socket":true,"size":1,"positions":[{"position":1,"name":"t","role":"data high"}]}]},
            """;

    private static Sheet.Part between(String... sockets) {
        String plugs = Arrays.stream(sockets)
                .map(socket ->
                        "{\"id\":\"%s\",\"family\":\"two-way link\",\"socket\":%s,\"size\":1,\"positions\":[{\"position\":1,\"role\":\"data high\"}]}"
                                .formatted(socket, socket))
                .collect(Collectors.joining(","));
        return (Sheet.Part) SheetReader.read(Demo.parse(
                """
                {"format":"velvet-bezel/sheet","version":1,"kind":"part","id":"lead","name":"link lead","source":{"from":"stated"},
                 "part":"data module","price":1,"minutes":1,"device":{"id":"lead","name":"link lead","plugs":[%s]}}"""
                        .formatted(plugs)));
    }

    private static List<PlugUps.Link> links(Use use, Sheet.Part... parts) {
        Sheet.Vehicle car = Demo.vehicle("corrick-ferryman-2006", t -> t.replaceFirst("\"devices\": \\[", HALVES));
        Recipe recipe =
                Recipe.of(car, Demo.radio("pebblefen-p2"), List.of(parts)).using(Map.of("lead", PartUse.of(use)));
        return PlugUps.of(Builder.build(recipe)).links();
    }

    /** A lead in a two-pin link: closed as the car left its maker, open at one half, or through the part. */
    @Test
    void inLineLinkIsThroughThePartOrClosedBesideItOrOpen() {
        assertEquals(List.of(), links(Use.FITTED));
        assertEquals(
                PlugUps.Link.State.THROUGH,
                links(Use.FITTED, between("true", "false")).get(0).state());
        assertEquals(
                PlugUps.Link.State.CLOSED_BESIDE,
                links(Use.LATER, between("true", "false")).get(0).state());
        assertEquals(
                PlugUps.Link.State.OPEN,
                links(Use.FITTED, between("true")).get(0).state());
    }

    /** A harness that goes between is at the car's plug and at the radio's (common practice). */
    @Test
    void passThroughHarnessIsSeenOnBothItsPlugs() {
        List<PlugUps.PlugUp> together = of("brindlow-quern-2013", "ondel-over-9", "ashdyke-quern-through")
                .together();
        List<String> partners = together.stream()
                .filter(u -> u.first().instance().equals("ashdyke-quern-through")
                        || u.second().instance().equals("ashdyke-quern-through"))
                .map(u -> u.first().instance().equals("ashdyke-quern-through")
                        ? u.second().instance()
                        : u.first().instance())
                .toList();
        assertTrue(partners.containsAll(List.of(Builder.CAR, Builder.RADIO)), partners::toString);
    }
}
