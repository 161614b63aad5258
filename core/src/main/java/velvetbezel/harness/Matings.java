package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;

/**
 * Pushes plugs together: of the free plugs that fit, the one whose positions agree best; a look-alike that agrees
 * nowhere stays empty. The car's plugs look for a part first, and for the radio itself only when no part fits.
 */
final class Matings {
    private final Draft draft;
    private final List<Mating> made = new ArrayList<>();
    private final Set<String> taken = new HashSet<>();

    Matings(Draft draft) {
        this.draft = draft;
    }

    private record End(Instance instance, Plug plug) {
        String key() {
            return instance.id() + "/" + plug.id();
        }
    }

    List<Mating> make() {
        List<End> ends = new ArrayList<>();
        for (Instance i : draft.instances) for (Plug p : i.device().plugs()) ends.add(new End(i, p));
        ends.sort(Comparator.<End, Boolean>comparing(e -> e.plug().housing().isPresent())
                .thenComparing(e -> !e.instance().id().equals(Builder.CAR)));
        for (End end : ends) {
            if (taken.contains(end.key())) continue;
            best(end, ends).ifPresent(other -> mate(end, other));
        }
        return made;
    }

    private Optional<End> best(End end, List<End> ends) {
        return ends.stream()
                .filter(o -> !taken.contains(o.key())
                        && !o.instance().id().equals(end.instance().id())
                        && o.plug().mates(end.plug())
                        && goesAlong(end, o)
                        && goesAlong(o, end))
                .max(Comparator.<End>comparingInt(o -> o.instance().owner() == Instance.Owner.PART ? 1 : 0)
                        .thenComparingInt(o -> end.plug().agreement(o.plug()))
                        .thenComparing(
                                Comparator.<End>comparingInt(ends::indexOf).reversed()));
    }

    /** An insert goes where its housing goes. */
    private boolean goesAlong(End insert, End other) {
        if (insert.plug().housing().isEmpty()) return true;
        String housing = insert.plug().housing().get();
        return made.stream()
                .filter(m -> m.has(insert.instance().id(), housing))
                .allMatch(m -> m.touches(other.instance().id()));
    }

    private void mate(End end, End other) {
        taken.add(end.key());
        taken.add(other.key());
        made.add(new Mating(
                end.instance().id(),
                end.plug().id(),
                other.instance().id(),
                other.plug().id(),
                end.plug().family()));
        for (Position p : end.plug().positions())
            other.plug()
                    .at(p.number())
                    .filter(q -> !p.empty() && !q.empty())
                    .ifPresent(q -> draft.contact(terminal(end, p), terminal(other, q)));
    }

    private static TerminalId terminal(End end, Position p) {
        return new TerminalId(end.instance().id(), end.plug().id() + "." + p.number());
    }
}
