package velvetbezel.strip;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.PossibleExtra;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.WorkPhase;

/** What else is worth doing while a dash is open, and the minutes that it saves. */
public final class Openings {
    /** Minutes below which nothing is saved. */
    private static final double WORTH_A_WORD = 1;

    private final Planner planner;
    private final StripDown strip;
    private final Wanted wanted;

    public Openings(Planner planner, StripDown strip, Wanted wanted) {
        this.planner = planner;
        this.strip = strip;
        this.wanted = wanted;
    }

    /**
     * An extra with its minutes.
     *
     * @param more  parts that come off for it besides
     * @param adds  minutes that it adds now, its own with them
     * @param alone minutes on another day: opened and closed once more for it
     */
    public record Saving(PossibleExtra extra, List<String> more, double adds, double alone) {
        public Saving {
            more = List.copyOf(more);
        }

        public double saves() {
            return alone - adds;
        }
    }

    /**
     * Minutes to open the dash and close it once more, with nothing done meanwhile; empty where there is no order.
     */
    public Optional<Double> again() {
        StripDown bare = new StripDown(strip.items(), List.of(), List.of(), strip.facts());
        return planner.plan(bare, wanted.with(Set.of()), CarState.CLOSED, false)
                .found()
                .map(o -> o.minutes().usual());
    }

    /** Minutes of the whole order without what is done at the bench; empty where there is no order. */
    public Optional<Double> atTheCar() {
        StripDown without = new StripDown(
                strip.items(),
                strip.works().stream().filter(w -> w.phase() != WorkPhase.BENCH).toList(),
                strip.extras(),
                strip.facts());
        return new Openings(planner, without, wanted).minutes(wanted);
    }

    /** Every extra of the sheet that costs less now, with the dash open anyway, than on another day. */
    public List<Saving> all() {
        List<Saving> savings = new ArrayList<>();
        Optional<Double> base = minutes(wanted);
        if (base.isEmpty()) return savings;
        for (PossibleExtra x : strip.extras()) {
            if (wanted.extras().contains(x.id())) continue;
            Set<String> with = new HashSet<>(wanted.extras());
            with.add(x.id());
            Optional<Double> both = minutes(wanted.with(with));
            Optional<Double> alone = minutes(new Wanted(Set.of(), Set.of(), Set.of(x.id()), wanted.school()));
            double own = x.minutes().usual();
            if (both.isEmpty() || alone.isEmpty()) continue;
            Saving saving = new Saving(x, more(with), both.get() - base.get() + own, alone.get() + own);
            if (saving.saves() > WORTH_A_WORD) savings.add(saving);
        }
        return savings;
    }

    private Optional<Double> minutes(Wanted what) {
        return planner.plan(strip, what, CarState.CLOSED, false).found().map(o -> o.minutes()
                .usual());
    }

    private List<String> more(Set<String> extras) {
        Dash dash = new Dash(strip);
        List<DashItem> base = Needed.of(dash, wanted, CarState.CLOSED).items();
        return Needed.of(dash, wanted.with(extras), CarState.CLOSED).items().stream()
                .filter(i -> !base.contains(i))
                .map(i -> i.id().name())
                .toList();
    }
}
