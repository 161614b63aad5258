package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Labels;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Arrival;
import velvetbezel.run.Assumption;
import velvetbezel.run.Loaded;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.PortRef;
import velvetbezel.run.Run;
import velvetbezel.run.RuleRef;
import velvetbezel.run.Settled;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Amps;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * What the installation asks of its leads, fuses, outputs and supplies: the worst of everything on with the engine
 * stopped, everything on with it running, and reverse, with each new device drawing the most that its sheet states.
 */
public final class Loads {
    private static final VehicleState ON = VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on");
    private static final List<VehicleState> STATES = List.of(ON, ON.with(StateField.ENGINE, "running"), ON.with(StateField.ENGINE, "running").with(StateField.GEAR, "reverse"));
    private static final Set<LeadRole> FEEDS = Set.of(LeadRole.GROUND, LeadRole.CONSTANT, LeadRole.ACCESSORY, LeadRole.AMP_REMOTE, LeadRole.ANTENNA_POWER, LeadRole.ILLUMINATION, LeadRole.CAMERA_POWER, LeadRole.REVERSE);
    private static final Set<LeadRole> FUSED = Set.of(LeadRole.CONSTANT, LeadRole.ACCESSORY);
    private static final double CLOSE = 0.8;
    private static final double NOTHING = 0.001;
    /** Below this the fuse of the circuit that it hangs on does. */
    private static final double WORTH_A_FUSE = 0.5;
    /** Below this many volts nothing that is damaged by a supply is meant. */
    private static final double A_SUPPLY = 4;
    private static final String FUSE = "blade fuse";
    private static final String HOLDER = "fuse holder, in line";
    private final Installation installation;
    private final Worksheet worksheet;
    private final Tables tables;
    private final Labels labels;
    private final List<Picture> pictures = new ArrayList<>();
    private final List<Loaded> loaded = new ArrayList<>();
    private final Set<RuleRef> entered = new HashSet<>();
    private final List<Load> loads = new ArrayList<>();

    private Loads(Installation installation, Worksheet worksheet, Tables tables) {
        this.installation = installation;
        this.worksheet = worksheet;
        this.tables = tables;
        this.labels = new Labels(installation);
    }

    /** @param installation with its extensions */
    public static List<Load> of(Installation installation, Worksheet worksheet, Tables tables) { return new Loads(installation, worksheet, tables).find(); }

    private List<Load> find() {
        FirstUse first = FirstUse.of(installation, Assumption.ALL_FIRST);
        Run run = new Run(installation, first.learned(), Assumption.ALL_FIRST);
        for (VehicleState state : STATES)
            for (Memory memory : List.of(run.start(), first.memory())) {
                Settled settled = run.in(state, memory);
                settled.changes().forEach(c -> entered.add(c.by()));
                pictures.add(settled.picture());
                loaded.add(Loaded.of(settled.picture(), atFullVolume(settled.picture())));
            }
        worksheet.joints().stream().filter(j -> FEEDS.contains(j.role())).forEach(this::leads);
        fresh().filter(i -> i.owner() == Instance.Owner.RADIO && i.device().ratings().draws().isEmpty()).forEach(i -> add(Load.Kind.LEAD, i.device().name(), "", Load.Verdict.UNKNOWN, "Its sheet does not state what it draws at full volume: the figures are what it draws when it plays."));
        installation.instances().forEach(this::limits);
        fresh().filter(i -> i.owner() == Instance.Owner.RADIO).forEach(i -> {
            drop(i);
            speakers(i);
            lines(i);
        });
        return loads;
    }

    private void add(Load.Kind kind, String what, String figures, Load.Verdict verdict, String text, String... goods) { loads.add(new Load(kind, what, figures, verdict, text, List.of(goods))); }

    private Stream<Instance> fresh() { return installation.instances().stream().filter(i -> i.owner() != Instance.Owner.CAR); }

    private Optional<TerminalId> terminal(Instance i, LeadRole role) {
        return installation.terminals().values().stream().filter(t -> t.id().instance().equals(i.id()) && t.kind() != Terminal.Kind.INNER && t.role().equals(Optional.of(role))).map(Terminal::id).findFirst();
    }

    /** What the new devices draw beyond what their rules say. */
    private List<Loaded.Draw> atFullVolume(Picture picture) {
        List<Loaded.Draw> more = new ArrayList<>();
        fresh().forEach(i -> i.device().ratings().draws().ifPresent(most -> {
            Optional<TerminalId> constant = terminal(i, LeadRole.CONSTANT);
            Optional<TerminalId> ground = terminal(i, LeadRole.GROUND);
            if (constant.isEmpty() || ground.isEmpty() || picture.between(constant.get(), ground.get()).reading().filter(v -> v.value() > A_SUPPLY).isEmpty()) return;
            double missing = most.value() - picture.ampsAt(constant.get()).value();
            if (missing > 0) more.add(new Loaded.Draw(constant.get(), ground.get(), new Amps(missing)));
        }));
        return more;
    }

    private double worst(ToDoubleFunction<Loaded> figure) { return loaded.stream().mapToDouble(figure).max().orElse(0); }

    /** A lead of a joint with its worst current and what it may carry. */
    private record Carried(LeadEnd lead, double amps, double carries) {
        double part() { return amps / carries; }

        String words() { return "%d AWG lead of %s".formatted(lead.gauge().known().orElseThrow().nearestAwg(), lead.deviceWords()); }
    }

    private void leads(JointRow row) {
        String what = row.role().label();
        Optional<LeadEnd> unknown = row.leads().stream().filter(l -> l.gauge().known().isEmpty()).findFirst();
        if (unknown.isPresent()) {
            add(Load.Kind.LEAD, what, "", Load.Verdict.UNKNOWN, "The gauge of the %s lead of %s is not known.".formatted(unknown.get().colourWords(), unknown.get().deviceWords()));
            return;
        }
        List<Carried> all = row.leads().stream().map(l -> new Carried(l, worst(x -> x.through(ConductorId.leg(row.id(), l.id())).value()), tables.carries(l.gauge().known().orElseThrow()).value())).toList();
        Carried worst = all.stream().max(Comparator.comparingDouble(Carried::part)).orElseThrow();
        String figures = "%s on the %s, good for %s".formatted(amps(worst.amps), worst.words(), amps(worst.carries));
        Load.Verdict verdict = verdict(worst.part());
        if (verdict == Load.Verdict.OVER) add(Load.Kind.LEAD, what, figures, verdict, "Too thin: take a thicker lead, or feed the load from elsewhere with its own fuse.");
        else if (FUSED.contains(row.role())) fused(what, figures, verdict, all);
        else add(Load.Kind.LEAD, what, figures, verdict, "");
    }

    /** The feed's fuse, and one of its own for each lead that is too thin for it. */
    private void fused(String what, String figures, Load.Verdict verdict, List<Carried> all) {
        Carried feed = all.stream().max(Comparator.comparingDouble(Carried::amps)).orElseThrow();
        if (feed.amps < WORTH_A_FUSE) {
            add(Load.Kind.LEAD, what, figures, verdict, "");
            return;
        }
        Optional<Tables.Fuse> fuse = fuse(new Amps(feed.amps)).filter(f -> f.rating().value() <= feed.carries);
        if (fuse.isEmpty()) {
            add(Load.Kind.LEAD, what, figures, Load.Verdict.OVER, "No fuse is at least %s times the load and at most what its lead carries.".formatted(Tables.plain(tables.limits().fuseFactor())));
            return;
        }
        add(Load.Kind.LEAD, what, figures, verdict, "Fuse for this feed: %s, blade (usual colours).".formatted(words(fuse.get())));
        for (Carried thin : all) {
            if (thin == feed || thin.carries >= fuse.get().rating().value()) continue;
            Optional<Tables.Fuse> own = fuse(new Amps(Math.max(NOTHING, thin.amps))).filter(f -> f.rating().value() <= thin.carries);
            own.ifPresent(f -> add(Load.Kind.LEAD, what + ", " + thin.lead.device(), "%s on the %s, good for %s".formatted(amps(thin.amps), thin.words(), amps(thin.carries)), Load.Verdict.CLOSE,
                "Thinner than the feed's fuse of %s: give it its own, %s, in line and near the joint.".formatted(amps(fuse.get().rating().value()), words(f)), HOLDER, FUSE));
        }
    }

    /** The smallest rating of at least 1.25 × a continuous load (common practice). */
    Optional<Tables.Fuse> fuse(Amps load) { return fuse(load, tables); }

    static Optional<Tables.Fuse> fuse(Amps load, Tables tables) { return tables.fuses().stream().filter(f -> f.rating().value() >= load.value() * tables.limits().fuseFactor() - 1e-9).findFirst(); }

    private static String words(Tables.Fuse f) { return "%s A, %s".formatted(Tables.plain(f.rating().value()), f.colour()); }

    private static Load.Verdict verdict(double part) { return part > 1 ? Load.Verdict.OVER : part > CLOSE ? Load.Verdict.CLOSE : Load.Verdict.BEARS; }

    /** Rules that a current or a voltage beyond a limit sets off: fuses, outputs that switch off, supplies that burn something. */
    private void limits(Instance i) {
        boolean limited = false;
        for (Rule rule : i.device().rules()) {
            if (rule.then().stream().noneMatch(e -> e instanceof Effect.Enter)) continue;
            RuleRef ref = new RuleRef(i.id(), rule.id());
            for (Guard g : rule.when() instanceof Guard.All all ? all.guards() : List.of(rule.when())) {
                if (g instanceof Guard.Amps a && a.min() instanceof Quantity.Fixed most) {
                    amps(i, ref, i.terminal(a.terminal()), most.value());
                    limited |= role(i.terminal(a.terminal())).equals(Optional.of(LeadRole.AMP_REMOTE));
                }
                if (g instanceof Guard.Volts v && v.max().isEmpty() && v.min().orElse(null) instanceof Quantity.Fixed most && most.value() > A_SUPPLY) volts(i, ref, i.terminal(v.terminal()), most.value());
            }
        }
        Optional<TerminalId> remote = terminal(i, LeadRole.AMP_REMOTE);
        if (i.owner() == Instance.Owner.RADIO && !limited && remote.isPresent()) usualRemote(i, remote.get());
    }

    private Optional<LeadRole> role(TerminalId id) { return Optional.ofNullable(installation.terminal(id)).flatMap(Terminal::role); }

    private void amps(Instance i, RuleRef ref, TerminalId at, double most) {
        if (installation.terminal(at) == null) return;
        double amps = worst(l -> l.ampsAt(at).value());
        boolean passed = entered.contains(ref) || amps > most;
        if (!passed && amps < NOTHING) return;
        boolean remote = role(at).equals(Optional.of(LeadRole.AMP_REMOTE));
        String what = "%s of %s".formatted(role(at).map(LeadRole::label).orElse(at.name()), i.device().name()).replaceFirst("^in of ", "");
        String figures = passed && amps <= most ? "more than %s asked for".formatted(amps(most)) : "%s, acts from %s".formatted(amps(amps), amps(most));
        if (!passed) add(Load.Kind.LIMIT, what, figures, verdict(amps / most), "");
        else if (remote) relay(what, figures);
        else add(Load.Kind.LIMIT, what, figures, Load.Verdict.OVER, i.owner() == Instance.Owner.CAR ? "It would blow: draw less from it, or feed from the battery with a fuse of its own." : "It switches off: draw less from it, or put a relay between.");
    }

    private void usualRemote(Instance i, TerminalId remote) {
        double amps = worst(l -> l.ampsAt(remote).value());
        double most = tables.limits().remote().value();
        String what = "amp remote of " + i.device().name();
        String figures = "%s of %s, the usual limit, as its sheet states none".formatted(amps(amps), amps(most));
        if (amps > most) relay(what, figures);
        else if (amps >= NOTHING) add(Load.Kind.LIMIT, what, figures, verdict(amps / most), "");
    }

    private void relay(String what, String figures) {
        add(Load.Kind.LIMIT, what, figures, Load.Verdict.OVER, "Put a relay in: the remote lead works its coil only, and what it switches hangs on a fused feed.", "relay with socket", HOLDER, FUSE);
    }

    private void volts(Instance i, RuleRef ref, TerminalId at, double most) {
        double volts = pictures.stream().flatMap(p -> p.at(at).reading().stream()).mapToDouble(Volts::value).max().orElse(0);
        boolean passed = entered.contains(ref) || volts >= most;
        if (!passed && volts < NOTHING) return;
        String figures = passed && volts < most ? "%s or more".formatted(volts(most)) : "%s, bears less than %s".formatted(volts(volts), volts(most));
        if (passed) add(Load.Kind.SUPPLY, i.device().name(), figures, Load.Verdict.OVER, "Its supply is too high and would destroy it: take an adapter made for its voltage.");
        else add(Load.Kind.SUPPLY, i.device().name(), figures, verdict(volts / most), "");
    }

    private void drop(Instance radio) {
        Optional<TerminalId> constant = terminal(radio, LeadRole.CONSTANT);
        Optional<TerminalId> ground = terminal(radio, LeadRole.GROUND);
        if (constant.isEmpty() || ground.isEmpty() || worst(l -> volts(l, constant.get())) < A_SUPPLY) return;
        drop("feed of " + radio.device().name(), worst(l -> highest(l) - volts(l, constant.get())), tables.limits().feedDrop().value(), amps(worst(l -> l.ampsAt(constant.get()).value())));
        drop("ground of " + radio.device().name(), worst(l -> volts(l, ground.get())), tables.limits().groundDrop().value(), amps(worst(l -> l.ampsAt(ground.get()).value())));
    }

    private void drop(String what, double volts, double most, String amps) {
        // worth a warning, not forbidden
        add(Load.Kind.DROP, what, "%s at %s, worth a look from %s".formatted(volts(volts), amps, volts(most)), volts > most ? Load.Verdict.CLOSE : Load.Verdict.BEARS, volts > most ? "A thicker or shorter lead drops less; a poor joint drops more." : "");
    }

    private static double volts(Loaded l, TerminalId id) { return l.at(id).reading().map(Volts::value).orElse(0.0); }

    /** At the battery: nothing in the car is higher. */
    private double highest(Loaded l) { return installation.terminals().keySet().stream().mapToDouble(t -> volts(l, t)).max().orElse(0); }

    private static Stream<Port> outputs(Instance i, LeadRole.Group group, Installation installation) {
        return i.device().ports().stream().filter(p -> p.medium() == Medium.AUDIO && p.dir() == Port.Dir.OUT && p.plus().isPresent() && p.minus().isPresent())
            .filter(p -> Optional.ofNullable(installation.terminal(i.terminal(p.plus().get()))).flatMap(Terminal::role).filter(r -> r.group() == group).isPresent());
    }

    private void speakers(Instance radio) {
        Optional<Ohms> least = radio.device().ratings().leastSpeaker();
        outputs(radio, LeadRole.Group.SPEAKER, installation).forEach(p -> Loaded.ohms(pictures.get(0), radio.terminal(p.plus().orElseThrow()), radio.terminal(p.minus().orElseThrow())).ifPresent(ohms -> {
            String what = role(radio.terminal(p.plus().orElseThrow())).orElseThrow().label().replace(" +", "");
            if (least.isEmpty()) add(Load.Kind.SPEAKER, what, ohms(ohms.value()), Load.Verdict.UNKNOWN, "The sheet of %s does not state the least load of a channel.".formatted(radio.device().name()));
            else add(Load.Kind.SPEAKER, what, "%s on a channel made for %s and more".formatted(ohms(ohms.value()), ohms(least.get().value())), ohms.value() < least.get().value() ? Load.Verdict.OVER : Load.Verdict.BEARS,
                ohms.value() < least.get().value() ? "The channel overheats or switches off: keep the factory amplifier, or fit speakers of more ohms." : "");
        }));
    }

    private void lines(Instance radio) {
        Map<PortRef, LeadRole> outs = new LinkedHashMap<>();
        outputs(radio, LeadRole.Group.LINE, installation).forEach(p -> outs.put(new PortRef(radio.id(), p.id()), role(radio.terminal(p.plus().orElseThrow())).orElseThrow()));
        Set<String> told = new HashSet<>();
        SortedSet<String> noisy = new TreeSet<>();
        for (int k = 0; k < pictures.size(); k++)
            for (Instance i : installation.instances())
                for (Port in : i.device().ports()) {
                    if (in.medium() != Medium.AUDIO || in.dir() != Port.Dir.IN) continue;
                    for (Arrival arrival : pictures.get(k).arrivals(new PortRef(i.id(), in.id()))) {
                        Optional<LeadRole> from = senders(arrival).filter(outs::containsKey).map(outs::get).findFirst();
                        if (from.isEmpty()) continue;
                        if (i.device().ratings().lineIn().isPresent() && told.add(i.id())) level(radio, i);
                        double noise = noise(loaded.get(k), arrival);
                        if (in.quiet().filter(q -> noise > q.value()).isPresent()) noisy.add(from.get().label().replaceAll("line (front|rear) .*", "$1"));
                    }
                }
        if (!noisy.isEmpty()) add(Load.Kind.LINE, "ground shared with the line feed", "noise on %s".formatted(String.join(" and ", noisy)), Load.Verdict.OVER, "Pops at on and off, whine with the engine: current of another device returns over the line's shield. An isolator per pair, front and rear, cures it; one alone leaves the pop. Choose them at Match.");
    }

    /** The largest drop along a return on the way at full volume, in volts. */
    private double noise(Loaded at, Arrival arrival) {
        return chain(arrival).filter(a -> a.sentFrom().isPresent()).mapToDouble(a -> Math.abs(minus(at, a.at()) - minus(at, a.sentFrom().get()))).max().orElse(0);
    }

    private double minus(Loaded at, PortRef port) {
        Instance i = installation.instance(port.instance()).orElseThrow();
        return i.device().ports().stream().filter(p -> p.id().equals(port.port())).flatMap(p -> p.minus().stream()).findFirst().map(m -> volts(at, i.terminal(m))).orElse(0.0);
    }

    private static Stream<Arrival> chain(Arrival arrival) { return Stream.iterate(Optional.of(arrival), Optional::isPresent, a -> a.get().before()).map(Optional::get); }

    /** Ports that an arrival came by, nearest first. */
    private static Stream<PortRef> senders(Arrival arrival) { return chain(arrival).flatMap(a -> a.sentFrom().stream()); }

    private void level(Instance radio, Instance amplifier) {
        Volts takes = amplifier.device().ratings().lineIn().orElseThrow();
        Optional<Volts> gives = radio.device().ratings().lineOut();
        String what = "input of " + amplifier.device().name();
        if (gives.isEmpty()) add(Load.Kind.LINE, what, "takes " + volts(takes.value()), Load.Verdict.UNKNOWN, "The sheet of %s does not state what its line outputs give.".formatted(radio.device().name()));
        else if (gives.get().value() <= takes.value()) add(Load.Kind.LINE, what, "%s of %s".formatted(volts(gives.get().value()), volts(takes.value())), Load.Verdict.BEARS, "");
        else {
            Pad pad = Pad.of(gives.get(), takes);
            add(Load.Kind.LINE, what, "%s of %s".formatted(volts(gives.get().value()), volts(takes.value())), Load.Verdict.OVER,
                "It clips before the radio's scale ends: a pad in each line lead, %s in series and %s across the input, leaves %s (E24 values nearest by ratio).".formatted(ohms(pad.series().value()), ohms(pad.shunt().value()), volts(pad.gives().value())));
        }
    }

    private static String amps(double amps) { return "%s A".formatted(figure(amps)); }

    private static String volts(double volts) { return "%s V".formatted(figure(volts)); }

    private static String ohms(double ohms) { return "%s Ω".formatted(figure(ohms)); }

    private static String figure(double value) {
        if (Math.abs(value) < 0.0005) return "0";
        if (Math.abs(value) < 0.01) return String.format(Locale.ROOT, "%.3f", value);
        String text = String.format(Locale.ROOT, Math.abs(value) < 100 ? "%.2f" : "%.0f", value);
        return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    }
}
