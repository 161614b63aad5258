package velvetbezel.harness;

import java.util.Optional;
import java.util.function.Function;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;

/** What sheets say that a lead draws or bears, read off the rules without running them. */
final class Draws {
    private static final double VOLTS = 12;
    /** Less than this is a signal, not a load (from memory). */
    private static final double LEAST = 1e-4;

    private final Function<String, Instance> devices;
    private final Components components;

    Draws(Draft draft, Components components) {
        this(draft::instance, components);
    }

    Draws(Installation installation, Components components) {
        this(id -> installation.instance(id).orElseThrow(), components);
    }

    private Draws(Function<String, Instance> devices, Components components) {
        this.devices = devices;
        this.components = components;
    }

    /** Most that what hangs on a lead draws, in amps; empty where no sheet says, or where it is only a range. */
    Optional<Double> drawnAt(TerminalId lead) {
        double sum = 0;
        for (TerminalId t : components.with(lead)) {
            if (t.instance().equals(Builder.CAR) || t.instance().equals(JointId.NODE)) continue;
            Instance i = devices.apply(t.instance());
            double most = 0;
            for (Rule rule : i.device().rules())
                for (Effect effect : rule.then())
                    if (effect instanceof Effect.Draw d && i.terminal(d.a()).equals(t)) {
                        if (!(d.ohms() instanceof Quantity.Fixed f)) return Optional.empty();
                        most = Math.max(most, VOLTS / f.value());
                    }
            sum += most;
        }
        return sum > LEAST ? Optional.of(sum) : Optional.empty();
    }

    /** The current at which an output gives up; empty where its sheet does not say. */
    Optional<Double> limit(TerminalId output) {
        Instance i = devices.apply(output.instance());
        return i.device().rules().stream()
                .filter(r -> r.then().stream().anyMatch(Effect.Enter.class::isInstance))
                .flatMap(r -> r.when().parts())
                .filter(g ->
                        g instanceof Guard.Amps a && i.terminal(a.terminal()).equals(output))
                .flatMap(g -> g.numbers().stream())
                .filter(Quantity.Fixed.class::isInstance)
                .map(q -> ((Quantity.Fixed) q).value())
                .min(Double::compare);
    }
}
