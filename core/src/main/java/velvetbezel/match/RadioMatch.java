package velvetbezel.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.Sheet;

/**
 * One radio in one car: what does not depend on wishes and prices, worked out once for all radios that behave alike,
 * and
 * asked again and again. Safe for several threads, which wait for each other.
 */
public final class RadioMatch {
    private final Sheet.Vehicle vehicle;
    private final Sheet.Radio radio;
    private final Catalogue catalogue;
    private final Set<FunctionId> had;
    private final Optional<KitTables> compiled;
    private final Map<String, Cost> works = new ConcurrentHashMap<>();

    /**
     * @param slack    a kit that is not listed is at most so many minutes quicker than a listed one that is no dearer
     *     and as good in the rest
     * @param complete whether it was not stopped on the way
     */
    public record Found(List<Kit> kits, int slack, boolean complete) {
        static final Found NOTHING = new Found(List.of(), 0, true);
    }

    private RadioMatch(
            Sheet.Vehicle vehicle,
            Sheet.Radio radio,
            Catalogue catalogue,
            Set<FunctionId> had,
            Optional<KitTables> compiled) {
        this.vehicle = vehicle;
        this.radio = radio;
        this.catalogue = catalogue;
        this.had = had;
        this.compiled = compiled;
    }

    /** What of a radio decides what its kits keep and lose. */
    private record Model(Device behaviour, Opening size, boolean screen, boolean out, Set<String> holders) {
        static Model of(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts) {
            return new Model(
                    Behaviour.of(radio.device()),
                    radio.size(),
                    radio.screen(),
                    HolderFit.out(vehicle, radio, parts).isPresent(),
                    parts.stream()
                            .filter(p -> Slots.holds(vehicle, radio, p))
                            .map(Sheet::id)
                            .collect(Collectors.toSet()));
        }
    }

    /**
     * @param factory what the car was when it left its maker
     * @param vehicle what it is now
     * @param had     functions of the factory installation
     * @param decisions what of a kit is not bought; the vehicle is as they make it
     * @return in the order of the radios
     */
    public static List<RadioMatch> of(
            Installation factory,
            Sheet.Vehicle vehicle,
            List<Sheet.Radio> radios,
            List<Sheet.Part> parts,
            Catalogue catalogue,
            Set<FunctionId> had,
            KitDecisions decisions) {
        Map<Model, Optional<KitTables>> models = new HashMap<>();
        return radios.stream()
                .map(r -> new RadioMatch(
                        vehicle, r, catalogue, had, models.computeIfAbsent(Model.of(vehicle, r, parts), m -> {
                            Optional<List<Slot>> slots =
                                    m.out ? Optional.empty() : Slots.of(vehicle, r, parts, decisions);
                            return slots.map(s ->
                                    KitTables.of(vehicle, r, s, catalogue, new Outcomes.Against(factory, catalogue)));
                        })))
                .toList();
    }

    public Sheet.Radio radio() {
        return radio;
    }

    /** A kit that a person put together, with what it costs today. Does not wait for kits that are being worked out. */
    public Kit of(List<Sheet.Part> parts, Map<FunctionId, Kind> kinds, Wishes wishes, Market market) {
        return priced(sorted(parts), kinds, wishes, market);
    }

    /** Whether anything holds it, feeds it and joins its antenna. */
    boolean possible() {
        return compiled.isPresent();
    }

    Optional<KitTables> compiled() {
        return compiled;
    }

    int weight(FunctionId f, Wishes wishes) {
        return wishes.weight(f, had.contains(f));
    }

    /** Every kit that no other beats, each run as built. */
    public Found kits(Wishes wishes, Market market, BooleanSupplier stopped) {
        return alone(c -> kits(c, wishes, market, stopped), Found.NOTHING);
    }

    /** Radios that behave alike share their tables: one at a time. */
    private <T> T alone(java.util.function.Function<KitTables, T> ask, T otherwise) {
        if (compiled.isEmpty()) return otherwise;
        synchronized (compiled.get()) {
            return ask.apply(compiled.get());
        }
    }

    private Found kits(KitTables c, Wishes wishes, Market market, BooleanSupplier stopped) {
        Set<FunctionId> matters = catalogue.functions().stream()
                .map(CarFunction::id)
                .filter(f -> Front.counts(f, wishes, x -> weight(x, wishes)))
                .collect(Collectors.toSet());
        while (true) {
            if (!c.fill(matters, stopped)) return new Found(List.of(), 0, false);
            Front.Found front = front(c, wishes, market, Optional.empty());
            if (front.lines().stream().allMatch(l -> c.agrees(l.choices(), matters)))
                return new Found(
                        Front.unbeaten(
                                front.lines().stream()
                                        .map(l -> kit(c, l, wishes))
                                        .filter(k -> k.working().containsAll(wishes.musts()))
                                        .toList(),
                                Kit::cost,
                                Kit::loss,
                                0),
                        front.slack(),
                        true);
        }
    }

    private Front.Found front(KitTables c, Wishes wishes, Market market, Optional<Sheet.Part> forced) {
        return Front.of(c, wishes, f -> weight(f, wishes), base(market), p -> cost(market, p), forced);
    }

    /** The radio, with what it asks of the car where it needs no holder. */
    private Cost base(Market market) {
        Cost own = market.of(radio);
        return Slots.needsNoFrame(vehicle, radio) ? own.plus(works(Optional.empty())) : own;
    }

    /** Worked out once for each holder: prices are asked for again and again. */
    private Cost works(Optional<Sheet.Part> holder) {
        return works.computeIfAbsent(holder.map(Sheet::id).orElse(""), id -> HolderFit.works(vehicle, radio, holder));
    }

    /** A part, with what the radio in it asks of the car where it holds the radio. */
    private Cost cost(Market market, Sheet.Part part) {
        Cost own = market.of(vehicle, part);
        return part.holds().isPresent() ? own.plus(works(Optional.of(part))) : own;
    }

    /** The best kits that have one part in them, as compiled: least lost first, then cheapest. */
    List<Kit> with(Sheet.Part part, Wishes wishes, Market market) {
        return alone(
                c -> front(c, wishes, market, Optional.of(part)).lines().stream()
                        .map(l -> new Kit(radio, l.parts(), l.cost(), l.loss(), c.kinds(l.choices())))
                        .toList(),
                List.of());
    }

    /** Its losses are those of the kit as built, whatever the tables say. */
    private Kit kit(KitTables c, Front.Line l, Wishes wishes) {
        Map<FunctionId, Kind> kinds = c.built(l.choices());
        return new Kit(radio, sorted(l.parts()), l.cost(), loss(kinds, wishes), kinds);
    }

    private int loss(Map<FunctionId, Kind> kinds, Wishes wishes) {
        return kinds.entrySet().stream()
                .filter(e -> !e.getValue().works())
                .mapToInt(e -> weight(e.getKey(), wishes))
                .sum();
    }

    private static List<Sheet.Part> sorted(List<Sheet.Part> parts) {
        return parts.stream().sorted((a, b) -> a.kind().compareTo(b.kind())).toList();
    }

    /** Parts that are an alternative in some place of this radio's kits, whether or not any kit has them. */
    Set<String> candidates() {
        Set<String> ids = new HashSet<>();
        compiled.ifPresent(
                c -> c.slots().forEach(s -> s.choices().forEach(x -> x.parts().forEach(p -> ids.add(p.id())))));
        return ids;
    }

    /** A part that does the same here as another one. */
    Optional<Sheet.Part> twin(Sheet.Part part, Predicate<Sheet.Part> wanted) {
        return compiled.flatMap(c -> c.slots().stream()
                .filter(s -> s.choiceOf(part.id()) >= 0)
                .flatMap(s -> s.choices().get(s.choiceOf(part.id())).parts().stream())
                .filter(p -> !p.id().equals(part.id()) && wanted.test(p))
                .findFirst());
    }

    /**
     * Another part in the place of one, or none.
     *
     * @param lost  functions that no longer work, in the catalogue's order
     * @param again functions that work only then
     * @param kit   as it would be
     */
    public record Swap(Optional<Sheet.Part> part, List<FunctionId> lost, List<FunctionId> again, Kit kit) {}

    /**
     * What could stand in for one part of a kit, least lost first, then cheapest; kits that would tie outputs
     * together left out.
     */
    public List<Swap> swaps(Kit kit, Sheet.Part part, Wishes wishes, Market market) {
        return alone(c -> swaps(c, kit, part, wishes, market), List.of());
    }

    private List<Swap> swaps(KitTables c, Kit kit, Sheet.Part part, Wishes wishes, Market market) {
        List<Swap> swaps = new ArrayList<>();
        c.slots().stream().filter(s -> s.choiceOf(part.id()) >= 0).forEach(s -> {
            if (s.mayBeEmpty())
                swap(c, kit, Optional.of(part), Optional.empty(), wishes, market)
                        .ifPresent(swaps::add);
            s.choices().forEach(x -> x.parts().stream()
                    .filter(p -> !p.id().equals(part.id()))
                    .forEach(p -> swap(c, kit, Optional.of(part), Optional.of(p), wishes, market)
                            .ifPresent(swaps::add)));
        });
        swaps.sort(Comparator.comparing(Swap::kit, Kit.BEST));
        return swaps;
    }

    /** Each part that could go into a place that a kit leaves empty. */
    public List<Swap> additions(Kit kit, Wishes wishes, Market market) {
        return alone(c -> additions(c, kit, wishes, market), List.of());
    }

    private List<Swap> additions(KitTables c, Kit kit, Wishes wishes, Market market) {
        List<Swap> additions = new ArrayList<>();
        c.slots().stream()
                .filter(s -> kit.parts().stream().allMatch(p -> s.choiceOf(p.id()) < 0))
                .forEach(s -> s.choices().forEach(x -> x.parts()
                        .forEach(p -> swap(c, kit, Optional.empty(), Optional.of(p), wishes, market)
                                .ifPresent(additions::add))));
        return additions;
    }

    private Optional<Swap> swap(
            KitTables c, Kit kit, Optional<Sheet.Part> out, Optional<Sheet.Part> in, Wishes wishes, Market market) {
        List<Sheet.Part> parts = new ArrayList<>(kit.parts().stream()
                .filter(p -> out.filter(o -> o.id().equals(p.id())).isEmpty())
                .toList());
        in.ifPresent(parts::add);
        Installation installation = Builder.replacement(vehicle, radio, sorted(parts));
        if (!installation.faults().isEmpty()) return Optional.empty();
        Kit with = priced(sorted(parts), c.built(c.choices(parts)), wishes, market);
        List<FunctionId> all =
                catalogue.functions().stream().map(CarFunction::id).toList();
        return Optional.of(new Swap(
                in,
                all.stream()
                        .filter(f -> kit.kinds().get(f).works()
                                && !with.kinds().get(f).works())
                        .toList(),
                all.stream()
                        .filter(f -> !kit.kinds().get(f).works()
                                && with.kinds().get(f).works())
                        .toList(),
                with));
    }

    private Kit priced(List<Sheet.Part> parts, Map<FunctionId, Kind> kinds, Wishes wishes, Market market) {
        Cost cost = base(market);
        for (Sheet.Part p : parts) cost = cost.plus(cost(market, p));
        return new Kit(radio, parts, cost, loss(kinds, wishes), kinds);
    }
}
