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

    /** All smallest sets of up to three wishes. @param kits what there is for some wishes */
    static List<GiveUp> of(Wishes wishes, Function<Wishes, List<Kit>> kits) {
        List<Object> all = new ArrayList<>(wishes.musts().stream().sorted((a, b) -> a.text().compareTo(b.text())).toList());
        wishes.budget().ifPresent(all::add);
        List<Set<Object>> smallest = new ArrayList<>();
        List<GiveUp> found = new ArrayList<>();
        for (int size = 1; size <= Math.min(MOST, all.size()); size++)
            for (Set<Object> set : sets(all, 0, size)) {
                if (smallest.stream().anyMatch(set::containsAll)) continue;
                Optional<Kit> kit = kits.apply(without(wishes, set)).stream().min(Comparator.comparingInt(Kit::loss).thenComparingLong(k -> k.cost().cents()));
                if (kit.isEmpty()) continue;
                smallest.add(set);
                found.add(new GiveUp(all.stream().filter(set::contains).filter(FunctionId.class::isInstance).map(FunctionId.class::cast).toList(), set.stream().anyMatch(Long.class::isInstance), kit.get()));
            }
        return found;
    }

    private static Wishes without(Wishes wishes, Set<Object> set) {
        Set<FunctionId> musts = new HashSet<>(wishes.musts());
        musts.removeAll(set);
        Set<FunctionId> wanted = new HashSet<>(wishes.wanted());
        wishes.musts().stream().filter(set::contains).forEach(wanted::add);
        return new Wishes(musts, wanted, wishes.budget().filter(b -> !set.contains(b)));
    }

    private static List<Set<Object>> sets(List<Object> all, int from, int size) {
        if (size == 0) return List.of(Set.of());
        List<Set<Object>> sets = new ArrayList<>();
        for (int i = from; i < all.size(); i++)
            for (Set<Object> rest : sets(all, i + 1, size - 1)) {
                Set<Object> set = new HashSet<>(rest);
                set.add(all.get(i));
                sets.add(set);
            }
        return sets;
    }
}
