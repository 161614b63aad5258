package velvetbezel.function;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Function;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.FieldRef;

/**
 * Every way to take the fields that two installations leave open: all first, all last, and each apart from the
 * others.
 */
record Cases(Set<FieldRef> fields) {
    private static final Case FIRST = new Case(false, Optional.empty());
    private static final Case LAST = new Case(true, Optional.empty());

    /** @param reference fields that the installation compared with leaves open */
    static Cases of(Set<FieldRef> reference, Installation installation) {
        Set<FieldRef> fields = new LinkedHashSet<>(reference);
        fields.addAll(MissingFields.in(installation));
        return new Cases(fields);
    }

    /** What is the same in all cases; what is not is unknown, and names the fields that change it. */
    <T> Map<FunctionId, T> settle(
            Function<Case, Map<FunctionId, T>> each, BiPredicate<T, T> same, Function<List<FieldRef>, T> unknown) {
        Map<FunctionId, T> first = each.apply(FIRST);
        if (fields.isEmpty()) return first;
        Map<FunctionId, T> last = each.apply(LAST);
        Map<FunctionId, Set<FieldRef>> flips = new LinkedHashMap<>();
        for (FieldRef field : fields) {
            note(flips, field, first, each.apply(new Case(false, Optional.of(field))), same);
            note(flips, field, last, each.apply(new Case(true, Optional.of(field))), same);
        }
        Map<FunctionId, T> settled = new LinkedHashMap<>();
        first.forEach((id, outcome) -> {
            if (flips.containsKey(id))
                settled.put(id, unknown.apply(flips.get(id).stream().sorted().toList()));
            else if (!same.test(outcome, last.get(id)))
                settled.put(id, unknown.apply(fields.stream().sorted().toList()));
            else settled.put(id, outcome);
        });
        return settled;
    }

    private static <T> void note(
            Map<FunctionId, Set<FieldRef>> flips,
            FieldRef field,
            Map<FunctionId, T> before,
            Map<FunctionId, T> after,
            BiPredicate<T, T> same) {
        before.forEach((id, outcome) -> {
            if (!same.test(outcome, after.get(id)))
                flips.computeIfAbsent(id, k -> new LinkedHashSet<>()).add(field);
        });
    }
}
