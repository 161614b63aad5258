package velvetbezel.worksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.units.Volts;

class WorksheetTest {
    private static JointRow row(Worksheet w, LeadRole role) {
        return w.joints().stream().filter(r -> r.role() == role).findFirst().orElseThrow();
    }

    private static Installation minibus(Sheet.Vehicle vehicle) {
        return Builder.replacement(vehicle, Demo.radio("pebblefen-p2"), Demo.parts("thornlea-iso-steering"));
    }

    private static final Worksheet EXCHANGED = Worksheet.of(Demo.minibusJob());

    @Test
    void exchangedConstantIsAnExceptionWithItsReasonAndItsReading() {
        JointRow constant = row(EXCHANGED, LeadRole.CONSTANT);
        assertEquals(
                "Position A7 of this car carries constant, where ISO 10487 has accessory. The adapter labels its red lead there accessory.",
                constant.deviations().get(0).text());
        Reading keyOff = constant.readings().get(0);
        assertEquals("A7", keyOff.place());
        assertEquals("key off", keyOff.state());
        assertEquals(12.6, keyOff.expected().value(), 0.05);
        assertTrue(keyOff.accepts(new Volts(12.3)));
        assertFalse(keyOff.accepts(new Volts(0)));
        assertEquals(
                0,
                row(EXCHANGED, LeadRole.ACCESSORY).readings().get(0).expected().value(),
                0.01);
    }

    @Test
    void withA4AndA7TheNormalWayRoundTheExceptionAndItsReadingDisappear() {
        Sheet.Vehicle normal = Demo.vehicle("corrick-ferryman-2006", text -> text.replace(
                        "{\"position\": 4, \"role\": \"accessory\", \"to\": \"ignition switch.acc\"",
                        "{\"position\": 4, \"role\": \"constant\", \"to\": \"radio fuse.out\"")
                .replace(
                        "{\"position\": 7, \"role\": \"constant\", \"to\": \"radio fuse.out\"",
                        "{\"position\": 7, \"role\": \"accessory\", \"to\": \"ignition switch.acc\""));
        Worksheet w = Worksheet.of(minibus(normal));
        for (LeadRole role : List.of(LeadRole.CONSTANT, LeadRole.ACCESSORY)) {
            assertEquals(List.of(), row(w, role).deviations());
            assertEquals(List.of(), row(w, role).readings());
        }
        assertEquals(EXCHANGED.exceptions().size() - 2, w.exceptions().size());
    }

    @Test
    void changingTheColoursOfAnAdapterChangesTheExceptions() {
        String text = Demo.text("thornlea-iso-steering").replace("\"colour\": \"black\"", "\"colour\": \"brown\"");
        Sheet.Part brown = (Sheet.Part) SheetReader.read(Demo.parse(text));
        Worksheet w = Worksheet.of(Builder.replacement(Demo.minibus(), Demo.radio("pebblefen-p2"), List.of(brown)));
        assertTrue(row(EXCHANGED, LeadRole.GROUND).deviations().isEmpty());
        assertEquals(
                List.of(
                        "Position A8 of this car carries ground. Brown usually means mute, on Thornlea ISO adapter with steering tail.",
                        "Brown goes to black."),
                row(w, LeadRole.GROUND).deviations().stream()
                        .map(Deviation::text)
                        .toList());
        assertNotEquals(EXCHANGED.exceptions().size(), w.exceptions().size());
    }

    /** Power first, then control leads, then speakers from the farthest corner, negative first (common practice). */
    @Test
    void jointsAreInWorkingOrder() {
        List<LeadRole> roles = EXCHANGED.joints().stream().map(JointRow::role).toList();
        assertEquals(List.of(LeadRole.GROUND, LeadRole.CONSTANT, LeadRole.ACCESSORY), roles.subList(0, 3));
        assertEquals(
                LeadRole.REAR_RIGHT_MINUS,
                roles.stream()
                        .filter(r -> r.group() == LeadRole.Group.SPEAKER)
                        .findFirst()
                        .orElseThrow());
        assertEquals(LeadRole.FRONT_LEFT_PLUS, roles.get(roles.size() - 1));
    }

    @Test
    void threeLeadsAreAnExceptionAndAPartnerFromAModuleInTheHandIsNone() {
        Worksheet w = Worksheet.of(Demo.fit(
                Demo.crossover(),
                "ondel-47",
                "thornlea-plover-amplified",
                "ashdyke-bus-power",
                "marlstone-plover-iso-fed"));
        assertEquals(
                Deviation.Kind.THREE_OR_MORE,
                row(w, LeadRole.GROUND).deviations().get(0).kind());
        assertEquals(
                List.of("Red goes to red/white."),
                row(w, LeadRole.ACCESSORY).deviations().stream()
                        .map(Deviation::text)
                        .toList());
    }

    @Test
    void eachUnusedLeadIsCappedAloneWithItsReason() {
        Worksheet w = Worksheet.of(Demo.crossoverJob());
        assertEquals(
                8,
                w.caps().stream()
                        .filter(c ->
                                c.why().equals("The factory amplifier drives the speakers; this pair stays unused."))
                        .count());
        assertEquals("This car has no mute wire.", why(w, "radio.mute"));
        assertEquals("Ashdyke data module tells it through the data port instead.", why(w, "radio.reverse"));
        assertEquals(
                "Nothing is switched by it: this antenna is passive and needs no feed.",
                why(EXCHANGED, "radio.aerial"));
        assertEquals("This car has no wire at A5.", why(EXCHANGED, "thornlea-iso-steering.A.5 lead"));
        CapRow remote = EXCHANGED.caps().stream()
                .filter(c -> c.lead().id().name().equals("remote"))
                .findFirst()
                .orElseThrow();
        assertEquals("Nothing is switched by it.", remote.why());
        assertTrue(remote.carries().value() > 12);
        assertTrue(remote.forLater());
        assertEquals(1, EXCHANGED.caps().stream().filter(CapRow::forLater).count());
    }

    private static String why(Worksheet w, String lead) {
        return w.caps().stream()
                .filter(c -> c.lead().id().toString().equals(lead))
                .findFirst()
                .orElseThrow()
                .why();
    }
}
