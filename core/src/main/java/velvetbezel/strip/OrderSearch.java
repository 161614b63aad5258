package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The order with the fewest changes of the vehicle, then the least minutes: A* over what is done and how the vehicle is
 * set. What spoils nothing is taken at once, since some best order begins with it; only set steps, put-backs and what
 * may spoil something branch.
 */
final class OrderSearch {
    /** Far above any sum of minutes: changes count first. */
    private static final long CHANGE = 1_000_000;

    private final Tasks tasks;
    private final Moves moves;
    private final LeastChanges least;
    private final int limit;

    /** @param limit states after which it stops */
    OrderSearch(Tasks tasks, Moves moves, LeastChanges least, int limit) {
        this.tasks = tasks;
        this.moves = moves;
        this.least = least;
        this.limit = limit;
    }

    /** A car on its way, and how it got there. */
    private static final class Node {
        final long[] done;
        final byte[] words;
        final Node parent;
        final Moves.Move move;
        final List<Integer> atOnce;
        final long cost;
        final long bound;

        Node(Node parent, Moves.Move move, Moves.Car car, List<Integer> atOnce, long cost, long bound) {
            this.parent = parent;
            this.move = move;
            this.done = car.done();
            this.words = car.words();
            this.atOnce = atOnce;
            this.cost = cost;
            this.bound = bound;
        }

        Moves.Car car() {
            return new Moves.Car(done, words);
        }
    }

    private record Key(long[] done, byte[] words) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Key k && Arrays.equals(done, k.done) && Arrays.equals(words, k.words);
        }

        @Override
        public int hashCode() {
            return 31 * Arrays.hashCode(done) + Arrays.hashCode(words);
        }
    }

    /**
     * @param order   tasks and set steps; empty where none was found
     * @param states  looked at
     * @param bound   changes that no order goes below
     * @param stopped whether the limit ended it
     */
    record Outcome(Optional<List<Moves.Move>> order, int states, int bound, boolean stopped) {}

    /** @param haste 1 for the best order; more finds a good one sooner */
    Outcome run(int haste) {
        PriorityQueue<Node> open = new PriorityQueue<>(
                (a, b) -> a.bound != b.bound ? Long.compare(a.bound, b.bound) : Long.compare(b.cost, a.cost));
        Map<Key, Long> best = new HashMap<>();
        push(open, best, null, null, moves.start(), 0, haste);
        int states = 0;
        while (!open.isEmpty()) {
            Node node = open.poll();
            if (best.get(new Key(node.done, node.words)) < node.cost) continue;
            int bound = (int) (node.bound / CHANGE);
            if (Bits.has(node.done, tasks.end())) return new Outcome(Optional.of(path(node)), states, bound, false);
            if (++states > limit) return new Outcome(Optional.empty(), states, bound, true);
            for (Moves.Move m : moves.from(node.car()))
                push(
                        open,
                        best,
                        node,
                        m,
                        moves.after(node.car(), m),
                        node.cost + m.changes() * CHANGE + m.price(),
                        haste);
        }
        return new Outcome(Optional.empty(), states, 0, false);
    }

    private void push(
            PriorityQueue<Node> open,
            Map<Key, Long> best,
            Node parent,
            Moves.Move move,
            Moves.Car car,
            long cost,
            int haste) {
        List<Integer> atOnce = moves.atOnce(car);
        Key key = new Key(car.done(), car.words());
        Long known = best.get(key);
        if (known != null && known <= cost) return;
        best.put(key, cost);
        long bound = cost + (long) haste * least.of(car.done(), car.words()) * CHANGE;
        open.add(new Node(parent, move, car, atOnce, cost, bound));
    }

    private static List<Moves.Move> path(Node end) {
        List<Node> nodes = new ArrayList<>();
        for (Node n = end; n != null; n = n.parent) nodes.add(0, n);
        List<Moves.Move> path = new ArrayList<>();
        for (Node n : nodes) {
            if (n.move != null) path.add(n.move);
            n.atOnce.forEach(t -> path.add(new Moves.DoTask(t)));
        }
        return path;
    }
}
