package velvetbezel.circuit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.units.Ohms;

/** Ohms between nodes: worked examples, and a solver with one volt between them as second opinion. */
class ResistancesTest {
    private static Netlist resistors(double... of) {
        List<Branch> branches = new ArrayList<>();
        int nodes = 0;
        for (int i = 0; i < of.length; i += 3) {
            branches.add(new Branch.Resistor((int) of[i], (int) of[i + 1], of[i + 2]));
            nodes = Math.max(nodes, 1 + (int) Math.max(of[i], of[i + 1]));
        }
        return new Netlist(nodes, branches);
    }

    private static Optional<Double> between(Netlist net, int a, int b) {
        return new Resistances(net, List.of(a, b)).between(a, b).map(Ohms::value);
    }

    /** Between two corners of a cube of 1 Ω along a space diagonal: 5/6 Ω (a classic of textbooks). */
    @Test
    void spaceDiagonalOfACubeOfOneOhmIsFiveSixths() {
        List<Branch> edges = new ArrayList<>();
        for (int corner = 0; corner < 8; corner++)
            for (int axis = 1; axis < 8; axis *= 2)
                if ((corner & axis) == 0) edges.add(new Branch.Resistor(corner, corner | axis, 1));
        assertEquals(5.0 / 6, between(new Netlist(8, edges), 0, 7).orElseThrow(), 1e-12);
    }

    @Test
    void nodesThatNothingJoinsAreOpenAndSoIsMoreThanAMeterShows() {
        Netlist net = resistors(0, 1, 4, 2, 3, 4, 3, 4, 30e6);
        assertEquals(Optional.empty(), between(net, 0, 2));
        assertEquals(Optional.empty(), between(net, 3, 4));
        assertEquals(4, between(net, 2, 3).orElseThrow(), 1e-12);
    }

    @Test
    void nodeAgainstItselfIsNothingAndResistorsBesideEachOtherShareTheCurrent() {
        Netlist net = resistors(0, 1, 4, 0, 1, 4, 1, 2, 3);
        assertEquals(Optional.of(0.0), between(net, 1, 1));
        assertEquals(5, between(net, 0, 2).orElseThrow(), 1e-12);
    }

    /** From milliohms of a wire to megohms of an input, as a harness has them. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void agreesWithTheSolverOnOneVolt(int seed) {
        Random random = new Random(seed);
        int nodes = 30;
        List<Branch> branches = new ArrayList<>();
        for (int i = 0; i < 45; i++) {
            int a = random.nextInt(nodes);
            int b = random.nextInt(nodes);
            if (a != b) branches.add(new Branch.Resistor(a, b, Math.pow(10, -3 + 7 * random.nextDouble())));
        }
        Netlist net = new Netlist(nodes, branches);
        Resistances all = new Resistances(net, IntStream.range(0, nodes).boxed().toList());
        for (int a = 0; a < nodes; a++)
            for (int b = a + 1; b < nodes; b++) {
                Optional<Double> expected = byOneVolt(net, a, b);
                Optional<Double> found = all.between(a, b).map(Ohms::value);
                assertEquals(expected.isPresent(), found.isPresent());
                if (expected.isPresent()) assertEquals(expected.get(), found.get(), 1e-6 * expected.get() + 1e-9);
            }
    }

    private static Optional<Double> byOneVolt(Netlist net, int a, int b) {
        List<Branch> with = new ArrayList<>(net.branches());
        with.add(new Branch.Source(a, b, 1, 0));
        Solution solution = new Netlist(net.nodes(), with).solve();
        double amps = Math.abs(solution.through(with.size() - 1).value());
        return amps < 1 / 20e6 ? Optional.empty() : Optional.of(1 / amps);
    }
}
