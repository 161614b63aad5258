package velvetbezel.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.Geometry;
import velvetbezel.sheet.InnerWire;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;

/**
 * What fills a need of a kit without being bought, as parts: a frame, bare leads from the car's own plugs, the plugs
 * cut off, a lead from antenna to socket. Nothing is known of them but what they must be to do this.
 */
final class StandIns {
    private static final Provenance STATED = Provenance.of(Provenance.Origin.STATED);
    private static final Fact<Boolean> THERE = new Fact.Known<>(true, STATED);
    private static final String CUT_OFF = ", cut off";
    /** What a lead made at the bench is long (common practice, no source). */
    private static final double METRES = 0.15;

    private final Sheet.Vehicle vehicle;
    private final Sheet.Radio radio;

    StandIns(Sheet.Vehicle vehicle, Sheet.Radio radio) {
        this.vehicle = vehicle;
        this.radio = radio;
    }

    static String id(KitNeed need) {
        return need.label().replace(' ', '-') + "-not-bought";
    }

    Optional<Sheet.Part> of(KitNeed need, Filling filling) {
        return switch (need) {
            case DASH_KIT -> Slots.needsNoFrame(vehicle, radio) ? Optional.empty() : Optional.of(frame(filling));
            case HARNESS -> radio.screen() ? Optional.empty() : harness(filling);
            case ANTENNA_ADAPTER -> antenna(filling);
        };
    }

    private Sheet.Part frame(Filling filling) {
        return part(
                KitNeed.DASH_KIT,
                PartKind.DASH_KIT,
                filling.by() == Filling.By.OWN ? "Own dash kit" : "Dash kit made by hand",
                filling,
                0,
                Optional.of(new Sheet.Holds(vehicle.opening(), radio.size())),
                Optional.empty());
    }

    private Optional<Sheet.Part> harness(Filling filling) {
        if (filling.by() == Filling.By.HARD_WIRED)
            return Optional.of(part(
                    KitNeed.HARNESS,
                    PartKind.VEHICLE_HARNESS_ADAPTER,
                    "Hard-wired, plugs cut off",
                    filling,
                    cuts(vehicle),
                    Optional.empty(),
                    Optional.empty()));
        List<Plug> open = vehicle.car().plugs().stream()
                .filter(p -> feedsOrSpeaks(p) && !p.isCutOff())
                .filter(p -> radio.device().plugs().stream().noneMatch(q -> q.mates(p)))
                .toList();
        if (open.isEmpty()) return Optional.empty();
        String to = open.stream().map(Plug::id).collect(Collectors.joining(", "));
        String name = filling.by() == Filling.By.OWN ? "Own harness, bare leads from " : "Harness made by hand from ";
        return Optional.of(part(
                KitNeed.HARNESS,
                PartKind.VEHICLE_HARNESS_ADAPTER,
                name + to,
                filling,
                0,
                Optional.empty(),
                Optional.of(Device.passive(
                        "harness", name + to, open.stream().map(this::tails).toList(), List.of()))));
    }

    static int cuts(Sheet.Vehicle vehicle) {
        return (int) vehicle.car().plugs().stream()
                .filter(p -> p.family().endsWith(CUT_OFF))
                .flatMap(p -> p.positions().stream())
                .filter(p -> !p.empty() && p.wired().known().orElse(true))
                .count();
    }

    /** Positions with bare leads that carry on what the car has there; nobody knows their colours. */
    private Plug tails(Plug car) {
        return new Plug(
                car.id(),
                car.family(),
                !car.socket(),
                car.size(),
                car.positions().stream()
                        .filter(p -> !p.empty())
                        .map(p -> position(id(KitNeed.HARNESS), car, p, Optional.empty(), true))
                        .toList(),
                Optional.empty(),
                Optional.empty());
    }

    private Optional<Sheet.Part> antenna(Filling filling) {
        if (Slots.needsNoAntennaAdapter(vehicle, radio)) return Optional.empty();
        Plug car = Slots.antenna(vehicle.car()).orElseThrow();
        Plug socket = Slots.antenna(radio.device()).orElseThrow();
        String name = filling.by() == Filling.By.OWN
                ? "Own antenna adapter, no feed"
                : "Antenna adapter made by hand, no feed";
        List<InnerWire> wires = new ArrayList<>();
        for (Position p : coax(car))
            socket.positions().stream()
                    .filter(q -> q.role().equals(p.role()))
                    .findFirst()
                    .ifPresent(q -> wires.add(new InnerWire(
                            "car." + p.number(), "radio." + q.number(), nobodySays("gauge"), METRES, THERE)));
        return Optional.of(part(
                KitNeed.ANTENNA_ADAPTER,
                PartKind.ANTENNA_ADAPTER,
                name,
                filling,
                0,
                Optional.empty(),
                Optional.of(Device.passive(
                        "adapter", name, List.of(opposite("car", car), opposite("radio", socket)), wires))));
    }

    private static List<Position> coax(Plug plug) {
        return plug.positions().stream()
                .filter(p -> p.role()
                        .filter(r -> r == LeadRole.ANTENNA || r == LeadRole.ANTENNA_SHIELD)
                        .isPresent())
                .toList();
    }

    private static Plug opposite(String id, Plug plug) {
        return new Plug(
                id,
                plug.family(),
                !plug.socket(),
                plug.size(),
                coax(plug).stream()
                        .map(p -> position(id(KitNeed.ANTENNA_ADAPTER), plug, p, p.role(), false))
                        .toList(),
                Optional.empty(),
                Optional.empty());
    }

    /** @param role empty for a lead that carries on what it meets */
    private static Position position(String sheet, Plug plug, Position p, Optional<LeadRole> role, boolean bare) {
        String at = plug.id() + "." + p.number();
        Fact<LeadRole> carries = role.<Fact<LeadRole>>map(r -> new Fact.Known<>(r, STATED))
                .orElseGet(() -> Fact.missing(new FieldRef(sheet, at + ".role")));
        return new Position(
                p.number(),
                "",
                Optional.of(carries),
                LeadState.USED,
                Flow.SHARES,
                Fact.missing(new FieldRef(sheet, at + ".colour")),
                Fact.missing(new FieldRef(sheet, at + ".gauge")),
                METRES,
                bare,
                THERE,
                Optional.empty());
    }

    private static <T> Fact<T> nobodySays(String what) {
        return Fact.missing(new FieldRef(id(KitNeed.ANTENNA_ADAPTER), what));
    }

    private static Sheet.Part part(
            KitNeed need,
            PartKind kind,
            String name,
            Filling filling,
            int cuts,
            Optional<Sheet.Holds> holds,
            Optional<Device> device) {
        String id = id(need);
        return new Sheet.Part(
                new Sheet.Header(id, name, STATED),
                kind,
                filling.price(),
                filling.minutes(),
                cuts,
                holds,
                device,
                List.of(),
                Optional.empty(),
                List.of(),
                new Geometry(
                        Fact.missing(new FieldRef(id, "width")),
                        Fact.missing(new FieldRef(id, "height")),
                        Fact.missing(new FieldRef(id, "depth"))),
                Optional.empty(),
                Optional.empty());
    }

    /** At the radio's place, with power or sound in it: what a harness adapter joins. */
    private static boolean feedsOrSpeaks(Plug plug) {
        return plug.access().isEmpty()
                && plug.positions().stream()
                        .flatMap(p -> p.role().stream())
                        .anyMatch(r -> r == LeadRole.CONSTANT
                                || r.group() == LeadRole.Group.SPEAKER
                                || r.group() == LeadRole.Group.LINE);
    }

    /**
     * The plugs that a harness adapter would join, with every wire of theirs a bare end; no part mates with them
     * then.
     */
    static Sheet.Vehicle cutOff(Sheet.Vehicle vehicle) {
        return vehicle.withCar(vehicle.car()
                .withPlugs(vehicle.car().plugs().stream()
                        .map(p -> feedsOrSpeaks(p) && !p.isCutOff() ? cutOff(p) : p)
                        .toList()));
    }

    private static Plug cutOff(Plug plug) {
        return new Plug(
                plug.id(),
                plug.family() + CUT_OFF,
                plug.socket(),
                plug.size(),
                plug.positions().stream().map(Position::cut).toList(),
                plug.housing(),
                plug.access());
    }
}
