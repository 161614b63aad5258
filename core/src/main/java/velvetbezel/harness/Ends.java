package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Location;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;

/** The lead ends of a draft: those that could be joined, and those that are out of play from the start. */
final class Ends {
    private final Draft draft;
    private final Recipe recipe;
    private final Components components;
    private final Set<TerminalId> wired = new HashSet<>();
    private final Map<TerminalId, TerminalId> partners = new HashMap<>();
    private final Map<TerminalId, TerminalId> contacts = new HashMap<>();
    private final Map<TerminalId, TerminalId> cables = new HashMap<>();
    private final Set<PlugRef> mated = new HashSet<>();
    private final List<End> ends = new ArrayList<>();
    private final Map<TerminalId, Cap> caps = new LinkedHashMap<>();

    Ends(Draft draft, Recipe recipe, List<Mating> matings) {
        this.draft = draft;
        this.recipe = recipe;
        this.components = new Components(draft.conductors);
        matings.forEach(m -> mated.addAll(List.of(m.first(), m.second())));
        for (Conductor c : draft.conductors) index(c);
        draft.terminals.values().stream().filter(Terminal::joinable).forEach(this::sort);
    }

    private void index(Conductor c) {
        if (c.kind() == Conductor.Kind.CONTACT) {
            contacts.put(c.a(), c.b());
            contacts.put(c.b(), c.a());
        }
        if (c.kind() != Conductor.Kind.WIRE) return;
        if (c.mayBeClosed()) wired.add(c.a());
        if (PositionId.isTail(c.b())) partners.put(c.b(), c.a());
        if (cable(c)) {
            cables.put(c.a(), c.b());
            cables.put(c.b(), c.a());
        }
    }

    /** A wire between two bare leads of one device that end in different places; an inner tie of two grounds is none. */
    private boolean cable(Conductor c) {
        return c.a().instance().equals(c.b().instance())
                && bare(c.a())
                && bare(c.b())
                && !draft.terminals
                        .get(c.a())
                        .location()
                        .equals(draft.terminals.get(c.b()).location());
    }

    private boolean bare(TerminalId id) {
        Terminal t = draft.terminals.get(id);
        return t != null && t.kind() == Terminal.Kind.BARE && !PositionId.isTail(id);
    }

    List<End> ends() {
        return ends;
    }

    Map<TerminalId, Cap> caps() {
        return caps;
    }

    Components components() {
        return components;
    }

    private void cap(Terminal t, CapReason reason) {
        caps.put(t.id(), new Cap(t.id(), t.role(), reason));
    }

    private void sort(Terminal t) {
        if (t.state() == LeadState.SPARE) cap(t, new CapReason.Spare());
        else if (t.state() == LeadState.UNUSED) cap(t, new CapReason.Unused());
        else if (t.id().instance().equals(Builder.CAR)) carEnd(t);
        else if (PositionId.isTail(t.id())) tail(t);
        else lead(t);
    }

    /** A wire of the car, cut or tapped. */
    private void carEnd(Terminal t) {
        TerminalId position = partners.getOrDefault(t.id(), t.id());
        boolean tap = t.kind() == Terminal.Kind.TAP;
        if (!wired(position) && !tap) cap(t, new CapReason.DeadEnd(t.location()));
        // a wire that nobody needs to open is left alone
        if (!wired(position) || tap && t.role().isEmpty()) return;
        boolean optional = access(position).filter(Access::optional).isPresent();
        End.Rank rank = optional ? End.Rank.ACCESS_POINT : End.Rank.CAR;
        known(t, t.carries().orElseThrow(), t.flow(), Instance.Owner.CAR, rank, t.location(), tap, optional);
    }

    private Optional<Access> access(TerminalId position) {
        return PositionId.of(position)
                .flatMap(p -> draft.instance(Builder.CAR).device().plug(p.plug().plug()))
                .flatMap(Plug::access);
    }

    /** The bare end of a wire out of a part's plug: it has whatever role the car gives it. */
    private void tail(Terminal t) {
        Optional<Terminal> wire = carWire(t, true);
        if (wire.isPresent()) {
            Location at = t.location().dash() ? plugLocation(wire.get().id()) : t.location();
            known(
                    t,
                    wire.get().carries().orElseThrow(),
                    wire.get().flow(),
                    Instance.Owner.CAR,
                    End.Rank.CAR,
                    at,
                    false,
                    false);
            return;
        }
        PositionId own = PositionId.of(t.id()).orElseThrow();
        if (!mated.contains(own.plug())) cap(t, new CapReason.PlugAlone(own.plug()));
        else cap(t, new CapReason.NoWire(t.place()));
    }

    private Location plugLocation(TerminalId carPosition) {
        return access(carPosition).map(Access::place).orElse(Location.DASH);
    }

    private void lead(Terminal t) {
        Instance instance = draft.instance(t.id().instance());
        Optional<Terminal> wire = carWire(t, false);
        Instance.Owner owner = wire.isPresent() ? Instance.Owner.CAR : instance.owner();
        Flow flow = wire.map(Terminal::flow).orElse(t.flow());
        known(t, t.carries().orElseThrow(), flow, owner, rank(instance, owner), t.location(), false, false);
    }

    private End.Rank rank(Instance instance, Instance.Owner owner) {
        return switch (owner) {
            case CAR -> End.Rank.CAR;
            case RADIO -> End.Rank.RADIO;
            case PART -> Optional.ofNullable(recipe.parts().get(instance.id()))
                            .filter(p -> p.kind() == PartKind.AMPLIFIER)
                            .isPresent()
                    ? End.Rank.ADDED_AMPLIFIER
                    : End.Rank.PART;
        };
    }

    private void known(
            Terminal t,
            Fact<LeadRole> carries,
            Flow flow,
            Instance.Owner owner,
            End.Rank rank,
            Location at,
            boolean tap,
            boolean optional) {
        Optional<LeadRole> role = carries.said();
        if (role.isEmpty()) {
            cap(t, new CapReason.RoleUnknown());
            return;
        }
        boolean carWire = t.id().instance().equals(Builder.CAR);
        boolean guessed = carries instanceof Fact.Guessed;
        Optional<TerminalId> cable = Optional.ofNullable(cables.get(t.id()));
        LeadRole joined = role.get().joinsAs();
        ends.add(new End(t.id(), joined, joined, flow, owner, rank, at, carWire, tap, optional, guessed, false, cable));
    }

    /**
     * The wire of the car that a lead goes on from. A tail has whatever role the car gives it; a part's own lead counts
     * as the car's only where both say the same. A radio's never does, and no ground: grounds meet many of the car's wires.
     */
    private Optional<Terminal> carWire(Terminal end, boolean tail) {
        boolean ground = end.role().filter(r -> r.joinsAs() == LeadRole.GROUND).isPresent();
        if (draft.instance(end.id().instance()).owner() == Instance.Owner.RADIO || ground && !tail)
            return Optional.empty();
        List<Terminal> wires = components.with(end.id()).stream()
                .filter(t -> t.instance().equals(Builder.CAR))
                .map(draft.terminals::get)
                .filter(t -> t != null && t.carries().isPresent() && wired(t.id()))
                .toList();
        return wires.stream()
                .filter(t -> t.role().isPresent() && t.role().equals(end.role()))
                .findFirst()
                .or(() -> tail
                        ? wires.stream().min(Comparator.comparing(t -> t.role().isEmpty()))
                        : Optional.empty());
    }

    private boolean wired(TerminalId carPosition) {
        return wired.contains(carPosition);
    }

    /** A lead that was out of play and that a person joins all the same. */
    End unsorted(Terminal t, LeadRole role) {
        Instance instance = draft.instance(t.id().instance());
        Instance.Owner owner =
                PositionId.isTail(t.id()) && carWire(t, true).isPresent() ? Instance.Owner.CAR : instance.owner();
        boolean carWire = instance.id().equals(Builder.CAR);
        return new End(
                t.id(),
                role,
                role,
                t.flow(),
                owner,
                rank(instance, owner),
                t.location(),
                carWire,
                t.kind() == Terminal.Kind.TAP,
                false,
                false,
                true,
                Optional.empty());
    }

    boolean mated(PlugRef plug) {
        return mated.contains(plug);
    }
}
