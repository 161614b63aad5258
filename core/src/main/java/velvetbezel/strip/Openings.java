package velvetbezel.strip;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.PossibleExtra;
import velvetbezel.sheet.strip.StripDown;

/** What else is worth doing while a dash is open, and the minutes that it saves. */
public final class Openings {
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

    /** Every extra of the sheet that can be reached with the dash open as far as is wanted, or a little further. */
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
            if (both.isPresent() && alone.isPresent())
                savings.add(new Saving(x, more(with), both.get() - base.get() + own, alone.get() + own));
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
