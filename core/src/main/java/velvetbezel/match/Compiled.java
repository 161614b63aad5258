package velvetbezel.match;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import velvetbezel.function.Catalogue;
import velvetbezel.function.Function;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Potential;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Sheet;

/**
 * What every kit of one radio in one car keeps and loses, as tables over the few places that bear on a function, and in
 * each place over the choices that differ for it. Entries are found by building and running kits; one kit fills an
 * entry
 * in many tables at once.
 */
final class Compiled {
    private static final int MOST_ENTRIES = 4000;
    private final Sheet.Vehicle vehicle;
    private final Sheet.Radio radio;
    private final List<Slot> slots;
    private final Outcomes.Against against;
    private final List<Table> tables = new ArrayList<>();
    private final List<Rivals> rivals = new ArrayList<>();
    private final List<FunctionId> functions;
    private final Map<List<Integer>, Map<FunctionId, Kind>> built = new HashMap<>();
    /** Kits whose functions, as far as they were asked for, are as built. */
    private final Map<List<Integer>, Set<FunctionId>> agreed = new HashMap<>();

    /** Places whose outputs could be tied together, and for which choices they are. */
    private final class Rivals {
        private final BitSet places;
        private final Map<List<Integer>, Boolean> tied = new HashMap<>();

        private Rivals(BitSet places) {
            this.places = places;
        }

        boolean tied(int[] choices) {
            return tied.computeIfAbsent(
                    places.stream().mapToObj(p -> choices[p]).toList(),
                    k -> !Builder.replacement(vehicle, radio, parts(only(choices, places)))
                            .faults()
                            .isEmpty());
        }
    }

    /** Functions on which the same places bear in the same way. */
    static final class Table {
        private final BitSet places;
        /** For each place, the class of each of its choices: those of one class do the same for these functions. */
        private final int[][] classes;

        private final List<FunctionId> functions;
        private final Map<List<Integer>, Map<FunctionId, Kind>> entries = new HashMap<>();

        private Table(BitSet places, int[][] classes, List<FunctionId> functions) {
            this.places = places;
            this.classes = classes;
            this.functions = functions;
        }

        BitSet places() {
            return places;
        }

        List<FunctionId> functions() {
            return functions;
        }

        /** Whether two choices in a place can do differently for these functions. */
        boolean differs(int place, int choice, int other) {
            return places.get(place) && classes[place][choice] != classes[place][other];
        }

        /** @param choices by place, of which only those of this table count */
        Map<FunctionId, Kind> at(int[] choices) {
            return entries.get(key(choices));
        }

        private List<Integer> key(int[] choices) {
            return places.stream().mapToObj(p -> classes[p][choices[p]]).toList();
        }

        /** One choice of each class in each place. */
        private List<int[]> combinations() {
            List<int[]> all = new ArrayList<>(List.of(new int[classes.length]));
            places.stream().forEach(p -> {
                List<int[]> next = new ArrayList<>();
                for (int[] before : all)
                    for (int c = 0; c < classes[p].length; c++)
                        if (first(p, c)) {
                            int[] with = before.clone();
                            with[p] = c;
                            next.add(with);
                        }
                all.clear();
                all.addAll(next);
            });
            return all;
        }

        private boolean first(int place, int choice) {
            return IntStream.range(0, choice).noneMatch(c -> classes[place][c] == classes[place][choice]);
        }
    }

    private Compiled(
            Sheet.Vehicle vehicle,
            Sheet.Radio radio,
            List<Slot> slots,
            Reach reach,
            Catalogue catalogue,
            Outcomes.Against against) {
        this.vehicle = vehicle;
        this.radio = radio;
        this.slots = slots;
        this.against = against;
        this.functions = catalogue.functions().stream().map(Function::id).toList();
        Influence influence = new Influence(reach);
        reach.rivals().forEach(places -> rivals.add(new Rivals(places)));
        Map<Object, Table> alike = new LinkedHashMap<>();
        for (Function f : catalogue.functions()) {
            Influence.Bearing b = influence.on(f);
            int[][] classes = classes(b);
            alike.computeIfAbsent(
                            List.of(b.places(), Arrays.deepToString(classes)),
                            k -> new Table(b.places(), classes, new ArrayList<>()))
                    .functions
                    .add(f.id());
        }
        tables.addAll(alike.values());
    }

    private int[][] classes(Influence.Bearing b) {
        int[][] classes = new int[slots.size()][];
        for (int s = 0; s < classes.length; s++) {
            List<Object> seen = new ArrayList<>();
            List<Slot.Choice> choices = slots.get(s).choices();
            classes[s] = new int[choices.size()];
            for (int c = 0; c < choices.size(); c++) {
                Object facet = choices.get(c).device().isEmpty()
                        ? Influence.NOTHING
                        : b.facets().get(choices.get(c).part().orElseThrow().id());
                if (!seen.contains(facet)) seen.add(facet);
                classes[s][c] = seen.indexOf(facet);
            }
        }
        return classes;
    }

    /** Leaves out parts that can do nothing here but take a plug or a load. */
    static Compiled of(
            Sheet.Vehicle vehicle, Sheet.Radio radio, List<Slot> all, Catalogue catalogue, Outcomes.Against against) {
        Reach reach = reach(vehicle, radio, all);
        List<Slot> slots = all.stream()
                .map(s -> s.without(c -> c.device().isPresent()
                        && reach.idle(c.part().orElseThrow().id())))
                .filter(s -> !s.isIdle())
                .toList();
        return new Compiled(
                vehicle, radio, slots, slots.equals(all) ? reach : reach(vehicle, radio, slots), catalogue, against);
    }

    private static Reach reach(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Slot> slots) {
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
        return new Reach(
                Potential.of(
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

    List<Table> tables() {
        return tables;
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
        List<Table> open = tables.stream()
                .filter(t -> t.functions.stream().anyMatch(matters::contains))
                .sorted(Comparator.comparingInt(t -> -t.places.cardinality()))
                .toList();
        Map<Table, List<int[]>> missing = new LinkedHashMap<>();
        for (Table t : open)
            missing.put(
                    t,
                    new ArrayList<>(t.combinations().stream()
                            .filter(c -> t.at(c) == null && !tied(c, t.places))
                            .toList()));
        for (Map.Entry<Table, List<int[]>> m : missing.entrySet())
            while (!m.getValue().isEmpty()) {
                if (stopped.getAsBoolean()) return false;
                run(m.getKey(), m.getValue().get(m.getValue().size() - 1), missing);
            }
        return true;
    }

    /** Runs one kit that fills an entry of one table, and of as many others as go with it. */
    private void run(Table first, int[] entry, Map<Table, List<int[]>> missing) {
        int[] choices = entry.clone();
        BitSet fixed = (BitSet) first.places.clone();
        missing.forEach((table, open) -> {
            if (table == first) return;
            Optional<int[]> fits = open.stream()
                    .filter(c -> agrees(c, choices, table.places, fixed)
                            && !tied(joined(c, choices, table.places), union(fixed, table.places)))
                    .findFirst();
            fits.ifPresent(c -> {
                table.places.stream().forEach(p -> choices[p] = c[p]);
                fixed.or(table.places);
            });
        });
        if (!note(choices, fixed, missing))
            note(only(entry, first.places), first.places, Map.of(first, missing.get(first)));
    }

    /** @return false where a limit tripped: with fewer parts it might not */
    private boolean note(int[] choices, BitSet fixed, Map<Table, List<int[]>> missing) {
        Outcomes.Trial trial = against.trial(Builder.replacement(vehicle, radio, parts(choices)));
        Map<Table, List<Integer>> keys = new LinkedHashMap<>();
        missing.forEach((t, open) -> {
            if (within(t.places, fixed) && t.at(choices) == null) keys.put(t, t.key(choices));
        });
        Set<FunctionId> asked = new HashSet<>();
        keys.keySet().forEach(t -> asked.addAll(t.functions));
        Map<FunctionId, Kind> kinds = trial.kinds(asked);
        if (missing.size() > 1 && trial.tripped()) return false;
        keys.forEach((t, key) -> {
            Map<FunctionId, Kind> own = new HashMap<>();
            t.functions.forEach(f -> own.put(f, kinds.get(f)));
            t.entries.put(key, own);
            missing.get(t).removeIf(c -> t.key(c).equals(key));
        });
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
        tables.forEach(t -> Optional.ofNullable(t.at(choices)).ifPresent(kinds::putAll));
        return kinds;
    }

    /** What becomes of every function in one kit, built and run. */
    Map<FunctionId, Kind> built(int[] choices) {
        return built.computeIfAbsent(Arrays.stream(choices).boxed().toList(), k -> against.trial(
                        Builder.replacement(vehicle, radio, parts(choices)))
                .kinds(functions));
    }

    /** Whether a kit does as built what was compiled; where not, the tables are widened as far as that can be done. */
    boolean agrees(int[] choices, Set<FunctionId> matters) {
        List<Integer> key = Arrays.stream(choices).boxed().toList();
        if (agreed.getOrDefault(key, Set.of()).containsAll(matters)) return true;
        Map<FunctionId, Kind> asBuilt = built(choices);
        Map<FunctionId, Kind> tables = kinds(choices);
        if (matters.stream().anyMatch(f -> asBuilt.get(f) != tables.get(f))) return !widen(choices, asBuilt);
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
        List<Table> wide = new ArrayList<>();
        for (Table t : tables) {
            List<FunctionId> wrong = t.functions.stream()
                    .filter(f -> t.at(choices) != null
                            && asBuilt.get(f) != t.at(choices).get(f))
                    .toList();
            if (wrong.isEmpty()) continue;
            BitSet places = union(t.places, used);
            if (places.equals(t.places)
                    || places.stream()
                                    .mapToLong(p -> slots.get(p).choices().size())
                                    .reduce(1, (x, y) -> x * y)
                            > MOST_ENTRIES) return false;
            wide.add(new Table(
                    places,
                    slots.stream()
                            .map(s -> IntStream.range(0, s.choices().size()).toArray())
                            .toArray(int[][]::new),
                    new ArrayList<>(wrong)));
        }
        Set<FunctionId> moved = new HashSet<>();
        wide.forEach(t -> moved.addAll(t.functions));
        tables.forEach(t -> t.functions.removeAll(moved));
        tables.removeIf(t -> t.functions.isEmpty());
        tables.addAll(wide);
        agreed.clear();
        return true;
    }
}
