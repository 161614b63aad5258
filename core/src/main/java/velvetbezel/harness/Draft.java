package velvetbezel.harness;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.InnerWire;
import velvetbezel.sheet.Lead;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Location;
import velvetbezel.sheet.Mate;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Sheet;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/** Collects instances, terminals and conductors while an installation is being built. */
final class Draft {
    /** A clean plug contact or a good joint (common practice, no source). */
    static final double CONTACT_OHMS = 0.005;
    /** A wire whose gauge nobody knows lies between these (AWG). */
    private static final int THICKEST = 14;

    private static final int THINNEST = 24;
    private static final Fact<Boolean> CLOSED = new Fact.Known<>(true, Provenance.of(Provenance.Origin.STATED));

    final List<Instance> instances = new ArrayList<>();
    private final Map<String, Instance> byId = new HashMap<>();
    final Map<TerminalId, Terminal> terminals = new LinkedHashMap<>();
    final List<Conductor> conductors = new ArrayList<>();
    private Optional<Sheet.Vehicle> vehicle = Optional.empty();

    void of(Sheet.Vehicle car) {
        vehicle = Optional.of(car);
    }

    Optional<Sheet.Vehicle> vehicle() {
        return vehicle;
    }

    void add(Instance instance) {
        instances.add(instance);
        byId.putIfAbsent(instance.id(), instance);
        Device device = instance.device();
        for (String name : device.terminals()) addInner(instance, name);
        for (Lead lead : device.leads())
            put(new Terminal(
                    new TerminalId(instance.id(), lead.name()),
                    Terminal.Kind.BARE,
                    Optional.of(lead.carries()),
                    instance.use() == Use.LATER ? LeadState.SPARE : lead.state(),
                    lead.flow(),
                    lead.colour(),
                    lead.gauge(),
                    lead.name(),
                    lead.end().map(instance::lies).orElse(Location.DASH)));
        for (Plug plug : device.plugs())
            for (Position p : plug.positions()) if (!p.empty()) addPosition(instance, plug, p);
        for (InnerWire wire : device.wires())
            wire(
                    instance.sheet(),
                    instance.terminal(wire.from()),
                    instance.terminal(wire.to()),
                    wire.gauge(),
                    wire.metres(),
                    wire.wired());
    }

    /** @throws IllegalArgumentException if there is none */
    Instance instance(String id) {
        Instance found = byId.get(id);
        if (found == null) throw new IllegalArgumentException("No device \"%s\".".formatted(id));
        return found;
    }

    private void addInner(Instance instance, String name) {
        TerminalId id = new TerminalId(instance.id(), name);
        Fact<WireColour> none = Fact.missing(new FieldRef(instance.sheet(), id + " colour"));
        put(new Terminal(
                id,
                Terminal.Kind.INNER,
                Optional.empty(),
                LeadState.USED,
                Flow.SHARES,
                none,
                Fact.missing(new FieldRef(instance.sheet(), id + " gauge")),
                name,
                Location.DASH));
    }

    private void addPosition(Instance instance, Plug plug, Position p) {
        PositionId id = new PositionId(new PlugRef(instance.id(), plug.id()), p.number());
        Location location = plug.access().map(Access::place).orElse(Location.DASH);
        boolean tap = instance.owner() == Instance.Owner.CAR
                && plug.access().filter(a -> a.mate() == Mate.STAYS_MATED).isPresent();
        put(terminal(instance, plug, p, id.contact(), tap ? Terminal.Kind.TAP : Terminal.Kind.POSITION, location));
        if (!p.bare()) return;
        put(terminal(instance, plug, p, id.tail(), Terminal.Kind.BARE, location));
        wire(instance.sheet(), id.contact(), id.tail(), p.gauge(), p.metres(), p.wired());
    }

    private static Terminal terminal(
            Instance instance, Plug plug, Position p, TerminalId id, Terminal.Kind kind, Location location) {
        LeadState state = instance.use() == Use.LATER ? LeadState.SPARE : p.state();
        return new Terminal(id, kind, p.carries(), state, p.flow(), p.colour(), p.gauge(), place(plug, p), location);
    }

    /** "A4" where plugs are lettered, else plug and number. */
    static String place(Plug plug, Position p) {
        if (plug.id().equals(Builder.STUB)) return p.name().isEmpty() ? p.number() : p.name();
        return plug.id().length() == 1 ? plug.id() + p.number() : plug.id() + " " + p.number();
    }

    private void put(Terminal terminal) {
        terminals.put(terminal.id(), terminal);
    }

    void wire(String sheet, TerminalId a, TerminalId b, Fact<Gauge> gauge, double metres, Fact<Boolean> wired) {
        ConductorId id = new ConductorId("wire " + a + " to " + b);
        Quantity ohms = gauge.known()
                .<Quantity>map(
                        g -> Quantity.of(Math.max(0.001, g.resistance(metres).value())))
                .orElseGet(() -> new Quantity.Open(
                        new FieldRef(sheet, a + " gauge"),
                        Gauge.awg(THICKEST).resistance(metres).value(),
                        Gauge.awg(THINNEST).resistance(metres).value()));
        conductors.add(new Conductor(id, Conductor.Kind.WIRE, a, b, ohms, wired));
    }

    void contact(TerminalId a, TerminalId b) {
        conductors.add(new Conductor(
                new ConductorId("contact " + a + " to " + b),
                Conductor.Kind.CONTACT,
                a,
                b,
                Quantity.of(CONTACT_OHMS),
                CLOSED));
    }

    Joint joint(JointId id, List<TerminalId> leads) {
        for (TerminalId lead : leads)
            conductors.add(new Conductor(
                    ConductorId.leg(id, lead), Conductor.Kind.LEG, lead, id.node(), Quantity.of(CONTACT_OHMS), CLOSED));
        return new Joint(id, leads);
    }
}
