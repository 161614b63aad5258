package velvetbezel.circuit;

import velvetbezel.harness.Islands;
import velvetbezel.units.Amps;
import velvetbezel.units.Volts;

/** Result of {@link Netlist#solve()}. */
public final class Solution {
    private final Islands islands;
    private final double[] volts;
    private final double[] amps;
    private final boolean[] conducting;

    Solution(Islands islands, double[] volts, double[] amps, boolean[] conducting) {
        this.islands = islands;
        this.volts = volts;
        this.amps = amps;
        this.conducting = conducting;
    }

    /** Potential of a node to the reference. */
    public NodeVoltage at(int node) {
        return between(node, 0);
    }

    /**
     * What a meter reads from {@code plus} to {@code minus}; works inside an island without a path to the reference
     * too.
     */
    public NodeVoltage between(int plus, int minus) {
        return islands.together(plus, minus) ? NodeVoltage.of(volts[plus] - volts[minus]) : NodeVoltage.NOT_CONNECTED;
    }

    public boolean connected(int a, int b) {
        return islands.together(a, b);
    }

    /** Voltage difference of two nodes known to be {@link #connected}, without wrapping, for solvers. */
    double difference(int a, int b) {
        return volts[a] - volts[b];
    }

    /** Current through the branch of this number, positive from its first node to its second. */
    public Amps through(int branch) {
        return new Amps(amps[branch]);
    }

    /** Heat or drop aside, the difference along a branch. */
    public Volts along(Branch branch) {
        return new Volts(volts[branch.a()] - volts[branch.b()]);
    }

    /** Whether a diode conducts; true for every other branch but a current source. */
    public boolean conducts(int branch) {
        return conducting[branch];
    }
}
