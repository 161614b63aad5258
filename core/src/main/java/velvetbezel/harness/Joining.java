package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.LeadRole;

/**
 * Decides which bare leads are joined: by role and place, never by colour. The car decides the role of a lead that ends
 * in its plug; a part's own label does not. Every lead comes out in exactly one joint or one cap; a wire of the car that
 * stays whole and that nobody wants is left alone.
 */
final class Joining {
    private final Draft draft;
    private final Recipe recipe;
    private final Ends ends;
    private final Substitutes substitutes;
    private final Map<TerminalId, Cap> caps = new LinkedHashMap<>();
    private final List<Joint> joints = new ArrayList<>();
    private Components nets;

    Joining(Draft draft, Recipe recipe, List<Mating> matings) {
        this.draft = draft;
        this.recipe = recipe;
        this.ends = new Ends(draft, recipe, matings);
        this.substitutes = new Substitutes(recipe, draft, new Draws(draft, ends.components()));
    }

    List<Joint> joints() {
        return joints;
    }

    /** What hangs together once all is joined. */
    Components nets() {
        if (nets == null) nets = new Components(draft.conductors);
        return nets;
    }

    List<Cap> caps() {
        return List.copyOf(caps.values());
    }

    List<SubstituteChoice> substitutes() {
        return substitutes.choices();
    }

    void join() {
        caps.putAll(ends.caps());
        List<End> sure = withoutDoubt(ends.ends());
        Bypass bypass = Bypass.of(draft, ends);
        sure.removeIf(e ->
                bypass.switches(e).map(a -> cap(e, new CapReason.Bypassed(a))).isPresent());
        List<End> served = substitutes.serve(sure);
        sure.stream()
                .filter(e -> served.stream().noneMatch(s -> s.id().equals(e.id())))
                .forEach(e -> cap(e, new CapReason.ByHand()));
        recipe.moves().to().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(m -> move(served, m.getKey(), m.getValue()));
        join(served, bypass);
    }

    private void join(List<End> all, Bypass bypass) {
        Map<LeadRole, List<End>> byRole = new EnumMap<>(LeadRole.class);
        all.stream().sorted(End.ORDER).forEach(e -> byRole.computeIfAbsent(e.role(), r -> new ArrayList<>())
                .add(e));
        List<End> left = new ArrayList<>();
        byRole.forEach((role, mine) -> {
            Groups groups = new Groups(role, mine);
            groups.joints().forEach((id, leads) -> joints.add(draft.joint(id, leads)));
            groups.out().forEach((id, why) -> caps.put(id, new Cap(id, Optional.of(role), why)));
            left.addAll(groups.left());
        });
        joints.sort(Comparator.comparing(Joint::id));
        NoPartner why = new NoPartner(draft, all, bypass, this::nets);
        for (End e : left) if (!e.tap()) cap(e, why.of(e));
    }

    private Cap cap(End e, CapReason why) {
        Cap cap = new Cap(e.id(), Optional.of(e.role()), why);
        caps.put(e.id(), cap);
        return cap;
    }

    /** A guess gives way to a known wire of the same role, and a guessed feed is measured before it is joined. */
    private List<End> withoutDoubt(List<End> all) {
        List<End> sure = new ArrayList<>();
        for (End e : all) {
            if (!e.guessed()) {
                sure.add(e);
                continue;
            }
            Optional<End> known = all.stream()
                    .filter(o -> o != e && o.owner() == Instance.Owner.CAR && o.role() == e.role())
                    .min(Comparator.comparing(End::guessed).thenComparing(End.ORDER));
            if (known.isPresent())
                cap(e, new CapReason.TwoClaim(e.role(), known.get().id()));
            else if (e.gives()) cap(e, new CapReason.GuessedFeed(e.role()));
            else sure.add(e);
        }
        return sure;
    }

    /** A lead that no longer exists in this kit moves nowhere. */
    private void move(List<End> all, TerminalId lead, Optional<LeadRole> to) {
        Terminal terminal = draft.terminals.get(lead);
        if (terminal == null || !terminal.joinable()) return;
        Optional<End> known = all.stream().filter(e -> e.id().equals(lead)).findFirst();
        all.removeIf(e -> e.id().equals(lead));
        Optional<LeadRole> role = known.map(End::role).or(terminal::role);
        caps.remove(lead);
        if (to.isEmpty()) caps.put(lead, new Cap(lead, role, new CapReason.ByHand()));
        else all.add(known.orElseGet(() -> ends.unsorted(terminal, to.get())).movedTo(to.get()));
    }
}
