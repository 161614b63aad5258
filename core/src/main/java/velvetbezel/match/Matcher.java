package velvetbezel.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;

/**
 * Puts together every complete kit that a few parts allow: something that holds the radio, something that
 * plugs into the car, an antenna that fits, and each extra part that keeps or brings a function.
 */
public final class Matcher {
    private final Sheet.Vehicle vehicle;
    private final List<Sheet.Radio> radios;
    private final List<Sheet.Part> parts;
    private final Outcomes.Against against;
    private final Map<String, String> why = new LinkedHashMap<>();
    private final Map<Set<String>, Map<FunctionId, Outcome>> known = new HashMap<>();

    private Matcher(Sheet.Vehicle vehicle, List<Sheet.Radio> radios, List<Sheet.Part> parts, Catalogue catalogue) {
        this.vehicle = vehicle;
        this.radios = radios;
        this.parts = parts;
        this.against = new Outcomes.Against(Builder.factory(vehicle), catalogue);
    }

    public static Matched match(Sheet.Vehicle vehicle, List<Sheet.Radio> radios, List<Sheet.Part> parts, Catalogue catalogue) {
        return new Matcher(vehicle, radios, parts, catalogue).match();
    }

    private Matched match() {
        List<Kit> kits = radios.stream().flatMap(this::kitsWith).sorted(Comparator.<Kit>comparingInt(k -> k.lost().size()).thenComparingInt(k -> k.changed().size()).thenComparingInt(k -> -k.gained().size()).thenComparingLong(Kit::priceCents)).toList();
        List<Matched.Out> out = Stream.<Sheet>concat(radios.stream(), parts.stream()).filter(s -> kits.stream().noneMatch(k -> k.has(s.id())))
            .map(s -> new Matched.Out(s.id(), s.name(), why.getOrDefault(s.id(), reason(s)))).toList();
        return new Matched(kits, out);
    }

    private Stream<Kit> kitsWith(Sheet.Radio radio) {
        List<Sheet.Part> frames = parts.stream().filter(p -> holds(p, radio)).toList();
        if (frames.isEmpty()) why.put(radio.id(), "No dash kit here holds a %s radio in the %s opening of this vehicle.".formatted(radio.size().label(), vehicle.opening().label()));
        List<Sheet.Part> harnesses = parts.stream().filter(p -> p.kind() != PartKind.ANTENNA_ADAPTER && mates(p, mainPlug())).toList();
        List<Sheet.Part> extras = parts.stream().filter(p -> (p.kind() == PartKind.CONTROL_INTERFACE || p.kind() == PartKind.DATA_MODULE) && !harnesses.contains(p)).toList();
        List<Kit> kits = new ArrayList<>();
        for (Sheet.Part frame : frames)
            for (Sheet.Part harness : harnesses)
                for (List<Sheet.Part> antenna : antennas(radio))
                    for (List<Sheet.Part> added : subsets(extras)) {
                        List<Sheet.Part> all = new ArrayList<>(List.of(frame, harness));
                        all.addAll(antenna);
                        all.addAll(added);
                        kit(radio, all, added).ifPresent(kits::add);
                    }
        return kits.stream();
    }

    private boolean holds(Sheet.Part part, Sheet.Radio radio) {
        return part.holds().filter(h -> h.opening() == vehicle.opening() && h.radio() == radio.size()).isPresent()
            && (part.vehicles().isEmpty() || part.vehicles().contains(vehicle.id()));
    }

    private Plug mainPlug() { return vehicle.car().plugs().get(0); }

    private static boolean mates(Sheet.Part part, Plug plug) { return part.device().filter(d -> d.plugs().stream().anyMatch(p -> p.fits(plug))).isPresent(); }

    private static boolean isAntenna(Plug plug) { return plug.family().endsWith("antenna"); }

    /** No adapter where the car's antenna plug fits the radio; else each adapter with the right two ends. */
    private List<List<Sheet.Part>> antennas(Sheet.Radio radio) {
        Optional<Plug> car = vehicle.car().plugs().stream().filter(Matcher::isAntenna).findFirst();
        Optional<Plug> socket = radio.device().plugs().stream().filter(Matcher::isAntenna).findFirst();
        if (car.isEmpty() || socket.isEmpty() || car.get().fits(socket.get())) return List.of(List.of());
        return parts.stream().filter(p -> p.kind() == PartKind.ANTENNA_ADAPTER && mates(p, car.get()) && mates(p, socket.get())).map(List::of).toList();
    }

    /** At most one of each kind. */
    private static List<List<Sheet.Part>> subsets(List<Sheet.Part> extras) {
        List<List<Sheet.Part>> subsets = new ArrayList<>(List.of(List.of()));
        for (PartKind kind : List.of(PartKind.CONTROL_INTERFACE, PartKind.DATA_MODULE))
            for (List<Sheet.Part> before : List.copyOf(subsets))
                for (Sheet.Part extra : extras)
                    if (extra.kind() == kind) subsets.add(Stream.concat(before.stream(), Stream.of(extra)).toList());
        return subsets;
    }

    /** Empty where outputs would be tied together, or an added part brings nothing. */
    private Optional<Kit> kit(Sheet.Radio radio, List<Sheet.Part> all, List<Sheet.Part> added) {
        Installation installation = Builder.replacement(vehicle, radio, all);
        if (!installation.faults().isEmpty()) {
            added.forEach(p -> why.putIfAbsent(p.id(), "Here " + installation.faults().get(0).message()));
            return Optional.empty();
        }
        Kit kit = new Kit(radio, all, outcomes(installation, radio, all));
        for (Sheet.Part extra : added) {
            List<Sheet.Part> without = all.stream().filter(p -> !p.id().equals(extra.id())).toList();
            Kit leaner = new Kit(radio, without, outcomes(Builder.replacement(vehicle, radio, without), radio, without));
            if (leaner.working().containsAll(kit.working())) {
                why.putIfAbsent(extra.id(), useless(extra, installation));
                return Optional.empty();
            }
        }
        return Optional.of(kit);
    }

    private Map<FunctionId, Outcome> outcomes(Installation installation, Sheet.Radio radio, List<Sheet.Part> all) {
        Set<String> wired = Stream.concat(Stream.of(radio.id()), all.stream().filter(p -> p.device().isPresent()).map(Sheet::id)).collect(Collectors.toSet());
        Map<FunctionId, Outcome> outcomes = known.get(wired);
        if (outcomes == null) known.put(wired, outcomes = against.outcomes(installation));
        return outcomes;
    }

    private static String useless(Sheet.Part extra, Installation installation) {
        String instance = installation.recipe().parts().entrySet().stream().filter(e -> e.getValue().id().equals(extra.id())).map(Map.Entry::getKey).findFirst().orElseThrow();
        Device device = extra.device().orElseThrow();
        Optional<Plug> alone = device.plugs().stream().filter(p -> installation.matings().stream().noneMatch(m -> m.touches(instance) && (m.plug().equals(p.id()) || m.otherPlug().equals(p.id())))).findFirst();
        if (alone.isPresent()) return "Its %s finds no partner on the radios that fit.".formatted(alone.get().family());
        Optional<String> lead = installation.caps().stream().filter(c -> c.lead().instance().equals(instance)).flatMap(c -> c.role().stream()).map(r -> r.label()).findFirst();
        return lead.map(l -> "Its %s lead has no partner: nothing else in a kit carries it.".formatted(l)).orElse("Dearer, and keeps nothing more than the kit without it.");
    }

    private String reason(Sheet sheet) {
        if (sheet instanceof Sheet.Radio) return "No antenna adapter here joins it to this car's antenna plug.";
        Sheet.Part part = (Sheet.Part) sheet;
        if (part.kind() == PartKind.DASH_KIT) return part.vehicles().contains(vehicle.id()) ? "No radio here is of its size." : "Made for another vehicle.";
        if (part.kind() == PartKind.ANTENNA_ADAPTER) return "Its plugs do not join this car's antenna to a radio that fits.";
        return "It does not mate with this car's %s plug.".formatted(mainPlug().family());
    }
}
