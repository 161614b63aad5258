package velvetbezel.function;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.harness.Installation;
import velvetbezel.run.Arrival;
import velvetbezel.run.Assumption;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.FieldRef;

/** What becomes of every function of a catalogue, against a reference: the factory run, or the healthy design. */
public final class Outcomes {
    /** A level that differs by more is heard (common practice, no source). */
    private static final double AUDIBLE_DB = 3;

    private Outcomes() {}

    /** Each function of the catalogue, in its order, for a new installation against the factory one. */
    public static Map<FunctionId, Outcome> compare(Installation factory, Installation installation, Catalogue catalogue) {
        return new Against(factory, catalogue).outcomes(installation);
    }

    /** Compares many installations with one factory installation, which is run once. Not for several threads. */
    public static final class Against {
        private final Installation factory;
        private final Catalogue catalogue;
        private final Ready first;

        public Against(Installation factory, Catalogue catalogue) {
            this.factory = factory;
            this.catalogue = catalogue;
            this.first = Ready.of(factory, factory, Assumption.ALL_FIRST);
        }

        public Map<FunctionId, Outcome> outcomes(Installation installation) {
            return inAllCases(factory, installation, assumption ->
                once(assumption == Assumption.ALL_FIRST ? first : Ready.of(factory, factory, assumption), Ready.of(installation, installation, assumption), catalogue));
        }

        public Set<FunctionId> fulfilled(Installation installation) { return Outcomes.fulfilled(installation, catalogue); }

        /** Which of some functions an installation fulfils, without a word on the others: quicker than its outcomes. */
        public Set<FunctionId> fulfilled(Installation installation, Collection<FunctionId> asked) { return Outcomes.fulfilled(installation, catalogue, asked); }
    }

    /** Which of some functions an installation fulfils. */
    private static Set<FunctionId> fulfilled(Installation installation, Catalogue catalogue, Collection<FunctionId> asked) {
        Ready ready = Ready.of(installation, installation, Assumption.ALL_FIRST);
        Able able = new Able(installation);
        return catalogue.functions().stream().filter(f -> asked.contains(f.id()) && able.of(f) && ready.attempt(f).fulfilled()).map(Function::id).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The same for a faulty installation against its healthy design, whose set-up and learned buttons it has. */
    public static Map<FunctionId, Outcome> faulty(Installation healthy, Installation faulty, Catalogue catalogue) {
        return inAllCases(healthy, faulty, assumption -> once(Ready.of(healthy, healthy, assumption), Ready.of(healthy, faulty, assumption), catalogue));
    }

    /** Which functions an installation fulfils. */
    public static Set<FunctionId> fulfilled(Installation installation, Catalogue catalogue) {
        return fulfilled(installation, catalogue, catalogue.functions().stream().map(Function::id).toList());
    }

    /** An installation after first use, ready to be tried. */
    private record Ready(Run run, Memory memory, Map<Picture, Paths> paths, Map<FunctionId, Attempt> attempts) {
        static Ready of(Installation healthy, Installation tried, Assumption assumption) {
            FirstUse first = FirstUse.of(healthy, assumption);
            boolean sameModes = tried.modes().isEmpty();
            Run run = new Run(tried, first.learned(), assumption);
            if (sameModes) return new Ready(run, first.memory(), new IdentityHashMap<>(), new HashMap<>());
            Map<String, String> modes = new LinkedHashMap<>(first.memory().modes());
            modes.putAll(tried.modes());
            return new Ready(run, new Memory(modes, first.memory().inForce()), new IdentityHashMap<>(), new HashMap<>());
        }

        Attempt attempt(Function f) { return attempts.computeIfAbsent(f.id(), id -> new Attempt(f, run, memory)); }
    }

    private interface Case { Map<FunctionId, Outcome> under(Assumption assumption); }

    private static Map<FunctionId, Outcome> inAllCases(Installation reference, Installation installation, Case each) {
        Map<FunctionId, Outcome> first = each.under(Assumption.ALL_FIRST);
        Set<FieldRef> fields = new LinkedHashSet<>(MissingFields.in(reference));
        fields.addAll(MissingFields.in(installation));
        if (fields.isEmpty()) return first;
        Map<FunctionId, Outcome> last = each.under(Assumption.ALL_LAST);
        Map<FunctionId, Set<FieldRef>> flips = new LinkedHashMap<>();
        for (FieldRef field : fields) {
            note(flips, field, first, each.under((f, state) -> f.equals(field)));
            note(flips, field, last, each.under((f, state) -> !f.equals(field)));
        }
        Map<FunctionId, Outcome> settled = new LinkedHashMap<>();
        first.forEach((id, outcome) -> {
            if (flips.containsKey(id)) settled.put(id, new Outcome.Unknown(flips.get(id).stream().sorted().toList()));
            else if (!outcome.sameFor(last.get(id))) settled.put(id, new Outcome.Unknown(fields.stream().sorted().toList()));
            else settled.put(id, outcome);
        });
        return settled;
    }

    private static void note(Map<FunctionId, Set<FieldRef>> flips, FieldRef field, Map<FunctionId, Outcome> before, Map<FunctionId, Outcome> after) {
        before.forEach((id, outcome) -> {
            if (!outcome.sameFor(after.get(id))) flips.computeIfAbsent(id, k -> new LinkedHashSet<>()).add(field);
        });
    }

    private static Map<FunctionId, Outcome> once(Ready reference, Ready tried, Catalogue catalogue) {
        Map<FunctionId, Outcome> outcomes = new LinkedHashMap<>();
        for (Function f : catalogue.functions()) outcomes.put(f.id(), outcome(reference.attempt(f), tried.attempt(f), tried.paths()));
        return outcomes;
    }

    private static Outcome outcome(Attempt reference, Attempt now, Map<Picture, Paths> known) {
        if (!now.fulfilled()) {
            Break why = new Why(now, Optional.of(reference)).explain();
            return reference.fulfilled() ? new Outcome.Lost(why) : new Outcome.Absent(why);
        }
        List<Hop> path = path(now, known);
        if (!reference.fulfilled()) return new Outcome.Gained(path);
        List<String> how = differences(reference, now);
        return how.isEmpty() ? new Outcome.Kept(path) : new Outcome.Changed(how, path);
    }

    private static List<Hop> path(Attempt attempt, Map<Picture, Paths> known) {
        Set<Hop> hops = new LinkedHashSet<>();
        for (int i = 0; i < attempt.steps().size(); i++) {
            Paths paths = known.computeIfAbsent(attempt.picture(i), Paths::new);
            for (Expect e : attempt.function().scenario().get(i).expects()) hops.addAll(paths.of(e));
        }
        return List.copyOf(hops);
    }

    private static List<String> differences(Attempt reference, Attempt now) {
        Set<String> how = new LinkedHashSet<>();
        for (int i = 0; i < now.steps().size(); i++)
            for (Expect e : now.function().scenario().get(i).expects())
                if (e instanceof Expect.Arrives a) difference(reference.picture(i).arrival(a.at(), a.signal()), now.picture(i).arrival(a.at(), a.signal())).forEach(how::add);
        return List.copyOf(how);
    }

    private static List<String> difference(Optional<Arrival> before, Optional<Arrival> after) {
        List<String> how = new ArrayList<>();
        if (before.isEmpty() || after.isEmpty()) return how;
        if (before.get().reversed() != after.get().reversed()) how.add("polarity reversed");
        double db = after.get().level().value() - before.get().level().value();
        if (Math.abs(db) > AUDIBLE_DB) how.add("%s by %s dB".formatted(db > 0 ? "louder" : "fainter", Why.number(Math.abs(db))));
        return how;
    }
}
