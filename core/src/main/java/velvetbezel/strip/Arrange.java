package velvetbezel.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.FastenerGroup;

/**
 * Puts tasks that may change places into the order in which a person does them: one part after the other, then one tool
 * after the other, then one area after the other. Not claimed to be the least walking.
 */
final class Arrange {
    private final Tasks tasks;

    Arrange(Tasks tasks) {
        this.tasks = tasks;
    }

    /** Changes places only between two changes of the vehicle. */
    List<Moves.Move> order(List<Moves.Move> found) {
        List<Moves.Move> ordered = new ArrayList<>();
        List<Integer> block = new ArrayList<>();
        for (Moves.Move m : found)
            if (m instanceof Moves.DoTask d) block.add(d.task());
            else {
                block(block, ordered);
                ordered.add(m);
            }
        block(block, ordered);
        return ordered;
    }

    private void block(List<Integer> block, List<Moves.Move> into) {
        List<Integer> left = new ArrayList<>(block);
        int last = -1;
        while (!left.isEmpty()) {
            int next = -1;
            for (int t : left)
                if (left.stream().noneMatch(p -> Bits.has(tasks.before(t), p)) && (next < 0 || nearer(t, next, last)))
                    next = t;
            left.remove(Integer.valueOf(next));
            into.add(new Moves.DoTask(next));
            last = next;
        }
        block.clear();
    }

    private boolean nearer(int a, int b, int last) {
        int more = last < 0 ? 0 : closeness(a, last) - closeness(b, last);
        return more > 0 || more == 0 && rank(a) < rank(b);
    }

    /** What came off last goes in first. */
    private int rank(int t) {
        return switch (tasks.get(t).kind()) {
            case PUT_IN, PLUG_IN, FASTEN -> -t;
            default -> t;
        };
    }

    private int closeness(int t, int last) {
        Task task = tasks.get(t);
        Task before = tasks.get(last);
        if (task.item() == null || before.item() == null) return 0;
        if (task.item().equals(before.item())) return 4;
        DashItem a = tasks.dash.item(task.item());
        DashItem b = tasks.dash.item(before.item());
        boolean area = !a.area().isEmpty() && a.area().equals(b.area());
        return (tools(a).stream().anyMatch(tools(b)::contains) ? 2 : 0) + (area ? 1 : 0);
    }

    private static Set<String> tools(DashItem item) {
        return item.fasteners().stream().map(FastenerGroup::tool).collect(Collectors.toSet());
    }
}
