package velvetbezel.controls;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Installation;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Learned;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.RuleRef;
import velvetbezel.run.Run;
import velvetbezel.run.Window;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.Rule;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/**
 * What pressing a button of the wheel does in an installation, run like everything else: what the reader measures, which
 * button it takes that for, which messages go out and what is shown. Only what the press adds is told.
 *
 * @param taken what each input of the kit makes of the press
 */
public record KeyTry(String button, boolean held, List<Taken> taken, List<Said> messages, List<Said> shown) {
    /**
     * @param volts  against the reader's own ground
     * @param window of the button that the reader takes it for; empty where it is in none
     */
    public record Taken(TerminalId at, Volts volts, String button, Optional<Window> window) {}

    /** What a device says or shows. */
    public record Said(String instance, String what) {}

    /**
     * @param set    with everything set up, and with what was found of this car's wheel
     * @param learnt what devices learned of the buttons; empty: what they would learn of this wheel
     */
    public static KeyTry of(
            Installation set, List<KeyInput> keys, Optional<Learned> learnt, String button, boolean held) {
        FirstUse first = FirstUse.of(set, Assumption.ALL_FIRST);
        Learned learned = learnt.orElse(first.learned());
        Run run = new Run(set, learned, Assumption.ALL_FIRST);
        VehicleState rest = VehicleState.AT_REST.with(StateField.KEY, "run");
        Memory memory = run.in(rest, first.memory()).memory();
        Set<String> pressed = set.recipe().vehicle().absentButtons().contains(button)
                ? Set.of()
                : held ? Set.of(button, KeyPress.HELD) : Set.of(button);
        Picture before = run.in(rest, memory).picture();
        Picture now = run.in(rest.withButtons(pressed), memory).picture();
        List<Said> messages = new ArrayList<>();
        List<Said> shown = new ArrayList<>();
        set.instances().forEach(i -> {
            for (Rule r : i.device().rules()) {
                RuleRef ref = new RuleRef(i.id(), r.id());
                if (!now.inForce(ref) || before.inForce(ref)) continue;
                for (Effect e : r.then()) {
                    if (e instanceof Effect.Emit m) messages.add(new Said(i.id(), m.signal()));
                    if (e instanceof Effect.Show s) shown.add(new Said(i.id(), s.what()));
                }
            }
        });
        return new KeyTry(
                button,
                held,
                keys.stream().flatMap(k -> taken(now, k, learned).stream()).toList(),
                List.copyOf(new LinkedHashSet<>(messages)),
                List.copyOf(new LinkedHashSet<>(shown)));
    }

    private static Optional<Taken> taken(Picture now, KeyInput key, Learned learned) {
        TerminalId at = key.reader().at();
        String terminal = at.instance() + "." + at.name();
        return now.between(at, key.reader().of()).reading().map(v -> {
            String button = learned.button(terminal, v.value()).orElse("");
            return new Taken(at, v, button, learned.window(terminal, button));
        });
    }

    /** Whether anything came of it. */
    public boolean nothing() {
        return messages.isEmpty() && shown.isEmpty();
    }
}
