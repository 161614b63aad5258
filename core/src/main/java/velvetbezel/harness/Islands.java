package velvetbezel.harness;

import java.util.Arrays;

/** Which nodes hang together: union of pairs, then a number per group, the group of node 0 being 0. */
public final class Islands {
    private final int[] parent;

    public Islands(int nodes) {
        parent = new int[nodes];
        Arrays.setAll(parent, i -> i);
    }

    /** The lowest node that represents the group of {@code node}. */
    public int of(int node) {
        int root = node;
        while (parent[root] != root) root = parent[root];
        while (parent[node] != root) {
            int next = parent[node];
            parent[node] = root;
            node = next;
        }
        return root;
    }

    public void join(int a, int b) {
        int first = of(a);
        int second = of(b);
        parent[Math.max(first, second)] = Math.min(first, second);
    }

    public boolean together(int a, int b) { return of(a) == of(b); }
}
