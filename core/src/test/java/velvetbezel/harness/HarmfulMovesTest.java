package velvetbezel.harness;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.LeadRole;

/** Leads that a person puts where they do harm are named at once, with what comes of it (common practice, no source). */
class HarmfulMovesTest {
    private static List<String> harm(String radio, String lead, LeadRole to) {
        Moves moves = new Moves(Map.of(new TerminalId("radio", lead), Optional.of(to)));
        Installation moved = Builder.replacement(
                Demo.crossover(),
                Demo.radio(radio),
                Demo.parts("thornlea-plover-amplified", "ashdyke-bus-power"),
                moves);
        return Misfed.in(moved).stream().map(f -> f.message()).toList();
    }

    @Test
    void accessoryLeadOnConstantPlaysWithTheKeyOffAndDrainsTheBattery() {
        assertEquals(
                List.of("Accessory lead of Ondel 47 lies in the constant joint: "
                        + "the radio plays with the key off and the battery goes flat. Join it with accessory."),
                harm("ondel-47", "acc", LeadRole.CONSTANT));
    }

    @Test
    void constantLeadOnAccessoryForgetsClockAndSettings() {
        assertEquals(
                List.of("Constant lead of Ondel 47 lies in the accessory joint: "
                        + "it loses clock and settings at every key-off. Join it with constant."),
                harm("ondel-47", "const", LeadRole.ACCESSORY));
    }

    @Test
    void parkingBrakeLeadOnGroundIsADefeatAndIsNeverPassedOver() {
        List<String> harm = harm("ondel-47", "brake", LeadRole.GROUND);
        assertEquals(1, harm.size());
        assertTrue(harm.get(0)
                .startsWith("Parking brake lead of Ondel 47 lies in the ground joint: it belongs on the wire"));
    }

    @Test
    void speakerOutputOnGroundIsDestroyed() {
        assertEquals(
                List.of("Front left − lead of Ondel 47 lies in the ground joint: "
                        + "a speaker output to ground is destroyed. Take it out of the joint."),
                harm("ondel-47", "fl-", LeadRole.GROUND));
    }

    @Test
    void leadsWhereTheyBelongDoNoHarm() {
        assertEquals(List.of(), Misfed.in(Demo.crossoverJob()));
        assertEquals(List.of(), Misfed.in(Demo.minibusJob()));
    }

    /** The wedding car's mast has a relay of its own, whose coil a radio's lead can bear (common practice, no source). */
    @Test
    void mastWithARelayOfItsOwnAsksForNoOther() {
        Installation direct = Builder.replacement(
                Demo.vehicle("hasterley-regent-1994"), Demo.radio("tarnlight-minor"), Demo.parts("thornlea-regent"));
        assertTrue(direct.joint(JointId.of(LeadRole.ANTENNA_POWER)).isPresent());
        assertEquals(List.of(), Misfed.in(direct));
    }
}
