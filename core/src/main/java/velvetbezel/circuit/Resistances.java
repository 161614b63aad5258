package velvetbezel.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.CommonOps_DSCC;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;
import velvetbezel.harness.Islands;
import velvetbezel.units.Ohms;

/**
 * What an ohmmeter shows between nodes of a network with everything switched off: its resistors alone. Each island is
 * factored once; between two of its nodes lies z(a,a) + z(b,b) - 2 z(a,b) of its impedance matrix z.
 */
public final class Resistances {
    /** A meter shows no more ohms than this (common practice). */
    private static final double OPEN = 20e6;

    private final Islands islands;
    /** Of each asked node but an island's reference, its column of z by asked node. */
    private final Map<Integer, Map<Integer, Double>> columns = new HashMap<>();

    /** @param asked the only nodes between which is measured */
    public Resistances(Netlist net, Collection<Integer> asked) {
        List<Branch> resistors = net.branches().stream()
                .filter(Branch.Resistor.class::isInstance)
                .toList();
        this.islands = new Islands(net.nodes());
        resistors.forEach(r -> islands.join(r.a(), r.b()));
        Map<Integer, List<Branch>> members = new LinkedHashMap<>();
        resistors.forEach(r -> members.computeIfAbsent(islands.of(r.a()), k -> new ArrayList<>())
                .add(r));
        Map<Integer, List<Integer>> wanted = new LinkedHashMap<>();
        asked.stream().distinct().forEach(n -> wanted.computeIfAbsent(islands.of(n), k -> new ArrayList<>())
                .add(n));
        wanted.forEach((island, nodes) -> {
            // between a node and itself there is nothing to solve
            if (nodes.size() > 1 && members.containsKey(island)) factor(net.nodes(), members.get(island), nodes);
        });
    }

    private void factor(int nodes, List<Branch> resistors, List<Integer> asked) {
        int[] row = new int[nodes];
        Arrays.fill(row, -1);
        int reference = asked.get(0);
        int size = FarFirst.number(
                nodes,
                reference,
                resistors.stream().flatMapToInt(b -> IntStream.of(b.a(), b.b())).toArray(),
                row);
        DMatrixSparseTriplet triplet = new DMatrixSparseTriplet(size, size, 4 * resistors.size());
        for (Branch b : resistors) {
            int a = row[b.a()];
            int c = row[b.b()];
            double g = 1 / ((Branch.Resistor) b).ohms();
            if (a == c) continue;
            if (a >= 0) triplet.addItem(a, a, g);
            if (c >= 0) triplet.addItem(c, c, g);
            if (a >= 0 && c >= 0) {
                triplet.addItem(a, c, -g);
                triplet.addItem(c, a, -g);
            }
        }
        columns(triplet, row, asked.subList(1, asked.size()));
    }

    private void columns(DMatrixSparseTriplet triplet, int[] row, List<Integer> asked) {
        DMatrixSparseCSC matrix = DConvertMatrixStruct.convert(triplet, (DMatrixSparseCSC) null);
        CommonOps_DSCC.duplicatesAdd(matrix, null);
        LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver = LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);
        if (!solver.setA(matrix))
            throw new IllegalStateException("Resistors of %d nodes have no single solution.".formatted(matrix.numRows));
        DMatrixRMaj right = new DMatrixRMaj(matrix.numRows, asked.size());
        for (int i = 0; i < asked.size(); i++) right.set(row[asked.get(i)], i, 1);
        DMatrixRMaj solved = new DMatrixRMaj(matrix.numRows, asked.size());
        solver.solve(right, solved);
        for (int i = 0; i < asked.size(); i++) {
            Map<Integer, Double> column = new HashMap<>();
            for (int other : asked) column.put(other, solved.get(row[other], i));
            columns.put(asked.get(i), column);
        }
    }

    /** @return empty where the two are not joined, or so little that a meter shows nothing */
    public Optional<Ohms> between(int a, int b) {
        if (!islands.together(a, b)) return Optional.empty();
        double ohms = z(a, a) + z(b, b) - 2 * z(a, b);
        return ohms > OPEN ? Optional.empty() : Optional.of(new Ohms(Math.max(0, ohms)));
    }

    /** 0 where one of them is the reference. */
    private double z(int a, int b) {
        return columns.getOrDefault(a, Map.of()).getOrDefault(b, 0.0);
    }
}
