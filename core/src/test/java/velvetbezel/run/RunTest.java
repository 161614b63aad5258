package velvetbezel.run;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.circuit.NodeVoltage;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.TerminalId;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/** The order of evaluation, tried on benches of two or three devices. */
class RunTest {
    private static final VehicleState OFF = VehicleState.AT_REST;
    private static final VehicleState ON = OFF.with(StateField.KEY, "run");

    private static TerminalId t(String device, String name) {
        return new TerminalId(device, name);
    }

    private static final String LAMP =
            "{\"id\":\"lamp\",\"terminals\":[\"in\",\"gnd\"],\"rules\":[{\"id\":\"load\",\"then\":[{\"draw\":[\"in\",\"gnd\"],\"amps\":2}]},"
                    + "{\"id\":\"lit\",\"when\":{\"volts\":\"in\",\"min\":9,\"hold\":6},\"then\":[{\"show\":\"lit\"}]}]}";

    @Test
    void lampLightsWithTheKeyAndGoesOutWithIt() {
        Run run = Run.of(Bench.of(LAMP, "switch.out>lamp.in", "lamp.gnd>battery.minus"));
        List<Settled> states = run.through(List.of(OFF, ON, OFF), run.start());
        assertEquals(
                List.of(Set.of(), Set.of("lamp:lit"), Set.of()),
                states.stream().map(s -> s.picture().shows()).toList());
    }

    @Test
    void wireWithoutAWayToGroundIsNotConnected() {
        Run run = Run.of(Bench.of(LAMP, "lamp.gnd>battery.minus"));
        assertEquals(
                NodeVoltage.NOT_CONNECTED, run.in(OFF, run.start()).picture().at(t("switch", "out")));
    }

    /**
     * Comes on at 9 V, stays on down to 6 V: the supply falls to 7.9 V behind 3 Ω when a second load joins with the
     * key.
     */
    @Test
    void ruleInForceHoldsDownToItsHoldVoltage() {
        String weak =
                "{\"id\":\"weak\",\"terminals\":[\"in\",\"out\"],\"rules\":[{\"id\":\"r\",\"then\":[{\"connect\":[\"in\",\"out\"],\"ohms\":1.5}]}]},"
                        + "{\"id\":\"load\",\"terminals\":[\"in\",\"gnd\"],\"rules\":[{\"id\":\"r\",\"when\":{\"state\":\"lamps\",\"is\":\"on\"},\"then\":[{\"draw\":[\"in\",\"gnd\"],\"ohms\":4}]}]},"
                        + LAMP;
        Installation bench = Bench.of(
                weak,
                "switch.out>weak.in",
                "weak.out>lamp.in",
                "weak.out>load.in",
                "lamp.gnd>battery.minus",
                "load.gnd>battery.minus");
        Run run = Run.of(bench);
        VehicleState loaded = ON.with(StateField.LAMPS, "on");
        assertEquals(
                Set.of("lamp:lit"),
                run.through(List.of(ON, loaded), run.start()).get(1).picture().shows());
        assertEquals(Set.of(), run.in(loaded, run.start()).picture().shows());
    }

    private static final String FUSE =
            "{\"id\":\"fuse\",\"terminals\":[\"in\",\"out\"],\"modes\":{\"fuse\":{\"start\":\"whole\",\"values\":[\"whole\",\"blown\"]}},\"rules\":["
                    + "{\"id\":\"whole\",\"when\":{\"mode\":\"fuse\",\"is\":\"whole\"},\"then\":[{\"connect\":[\"in\",\"out\"],\"ohms\":0.01}]},"
                    + "{\"id\":\"blow\",\"when\":{\"amps\":\"in\",\"min\":10},\"then\":[{\"enter\":\"fuse=blown\"}]}]}";

    @Test
    void shortBlowsTheFuseAndAMendedHarnessKeepsItBlown() {
        Installation sound =
                Bench.of(FUSE + "," + LAMP, "switch.out>fuse.in", "fuse.out>lamp.in", "lamp.gnd>battery.minus");
        Installation shorted = sound.with(new Edit.Bridge(t("lamp", "in"), t("lamp", "gnd"), new Ohms(0.01)));
        Run run = Run.of(shorted);
        Settled blown = run.in(ON, run.start());
        assertEquals("blown", blown.memory().modes().get("fuse.fuse"));
        assertEquals(new RuleRef("fuse", "blow"), blown.changes().get(0).by());
        Run mended = Run.of(sound);
        assertEquals(Set.of(), mended.in(ON, blown.memory()).picture().shows());
        Installation replaced = sound.with(new Edit.StartMode("fuse", "fuse", "whole"));
        assertEquals(
                Set.of("lamp:lit"),
                Run.of(replaced).in(ON, Run.of(replaced).start()).picture().shows());
    }

    @Test
    void ofTwoFusesInSeriesOnlyTheOneFurthestAboveItsLimitBlows() {
        String two = FUSE + ","
                + FUSE.replace("\"fuse\",\"terminals\"", "\"thin\",\"terminals\"")
                        .replace("\"min\":10", "\"min\":5") + "," + LAMP;
        Installation shorted = Bench.of(
                        two, "switch.out>fuse.in", "fuse.out>thin.in", "thin.out>lamp.in", "lamp.gnd>battery.minus")
                .with(new Edit.Bridge(t("lamp", "in"), t("lamp", "gnd"), new Ohms(0.01)));
        Run run = Run.of(shorted);
        Settled after = run.in(ON, run.start());
        assertEquals("whole", after.memory().modes().get("fuse.fuse"));
        assertEquals("blown", after.memory().modes().get("thin.fuse"));
    }

    /** A relay whose coil is fed through its own resting contact buzzes; the run names it and goes on. */
    @Test
    void buzzerIsUnsettledByNameAndTheRunEnds() {
        String buzzer =
                "{\"id\":\"buzzer\",\"terminals\":[\"in\",\"coil\",\"gnd\"],\"rules\":[{\"id\":\"coil\",\"then\":[{\"draw\":[\"coil\",\"gnd\"],\"ohms\":80}]},"
                        + "{\"id\":\"rest\",\"when\":{\"not\":{\"volts\":\"coil\",\"min\":6}},\"then\":[{\"connect\":[\"in\",\"coil\"],\"ohms\":0.05}]}]}";
        Run run = Run.of(Bench.of(
                buzzer + "," + LAMP,
                "switch.out>buzzer.in",
                "buzzer.gnd>battery.minus",
                "switch.out>lamp.in",
                "lamp.gnd>battery.minus"));
        Settled settled = run.in(ON, run.start());
        assertEquals(List.of("buzzer"), settled.unsettled());
        assertEquals(Set.of("lamp:lit"), settled.picture().shows());
    }

    /** A toggle by button: modes are steps, and one change per state makes the edge. */
    @Test
    void modeChangesAtMostOncePerState() {
        String counter =
                "{\"id\":\"counter\",\"terminals\":[\"x\"],\"modes\":{\"n\":{\"start\":\"0\",\"values\":[\"0\",\"1\",\"2\"]}},\"rules\":["
                        + "{\"id\":\"one\",\"when\":[{\"mode\":\"n\",\"is\":\"0\"},{\"state\":\"buttons\",\"has\":\"a\"}],\"then\":[{\"enter\":\"n=1\"}]},"
                        + "{\"id\":\"two\",\"when\":[{\"mode\":\"n\",\"is\":\"1\"},{\"state\":\"buttons\",\"has\":\"a\"}],\"then\":[{\"enter\":\"n=2\"}]}]}";
        Run run = Run.of(Bench.of(counter));
        VehicleState pressed = OFF.withButtons(Set.of("a"));
        Settled first = run.in(pressed, run.start());
        assertEquals("1", first.memory().modes().get("counter.n"));
        assertEquals(
                "2",
                run.in(pressed.with(StateField.LAMPS, "on"), first.memory())
                        .memory()
                        .modes()
                        .get("counter.n"));
    }

    @Test
    void equalStateAndMemoryAreComputedOnce() {
        Run run = Run.of(Bench.of(LAMP));
        assertSame(run.in(ON, run.start()), run.in(OFF.with(StateField.KEY, "run"), run.start()));
    }

    @Test
    void dimmerFollowsTheState() {
        String dimmer =
                "{\"id\":\"dimmer\",\"terminals\":[\"in\",\"out\"],\"rules\":[{\"id\":\"d\",\"then\":[{\"connect\":[\"in\",\"out\"],\"ohms\":{\"of\":\"dimmer\",\"at0\":18,\"at100\":0.01}}]}]}";
        Run run = Run.of(
                Bench.of(dimmer + "," + LAMP, "switch.out>dimmer.in", "dimmer.out>lamp.in", "lamp.gnd>battery.minus"));
        assertTrue(volts(run, ON.withDimmer(100)) > 12);
        assertEquals(12.6 * 6 / (6 + 9), volts(run, ON.withDimmer(50)), 0.1);
    }

    private static double volts(Run run, VehicleState state) {
        return run.in(state, run.start())
                .picture()
                .at(t("lamp", "in"))
                .reading()
                .orElseThrow()
                .value();
    }

    @Test
    void brokenDeviceDoesNothingAtAll() {
        Installation bench = Bench.of(LAMP, "switch.out>lamp.in", "lamp.gnd>battery.minus")
                .with(new Edit.SetSetting("lamp", "working", "false"));
        Run run = Run.of(bench);
        assertFalse(run.in(ON, run.start()).picture().inForce(new RuleRef("lamp", "load")));
    }

    /** Either clamp off makes the car dead (common practice, no source). */
    @Test
    void carIsDeadWithThePositiveClampOffAsWithTheNegative() {
        Run run = Run.of(Builder.factory(Demo.minibus()));
        TerminalId constant = new TerminalId("car", "A.7");
        assertTrue(run.in(VehicleState.AT_REST, run.start())
                .picture()
                .at(constant)
                .reading()
                .isPresent());
        for (StateField clamp : List.of(StateField.BATTERY, StateField.BATTERY_POSITIVE)) {
            VehicleState off = VehicleState.AT_REST.with(clamp, "disconnected");
            double volts = run.in(off, run.start())
                    .picture()
                    .at(constant)
                    .reading()
                    .map(Volts::value)
                    .orElse(0.0);
            assertEquals(0, volts, 0.01, clamp.label());
        }
    }
}
