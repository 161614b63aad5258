package velvetbezel.match;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Expect;
import velvetbezel.function.Facilities;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.InnerWire;
import velvetbezel.sheet.Lead;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Position;

/**
 * Which places of a kit can bear on a function, read off the sheets: what a function expects is followed backwards,
 * through rules, signals, nets and plugs that could be mated, to every part that could have a say. Too many places
 * only cost time. One thing is left out, loads on the supplies (ground, constant, accessory, illumination): more load
 * never makes a function work that fails without it, so what is compiled without them is never too bad, and kits that
 * come out are run as built.
 */
final class FunctionReach {
    private final Facilities facilities;
    private final SignalNet reach;
    private final Set<String> inUse;

    private sealed interface Asked permits Net, Arriving, Ran {}

    private record Net(int net) implements Asked {}

    private record Arriving(PortRef at, String signal) implements Asked {}

    private record Ran(SignalNet.Ruled rule) implements Asked {}

    /** @param inUse names of settings that scenarios choose: nobody sets them up otherwise */
    FunctionReach(SignalNet reach, Set<String> inUse) {
        this.reach = reach;
        this.inUse = inUse;
        this.facilities = new Facilities(reach.instances.values(), Set.of());
    }

    /**
     * What bears on a function.
     *
     * @param places whose choice can change what becomes of it
     * @param facets for each part that could be in the kit, all of it that can have a say: parts of equal facets do
     *     the same
     */
    record Bearing(BitSet places, Map<String, Object> facets) {}

    Bearing on(CarFunction asked) {
        CarFunction function = facilities.bind(asked);
        Walk walk = new Walk(function);
        function.scenario().forEach(s -> s.expects().forEach(e -> expect(e, walk)));
        walk.end();
        Map<String, Object> facets = new HashMap<>();
        for (String i : reach.slotOf.keySet()) facets.put(i, facet(reach.instances.get(i), walk));
        return new Bearing(walk.slots, facets);
    }

    /** No part at all, and a part that has no say. */
    static final Object NOTHING = new Facet(Set.of(), Set.of(), Set.of(), Set.of(), "");

    private record Facet(Set<Object> rules, Set<Object> plugs, Set<Object> leads, Set<Object> wires, Object rest) {}

    private Facet facet(Instance i, Walk walk) {
        Set<Object> ran = new HashSet<>();
        for (SignalNet.Ruled r : reach.rules)
            if (r.instance() == i && walk.seen.contains(new Ran(r)))
                ran.add(List.of(r.rule().when(), r.rule().then()));
        Device d = Behaviour.of(i.device());
        Set<Object> plugs = new HashSet<>();
        for (Plug p : d.plugs()) if (counts(i, p, walk)) plugs.add(p);
        Set<Object> leads = new HashSet<>();
        for (Lead l : d.leads()) if (counts(reach.potential.net(new TerminalId(i.id(), l.name())), walk)) leads.add(l);
        Set<Object> wires = new HashSet<>();
        for (InnerWire w : d.wires()) if (counts(reach.potential.net(i.terminal(w.from())), walk)) wires.add(w);
        Set<Object> ports = new HashSet<>();
        for (Port p : d.ports())
            if (reach.possible.getOrDefault(new PortRef(i.id(), p.id()), Set.of()).stream()
                    .anyMatch(s -> walk.seen.contains(new Arriving(new PortRef(i.id(), p.id()), s)))) ports.add(p);
        return new Facet(
                ran,
                plugs,
                leads,
                wires,
                ran.isEmpty() && ports.isEmpty()
                        ? ""
                        : List.of(ports, d.ports(), d.conditions(), d.modes(), d.settings(), d.firstUse()));
    }

    private boolean counts(int net, Walk walk) {
        return !(reach.hard.contains(net) && reach.alwaysTied.containsKey(net)) && walk.seen.contains(new Net(net));
    }

    private boolean counts(Instance i, Plug plug, Walk walk) {
        return reach.potential
                        .crowd(i.id(), plug.id())
                        .filter(walk.crowds::contains)
                        .isPresent()
                || plug.positions().stream()
                        .anyMatch(p -> !p.empty()
                                && counts(
                                        reach.potential.net(new TerminalId(i.id(), plug.id() + "." + p.number())),
                                        walk));
    }

    /** Follows what was asked backwards until nothing new is asked. */
    private final class Walk {
        private final Set<Asked> seen = new HashSet<>();
        private final Deque<Asked> fresh = new ArrayDeque<>();
        private final BitSet slots = new BitSet();
        private final Set<Integer> crowds = new HashSet<>();
        private final CarFunction function;
        private final Chosen chosen;
        /** Where a signal is taken to be: how it got there is not asked. */
        private Optional<PortRef> gate = Optional.empty();

        Walk(CarFunction function) {
            this.function = function;
            this.chosen = new Chosen(function);
        }

        void ask(Asked asked) {
            if (seen.add(asked)) fresh.add(asked);
        }

        void ask(List<SignalNet.Ruled> ruled) {
            ruled.forEach(r -> ask(new Ran(r)));
        }

        void end() {
            while (!fresh.isEmpty()) {
                Asked next = fresh.poll();
                if (next instanceof Net n) net(n.net, this);
                else if (next instanceof Arriving a) arriving(a, this);
                else {
                    SignalNet.Ruled r = ((Ran) next).rule;
                    slots.or(reach.slots(r.instance().id()));
                    guard(r.rule().when(), r.instance(), this);
                }
            }
        }
    }

    private void expect(Expect expect, Walk walk) {
        expect.accept(new Expect.Visitor<Void>() {
            @Override
            public Void arrives(Expect.Arrives e) {
                walk.ask(new Arriving(e.at(), e.signal()));
                return null;
            }

            @Override
            public Void reads(Expect.Reads e) {
                Optional.ofNullable(reach.instances.get(e.at().instance())).ifPresent(i -> at(i, e.at().name(), walk));
                return null;
            }

            @Override
            public Void inMode(Expect.InMode e) {
                walk.ask(reach.enters.getOrDefault(e.instance() + "." + e.mode(), List.of()));
                return null;
            }

            @Override
            public Void shows(Expect.Shows e) {
                walk.ask(reach.shows.getOrDefault(e.instance() + ":" + e.what(), List.of()));
                return null;
            }

            @Override
            public Void passes(Expect.Passes e) {
                walk.gate = Optional.of(e.from());
                walk.ask(new Arriving(e.at(), e.signal()));
                return null;
            }

            @Override
            public Void quiet(Expect.Quiet e) {
                heardHere(e, walk);
                return null;
            }

            @Override
            public Void not(Expect.Not e) {
                expect(e.expect(), walk);
                return null;
            }

            @Override
            public Void any(Expect.Any e) {
                e.expects().forEach(x -> expect(x, walk));
                return null;
            }
        });
    }

    /** Noise comes with the signals that the function listens for; what else could bring some only makes it worse. */
    private static void heardHere(Expect.Quiet quiet, Walk walk) {
        walk.function.scenario().stream()
                .flatMap(s -> s.expects().stream())
                .filter(Expect.Arrives.class::isInstance)
                .map(Expect.Arrives.class::cast)
                .forEach(a -> walk.ask(new Arriving(quiet.at(), a.signal())));
    }

    private void guard(Guard guard, Instance i, Walk walk) {
        guard.terminals().forEach(t -> at(i, t, walk));
        guard.inner().forEach(g -> guard(g, i, walk));
        if (guard instanceof Guard.Hears g) walk.ask(new Arriving(new PortRef(i.id(), g.port()), g.signal()));
        if (guard instanceof Guard.Mode g) walk.ask(reach.enters.getOrDefault(i.id() + "." + g.name(), List.of()));
        if (guard instanceof Guard.Met g) guard(i.device().conditions().get(g.condition()), i, walk);
    }

    /** A terminal that somebody looks at: what its net carries, and what its plug could be pushed into. */
    private void at(Instance i, String terminal, Walk walk) {
        int net = reach.potential.net(i.terminal(terminal));
        end(i, net, walk);
        if (net == reach.potential.net(LeadRole.AMP_REMOTE)) bypass(i, walk);
    }

    /** An amplifier whose output plug is taken apart is not switched on. */
    private void bypass(Instance amplifier, Walk walk) {
        for (Plug plug : amplifier.device().plugs())
            if (amplifier.owner() == Instance.Owner.CAR && plug.drivesSpeakers())
                for (Position p : plug.positions())
                    if (!p.empty())
                        reach.crowded(
                                amplifier.id(),
                                reach.potential.net(new TerminalId(amplifier.id(), plug.id() + "." + p.number())),
                                walk.slots,
                                walk.crowds);
    }

    private void end(Instance i, int net, Walk walk) {
        walk.ask(new Net(net));
        reach.crowded(i.id(), net, walk.slots, walk.crowds);
    }

    private void arriving(Arriving a, Walk walk) {
        if (!comes(a, Set.of(), walk.chosen)) return;
        SignalNet.Socket to = reach.sockets.get(a.at);
        walk.slots.or(reach.slots(a.at.instance()));
        if (to.port().medium() == Medium.INTERNAL) {
            sent(a.at, a.signal, walk);
            return;
        }
        nets(to, walk);
        for (SignalNet.Socket from : reach.senders.getOrDefault(a.at, List.of()))
            if (sent(from.ref(), a.signal, walk)) {
                walk.slots.or(reach.slots(from.instance().id()));
                nets(from, walk);
            }
    }

    /**
     * The ports of the radio that every way of a signal to a port leads through: what is before and what is behind
     * depend on different places.
     *
     * @param piece a function that expects one thing; no other than an arrival has any
     */
    List<PortRef> gates(CarFunction piece) {
        CarFunction bound = facilities.bind(piece);
        Optional<Expect> only =
                bound.scenario().stream().flatMap(s -> s.expects().stream()).findFirst();
        if (!(only.orElse(null) instanceof Expect.Arrives e)) return List.of();
        Chosen chosen = new Chosen(bound);
        Arriving end = new Arriving(e.at(), e.signal());
        if (!comes(end, Set.of(), chosen)) return List.of();
        return reach.sockets.values().stream()
                .filter(s ->
                        s.instance().owner() == Instance.Owner.RADIO && !s.ref().equals(end.at))
                .filter(s -> !comes(end, Set.of(s.ref()), chosen))
                .map(SignalNet.Socket::ref)
                .toList();
    }

    /** Whether a signal could come to a port from where it is made without passing some others. */
    private boolean comes(Arriving end, Set<PortRef> without, Chosen chosen) {
        Set<PortRef> seen = new HashSet<>(without);
        Deque<PortRef> fresh = new ArrayDeque<>();
        if (seen.add(end.at)) fresh.add(end.at);
        while (!fresh.isEmpty()) {
            PortRef at = fresh.poll();
            if (!reach.possible.getOrDefault(at, Set.of()).contains(end.signal)) continue;
            List<PortRef> outs = new ArrayList<>();
            if (reach.sockets.get(at).port().medium() == Medium.INTERNAL) outs.add(at);
            else reach.senders.getOrDefault(at, List.of()).forEach(s -> outs.add(s.ref()));
            for (PortRef out : outs)
                for (SignalNet.Sending s : reach.sendings.getOrDefault(out, List.of())) {
                    if (chosen.shut(s.by())) continue;
                    if (s.in() == null && s.signal().equals(end.signal)) return true;
                    if (s.in() != null && seen.add(s.in())) fresh.add(s.in());
                }
        }
        return false;
    }

    /** The values that settings in use have while a function is tried: those of its scenario, else as they start. */
    private final class Chosen {
        private final Map<String, Set<String>> values = new HashMap<>();

        Chosen(CarFunction bound) {
            for (int step = 0; step < bound.scenario().size(); step++)
                for (Map.Entry<String, String> e :
                        bound.scenario().get(step).set().settings().entrySet()) {
                    Set<String> all = values.computeIfAbsent(e.getKey(), k -> new HashSet<>());
                    if (step > 0 && all.isEmpty()) start(e.getKey()).ifPresent(all::add);
                    all.add(e.getValue());
                }
        }

        private Optional<String> start(String key) {
            String instance = key.substring(0, key.indexOf('.'));
            return Optional.ofNullable(reach.instances.get(instance))
                    .flatMap(i -> start(i, key.substring(instance.length() + 1)));
        }

        private static Optional<String> start(Instance i, String setting) {
            return i.device().settings().stream()
                    .filter(c -> c.name().equals(setting))
                    .map(Choice::start)
                    .findFirst();
        }

        /** Whether a rule asks for another value of a setting than it ever has. */
        boolean shut(SignalNet.Ruled ruled) {
            Guard when = ruled.rule().when();
            return shut(when, ruled.instance())
                    || when instanceof Guard.All all && all.guards().stream().anyMatch(g -> shut(g, ruled.instance()));
        }

        private boolean shut(Guard guard, Instance i) {
            if (!(guard instanceof Guard.Setting s) || !inUse.contains(s.name())) return false;
            Set<String> has = values.get(i.id() + "." + s.name());
            return has == null
                    ? start(i, s.name()).filter(v -> !v.equals(s.is())).isPresent()
                    : !has.contains(s.is());
        }
    }

    private void nets(SignalNet.Socket s, Walk walk) {
        if (s.plus() != SignalNet.NOWHERE) end(s.instance(), s.plus(), walk);
        if (s.minus() != SignalNet.NOWHERE) end(s.instance(), s.minus(), walk);
    }

    /** Asks for the rules that could send a signal at a port; whether there are any. */
    private boolean sent(PortRef out, String signal, Walk walk) {
        boolean any = false;
        for (SignalNet.Sending s : reach.sendings.getOrDefault(out, List.of())) {
            if (s.in() == null
                    ? !s.signal().equals(signal)
                    : !reach.possible.getOrDefault(s.in(), Set.of()).contains(signal)) continue;
            if (walk.chosen.shut(s.by())) continue;
            any = true;
            walk.ask(new Ran(s.by()));
            if (s.in() != null && !walk.gate.equals(Optional.of(s.in()))) walk.ask(new Arriving(s.in(), signal));
        }
        return any;
    }

    private void net(int net, Walk walk) {
        boolean supply = reach.supplies.contains(net);
        if (net != reach.potential.net(LeadRole.GROUND))
            for (SignalNet.Touch t : reach.touches.getOrDefault(net, List.of())) {
                if (reach.hard.contains(net) && t.by().instance().owner() != Instance.Owner.CAR
                        || supply && reach.isLoad(net, t)) continue;
                walk.ask(new Ran(t.by()));
                reach.crowded(t.by().instance().id(), net, walk.slots, walk.crowds);
                walk.ask(new Net(t.far()));
            }
        walk.slots.or(reach.present(net, walk.crowds));
    }
}
