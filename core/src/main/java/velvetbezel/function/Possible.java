package velvetbezel.function;

import java.util.HashSet;
import java.util.Set;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Rule;

/** What an installation could ever show or send, by its rules alone: what it could not needs no run. */
final class Possible implements Expect.Visitor<Boolean> {
    private final Set<String> shows = new HashSet<>();
    private final Set<String> signals = new HashSet<>();
    private final Set<PortRef> ports = new HashSet<>();

    private final Facilities facilities;

    Possible(Installation installation) {
        facilities = new Facilities(installation);
        for (Instance i : installation.instances()) {
            i.device().ports().forEach(p -> ports.add(new PortRef(i.id(), p.id())));
            for (Rule rule : i.device().rules())
                for (Effect effect : rule.then()) {
                    if (effect instanceof Effect.Show show) shows.add(i.id() + ":" + show.what());
                    if (effect instanceof Effect.Emit emit) signals.add(emit.signal());
                }
        }
    }

    boolean of(CarFunction function) {
        return facilities.bind(function).scenario().stream()
                .flatMap(s -> s.expects().stream())
                .allMatch(this::of);
    }

    private boolean of(Expect expect) {
        return expect.accept(this);
    }

    @Override
    public Boolean arrives(Expect.Arrives e) {
        return ports.contains(e.at()) && signals.contains(e.signal());
    }

    @Override
    public Boolean shows(Expect.Shows e) {
        return shows.contains(e.instance() + ":" + e.what());
    }

    @Override
    public Boolean any(Expect.Any e) {
        return e.expects().stream().anyMatch(this::of);
    }

    @Override
    public Boolean reads(Expect.Reads e) {
        return true;
    }

    @Override
    public Boolean inMode(Expect.InMode e) {
        return true;
    }

    @Override
    public Boolean passes(Expect.Passes e) {
        return ports.contains(e.from()) && ports.contains(e.at());
    }

    @Override
    public Boolean quiet(Expect.Quiet e) {
        return true;
    }

    /** What must not be is possible even where nothing could do it. */
    @Override
    public Boolean not(Expect.Not e) {
        return true;
    }
}
