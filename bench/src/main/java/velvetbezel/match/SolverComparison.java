package velvetbezel.match;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.variables.IntVar;
import velvetbezel.bench.Seeded;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;

/**
 * The search of {@link Front} beside a general constraint solver, on the same instances in one run: one variable for
 * each place, its values the parts that could go there, sums for price, labour and cuts, a maximum for the waiting, and
 * the tables of losses as tables. The solver proves its front or is stopped after a minute. Stands in this package to
 * reach the tables.
 */
public final class SolverComparison {
    private static final int ROUNDS = 15;
    private static final String LIMIT = "60s";

    private SolverComparison() {}

    /** One way to fill a place. */
    private record Offer(int choice, Cost cost) {}

    public static void main(String[] arguments) {
        for (int candidates : new int[] {1, 2, 3, 5, 10, 20, 40}) compare(candidates);
    }

    private static void compare(int candidates) {
        Seeded shop = new Seeded(candidates);
        RadioMatch match = shop.one("ondel-47");
        RadioMatch.Found found = match.kits(shop.wishes(), shop.market(), () -> false);
        double[] own = IntStream.range(0, ROUNDS)
                .mapToDouble(i -> milliseconds(() -> match.kits(shop.wishes(), shop.market(), () -> false)))
                .sorted()
                .toArray();
        Set<List<Integer>> kits = found.kits().stream()
                .map(k -> List.of(
                        (int) k.cost().cents(),
                        k.cost().minutes(),
                        k.cost().cuts(),
                        k.cost().days(),
                        k.loss()))
                .collect(Collectors.toSet());
        Set<List<Integer>> solved = new HashSet<>();
        boolean[] proved = new boolean[1];
        double theirs = milliseconds(() -> proved[0] = solve(match, shop, solved));
        System.out.printf(
                "%d candidates: %d kits, own %.1f ms, solver %s %.0f ms (%.0f times), fronts %s%n",
                candidates,
                kits.size(),
                own[ROUNDS / 2],
                proved[0] ? "proved it in" : "stopped after",
                theirs,
                theirs / own[ROUNDS / 2],
                proved[0] ? kits.equals(solved) ? "equal" : "DIFFERENT (%d)".formatted(solved.size()) : "not compared");
    }

    private static double milliseconds(Runnable work) {
        long began = System.nanoTime();
        work.run();
        return (System.nanoTime() - began) / 1e6;
    }

    /** @return whether it came to the end */
    private static boolean solve(RadioMatch match, Seeded shop, Set<List<Integer>> front) {
        KitTables compiled = match.compiled().orElseThrow();
        Model model = new Model();
        List<List<Offer>> offers =
                compiled.slots().stream().map(s -> offers(s, shop)).toList();
        IntVar[] offer = offers.stream().map(o -> model.intVar(0, o.size() - 1)).toArray(IntVar[]::new);
        IntVar[] choice = new IntVar[offer.length];
        for (int s = 0; s < offer.length; s++)
            choice[s] = pick(
                    model,
                    offer[s],
                    offers.get(s).stream().mapToInt(Offer::choice).toArray());
        forbidTies(model, compiled, choice);
        List<IntVar> losses = new ArrayList<>();
        for (KitTable t : compiled.tables())
            if (t.functions().stream().anyMatch(f -> weight(match, shop, f) > 0))
                losses.add(loss(model, compiled, t, choice, match, shop));
        Cost radio = shop.market().of(match.radio());
        IntVar[] objectives = {
            sum(model, offers, offer, o -> (int) o.cost.cents(), (int) radio.cents()),
            sum(model, offers, offer, o -> o.cost.minutes(), radio.minutes()),
            sum(model, offers, offer, o -> o.cost.cuts(), radio.cuts()),
            longest(model, offers, offer, radio.days()),
            total(model, losses)
        };
        model.getSolver().limitTime(LIMIT);
        for (Solution s : model.getSolver().findParetoFront(objectives, Model.MINIMIZE))
            front.add(Arrays.stream(objectives).map(s::getIntVal).toList());
        return !model.getSolver().isStopCriterionMet();
    }

    private static int weight(RadioMatch match, Seeded shop, FunctionId f) {
        return match.weight(f, shop.wishes());
    }

    private static List<Offer> offers(Slot slot, Seeded shop) {
        List<Offer> offers = new ArrayList<>();
        for (int c = 0; c < slot.choices().size(); c++) {
            int choice = c;
            if (slot.choices().get(c).isEmpty()) offers.add(new Offer(c, Cost.NOTHING));
            slot.choices()
                    .get(c)
                    .parts()
                    .forEach(p -> offers.add(new Offer(choice, shop.market().of(shop.vehicle(), p))));
        }
        return offers;
    }

    private static IntVar pick(Model model, IntVar index, int[] values) {
        IntVar value = model.intVar(
                Arrays.stream(values).min().orElseThrow(),
                Arrays.stream(values).max().orElseThrow());
        model.element(value, values, index).post();
        return value;
    }

    private static IntVar sum(
            Model model, List<List<Offer>> offers, IntVar[] offer, ToIntFunction<Offer> figure, int base) {
        List<IntVar> all = new ArrayList<>(List.of(model.intVar(base)));
        for (int s = 0; s < offer.length; s++)
            all.add(pick(
                    model, offer[s], offers.get(s).stream().mapToInt(figure).toArray()));
        return total(model, all);
    }

    private static IntVar total(Model model, List<IntVar> all) {
        IntVar total = model.intVar(0, all.stream().mapToInt(IntVar::getUB).sum());
        model.sum(all.toArray(IntVar[]::new), "=", total).post();
        return total;
    }

    private static IntVar longest(Model model, List<List<Offer>> offers, IntVar[] offer, int base) {
        List<IntVar> all = new ArrayList<>(List.of(model.intVar(base)));
        for (int s = 0; s < offer.length; s++)
            all.add(pick(
                    model,
                    offer[s],
                    offers.get(s).stream().mapToInt(o -> o.cost.days()).toArray()));
        IntVar longest =
                model.intVar(0, all.stream().mapToInt(IntVar::getUB).max().orElseThrow());
        model.max(longest, all.toArray(IntVar[]::new)).post();
        return longest;
    }

    private static void forbidTies(Model model, KitTables compiled, IntVar[] choice) {
        for (BitSet places : compiled.rivals()) {
            Tuples allowed = new Tuples(true);
            each(compiled, places, choices -> {
                if (!compiled.tied(choices, places))
                    allowed.add(places.stream().map(p -> choices[p]).toArray());
            });
            model.table(places.stream().mapToObj(p -> choice[p]).toArray(IntVar[]::new), allowed)
                    .post();
        }
    }

    private static IntVar loss(
            Model model, KitTables compiled, KitTable table, IntVar[] choice, RadioMatch match, Seeded shop) {
        Tuples allowed = new Tuples(true);
        int[] most = new int[1];
        each(compiled, table.places(), choices -> {
            Map<FunctionId, Kind> kinds = table.at(choices);
            if (kinds == null) return;
            int lost = kinds.entrySet().stream()
                    .filter(e -> !e.getValue().works())
                    .mapToInt(e -> weight(match, shop, e.getKey()))
                    .sum();
            most[0] = Math.max(most[0], lost);
            allowed.add(IntStream.concat(table.places().stream().map(p -> choices[p]), IntStream.of(lost))
                    .toArray());
        });
        IntVar loss = model.intVar(0, most[0]);
        List<IntVar> columns =
                new ArrayList<>(table.places().stream().mapToObj(p -> choice[p]).toList());
        columns.add(loss);
        model.table(columns.toArray(IntVar[]::new), allowed).post();
        return loss;
    }

    private static void each(KitTables compiled, BitSet places, Consumer<int[]> then) {
        List<int[]> all = new ArrayList<>(List.of(new int[compiled.slots().size()]));
        places.stream().forEach(p -> {
            List<int[]> next = new ArrayList<>();
            for (int[] before : all)
                for (int c = 0; c < compiled.slots().get(p).choices().size(); c++) {
                    int[] with = before.clone();
                    with[p] = c;
                    next.add(with);
                }
            all.clear();
            all.addAll(next);
        });
        all.forEach(then);
    }
}
