package velvetbezel.fit;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/** What of some boxes other boxes leave free, exact on the grid of all their faces. Boxes are x0, x1, y0, y1, z0, z1. */
final class FreeSpace {
    private final double[] xs;
    private final double[] ys;
    private final double[] zs;
    /** Cells that are not free, summed from the first corner. */
    private final int[][][] taken;

    FreeSpace(List<double[]> rooms, List<double[]> blocked) {
        xs = faces(rooms, blocked, 0);
        ys = faces(rooms, blocked, 2);
        zs = faces(rooms, blocked, 4);
        boolean[][][] free = new boolean[xs.length][ys.length][zs.length];
        rooms.forEach(b -> mark(free, b, true));
        blocked.forEach(b -> mark(free, b, false));
        taken = new int[xs.length][ys.length][zs.length];
        for (int i = 1; i < xs.length; i++)
            for (int j = 1; j < ys.length; j++)
                for (int k = 1; k < zs.length; k++)
                    taken[i][j][k] = (free[i - 1][j - 1][k - 1] ? 0 : 1)
                            + taken[i - 1][j][k]
                            + taken[i][j - 1][k]
                            + taken[i][j][k - 1]
                            - taken[i - 1][j - 1][k]
                            - taken[i - 1][j][k - 1]
                            - taken[i][j - 1][k - 1]
                            + taken[i - 1][j - 1][k - 1];
    }

    private static double[] faces(List<double[]> rooms, List<double[]> blocked, int axis) {
        double least = rooms.stream().mapToDouble(b -> b[axis]).min().orElse(0);
        double most = rooms.stream().mapToDouble(b -> b[axis + 1]).max().orElse(0);
        return DoubleStream.concat(
                        rooms.stream().flatMapToDouble(b -> DoubleStream.of(b[axis], b[axis + 1])),
                        blocked.stream().flatMapToDouble(b -> DoubleStream.of(b[axis], b[axis + 1])))
                .filter(v -> v >= least && v <= most)
                .sorted()
                .distinct()
                .toArray();
    }

    private void mark(boolean[][][] free, double[] box, boolean to) {
        for (int i = first(xs, box[0]); i + 1 < xs.length && xs[i] < box[1]; i++)
            for (int j = first(ys, box[2]); j + 1 < ys.length && ys[j] < box[3]; j++)
                for (int k = first(zs, box[4]); k + 1 < zs.length && zs[k] < box[5]; k++) free[i][j][k] = to;
    }

    /** The first cell that begins at a face, or after it; faces outside were left out of the grid. */
    private static int first(double[] faces, double at) {
        int i = Arrays.binarySearch(faces, at);
        return i >= 0 ? i : -i - 1;
    }

    /** In mm³. */
    double volume() {
        double sum = 0;
        for (int i = 1; i < xs.length; i++)
            for (int j = 1; j < ys.length; j++)
                for (int k = 1; k < zs.length; k++)
                    if (count(i - 1, i, j - 1, j, k - 1, k) == 0)
                        sum += (xs[i] - xs[i - 1]) * (ys[j] - ys[j - 1]) * (zs[k] - zs[k - 1]);
        return sum;
    }

    private int count(int i0, int i1, int j0, int j1, int k0, int k1) {
        return taken[i1][j1][k1]
                - taken[i0][j1][k1]
                - taken[i1][j0][k1]
                - taken[i1][j1][k0]
                + taken[i0][j0][k1]
                + taken[i0][j1][k0]
                + taken[i1][j0][k0]
                - taken[i0][j0][k0];
    }

    /**
     * A place for a box in any of its six turns. A box that fits anywhere can be pushed until three of its faces lie on
     * faces of the grid, so that trying these is exact.
     */
    Optional<double[]> place(double a, double b, double c) {
        double[][] turns = {{a, b, c}, {a, c, b}, {b, a, c}, {b, c, a}, {c, a, b}, {c, b, a}};
        for (int k = 0; k < zs.length; k++)
            for (int j = 0; j < ys.length; j++)
                for (int i = 0; i < xs.length; i++)
                    for (double[] t : turns) {
                        int i1 = last(xs, xs[i] + t[0]);
                        int j1 = last(ys, ys[j] + t[1]);
                        int k1 = last(zs, zs[k] + t[2]);
                        if (i1 < 0 || j1 < 0 || k1 < 0 || count(i, i1, j, j1, k, k1) > 0) continue;
                        return Optional.of(
                                new double[] {xs[i], xs[i] + t[0], ys[j], ys[j] + t[1], zs[k], zs[k] + t[2]});
                    }
        return Optional.empty();
    }

    /** The first face at an end or beyond it; -1 where the end lies outside. */
    private static int last(double[] faces, double end) {
        int i = first(faces, end - 1e-9);
        return i < faces.length ? i : -1;
    }
}
