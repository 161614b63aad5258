package velvetbezel.strip;

import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.strip.StripDown;

/**
 * Finds the order in which a dash comes apart and goes back together: the fewest changes of key, lever and battery,
 * then the least minutes. Every order it gives is safe by the hazard rules.
 */
public final class Planner {
    /** States after which the search stops; ordinary cars need some dozens. */
    public static final int LIMIT = 60_000;

    private static final int HASTE = 4;
    private final int limit;

    public Planner() {
        this(LIMIT);
    }

    public Planner(int limit) {
        this.limit = limit;
    }

    /** The rest of the way from a car as it stands. */
    public StripPlan plan(StripDown strip, Wanted wanted, CarState from) {
        return plan(strip, wanted, from, true);
    }

    /** Without asking what would free a way that is shut. */
    StripPlan plan(StripDown strip, Wanted wanted, CarState from, boolean relax) {
        Dash dash = new Dash(strip);
        boolean untouched = from.positions().isEmpty() && from.off().isEmpty() && !from.exchanged();
        if (wanted.nothing() && untouched) return new StripPlan.Nothing();
        Tasks tasks = new Tasks(dash, wanted, from);
        List<StripPlan.DeadEnd> ends = DeadEnds.of(tasks);
        if (!ends.isEmpty()) return new StripPlan.NoOrder(ends, relaxed(relax, strip, wanted, from), 0);
        return search(tasks, relax, false);
    }

    /**
     * The order that does least harm where none is clean: it stores an airbag fault that has to be read out and
     * cleared.
     * Shown only to a person who asks. Nothing that can hurt somebody is ever part of it.
     */
    public Optional<StripPlan.Order> leastHarm(StripDown strip, Wanted wanted, CarState from) {
        Tasks tasks = new Tasks(new Dash(strip), wanted, from);
        return tasks.circle().isEmpty() ? search(tasks, false, true).found() : Optional.empty();
    }

    /** The one answer about the car that would save most changes; empty where none saves any. */
    public Optional<StripPlan.Relaxation> question(StripDown strip, Wanted wanted, CarState from, int changes) {
        return new Relaxations(this, strip, wanted, from).question(changes);
    }

    private StripPlan search(Tasks tasks, boolean relax, boolean faultsAllowed) {
        Words words = new Words(tasks);
        Moves moves = new Moves(tasks, words, faultsAllowed);
        LeastChanges least = new LeastChanges(tasks, words);
        OrderSearch.Outcome found = new OrderSearch(tasks, moves, least, limit).run(1);
        if (found.order().isPresent())
            return new StripPlan.Least(order(tasks, words, found.order().get()), found.states());
        if (!found.stopped())
            return new StripPlan.NoOrder(
                    List.of(), relaxed(relax, tasks.dash.strip(), tasks.wanted, tasks.start), found.states());
        OrderSearch.Outcome soon = new OrderSearch(tasks, moves, least, limit).run(HASTE);
        return soon.order()
                .<StripPlan>map(o ->
                        new StripPlan.BestFound(order(tasks, words, o), found.bound(), found.states() + soon.states()))
                .orElse(new StripPlan.NotFound(found.states() + soon.states()));
    }

    private List<StripPlan.Relaxation> relaxed(boolean relax, StripDown strip, Wanted wanted, CarState from) {
        return relax ? new Relaxations(this, strip, wanted, from).all() : List.of();
    }

    private static StripPlan.Order order(Tasks tasks, Words words, List<Moves.Move> moves) {
        List<StripStep> steps = Steps.of(tasks, words, new Arrange(tasks).order(moves));
        int changes = moves.stream().mapToInt(Moves.Move::changes).sum();
        StepTimes times = new StepTimes(tasks.dash.strip());
        return new StripPlan.Order(
                steps, changes, TimeRange.of(steps.stream().map(times::of).toList()));
    }
}
