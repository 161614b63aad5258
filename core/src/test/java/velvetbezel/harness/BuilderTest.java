package velvetbezel.harness;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

class BuilderTest {
    private static Optional<Joint> joint(Installation i, LeadRole role) {
        return i.joint(JointId.of(role));
    }

    /**
     * Some makes exchange A4 and A7 of ISO 10487 (common practice, no source): the car's sheet decides, not the
     * lead's label.
     */
    @Test
    void exchangedPositionsAreJoinedByTheCarsRoleNotByTheAdaptersLabel() {
        assertEquals(
                Set.of("thornlea-iso-steering.A.7 lead", "radio.const"), leads(Demo.minibusJob(), LeadRole.CONSTANT));
        Installation normal =
                Builder.replacement(normalMinibus(), Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-steering"));
        assertEquals(Set.of("thornlea-iso-steering.A.4 lead", "radio.const"), leads(normal, LeadRole.CONSTANT));
    }

    private static Set<String> leads(Installation i, LeadRole role) {
        Set<String> leads = new HashSet<>();
        joint(i, role).orElseThrow().leads().forEach(l -> leads.add(l.toString()));
        return leads;
    }

    static Sheet.Vehicle normalMinibus() {
        return Demo.vehicle("corrick-ferryman-2006", text -> text.replace(
                        "{\"position\": 4, \"role\": \"accessory\", \"to\": \"ignition switch.acc\"",
                        "{\"position\": 4, \"role\": \"constant\", \"to\": \"radio fuse.out\"")
                .replace(
                        "{\"position\": 7, \"role\": \"constant\", \"to\": \"radio fuse.out\"",
                        "{\"position\": 7, \"role\": \"accessory\", \"to\": \"ignition switch.acc\""));
    }

    @Test
    void everyBareLeadIsJoinedOrCappedExactlyOnce() {
        for (Installation i : List.of(
                Demo.minibusJob(),
                Demo.crossoverJob(),
                Demo.fit(Demo.crossover(), "tarnlight-minor", "thornlea-plover-plain"))) {
            List<TerminalId> used = new ArrayList<>();
            i.joints().forEach(j -> used.addAll(j.leads()));
            i.caps().forEach(c -> used.add(c.lead()));
            Set<TerminalId> bare = new HashSet<>();
            i.terminals().values().stream()
                    .filter(t -> t.kind() == Terminal.Kind.BARE)
                    .forEach(t -> bare.add(t.id()));
            assertEquals(bare, new HashSet<>(used));
            assertEquals(bare.size(), used.size());
        }
    }

    @Test
    void radioWithoutAnAmpRemoteTurnsTheAmplifierOnWithItsAntennaLead() {
        Installation i =
                Demo.fit(Demo.crossover(), "tarnlight-minor", "thornlea-plover-amplified", "ashdyke-bus-power");
        assertTrue(leads(i, LeadRole.ANTENNA_POWER)
                .containsAll(Set.of("radio.aerial", "thornlea-plover-amplified.main.9 lead")));
    }

    @Test
    void controlInterfaceOutranksTheRadiosOwnSteeringInput() {
        Installation i = Demo.fit(Demo.minibus(), "pebblefen-p2", "thornlea-iso-steering", "kestwick-ladder-interface");
        assertEquals(
                Set.of("thornlea-iso-steering.S.1 lead", "kestwick-ladder-interface.sw"),
                leads(i, LeadRole.STEERING_1));
        assertTrue(i.caps().stream()
                .anyMatch(c -> c.lead().name().equals("key1") && c.reason() instanceof CapReason.InterfaceReads));
    }

    @Test
    void ofTwoModulesThatMakeAccessoryOneStaysAndTheOtherIsCappedNamingIt() {
        Installation i = Demo.fit(Demo.crossover(), "ondel-47", "ashdyke-plover-module", "ashdyke-bus-power");
        assertEquals(List.of(), i.faults());
        assertTrue(leads(i, LeadRole.ACCESSORY).contains("ashdyke-bus-power.acc"));
        TerminalId winner = new TerminalId("ashdyke-bus-power", "acc");
        assertTrue(i.caps().stream()
                .anyMatch(c -> c.lead().equals(new TerminalId("ashdyke-plover-module", "acc"))
                        && c.reason().equals(new CapReason.DrivenBy(winner, false))));
    }

    @Test
    void sheetThatTiesTwoOutputsInsideIsFound() {
        String tied = Demo.text("tarnlight-minor")
                .replace(
                        "\"ports\": [",
                        "\"wires\": [{\"from\": \"fl+\", \"to\": \"rl+\", \"metres\": 0.1}], \"ports\": [");
        assertEquals(1, Builder.faultsOf(SheetReader.read(Demo.parse(tied))).size());
        String speakers = Demo.text("meridale-plover-2019-plain")
                .replaceFirst(
                        "\"wires\": \\[",
                        "\"wires\": [{\"from\": \"rear left speaker.plus\", \"to\": \"rear right speaker.plus\", \"gauge\": 16},");
        assertEquals(1, Builder.faultsOf(SheetReader.read(Demo.parse(speakers))).size());
    }

    @Test
    void idsSurviveEditsAndExchangingAPartBackRestoresTheInstallation() {
        Installation before = Demo.minibusJob();
        Sheet.Part other = Demo.parts("hobwright-iso-exchanged").get(0);
        Sheet.Part own = Demo.parts("thornlea-iso-steering").get(0);
        Installation back = before.with(List.of(
                new Edit.ReplacePart("thornlea-iso-steering", other),
                new Edit.ReplacePart("thornlea-iso-steering", own)));
        assertEquals(before.terminals().keySet(), back.terminals().keySet());
        assertEquals(before.conductors(), back.conductors());
        assertEquals(before.joints(), back.joints());
    }

    @Test
    void editOfSomethingAbsentIsRefusedByName() {
        assertEquals(
                "This installation has no conductor \"joint of nothing\".",
                assertThrows(IllegalArgumentException.class, () -> Demo.minibusJob()
                                .with(new Edit.Open(new ConductorId("joint of nothing"))))
                        .getMessage());
    }
}
