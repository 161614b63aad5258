package velvetbezel.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Sheet;

/**
 * All kits of all radios that no other kit beats in price, labour, cuts, waiting and weighed losses: with each radio
 * something that holds it, something that plugs into the car, an antenna that fits, and whatever further parts keep or
 * bring what is wished.
 */
public final class Matcher {
    /** So many kits are listed; more are thinned, and the list says by how much. */
    private static final int MOST = 1000;

    private Matcher() {}

    /** With the sheets' own prices and nothing wished but what the car had. */
    public static Matched match(
            Sheet.Vehicle vehicle, List<Sheet.Radio> radios, List<Sheet.Part> parts, Catalogue catalogue) {
        Installation factory = Builder.factory(vehicle);
        Set<FunctionId> had = Outcomes.fulfilled(factory, catalogue);
        return match(
                RadioMatch.of(factory, vehicle, radios, parts, catalogue, had, KitDecisions.NONE),
                Wishes.NONE,
                Market.SHEETS);
    }

    public static Matched match(List<RadioMatch> radios, Wishes wishes, Market market) {
        List<RadioMatch.Found> found =
                radios.stream().map(r -> r.kits(wishes, market, () -> false)).toList();
        return whole(radios, found, wishes, market, () -> false).orElseThrow();
    }

    /**
     * The kits that no other beats; where no kit meets all wishes, the smallest sets of them to give up.
     *
     * @param found what each radio was found to take, all complete
     * @return empty where it was stopped
     */
    public static Optional<Matched> whole(
            List<RadioMatch> radios,
            List<RadioMatch.Found> found,
            Wishes wishes,
            Market market,
            BooleanSupplier stopped) {
        Matched best = best(found);
        if (!best.kits().isEmpty()) return Optional.of(best);
        List<GiveUp> giveUp = GiveUp.of(wishes, less -> radios.stream()
                .flatMap(r -> r.kits(less, market, stopped).kits().stream())
                .toList());
        // what was stopped on the way lacks kits, so its sets may be too large
        return stopped.getAsBoolean() ? Optional.empty() : Optional.of(new Matched(List.of(), giveUp, 0));
    }

    /** The kits of several radios that none of the others beats. */
    public static Matched best(List<RadioMatch.Found> found) {
        List<Kit> all = found.stream().flatMap(f -> f.kits().stream()).toList();
        int slack = found.stream().mapToInt(RadioMatch.Found::slack).max().orElse(0);
        Front.Thinned<Kit> best = Front.thinned(minutes -> Front.unbeaten(all, Kit::cost, Kit::loss, minutes), MOST);
        return new Matched(
                best.list().stream()
                        .sorted(Comparator.comparing(Kit::unproven)
                                .thenComparingInt(Kit::loss)
                                .thenComparing(Comparator.<Kit>comparingInt(
                                                k -> k.gained().size())
                                        .reversed())
                                .thenComparingLong(k -> k.cost().cents())
                                .thenComparingInt(k -> k.cost().minutes()))
                        .toList(),
                List.of(),
                slack + best.slack());
    }

    /** Radios that lack something of a kit, the fewest things first, then the cheapest; too deep ones left out. */
    public static List<Lacking> lacking(
            Sheet.Vehicle vehicle,
            List<Sheet.Radio> radios,
            List<Sheet.Part> parts,
            KitDecisions decisions,
            Market market) {
        return radios.stream()
                .filter(r -> HolderFit.out(vehicle, r, parts).isEmpty())
                .map(r -> Lacking.of(vehicle, r, parts, decisions))
                .filter(l -> !l.things().isEmpty())
                .sorted(Comparator.comparingInt((Lacking l) -> l.things().size())
                        .thenComparingLong(l -> market.cents(l.radio()).orElse(Long.MAX_VALUE)))
                .toList();
    }

    /** Why each sheet is in no kit that is not in one. */
    public static List<Matched.Out> out(
            Sheet.Vehicle vehicle,
            List<RadioMatch> radios,
            List<Sheet.Part> parts,
            Catalogue catalogue,
            KitDecisions decisions,
            Wishes wishes,
            Market market,
            List<Kit> kits) {
        Reasons reasons = new Reasons(vehicle, radios, catalogue, decisions, wishes, market, kits);
        List<Matched.Out> out = new ArrayList<>();
        Stream.<Sheet>concat(radios.stream().map(RadioMatch::radio), parts.stream())
                .filter(s -> kits.stream().noneMatch(k -> k.has(s.id())))
                .forEach(s -> out.add(new Matched.Out(s.id(), s.name(), reasons.of(s, parts))));
        return out;
    }
}
