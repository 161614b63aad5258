package velvetbezel.function;

import java.util.HashSet;
import java.util.Set;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Rule;

/** What an installation could ever show or send, by its rules alone: what it could not needs no run. */
final class Able {
    private final Set<String> shows = new HashSet<>();
    private final Set<String> signals = new HashSet<>();
    private final Set<PortRef> ports = new HashSet<>();

    Able(Installation installation) {
        for (Instance i : installation.instances()) {
            i.device().ports().forEach(p -> ports.add(new PortRef(i.id(), p.id())));
            for (Rule rule : i.device().rules())
                for (Effect effect : rule.then()) {
                    if (effect instanceof Effect.Show show) shows.add(i.id() + ":" + show.what());
                    if (effect instanceof Effect.Emit emit) signals.add(emit.signal());
                }
        }
    }

    boolean of(Function function) {
        return function.scenario().stream().flatMap(s -> s.expects().stream()).allMatch(this::of);
    }

    private boolean of(Expect expect) {
        if (expect instanceof Expect.Shows e) return shows.contains(e.instance() + ":" + e.what());
        if (expect instanceof Expect.Arrives e) return ports.contains(e.at()) && signals.contains(e.signal());
        return !(expect instanceof Expect.Any any) || any.expects().stream().anyMatch(this::of);
    }
}
