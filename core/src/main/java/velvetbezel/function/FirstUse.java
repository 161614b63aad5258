package velvetbezel.function;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Learned;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.run.Settled;
import velvetbezel.run.Window;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.ScenarioStep;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/**
 * What is done once before an installation is used: set-up screens confirmed, buttons learned one by one.
 * Done on the healthy design; faults are tried afterwards with what it stored.
 *
 * @param run in which it was done
 */
public record FirstUse(Learned learned, Memory memory, Run run) {
    /** Voltages closer than this cannot be told apart (a step of a 10-bit converter at 5 V, from memory). */
    private static final double RESOLUTION = 0.005;

    public static FirstUse of(Installation healthy, Assumption assumption) {
        return of(healthy, assumption, true);
    }

    /** @param taught whether buttons are learned: what presses none does the same without */
    static FirstUse of(Installation healthy, Assumption assumption, boolean taught) {
        Run run = new Run(healthy, Learned.NOTHING, assumption);
        Map<String, Map<String, Window>> windows = new HashMap<>();
        Memory memory = run.start();
        for (Instance instance : healthy.instances())
            for (ScenarioStep.FirstUse use : instance.device().firstUse()) {
                VehicleState state = use.set().from(VehicleState.AT_REST);
                Settled settled = run.in(state, memory);
                memory = settled.memory();
                for (String terminal : taught ? use.learnAt() : List.<String>of())
                    windows.put(
                            instance.id() + "." + terminal,
                            learn(
                                    run,
                                    state,
                                    memory,
                                    instance.terminal(terminal),
                                    measuredAgainst(instance, terminal),
                                    healthy.recipe().vehicle().buttons()));
            }
        memory = run.in(VehicleState.AT_REST, memory).memory();
        return new FirstUse(new Learned(windows), memory, run);
    }

    /**
     * What a device measures a terminal against when it asks for what it learned there, so that it learns and compares
     * the same: its own ground may be lifted. Empty where no rule of it asks.
     */
    public static Optional<TerminalId> measuredAgainst(Instance instance, String terminal) {
        return instance.device().rules().stream()
                .flatMap(r -> instance.device().parts(r.when()))
                .filter(Guard.Volts.class::isInstance)
                .map(Guard.Volts.class::cast)
                .filter(v -> v.learned().isPresent() && v.terminal().equals(terminal))
                .map(v -> instance.terminal(v.of()))
                .findFirst();
    }

    /** The same without what some devices have learned. */
    FirstUse without(Set<String> devices) {
        if (devices.isEmpty()) return this;
        Map<String, Map<String, Window>> kept = new HashMap<>(learned.windows());
        kept.keySet().removeIf(terminal -> devices.contains(terminal.substring(0, terminal.indexOf('.'))));
        return new FirstUse(new Learned(kept), memory, run);
    }

    private record Reading(String button, double volts) {}

    private static Map<String, Window> learn(
            Run run, VehicleState state, Memory memory, TerminalId at, Optional<TerminalId> of, List<String> buttons) {
        List<Reading> readings = new ArrayList<>();
        read(run.in(state.withButtons(Set.of()), memory), at, of, "", readings);
        for (String button : buttons) read(run.in(state.withButtons(Set.of(button)), memory), at, of, button, readings);
        readings.sort((a, b) -> Double.compare(a.volts, b.volts));
        double idle = readings.stream()
                .filter(r -> r.button.isEmpty())
                .mapToDouble(Reading::volts)
                .findFirst()
                .orElse(Double.NaN);
        Map<String, Window> windows = new HashMap<>();
        for (int i = 0; i < readings.size(); i++) {
            Reading r = readings.get(i);
            if (r.button.isEmpty() || Math.abs(r.volts - idle) < RESOLUTION) continue;
            double low = i == 0 ? -1000 : (readings.get(i - 1).volts + r.volts) / 2;
            double high = i == readings.size() - 1 ? 1000 : (readings.get(i + 1).volts + r.volts) / 2;
            if (high - low > RESOLUTION) windows.put(r.button, new Window(low, high));
        }
        return windows;
    }

    private static void read(
            Settled settled, TerminalId at, Optional<TerminalId> of, String button, List<Reading> into) {
        Picture picture = settled.picture();
        of.map(o -> picture.between(at, o))
                .orElseGet(() -> picture.at(at))
                .reading()
                .map(Volts::value)
                .ifPresent(v -> into.add(new Reading(button, v)));
    }
}
