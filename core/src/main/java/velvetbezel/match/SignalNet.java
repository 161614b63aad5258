package velvetbezel.match;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Islands;
import velvetbezel.harness.PossibleConnections;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;

/**
 * Everything that could be in a kit, as one net of nets, rules, signals and plugs, read off the sheets: what could be
 * tied to what, which rules could ever hold, and which signals could ever arrive where.
 */
final class SignalNet {
    static final int NOWHERE = -1;
    private static final Set<LeadRole> STEERING =
            Set.of(LeadRole.STEERING_1, LeadRole.STEERING_2, LeadRole.STEERING_GROUND);
    private static final double STIFF_OHMS = 0.5;
    final PossibleConnections potential;
    final Map<String, Integer> slotOf;
    final Map<String, Instance> instances = new LinkedHashMap<>();
    final List<Ruled> rules = new ArrayList<>();
    final Map<String, List<Ruled>> shows = new HashMap<>();
    final Map<String, List<Ruled>> enters = new HashMap<>();
    final Map<PortRef, List<Sending>> sendings = new HashMap<>();
    final Map<Integer, List<Touch>> touches = new HashMap<>();
    private final Map<Integer, List<Terminal>> terminals = new HashMap<>();
    final Map<Integer, BitSet> crowds = new HashMap<>();
    /** For an instance and a net, the crowds of its plugs that have a position in that net. */
    private final Map<String, Map<Integer, Set<Integer>>> crowdsAt = new HashMap<>();

    final Map<PortRef, Socket> sockets = new LinkedHashMap<>();
    final Map<PortRef, List<Socket>> senders = new HashMap<>();
    final Map<PortRef, Set<String>> possible = new HashMap<>();
    /** Ports from which something could be heard elsewhere, or inside their own device. */
    private final Set<PortRef> heard = new HashSet<>();
    /** Nets between which a signal may pass a connection. */
    private final Islands passing;

    final Set<Integer> hard;
    final Set<Integer> supplies;
    final Map<Integer, BitSet> alwaysTied = new HashMap<>();

    /**
     * A rule of one device. Told from others by identity: comparing what rules say, over and over, would cost more
     * than all the rest.
     */
    static final class Ruled {
        private final Instance instance;
        private final Rule rule;

        private Ruled(Instance instance, Rule rule) {
            this.instance = instance;
            this.rule = rule;
        }

        Instance instance() {
            return instance;
        }

        Rule rule() {
            return rule;
        }
    }

    /** A rule that sends at a port. @param in where it takes the signal from; null for a source */
    record Sending(Ruled by, String signal, PortRef in) {}

    /** An electrical effect at one net. @param far the other end */
    record Touch(Ruled by, Effect effect, int far) {}

    record Socket(PortRef ref, Port port, Instance instance, int plus, int minus) {}

    /** A signal at a port. */
    private record Signal(PortRef at, String name) {}

    /**
     * @param slotOf instances of the kit and the places they could fill
     * @param always for each place that is never empty, its instances
     */
    SignalNet(PossibleConnections potential, Map<String, Integer> slotOf, Collection<List<String>> always) {
        this.potential = potential;
        this.slotOf = slotOf;
        potential.instances().forEach(i -> instances.put(i.id(), i));
        hard = Set.of(potential.net(LeadRole.GROUND), potential.net(LeadRole.CONSTANT));
        supplies = new HashSet<>(hard);
        supplies.add(potential.net(LeadRole.ACCESSORY));
        supplies.add(potential.net(LeadRole.ILLUMINATION));
        potential.instances().forEach(i -> i.device().rules().forEach(r -> rules.add(new Ruled(i, r))));
        for (Ruled r : rules)
            for (Effect e : r.rule.then())
                if (e instanceof Effect.Drive d && isStiff(r, d))
                    supplies.add(potential.net(r.instance.terminal(d.plus())));
        for (Terminal t : potential.terminals())
            terminals
                    .computeIfAbsent(potential.net(t.id()), k -> new ArrayList<>())
                    .add(t);
        for (Instance i : potential.instances()) index(i);
        for (Ruled r : rules) for (Effect e : r.rule.then()) indexElectrical(r, e);
        passing = new Islands(potential.nodes());
        touches.forEach((net, here) -> here.stream()
                .filter(t -> t.effect instanceof Effect.Connect && !hard.contains(net) && !hard.contains(t.far))
                .forEach(t -> passing.join(net, t.far)));
        for (int before = -1; before != rules.size(); ) {
            before = rules.size();
            forget();
            for (Ruled r : rules) for (Effect e : r.rule.then()) indexOther(r, e);
            spread();
            rules.removeIf(r -> never(r.rule.when(), r.instance));
        }
        for (List<String> place : always)
            for (int net : supplies)
                if (place.stream().allMatch(i -> ends(net, i) > 1)) alwaysTied.putIfAbsent(net, slots(place.get(0)));
        for (int net : supplies)
            if (terminals.getOrDefault(net, List.of()).stream()
                    .anyMatch(t -> t.kind() == Terminal.Kind.BARE && ofCar(t))) alwaysTied.put(net, new BitSet());
    }

    /**
     * A source of the car whose voltage no load of a kit changes so much that anybody would notice (common practice,
     * no source).
     */
    private static boolean isStiff(Ruled r, Effect.Drive d) {
        return r.instance.owner() == Instance.Owner.CAR
                && d.ohms() instanceof Quantity.Fixed ohms
                && ohms.value() < STIFF_OHMS;
    }

    private boolean ofCar(Terminal t) {
        return instances.get(t.id().instance()).owner() == Instance.Owner.CAR;
    }

    BitSet slots(String instance) {
        BitSet slots = new BitSet();
        Integer slot = slotOf.get(instance);
        if (slot != null) slots.set(slot);
        return slots;
    }

    private void index(Instance i) {
        for (Port p : i.device().ports()) {
            PortRef ref = new PortRef(i.id(), p.id());
            sockets.put(
                    ref,
                    new Socket(
                            ref,
                            p,
                            i,
                            p.plus().map(t -> potential.net(i.terminal(t))).orElse(NOWHERE),
                            p.minus().map(t -> potential.net(i.terminal(t))).orElse(NOWHERE)));
        }
        for (Plug plug : i.device().plugs())
            potential.crowd(i.id(), plug.id()).ifPresent(c -> {
                crowds.computeIfAbsent(c, k -> new BitSet()).or(slots(i.id()));
                for (Position p : plug.positions())
                    if (!p.empty())
                        crowdsAt.computeIfAbsent(i.id(), k -> new HashMap<>())
                                .computeIfAbsent(
                                        potential.net(new TerminalId(i.id(), plug.id() + "." + p.number())),
                                        k -> new HashSet<>())
                                .add(c);
            });
    }

    private void indexElectrical(Ruled r, Effect effect) {
        if (effect.electrical())
            touch(r, effect, effect.terminals().get(0), effect.terminals().get(1));
    }

    private void indexOther(Ruled r, Effect effect) {
        String id = r.instance.id();
        if (effect instanceof Effect.Show e)
            shows.computeIfAbsent(id + ":" + e.what(), k -> new ArrayList<>()).add(r);
        else if (effect instanceof Effect.Enter e)
            enters.computeIfAbsent(id + "." + e.mode(), k -> new ArrayList<>()).add(r);
        else if (effect instanceof Effect.Emit e)
            sendings.computeIfAbsent(new PortRef(id, e.port()), k -> new ArrayList<>())
                    .add(new Sending(r, e.signal(), null));
        else if (effect instanceof Effect.Carry e)
            sendings.computeIfAbsent(new PortRef(id, e.out()), k -> new ArrayList<>())
                    .add(new Sending(r, "", new PortRef(id, e.in())));
    }

    private void forget() {
        shows.clear();
        enters.clear();
        sendings.clear();
        senders.clear();
        possible.clear();
        heard.clear();
        Set<Ruled> living = new HashSet<>(rules);
        touches.values().forEach(all -> all.removeIf(t -> !living.contains(t.by)));
    }

    /**
     * Whether a guard can hold in no kit at all: it asks for a voltage where nothing is connected, or for a signal
     * that never comes.
     */
    private boolean never(Guard guard, Instance i) {
        if (guard instanceof Guard.Volts g)
            return g.min().isPresent() && alone(i, potential.net(i.terminal(g.terminal())));
        if (guard instanceof Guard.Hears g)
            return !possible.getOrDefault(new PortRef(i.id(), g.port()), Set.of())
                    .contains(g.signal());
        if (guard instanceof Guard.Met g) return never(i.device().conditions().get(g.condition()), i);
        if (guard instanceof Guard.All g) return g.guards().stream().anyMatch(x -> never(x, i));
        return guard instanceof Guard.Any g && g.guards().stream().allMatch(x -> never(x, i));
    }

    /** A net of one device only, into which it drives nothing itself. */
    private boolean alone(Instance i, int net) {
        return terminals.getOrDefault(net, List.of()).stream()
                        .allMatch(t -> t.id().instance().equals(i.id()))
                && touches.getOrDefault(net, List.of()).stream().allMatch(t -> t.effect instanceof Effect.Draw);
    }

    private void touch(Ruled r, Effect effect, String a, String b) {
        int first = potential.net(r.instance.terminal(a));
        int second = potential.net(r.instance.terminal(b));
        touches.computeIfAbsent(first, k -> new ArrayList<>()).add(new Touch(r, effect, second));
        if (first != second)
            touches.computeIfAbsent(second, k -> new ArrayList<>()).add(new Touch(r, effect, first));
    }

    /** By how many leads and positions a part hangs in a net, those of plugs that nothing fits left out. */
    private int ends(int net, String instance) {
        return (int) terminals.getOrDefault(net, List.of()).stream()
                .filter(t -> t.id().instance().equals(instance) && reachesOut(t))
                .count();
    }

    private boolean reachesOut(Terminal t) {
        if (t.kind() != Terminal.Kind.POSITION) return t.kind() == Terminal.Kind.BARE;
        return potential
                .crowd(
                        t.id().instance(),
                        t.id().name().substring(0, t.id().name().lastIndexOf('.')))
                .isPresent();
    }

    /** Whether a part that could be in the kit can do nothing but take a plug or a load: without it nothing is lost. */
    boolean idle(String instance) {
        Instance i = instances.get(instance);
        for (Ruled r : rules) if (r.instance == i) for (Effect e : r.rule.then()) if (does(i, e)) return false;
        return terminals.keySet().stream().noneMatch(net -> !alwaysTied.containsKey(net) && ends(net, instance) > 1)
                && potential.terminals().stream()
                        .noneMatch(t -> t.id().instance().equals(instance)
                                && t.kind() == Terminal.Kind.BARE
                                && t.flow() == Flow.GIVES
                                && terminals.get(potential.net(t.id())).stream()
                                        .anyMatch(o -> !o.id().instance().equals(instance)));
    }

    private boolean does(Instance i, Effect effect) {
        if (effect instanceof Effect.Emit e) return heard.contains(new PortRef(i.id(), e.port()));
        if (effect instanceof Effect.Carry e)
            return possible.containsKey(new PortRef(i.id(), e.in())) && heard.contains(new PortRef(i.id(), e.out()));
        if (effect instanceof Effect.Drive e) return reaches(i, e.plus());
        if (effect instanceof Effect.Connect e) return reaches(i, e.a()) && reaches(i, e.b());
        return effect instanceof Effect.Diode e && reaches(i, e.anode()) && reaches(i, e.cathode());
    }

    private boolean reaches(Instance i, String terminal) {
        return ends(potential.net(i.terminal(terminal)), i.id()) > 0;
    }

    private boolean linked(Socket from, Socket to) {
        if (from == to || !from.port.sends() || !to.port.receives() || from.port.medium() != to.port.medium())
            return false;
        return meet(from.plus, to.plus)
                || meet(from.plus, to.minus)
                || meet(from.minus, to.plus)
                || meet(from.minus, to.minus);
    }

    private boolean meet(int a, int b) {
        return a != NOWHERE && b != NOWHERE && !hard.contains(a) && !hard.contains(b) && passing.together(a, b);
    }

    /** Which signals could ever arrive where. */
    private void spread() {
        List<Socket> outside = sockets.values().stream()
                .filter(s -> s.port.medium() != Medium.INTERNAL)
                .toList();
        Map<PortRef, List<PortRef>> receivers = new HashMap<>();
        for (Socket from : outside)
            if (sendings.containsKey(from.ref))
                for (Socket to : outside)
                    if (linked(from, to)) {
                        senders.computeIfAbsent(to.ref, k -> new ArrayList<>()).add(from);
                        receivers
                                .computeIfAbsent(from.ref, k -> new ArrayList<>())
                                .add(to.ref);
                    }
        heard.addAll(receivers.keySet());
        sockets.values().stream()
                .filter(x -> x.port.medium() == Medium.INTERNAL)
                .forEach(x -> heard.add(x.ref));
        Map<PortRef, List<PortRef>> carriedOn = new HashMap<>();
        sendings.forEach((out, all) -> all.forEach(s -> {
            if (s.in != null)
                carriedOn.computeIfAbsent(s.in, k -> new ArrayList<>()).add(out);
        }));
        Deque<Signal> fresh = new ArrayDeque<>();
        sendings.forEach((out, all) -> all.forEach(s -> {
            if (s.in == null) send(out, s.signal, receivers, fresh);
        }));
        while (!fresh.isEmpty()) {
            Signal a = fresh.poll();
            for (PortRef out : carriedOn.getOrDefault(a.at, List.of())) send(out, a.name, receivers, fresh);
        }
    }

    private void send(PortRef out, String signal, Map<PortRef, List<PortRef>> receivers, Deque<Signal> fresh) {
        boolean inside = sockets.get(out).port.medium() == Medium.INTERNAL;
        for (PortRef at : inside ? List.of(out) : receivers.getOrDefault(out, List.of()))
            if (possible.computeIfAbsent(at, k -> new HashSet<>()).add(signal)) fresh.add(new Signal(at, signal));
    }

    /** Sets of places whose outputs could be tied together. */
    List<BitSet> rivals() {
        Map<Integer, Set<String>> givers = new LinkedHashMap<>();
        for (Instance i : instances.values())
            for (Rule r : i.device().rules())
                for (Effect e : r.then())
                    if (e instanceof Effect.Drive d) giver(givers, potential.net(i.terminal(d.plus())), i.id());
        for (Socket s : sockets.values())
            if (s.port.dir() == Port.Dir.OUT && s.port.medium() == Medium.AUDIO && s.plus != NOWHERE)
                giver(givers, s.plus, s.instance.id());
        for (Terminal t : potential.terminals())
            if (t.flow() == Flow.GIVES
                    && !(slotOf.containsKey(t.id().instance()) && t.kind() == Terminal.Kind.POSITION))
                giver(givers, potential.net(t.id()), t.id().instance());
        List<BitSet> rivals = new ArrayList<>();
        givers.forEach((net, here) -> {
            if (here.size() < 2 || here.stream().noneMatch(slotOf::containsKey)) return;
            BitSet slots = present(net, new HashSet<>());
            here.forEach(i -> slots.or(slots(i)));
            takers(net, slots);
            if (!rivals.contains(slots)) rivals.add(slots);
        });
        return rivals;
    }

    /**
     * Leads are joined only where somebody takes what is given: who that is matters unless the radio or the car does.
     */
    private void takers(int net, BitSet slots) {
        List<Terminal> taking = terminals.getOrDefault(net, List.of()).stream()
                .filter(t -> t.kind() == Terminal.Kind.BARE && t.flow() != Flow.GIVES)
                .toList();
        if (taking.stream().allMatch(t -> slotOf.containsKey(t.id().instance())))
            taking.forEach(t -> slots.or(slots(t.id().instance())));
    }

    private static void giver(Map<Integer, Set<String>> givers, int net, String instance) {
        givers.computeIfAbsent(net, k -> new HashSet<>()).add(instance);
    }

    void crowded(String instance, int net, BitSet slots, Set<Integer> seen) {
        if (hard.contains(net) && alwaysTied.containsKey(net)) return;
        crowdsAt.getOrDefault(instance, Map.of()).getOrDefault(net, Set.of()).forEach(c -> {
            slots.or(crowds.get(c));
            seen.add(c);
        });
    }

    /** Whether an effect only takes from a supply: a load, or a connection on to a net that nothing else could feed. */
    boolean isLoad(int supply, Touch t) {
        return t.effect instanceof Effect.Draw
                || (t.effect instanceof Effect.Connect || t.effect instanceof Effect.Diode) && !fed(t, supply);
    }

    private boolean alternatives(Instance a, Instance b) {
        return a != b && slotOf.containsKey(a.id()) && slotOf.get(a.id()).equals(slotOf.get(b.id()));
    }

    /** Whether the far end could be fed by another way than through {@code without}. */
    private boolean fed(Touch by, int without) {
        Deque<Integer> fresh = new ArrayDeque<>(List.of(by.far));
        Set<Integer> seen = new HashSet<>(List.of(by.far, without, potential.net(LeadRole.GROUND)));
        while (!fresh.isEmpty()) {
            int next = fresh.poll();
            if (hard.contains(next)) return true;
            for (Touch t : touches.getOrDefault(next, List.of())) {
                if (alternatives(t.by.instance, by.by.instance)) continue;
                if (t.effect instanceof Effect.Drive) return true;
                if (!(t.effect instanceof Effect.Draw) && seen.add(t.far)) fresh.add(t.far);
            }
        }
        return false;
    }

    /** The places whose parts decide what hangs together in a net. */
    BitSet present(int net, Set<Integer> seen) {
        boolean supply = supplies.contains(net);
        if (supply && alwaysTied.containsKey(net)) {
            BitSet slots = (BitSet) alwaysTied.get(net).clone();
            if (!hard.contains(net)) givers(net, slots);
            return slots;
        }
        BitSet slots = new BitSet();
        givers(net, slots);
        for (Instance i : instances.values())
            if (i.owner() != Instance.Owner.CAR && (ends(net, i.id()) > 1 || reads(net, i.id()))) {
                slots.or(slots(i.id()));
                crowded(i.id(), net, slots, seen);
            }
        return slots;
    }

    /** A part that reads the steering controls takes them from the radio's own input. */
    private boolean reads(int net, String instance) {
        return slotOf.containsKey(instance)
                && terminals.getOrDefault(net, List.of()).stream()
                        .anyMatch(t -> t.id().instance().equals(instance)
                                && t.kind() == Terminal.Kind.BARE
                                && t.role().filter(STEERING::contains).isPresent());
    }

    private void givers(int net, BitSet slots) {
        for (Terminal t : terminals.getOrDefault(net, List.of()))
            if (t.kind() == Terminal.Kind.BARE && t.flow() == Flow.GIVES) slots.or(slots(t.id().instance()));
    }
}
