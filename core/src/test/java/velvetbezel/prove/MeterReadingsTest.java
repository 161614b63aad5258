package velvetbezel.prove;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.function.FirstUse;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/** What a meter must show, between a tired battery and a charging one. */
class MeterReadingsTest {
    private static final Installation MINIBUS = Demo.fit(
            Demo.vehicle("corrick-ferryman-2006"), "pebblefen-p2", "quillmoor-ferryman-frame", "thornlea-iso-steering");
    private static final Installation CROSSOVER = Demo.fit(
                    Demo.vehicle("meridale-plover-2019-amplified"), "ondel-47", "ashdyke-plover-module")
            .with(new Edit.SetSetting("ashdyke-plover-module", "vehicle", "Plover"));

    private static Picture picture(Installation kit, String key, String lamps) {
        FirstUse first = FirstUse.of(kit, Assumption.ALL_FIRST);
        Run run = first.run().having(first.learned());
        return run.in(VehicleState.AT_REST.with(StateField.KEY, key).with(StateField.LAMPS, lamps), first.memory())
                .picture();
    }

    private static TerminalId at(Installation kit, String name) {
        return kit.instance("radio").orElseThrow().terminal(name);
    }

    /** Check values worked out beforehand on the same cars. */
    @ParameterizedTest
    @CsvSource({
        "minibus, accessory, off, const, 12.50, 10.84, 14.37",
        "minibus, accessory, off, key1, 3.04, 2.85, 3.23",
        "crossover, accessory, on, lamps, 12.44, 10.79, 14.31"
    })
    void bandsAreThoseWorkedOutBeforehand(
            String car, String key, String lamps, String name, double nominal, double low, double high) {
        Installation kit = car.equals("minibus") ? MINIBUS : CROSSOVER;
        MeterReadings.Band band = new MeterReadings.Ends(picture(kit, key, lamps))
                .band(at(kit, name))
                .orElseThrow();
        assertEquals(nominal, band.nominal().value(), 0.03);
        assertEquals(low, band.low().value(), 0.12);
        assertEquals(high, band.high().value(), 0.12);
    }

    @Test
    void speakerLeadAndLampsThatAreOffShowNothingSteady() {
        assertEquals(
                Optional.empty(),
                new MeterReadings.Ends(picture(MINIBUS, "accessory", "off")).band(at(MINIBUS, "fl+")));
        assertEquals(
                Optional.empty(),
                new MeterReadings.Ends(picture(CROSSOVER, "accessory", "off")).band(at(CROSSOVER, "lamps")));
    }

    /** The healthy reading lies in its band at every supply between the ends. */
    @ParameterizedTest
    @CsvSource({"11.0", "11.7", "12.6", "13.5", "14.4"})
    void healthyReadingLiesInTheBandAtEverySupply(double supply) {
        Picture picture = picture(MINIBUS, "accessory", "off");
        for (String name : List.of("const", "acc", "key1")) {
            MeterReadings.Band band =
                    new MeterReadings.Ends(picture).band(at(MINIBUS, name)).orElseThrow();
            Volts then = MeterReadings.at(picture, at(MINIBUS, name), supply).orElseThrow();
            assertTrue(then.compareTo(band.low()) >= 0 && then.compareTo(band.high()) <= 0, name + " " + then);
        }
    }

    @Test
    void everyCheckOfTheMinibusHasAReadingAtItsFirstSuspect() {
        TestPlan plan = TestPlan.of(
                MINIBUS,
                Demo.CATALOGUE,
                Outcomes.compare(Builder.factory(MINIBUS.recipe().vehicle()), MINIBUS, Demo.CATALOGUE));
        MeterReadings meter = new MeterReadings(MINIBUS);
        for (Check c : plan.checks())
            assertEquals(
                    Math.min(3, c.suspects().size()),
                    meter.of(c).size(),
                    c.function().id().text());
    }
}
