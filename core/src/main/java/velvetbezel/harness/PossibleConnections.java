package velvetbezel.harness;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Sheet;

/**
 * Every connection that some choice of parts could make in a car, read off the sheets without building any of the
 * choices: more than any one installation has, never less. Terminals that some choice ties together share a net;
 * plugs that some choice mates, or that could take each other's place, share a crowd.
 */
public final class PossibleConnections {
    private final Draft draft = new Draft();
    private final Map<TerminalId, Integer> index = new HashMap<>();
    /** Of terminals and of plugs: nets are told apart by one, crowds by the other. */
    private final Islands nets = new Islands(0);

    private final Map<String, Integer> crowds = new LinkedHashMap<>();
    private final BiPredicate<String, String> together;

    private PossibleConnections(BiPredicate<String, String> together) {
        this.together = together;
    }

    /**
     * @param options  what could be in the kit, by instance id
     * @param together whether two options can be in one kit
     */
    public static PossibleConnections of(
            Sheet.Vehicle vehicle,
            Sheet.Radio radio,
            Map<String, Device> options,
            BiPredicate<String, String> together) {
        PossibleConnections p = new PossibleConnections(together);
        Builder.car(p.draft, vehicle);
        options.forEach((id, device) -> p.draft.add(new Instance(id, id, Instance.Owner.PART, device)));
        Builder.radios(p.draft, Recipe.of(vehicle, radio, List.of()));
        p.wires();
        p.plugs();
        p.roles();
        return p;
    }

    public List<Instance> instances() {
        return draft.instances;
    }

    public List<Terminal> terminals() {
        return List.copyOf(draft.terminals.values());
    }

    /** The net of a terminal: a number that it shares with all that some choice ties it to. */
    public int net(TerminalId id) {
        return nets.of(number(id));
    }

    /** All nets and crowds have lower numbers. */
    public int nodes() {
        return nets.nodes();
    }

    public int net(LeadRole role) {
        return net(JointId.of(role).node());
    }

    /** Plugs of one number mate with each other or take each other's place; empty for a plug that nothing fits. */
    public Optional<Integer> crowd(String instance, String plug) {
        return Optional.ofNullable(crowds.get(instance + "/" + plug)).map(nets::of);
    }

    private int number(TerminalId id) {
        return index.computeIfAbsent(id, k -> nets.add());
    }

    private void wires() {
        draft.terminals.keySet().forEach(this::number);
        for (Conductor c : draft.conductors) if (c.mayBeClosed()) nets.join(number(c.a()), number(c.b()));
    }

    private record End(Instance instance, Plug plug) {
        String key() {
            return instance.id() + "/" + plug.id();
        }

        TerminalId at(Position p) {
            return new TerminalId(instance.id(), plug.id() + "." + p.number());
        }
    }

    private void plugs() {
        Map<String, List<End>> families = new LinkedHashMap<>();
        for (Instance i : draft.instances)
            for (Plug p : i.device().plugs())
                families.computeIfAbsent(p.family(), k -> new ArrayList<>()).add(new End(i, p));
        for (List<End> ends : families.values())
            for (int a = 0; a < ends.size(); a++)
                for (int b = a + 1; b < ends.size(); b++) meet(ends.get(a), ends.get(b));
        for (Instance i : draft.instances)
            for (Plug p : i.device().plugs())
                p.housing().ifPresent(h -> nets.join(crowdOf(i.id() + "/" + p.id()), crowdOf(i.id() + "/" + h)));
    }

    /** A part that carries the car's wires on may have its plugs exchanged in one car and straight in another. */
    private static boolean mayMate(End a, End b) {
        boolean exchanged = Stream.of(a, b)
                .anyMatch(e -> e.instance.owner() == Instance.Owner.PART
                        && e.instance.device().plugs().stream().anyMatch(Plug::carriesOn));
        return exchanged ? a.plug.fits(b.plug) : a.plug.mates(b.plug);
    }

    private int crowdOf(String plug) {
        return crowds.computeIfAbsent(plug, k -> nets.add());
    }

    private void meet(End a, End b) {
        if (a.instance.id().equals(b.instance.id())
                || !mayMate(a, b)
                || !together.test(a.instance.id(), b.instance.id())) return;
        nets.join(crowdOf(a.key()), crowdOf(b.key()));
        for (Position p : a.plug.positions())
            b.plug.at(p.number())
                    .filter(q -> !p.empty() && !q.empty())
                    .ifPresent(q -> nets.join(number(a.at(p)), number(b.at(q))));
    }

    /**
     * Bare leads by role: their own, or for a tail those of the car's wires that it could go on from. Places are left out:
     * a lead may be run from any to the dash.
     */
    private void roles() {
        Map<Integer, List<LeadRole>> ofCar = new HashMap<>();
        for (Terminal t : draft.terminals.values())
            if (t.id().instance().equals(Builder.CAR))
                said(t).ifPresent(r -> ofCar.computeIfAbsent(net(t.id()), k -> new ArrayList<>())
                        .add(r));
        Map<TerminalId, List<LeadRole>> roles = new LinkedHashMap<>();
        for (Terminal t : draft.terminals.values())
            if (t.joinable())
                roles.put(
                        t.id(),
                        PositionId.isTail(t.id())
                                ? ofCar.getOrDefault(net(t.id()), List.of())
                                : said(t).stream().toList());
        roles.forEach((id, all) ->
                all.forEach(r -> nets.join(number(id), number(JointId.of(r).node()))));
        Substitutes.possible().forEach((wanted, sources) -> {
            if (!surelyGiven(wanted)) sources.forEach(s -> nets.join(net(wanted), net(s)));
        });
    }

    private static Optional<LeadRole> said(Terminal t) {
        return t.carries().flatMap(Fact::said).map(LeadRole::joinsAs);
    }

    /** Whether the radio gives it, so that no other output ever serves instead. */
    private boolean surelyGiven(LeadRole role) {
        return draft.terminals.values().stream()
                .anyMatch(t -> t.kind() == Terminal.Kind.BARE
                        && t.flow() == Flow.GIVES
                        && t.state() == LeadState.USED
                        && t.role().equals(Optional.of(role))
                        && draft.instances.stream()
                                .anyMatch(i -> i.id().equals(t.id().instance()) && i.owner() == Instance.Owner.RADIO));
    }
}
