package velvetbezel.circuit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import velvetbezel.Checks;

class NetlistTest {
    static Stream<JsonNode> decks() {
        return Checks.of("circuit.dc");
    }

    /** Operating points printed by ngspice 39; each also solved in rational numbers. */
    @ParameterizedTest
    @MethodSource("decks")
    void operatingPointsAgreeWithNgspice(JsonNode check) {
        SpiceReader deck = new SpiceReader(check.get("input")
                .get("body")
                .valueStream()
                .map(JsonNode::asString)
                .toList());
        Solution solution = deck.netlist().solve();
        check.get("expected").properties().forEach(e -> {
            double expected = e.getValue().asDouble();
            assertEquals(
                    expected,
                    deck.evaluate(e.getKey(), solution),
                    expected == 0 ? 1e-9 : Math.abs(expected) * 1e-5,
                    e.getKey());
        });
    }

    /** A product rule: a simulator prints 0 V for a floating wire, which looks like a grounded one. */
    @Test
    void islandWithoutPathToGroundIsNotConnectedAndNeverZero() {
        JsonNode check = Checks.of("circuit.floating").findFirst().orElseThrow();
        SpiceReader deck = new SpiceReader(check.get("input")
                .get("body")
                .valueStream()
                .map(JsonNode::asString)
                .toList());
        Solution solution = deck.netlist().solve();
        check.get("expected").properties().forEach(e -> {
            NodeVoltage at = solution.at(deck.nodes.get(e.getKey()));
            if (e.getValue().isNumber())
                assertEquals(e.getValue().asDouble(), at.reading().orElseThrow().value(), 1e-5);
            else assertEquals(NodeVoltage.NOT_CONNECTED, at);
        });
    }

    @Test
    void meterInsideAnIslandStillReads() {
        Solution solution =
                new Netlist(3, List.of(new Branch.Source(1, 2, 1.5, 0.1), new Branch.Resistor(1, 2, 4))).solve();
        assertEquals(
                1.5 * 4 / 4.1, solution.between(1, 2).reading().orElseThrow().value(), 1e-9);
        assertInstanceOf(NodeVoltage.NotConnected.class, solution.at(1));
    }

    /** 12 V through a diode of 0.7 V and 0.05 Ω into 100 Ω: 11.3 V over 100.05 Ω. */
    @Test
    void diodeDropsItsForwardVoltageOneWayAndBlocksTheOther() {
        List<Branch> forward = List.of(
                new Branch.Source(1, 0, 12, 0.001), new Branch.Diode(1, 2, 0.7, 0.05), new Branch.Resistor(2, 0, 100));
        assertEquals(
                11.3 / 100.051 * 100,
                new Netlist(3, forward).solve().at(2).reading().orElseThrow().value(),
                1e-9);
        List<Branch> backward = List.of(
                new Branch.Source(1, 0, 12, 0.001), new Branch.Diode(2, 1, 0.7, 0.05), new Branch.Resistor(2, 0, 100));
        assertEquals(
                0,
                new Netlist(3, backward).solve().at(2).reading().orElseThrow().value(),
                1e-12);
    }

    /** Two outputs joined through diodes: the higher one feeds, neither feeds the other back. */
    @Test
    void diodesKeepTwoOutputsApart() {
        List<Branch> both = List.of(
                new Branch.Source(1, 0, 12, 1),
                new Branch.Source(2, 0, 9, 1),
                new Branch.Diode(1, 3, 0.7, 0.05),
                new Branch.Diode(2, 3, 0.7, 0.05),
                new Branch.Resistor(3, 0, 1000));
        Solution solution = new Netlist(4, both).solve();
        assertEquals(0, solution.through(3).value(), 0);
        assertTrue(solution.conducts(2));
    }

    @Test
    void branchOutsideTheNetworkIsOurBug() {
        assertEquals(
                "Branch Resistor[a=0, b=5, ohms=1.0] names a node outside 0 to 2.",
                assertThrows(
                                IllegalArgumentException.class,
                                () -> new Netlist(3, List.of(new Branch.Resistor(0, 5, 1))))
                        .getMessage());
    }

    /** Kirchhoff's current law on seeded random networks of resistors and sources. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void currentsIntoEveryNodeAddUpToZero(long seed) {
        Random random = new Random(seed);
        int nodes = 5 + random.nextInt(30);
        List<Branch> branches = new ArrayList<>();
        for (int n = 1; n < nodes; n++)
            branches.add(new Branch.Resistor(random.nextInt(n), n, 0.001 + random.nextDouble() * 1000));
        for (int k = 0; k < nodes; k++)
            branches.add(new Branch.Source(
                    random.nextInt(nodes),
                    random.nextInt(nodes),
                    random.nextDouble() * 14,
                    0.01 + random.nextDouble()));
        Solution solution = new Netlist(nodes, branches).solve();
        double[] sum = new double[nodes];
        for (int i = 0; i < branches.size(); i++) {
            sum[branches.get(i).a()] += solution.through(i).value();
            sum[branches.get(i).b()] -= solution.through(i).value();
        }
        for (double s : sum) assertEquals(0, s, 1e-6);
    }
}
