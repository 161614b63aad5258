package velvetbezel.units;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import velvetbezel.Checks;

/** Wire sizes against GNU units 2.22. */
class GaugeTest {
    static Stream<JsonNode> gauges() {
        return Checks.of("wire.gauge");
    }

    static Stream<JsonNode> areas() {
        return Checks.of("wire.awg_from_area");
    }

    static Stream<JsonNode> joints() {
        return Checks.of("joint.area");
    }

    static Stream<JsonNode> temperatures() {
        return Checks.of("wire.temperature");
    }

    static Stream<JsonNode> drops() {
        return Checks.of("drop");
    }

    private static void relative(JsonNode expected, double actual, double tolerance) {
        assertEquals(expected.asDouble(), actual, Math.abs(expected.asDouble()) * tolerance);
    }

    @ParameterizedTest
    @MethodSource("gauges")
    void awgHasTheSizeAndResistanceOfTheTable(JsonNode check) {
        Gauge gauge = Gauge.awg(check.get("input").get("awg_number").asDouble());
        JsonNode expected = check.get("expected");
        relative(expected.get("diameter_mm"), gauge.diameterMillimetres(), 1e-6);
        relative(expected.get("area_mm2"), gauge.squareMillimetres(), 1e-6);
        relative(expected.get("area_cmil"), gauge.circularMils(), 1e-6);
        relative(expected.get("resistance_mohm_per_m_20C"), gauge.resistance(1).value() * 1000, 2e-4);
    }

    @ParameterizedTest
    @MethodSource("areas")
    void crossSectionGivesItsAwgNumber(JsonNode check) {
        assertEquals(
                check.get("expected").asDouble(),
                new Gauge(check.get("input").get("area_mm2").asDouble()).awgNumber(),
                1e-6);
    }

    @ParameterizedTest
    @MethodSource("joints")
    void jointHasTheAreaOfItsWiresTogether(JsonNode check) {
        Gauge total = check.get("input")
                .get("awg_wires")
                .valueStream()
                .map(n -> Gauge.awg(n.asDouble()))
                .reduce(Gauge::plus)
                .orElseThrow();
        relative(check.get("expected").get("total_mm2"), total.squareMillimetres(), 1e-6);
        relative(check.get("expected").get("total_cmil"), total.circularMils(), 1e-6);
        relative(check.get("expected").get("equivalent_awg_fractional"), total.awgNumber(), 1e-6);
    }

    @ParameterizedTest
    @MethodSource("temperatures")
    void warmCopperResistsMore(JsonNode check) {
        JsonNode in = check.get("input");
        relative(
                check.get("expected").get("mohm_per_m"),
                Gauge.awg(in.get("awg").asDouble())
                                .resistance(1, in.get("celsius").asDouble())
                                .value()
                        * 1000,
                2e-4);
    }

    @ParameterizedTest
    @MethodSource("drops")
    void longThinWireDropsVoltage(JsonNode check) {
        JsonNode in = check.get("input");
        double metres = in.get("one_way_m").asDouble() * in.get("conductors").asInt();
        relative(
                check.get("expected").get("drop_v"),
                Gauge.awg(in.get("awg").asDouble()).resistance(metres).value()
                        * in.get("amps").asDouble(),
                2e-4);
    }

    @Test
    void decibelsAreRatiosOfVoltageOrPower() {
        Checks.of("db.to_ratio").forEach(c -> {
            Decibels db = new Decibels(c.get("input").get("db").asDouble());
            relative(
                    c.get("expected"),
                    c.get("input").get("kind").asString().equals("power") ? db.powerRatio() : db.voltageRatio(),
                    1e-7);
        });
        Checks.of("db.from_ratio").forEach(c -> {
            double ratio = c.get("input").get("ratio").asDouble();
            Decibels db = c.get("input").get("kind").asString().equals("power")
                    ? Decibels.ofPowerRatio(ratio)
                    : Decibels.ofVoltageRatio(ratio);
            assertEquals(c.get("expected").asDouble(), db.value(), 1e-6);
        });
    }

    @Test
    void noQuantityIsBuiltFromNothing() {
        assertThrows(IllegalArgumentException.class, () -> new Volts(Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> new Ohms(-1));
        assertThrows(IllegalArgumentException.class, () -> new Gauge(0));
    }
}
