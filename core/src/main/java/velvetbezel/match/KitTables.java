package velvetbezel.match;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.PossibleConnections;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Sheet;

/**
 * What every kit of one radio in one car keeps and loses, as tables over the few places that bear on a function, and in
 * each place over the choices that differ for it. Entries are found by building and running kits; one kit fills an
 * entry
 * in many tables at once.
 */
final class KitTables {
    private static final int MOST_ENTRIES = 4000;
    private final Sheet.Vehicle vehicle;
    private final Sheet.Radio radio;
    private final List<Slot> slots;
    private final Outcomes.Against against;
    private final List<KitTable.Built> runs = new ArrayList<>();
    private final List<KitTable.Joined> joined = new ArrayList<>();
    private final List<Rivals> rivals = new ArrayList<>();
    private final List<CarFunction> functions;
    private final Set<FunctionId> names;
    private final Map<List<Integer>, Map<FunctionId, Kind>> built = new HashMap<>();
    /** Kits whose functions, as far as they were asked for, are as built. */
    private final Map<List<Integer>, Set<FunctionId>> agreed = new HashMap<>();

    /** Places whose outputs could be tied together, and for which choices they are. */
    private final class Rivals {
        private final BitSet places;
        private final int[] order;
        private final Map<Long, Boolean> tied = new HashMap<>();

        private Rivals(BitSet places) {
            this.places = places;
            this.order = places.stream().toArray();
        }

        boolean tied(int[] choices) {
            long key = 0;
            for (int p : order) key = key * slots.get(p).choices().size() + choices[p];
            return tied.computeIfAbsent(key, k -> !Builder.replacement(vehicle, radio, parts(only(choices, places)))
                    .faults()
                    .isEmpty());
        }
    }

    private KitTables(
            Sheet.Vehicle vehicle,
            Sheet.Radio radio,
            List<Slot> slots,
            SignalNet reach,
            Catalogue catalogue,
            Outcomes.Against against) {
        this.vehicle = vehicle;
        this.radio = radio;
        this.slots = slots;
        this.against = against;
        this.functions = catalogue.functions();
        this.names = functions.stream().map(CarFunction::id).collect(Collectors.toUnmodifiableSet());
        FunctionReach influence = new FunctionReach(reach, catalogue.settingsInUse());
        reach.rivals().forEach(places -> rivals.add(new Rivals(places)));
        Map<Object, KitTable.Built> alike = new LinkedHashMap<>();
        Map<CarFunction, KitTable.Built> known = new IdentityHashMap<>();
        Pieces pieces = new Pieces(influence, f -> known.computeIfAbsent(f, k -> table(k, influence))
                .size());
        for (CarFunction f : catalogue.functions()) {
            List<KitTable.Joined.Piece> named = new ArrayList<>();
            for (CarFunction piece : pieces.of(f)) {
                KitTable.Built table = known.computeIfAbsent(piece, k -> table(k, influence));
                KitTable.Built own = alike.computeIfAbsent(table.shape(), k -> table);
                own.add(piece);
                named.add(new KitTable.Joined.Piece(piece.id(), own));
            }
            if (named.size() > 1) joined.add(new KitTable.Joined(f.id(), against.had(f), named));
        }
        runs.addAll(alike.values());
    }

    private KitTable.Built table(CarFunction f, FunctionReach influence) {
        FunctionReach.Bearing b = influence.on(f);
        return new KitTable.Built(b.places(), classes(b), List.of());
    }

    private int[][] classes(FunctionReach.Bearing b) {
        int[][] classes = new int[slots.size()][];
        for (int s = 0; s < classes.length; s++) {
            List<Object> seen = new ArrayList<>();
            List<Slot.Choice> choices = slots.get(s).choices();
            classes[s] = new int[choices.size()];
            for (int c = 0; c < choices.size(); c++) {
                Object facet = choices.get(c).device().isEmpty()
                        ? FunctionReach.NOTHING
                        : b.facets().get(choices.get(c).part().orElseThrow().id());
                if (!seen.contains(facet)) seen.add(facet);
                classes[s][c] = seen.indexOf(facet);
            }
        }
        return classes;
    }

    /** Leaves out parts that can do nothing here but take a plug or a load. */
    static KitTables of(
            Sheet.Vehicle vehicle, Sheet.Radio radio, List<Slot> all, Catalogue catalogue, Outcomes.Against against) {
        SignalNet reach = reach(vehicle, radio, all);
        List<Slot> slots = all.stream()
                .map(s -> s.without(c -> c.device().isPresent()
                        && reach.idle(c.part().orElseThrow().id())))
                .filter(s -> !s.isIdle())
                .toList();
        return new KitTables(
                vehicle, radio, slots, slots.equals(all) ? reach : reach(vehicle, radio, slots), catalogue, against);
    }

    private static SignalNet reach(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Slot> slots) {
        Map<String, Device> options = new LinkedHashMap<>();
        Map<String, Integer> slotOf = new LinkedHashMap<>();
        List<List<String>> always = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            List<String> here = new ArrayList<>();
            for (Slot.Choice c : slots.get(s).choices())
                if (c.device().isPresent()) {
                    String id = c.part().orElseThrow().id();
                    here.add(id);
                    options.put(id, c.device().get());
                    slotOf.put(id, s);
                }
            if (here.size() == slots.get(s).choices().size()) always.add(here);
        }
        return new SignalNet(
                PossibleConnections.of(
                        vehicle,
                        radio,
                        options,
                        (a, b) -> !slotOf.containsKey(a)
                                || !slotOf.containsKey(b)
                                || !slotOf.get(a).equals(slotOf.get(b))),
                slotOf,
                always);
    }

    List<Slot> slots() {
        return slots;
    }

    /** Those that tell of functions, and not only of pieces of some. */
    List<KitTable> tables() {
        List<KitTable> all = new ArrayList<>();
        runs.stream().filter(t -> t.functions().stream().anyMatch(this::whole)).forEach(all::add);
        joined.stream().filter(t -> !t.functions().isEmpty()).forEach(all::add);
        return all;
    }

    private boolean whole(FunctionId f) {
        return names.contains(f);
    }

    List<BitSet> rivals() {
        return rivals.stream().map(r -> r.places).toList();
    }

    /** Whether the choices in these places tie outputs together. */
    boolean tied(int[] choices, BitSet filled) {
        return rivals.stream().anyMatch(r -> within(r.places, filled) && r.tied(choices));
    }

    static boolean within(BitSet places, BitSet filled) {
        BitSet rest = (BitSet) places.clone();
        rest.andNot(filled);
        return rest.isEmpty();
    }

    /**
     * Fills the tables.
     *
     * @param matters functions that need not be known are left out
     * @param stopped asked between runs; what was found so far is kept
     * @return whether it came to the end
     */
    boolean fill(Collection<FunctionId> matters, BooleanSupplier stopped) {
        Set<FunctionId> wanted = new HashSet<>(matters);
        joined.stream()
                .filter(j -> j.functions().stream().anyMatch(matters::contains))
                .forEach(j -> j.pieces().forEach(p -> wanted.add(p.name())));
        Map<KitTable.Built, Map<Integer, int[]>> missing = new LinkedHashMap<>();
        runs.stream()
                .filter(t -> t.functions().stream().anyMatch(wanted::contains))
                .sorted(Comparator.comparingInt(t -> -t.places().cardinality()))
                .forEach(t -> missing.put(t, missing(t)));
        for (Map.Entry<KitTable.Built, Map<Integer, int[]>> m : missing.entrySet())
            while (!m.getValue().isEmpty()) {
                if (stopped.getAsBoolean()) return false;
                run(m.getKey(), m.getValue().values().iterator().next(), missing);
            }
        return true;
    }

    private Map<Integer, int[]> missing(KitTable.Built table) {
        Map<Integer, int[]> missing = table.combinations();
        missing.values().removeIf(c -> table.at(c) != null || tied(c, table.places()));
        return missing;
    }

    /** Runs one kit that fills an entry of one table, and of as many others as go with it. */
    private void run(KitTable.Built first, int[] entry, Map<KitTable.Built, Map<Integer, int[]>> missing) {
        int[] choices = entry.clone();
        BitSet fixed = (BitSet) first.places().clone();
        missing.forEach((table, open) -> {
            if (table != first) take(table, open.values(), choices, fixed);
        });
        if (!note(choices, fixed, missing))
            note(only(entry, first.places()), first.places(), Map.of(first, missing.get(first)));
    }

    /** The first open entry of a table that goes with what is chosen already is chosen with it. */
    private void take(KitTable.Built table, Collection<int[]> open, int[] choices, BitSet fixed) {
        BitSet both = union(fixed, table.places());
        for (int[] c : open)
            if (agrees(c, choices, table.places(), fixed) && !tied(joined(c, choices, table.places()), both)) {
                table.places().stream().forEach(p -> choices[p] = c[p]);
                fixed.or(table.places());
                return;
            }
    }

    /** @return false where a limit tripped: with fewer parts it might not */
    private boolean note(int[] choices, BitSet fixed, Map<KitTable.Built, Map<Integer, int[]>> missing) {
        Outcomes.Trial trial = against.trial(Builder.replacement(vehicle, radio, parts(choices)));
        List<KitTable.Built> here = missing.keySet().stream()
                .filter(t -> within(t.places(), fixed) && t.at(choices) == null)
                .toList();
        Map<FunctionId, Kind> kinds =
                trial.kindsOf(here.stream().flatMap(t -> t.asked().stream()).toList());
        if (missing.size() > 1 && trial.tripped()) return false;
        for (KitTable.Built t : here) {
            t.enter(t.key(choices), kinds);
            missing.get(t).remove(t.key(choices));
        }
        return true;
    }

    private static boolean agrees(int[] a, int[] b, BitSet places, BitSet fixed) {
        return places.stream().noneMatch(p -> fixed.get(p) && a[p] != b[p]);
    }

    private static int[] joined(int[] more, int[] before, BitSet places) {
        int[] all = before.clone();
        places.stream().forEach(p -> all[p] = more[p]);
        return all;
    }

    private static BitSet union(BitSet a, BitSet b) {
        BitSet all = (BitSet) a.clone();
        all.or(b);
        return all;
    }

    private static int[] only(int[] choices, BitSet places) {
        return IntStream.range(0, choices.length)
                .map(p -> places.get(p) ? choices[p] : 0)
                .toArray();
    }

    private List<Sheet.Part> parts(int[] choices) {
        return IntStream.range(0, choices.length)
                .boxed()
                .flatMap(p -> slots.get(p).choices().get(choices[p]).part().stream())
                .toList();
    }

    /** What becomes of the functions that were filled in, in one kit. */
    Map<FunctionId, Kind> kinds(int[] choices) {
        Map<FunctionId, Kind> kinds = new HashMap<>();
        tables().forEach(t -> Optional.ofNullable(t.at(choices)).ifPresent(kinds::putAll));
        kinds.keySet().removeIf(f -> !whole(f));
        return kinds;
    }

    /** What becomes of every function in one kit, built and run. */
    Map<FunctionId, Kind> built(int[] choices) {
        return built.computeIfAbsent(Arrays.stream(choices).boxed().toList(), k -> against.trial(
                        Builder.replacement(vehicle, radio, parts(choices)))
                .kindsOf(functions));
    }

    /** How a function changed where it works, the tables do not tell. */
    private static boolean otherwise(Kind asBuilt, Kind compiled) {
        return asBuilt.works() != compiled.works();
    }

    /** Whether a kit does as built what was compiled; where not, the tables are widened as far as that can be done. */
    boolean agrees(int[] choices, Set<FunctionId> matters) {
        List<Integer> key = Arrays.stream(choices).boxed().toList();
        if (agreed.getOrDefault(key, Set.of()).containsAll(matters)) return true;
        Map<FunctionId, Kind> asBuilt = built(choices);
        Map<FunctionId, Kind> tables = kinds(choices);
        if (matters.stream().anyMatch(f -> otherwise(asBuilt.get(f), tables.get(f)))) return !widen(choices, asBuilt);
        agreed.put(key, matters);
        return true;
    }

    /** The choices that make up a kit of these parts. */
    int[] choices(List<Sheet.Part> parts) {
        return slots.stream()
                .mapToInt(s -> parts.stream()
                        .mapToInt(p -> s.choiceOf(p.id()))
                        .filter(c -> c >= 0)
                        .findFirst()
                        .orElse(0))
                .toArray();
    }

    /**
     * A kit run as built does otherwise than compiled: from now on its functions are looked at over every place that
     * this kit fills as well.
     *
     * @return false where that would be too many combinations; nothing is changed then
     */
    private boolean widen(int[] choices, Map<FunctionId, Kind> asBuilt) {
        BitSet used = new BitSet();
        IntStream.range(0, choices.length)
                .filter(p -> slots.get(p).choices().get(choices[p]).device().isPresent())
                .forEach(used::set);
        List<KitTable.Built> wide = new ArrayList<>();
        for (KitTable t : tables()) {
            Map<FunctionId, Kind> told = t.at(choices);
            List<CarFunction> wrong = functions.stream()
                    .filter(f -> told != null
                            && told.containsKey(f.id())
                            && otherwise(asBuilt.get(f.id()), told.get(f.id())))
                    .toList();
            if (wrong.isEmpty()) continue;
            BitSet places = union(t.places(), used);
            if (places.equals(t.places()) && t instanceof KitTable.Built
                    || places.stream()
                                    .mapToLong(p -> slots.get(p).choices().size())
                                    .reduce(1, (x, y) -> x * y)
                            > MOST_ENTRIES) return false;
            wide.add(new KitTable.Built(
                    places,
                    slots.stream()
                            .map(s -> IntStream.range(0, s.choices().size()).toArray())
                            .toArray(int[][]::new),
                    wrong));
        }
        Set<FunctionId> moved = new HashSet<>();
        wide.forEach(t -> moved.addAll(t.functions()));
        runs.forEach(t -> t.forget(moved));
        joined.forEach(t -> t.forget(moved));
        runs.removeIf(t -> t.functions().isEmpty());
        runs.addAll(wide);
        agreed.clear();
        return true;
    }
}
