package velvetbezel.match;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;

/**
 * The places of a kit for one radio in one car. One part holds the radio unless it needs no frame, one plugs into the car's main plug unless its
 * wires end bare or the radio fits it, one joins the antennas unless they fit; of every other kind, parts that go to
 * the
 * same place are alternatives, and the place may stay empty.
 */
final class Slots {
    private static final Set<PartKind> NOT_EXTRA =
            Set.of(PartKind.ANTENNA_ADAPTER, PartKind.PASS_THROUGH_HARNESS, PartKind.VEHICLE_HARNESS_ADAPTER);
    private final Sheet.Vehicle vehicle;
    private final Sheet.Radio radio;
    private final List<Sheet.Part> parts;
    private final KitDecisions decisions;
    private final List<Slot> slots = new ArrayList<>();

    private Slots(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, KitDecisions decisions) {
        this.vehicle = vehicle;
        this.radio = radio;
        this.parts = parts;
        this.decisions = decisions;
    }

    /** Empty where something that must be there is not. */
    static Optional<List<Slot>> of(
            Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, KitDecisions decisions) {
        return new Slots(vehicle, radio, parts, decisions).make();
    }

    private Optional<List<Slot>> make() {
        for (Need n : needs(vehicle, radio)) if (!place(n)) return Optional.empty();
        Map<PartKind, List<Sheet.Part>> kinds = new LinkedHashMap<>();
        for (PartKind kind : PartKind.values()) kinds.put(kind, new ArrayList<>());
        for (Sheet.Part p : parts) if (extra(p)) kinds.get(p.kind()).add(p);
        for (PartKind kind : decisions.also()) {
            if (kinds.get(kind).isEmpty()) return Optional.empty();
            add(kind.label(), kinds.remove(kind), false);
        }
        kinds.forEach((kind, all) -> places(all).forEach(group -> add(kind.label(), group, true)));
        return Optional.of(List.copyOf(slots));
    }

    /**
     * What a kit must have.
     *
     * @param words what is looked for, for a sentence that says it is not there
     * @param mayBeEmpty whether this car and radio do without
     */
    record Need(KitNeed kind, String words, Predicate<Sheet.Part> fits, boolean mayBeEmpty) {}

    static List<Need> needs(Sheet.Vehicle vehicle, Sheet.Radio radio) {
        Slots slots = new Slots(vehicle, radio, List.of(), KitDecisions.NONE);
        String family = mainPlug(vehicle).family();
        return List.of(
                new Need(
                        KitNeed.DASH_KIT,
                        "dash kit here holds a %s in the %s of this vehicle"
                                .formatted(
                                        radio.size().of("radio"),
                                        vehicle.opening().of("opening")),
                        p -> holds(vehicle, radio, p),
                        needsNoFrame(vehicle, radio)),
                new Need(
                        KitNeed.HARNESS,
                        radio.screen()
                                ? "pass-through harness here goes between this car's %s plug and the factory radio"
                                        .formatted(family)
                                : "harness here joins it to this car's %s plug".formatted(family),
                        p -> plugsIn(vehicle, radio, p),
                        slots.needsNoHarness()),
                new Need(
                        KitNeed.ANTENNA_ADAPTER,
                        "antenna adapter here joins it to this car's antenna plug",
                        slots::joinsAntennas,
                        needsNoAntennaAdapter(vehicle, radio)));
    }

    private boolean place(Need need) {
        if (decisions.of(need.kind()).isPresent()) {
            decisions
                    .part(vehicle, radio, need.kind())
                    .ifPresent(p -> add(need.kind().label(), List.of(p), false));
            return decisions.fill(vehicle, radio, need);
        }
        List<Sheet.Part> here = parts.stream().filter(need.fits()).toList();
        if (here.isEmpty() && !need.mayBeEmpty()) return false;
        if (!here.isEmpty()) add(need.kind().label(), here, need.mayBeEmpty());
        return true;
    }

    static boolean holds(Sheet.Vehicle vehicle, Sheet.Radio radio, Sheet.Part part) {
        return madeToHold(vehicle, radio, part) && HolderFit.lets(vehicle, radio, part);
    }

    /** By its size and car; whether the radio goes in with it is another matter. */
    static boolean madeToHold(Sheet.Vehicle vehicle, Sheet.Radio radio, Sheet.Part part) {
        return part.holds()
                        .filter(h -> h.opening().equals(vehicle.opening())
                                && h.radio().equals(radio.size()))
                        .isPresent()
                && madeFor(vehicle, part);
    }

    /** Its own feet or base, the factory brackets in an opening of its size, or a unit made for this very opening. */
    static boolean needsNoFrame(Sheet.Vehicle vehicle, Sheet.Radio radio) {
        boolean same = radio.size().equals(vehicle.opening());
        return switch (radio.mount()) {
            case FRONT, TOP -> true;
            case FACTORY_BRACKETS -> same;
            case FRAME -> same && radio.size().own();
        };
    }

    private static boolean madeFor(Sheet.Vehicle vehicle, Sheet.Part part) {
        return part.vehicles().isEmpty() || part.vehicles().contains(vehicle.id());
    }

    /** The plug that feeds the radio, wherever its sheet lists it; without such a one the first. */
    static Plug mainPlug(Sheet.Vehicle vehicle) {
        List<Plug> plugs = vehicle.car().plugs();
        return plugs.stream().filter(Slots::carriesConstant).findFirst().orElseGet(() -> plugs.get(0));
    }

    static boolean plugsIn(Sheet.Vehicle vehicle, Sheet.Radio radio, Sheet.Part part) {
        return part.kind() != PartKind.ANTENNA_ADAPTER
                && (part.kind() == PartKind.PASS_THROUGH_HARNESS) == radio.screen()
                && goesTo(part, mainPlug(vehicle))
                && madeFor(vehicle, part)
                && (!carriesConstant(mainPlug(vehicle)) || feeds(part.device().orElseThrow(), radio.device()));
    }

    /** A harness whose constant reaches no lead or plug of the radio leaves it dead: that is no kit. */
    private static boolean feeds(Device harness, Device radio) {
        return bareConstant(harness) && bareConstant(radio)
                || harness.plugs().stream().filter(Slots::carriesConstant).anyMatch(p -> radio.plugs().stream()
                        .anyMatch(q -> carriesConstant(q) && p.mates(q)));
    }

    private static boolean bareConstant(Device device) {
        return device.leads().stream()
                        .anyMatch(l ->
                                l.role().filter(r -> r == LeadRole.CONSTANT).isPresent())
                || device.plugs().stream()
                        .flatMap(p -> p.positions().stream())
                        .anyMatch(p -> p.bare()
                                && p.role().filter(r -> r == LeadRole.CONSTANT).isPresent());
    }

    private static boolean carriesConstant(Plug plug) {
        return plug.positions().stream()
                .anyMatch(p -> p.role().filter(r -> r == LeadRole.CONSTANT).isPresent());
    }

    private static boolean goesTo(Sheet.Part part, Plug plug) {
        return part.device().filter(d -> goesTo(d, plug)).isPresent();
    }

    private static boolean goesTo(Device device, Plug plug) {
        return device.plugs().stream().anyMatch(p -> p.mates(plug));
    }

    /** Bare ends are joined by hand, but a screen beside the factory radio goes between plugs. */
    private boolean needsNoHarness() {
        Plug main = mainPlug(vehicle);
        return main.isCutOff() && !radio.screen() || goesTo(radio.device(), main);
    }

    private static boolean isAntenna(Plug plug) {
        return plug.positions().stream()
                .anyMatch(p -> p.role().filter(r -> r == LeadRole.ANTENNA).isPresent());
    }

    static Optional<Plug> antenna(Device device) {
        return device.plugs().stream().filter(Slots::isAntenna).findFirst();
    }

    /** The factory radio that stays keeps its antenna. */
    static boolean needsNoAntennaAdapter(Sheet.Vehicle vehicle, Sheet.Radio radio) {
        Optional<Plug> car = antenna(vehicle.car());
        Optional<Plug> socket = antenna(radio.device());
        return radio.screen() || car.isEmpty() || socket.isEmpty() || car.get().fits(socket.get());
    }

    /** Also where the antenna fits the radio: an adapter may feed it. */
    private boolean joinsAntennas(Sheet.Part part) {
        return !radio.screen()
                && part.kind() == PartKind.ANTENNA_ADAPTER
                && antenna(vehicle.car()).filter(p -> goesTo(part, p)).isPresent()
                && antenna(radio.device()).filter(p -> goesTo(part, p)).isPresent();
    }

    private boolean extra(Sheet.Part part) {
        return part.device().isPresent()
                && part.holds().isEmpty()
                && !NOT_EXTRA.contains(part.kind())
                && !goesTo(part, mainPlug(vehicle))
                && madeFor(vehicle, part);
    }

    /**
     * Parts of one kind that share a plug family with the same role in it, or without any plug a lead of the same
     * role, go to the same place.
     */
    private static List<List<Sheet.Part>> places(List<Sheet.Part> kind) {
        List<List<Sheet.Part>> groups = new ArrayList<>();
        List<Set<String>> marks = new ArrayList<>();
        for (Sheet.Part part : kind) {
            Set<String> own = new HashSet<>(marks(part.device().orElseThrow()));
            List<Sheet.Part> group = new ArrayList<>(List.of(part));
            for (int i = groups.size() - 1; i >= 0; i--)
                if (marks.get(i).stream().anyMatch(own::contains)) {
                    own.addAll(marks.remove(i));
                    group.addAll(0, groups.remove(i));
                }
            groups.add(group);
            marks.add(own);
        }
        return groups;
    }

    private static Set<String> marks(Device device) {
        Stream<String> plugs = device.plugs().stream().flatMap(p -> p.positions().stream()
                .flatMap(x -> x.role().stream())
                .filter(Slots::tells)
                .map(r -> p.family() + "/" + r));
        Stream<String> leads = device.plugs().isEmpty()
                ? device.leads().stream()
                        .flatMap(l -> l.role().stream())
                        .filter(Slots::tells)
                        .map(LeadRole::name)
                : Stream.of();
        return Stream.concat(plugs, leads).collect(Collectors.toSet());
    }

    /** Every part has power and ground; they say nothing of where it goes. */
    private static boolean tells(LeadRole role) {
        return role != LeadRole.GROUND
                && role != LeadRole.CONSTANT
                && !role.label().endsWith("ground")
                && !role.label().endsWith("shield");
    }

    private void add(String name, List<Sheet.Part> here, boolean mayBeEmpty) {
        Map<Optional<Device>, List<Sheet.Part>> alike = new LinkedHashMap<>();
        for (Sheet.Part p : here)
            alike.computeIfAbsent(p.device().map(Behaviour::of), k -> new ArrayList<>())
                    .add(p);
        Stream<Slot.Choice> choices = alike.entrySet().stream().map(e -> new Slot.Choice(e.getKey(), e.getValue()));
        slots.add(new Slot(
                name,
                mayBeEmpty ? Stream.concat(Stream.of(Slot.Choice.NONE), choices).toList() : choices.toList()));
    }

    /** Access points elsewhere in the car that a part goes to. */
    static List<Access> ways(Sheet.Vehicle vehicle, Sheet.Part part) {
        return vehicle.car().plugs().stream()
                .filter(p -> p.access().isPresent() && goesTo(part, p))
                .map(p -> p.access().get())
                .toList();
    }
}
