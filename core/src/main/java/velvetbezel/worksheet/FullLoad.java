package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Loaded;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.RuleRef;
import velvetbezel.run.Run;
import velvetbezel.run.Settled;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Amps;
import velvetbezel.units.Volts;

/**
 * The installation with everything on: stopped, running, in reverse; each new device at the most that its sheet
 * states.
 */
final class FullLoad {
    /** Less is nothing. */
    static final double NOTHING = 0.001;
    /** Below this many volts a lead is no supply. */
    static final double A_SUPPLY = 4;

    private static final double CLOSE = 0.8;
    private static final VehicleState ON =
            VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on");
    private static final List<VehicleState> STATES = List.of(
            ON,
            ON.with(StateField.ENGINE, "running"),
            ON.with(StateField.ENGINE, "running").with(StateField.GEAR, "reverse"));
    final Installation installation;
    final Tables tables;
    final List<Picture> pictures = new ArrayList<>();
    /** As the pictures, at full volume. */
    final List<Loaded> loaded = new ArrayList<>();

    private final Set<RuleRef> entered = new HashSet<>();

    FullLoad(Installation installation, Tables tables) {
        this.installation = installation;
        this.tables = tables;
        FirstUse first = FirstUse.of(installation, Assumption.ALL_FIRST);
        Run run = new Run(installation, first.learned(), Assumption.ALL_FIRST);
        for (VehicleState state : STATES)
            for (Memory memory : List.of(run.start(), first.memory())) {
                Settled settled = run.in(state, memory);
                settled.changes().forEach(c -> entered.add(c.by()));
                pictures.add(settled.picture());
                loaded.add(Loaded.of(settled.picture(), atFullVolume(settled.picture())));
            }
    }

    /** Whether a rule that a limit sets off was set off. */
    boolean setOff(RuleRef rule) {
        return entered.contains(rule);
    }

    /** Devices of the new radio and its kit. */
    Stream<Instance> fresh() {
        return installation.instances().stream().filter(i -> i.owner() != Instance.Owner.CAR);
    }

    Stream<Instance> radios() {
        return fresh().filter(i -> i.owner() == Instance.Owner.RADIO);
    }

    Optional<TerminalId> terminal(Instance i, LeadRole role) {
        return installation.terminals().values().stream()
                .filter(t -> t.id().instance().equals(i.id())
                        && t.kind() != Terminal.Kind.INNER
                        && t.role().equals(Optional.of(role)))
                .map(Terminal::id)
                .findFirst();
    }

    Optional<LeadRole> role(TerminalId id) {
        return Optional.ofNullable(installation.terminal(id)).flatMap(Terminal::role);
    }

    /** Sound outputs with both terminals whose leads belong to a group. */
    Stream<Port> outputs(Instance i, LeadRole.Group group) {
        return i.device().ports().stream()
                .filter(p -> p.medium() == Medium.AUDIO
                        && p.dir() == Port.Dir.OUT
                        && p.plus().isPresent()
                        && p.minus().isPresent())
                .filter(p -> role(i.terminal(p.plus().get()))
                        .filter(r -> r.group() == group)
                        .isPresent());
    }

    private List<Loaded.Draw> atFullVolume(Picture picture) {
        List<Loaded.Draw> more = new ArrayList<>();
        fresh().forEach(i -> i.device().ratings().draws().ifPresent(most -> {
            Optional<TerminalId> constant = terminal(i, LeadRole.CONSTANT);
            Optional<TerminalId> ground = terminal(i, LeadRole.GROUND);
            if (constant.isEmpty()
                    || ground.isEmpty()
                    || picture.between(constant.get(), ground.get())
                            .reading()
                            .filter(v -> v.value() > A_SUPPLY)
                            .isEmpty()) return;
            double missing = most.value() - picture.ampsAt(constant.get()).value();
            if (missing > 0) more.add(new Loaded.Draw(constant.get(), ground.get(), new Amps(missing)));
        }));
        return more;
    }

    double worst(ToDoubleFunction<Loaded> figure) {
        return loaded.stream().mapToDouble(figure).max().orElse(0);
    }

    double worstAmps(TerminalId at) {
        return worst(l -> l.ampsAt(at).value());
    }

    static double volts(Loaded l, TerminalId id) {
        return l.at(id).reading().map(Volts::value).orElse(0.0);
    }

    /** @param part of a limit */
    static Load.Verdict verdict(double part) {
        return part > 1 ? Load.Verdict.OVER : part > CLOSE ? Load.Verdict.CLOSE : Load.Verdict.BEARS;
    }

    static String amps(double amps) {
        return figure(amps) + " A";
    }

    static String volts(double volts) {
        return figure(volts) + " V";
    }

    static String ohms(double ohms) {
        return figure(ohms) + " Ω";
    }

    private static String figure(double value) {
        if (Math.abs(value) < 0.0005) return "0";
        if (Math.abs(value) < 0.01) return String.format(Locale.ROOT, "%.3f", value);
        String text = String.format(Locale.ROOT, Math.abs(value) < 100 ? "%.2f" : "%.0f", value);
        return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    }
}
