package velvetbezel.function;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Arrival;
import velvetbezel.run.Picture;
import velvetbezel.run.PortRef;
import velvetbezel.run.RuleRef;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Rule;
import velvetbezel.state.StateField;

/** The ways that signals and supplies take in one picture. */
final class Paths {
    static final TerminalId GROUND = new TerminalId("battery", "minus");
    private final Picture picture;
    private final Installation installation;
    private final Map<TerminalId, List<Edge>> edges = new HashMap<>();
    private final Set<RuleRef> followed = new LinkedHashSet<>();
    private final Map<TerminalId, Optional<List<Hop>>> toGround = new HashMap<>();
    private final Map<TerminalId, Optional<List<Hop>>> toSupply = new HashMap<>();
    private final Map<TerminalId, Source> sources = new HashMap<>();

    /** A rule that drives a terminal against another. */
    private record Source(RuleRef rule, TerminalId minus) {}

    /** A conductor or a connection made by a rule, seen from one of its ends. */
    record Edge(TerminalId from, TerminalId to, Optional<Conductor> conductor, Optional<RuleRef> rule, boolean closed) {
        Hop hop() {
            return conductor
                    .<Hop>map(c -> new Hop.Over(c.id(), from, to))
                    .orElseGet(() -> new Hop.Through(rule.orElseThrow()));
        }

        private Edge turned() {
            return new Edge(to, from, conductor, rule, closed);
        }
    }

    Paths(Picture picture) {
        this.picture = picture;
        this.installation = picture.installation();
        for (Conductor c : installation.conductors())
            add(new Edge(c.a(), c.b(), Optional.of(c), Optional.empty(), picture.closed(c)));
        for (Instance i : installation.instances())
            for (Rule rule : i.device().rules())
                for (Effect effect : rule.then())
                    if (effect instanceof Effect.Connect c) {
                        RuleRef ref = new RuleRef(i.id(), rule.id());
                        add(new Edge(
                                i.terminal(c.a()),
                                i.terminal(c.b()),
                                Optional.empty(),
                                Optional.of(ref),
                                picture.inForce(ref)));
                    }
        eachInForce((i, rule, effect) -> {
            if (effect instanceof Effect.Drive d)
                sources.putIfAbsent(
                        i.terminal(d.plus()), new Source(new RuleRef(i.id(), rule.id()), i.terminal(d.minus())));
        });
    }

    private void add(Edge edge) {
        edges.computeIfAbsent(edge.from, k -> new ArrayList<>()).add(edge);
        edges.computeIfAbsent(edge.to, k -> new ArrayList<>()).add(edge.turned());
    }

    List<Edge> at(TerminalId id) {
        return edges.getOrDefault(id, List.of());
    }

    /** A terminal named by a function: by its name in the device's rules, or by plug and position. */
    static TerminalId resolve(Installation installation, TerminalId id) {
        return installation
                .instance(id.instance())
                .map(i -> i.terminal(id.name()))
                .orElse(id);
    }

    /** Shortest way over closed edges from a terminal to one that is wanted; empty where there is none. */
    Optional<List<Hop>> way(TerminalId from, Predicate<TerminalId> wanted) {
        Map<TerminalId, Edge> cameBy = new LinkedHashMap<>();
        Deque<TerminalId> queue = new ArrayDeque<>(List.of(from));
        cameBy.put(from, null);
        while (!queue.isEmpty()) {
            TerminalId here = queue.poll();
            if (wanted.test(here)) return Optional.of(back(here, cameBy));
            for (Edge e : at(here))
                if (e.closed && !e.to.equals(from) && cameBy.putIfAbsent(e.to, e) == null) queue.add(e.to);
        }
        return Optional.empty();
    }

    private static List<Hop> back(TerminalId end, Map<TerminalId, Edge> cameBy) {
        List<Hop> hops = new ArrayList<>();
        for (Edge e = cameBy.get(end); e != null; e = cameBy.get(e.from)) hops.add(0, e.hop());
        return hops;
    }

    /** Everything an expectation rests on that holds: the ways of its signal, its supplies and its ground. */
    List<Hop> of(Expect expect) {
        Set<Hop> hops = new LinkedHashSet<>();
        followed.clear();
        collect(expect, hops);
        return List.copyOf(hops);
    }

    private void collect(Expect expect, Set<Hop> hops) {
        expect.accept(new Expect.Visitor<Void>() {
            @Override
            public Void arrives(Expect.Arrives e) {
                picture.arrival(e.at(), e.signal()).ifPresent(a -> arrival(a, hops));
                return null;
            }

            @Override
            public Void reads(Expect.Reads e) {
                if (e.min() > 0) supply(resolve(installation, e.at()), hops);
                return null;
            }

            @Override
            public Void shows(Expect.Shows e) {
                Paths.this.shows(e, hops);
                return null;
            }

            @Override
            public Void any(Expect.Any e) {
                e.expects().stream()
                        .filter(x -> Attempt.holds(x, picture))
                        .findFirst()
                        .ifPresent(x -> collect(x, hops));
                return null;
            }

            /** Modes, silence and what must not be have no way of their own. */
            @Override
            public Void inMode(Expect.InMode e) {
                return null;
            }

            @Override
            public Void passes(Expect.Passes e) {
                return null;
            }

            @Override
            public Void quiet(Expect.Quiet e) {
                return null;
            }

            @Override
            public Void not(Expect.Not e) {
                return null;
            }
        });
    }

    private void shows(Expect.Shows e, Set<Hop> hops) {
        installation.instance(e.instance()).ifPresent(i -> i.device().rules().stream()
                .filter(r ->
                        r.then().contains(new Effect.Show(e.what())) && picture.inForce(new RuleRef(i.id(), r.id())))
                .findFirst()
                .ifPresent(r -> rule(i, r, hops)));
    }

    private void rule(Instance instance, Rule rule, Set<Hop> hops) {
        if (!hops.add(new Hop.Through(new RuleRef(instance.id(), rule.id())))) return;
        guard(instance, rule.when(), hops);
    }

    private void guard(Instance i, Guard guard, Set<Hop> hops) {
        if (guard instanceof Guard.Any any) {
            any.guards().stream()
                    .filter(g -> picture.holds(i.id(), g))
                    .findFirst()
                    .ifPresent(g -> guard(i, g, hops));
            return;
        }
        if (guard instanceof Guard.Not) return;
        if (guard instanceof Guard.Met met) guard(i, i.device().conditions().get(met.condition()), hops);
        if (guard instanceof Guard.Hears h)
            picture.arrival(new PortRef(i.id(), h.port()), h.signal()).ifPresent(a -> arrival(a, hops));
        if (guard instanceof Guard.Volts v) {
            if (v.learned().isPresent()) button(i.terminal(v.terminal()), hops);
            else supply(i.terminal(v.terminal()), hops);
            ground(i.terminal(v.of()), hops);
        }
        guard.inner().forEach(g -> guard(i, g, hops));
    }

    private void ground(TerminalId from, Set<Hop> hops) {
        toGround.computeIfAbsent(from, t -> way(t, GROUND::equals)).ifPresent(hops::addAll);
    }

    private void arrival(Arrival a, Set<Hop> hops) {
        a.before().ifPresent(b -> arrival(b, hops));
        installation.instance(a.sentBy().instance()).ifPresent(i -> i.device().rules().stream()
                .filter(r -> r.id().equals(a.sentBy().rule()))
                .findFirst()
                .ifPresent(r -> rule(i, r, hops)));
        a.sentFrom().ifPresent(from -> legs(from, a.at(), hops));
    }

    /** Both legs from port to port; a crossed pair goes the crossed way. */
    void legs(PortRef from, PortRef to, Set<Hop> hops) {
        List<TerminalId> ends = terminals(to);
        for (TerminalId start : terminals(from)) way(start, ends::contains).ifPresent(hops::addAll);
    }

    List<TerminalId> terminals(PortRef ref) {
        List<TerminalId> ends = new ArrayList<>();
        installation.instance(ref.instance()).ifPresent(i -> {
            Optional<Port> port = i.device().ports().stream()
                    .filter(p -> p.id().equals(ref.port()))
                    .findFirst();
            port.flatMap(Port::plus).ifPresent(t -> ends.add(i.terminal(t)));
            port.flatMap(Port::minus).ifPresent(t -> ends.add(i.terminal(t)));
        });
        return ends;
    }

    private void supply(TerminalId terminal, Set<Hop> hops) {
        toSupply.computeIfAbsent(terminal, t -> way(t, sources::containsKey)).ifPresent(way -> {
            hops.addAll(way);
            source(terminal, way).ifPresent(s -> {
                ground(s.minus, hops);
                guardOf(s.rule, hops);
            });
            for (Hop hop : way) if (hop instanceof Hop.Through through) guardOf(through.rule(), hops);
        });
    }

    /** What drives the end of a way; the terminal itself where the way is empty. */
    private Optional<Source> source(TerminalId from, List<Hop> way) {
        TerminalId end = from;
        for (Hop hop : way) if (hop instanceof Hop.Over over) end = over.to();
        return Optional.ofNullable(sources.get(end));
    }

    private void guardOf(RuleRef ref, Set<Hop> hops) {
        if (!followed.add(ref)) return;
        installation.instance(ref.instance()).ifPresent(i -> i.device().rules().stream()
                .filter(r -> r.id().equals(ref.rule()))
                .forEach(r -> guard(i, r.when(), hops)));
    }

    /** From the input that reads a ladder to the button pressed, and from there to ground. */
    private void button(TerminalId terminal, Set<Hop> hops) {
        eachInForce((i, rule, effect) -> {
            if (effect instanceof Effect.Draw d && pressed(rule.when())) {
                way(terminal, i.terminal(d.a())::equals).ifPresent(hops::addAll);
                ground(i.terminal(d.b()), hops);
            }
        });
    }

    private static boolean pressed(Guard guard) {
        if (guard instanceof Guard.All all) return all.guards().stream().anyMatch(Paths::pressed);
        return guard instanceof Guard.State s && s.field() == StateField.BUTTONS;
    }

    private interface InForce {
        void of(Instance instance, Rule rule, Effect effect);
    }

    private void eachInForce(InForce use) {
        for (Instance i : installation.instances())
            for (Rule rule : i.device().rules())
                if (picture.inForce(new RuleRef(i.id(), rule.id())))
                    rule.then().forEach(effect -> use.of(i, rule, effect));
    }
}
