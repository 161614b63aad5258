package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;

/**
 * Pushes plugs together: of the free plugs that fit, the one whose positions agree best; a look-alike that agrees
 * nowhere stays empty, and so does what is laid now for something to come. The car's plugs look for a part first, and
 * for the radio itself only when no part fits.
 */
final class Matings {
    private final Draft draft;
    private final List<Mating> made = new ArrayList<>();
    private final Set<String> taken = new HashSet<>();
    private final Map<String, Plug> seen = new HashMap<>();
    private final Map<String, List<End>> byFamily = new HashMap<>();

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
        for (Instance i : draft.instances)
            if (i.use() != Use.LATER) for (Plug p : i.device().plugs()) ends.add(new End(i, p));
        ends.sort(Comparator.<End, Boolean>comparing(e -> e.plug().housing().isPresent())
                .thenComparing(e -> !e.instance().id().equals(Builder.CAR)));
        for (End end : ends)
            byFamily.computeIfAbsent(end.plug().family(), k -> new ArrayList<>())
                    .add(end);
        for (End end : ends) {
            if (taken.contains(end.key())) continue;
            best(end, ends).ifPresent(other -> mate(end, other));
        }
        return made;
    }

    private Optional<End> best(End end, List<End> ends) {
        End best = null;
        for (End o : byFamily.get(end.plug().family()))
            if (free(o, end)
                    && mates(o, end)
                    && goesAlong(end, o)
                    && goesAlong(o, end)
                    && !leftToAPart(end, o, ends)
                    && (best == null || better(o, best, end))) best = o;
        return Optional.ofNullable(best);
    }

    /** A part before others, then the one that agrees in more positions; of equals the first. */
    private boolean better(End o, End than, End end) {
        boolean part = o.instance().owner() == Instance.Owner.PART;
        if (part != (than.instance().owner() == Instance.Owner.PART)) return part;
        return as(end).agreement(as(o)) > as(end).agreement(as(than));
    }

    private boolean free(End o, End end) {
        return !taken.contains(o.key())
                && !o.instance().id().equals(end.instance().id());
    }

    private boolean mates(End a, End b) {
        return a.plug().fits(b.plug()) && as(a).mates(as(b));
    }

    /** A socket of a radio that stays is left to a part that goes there: the car's own plug is parted from it. */
    private boolean leftToAPart(End end, End socket, List<End> ends) {
        return end.instance().id().equals(Builder.CAR)
                && socket.instance().owner() == Instance.Owner.CAR
                && ends.stream()
                        .anyMatch(p -> p.instance().owner() == Instance.Owner.PART
                                && free(p, socket)
                                && p.plug().mates(socket.plug())
                                && p.instance().device().plugs().stream().noneMatch(q -> q.mates(end.plug())));
    }

    /**
     * A plug as what it carries in this car: where a part carries the car's wires on, those behind a plug of it count, and
     * not what its maker calls the plug.
     */
    private Plug as(End end) {
        boolean part = end.instance().owner() == Instance.Owner.PART && carriesOn(end.instance());
        return part ? seen.computeIfAbsent(end.key(), k -> inThisCar(end)) : end.plug();
    }

    private static boolean carriesOn(Instance part) {
        return part.device().plugs().stream().anyMatch(Plug::carriesOn);
    }

    private Plug inThisCar(End end) {
        if (made.stream().noneMatch(m -> m.touches(end.instance().id()))) return end.plug();
        Components components = new Components(draft.conductors);
        return end.plug()
                .withPositions(end.plug().positions().stream()
                        .map(p -> behind(components, terminal(end, p))
                                .map(p::carrying)
                                .orElse(p))
                        .toList());
    }

    private Optional<Fact<LeadRole>> behind(Components components, TerminalId contact) {
        return components.with(contact).stream()
                .filter(t -> t.instance().equals(Builder.CAR))
                .map(draft.terminals::get)
                .filter(t -> t != null && t.role().isPresent())
                .findFirst()
                .flatMap(Terminal::carries);
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
        seen.clear();
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
