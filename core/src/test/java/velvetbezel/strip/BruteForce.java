package velvetbezel.strip;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.Work;
import velvetbezel.state.StateField;

/**
 * Referee for small cars: every order of every step that the hazard rules let pass, with no cleverness at all. Knows
 * nothing of tasks, bounds or the search.
 */
final class BruteForce {
    private static final Map<StateField, List<String>> WORDS = Map.of(
            StateField.KEY, List.of("off", "run"),
            StateField.GEAR, List.of("park", "low"),
            StateField.PARKING_BRAKE, List.of("set"),
            StateField.COLUMN, List.of("home", "down"),
            StateField.BATTERY, List.of("connected", "disconnected"));

    private final Dash dash;
    private final Wanted wanted;
    private final Needed needed;
    private final Moment.RunFacts facts;

    private BruteForce(StripDown strip, Wanted wanted) {
        this.dash = new Dash(strip);
        this.wanted = wanted;
        this.needed = Needed.of(dash, wanted, CarState.CLOSED);
        Set<String> works = new HashSet<>();
        strip.works().forEach(w -> works.add(w.id()));
        Set<ItemId> items = needed.items().stream().map(DashItem::id).collect(Collectors.toSet());
        // every part may still pass later: what comes of it is seen at the end
        this.facts = new Moment.RunFacts(wanted, items, needed.early(), false, works, items);
    }

    /** The fewest changes; empty where there is no order. */
    static OptionalInt changes(StripDown strip, Wanted wanted) {
        return new BruteForce(strip, wanted).search();
    }

    private OptionalInt search() {
        Map<CarState, Integer> best = new HashMap<>(Map.of(CarState.CLOSED, 0));
        Deque<Map.Entry<CarState, Integer>> open = new ArrayDeque<>(List.of(Map.entry(CarState.CLOSED, 0)));
        while (!open.isEmpty()) {
            var at = open.pollFirst();
            CarState car = at.getKey();
            if (best.get(car) < at.getValue()) continue;
            if (finished(car)) return OptionalInt.of(at.getValue());
            for (List<StripStep> steps : ways(car)) {
                CarState then = pass(car, steps);
                if (then == null) continue;
                int cost = at.getValue() + (costs(steps) ? 1 : 0);
                if (best.getOrDefault(then, Integer.MAX_VALUE) <= cost) continue;
                best.put(then, cost);
                if (costs(steps)) open.addLast(Map.entry(then, cost));
                else open.addFirst(Map.entry(then, cost));
            }
        }
        return OptionalInt.empty();
    }

    private static boolean costs(List<StripStep> steps) {
        return steps.stream()
                .anyMatch(s -> s instanceof StripStep.SetState || s instanceof StripStep.PlugIn p && p.forNow());
    }

    private boolean finished(CarState car) {
        return car.exchanged()
                && car.tested()
                && car.works().size() == count(dash.works())
                && pass(car, List.of(new StripStep.End())) != null;
    }

    private static int count(Iterable<Work> works) {
        int n = 0;
        for (Work w : works) n++;
        return n;
    }

    /** The car after the steps; null where a rule has something against one of them. */
    private CarState pass(CarState car, List<StripStep> steps) {
        CarState at = car;
        for (StripStep s : steps) {
            CarState then = at.after(s);
            Moment m = new Moment(dash, s, at, then, facts);
            for (HazardRule r : Cars.rules().at(s))
                if (r.severity() != Severity.CAUTION
                        && r.when().stream().allMatch(m::holds)
                        && !(r.id().equals("power-work-plug"))) return null;
            at = then;
        }
        return at;
    }

    private List<List<StripStep>> ways(CarState car) {
        List<List<StripStep>> ways = new ArrayList<>();
        WORDS.forEach((f, words) -> words.stream()
                .filter(w -> !w.equals(car.word(f)))
                .forEach(w -> ways.add(List.of(new StripStep.SetState(f, w, true, StripStep.By.HAND)))));
        for (Work w : dash.works()) if (!car.works().contains(w.id())) ways.add(List.of(new StripStep.DoWork(w.id())));
        for (DashItem i : needed.items()) ways.addAll(car.exchanged() ? together(car, i) : apart(car, i));
        boolean out = wanted.away().stream().allMatch(i -> car.position(i) == ItemPosition.AWAY);
        boolean used = dash.strip().works().stream().allMatch(w -> car.works().contains(w.id()) || !w.wantsPower());
        if (!car.exchanged() && out && used) ways.add(List.of(new StripStep.Exchange()));
        if (car.exchanged() && !car.tested()) ways.add(List.of(new StripStep.FunctionTest()));
        return ways;
    }

    private List<List<StripStep>> apart(CarState car, DashItem i) {
        List<List<StripStep>> ways = new ArrayList<>();
        ItemPosition at = car.position(i.id());
        if (at == ItemPosition.HOME) ways.add(List.of(new StripStep.Loosen(i.id())));
        if (at == ItemPosition.LOOSE && needed.level(i.id()) == ItemPosition.AWAY)
            ways.add(List.of(new StripStep.Lift(i.id())));
        for (ItemConnector c : i.connectors()) {
            ConnectorOf id = c.id();
            if (!car.off().contains(id)) {
                if (needed.isOff(id)) ways.add(List.of(new StripStep.Unplug(id)));
            } else
                ways.add(
                        at == ItemPosition.AWAY
                                ? List.of(new StripStep.PutIn(i.id(), true), new StripStep.PlugIn(id, true))
                                : List.of(new StripStep.PlugIn(id, true)));
        }
        return ways;
    }

    private List<List<StripStep>> together(CarState car, DashItem i) {
        List<List<StripStep>> ways = new ArrayList<>();
        ItemPosition at = car.position(i.id());
        if (at == ItemPosition.AWAY) ways.add(List.of(new StripStep.PutIn(i.id(), false)));
        if (at == ItemPosition.LOOSE) ways.add(List.of(new StripStep.Fasten(i.id())));
        if (at != ItemPosition.AWAY)
            for (ItemConnector c : i.connectors())
                if (car.off().contains(c.id())) ways.add(List.of(new StripStep.PlugIn(c.id(), false)));
        return ways;
    }
}
