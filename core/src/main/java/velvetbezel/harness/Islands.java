package velvetbezel.harness;

import java.util.Arrays;

/** Which nodes hang together: union of pairs, then a number per group, the group of node 0 being 0. */
public final class Islands {
    private int[] parent;
    private int nodes;

    public Islands(int nodes) {
        this.nodes = nodes;
        parent = new int[nodes];
        Arrays.setAll(parent, i -> i);
    }

    public int nodes() {
        return nodes;
    }

    /** One more node, alone. */
    public int add() {
        if (nodes == parent.length) parent = Arrays.copyOf(parent, Math.max(16, 2 * nodes));
        parent[nodes] = nodes;
        return nodes++;
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

    public boolean together(int a, int b) {
        return of(a) == of(b);
    }
}
