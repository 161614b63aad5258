package velvetbezel.run;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;

/** What the rules of an installation ask of a vehicle's state. The rest makes no difference to a run. */
final class RelevantState {
    private final Set<StateField> fields = EnumSet.noneOf(StateField.class);
    private final Set<String> buttons = new HashSet<>();
    private final Set<String> settings = new HashSet<>();
    /** Whether a number is missing. */
    private boolean open;

    private RelevantState() {}

    static RelevantState by(Iterable<Plan.Unit> units) {
        RelevantState asked = new RelevantState();
        for (Plan.Unit unit : units) {
            for (Choice c : unit.device().settings()) asked.settings.add(unit.id() + "." + c.name());
            asked.settings.add(unit.id() + Run.WORKING);
            unit.device().conditions().values().forEach(asked::guard);
            for (Rule rule : unit.device().rules()) {
                asked.guard(rule.when());
                rule.then().forEach(asked::effect);
            }
        }
        return asked;
    }

    private void guard(Guard guard) {
        guard.parts().forEach(g -> {
            g.numbers().forEach(this::number);
            if (!(g instanceof Guard.State s)) return;
            fields.add(s.field());
            if (s.field() == StateField.BUTTONS) buttons.addAll(s.values());
        });
    }

    private void effect(Effect effect) {
        effect.numbers().forEach(this::number);
    }

    boolean open() {
        return open;
    }

    private void number(Quantity q) {
        if (q instanceof Quantity.Open) open = true;
        if (q instanceof Quantity.Follows) fields.add(StateField.DIMMER);
    }

    VehicleState of(VehicleState state) {
        VehicleState kept = VehicleState.AT_REST;
        for (StateField f : fields) if (f.kind() == StateField.Kind.WORD) kept = kept.with(f, state.word(f));
        if (fields.contains(StateField.DIMMER)) kept = kept.withDimmer(state.dimmer());
        if (fields.contains(StateField.UNPLUGGED)) kept = kept.withUnplugged(state.unplugged());
        kept = kept.withButtons(
                state.buttons().stream().filter(buttons::contains).collect(Collectors.toSet()));
        return kept.withSettings(state.settings().entrySet().stream()
                .filter(e -> settings.contains(e.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
    }
}
