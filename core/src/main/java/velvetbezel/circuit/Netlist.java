package velvetbezel.circuit;

import java.util.List;

/**
 * A network of branches between nodes 0 to {@code nodes}−1; node 0 is the reference.
 *
 * @throws IllegalArgumentException if a branch names a node outside that range
 */
public record Netlist(int nodes, List<Branch> branches) {
    public Netlist {
        branches = List.copyOf(branches);
        for (Branch branch : branches)
            if (Math.min(branch.a(), branch.b()) < 0 || Math.max(branch.a(), branch.b()) >= nodes)
                throw new IllegalArgumentException(
                        "Branch %s names a node outside 0 to %d.".formatted(branch, nodes - 1));
    }

    /**
     * Potentials and currents. Diodes start off; the lowest-numbered wrong one is flipped and the network
     * solved again, until none is wrong.
     *
     * @implNote Dense Cholesky per island, LU where ideal sources make it indefinite: O(n³) for the
     *           largest island. Modified nodal analysis: Ho, Ruehli and Brennan 1975.
     */
    public Solution solve() {
        return new Solver(this).solve();
    }
}
