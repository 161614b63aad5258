package velvetbezel.match;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.sheet.Sheet;

/**
 * All kits of one radio that no other beats: price, labour, cuts, waiting and weighed losses. Place after place is
 * filled; a beginning is dropped when another with the same choices in every place that still matters is as good in
 * everything. What places add to the costs does not depend on each other, and every table of losses is read when its
 * last place is filled, so that nothing is dropped that a front could need.
 */
final class Front {
    /** So many beginnings are carried on at once; more are thinned, and the result says by how much. */
    private static final int MOST = 40_000;

    /** More slack than a working day thins nothing further: what is left differs in price, wait, cuts or losses. */
    private static final int MOST_SLACK = 512;

    private final KitTables compiled;
    private final Wishes wishes;
    private final ToIntFunction<FunctionId> weight;
    private final List<Slot> slots;
    private final List<KitTable> counted;
    /** For each place, the choices that can be of use. */
    private final List<int[]> worth;

    private final List<Integer> order;
    private final long[] stride;
    private int slack;
    private final Optional<String> forced;

    private record Offer(Optional<Sheet.Part> part, Cost cost) {
        static final Offer NONE = new Offer(Optional.empty(), Cost.NOTHING);
    }

    /** @param state the choices of places that still matter, by number */
    private record Label(long state, Cost cost, int loss, Label before, int slot, int choice, int offer) {}

    /**
     * @param slack a kit that is not shown is at most so many minutes quicker than one that is shown, no dearer and
     *     as good in the rest
     */
    record Found(List<Line> lines, int slack) {}

    /** A kit by its choice in each place. */
    record Line(Cost cost, int loss, int[] choices, List<Sheet.Part> parts) {}

    /** Part and cost of each choice in each place, those that another covers left out. */
    private final List<List<List<Offer>>> offers;

    private Front(
            KitTables compiled,
            Wishes wishes,
            ToIntFunction<FunctionId> weight,
            Function<Sheet.Part, Cost> price,
            Optional<String> forced) {
        this.forced = forced;
        this.compiled = compiled;
        this.wishes = wishes;
        this.weight = weight;
        this.slots = compiled.slots();
        this.counted = compiled.tables().stream()
                .filter(t -> t.functions().stream().anyMatch(f -> counts(f, wishes, weight)))
                .toList();
        this.worth = IntStream.range(0, slots.size()).mapToObj(this::worth).toList();
        this.order = order();
        this.offers = slots.stream()
                .map(s -> s.choices().stream()
                        .map(c -> c.isEmpty()
                                ? List.of(Offer.NONE)
                                : unbeaten(
                                        c.parts().stream()
                                                .map(p -> new Offer(Optional.of(p), price.apply(p)))
                                                .toList(),
                                        Offer::cost,
                                        o -> 0,
                                        0))
                        .toList())
                .toList();
        this.stride = new long[slots.size()];
        long step = 1;
        for (int s = 0; s < stride.length; s++) {
            stride[s] = step;
            step = Math.multiplyExact(step, slots.get(s).choices().size());
        }
    }

    /**
     * @param base   what the radio itself costs
     * @param forced the part that a kit must have
     */
    static Found of(
            KitTables compiled,
            Wishes wishes,
            ToIntFunction<FunctionId> weight,
            Cost base,
            Function<Sheet.Part, Cost> price,
            Optional<Sheet.Part> forced) {
        return new Front(compiled, wishes, weight, price, forced.map(Sheet::id)).find(base);
    }

    /** Whether a function has to be known to compare kits. */
    static boolean counts(FunctionId f, Wishes wishes, ToIntFunction<FunctionId> weight) {
        return wishes.musts().contains(f) || weight.applyAsInt(f) > 0;
    }

    /**
     * A part that does nothing for what counts that no part does not do as well is left out, unless one must be in
     * it.
     */
    private int[] worth(int slot) {
        Slot s = slots.get(slot);
        return IntStream.range(0, s.choices().size())
                .filter(c -> !s.mayBeEmpty()
                        || s.choices().get(c).isEmpty()
                        || forced.filter(f -> s.choiceOf(f) == c).isPresent()
                        || counted.stream().anyMatch(t -> t.differs(slot, c, 0)))
                .toArray();
    }

    /** The table with the fewest places still to fill comes next, so that losses are known early. */
    private List<Integer> order() {
        List<Integer> order = new ArrayList<>();
        List<BitSet> open = new ArrayList<>(counted.stream()
                .map(t -> (BitSet) t.places().clone())
                .filter(p -> !p.isEmpty())
                .toList());
        while (!open.isEmpty()) {
            BitSet next = open.stream()
                    .min(Comparator.comparingInt(BitSet::cardinality))
                    .orElseThrow();
            next.stream().forEach(order::add);
            BitSet done = (BitSet) next.clone();
            open.forEach(p -> p.andNot(done));
            open.removeIf(BitSet::isEmpty);
        }
        IntStream.range(0, slots.size()).filter(s -> !order.contains(s)).forEach(order::add);
        return order;
    }

    private Found find(Cost base) {
        List<Label> labels = List.of(new Label(
                0,
                base,
                lossOf(tables(new BitSet(), new BitSet()), new int[slots.size()])
                        .orElse(-1),
                null,
                -1,
                0,
                0));
        if (labels.get(0).loss < 0) return new Found(List.of(), 0);
        BitSet filled = new BitSet();
        for (int slot : order) {
            BitSet before = (BitSet) filled.clone();
            filled.set(slot);
            labels = thinned(fill(labels, slot, filled, tables(before, filled), mattering(filled)));
        }
        return new Found(labels.stream().map(this::line).toList(), slack);
    }

    /** The tables whose last place was filled just now. */
    private List<KitTable> tables(BitSet before, BitSet filled) {
        return counted.stream()
                .filter(t -> KitTables.within(t.places(), filled)
                        && (filled.isEmpty() || !KitTables.within(t.places(), before)))
                .toList();
    }

    private BitSet mattering(BitSet filled) {
        BitSet mattering = new BitSet();
        for (KitTable t : counted) if (!KitTables.within(t.places(), filled)) mattering.or(t.places());
        for (BitSet r : compiled.rivals()) if (!KitTables.within(r, filled)) mattering.or(r);
        mattering.and(filled);
        return mattering;
    }

    private List<Label> fill(List<Label> labels, int slot, BitSet filled, List<KitTable> decided, BitSet mattering) {
        Map<Long, List<Label>> states = new LinkedHashMap<>();
        for (Label l : labels)
            states.computeIfAbsent(l.state, k -> new ArrayList<>()).add(l);
        List<Label> next = new ArrayList<>();
        int[] choices = new int[slots.size()];
        List<BitSet> rivals = compiled.rivals().stream()
                .filter(r -> r.get(slot) && KitTables.within(r, filled))
                .toList();
        states.forEach((state, here) -> {
            for (int s = 0; s < choices.length; s++)
                choices[s] = (int) (state / stride[s] % slots.get(s).choices().size());
            for (int c : worth.get(slot)) {
                choices[slot] = c;
                if (rivals.stream().anyMatch(r -> compiled.tied(choices, r))) continue;
                Optional<Integer> loss = lossOf(decided, choices);
                if (loss.isEmpty()) continue;
                long after = mattering.stream()
                        .mapToLong(s -> choices[s] * stride[s])
                        .sum();
                for (Label l : here) add(l, slot, c, loss.get(), after, next);
            }
        });
        return next;
    }

    private void add(Label l, int slot, int choice, int loss, long state, List<Label> next) {
        List<Offer> here = offers.get(slot).get(choice);
        boolean mine = forced.filter(f -> slots.get(slot).choiceOf(f) >= 0).isPresent();
        for (int o = 0; o < here.size(); o++) {
            Cost cost = l.cost.plus(here.get(o).cost());
            if (wishes.budget().filter(b -> cost.cents() > b).isEmpty()
                    && (!mine
                            || here.get(o)
                                    .part()
                                    .filter(p -> p.id().equals(forced.get()))
                                    .isPresent())) next.add(new Label(state, cost, l.loss + loss, l, slot, choice, o));
        }
    }

    /** Empty where outputs would be tied together, or a function is lost that must not be. */
    private Optional<Integer> lossOf(List<KitTable> decided, int[] choices) {
        int loss = 0;
        for (KitTable t : decided) {
            Map<FunctionId, Kind> kinds = t.at(choices);
            if (kinds == null) return Optional.empty(); // outputs tied together among its places
            for (Map.Entry<FunctionId, Kind> e : kinds.entrySet()) {
                if (e.getValue().works()) continue;
                if (wishes.musts().contains(e.getKey())) return Optional.empty();
                loss += weight.applyAsInt(e.getKey());
            }
        }
        return Optional.of(loss);
    }

    private List<Label> thinned(List<Label> labels) {
        Map<Long, List<Label>> states = new LinkedHashMap<>();
        for (Label l : labels)
            states.computeIfAbsent(l.state, k -> new ArrayList<>()).add(l);
        Thinned<Label> thinned = thinned(minutes -> unbeaten(states, minutes), MOST);
        slack += thinned.slack;
        return thinned.list;
    }

    /** @param slack by how many minutes it was thinned */
    record Thinned<T>(List<T> list, int slack) {}

    /**
     * The shortest list that needs the least slack, as far as slack helps.
     *
     * @param unbeaten what no other covers, with so many minutes of slack
     */
    static <T> Thinned<T> thinned(IntFunction<List<T>> unbeaten, int most) {
        List<T> all = unbeaten.apply(0);
        if (all.size() <= most) return new Thinned<>(all, 0);
        for (int minutes = 1; minutes <= MOST_SLACK; minutes *= 2) {
            List<T> kept = unbeaten.apply(minutes);
            if (kept.size() <= most || minutes == MOST_SLACK) return new Thinned<>(kept, minutes);
        }
        throw new IllegalStateException("The greatest slack is a power of two.");
    }

    private static List<Label> unbeaten(Map<Long, List<Label>> states, int slack) {
        List<Label> kept = new ArrayList<>();
        states.values().forEach(here -> kept.addAll(unbeaten(here, Label::cost, Label::loss, slack)));
        return kept;
    }

    /**
     * What nothing else covers, cheapest first; of equals the first. Labels come in order of price, so that of those
     * with equal losses, cuts and days only the quickest so far has to be remembered.
     */
    static <T> List<T> unbeaten(List<T> all, Function<T, Cost> cost, ToIntFunction<T> loss, int slack) {
        if (all.size() < 2) return all;
        Ranked[] ranked = byPrice(all, cost, loss);
        List<Ranked> quickest = new ArrayList<>();
        List<T> kept = new ArrayList<>();
        for (Ranked r : ranked) {
            if (beaten(r, quickest, slack)) continue;
            kept.add(all.get(r.index));
            remember(r, quickest);
        }
        return kept;
    }

    /**
     * Sorted by price as plain numbers first, as there can be hundreds of thousands; only equals are compared
     * further.
     */
    private static <T> Ranked[] byPrice(List<T> all, Function<T, Cost> cost, ToIntFunction<T> loss) {
        long[] keys = new long[all.size()];
        for (int i = 0; i < keys.length; i++)
            keys[i] = Math.multiplyExact(cost.apply(all.get(i)).cents(), (long) keys.length) + i;
        Arrays.sort(keys);
        Ranked[] ranked = new Ranked[keys.length];
        int equals = 0;
        for (int i = 0; i < keys.length; i++) {
            int index = (int) (keys[i] % keys.length);
            ranked[i] = new Ranked(index, cost.apply(all.get(index)), loss.applyAsInt(all.get(index)));
            if (ranked[i].cost.cents() == ranked[equals].cost.cents()) continue;
            Arrays.sort(ranked, equals, i, Front::compare);
            equals = i;
        }
        Arrays.sort(ranked, equals, ranked.length, Front::compare);
        return ranked;
    }

    private record Ranked(int index, Cost cost, int loss) {
        boolean alike(Ranked other) {
            return loss == other.loss
                    && cost.cuts() == other.cost.cuts()
                    && cost.days() == other.cost.days()
                    && cost.missing().equals(other.cost.missing());
        }
    }

    private static int compare(Ranked a, Ranked b) {
        int order = Long.compare(a.cost.cents(), b.cost.cents());
        if (order == 0) order = Integer.compare(a.cost.minutes(), b.cost.minutes());
        if (order == 0) order = Integer.compare(a.loss, b.loss);
        if (order == 0) order = Integer.compare(a.cost.cuts(), b.cost.cuts());
        if (order == 0) order = Integer.compare(a.cost.days(), b.cost.days());
        if (order == 0)
            order = Integer.compare(a.cost.missing().prices(), b.cost.missing().prices());
        if (order == 0)
            order = Integer.compare(a.cost.missing().times(), b.cost.missing().times());
        if (order == 0)
            order = Integer.compare(a.cost.missing().fits(), b.cost.missing().fits());
        return order != 0 ? order : Integer.compare(a.index, b.index);
    }

    private static boolean beaten(Ranked r, List<Ranked> quickest, int slack) {
        for (int i = 0; i < quickest.size(); i++) {
            Ranked q = quickest.get(i);
            if (q.cost.minutes() <= r.cost.minutes() + slack
                    && q.loss <= r.loss
                    && q.cost.cuts() <= r.cost.cuts()
                    && q.cost.days() <= r.cost.days()
                    && q.cost.missing().covers(r.cost.missing())) {
                // what beat one is likely to beat the next
                if (i > 0) quickest.set(i, quickest.set(i - 1, q));
                return true;
            }
        }
        return false;
    }

    private static void remember(Ranked r, List<Ranked> quickest) {
        for (int i = 0; i < quickest.size(); i++)
            if (quickest.get(i).alike(r)) {
                if (r.cost.minutes() < quickest.get(i).cost.minutes()) quickest.set(i, r);
                return;
            }
        quickest.add(r);
    }

    private Line line(Label end) {
        int[] choices = new int[slots.size()];
        List<Optional<Sheet.Part>> parts = new ArrayList<>(Collections.nCopies(slots.size(), Optional.empty()));
        for (Label l = end; l.slot >= 0; l = l.before) {
            choices[l.slot] = l.choice;
            parts.set(l.slot, offers.get(l.slot).get(l.choice).get(l.offer).part());
        }
        return new Line(
                end.cost,
                end.loss,
                choices,
                parts.stream().flatMap(Optional::stream).toList());
    }
}
