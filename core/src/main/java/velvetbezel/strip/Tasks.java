package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import velvetbezel.sheet.strip.Behind;
import velvetbezel.sheet.strip.Circuit;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.Work;
import velvetbezel.sheet.strip.WorkPhase;
import velvetbezel.state.StateField;

/** Everything that has to be done for what is wanted, and what has to come before what. */
final class Tasks {
    private static final Set<String> ONLY_ON = Set.of(CarState.ON);
    private static final Set<String> ONLY_OFF = Set.of(CarState.OFF);

    final Dash dash;
    final Wanted wanted;
    final CarState start;
    private final Needed needed;
    private final Set<ItemId> early;
    private final List<Task> tasks = new ArrayList<>();
    private final List<Set<Integer>> first = new ArrayList<>();
    private final Map<ItemId, Map<Task.Kind, Integer>> ofItem = new HashMap<>();
    private final Map<ConnectorOf, Map<Task.Kind, Integer>> ofPlug = new HashMap<>();
    private final Map<String, Integer> ofWork = new LinkedHashMap<>();
    private Optional<Integer> exchange = Optional.empty();
    private Optional<Integer> test = Optional.empty();
    private int end;
    private long[] done;
    private long[][] before;
    private long[][] ancestors;
    private int[] inOrder;

    Tasks(Dash dash, Wanted wanted, CarState start) {
        this.dash = dash;
        this.wanted = wanted;
        this.start = start;
        this.needed = start.exchanged() ? Needed.afterExchange(dash, start) : Needed.of(dash, wanted, start);
        this.early = needed.early();
        make();
        for (int i = 0; i < tasks.size(); i++) first.add(new TreeSet<>());
        new Before().all();
        settle();
    }

    // --- making them

    private int add(Task.Kind kind, ItemId item, ConnectorOf plug, String work, Map<StateField, Set<String>> demands) {
        Task t = new Task(tasks.size(), kind, item, plug, work, demands);
        tasks.add(t);
        if (plug != null)
            ofPlug.computeIfAbsent(plug, p -> new EnumMap<>(Task.Kind.class)).put(kind, t.number());
        else if (item != null)
            ofItem.computeIfAbsent(item, i -> new EnumMap<>(Task.Kind.class)).put(kind, t.number());
        else if (work != null) ofWork.put(work, t.number());
        return t.number();
    }

    private void make() {
        for (DashItem i : needed.items()) {
            add(Task.Kind.LOOSEN, i.id(), null, null, opening(i));
            if (needed.level(i.id()) == ItemPosition.AWAY) {
                add(Task.Kind.LIFT, i.id(), null, null, Map.of());
                if (i.returns()) add(Task.Kind.PUT_IN, i.id(), null, null, Map.of());
            }
            if (i.returns()) add(Task.Kind.FASTEN, i.id(), null, null, closing(i));
        }
        for (ConnectorOf c : needed.off()) {
            ItemConnector connector = dash.connector(c).orElseThrow();
            add(Task.Kind.UNPLUG, c.item(), c, null, moving(connector));
            if (dash.item(c.item()).returns()) add(Task.Kind.PLUG_IN, c.item(), c, null, moving(connector));
        }
        for (Work w : dash.works())
            if (wanted.exchanges()
                    && w.phase() != WorkPhase.BENCH
                    && (w.phase() != WorkPhase.BEFORE || !start.exchanged()))
                add(Task.Kind.WORK, null, null, w.id(), w.needs());
        boolean moved = !needed.off().isEmpty() || start.exchanged();
        if (wanted.exchanges()) exchange = Optional.of(add(Task.Kind.EXCHANGE, null, null, null, quiet()));
        if (exchange.isPresent() || moved) test = Optional.of(add(Task.Kind.TEST, null, null, null, testing()));
        end = add(Task.Kind.END, null, null, null, ending());
    }

    private Map<StateField, Set<String>> opening(DashItem item) {
        if (item.openedBy().isEmpty()) return item.clear();
        Map<StateField, Set<String>> demands = new EnumMap<>(StateField.class);
        demands.putAll(item.clear());
        if (item.openedBy().get().size() < StateField.KEY.words().size())
            demands.put(StateField.KEY, item.openedBy().get());
        demands.put(StateField.BATTERY, ONLY_ON);
        demands.put(StateField.BATTERY_POSITIVE, ONLY_ON);
        return demands;
    }

    /** What is in front of a battery is closed once the battery is on. */
    private Map<StateField, Set<String>> closing(DashItem item) {
        Map<StateField, Set<String>> demands = new EnumMap<>(StateField.class);
        demands.putAll(item.clear());
        var batteries = dash.strip().facts().batteries();
        for (int b = 0; b < batteries.size(); b++)
            if (batteries.get(b).behind().stream().anyMatch(h -> h.item().equals(item.id()))) {
                demands.put(CarState.NEGATIVES.get(b), ONLY_ON);
                demands.put(CarState.POSITIVES.get(b), ONLY_ON);
            }
        return demands;
    }

    private Map<StateField, Set<String>> moving(ItemConnector connector) {
        Map<StateField, Set<String>> demands = new EnumMap<>(StateField.class);
        demands.put(StateField.KEY, Set.of(CarState.KEY_OFF));
        boolean live = wanted.school().plainPlugsLive()
                && connector.circuit() == Circuit.PLAIN
                && dash.item(connector.id().item()).kind() != ItemKind.RADIO;
        if (connector.needsDead() && !live)
            for (int b = 0; b < dash.batteries(); b++) {
                demands.put(CarState.NEGATIVES.get(b), ONLY_OFF);
                if (wanted.school().bothPoles()) demands.put(CarState.POSITIVES.get(b), ONLY_OFF);
            }
        return demands;
    }

    private Map<StateField, Set<String>> quiet() {
        Map<StateField, Set<String>> demands = new EnumMap<>(StateField.class);
        demands.put(StateField.KEY, Set.of(CarState.KEY_OFF));
        if (dash.parkInterlock()) demands.put(StateField.GEAR, Set.of(CarState.PARK));
        return demands;
    }

    private void powered(Map<StateField, Set<String>> demands) {
        for (int b = 0; b < dash.batteries(); b++) {
            demands.put(CarState.NEGATIVES.get(b), ONLY_ON);
            demands.put(CarState.POSITIVES.get(b), ONLY_ON);
        }
    }

    private Map<StateField, Set<String>> testing() {
        Map<StateField, Set<String>> demands = new EnumMap<>(quiet());
        powered(demands);
        demands.put(StateField.KEY, Set.of("run"));
        return demands;
    }

    private Map<StateField, Set<String>> ending() {
        Map<StateField, Set<String>> demands = new EnumMap<>(quiet());
        powered(demands);
        demands.put(StateField.COLUMN, Set.of(StateField.COLUMN.words().get(0)));
        return demands;
    }

    // --- what comes before what

    private Optional<Integer> of(ItemId item, Task.Kind kind) {
        return Optional.ofNullable(ofItem.getOrDefault(item, Map.of()).get(kind));
    }

    private Optional<Integer> of(ConnectorOf plug, Task.Kind kind) {
        return Optional.ofNullable(ofPlug.getOrDefault(plug, Map.of()).get(kind));
    }

    Optional<Integer> reached(Behind behind) {
        return of(behind.item(), behind.atLeast() == ItemPosition.AWAY ? Task.Kind.LIFT : Task.Kind.LOOSEN);
    }

    /** Fills in what comes first, rule by rule of the trade. */
    private final class Before {
        private void put(Optional<Integer> earlier, Optional<Integer> later) {
            if (earlier.isPresent() && later.isPresent() && !earlier.equals(later))
                first.get(later.get()).add(earlier.get());
        }

        void all() {
            for (DashItem i : needed.items()) item(i);
            for (ConnectorOf c : needed.off()) plug(dash.connector(c).orElseThrow());
            for (Work w : dash.works()) if (ofWork.containsKey(w.id())) work(w);
            for (ItemId target : wanted.away()) put(of(target, Task.Kind.LIFT), exchange);
            for (ConnectorOf c : wanted.off()) put(of(c, Task.Kind.UNPLUG), exchange);
            put(exchange, test);
            for (int t = 0; t < end; t++) put(Optional.of(t), Optional.of(end));
        }

        private void item(DashItem i) {
            Optional<Integer> loosen = of(i.id(), Task.Kind.LOOSEN);
            Optional<Integer> lift = of(i.id(), Task.Kind.LIFT);
            Optional<Integer> putIn = of(i.id(), Task.Kind.PUT_IN);
            Optional<Integer> fasten = of(i.id(), Task.Kind.FASTEN);
            i.hiders().forEach(b -> put(reached(b), loosen));
            put(loosen, lift);
            put(lift, putIn);
            put(exchange, putIn);
            put(exchange, fasten);
            put(putIn, fasten);
            put(loosen, fasten);
            if (!early.contains(i.id())) {
                put(test, fasten);
                if (i.connectors().isEmpty()) put(test, putIn);
            }
            for (ItemId hidden : dash.hiddenBy(i.id())) {
                put(of(hidden, Task.Kind.FASTEN), fasten);
                if (!i.liesAside()) put(of(hidden, Task.Kind.FASTEN), putIn);
                // what never comes home is at least out of the way before it is covered
                put(of(hidden, Task.Kind.LIFT), i.liesAside() ? fasten : putIn);
            }
        }

        private void plug(ItemConnector c) {
            ItemId owner = c.id().item();
            Optional<Integer> off = of(c.id(), Task.Kind.UNPLUG);
            Optional<Integer> on = of(c.id(), Task.Kind.PLUG_IN);
            if (c.reach() == ItemPosition.LOOSE) {
                put(of(owner, Task.Kind.LOOSEN), off);
                put(of(owner, Task.Kind.LOOSEN), on);
            }
            put(off, of(owner, Task.Kind.LIFT));
            put(off, on);
            put(exchange, on);
            put(of(owner, Task.Kind.PUT_IN), on);
            put(on, of(owner, Task.Kind.FASTEN));
            put(on, test);
            for (Behind b : c.behind()) {
                put(reached(b), off);
                boolean aside = dash.item(b.item()).liesAside();
                put(on, aside ? of(b.item(), Task.Kind.FASTEN) : of(b.item(), Task.Kind.PUT_IN));
                put(on, of(b.item(), Task.Kind.FASTEN));
            }
        }

        private void work(Work w) {
            Optional<Integer> task = Optional.of(ofWork.get(w.id()));
            w.open().forEach(b -> put(reached(b), task));
            w.after().forEach(a -> put(Optional.ofNullable(ofWork.get(a)), task));
            for (ConnectorOf c : w.unplugged()) {
                put(of(c, Task.Kind.UNPLUG), task);
                put(task, of(c, Task.Kind.PLUG_IN));
            }
            if (w.phase() == WorkPhase.BEFORE) put(task, exchange);
            if (w.phase() == WorkPhase.OPEN) put(task, test);
            if (w.phase() == WorkPhase.AFTER_TEST) put(test, task);
            boolean closes = w.phase() == WorkPhase.OPEN || w.phase() == WorkPhase.AFTER_TEST;
            for (Behind b : w.open()) {
                boolean away = b.atLeast() == ItemPosition.AWAY && w.phase() == WorkPhase.OPEN;
                if (closes && away) put(task, of(b.item(), Task.Kind.PUT_IN));
                if (closes) put(task, of(b.item(), Task.Kind.FASTEN));
            }
            for (ItemId i : w.before()) {
                if (w.phase() == WorkPhase.OPEN) put(task, of(i, Task.Kind.PUT_IN));
                put(task, of(i, Task.Kind.FASTEN));
            }
            if (w.phase() == WorkPhase.LAST) for (DashItem i : needed.items()) put(of(i.id(), Task.Kind.FASTEN), task);
        }
    }

    // --- settling

    private void settle() {
        int n = tasks.size();
        done = Bits.none(n);
        before = new long[n][];
        for (int t = 0; t < n; t++) {
            before[t] = Bits.none(n);
            for (int p : first.get(t)) Bits.add(before[t], p);
            if (already(tasks.get(t))) Bits.add(done, t);
        }
        sort();
        ancestors = new long[n][];
        for (int t : inOrder) {
            ancestors[t] = Bits.none(n);
            for (int p : first.get(t)) {
                Bits.add(ancestors[t], p);
                if (ancestors[p] != null) Bits.addAll(ancestors[t], ancestors[p]);
            }
        }
    }

    /** Whether it is done in the car as it stands. */
    private boolean already(Task t) {
        ItemPosition at = t.item() == null ? ItemPosition.HOME : start.position(t.item());
        return switch (t.kind()) {
            case LOOSEN -> at != ItemPosition.HOME;
            case LIFT -> at == ItemPosition.AWAY || start.exchanged();
            case UNPLUG -> start.off().contains(t.plug());
            case PUT_IN -> start.exchanged() && at != ItemPosition.AWAY;
            case WORK -> start.works().contains(t.work());
            case EXCHANGE -> start.exchanged();
            case TEST -> start.tested() && start.off().isEmpty();
            default -> false;
        };
    }

    /** In an order in which they could be done; what waits for itself comes last and has no place. */
    private void sort() {
        List<Integer> order = new ArrayList<>();
        boolean[] placed = new boolean[tasks.size()];
        boolean more = true;
        while (more) {
            more = false;
            for (int t = 0; t < tasks.size(); t++)
                if (!placed[t] && first.get(t).stream().allMatch(p -> placed[p])) {
                    placed[t] = true;
                    order.add(t);
                    more = true;
                }
        }
        inOrder = order.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Whether some tasks wait for each other in a circle. */
    List<Task> circle() {
        List<Task> left = new ArrayList<>(tasks);
        for (int t : inOrder) left.remove(tasks.get(t));
        return left;
    }

    // --- asking

    int size() {
        return tasks.size();
    }

    Task get(int number) {
        return tasks.get(number);
    }

    List<Task> all() {
        return Collections.unmodifiableList(tasks);
    }

    long[] startDone() {
        return done;
    }

    long[] before(int task) {
        return before[task];
    }

    long[] ancestors(int task) {
        return ancestors[task];
    }

    int[] inOrder() {
        return inOrder;
    }

    int end() {
        return end;
    }

    Optional<Integer> exchange() {
        return exchange;
    }

    Needed needed() {
        return needed;
    }

    Set<ItemId> early() {
        return early;
    }

    /** Number of a part's task; -1 where it has none. */
    int number(ItemId item, Task.Kind kind) {
        return of(item, kind).orElse(-1);
    }

    int number(ConnectorOf plug, Task.Kind kind) {
        return of(plug, kind).orElse(-1);
    }

    int numberOfWork(String work) {
        return ofWork.getOrDefault(work, -1);
    }
}
