package velvetbezel.identify;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * What each wire end may be, all ends at once: an end serves one role, or is one of a pair with another end, or is neither;
 * a role is served by one end at most. The chance of such a matching is the product of its weights, each relative to an end
 * that is neither (a monomer-dimer model; Heilmann and Lieb, 1972).
 *
 * <p>Ends are numbered from 0, and so are roles.
 */
final class Matchings {
    private static final int MOST_ROUNDS = 300;
    private static final double CLOSE = 1e-5;
    private static final int MOST_EXACT_ENDS = 20;

    private final double[][] roles;
    private final double[][] pairs;
    private final int ends;

    /**
     * Chances.
     *
     * @param roles of each end to serve each role
     * @param pairs of two ends to be a pair, both ways round
     * @param exact whether they are, or the result of passing messages, which is exact on trees only
     */
    record Chances(double[][] roles, double[][] pairs, boolean exact) {
        /** Of an end to serve no role and to be in no pair. */
        double neither(int end) {
            return Math.max(
                    0,
                    1
                            - Arrays.stream(roles[end]).sum()
                            - Arrays.stream(pairs[end]).sum());
        }
    }

    /**
     * @param roles weight of each end for each role, zero or more
     * @param pairs weight of two ends as a pair, zero or more, the same both ways round
     */
    Matchings(double[][] roles, double[][] pairs) {
        this.roles = roles;
        this.pairs = pairs;
        this.ends = roles.length;
    }

    // --- by messages

    /** Messages between ends and roles until they stand; damped by half, geometrically, so that they do. */
    Chances byMessages() {
        int all = ends + (ends == 0 ? 0 : roles[0].length);
        double[][] weights = weights(all);
        double[][] sent = new double[all][all];
        for (double[] row : sent) Arrays.fill(row, 1);
        for (int round = 0; round < MOST_ROUNDS; round++) if (passed(weights, sent) < CLOSE) break;
        return chances(weights, sent);
    }

    private double[][] weights(int all) {
        double[][] weights = new double[all][all];
        for (int i = 0; i < ends; i++) {
            for (int r = ends; r < all; r++) {
                weights[i][r] = roles[i][r - ends];
                weights[r][i] = roles[i][r - ends];
            }
            for (int k = 0; k < ends; k++) if (k != i) weights[i][k] = pairs[i][k];
        }
        return weights;
    }

    /**
     * One round. What a vertex hears from all but one is added up, never subtracted: a great weight would swallow the rest.
     *
     * @return the largest change of a message
     */
    private static double passed(double[][] weights, double[][] sent) {
        int all = weights.length;
        double most = 0;
        double[][] next = new double[all][all];
        for (int a = 0; a < all; a++) {
            double[] before = new double[all + 1];
            double[] after = new double[all + 1];
            for (int c = 0; c < all; c++) before[c + 1] = before[c] + weights[a][c] * sent[c][a];
            for (int c = all - 1; c >= 0; c--) after[c] = after[c + 1] + weights[a][c] * sent[c][a];
            for (int b = 0; b < all; b++) {
                double heard = 1 / (1 + before[b] + after[b + 1]);
                next[a][b] = Math.sqrt(heard * sent[a][b]);
                if (weights[a][b] > 0) most = Math.max(most, Math.abs(next[a][b] - sent[a][b]));
            }
        }
        for (int a = 0; a < all; a++) sent[a] = next[a];
        return most;
    }

    private Chances chances(double[][] weights, double[][] sent) {
        double[][] ofRoles = new double[ends][ends == 0 ? 0 : roles[0].length];
        double[][] ofPairs = new double[ends][ends];
        for (int i = 0; i < ends; i++) {
            for (int r = 0; r < ofRoles[i].length; r++) ofRoles[i][r] = chance(weights, sent, i, ends + r);
            for (int k = 0; k < ends; k++) if (k != i) ofPairs[i][k] = chance(weights, sent, i, k);
        }
        return new Chances(ofRoles, ofPairs, false);
    }

    private static double chance(double[][] weights, double[][] sent, int a, int b) {
        double q = weights[a][b] * sent[a][b] * sent[b][a];
        return q / (1 + q);
    }

    // --- by adding up all matchings

    /**
     * Every matching added up, those of the same ends left and roles taken once.
     *
     * @throws IllegalArgumentException for more than {@value #MOST_EXACT_ENDS} ends or 31 roles
     */
    Chances exact() {
        int of = ends == 0 ? 0 : roles[0].length;
        if (ends > MOST_EXACT_ENDS || of > Integer.SIZE - 1)
            throw new IllegalArgumentException("%d ends and %d roles are too many to add up.".formatted(ends, of));
        Map<Long, Double> known = new HashMap<>();
        int left = (1 << ends) - 1;
        double whole = sum(left, 0, known);
        double[][] ofRoles = new double[ends][of];
        double[][] ofPairs = new double[ends][ends];
        for (int i = 0; i < ends; i++) {
            for (int r = 0; r < of; r++)
                if (roles[i][r] > 0) ofRoles[i][r] = roles[i][r] * sum(left & ~(1 << i), 1 << r, known) / whole;
            for (int k = 0; k < ends; k++)
                if (k != i && pairs[i][k] > 0)
                    ofPairs[i][k] = pairs[i][k] * sum(left & ~(1 << i) & ~(1 << k), 0, known) / whole;
        }
        return new Chances(ofRoles, ofPairs, true);
    }

    /** Of all matchings of the ends left with the roles that are not taken. */
    private double sum(int left, int taken, Map<Long, Double> known) {
        if (left == 0) return 1;
        long key = ((long) left << Integer.SIZE) | taken;
        Double before = known.get(key);
        if (before != null) return before;
        int i = Integer.numberOfTrailingZeros(left);
        int rest = left & ~(1 << i);
        double sum = sum(rest, taken, known);
        for (int r = 0; r < roles[i].length; r++)
            if (roles[i][r] > 0 && (taken & 1 << r) == 0) sum += roles[i][r] * sum(rest, taken | 1 << r, known);
        for (int k = i + 1; k < ends; k++)
            if (pairs[i][k] > 0 && (rest & 1 << k) != 0) sum += pairs[i][k] * sum(rest & ~(1 << k), taken, known);
        known.put(key, sum);
        return sum;
    }
}
