package velvetbezel.harness;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;

/** Finds outputs tied together without a diode or relay between them: an error that names both. */
final class OutputsTied {
    /** A drive behind more ohms than this is a sense, not an output (common practice, no source). */
    private static final double LEAST_SENSE_OHMS = 1000;

    private final Map<TerminalId, Output> outputs = new HashMap<>();

    /**
     * @param certain a device drives here; otherwise only a lead is said to give, which may be the same output seen
     *     at a plug
     */
    private record Output(TerminalId id, Instance instance, boolean certain) {
        boolean fights(Output other) {
            boolean sameOwner = instance.owner() == other.instance.owner()
                    && (instance.owner() == Instance.Owner.CAR || instance.id().equals(other.instance.id()));
            return !sameOwner || certain && other.certain;
        }
    }

    /** @param nets what hangs together in the draft */
    static List<InputProblem> in(Draft draft, Components nets) {
        return new OutputsTied().find(draft, nets);
    }

    private List<InputProblem> find(Draft draft, Components nets) {
        for (Instance instance : draft.instances) collect(instance);
        for (Terminal t : draft.terminals.values()) leadThatGives(draft, t);
        List<InputProblem> faults = new ArrayList<>();
        for (List<TerminalId> group : nets.groups()) {
            List<Output> here = group.stream()
                    .filter(outputs::containsKey)
                    .map(outputs::get)
                    .toList();
            for (int i = 0; i < here.size(); i++)
                for (int k = i + 1; k < here.size(); k++)
                    if (here.get(i).fights(here.get(k))) faults.add(fault(here.get(i), here.get(k)));
        }
        return faults;
    }

    private void collect(Instance instance) {
        for (Rule rule : instance.device().rules())
            for (Effect effect : rule.then())
                if (effect instanceof Effect.Drive drive && !senses(drive))
                    put(instance, instance.terminal(drive.plus()), true);
        for (Port port : instance.device().ports())
            if (port.dir() == Port.Dir.OUT && port.medium() == Medium.AUDIO)
                port.plus().ifPresent(p -> put(instance, instance.terminal(p), true));
    }

    /** A pull-up looks at a line and yields to whatever drives it. */
    private static boolean senses(Effect.Drive drive) {
        return drive.ohms() instanceof Quantity.Fixed f && f.value() >= LEAST_SENSE_OHMS;
    }

    /** Minus legs of line level are shells: several may share one return or lie on the chassis. */
    private static boolean shell(Terminal t) {
        return t.role()
                .filter(r -> r.group() == LeadRole.Group.LINE && r.label().endsWith("−"))
                .isPresent();
    }

    /** A pigtail of an adapter gives nothing itself: it only passes on what it is plugged to. */
    private void leadThatGives(Draft draft, Terminal t) {
        if (t.flow() != Flow.GIVES || shell(t)) return;
        Instance owner = draft.instance(t.id().instance());
        boolean passes =
                owner.owner() == Instance.Owner.PART && t.kind() == Terminal.Kind.POSITION || PositionId.isTail(t.id());
        if (!passes) put(owner, t.id(), owner.owner() != Instance.Owner.CAR);
    }

    private void put(Instance instance, TerminalId id, boolean certain) {
        outputs.merge(id, new Output(id, instance, certain), (a, b) -> a.certain ? a : b);
    }

    private static InputProblem fault(Output a, Output b) {
        return new InputProblem(
                a.id() + " and " + b.id(),
                "two outputs are tied together: %s of %s and %s of %s. Leave one out, or put a diode or relay between them."
                        .formatted(
                                a.id().name(),
                                a.instance().device().name(),
                                b.id().name(),
                                b.instance().device().name()));
    }
}
