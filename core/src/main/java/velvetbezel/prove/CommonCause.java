package velvetbezel.prove;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Hop;
import velvetbezel.function.Outcome;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Mating;
import velvetbezel.harness.PositionId;

/**
 * Where to look first when several functions fail at once: what all of them go through and nothing that works does. One
 * cause is likelier than several (common practice, no source).
 */
public final class CommonCause {
    private final Installation installation;
    private final Map<FunctionId, Outcome> outcomes;

    public CommonCause(Installation installation, Map<FunctionId, Outcome> outcomes) {
        this.installation = installation;
        this.outcomes = outcomes;
    }

    /**
     * @param failing functions that do not work
     * @param working functions that were tried and work
     * @return what to look at, what fewest functions share first; empty for one failing function, or where nothing is
     *     shared
     */
    public List<String> of(Collection<FunctionId> failing, Collection<FunctionId> working) {
        if (failing.size() < 2) return List.of();
        Set<String> common = new LinkedHashSet<>();
        boolean first = true;
        for (FunctionId f : failing) {
            if (first) common.addAll(on(f));
            else common.retainAll(on(f));
            first = false;
        }
        working.forEach(f -> common.removeAll(on(f)));
        List<String> ordered = new ArrayList<>(common);
        ordered.sort(Comparator.comparingLong(this::users));
        return ordered;
    }

    private long users(String thing) {
        return outcomes.keySet().stream().filter(f -> on(f).contains(thing)).count();
    }

    /** Joints, plugs and devices on a function's way. */
    private Set<String> on(FunctionId f) {
        return outcomes.get(f).path().stream()
                .flatMap(hop -> thing(hop).stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private Optional<String> thing(Hop hop) {
        if (hop instanceof Hop.Over over)
            return TestPlan.joint(installation, over.conductor())
                    .map(j -> "the " + j.label())
                    .or(() -> plug(over.conductor()));
        return installation
                .instance(((Hop.Through) hop).rule().instance())
                .map(i -> "the " + i.device().name());
    }

    private Optional<String> plug(ConductorId id) {
        Optional<PositionId> contact = installation
                .conductor(id)
                .filter(c -> c.kind() == Conductor.Kind.CONTACT)
                .flatMap(c -> PositionId.of(c.a()));
        return contact.flatMap(p -> installation.matings().stream()
                .filter(m -> m.has(p.plug().instance(), p.plug().plug()))
                .findFirst()
                .map(this::words));
    }

    private String words(Mating m) {
        return "plug \"%s\" of %s in \"%s\" of %s"
                .formatted(m.plug(), device(m.instance()), m.otherPlug(), device(m.otherInstance()));
    }

    private String device(String instance) {
        return installation
                .instance(instance)
                .map(i -> i.device().name())
                .map(name -> name.equals(Builder.CAR) ? "the car" : name)
                .orElse(instance);
    }
}
