package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import velvetbezel.sheet.fit.Length;
import velvetbezel.sheet.fit.Route;

/** The shortest way of a lead from the radio that hangs over nothing it must not and whose holes its plug passes. */
public final class Ways {
    private final List<Route> routes;

    Ways(List<Route> routes) {
        this.routes = routes;
    }

    /**
     * A way of one or more stretches.
     *
     * @param via  places on the way, the end left out
     * @param over what it is near, and may be
     * @param hole whether a hole on it may be too small: its plug or hole was not measured
     */
    public record Way(Range length, List<String> via, Set<Route.Over> over, boolean hole) {
        Way on(Route r, String from, boolean unsure) {
            List<String> places = new ArrayList<>(via);
            if (!from.equals(Route.RADIO)) places.add(from);
            Set<Route.Over> all = new HashSet<>(over);
            all.addAll(r.over());
            Length l = r.length();
            return new Way(
                    new Range(length.least() + l.least(), length.likely() + l.likely(), length.most() + l.most()),
                    List.copyOf(places),
                    Set.copyOf(all),
                    hole || unsure);
        }
    }

    private record Reached(String place, Way way) {}

    /** @param plug mm that the smaller plug needs; empty where nobody stated it */
    Optional<Way> to(String place, Optional<Length> plug) {
        PriorityQueue<Reached> open = new PriorityQueue<>(
                Comparator.comparingDouble(r -> r.way().length().likely()));
        open.add(new Reached(Route.RADIO, new Way(new Range(0, 0, 0), List.of(), Set.of(), false)));
        Set<String> done = new HashSet<>();
        while (!open.isEmpty()) {
            Reached at = open.poll();
            if (!done.add(at.place())) continue;
            if (at.place().equals(place)) return Optional.of(at.way());
            for (Route r : routes) {
                if (!r.from().equals(at.place()) && !r.to().equals(at.place())) continue;
                if (!passable(r, plug)) continue;
                String other = r.from().equals(at.place()) ? r.to() : r.from();
                open.add(new Reached(other, at.way().on(r, at.place(), r.hole().isPresent() && plug.isEmpty())));
            }
        }
        return Optional.empty();
    }

    /** A hole that a plug does not pass for certain bars the way; a longer one may be free. */
    private static boolean passable(Route r, Optional<Length> plug) {
        boolean forbidden = !r.passesBehind() && r.over().stream().anyMatch(Route.Over::forbidden);
        boolean tooSmall = r.hole().isPresent()
                && plug.isPresent()
                && r.hole().get().likely() < plug.get().likely();
        return !forbidden && !tooSmall;
    }
}
