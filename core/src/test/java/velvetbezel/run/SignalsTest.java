package velvetbezel.run;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.TerminalId;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Ohms;

class SignalsTest {
    private static final PortRef EAR = new PortRef("ear", "in");
    private static final String AUDIO =
            """
        {"id":"player","terminals":["plus","minus"],"ports":[{"id":"out","plus":"plus","minus":"minus","medium":"audio","dir":"out"}],"rules":[{"id":"play","then":[{"emit":"out","signal":"music","level":0}]}]},
        {"id":"ear","terminals":["plus","minus"],"ports":[{"id":"in","plus":"plus","minus":"minus","medium":"audio","dir":"in","floor":-20,"quiet":0.01}],"rules":[]}""";

    private static Installation pair() {
        return Bench.of(AUDIO, "player.plus>ear.plus", "player.minus>ear.minus");
    }

    private static Optional<Arrival> heard(Installation i) {
        Run run = Run.of(i);
        return run.in(VehicleState.AT_REST, run.start()).picture().arrival(EAR, "music");
    }

    private static TerminalId t(String device, String name) {
        return new TerminalId(device, name);
    }

    @Test
    void straightPairArrivesInPhaseAndCrossedPairReversed() {
        assertFalse(heard(pair()).orElseThrow().reversed());
        assertTrue(heard(pair().with(new Edit.ReversePair("ear", "in")))
                .orElseThrow()
                .reversed());
    }

    /** Reversing a pair twice leaves the arrival as it was. */
    @Test
    void reversingTwiceRestoresThePolarity() {
        Edit reverse = new Edit.ReversePair("ear", "in");
        assertEquals(heard(pair()), heard(pair().with(reverse).with(reverse)));
    }

    @Test
    void plusAndMinusTogetherGiveNothing() {
        assertEquals(
                Optional.empty(),
                heard(pair().with(new Edit.Bridge(t("ear", "plus"), t("ear", "minus"), new Ohms(0.01)))));
    }

    @Test
    void openLegOfAFloatingPairGivesNothing() {
        assertEquals(
                Optional.empty(), heard(pair().with(new Edit.Open(new ConductorId("wire player.plus to ear.plus")))));
    }

    /** One leg alone carries half the voltage when the other input leg lies on ground. */
    @Test
    void oneLegWithTheOtherOnGroundLosesSixDecibels() {
        Arrival a = heard(
                        Bench.of(AUDIO, "player.plus>ear.plus", "ear.minus>battery.minus", "player.minus>battery.plus"))
                .orElseThrow();
        assertEquals(-6, a.level().value().value(), 1e-9);
    }

    @Test
    void levelBelowTheFloorDoesNotArriveButIsKnownToBeFaint() {
        Installation quiet = Bench.of(
                AUDIO.replace("\"level\":0", "\"level\":-25"), "player.plus>ear.plus", "player.minus>ear.minus");
        Run run = Run.of(quiet);
        Picture picture = run.in(VehicleState.AT_REST, run.start()).picture();
        assertEquals(Optional.empty(), picture.arrival(EAR, "music"));
        assertEquals(-25, picture.faint().get(0).level().value().value(), 1e-9);
    }

    /**
     * A return that also carries 2 A through 0.15 Ω adds 0.3 V to the signal (compare N07a of the check values: 0.3
     * V).
     */
    @Test
    void dropAlongTheReturnIsNoise() {
        String load = AUDIO
                + ",{\"id\":\"load\",\"terminals\":[\"in\",\"gnd\"],\"rules\":[{\"id\":\"r\",\"then\":[{\"draw\":[\"in\",\"gnd\"],\"ohms\":6.13}]}]},"
                + "{\"id\":\"return\",\"terminals\":[\"a\",\"b\"],\"rules\":[{\"id\":\"r\",\"then\":[{\"connect\":[\"a\",\"b\"],\"ohms\":0.15}]}]}";
        Arrival a = heard(Bench.of(
                        load,
                        "player.plus>ear.plus",
                        "player.minus>return.a",
                        "return.b>ear.minus",
                        "ear.minus>battery.minus",
                        "battery.plus>load.in",
                        "load.gnd>return.a"))
                .orElseThrow();
        assertEquals(0.3, a.noise().value(), 0.02);
    }

    @Test
    void dataNeedsBothLinesAndNeitherOnGround() {
        String bus = AUDIO.replace("\"audio\"", "\"data\"")
                .replace(",\"dir\":\"out\"", "")
                .replace(",\"dir\":\"in\"", "");
        Installation both = Bench.of(bus, "player.plus>ear.plus", "player.minus>ear.minus");
        assertTrue(heard(both).isPresent());
        assertEquals(
                Optional.empty(), heard(both.with(new Edit.Open(new ConductorId("wire player.minus to ear.minus")))));
        assertEquals(
                Optional.empty(),
                heard(Bench.of(bus, "player.plus>ear.plus", "player.minus>ear.minus", "ear.minus>battery.minus")));
        assertEquals(Optional.empty(), heard(both.with(new Edit.ReversePair("ear", "in"))));
    }
}
