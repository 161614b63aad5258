package velvetbezel.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Mating;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Sheet;

/** The kits of one radio in one vehicle. Every kit that comes out was run as built. */
final class RadioKits {
    private static final Set<PartKind> NOT_EXTRA = Set.of(PartKind.ANTENNA_ADAPTER, PartKind.PASS_THROUGH_HARNESS, PartKind.VEHICLE_HARNESS_ADAPTER);
    /** What these bring depends on the leads that the harness leaves. */
    private static final Set<PartKind> ON_THE_HARNESS = Set.of(PartKind.CONTROL_INTERFACE, PartKind.DATA_MODULE, PartKind.AMPLIFIER_BYPASS);
    private final Sheet.Vehicle vehicle;
    private final Sheet.Radio radio;
    private final List<Sheet.Part> parts;
    private final Outcomes.Against against;
    private final Reasons reasons;
    private final Map<String, String> why = new LinkedHashMap<>();
    private final Map<Set<Device>, Map<FunctionId, Outcome>> known = new HashMap<>();
    private final Set<String> useless = new HashSet<>();
    private final List<Kit> kits = new ArrayList<>();

    private RadioKits(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, Outcomes.Against against) {
        this.vehicle = vehicle;
        this.radio = radio;
        this.parts = parts;
        this.against = against;
        this.reasons = new Reasons(vehicle);
    }

    static RadioKits of(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, Outcomes.Against against) {
        RadioKits found = new RadioKits(vehicle, radio, parts, against);
        found.make();
        return found;
    }

    List<Kit> kits() { return kits; }

    /** Why parts, or the radio, are in none of these. */
    Map<String, String> why() { return why; }

    private void make() {
        List<Sheet.Part> frames = parts.stream().filter(this::holds).toList();
        List<List<Sheet.Part>> harnesses = harnesses();
        if (frames.isEmpty()) why.put(radio.id(), reasons.noFrame(radio));
        else if (harnesses.isEmpty()) why.put(radio.id(), reasons.noHarness(radio));
        reasons.tooDeep(radio).ifPresent(deep -> why.put(radio.id(), deep));
        if (why.containsKey(radio.id())) return;
        List<Sheet.Part> rest = together(List.of(frames.get(0)), antennas().stream().findFirst().orElse(List.of()));
        // the best harness first: a part that brings nothing beside it is not tried beside the others
        for (List<Sheet.Part> harness : byWorth(harnesses, rest)) around(harness, frames);
    }

    /**
     * With one harness: the frame and antenna that keep most, bare and with every part that helps; then that kit with
     * each other frame and each other antenna in turn.
     */
    private void around(List<Sheet.Part> harness, List<Sheet.Part> frames) {
        List<List<Sheet.Part>> holders = byWorth(frames.stream().map(List::of).toList(), together(harness, antennas().stream().findFirst().orElse(List.of())));
        List<List<Sheet.Part>> antennas = byWorth(antennas(), together(harness, holders.get(0)));
        if (antennas.isEmpty()) return;
        Optional<Kit> base = kit(together(holders.get(0), harness, antennas.get(0), List.of()));
        if (base.isEmpty()) return;
        List<Sheet.Part> added = added(base.get(), useful(base.get()));
        kits.add(base.get());
        if (!added.isEmpty()) kit(together(holders.get(0), harness, antennas.get(0), added)).ifPresent(kits::add);
        for (List<Sheet.Part> holder : holders.subList(1, holders.size())) kit(together(holder, harness, antennas.get(0), added)).ifPresent(kits::add);
        for (List<Sheet.Part> antenna : antennas.subList(1, antennas.size())) kit(together(holders.get(0), harness, antenna, added)).ifPresent(kits::add);
    }

    @SafeVarargs private static List<Sheet.Part> together(List<Sheet.Part>... groups) { return Stream.of(groups).flatMap(List::stream).toList(); }

    /** Choices for one place of a kit, the one that keeps most first, then the cheapest. */
    private List<List<Sheet.Part>> byWorth(List<List<Sheet.Part>> choices, List<Sheet.Part> rest) {
        if (choices.size() < 2) return choices;
        Map<Set<Device>, Integer> worth = new HashMap<>();
        return choices.stream().sorted(Comparator.<List<Sheet.Part>>comparingInt(c -> -worth.computeIfAbsent(devices(c), d -> works(together(c, rest))))
            .thenComparingLong(c -> c.stream().mapToLong(Sheet.Part::priceCents).sum())).toList();
    }

    private int works(List<Sheet.Part> all) {
        Installation installation = Builder.replacement(vehicle, radio, all);
        return installation.faults().isEmpty() ? against.fulfilled(installation).size() : -1;
    }

    /** Empty where outputs would be tied together. */
    private Optional<Kit> kit(List<Sheet.Part> all) {
        Installation installation = Builder.replacement(vehicle, radio, all);
        return installation.faults().isEmpty() ? Optional.of(new Kit(radio, all, outcomes(installation, all), places(installation))) : Optional.empty();
    }

    /** Where parts plug into the car elsewhere than at the radio's place. */
    private List<Access> places(Installation installation) {
        return vehicle.car().plugs().stream().filter(p -> p.access().isPresent() && installation.matings().stream().anyMatch(m -> m.has(Builder.CAR, p.id()) && byAPart(installation, m))).map(p -> p.access().get()).toList();
    }

    private static boolean byAPart(Installation installation, Mating m) { return installation.recipe().parts().containsKey(m.instance()) || installation.recipe().parts().containsKey(m.otherInstance()); }

    private boolean holds(Sheet.Part part) {
        return part.holds().filter(h -> h.opening() == vehicle.opening() && h.radio() == radio.size()).isPresent()
            && (part.vehicles().isEmpty() || part.vehicles().contains(vehicle.id()));
    }

    /** What plugs into the car: nothing where its plug was cut off and every wire ends bare. */
    private List<List<Sheet.Part>> harnesses() {
        Plug main = Reasons.mainPlug(vehicle);
        if (main.positions().stream().filter(p -> !p.empty()).allMatch(Position::bare)) return List.of(List.of());
        return parts.stream().filter(p -> p.kind() != PartKind.ANTENNA_ADAPTER && (p.kind() == PartKind.PASS_THROUGH_HARNESS) == radio.screen() && mates(p, main)).map(List::of).toList();
    }

    private static boolean mates(Sheet.Part part, Plug plug) { return part.device().filter(d -> d.plugs().stream().anyMatch(p -> p.fits(plug))).isPresent(); }

    private static boolean isAntenna(Plug plug) { return plug.positions().stream().anyMatch(p -> p.role().filter(r -> r.label().equals("antenna")).isPresent()); }

    /** No adapter where the car's antenna plug fits the radio, or the factory radio keeps it; else each adapter with the right two ends. */
    private List<List<Sheet.Part>> antennas() {
        Optional<Plug> car = vehicle.car().plugs().stream().filter(RadioKits::isAntenna).findFirst();
        Optional<Plug> socket = radio.device().plugs().stream().filter(RadioKits::isAntenna).findFirst();
        if (radio.screen() || car.isEmpty() || socket.isEmpty() || car.get().fits(socket.get())) return List.of(List.of());
        return parts.stream().filter(p -> p.kind() == PartKind.ANTENNA_ADAPTER && mates(p, car.get()) && mates(p, socket.get())).map(List::of).toList();
    }

    private static Set<Device> devices(List<Sheet.Part> all) { return all.stream().flatMap(p -> p.device().stream()).collect(Collectors.toSet()); }

    /** Equal wiring has equal outcomes, whatever frame holds it. */
    private Map<FunctionId, Outcome> outcomes(Installation installation, List<Sheet.Part> all) {
        Set<Device> wired = devices(all);
        Map<FunctionId, Outcome> outcomes = known.get(wired);
        if (outcomes == null) known.put(wired, outcomes = against.outcomes(installation));
        return outcomes;
    }

    /** Parts that make something work which does not without them. What a harness does not bear on is asked once. */
    private List<Added> useful(Kit base) {
        Set<FunctionId> open = open(base.outcomes());
        List<Added> useful = new ArrayList<>();
        for (Sheet.Part extra : parts) {
            if (extra.device().isEmpty() || extra.holds().isPresent() || NOT_EXTRA.contains(extra.kind()) || mates(extra, Reasons.mainPlug(vehicle))) continue;
            if (useless.contains(extra.id()) && !ON_THE_HARNESS.contains(extra.kind())) continue;
            brings(Builder.replacement(vehicle, radio, plus(base.parts(), extra)), extra, open).ifPresentOrElse(useful::add, () -> useless.add(extra.id()));
        }
        return useful;
    }

    private Optional<Added> brings(Installation with, Sheet.Part extra, Set<FunctionId> open) {
        boolean tied = touches(with, extra) && !with.faults().isEmpty();
        Set<FunctionId> brings = touches(with, extra) && !tied ? against.fulfilled(with, open) : Set.of();
        if (!brings.isEmpty()) return Optional.of(new Added(extra, brings));
        why.putIfAbsent(extra.id(), tied ? "Here " + with.faults().get(0).message() : Reasons.useless(extra, with));
        return Optional.empty();
    }

    /** Whether anything of the installation takes the part up. */
    private static boolean touches(Installation with, Sheet.Part extra) {
        return with.matings().stream().anyMatch(m -> m.touches(extra.id())) || with.joints().stream().anyMatch(j -> j.leads().stream().anyMatch(l -> l.instance().equals(extra.id())));
    }

    private static Set<FunctionId> open(Map<FunctionId, Outcome> outcomes) {
        return outcomes.entrySet().stream().filter(e -> !e.getValue().works()).map(Map.Entry::getKey).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static List<Sheet.Part> plus(List<Sheet.Part> base, Sheet.Part extra) { return Stream.concat(base.stream(), Stream.of(extra)).toList(); }

    /** What a part brings on top of the bare kit. */
    private record Added(Sheet.Part part, Set<FunctionId> brings) {}

    /** Kind by kind, the part that brings most on top of those before it. */
    private List<Sheet.Part> added(Kit base, List<Added> useful) {
        List<Sheet.Part> added = new ArrayList<>();
        Set<FunctionId> open = open(base.outcomes());
        for (PartKind kind : PartKind.values())
            best(together(base.parts(), added), useful.stream().filter(a -> a.part().kind() == kind).toList(), open).ifPresent(best -> {
                added.add(best.part());
                open.removeAll(best.brings());
            });
        return added;
    }

    /** Of the parts of one kind that still find their place, the one that brings most of what is open, then the cheapest. */
    private Optional<Added> best(List<Sheet.Part> before, List<Added> candidates, Set<FunctionId> open) {
        List<Added> placed = new ArrayList<>();
        for (Added candidate : candidates) {
            Set<FunctionId> brings = new LinkedHashSet<>(candidate.brings());
            brings.retainAll(open);
            Installation with = Builder.replacement(vehicle, radio, plus(before, candidate.part()));
            if (!brings.isEmpty() && with.faults().isEmpty() && touches(with, candidate.part())) placed.add(new Added(candidate.part(), brings));
        }
        Optional<Added> best = placed.stream().max(Comparator.<Added>comparingInt(a -> a.brings().size()).thenComparingLong(a -> -a.part().priceCents()));
        for (Added candidate : candidates)
            if (best.filter(b -> b.part() == candidate.part()).isEmpty())
                why.putIfAbsent(candidate.part().id(), best.map(b -> "Brings no more here than the %s.".formatted(b.part().name())).orElse("Brings nothing here that another part of the kit does not bring."));
        return best;
    }
}
