package velvetbezel.circuit;

/**
 * Numbers nodes of an island, the farthest first: a harness is nearly a tree, and a tree that is eliminated from its ends
 * fills nothing in.
 */
final class FarFirst {
    private FarFirst() {}

    /**
     * @param reference is given no number
     * @param ends      of the branches, two by two
     * @param row       to be filled: -1 for every node that is not reached
     * @return how many there are
     */
    static int number(int nodes, int reference, int[] ends, int[] row) {
        int[] first = new int[nodes + 1];
        for (int end : ends) first[end + 1]++;
        for (int n = 0; n < nodes; n++) first[n + 1] += first[n];
        int[] beside = new int[ends.length];
        int[] next = first.clone();
        for (int e = 0; e < ends.length; e++) beside[next[ends[e]]++] = ends[e ^ 1];
        int[] near = new int[nodes];
        near[0] = reference;
        int found = 1;
        row[reference] = 0;
        for (int n = 0; n < found; n++)
            for (int k = first[near[n]]; k < first[near[n] + 1]; k++)
                if (row[beside[k]] < 0) {
                    row[beside[k]] = 0;
                    near[found++] = beside[k];
                }
        row[reference] = -1;
        for (int n = 1; n < found; n++) row[near[n]] = found - 1 - n;
        return found - 1;
    }
}
