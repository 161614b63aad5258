package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import velvetbezel.state.StateField;

/**
 * The least number of changes that the remaining tasks can cost, field by field: along every chain of needs each task
 * finds the field at a word it allows, and between a task that wants the lever here and a later one that wants it there
 * the key has to be where the lever moves, with the battery on. Never more than the truth: fields are independent, and
 * a set step changes one.
 */
final class LeastChanges {
    private static final int NEVER = 1000;
    private final List<Chain> chains = new ArrayList<>();

    /** A demand, or a turn of the lever that must come between two. */
    private record Node(int task, int mask, int[] before, long[] awaited, int gear, int gearMask) {
        boolean isTurn() {
            return awaited != null;
        }
    }

    /** One field's demands in an order in which they can come. */
    private record Chain(int field, int words, List<Node> nodes) {}

    LeastChanges(Tasks tasks, Words words) {
        for (int f = 0; f < words.fields().size(); f++) chains.add(new Builder(tasks, words, f).chain());
    }

    /** @param now number of each field's word */
    int of(long[] done, byte[] now) {
        int least = 0;
        for (Chain c : chains) least += of(c, done, now);
        return least;
    }

    private static int of(Chain chain, long[] done, byte[] now) {
        int words = chain.words;
        int n = chain.nodes.size();
        int[] cost = new int[n * words];
        boolean[] active = new boolean[n];
        int most = 0;
        for (int i = 0; i < n; i++) {
            Node node = chain.nodes.get(i);
            active[i] = !Bits.has(done, node.task) && (!node.isTurn() || turns(node, done, now));
            if (active[i]) most = Math.max(most, reach(chain, i, cost, active, now[chain.field]));
        }
        return most;
    }

    private static boolean turns(Node turn, long[] done, byte[] now) {
        return !Bits.covers(done, turn.awaited) || (turn.gearMask & 1 << now[turn.gear]) == 0;
    }

    /** Fills in what each word costs at a node, and gives the cheapest. */
    private static int reach(Chain chain, int i, int[] cost, boolean[] active, int now) {
        Node node = chain.nodes.get(i);
        int words = chain.words;
        int cheapest = NEVER;
        for (int w = 0; w < words; w++) {
            if ((node.mask & 1 << w) == 0) {
                cost[i * words + w] = NEVER;
                continue;
            }
            int at = w == now ? 0 : 1;
            for (int p : node.before)
                if (active[p]) {
                    int best = NEVER;
                    for (int u = 0; u < words; u++) best = Math.min(best, cost[p * words + u] + (u == w ? 0 : 1));
                    at = Math.max(at, best);
                }
            cost[i * words + w] = at;
            cheapest = Math.min(cheapest, at);
        }
        return cheapest;
    }

    /** Puts one field's chain together. */
    private static final class Builder {
        private final Tasks tasks;
        private final Words words;
        private final int field;
        private final int gear;
        private final List<Node> nodes = new ArrayList<>();
        private final List<Integer> ofTask = new ArrayList<>();
        private final int turnMask;

        Builder(Tasks tasks, Words words, int field) {
            this.tasks = tasks;
            this.words = words;
            this.field = field;
            this.gear = words.field(StateField.GEAR);
            this.turnMask = turnMask();
        }

        /** Words that the field must have while the lever is moved; 0 where the lever does not care. */
        private int turnMask() {
            var lever =
                    tasks.dash.lever().filter(l -> !l.manual() && l.release().isEmpty());
            if (lever.isEmpty() || gear < 0) return 0;
            StateField f = words.fields().get(field);
            if (f == StateField.KEY) return words.mask(field, lever.get().keyWords());
            boolean one = tasks.dash.batteries() == 1;
            boolean clamp = one && (f == StateField.BATTERY || f == StateField.BATTERY_POSITIVE);
            return clamp && lever.get().needsBattery() ? words.mask(field, Set.of(CarState.ON)) : 0;
        }

        Chain chain() {
            for (int t : tasks.inOrder()) {
                int demanded = demand(t, field);
                int turn = turnMask == 0 ? -1 : turn(t);
                if (demanded != 0) {
                    nodes.add(new Node(t, demanded, earlier(t, turn), null, 0, 0));
                    ofTask.add(t);
                }
            }
            return new Chain(field, words.of(field).size(), nodes);
        }

        /** Allowed words as bits, with what the key at off asks of the lever; 0 where any is good. */
        private int demand(int task, int of) {
            StateField f = words.fields().get(of);
            var demands = tasks.get(task).demands();
            if (demands.containsKey(f)) return words.mask(of, demands.get(f));
            boolean keyOff = of == gear
                    && tasks.dash.parkInterlock()
                    && demands.getOrDefault(StateField.KEY, Set.of()).equals(Set.of(CarState.KEY_OFF));
            return keyOff ? words.mask(of, Set.of(CarState.PARK)) : 0;
        }

        /**
         * A turn of the lever before a task that wants it elsewhere than an earlier one does; -1 where there is
         * none.
         */
        private int turn(int task) {
            int wants = demand(task, gear);
            if (wants == 0) return -1;
            long[] awaited = Bits.none(tasks.size());
            for (int t : tasks.inOrder())
                if (Bits.has(tasks.ancestors(task), t) && demand(t, gear) != 0 && (demand(t, gear) & wants) == 0)
                    Bits.add(awaited, t);
            for (Node n : nodes)
                if (n.isTurn() && n.gearMask == wants && Arrays.equals(n.awaited, awaited)) return nodes.indexOf(n);
            nodes.add(new Node(task, turnMask, earlierOf(awaited), awaited, gear, wants));
            ofTask.add(-1);
            return nodes.size() - 1;
        }

        private int[] earlierOf(long[] awaited) {
            List<Integer> earlier = new ArrayList<>();
            for (int n = 0; n < nodes.size(); n++)
                if (ofTask.get(n) >= 0 && Bits.has(awaited, ofTask.get(n))) earlier.add(n);
            return reduced(earlier);
        }

        private int[] earlier(int task, int turn) {
            List<Integer> earlier = new ArrayList<>();
            for (int n = 0; n < nodes.size(); n++)
                if (ofTask.get(n) >= 0 && Bits.has(tasks.ancestors(task), ofTask.get(n))) earlier.add(n);
            int[] tasksBefore = reduced(earlier);
            if (turn < 0) return tasksBefore;
            int[] withTurn = Arrays.copyOf(tasksBefore, tasksBefore.length + 1);
            withTurn[tasksBefore.length] = turn;
            return withTurn;
        }

        /** Without those that come before another of them. */
        private int[] reduced(List<Integer> earlier) {
            return earlier.stream()
                    .filter(a ->
                            earlier.stream().noneMatch(b -> Bits.has(tasks.ancestors(ofTask.get(b)), ofTask.get(a))))
                    .mapToInt(Integer::intValue)
                    .toArray();
        }
    }
}
