package velvetbezel.function;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Labels;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Arrival;
import velvetbezel.run.ModeChange;
import velvetbezel.run.Picture;
import velvetbezel.run.PortRef;
import velvetbezel.run.RuleRef;
import velvetbezel.run.Settled;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;
import velvetbezel.state.StateField;
import velvetbezel.units.Volts;

/** Finds the first thing that stops a function, and what would mend it. */
final class Why {
    private final Attempt attempt;
    private final Optional<Attempt> reference;
    private final Picture picture;
    private final Installation installation;
    private final Labels labels;
    private final Paths paths;
    private final Set<String> asked = new HashSet<>();

    Why(Attempt attempt, Optional<Attempt> reference) {
        this.attempt = attempt;
        this.reference = reference;
        this.picture = attempt.picture(attempt.failedStep());
        this.installation = picture.installation();
        this.labels = new Labels(installation);
        this.paths = new Paths(picture);
    }

    Break explain() {
        return expect(attempt.failed());
    }

    private Break expect(Expect expect) {
        return expect.accept(new Expect.Visitor<>() {
            @Override
            public Break arrives(Expect.Arrives e) {
                return arrival(e.at(), e.signal());
            }

            @Override
            public Break reads(Expect.Reads e) {
                return Why.this.reads(e);
            }

            @Override
            public Break inMode(Expect.InMode e) {
                return mode(e.instance(), e.mode(), e.is());
            }

            @Override
            public Break shows(Expect.Shows e) {
                return Why.this.shows(e);
            }

            @Override
            public Break passes(Expect.Passes e) {
                return arrival(e.at(), e.signal());
            }

            @Override
            public Break quiet(Expect.Quiet e) {
                return noise(e);
            }

            @Override
            public Break not(Expect.Not e) {
                return stillThere(e.expect());
            }

            @Override
            public Break any(Expect.Any e) {
                return expect(used(e.expects()));
            }
        });
    }

    private Break noise(Expect.Quiet e) {
        return new Break(
                e.at().toString(),
                "There is noise at the " + labels.device(e.at().instance()) + ": a ground that carries other currents.",
                Optional.empty(),
                Optional.of(new Need.Ability("a ground-loop isolator")));
    }

    /** The branch that the reference goes by, else the first. */
    private Expect used(List<Expect> branches) {
        return reference
                .filter(Attempt::fulfilled)
                .flatMap(r -> branches.stream()
                        .filter(b -> Attempt.holds(b, r.picture(attempt.failedStep())))
                        .findFirst())
                .orElse(branches.get(0));
    }

    private Break shows(Expect.Shows e) {
        Optional<Instance> device = installation.instance(e.instance());
        if (device.isEmpty()) return ability(e.instance(), "This car has no " + e.instance() + ".", e.what());
        List<Rule> rules = device.get().device().rules().stream()
                .filter(r -> r.then().contains(new Effect.Show(e.what())))
                .toList();
        if (rules.isEmpty())
            return ability(
                    e.instance(),
                    "%s cannot do this: %s.".formatted(device.get().device().name(), e.what()),
                    e.what());
        return telling(rules.stream().map(r -> rule(device.get(), r)).toList()).orElseThrow();
    }

    /** Of several reasons the first whose way ends at something that can be mended. */
    private static Optional<Break> telling(List<Break> found) {
        return found.stream()
                .filter(b -> b.need().isPresent() || b.conductor().isPresent())
                .findFirst()
                .or(() -> found.stream().findFirst());
    }

    private static Break ability(String at, String why, String what) {
        return new Break(
                at, why, Optional.empty(), Optional.of(new Need.Ability("a radio or part that can do this: " + what)));
    }

    private Break reads(Expect.Reads e) {
        TerminalId at = Paths.resolve(installation, e.at());
        Optional<Double> reading = Attempt.reading(e, picture);
        String unit = e.unit() == Expect.Reads.Unit.AMPS ? "A" : "V";
        String found = reading.map(r -> "%s carries %s %s".formatted(sentence(labels.terminal(at)), number(r), unit))
                .orElse(sentence(labels.terminal(at)) + " is not connected");
        if (reading.filter(r -> r > e.max()).isPresent())
            return new Break(
                    at.toString(),
                    found + ", more than " + number(e.max()) + " " + unit + ".",
                    Optional.empty(),
                    Optional.empty());
        return seek(at, found + ", needs " + number(e.min()) + " " + unit + ".");
    }

    /** Something that should have ended goes on. */
    private Break stillThere(Expect expect) {
        if (expect instanceof Expect.Shows e) {
            Optional<Break> entered = enteredBefore(e);
            if (entered.isPresent()) return entered.get();
            List<Hop> way = paths.of(e);
            Optional<Conductor> joint = way.stream()
                    .filter(Hop.Over.class::isInstance)
                    .map(h -> ((Hop.Over) h).conductor())
                    .flatMap(id -> installation.conductor(id).stream())
                    .filter(c -> c.kind() == Conductor.Kind.LEG)
                    .findFirst();
            String device = labels.device(e.instance());
            return new Break(
                    e.instance(),
                    "%s goes on showing \"%s\"%s."
                            .formatted(
                                    device,
                                    e.what(),
                                    joint.map(j -> ": it is fed through " + labels.conductor(j))
                                            .orElse("")),
                    joint.map(Conductor::id),
                    Optional.empty());
        }
        if (expect instanceof Expect.Arrives e)
            return new Break(
                    e.at().toString(),
                    "%s still arrives at the %s.".formatted(sentence(e.signal()), labels.device(e.at().instance())),
                    Optional.empty(),
                    Optional.empty());
        if (expect instanceof Expect.Reads e)
            return new Break(
                    e.at().toString(),
                    "%s still reads %s."
                            .formatted(
                                    sentence(labels.terminal(Paths.resolve(installation, e.at()))),
                                    Attempt.reading(e, picture).map(Why::number).orElse("nothing")),
                    Optional.empty(),
                    Optional.empty());
        return new Break("state", "What should have ended goes on.", Optional.empty(), Optional.empty());
    }

    /** A screen that hangs on a mode is explained by what entered the mode. */
    private Optional<Break> enteredBefore(Expect.Shows e) {
        return installation.instance(e.instance()).stream()
                .flatMap(i -> i.device().rules().stream())
                .filter(r -> r.then().contains(new Effect.Show(e.what()))
                        && picture.inForce(new RuleRef(e.instance(), r.id())))
                .flatMap(r -> modes(r.when()).stream())
                .flatMap(m -> change(e.instance() + "." + m.name()).stream())
                .map(c -> entered(e.instance(), c))
                .findFirst();
    }

    private static List<Guard.Mode> modes(Guard guard) {
        if (guard instanceof Guard.Mode m) return List.of(m);
        return guard instanceof Guard.All all
                ? all.guards().stream().flatMap(g -> modes(g).stream()).toList()
                : List.of();
    }

    /** The last time a mode was entered in the steps so far. */
    private Optional<ModeChange> change(String mode) {
        return attempt.steps().subList(0, attempt.failedStep() + 1).stream()
                .map(Settled::changes)
                .flatMap(List::stream)
                .filter(c -> c.mode().equals(mode))
                .reduce((first, second) -> second);
    }

    private Break rule(Instance device, Rule rule) {
        if (!asked.add(device.id() + "/" + rule.id()))
            return new Break(
                    device.id(), labels.device(device.id()) + " waits for itself.", Optional.empty(), Optional.empty());
        return guard(device, rule.when())
                .orElseGet(() -> new Break(
                        new RuleRef(device.id(), rule.id()).toString(),
                        "%s does not work.".formatted(labels.device(device.id())),
                        Optional.empty(),
                        Optional.empty()));
    }

    /** The first part of a guard that does not hold. */
    private Optional<Break> guard(Instance device, Guard guard) {
        return picture.holds(device.id(), guard) ? Optional.empty() : guard.accept(new Failing(device));
    }

    /** Explains a guard of a device that does not hold. */
    private final class Failing implements Guard.Visitor<Optional<Break>> {
        private final Instance device;
        private final String name;

        Failing(Instance device) {
            this.device = device;
            this.name = labels.device(device.id());
        }

        private Optional<Break> first(List<Guard> guards) {
            return guards.stream().flatMap(g -> guard(device, g).stream()).findFirst();
        }

        private Optional<Break> says(String why) {
            return Optional.of(new Break(device.id(), why, Optional.empty(), Optional.empty()));
        }

        private Optional<Break> heldBack() {
            return says(name + " is held back by a condition that does not hold here.");
        }

        @Override
        public Optional<Break> all(Guard.All guard) {
            return first(guard.guards());
        }

        @Override
        public Optional<Break> any(Guard.Any guard) {
            return first(guard.guards());
        }

        @Override
        public Optional<Break> met(Guard.Met guard) {
            return guard(device, device.device().conditions().get(guard.condition()));
        }

        @Override
        public Optional<Break> volts(Guard.Volts guard) {
            return Optional.of(Why.this.volts(device, guard));
        }

        @Override
        public Optional<Break> hears(Guard.Hears guard) {
            return Optional.of(arrival(new PortRef(device.id(), guard.port()), guard.signal()));
        }

        @Override
        public Optional<Break> mode(Guard.Mode guard) {
            return Optional.of(Why.this.mode(device.id(), guard.name(), guard.is()));
        }

        @Override
        public Optional<Break> setting(Guard.Setting guard) {
            String now = picture.setting(device.id(), guard.name()).orElse("nothing");
            Optional<KeyPress> press = device.device().settings().stream()
                    .filter(c -> c.name().equals(guard.name()))
                    .flatMap(c -> c.press().stream())
                    .findFirst();
            if (press.isPresent())
                return says("%s does \"%s\" at %s, and needed is \"%s\"."
                        .formatted(name, now, press.get().label(), guard.is()));
            return says("%s is set to %s = %s, and needs %s.".formatted(name, guard.name(), now, guard.is()));
        }

        @Override
        public Optional<Break> state(Guard.State guard) {
            return says("%s works only with %s %s."
                    .formatted(name, guard.field().label(), String.join(" or ", guard.values())));
        }

        @Override
        public Optional<Break> placed(Guard.Placed guard) {
            return says("%s is misplaced: %s.".formatted(name, guard.name()));
        }

        @Override
        public Optional<Break> amps(Guard.Amps guard) {
            return heldBack();
        }

        @Override
        public Optional<Break> not(Guard.Not guard) {
            return heldBack();
        }

        @Override
        public Optional<Break> open(Guard.Open guard) {
            return heldBack();
        }
    }

    private Break volts(Instance device, Guard.Volts v) {
        TerminalId at = device.terminal(v.terminal());
        TerminalId of = device.terminal(v.of());
        if (picture.at(of).reading().isEmpty())
            return seek(of, sentence(labels.terminal(of)) + " has no way to ground.");
        Optional<Volts> reading = picture.between(at, of).reading();
        String found = sentence(labels.terminal(at))
                + reading.map(r -> " reads " + number(r.value()) + " V").orElse(" is not connected");
        if (v.learned().isPresent()) return learned(device, v, at, found);
        Optional<Quantity> max = v.max().filter(m -> reading.filter(r -> r.value() > m.at(picture.state(), false))
                .isPresent());
        if (max.isPresent())
            return tooHigh(
                    at, found + ", more than the " + number(max.get().at(picture.state(), false)) + " V allowed.");
        return seek(
                at,
                found
                        + v.min()
                                .map(m -> ", needs " + number(m.at(picture.state(), false)) + " V")
                                .orElse("") + ".");
    }

    /**
     * What should be pulled to ground and is not: where its wire ends at the car's plug, something is missing there.
     */
    private Break tooHigh(TerminalId at, String found) {
        Reach reach = reach(at);
        boolean ends = reach.ends.stream()
                .filter(t -> t.instance().equals(Builder.CAR))
                .anyMatch(t -> installation.terminal(t).flow() == Flow.SHARES
                        && paths.at(t).stream().noneMatch(e -> e.conductor()
                                .filter(c -> c.kind() == Conductor.Kind.CONTACT)
                                .isPresent()));
        return ends ? deadEnd(reach, found) : new Break(at.toString(), found, Optional.empty(), Optional.empty());
    }

    private Break learned(Instance device, Guard.Volts v, TerminalId at, String found) {
        Optional<Break> open = openOnTheWay(at);
        if (open.isPresent()) return open.get();
        if (paths.at(at).isEmpty()) return seek(at, "Nothing is connected to " + labels.terminal(at) + ".");
        return new Break(
                at.toString(),
                "%s with \"%s\" pressed, which %s did not learn to tell from the others."
                        .formatted(found, v.learned().orElseThrow(), labels.device(device.id())),
                Optional.empty(),
                Optional.of(new Need.Lead(LeadRole.STEERING_1)));
    }

    private Break mode(String instance, String mode, String wanted) {
        String key = instance + "." + mode;
        Optional<ModeChange> change = change(key);
        if (change.isPresent()) return entered(instance, change.get());
        Optional<Instance> device = installation.instance(instance);
        Optional<Rule> enters = device.flatMap(i -> i.device().rules().stream()
                .filter(r -> r.then().contains(new Effect.Enter(mode, wanted)))
                .findFirst());
        if (enters.isPresent()) return rule(device.get(), enters.get());
        return new Break(
                key,
                "%s is in %s = %s and never enters %s."
                        .formatted(
                                labels.device(instance), mode, picture.modes().getOrDefault(key, "nothing"), wanted),
                Optional.empty(),
                Optional.empty());
    }

    /** A mode was entered earlier: say when, and follow the supply whose absence did it. */
    private Break entered(String instance, ModeChange change) {
        Picture then = attempt.steps().stream()
                .filter(s -> s.changes().contains(change))
                .findFirst()
                .orElseThrow()
                .picture();
        Rule rule = then.rule(change.by()).orElseThrow();
        Instance device = installation.instance(instance).orElseThrow();
        String when = "%s entered %s = %s with key %s"
                .formatted(
                        labels.device(instance),
                        change.mode().substring(instance.length() + 1),
                        change.value(),
                        change.in().word(StateField.KEY));
        Optional<TerminalId> watched = watched(rule.when()).map(device::terminal);
        if (watched.isEmpty()) return new Break(change.by().toString(), when + ".", Optional.empty(), Optional.empty());
        String reading = then.at(watched.get())
                .reading()
                .map(r -> " reads " + number(r.value()) + " V")
                .orElse(" is not connected");
        Break sought = seek(watched.get(), when + ", where " + labels.terminal(watched.get()) + reading + ".");
        return new Break(sought.at(), sought.why(), sought.conductor().or(() -> legAt(watched.get())), sought.need());
    }

    private Optional<ConductorId> legAt(TerminalId lead) {
        return paths.at(lead).stream()
                .flatMap(e -> e.conductor().stream())
                .filter(c -> c.kind() == Conductor.Kind.LEG)
                .map(Conductor::id)
                .findFirst();
    }

    private static Optional<String> watched(Guard guard) {
        if (guard instanceof Guard.Volts v) return Optional.of(v.terminal());
        if (guard instanceof Guard.Not n) return watched(n.guard());
        return guard instanceof Guard.All all
                ? all.guards().stream().flatMap(g -> watched(g).stream()).findFirst()
                : Optional.empty();
    }

    // --- arrivals

    private Break arrival(PortRef port, String signal) {
        Optional<Arrival> faint = picture.faint().stream()
                .filter(a -> a.at().equals(port) && a.signal().equals(signal))
                .findFirst();
        if (faint.isPresent())
            return new Break(
                    port.toString(),
                    "The signal \"%s\" arrives at the %s too weak%s."
                            .formatted(
                                    signal,
                                    labels.device(port.instance()),
                                    faint.get()
                                            .level()
                                            .number()
                                            .map(d -> ", at %s dB".formatted(number(d.value())))
                                            .orElse("")),
                    Optional.empty(),
                    Optional.empty());
        if (!asked.add(port + " " + signal))
            return new Break(
                    port.toString(), sentence(signal) + " goes in a circle.", Optional.empty(), Optional.empty());
        Optional<Instance> device = installation.instance(port.instance());
        Optional<Port> found = device.flatMap(i -> i.device().ports().stream()
                .filter(p -> p.id().equals(port.port()))
                .findFirst());
        if (found.isEmpty()) return ability(port.instance(), "There is no %s here.".formatted(port.instance()), signal);
        return alongReference(port, signal).orElseGet(() -> back(device.get(), found.get(), signal));
    }

    /** Where every device of the reference's way is still here, the way is walked from its source. */
    private Optional<Break> alongReference(PortRef port, String signal) {
        Optional<Arrival> then = reference.filter(Attempt::fulfilled).flatMap(r -> r.picture(attempt.failedStep())
                .arrival(port, signal));
        if (then.isEmpty()) return Optional.empty();
        List<Arrival> chain = new ArrayList<>();
        for (Optional<Arrival> a = then; a.isPresent(); a = a.get().before()) chain.add(0, a.get());
        if (!chain.stream()
                .allMatch(a -> same(a.at().instance()) && same(a.sentBy().instance()))) return Optional.empty();
        for (Arrival a : chain) {
            Instance sender = installation.instance(a.sentBy().instance()).orElseThrow();
            if (!picture.inForce(a.sentBy())) {
                Optional<Rule> rule = picture.rule(a.sentBy());
                if (rule.isPresent()) return Optional.of(rule(sender, rule.get()));
            }
            if (picture.arrival(a.at(), signal).isEmpty())
                return a.sentFrom().flatMap(from -> brokenBetween(from, a.at()));
        }
        return Optional.empty();
    }

    private boolean same(String instance) {
        Optional<Instance> now = installation.instance(instance);
        Optional<Instance> then =
                reference.orElseThrow().picture(0).installation().instance(instance);
        return now.isPresent() && then.isPresent() && now.get().sameAs(then.get());
    }

    private Optional<Break> brokenBetween(PortRef from, PortRef to) {
        Set<Hop> hops = new LinkedHashSet<>();
        new Paths(reference.orElseThrow().picture(attempt.failedStep())).legs(from, to, hops);
        Installation then = reference.orElseThrow().picture(0).installation();
        for (Hop hop : hops) {
            if (hop instanceof Hop.Through t && !picture.inForce(t.rule()))
                return Optional.of(rule(
                        installation.instance(t.rule().instance()).orElseThrow(),
                        picture.rule(t.rule()).orElseThrow()));
            if (!(hop instanceof Hop.Over over)) continue;
            Optional<Conductor> now = installation.conductor(over.conductor());
            Conductor before = then.conductor(over.conductor()).orElseThrow();
            boolean moved = now.isPresent()
                    && !(now.get().a().equals(before.a()) && now.get().b().equals(before.b()));
            if (now.isEmpty() && before.kind() == Conductor.Kind.CONTACT) return Optional.of(unmated(before, then));
            if (now.isEmpty() || moved || !picture.closed(now.get())) {
                String what = sentence(labels.conductor(before));
                return Optional.of(new Break(
                        over.conductor().text(),
                        what + (moved ? " goes to another place." : " is open."),
                        Optional.of(over.conductor()),
                        Optional.empty()));
            }
        }
        return Optional.empty();
    }

    private Break unmated(Conductor before, Installation then) {
        Terminal end = then.terminal(before.a());
        String what = new Labels(then).terminal(end.id());
        return new Break(
                end.id().toString(),
                "Nothing takes up %s: its plug has no partner here.".formatted(what),
                Optional.empty(),
                end.role().map(Need.Lead::new));
    }

    /** From the target backwards over conductors and connections, open or not. */
    private Break back(Instance device, Port port, String signal) {
        PortRef ref = new PortRef(device.id(), port.id());
        if (port.medium() == Medium.INTERNAL)
            return sender(device, port, signal)
                    .orElseGet(() -> ability(
                            device.id(),
                            "Nothing in %s makes %s.".formatted(device.device().name(), signal),
                            signal));
        TerminalId start = device.terminal(port.plus().orElseThrow());
        Reach reach = reach(start);
        for (TerminalId end : reach.ends)
            for (Instance i : installation.instances())
                for (Port p : i.device().ports()) {
                    if (!p.sends()
                            || p.medium() != port.medium()
                            || new PortRef(i.id(), p.id()).equals(ref)
                            || p.plus().isEmpty()) continue;
                    if (!i.terminal(p.plus().get()).equals(end)
                            && p.minus().filter(m -> i.terminal(m).equals(end)).isEmpty()) continue;
                    Optional<Break> senderFault = sender(i, p, signal);
                    if (senderFault.isPresent()) return senderFault.get();
                }
        if (reach.open.isPresent()) return open(reach.open.get());
        Optional<Break> minus = port.minus()
                .map(m -> reach(device.terminal(m)))
                .flatMap(r -> r.open)
                .map(this::open);
        return minus.orElseGet(() -> deadEnd(
                reach,
                "The signal \"%s\" does not reach the %s."
                        .formatted(signal, device.device().name())));
    }

    /**
     * Why a port that could send the signal does not; empty where it does, or never would. Of several rules that
     * could send it, those in force are followed first, and the one counts whose way ends at something that can be
     * mended.
     */
    private Optional<Break> sender(Instance i, Port out, String signal) {
        List<Break> found = new ArrayList<>();
        for (boolean inForce : new boolean[] {true, false})
            for (Rule rule : i.device().rules())
                if (picture.inForce(new RuleRef(i.id(), rule.id())) == inForce)
                    for (Effect effect : rule.then())
                        silent(i, rule, effect, out, signal).ifPresent(found::add);
        return telling(found);
    }

    private Optional<Break> silent(Instance i, Rule rule, Effect effect, Port out, String signal) {
        boolean emits = effect instanceof Effect.Emit e
                && e.port().equals(out.id())
                && e.signal().equals(signal);
        boolean carries = effect instanceof Effect.Carry c && c.out().equals(out.id());
        if (!emits && !carries || ofAnotherPress(i, rule)) return Optional.empty();
        if (!picture.inForce(new RuleRef(i.id(), rule.id()))) return Optional.of(rule(i, rule));
        PortRef in = effect instanceof Effect.Carry c ? new PortRef(i.id(), c.in()) : null;
        return in != null && picture.arrival(in, signal).isEmpty()
                ? Optional.of(arrival(in, signal))
                : Optional.empty();
    }

    /** What a device is told to do at a button that is not pressed here would never have served. */
    private boolean ofAnotherPress(Instance i, Rule rule) {
        return i.device().settings().stream()
                .filter(c -> rule.when()
                        .parts()
                        .anyMatch(g -> g instanceof Guard.Setting s && s.name().equals(c.name())))
                .flatMap(c -> c.press().stream())
                .anyMatch(p -> !picture.state().buttons().contains(p.button())
                        || p.held() != picture.state().buttons().contains(KeyPress.HELD));
    }

    // --- supplies

    /** What can be reached from a terminal, nearest first, and the first thing on the way that is open. */
    private record Reach(List<TerminalId> ends, Optional<Paths.Edge> open) {}

    private Reach reach(TerminalId start) {
        Set<TerminalId> seen = new LinkedHashSet<>(List.of(start));
        Deque<TerminalId> queue = new ArrayDeque<>(seen);
        Optional<Paths.Edge> open = Optional.empty();
        while (!queue.isEmpty())
            for (Paths.Edge e : paths.at(queue.poll())) {
                if (!e.closed() && open.isEmpty() && !seen.contains(e.to())) open = Optional.of(e);
                if (!e.to().equals(Paths.GROUND) && seen.add(e.to())) queue.add(e.to());
            }
        return new Reach(List.copyOf(seen), open);
    }

    private Optional<Break> openOnTheWay(TerminalId at) {
        return reach(at).open.map(this::open);
    }

    private Break seek(TerminalId at, String found) {
        Reach reach = reach(at);
        if (reach.open.isEmpty()) return deadEnd(reach, found);
        Break open = open(reach.open.get());
        return new Break(open.at(), found + " " + open.why(), open.conductor(), open.need());
    }

    private Break open(Paths.Edge edge) {
        if (edge.conductor().isPresent()) {
            Conductor c = edge.conductor().get();
            return new Break(
                    c.id().text(), sentence(labels.conductor(c)) + " is open.", Optional.of(c.id()), Optional.empty());
        }
        RuleRef ref = edge.rule().orElseThrow();
        return rule(
                installation.instance(ref.instance()).orElseThrow(),
                picture.rule(ref).orElseThrow());
    }

    /** Conductors end without a source: the need is the role of the lead where they end. */
    private Break deadEnd(Reach reach, String found) {
        Optional<Terminal> end = reach.ends.stream()
                .filter(t -> t.instance().equals(Builder.CAR))
                .map(installation::terminal)
                .filter(t -> t.role().isPresent())
                .findFirst()
                .or(() -> reach.ends.stream()
                        .map(installation::terminal)
                        .filter(t -> t != null && t.role().isPresent())
                        .findFirst());
        if (end.isEmpty()) return new Break(reach.ends.get(0).toString(), found, Optional.empty(), Optional.empty());
        LeadRole role = end.get().role().get();
        boolean given =
                end.get().flow() == Flow.GIVES && end.get().id().instance().equals(Builder.CAR);
        String stops = " The way ends at " + labels.terminal(end.get().id())
                + (given
                        ? "."
                        : end.get().flow() == Flow.SHARES ? ", where nothing is joined." : ", which nothing feeds.");
        return new Break(end.get().id().toString(), found + stops, Optional.empty(), Optional.of(new Need.Lead(role)));
    }

    private static String sentence(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    static String number(double value) {
        if (Math.abs(value) < 0.0005) return "0";
        return String.format(Locale.ROOT, Math.abs(value) < 0.095 ? "%.3f" : "%.1f", value);
    }
}
