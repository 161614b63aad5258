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
    public static Map<FunctionId, Outcome> compare(
            Installation factory, Installation installation, Catalogue catalogue) {
        return new Against(factory, catalogue).outcomes(installation);
    }

    /** Compares many installations with one factory installation, which is run once. Not for several threads. */
    public static final class Against {
        private final Installation factory;
        private final Catalogue catalogue;
        private final Set<FieldRef> own;
        private final Map<Case, Ready> readied = new HashMap<>();
        private final Able able;

        public Against(Installation factory, Catalogue catalogue) {
            this.factory = factory;
            this.catalogue = catalogue;
            this.own = MissingFields.in(factory);
            this.able = new Able(factory);
        }

        public Map<FunctionId, Outcome> outcomes(Installation installation) {
            return trial(installation).outcomes();
        }

        /** An installation that is asked about one function after another; what was run once is kept with it. */
        public Trial trial(Installation installation) {
            return new Trial(this, installation);
        }

        /** The factory installation knows nothing of what another leaves open. */
        private Ready reference(Case c) {
            return readied.computeIfAbsent(c.within(own), k -> Ready.of(factory, factory, k.assumption()));
        }
    }

    /** See {@link Against#trial}. */
    public static final class Trial {
        private final Against against;
        private final Installation installation;
        private final Cases cases;
        private final Map<Case, Ready> readied = new HashMap<>();
        private final Able able;

        private Trial(Against against, Installation installation) {
            this.against = against;
            this.installation = installation;
            this.cases = Cases.of(against.own, installation);
            this.able = new Able(installation);
        }

        private Ready ready(Case c) {
            return readied.computeIfAbsent(c, k -> Ready.of(installation, installation, k.assumption()));
        }

        /** Whether a current limit was passed in any state that was tried so far. */
        public boolean tripped() {
            return readied.values().stream()
                    .anyMatch(r -> r.trippedBefore() || r.run().tripped());
        }

        Map<FunctionId, Outcome> outcomes() {
            return cases.settle(
                    c -> once(against.reference(c), ready(c), against.catalogue),
                    Outcome::sameFor,
                    Outcome.Unknown::new);
        }

        /**
         * What becomes of some functions, in one word each: the same as the outcomes, without paths and reasons, and
         * so several times quicker.
         */
        public Map<FunctionId, Kind> kinds(Collection<FunctionId> asked) {
            List<Function> functions = against.catalogue.functions().stream()
                    .filter(f -> asked.contains(f.id()))
                    .toList();
            Map<FunctionId, Brief> briefs = cases.settle(
                    c -> {
                        Map<FunctionId, Brief> under = new LinkedHashMap<>();
                        for (Function f : functions)
                            under.put(
                                    f.id(),
                                    brief(
                                            against.able.of(f)
                                                    ? Optional.of(
                                                            against.reference(c).attempt(f))
                                                    : Optional.empty(),
                                            able.of(f) ? Optional.of(ready(c).attempt(f)) : Optional.empty()));
                        return under;
                    },
                    Object::equals,
                    fields -> new Brief(Kind.UNKNOWN, List.of()));
            Map<FunctionId, Kind> kinds = new LinkedHashMap<>();
            briefs.forEach((id, brief) -> kinds.put(id, brief.kind));
            return kinds;
        }
    }

    /** The same for a faulty installation against its healthy design, whose set-up and learned buttons it has. */
    public static Map<FunctionId, Outcome> faulty(Installation healthy, Installation faulty, Catalogue catalogue) {
        return Cases.of(MissingFields.in(healthy), faulty)
                .settle(
                        c -> once(
                                Ready.of(healthy, healthy, c.assumption()),
                                Ready.of(healthy, faulty, c.assumption()),
                                catalogue),
                        Outcome::sameFor,
                        Outcome.Unknown::new);
    }

    /** Which functions an installation fulfils. */
    public static Set<FunctionId> fulfilled(Installation installation, Catalogue catalogue) {
        Ready ready = Ready.of(installation, installation, Assumption.ALL_FIRST);
        Able able = new Able(installation);
        return catalogue.functions().stream()
                .filter(f -> able.of(f) && ready.attempt(f).fulfilled())
                .map(Function::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** An installation after first use, ready to be tried. */
    private record Ready(
            Run run,
            Memory memory,
            boolean trippedBefore,
            Map<Picture, Paths> paths,
            Map<FunctionId, Attempt> attempts) {
        static Ready of(Installation healthy, Installation tried, Assumption assumption) {
            FirstUse first = FirstUse.of(healthy, assumption);
            boolean sameModes = tried.modes().isEmpty();
            Run run = new Run(tried, first.learned(), assumption);
            if (sameModes)
                return new Ready(run, first.memory(), first.tripped(), new IdentityHashMap<>(), new HashMap<>());
            Map<String, String> modes = new LinkedHashMap<>(first.memory().modes());
            modes.putAll(tried.modes());
            return new Ready(
                    run,
                    new Memory(modes, first.memory().inForce()),
                    first.tripped(),
                    new IdentityHashMap<>(),
                    new HashMap<>());
        }

        Attempt attempt(Function f) {
            return attempts.computeIfAbsent(f.id(), id -> new Attempt(f, run, memory));
        }
    }

    /** An outcome in a word, and how it changed. */
    private record Brief(Kind kind, List<String> how) {}

    private static Brief brief(Optional<Attempt> reference, Optional<Attempt> now) {
        boolean before = reference.filter(Attempt::fulfilled).isPresent();
        if (now.filter(Attempt::fulfilled).isEmpty()) return new Brief(before ? Kind.LOST : Kind.ABSENT, List.of());
        if (!before) return new Brief(Kind.GAINED, List.of());
        List<String> how = differences(reference.get(), now.get());
        return new Brief(how.isEmpty() ? Kind.KEPT : Kind.CHANGED, how);
    }

    private static Map<FunctionId, Outcome> once(Ready reference, Ready tried, Catalogue catalogue) {
        Map<FunctionId, Outcome> outcomes = new LinkedHashMap<>();
        for (Function f : catalogue.functions())
            outcomes.put(f.id(), outcome(reference.attempt(f), tried.attempt(f), tried.paths()));
        return outcomes;
    }

    private static Outcome outcome(Attempt reference, Attempt now, Map<Picture, Paths> known) {
        Brief brief = brief(Optional.of(reference), Optional.of(now));
        return switch (brief.kind) {
            case KEPT -> new Outcome.Kept(path(now, known));
            case CHANGED -> new Outcome.Changed(brief.how, path(now, known));
            case GAINED -> new Outcome.Gained(path(now, known));
            case LOST -> new Outcome.Lost(why(reference, now));
            case ABSENT -> new Outcome.Absent(why(reference, now));
            case UNKNOWN -> throw new IllegalStateException("One case alone leaves nothing unknown.");
        };
    }

    private static Break why(Attempt reference, Attempt now) {
        return new Why(now, Optional.of(reference)).explain();
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
                if (e instanceof Expect.Arrives a)
                    difference(
                                    reference.picture(i).arrival(a.at(), a.signal()),
                                    now.picture(i).arrival(a.at(), a.signal()))
                            .forEach(how::add);
        return List.copyOf(how);
    }

    private static List<String> difference(Optional<Arrival> before, Optional<Arrival> after) {
        List<String> how = new ArrayList<>();
        if (before.isEmpty() || after.isEmpty()) return how;
        if (before.get().reversed() != after.get().reversed()) how.add("polarity reversed");
        double db = after.get().level().value() - before.get().level().value();
        if (Math.abs(db) > AUDIBLE_DB)
            how.add("%s by %s dB".formatted(db > 0 ? "louder" : "fainter", Why.number(Math.abs(db))));
        return how;
    }
}
