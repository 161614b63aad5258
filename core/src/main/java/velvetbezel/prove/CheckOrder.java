package velvetbezel.prove;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import velvetbezel.function.CheckPhase;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;

/**
 * Puts checks into an order with few changes of the car's state: by phase, what needs a sleeping car last; within one the
 * nearest next, then single checks moved while that saves a change. The first of the catalogue stays first: where there is
 * no power, nothing else is worth a try.
 */
final class CheckOrder {
    private static final int MOST_ROUNDS = 20;
    private final Map<Check, List<VehicleState>> states = new LinkedHashMap<>();

    private CheckOrder(List<Check> checks) {
        checks.forEach(c -> states.put(c, c.function().states()));
    }

    static List<Check> of(List<Check> checks) {
        CheckOrder order = new CheckOrder(checks);
        List<Check> all = new ArrayList<>();
        for (CheckPhase phase : CheckPhase.values())
            all.addAll(order.within(checks.stream()
                    .filter(c -> c.function().phase() == phase && !order.asleep(c))
                    .toList()));
        checks.stream().filter(order::asleep).forEach(all::add);
        return all;
    }

    private boolean asleep(Check check) {
        return states.get(check).stream()
                .anyMatch(s -> s.word(StateField.RESTED).equals("yes"));
    }

    private List<Check> within(List<Check> checks) {
        if (checks.isEmpty()) return checks;
        List<Check> left = new ArrayList<>(checks);
        List<Check> order = new ArrayList<>(List.of(left.remove(0)));
        while (!left.isEmpty()) {
            Check last = order.get(order.size() - 1);
            Check next = left.stream()
                    .min(Comparator.comparingInt(c -> changes(last, c)))
                    .orElseThrow();
            left.remove(next);
            order.add(next);
        }
        for (int round = 0; round < MOST_ROUNDS; round++) if (!moved(order)) break;
        return order;
    }

    /** Moves the first check that saves a change elsewhere. */
    private boolean moved(List<Check> order) {
        int now = changes(order);
        for (int from = 1; from < order.size(); from++)
            for (int to = 1; to < order.size(); to++) {
                List<Check> tried = new ArrayList<>(order);
                tried.add(to, tried.remove(from));
                if (changes(tried) >= now) continue;
                order.clear();
                order.addAll(tried);
                return true;
            }
        return false;
    }

    /** Things of the car that are set otherwise between checks. */
    private int changes(List<Check> order) {
        int sum = 0;
        for (int i = 1; i < order.size(); i++) sum += changes(order.get(i - 1), order.get(i));
        return sum;
    }

    private int changes(Check before, Check next) {
        List<VehicleState> passed = states.get(before);
        List<VehicleState> coming = states.get(next);
        if (coming.isEmpty()) return 0;
        VehicleState from = passed.isEmpty() ? VehicleState.AT_REST : passed.get(passed.size() - 1);
        return coming.get(0).changesFrom(from).size();
    }

    static int changesOf(List<Check> order) {
        return new CheckOrder(order).changes(order);
    }
}
