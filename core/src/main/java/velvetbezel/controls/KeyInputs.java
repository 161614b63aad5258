package velvetbezel.controls;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Picture;
import velvetbezel.run.RuleRef;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * Finds the inputs for keys of an installation and what each button leaves of their voltage, by running it: nothing
 * is pressed, then each button. How the wheel is wired need not be known.
 */
public final class KeyInputs {
    /** More than this is as good as nothing pressed: readers do not go so high (from memory). */
    private static final double MOST_OHMS = 1e6;

    /** A button of the wheel shorts its chain by less than this; more is a resistor of its own (our choice). */
    private static final double SHORT = 5;

    private final Installation installation;
    private final FirstUse first;
    private final FirstUse last;

    private KeyInputs(Installation installation) {
        this.installation = installation;
        this.first = FirstUse.of(installation, Assumption.ALL_FIRST);
        this.last = FirstUse.of(installation, Assumption.ALL_LAST);
    }

    /** In the order of the installation's devices. */
    public static List<KeyInput> of(Installation installation) {
        if (installation.instances().stream().noneMatch(i -> !learning(i).isEmpty())) return List.of();
        KeyInputs all = new KeyInputs(installation);
        List<KeyInput> inputs = new ArrayList<>();
        for (Instance i : installation.instances())
            learning(i).forEach((terminal, guard) -> all.reader(i, terminal, guard.of())
                    .ifPresent(r -> inputs.add(all.input(i, r))));
        return inputs;
    }

    /** Terminals at which a device asks for what it learned, each with such a guard. */
    private static Map<String, Guard.Volts> learning(Instance instance) {
        Map<String, Guard.Volts> found = new LinkedHashMap<>();
        for (Rule r : instance.device().rules())
            instance.device().parts(r.when()).forEach(g -> {
                if (g instanceof Guard.Volts v && v.learned().isPresent()) found.putIfAbsent(v.terminal(), v);
            });
        return found;
    }

    /** Empty where the device has no pull-up of its own there, or its numbers are open. */
    private Optional<KeyReader> reader(Instance instance, String terminal, String of) {
        return drives(instance)
                .filter(d -> d.drive.plus().equals(terminal))
                .filter(d -> d.drive.volts() instanceof Quantity.Fixed && d.drive.ohms() instanceof Quantity.Fixed)
                .map(d -> new KeyReader(
                        instance.terminal(terminal),
                        instance.terminal(of),
                        new Volts(((Quantity.Fixed) d.drive.volts()).value()),
                        new Ohms(((Quantity.Fixed) d.drive.ohms()).value()),
                        d.drive.converter()))
                .findFirst();
    }

    private record Driven(RuleRef by, Effect.Drive drive) {}

    private static Stream<Driven> drives(Instance i) {
        return i.device().rules().stream().flatMap(r -> r.then().stream()
                .filter(Effect.Drive.class::isInstance)
                .map(e -> new Driven(new RuleRef(i.id(), r.id()), (Effect.Drive) e)));
    }

    private KeyInput input(Instance instance, KeyReader reader) {
        VehicleState state = learningState(instance, reader.at());
        Picture rest = picture(first, state);
        if (drives(instance)
                .filter(d -> instance.terminal(d.drive.plus()).equals(reader.at()))
                .noneMatch(d -> rest.inForce(d.by))) return KeyInput.not(reader, KeyInput.Trouble.ASLEEP, List.of());
        if (others(rest, reader)) return KeyInput.not(reader, KeyInput.Trouble.TWO_READERS, List.of());
        List<Rung> rungs = rungs(first, state, reader);
        if (rungs.size() < 2) return KeyInput.not(reader, KeyInput.Trouble.NO_BUTTON, List.of());
        if (!same(rungs, rungs(last, state, reader)))
            return KeyInput.not(reader, KeyInput.Trouble.NOT_STATED, openFields());
        Set<String> buttons = new HashSet<>(rungs.stream().map(Rung::button).toList());
        Optional<Double> stated = pressed(buttons)
                .flatMap(KeyInputs::tolerance)
                .max(Double::compare)
                .map(percent -> percent / 100);
        return KeyInput.of(
                new ButtonLadder(
                        reader, rungs, shorts(buttons), stated.orElse(ButtonLadder.USUAL_TOLERANCE), stated.isEmpty()),
                wheel(rest, reader, buttons));
    }

    /** The last conductor before a resistor of a button, on the reader's side. */
    private Optional<ConductorId> wheel(Picture rest, KeyReader reader, Set<String> buttons) {
        Set<TerminalId> ends = installation.instances().stream()
                .flatMap(i -> i.device().rules().stream()
                        .filter(r -> asks(i, r, buttons))
                        .flatMap(r -> r.then().stream())
                        .flatMap(e -> e.terminals().stream())
                        .map(i::terminal))
                .filter(t -> rest.sameNet(t, reader.at()))
                .collect(Collectors.toSet());
        return installation.conductors().stream()
                .filter(c -> ends.contains(c.a()) || ends.contains(c.b()))
                .map(Conductor::id)
                .findFirst();
    }

    private static VehicleState learningState(Instance instance, TerminalId at) {
        return instance.device().firstUse().stream()
                .filter(u ->
                        u.learnAt().stream().anyMatch(t -> instance.terminal(t).equals(at)))
                .map(u -> u.set().from(VehicleState.AT_REST))
                .findFirst()
                .orElse(VehicleState.AT_REST.with(StateField.KEY, "run"));
    }

    private static Picture picture(FirstUse use, VehicleState state) {
        return use.run().in(state, use.memory()).picture();
    }

    private boolean others(Picture rest, KeyReader reader) {
        return installation.instances().stream()
                .filter(i -> !i.id().equals(reader.at().instance()))
                .anyMatch(i -> drives(i)
                        .anyMatch(d -> rest.inForce(d.by) && rest.sameNet(i.terminal(d.drive.plus()), reader.at())));
    }

    /** At rest and for each button that reads otherwise than rest. */
    private List<Rung> rungs(FirstUse use, VehicleState state, KeyReader reader) {
        List<Rung> rungs = new ArrayList<>();
        double rest = ohms(use, state.withButtons(Set.of()), reader);
        rungs.add(new Rung(Rung.REST, rest));
        for (String button : installation.recipe().vehicle().buttons()) {
            double ohms = ohms(use, state.withButtons(Set.of(button)), reader);
            if (Math.abs(reader.share(ohms) - reader.share(rest)) * reader.steps() >= 1)
                rungs.add(new Rung(button, ohms));
        }
        return rungs;
    }

    private static double ohms(FirstUse use, VehicleState state, KeyReader reader) {
        double volts = picture(use, state)
                .between(reader.at(), reader.of())
                .reading()
                .map(Volts::value)
                .orElse(reader.reference().value());
        double ohms = reader.ohms(Math.max(0, volts));
        return ohms > MOST_OHMS ? Double.POSITIVE_INFINITY : ohms;
    }

    private static boolean same(List<Rung> a, List<Rung> b) {
        if (a.size() != b.size()) return false;
        for (int i = 0; i < a.size(); i++) {
            double x = a.get(i).ohms();
            double y = b.get(i).ohms();
            if (x != y && Math.abs(x - y) > 1e-6 * Math.abs(x)) return false;
        }
        return true;
    }

    /** Effects of rules that hold while one of these buttons is pressed, or at rest in the same devices. */
    private Stream<Effect> pressed(Set<String> buttons) {
        return installation.instances().stream()
                .filter(i -> i.device().rules().stream().anyMatch(r -> asks(i, r, buttons)))
                .flatMap(i -> i.device().rules().stream())
                .flatMap(r -> r.then().stream());
    }

    private boolean shorts(Set<String> buttons) {
        return installation.instances().stream()
                .flatMap(i -> i.device().rules().stream().filter(r -> asks(i, r, buttons)))
                .flatMap(r -> r.then().stream())
                .flatMap(e -> resistor(e).stream())
                .anyMatch(ohms -> ohms < SHORT);
    }

    private static boolean asks(Instance instance, Rule rule, Set<String> buttons) {
        return instance.device()
                .parts(rule.when())
                .anyMatch(g -> g instanceof Guard.State s
                        && s.field() == StateField.BUTTONS
                        && s.values().stream().anyMatch(buttons::contains));
    }

    private static Optional<Double> resistor(Effect effect) {
        return effect.numbers().stream()
                .filter(n -> effect instanceof Effect.Draw || effect instanceof Effect.Connect)
                .filter(Quantity.Fixed.class::isInstance)
                .map(n -> ((Quantity.Fixed) n).value())
                .findFirst();
    }

    private static Stream<Double> tolerance(Effect effect) {
        if (effect instanceof Effect.Draw d) return d.tolerance().stream();
        return effect instanceof Effect.Connect c ? c.tolerance().stream() : Stream.of();
    }

    /** Numbers of the wheel that nobody stated. */
    private List<FieldRef> openFields() {
        return pressed(Set.copyOf(installation.recipe().vehicle().buttons()))
                .flatMap(e -> e.numbers().stream())
                .filter(Quantity.Open.class::isInstance)
                .map(q -> ((Quantity.Open) q).field())
                .distinct()
                .toList();
    }
}
