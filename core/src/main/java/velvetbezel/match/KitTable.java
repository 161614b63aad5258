package velvetbezel.match;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;

/** What becomes of some functions, for every combination of choices in the places that bear on them. */
sealed interface KitTable {
    /** Places whose choices decide it. */
    BitSet places();

    List<FunctionId> functions();

    /** Whether two choices in a place can do differently for these functions. */
    boolean differs(int place, int choice, int other);

    /**
     * @param choices by place, of which only those of this table count
     * @return null where nothing was found, because these choices tie outputs together
     */
    Map<FunctionId, Kind> at(int[] choices);

    /** No longer tells of these. */
    void forget(Set<FunctionId> functions);

    /** A table that is filled by building and running kits. */
    final class Built implements KitTable {
        private final BitSet places;
        private final int[] order;
        /** For each place, the class of each of its choices: those of one class do the same for these functions. */
        private final int[][] classes;

        private final List<CarFunction> functions;
        private final Map<Integer, Map<FunctionId, Kind>> entries = new HashMap<>();

        Built(BitSet places, int[][] classes, Collection<CarFunction> functions) {
            this.places = places;
            this.order = places.stream().toArray();
            this.classes = classes;
            this.functions = new ArrayList<>(functions);
        }

        @Override
        public BitSet places() {
            return places;
        }

        @Override
        public List<FunctionId> functions() {
            return functions.stream().map(CarFunction::id).toList();
        }

        List<CarFunction> asked() {
            return functions;
        }

        void add(CarFunction f) {
            functions.add(f);
        }

        @Override
        public boolean differs(int place, int choice, int other) {
            return places.get(place) && classes[place][choice] != classes[place][other];
        }

        @Override
        public Map<FunctionId, Kind> at(int[] choices) {
            return entries.get(key(choices));
        }

        @Override
        public void forget(Set<FunctionId> gone) {
            functions.removeIf(f -> gone.contains(f.id()));
        }

        void enter(int key, Map<FunctionId, Kind> kinds) {
            Map<FunctionId, Kind> own = new HashMap<>();
            functions.forEach(f -> own.put(f.id(), kinds.get(f.id())));
            entries.put(key, own);
        }

        /** Names a combination of classes. */
        int key(int[] choices) {
            int key = 0;
            for (int p : order) key = key * classes[p].length + classes[p][choices[p]];
            return key;
        }

        /** Equal for functions on which the same places bear in the same way. */
        Object shape() {
            return List.of(places, Arrays.deepToString(classes));
        }

        /** How many combinations there are. */
        long size() {
            long size = 1;
            for (int p : order) size *= IntStream.of(classes[p]).distinct().count();
            return size;
        }

        /** One choice of each class in each place, by key. */
        Map<Integer, int[]> combinations() {
            List<int[]> all = List.of(new int[classes.length]);
            for (int p : order) {
                List<int[]> next = new ArrayList<>();
                for (int[] before : all)
                    for (int c = 0; c < classes[p].length; c++)
                        if (first(p, c)) {
                            int[] with = before.clone();
                            with[p] = c;
                            next.add(with);
                        }
                all = next;
            }
            Map<Integer, int[]> keyed = new LinkedHashMap<>();
            for (int[] choices : all) keyed.put(key(choices), choices);
            return keyed;
        }

        private boolean first(int place, int choice) {
            return IntStream.range(0, choice).noneMatch(c -> classes[place][c] == classes[place][choice]);
        }
    }

    /**
     * A function that expects several things which depend on different places: it works where all of them are so.
     *
     * @param had    whether the car had it
     * @param pieces the tables of what it expects, each with the name by which that goes there
     */
    record Joined(FunctionId function, boolean had, List<Piece> pieces, Set<FunctionId> gone) implements KitTable {
        record Piece(FunctionId name, Built table) {}

        Joined(FunctionId function, boolean had, List<Piece> pieces) {
            this(function, had, List.copyOf(pieces), new HashSet<>());
        }

        @Override
        public BitSet places() {
            BitSet all = new BitSet();
            pieces.forEach(p -> all.or(p.table.places()));
            return all;
        }

        @Override
        public List<FunctionId> functions() {
            return gone.contains(function) ? List.of() : List.of(function);
        }

        @Override
        public boolean differs(int place, int choice, int other) {
            return pieces.stream().anyMatch(p -> p.table.differs(place, choice, other));
        }

        @Override
        public Map<FunctionId, Kind> at(int[] choices) {
            List<Kind> kinds = new ArrayList<>();
            for (Piece p : pieces) {
                Map<FunctionId, Kind> found = p.table.at(choices);
                if (found == null) return null;
                kinds.add(found.get(p.name));
            }
            return Map.of(function, together(had, kinds));
        }

        @Override
        public void forget(Set<FunctionId> functions) {
            gone.addAll(functions);
        }

        /**
         * What becomes of the whole: it fails where one thing fails. How it changed, where it works, only the whole can
         * tell.
         */
        static Kind together(boolean had, List<Kind> kinds) {
            if (kinds.contains(Kind.LOST) || kinds.contains(Kind.ABSENT)) return had ? Kind.LOST : Kind.ABSENT;
            if (kinds.contains(Kind.UNKNOWN)) return Kind.UNKNOWN;
            return had ? Kind.KEPT : Kind.GAINED;
        }
    }
}
