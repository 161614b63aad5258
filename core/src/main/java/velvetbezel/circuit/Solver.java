package velvetbezel.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.dense.row.factory.LinearSolverFactory_DDRM;
import org.ejml.interfaces.linsol.LinearSolverDense;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;
import velvetbezel.harness.Islands;

/** Solves one netlist; unwraps to arrays inside. */
final class Solver {
    private static final int MOST_FLIPS = 1000;
    private static final double HAIR = 1e-9;
    private final Netlist net;
    private final Branch[] branches;
    private final boolean[] conducting;

    Solver(Netlist net) {
        this.net = net;
        this.branches = net.branches().toArray(Branch[]::new);
        this.conducting = new boolean[branches.length];
        for (int i = 0; i < branches.length; i++)
            conducting[i] = !(branches[i] instanceof Branch.Diode || branches[i] instanceof Branch.Current);
    }

    Solution solve() {
        for (int flips = 0; flips < MOST_FLIPS; flips++) {
            Solution solution = once();
            int wrong = firstWrongDiode(solution);
            if (wrong < 0) return solution;
            conducting[wrong] = !conducting[wrong];
        }
        throw new IllegalStateException(
                "The diodes of a network of %d branches do not settle.".formatted(branches.length));
    }

    private int firstWrongDiode(Solution solution) {
        for (int i = 0; i < branches.length; i++)
            if (branches[i] instanceof Branch.Diode d && wrong(d, i, solution)) return i;
        return -1;
    }

    private boolean wrong(Branch.Diode d, int index, Solution solution) {
        if (conducting[index]) return solution.through(index).value() < -HAIR;
        return solution.connected(d.a(), d.b()) && solution.difference(d.a(), d.b()) > d.forwardVolts() + HAIR;
    }

    private Solution once() {
        Islands islands = new Islands(net.nodes());
        for (int i = 0; i < branches.length; i++) if (conducting[i]) islands.join(branches[i].a(), branches[i].b());
        double[] volts = new double[net.nodes()];
        double[] amps = new double[branches.length];
        List<List<Integer>> byIsland = branchesByIsland(islands);
        for (int island = 0; island < byIsland.size(); island++) {
            List<Integer> members = byIsland.get(island);
            if (members != null && members.stream().anyMatch(this::feeds))
                solveIsland(island, members, islands, volts, amps);
        }
        for (int i = 0; i < branches.length; i++) amps[i] = current(i, volts, amps[i]);
        return new Solution(islands, volts, amps, conducting.clone());
    }

    private List<List<Integer>> branchesByIsland(Islands islands) {
        List<List<Integer>> lists = new ArrayList<>(Collections.nCopies(net.nodes(), null));
        for (int i = 0; i < branches.length; i++) {
            if (!conducting[i] && !(branches[i] instanceof Branch.Current)) continue;
            add(lists, islands.of(branches[i].a()), i);
            if (!islands.together(branches[i].a(), branches[i].b())) add(lists, islands.of(branches[i].b()), i);
        }
        return lists;
    }

    private static void add(List<List<Integer>> lists, int island, int branch) {
        if (lists.get(island) == null) lists.set(island, new ArrayList<>());
        lists.get(island).add(branch);
    }

    private boolean feeds(int i) {
        Branch branch = branches[i];
        return branch instanceof Branch.Source s && s.volts() != 0
                || branch instanceof Branch.Current
                || branch instanceof Branch.Diode d && d.forwardVolts() != 0;
    }

    /** Unknowns: the island's nodes but its lowest, then the currents of its ideal sources. */
    private void solveIsland(int reference, List<Integer> members, Islands islands, double[] volts, double[] amps) {
        int[] row = new int[net.nodes()];
        Arrays.fill(row, -1);
        int size = FarFirst.number(
                net.nodes(),
                reference,
                members.stream()
                        .filter(i -> !(branches[i] instanceof Branch.Current))
                        .flatMapToInt(i -> IntStream.of(branches[i].a(), branches[i].b()))
                        .toArray(),
                row);
        List<Integer> ideal = members.stream()
                .filter(i -> branches[i] instanceof Branch.Source s && s.ohms() == 0)
                .toList();
        int unknowns = size + ideal.size();
        if (unknowns == 0) return;
        DMatrixRMaj matrix = new DMatrixRMaj(unknowns, unknowns);
        DMatrixRMaj right = new DMatrixRMaj(unknowns, 1);
        for (int i : members) stamp(branches[i], row, matrix, right);
        for (int k = 0; k < ideal.size(); k++)
            stampIdeal((Branch.Source) branches[ideal.get(k)], size + k, row, matrix, right);
        DMatrixRMaj solved = linear(matrix, right, ideal.isEmpty());
        for (int node = 0; node < row.length; node++) if (row[node] >= 0) volts[node] = solved.get(row[node], 0);
        for (int k = 0; k < ideal.size(); k++) amps[ideal.get(k)] = solved.get(size + k, 0);
    }

    private static DMatrixRMaj linear(DMatrixRMaj matrix, DMatrixRMaj right, boolean positiveDefinite) {
        int n = matrix.numRows;
        DMatrixRMaj solved = new DMatrixRMaj(n, 1);
        if (!(positiveDefinite ? sparse(matrix, right, solved) : dense(matrix, right, solved)))
            throw new IllegalStateException("A network of %d unknowns has no single solution.".formatted(n));
        return solved;
    }

    private static boolean sparse(DMatrixRMaj matrix, DMatrixRMaj right, DMatrixRMaj solved) {
        LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver = LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);
        if (!solver.setA(DConvertMatrixStruct.convert(matrix, (DMatrixSparseCSC) null, 0))) return false;
        solver.solve(right, solved);
        return true;
    }

    private static boolean dense(DMatrixRMaj matrix, DMatrixRMaj right, DMatrixRMaj solved) {
        LinearSolverDense<DMatrixRMaj> solver = LinearSolverFactory_DDRM.lu(matrix.numRows);
        if (!solver.setA(matrix)) return false;
        solver.solve(right, solved);
        return true;
    }

    private static void stamp(Branch branch, int[] row, DMatrixRMaj matrix, DMatrixRMaj right) {
        int a = row[branch.a()];
        int b = row[branch.b()];
        if (branch instanceof Branch.Resistor r) conductance(a, b, 1 / r.ohms(), matrix);
        else if (branch instanceof Branch.Current c) inject(a, b, c.amps(), right);
        else if (branch instanceof Branch.Diode d) behind(a, b, d.forwardVolts(), d.ohms(), matrix, right);
        else if (branch instanceof Branch.Source s && s.ohms() > 0) behind(a, b, s.volts(), s.ohms(), matrix, right);
    }

    /** Norton form of volts behind ohms, plus at a. */
    private static void behind(int a, int b, double volts, double ohms, DMatrixRMaj matrix, DMatrixRMaj right) {
        conductance(a, b, 1 / ohms, matrix);
        inject(b, a, volts / ohms, right);
    }

    private static void inject(int out, int in, double amps, DMatrixRMaj right) {
        if (out >= 0) right.add(out, 0, -amps);
        if (in >= 0) right.add(in, 0, amps);
    }

    private static void conductance(int a, int b, double g, DMatrixRMaj matrix) {
        if (a >= 0) matrix.add(a, a, g);
        if (b >= 0) matrix.add(b, b, g);
        if (a >= 0 && b >= 0) {
            matrix.add(a, b, -g);
            matrix.add(b, a, -g);
        }
    }

    private static void stampIdeal(Branch.Source source, int k, int[] row, DMatrixRMaj matrix, DMatrixRMaj right) {
        int a = row[source.a()];
        int b = row[source.b()];
        if (a >= 0) {
            matrix.add(a, k, 1);
            matrix.add(k, a, 1);
        }
        if (b >= 0) {
            matrix.add(b, k, -1);
            matrix.add(k, b, -1);
        }
        right.set(k, 0, source.volts());
    }

    private double current(int i, double[] volts, double idealAmps) {
        Branch branch = branches[i];
        double across = volts[branch.a()] - volts[branch.b()];
        if (branch instanceof Branch.Resistor r) return across / r.ohms();
        if (branch instanceof Branch.Current c) return c.amps();
        if (branch instanceof Branch.Diode d) return conducting[i] ? (across - d.forwardVolts()) / d.ohms() : 0;
        Branch.Source s = (Branch.Source) branch;
        return s.ohms() == 0 ? idealAmps : (across - s.volts()) / s.ohms();
    }
}
