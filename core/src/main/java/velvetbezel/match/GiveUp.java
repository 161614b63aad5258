package velvetbezel.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import velvetbezel.function.FunctionId;

/**
 * Wishes that stand in the way together: without them there is a kit, without fewer of them there is none.
 *
 * @param musts  in the order of their names
 * @param budget whether the budget is one of them
 * @param kit    the one that loses least then, and of these the cheapest
 */
public record GiveUp(List<FunctionId> musts, boolean budget, Kit kit) {
    private static final int MOST = 3;
    /** Among wishes, each a function that must stay: the one that is none. */
    private static final Optional<FunctionId> BUDGET = Optional.empty();

    /** All smallest sets of up to three wishes. @param kits what there is for some wishes */
    static List<GiveUp> of(Wishes wishes, Function<Wishes, List<Kit>> kits) {
        List<Optional<FunctionId>> all = new ArrayList<>(wishes.musts().stream()
                .sorted(Comparator.comparing(FunctionId::text))
                .map(Optional::of)
                .toList());
        if (wishes.budget().isPresent()) all.add(BUDGET);
        List<Set<Optional<FunctionId>>> smallest = new ArrayList<>();
        List<GiveUp> found = new ArrayList<>();
        for (int size = 1; size <= Math.min(MOST, all.size()); size++)
            for (Set<Optional<FunctionId>> set : sets(all, 0, size)) {
                if (smallest.stream().anyMatch(set::containsAll)) continue;
                Optional<Kit> kit = kits.apply(without(wishes, set)).stream().min(Kit.BEST);
                if (kit.isEmpty()) continue;
                smallest.add(set);
                found.add(new GiveUp(
                        all.stream()
                                .filter(set::contains)
                                .flatMap(Optional::stream)
                                .toList(),
                        set.contains(BUDGET),
                        kit.get()));
            }
        return found;
    }

    /** A must that is given up is wanted still. */
    private static Wishes without(Wishes wishes, Set<Optional<FunctionId>> set) {
        Set<FunctionId> musts = new HashSet<>(wishes.musts());
        Set<FunctionId> wanted = new HashSet<>(wishes.wanted());
        set.stream().flatMap(Optional::stream).forEach(f -> {
            musts.remove(f);
            wanted.add(f);
        });
        return new Wishes(musts, wanted, wishes.budget().filter(b -> !set.contains(BUDGET)));
    }

    private static <T> List<Set<T>> sets(List<T> all, int from, int size) {
        if (size == 0) return List.of(Set.of());
        List<Set<T>> sets = new ArrayList<>();
        for (int i = from; i < all.size(); i++)
            for (Set<T> rest : sets(all, i + 1, size - 1)) {
                Set<T> set = new HashSet<>(rest);
                set.add(all.get(i));
                sets.add(set);
            }
        return sets;
    }
}
