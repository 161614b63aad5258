package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import velvetbezel.sheet.fit.Length;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.Thing;

/**
 * Where a thing may go, the best place first.
 *
 * @param options every place of the car
 */
public record Placing(Thing thing, List<Option> options) {
    /** A lead is so much longer than its way, so that it lies without pull (common practice, no source). */
    private static final double SLACK = 1.05;
    /** And so many mm more, so that the radio can be drawn out (common practice, no source). */
    private static final double DRAWN = 150;

    public Placing {
        options = List.copyOf(options);
    }

    /** Whether it may go to a place. */
    public enum Standing {
        ALLOWED,
        /** As far as anybody knows; what is to be looked at is named. */
        ALLOWED_IF,
        REFUSED
    }

    /**
     * One place.
     *
     * @param against  why not
     * @param warnings what to mind
     * @param look     facts that would refuse it and that nobody knows
     * @param way      the shortest way that its lead may take; empty where the sheet tells none
     * @param noWay    whether the sheet tells ways and none of them may be taken
     * @param need     mm of lead for that way
     * @param shortBy  mm that its lead is too short; empty where it is not, or nobody knows
     */
    public record Option(
            MountingPlace place,
            Standing standing,
            List<PlacingRule> against,
            List<PlacingRule> warnings,
            List<MountingPlace.Known> look,
            Optional<Ways.Way> way,
            boolean noWay,
            OptionalDouble need,
            OptionalDouble shortBy) {}

    public Optional<Option> best() {
        return options.stream().filter(o -> o.standing != Standing.REFUSED).findFirst();
    }

    /** @return empty list where the car's sheet names no place */
    public static List<Placing> of(Site site, List<Thing> things, PlacingRules rules) {
        if (site.places().isEmpty()) return List.of();
        return things.stream().map(t -> of(site, t, rules)).toList();
    }

    static Placing of(Site site, Thing thing, PlacingRules rules) {
        Ways ways = new Ways(site.routes());
        List<Option> options = new ArrayList<>();
        for (MountingPlace p : site.places()) options.add(option(site, thing, p, rules, ways));
        options.sort(order(thing, rules));
        return new Placing(thing, options);
    }

    private static Option option(Site site, Thing thing, MountingPlace place, PlacingRules rules, Ways ways) {
        List<PlacingRule> against = new ArrayList<>();
        List<PlacingRule> warnings = new ArrayList<>();
        List<MountingPlace.Known> look = new ArrayList<>();
        for (PlacingRule r : rules.all()) {
            if (!r.things().contains(thing.kind())) continue;
            switch (r.of(place)) {
                case SPEAKS_AGAINST -> (r.refuses() ? against : warnings).add(r);
                case UNKNOWN -> {
                    if (r.refuses() && !look.contains(r.fact())) look.add(r.fact());
                }
                case FREE -> {}
            }
        }
        Optional<Ways.Way> way = ways.to(place.id(), thing.plug());
        boolean noWay = !site.routes().isEmpty() && way.isEmpty();
        OptionalDouble need = way.isPresent()
                ? OptionalDouble.of(way.get().length().likely() * SLACK + DRAWN)
                : OptionalDouble.empty();
        OptionalDouble shortBy = shortBy(thing.lead(), way);
        boolean refused = !against.isEmpty() || noWay || shortBy.isPresent();
        Standing standing = refused ? Standing.REFUSED : look.isEmpty() ? Standing.ALLOWED : Standing.ALLOWED_IF;
        return new Option(place, standing, against, warnings, look, way, noWay, need, shortBy);
    }

    /** By how much a lead is too short for certain. */
    private static OptionalDouble shortBy(Optional<Length> lead, Optional<Ways.Way> way) {
        if (lead.isEmpty() || way.isEmpty()) return OptionalDouble.empty();
        double by = way.get().length().least() * SLACK + DRAWN - lead.get().most();
        return by > 0 ? OptionalDouble.of(by) : OptionalDouble.empty();
    }

    private static Comparator<Option> order(Thing thing, PlacingRules rules) {
        Comparator<Option> order = Comparator.comparing(Option::standing)
                .thenComparingInt(o -> o.warnings().size());
        for (PlacingRules.Rank r : rules.ranks().getOrDefault(thing.kind(), List.of())) {
            double unknown = Double.POSITIVE_INFINITY;
            order = order.thenComparingDouble(o -> {
                OptionalDouble v = o.place().of(r.fact());
                return v.isEmpty() ? unknown : r.more() ? -v.getAsDouble() : v.getAsDouble();
            });
        }
        return order.thenComparingDouble(o -> o.need().orElse(Double.POSITIVE_INFINITY))
                .thenComparing(o -> o.place().id());
    }
}
