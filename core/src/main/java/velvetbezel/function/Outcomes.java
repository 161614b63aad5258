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
import java.util.stream.Stream;
import velvetbezel.harness.Installation;
import velvetbezel.harness.ProposedSettings;
import velvetbezel.run.Arrival;
import velvetbezel.run.Assumption;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Decibels;

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
        private final Set<String> inUse;
        private final Set<FieldRef> own;
        private final Map<Case, Ready> readied = new HashMap<>();
        private final Possible possible;

        public Against(Installation factory, Catalogue catalogue) {
            this.factory = factory;
            this.catalogue = catalogue;
            this.inUse = catalogue.settingsInUse();
            this.own = MissingFields.in(factory);
            this.possible = new Possible(factory);
        }

        public Map<FunctionId, Outcome> outcomes(Installation installation) {
            return trial(installation).outcomes();
        }

        /** An installation that is asked about one function after another; what was run once is kept with it. */
        public Trial trial(Installation installation) {
            return new Trial(this, installation);
        }

        /** Whether the factory installation fulfils it, whatever of it is open taken first. */
        public boolean had(CarFunction f) {
            return possible.of(f)
                    && reference(new Case(false, Optional.empty())).attempt(f).fulfilled();
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
        private final Set<String> unlearned;
        private final Cases cases;
        private final Map<Case, Ready> readied = new HashMap<>();
        /** The same where no button was learned: several times quicker, and enough for what presses none. */
        private final Map<Case, Ready> untaught = new HashMap<>();

        private final Possible possible;

        private Trial(Against against, Installation installation) {
            this(against, installation, Set.of());
        }

        /** @param unlearned devices that nobody taught the buttons */
        Trial(Against against, Installation installation, Set<String> unlearned) {
            this.unlearned = unlearned;
            this.against = against;
            this.installation = ProposedSettings.applied(installation, against.inUse);
            this.cases = Cases.of(against.own, installation);
            this.possible = new Possible(installation);
        }

        private Ready ready(Case c) {
            return readied.computeIfAbsent(
                    c,
                    k -> Ready.of(
                            FirstUse.of(installation, k.assumption()).without(unlearned),
                            installation,
                            k.assumption()));
        }

        private Ready ready(Case c, boolean taught) {
            return taught
                    ? ready(c)
                    : untaught.computeIfAbsent(
                            c,
                            k -> Ready.of(
                                    FirstUse.of(installation, k.assumption(), false), installation, k.assumption()));
        }

        /** Whether a current limit was passed in any state that was tried so far. */
        public boolean tripped() {
            return Stream.concat(readied.values().stream(), untaught.values().stream())
                    .anyMatch(r -> r.trippedBefore() || r.run().tripped());
        }

        Map<FunctionId, Outcome> outcomes() {
            Map<FunctionId, Outcome> decided = cases.settle(
                    c -> once(against.reference(c), ready(c), against.catalogue),
                    Outcome::sameFor,
                    Outcome.Unknown::new);
            return new OnceSetUp(against, installation).mark(decided);
        }

        /**
         * What becomes of some functions, in one word each: the same as the outcomes, without paths and reasons, and
         * so several times quicker.
         */
        public Map<FunctionId, Kind> kinds(Collection<FunctionId> asked) {
            return kindsOf(against.catalogue.functions().stream()
                    .filter(f -> asked.contains(f.id()))
                    .toList());
        }

        /** The same of functions that need not be in the catalogue: pieces of some. */
        public Map<FunctionId, Kind> kindsOf(Collection<CarFunction> functions) {
            boolean taught = functions.stream().anyMatch(CarFunction::pressesButtons);
            Map<FunctionId, Brief> briefs = cases.settle(
                    c -> {
                        Map<FunctionId, Brief> under = new LinkedHashMap<>();
                        for (CarFunction f : functions)
                            under.put(
                                    f.id(),
                                    brief(
                                            against.possible.of(f)
                                                    ? Optional.of(
                                                            against.reference(c).attempt(f))
                                                    : Optional.empty(),
                                            possible.of(f)
                                                    ? Optional.of(
                                                            ready(c, taught).attempt(f))
                                                    : Optional.empty()));
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
        Possible possible = new Possible(installation);
        return catalogue.functions().stream()
                .filter(f -> possible.of(f) && ready.attempt(f).fulfilled())
                .map(CarFunction::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** An installation after first use, ready to be tried. */
    private record Ready(
            Run run,
            Memory memory,
            boolean trippedBefore,
            Map<Picture, Paths> paths,
            Map<FunctionId, Attempt> attempts,
            Facilities facilities) {
        static Ready of(Installation healthy, Installation tried, Assumption assumption) {
            return of(FirstUse.of(healthy, assumption), tried, assumption);
        }

        static Ready of(FirstUse first, Installation tried, Assumption assumption) {
            boolean sameModes = tried.modes().isEmpty();
            Run run = first.run().installation() == tried
                    ? first.run().having(first.learned())
                    : new Run(tried, first.learned(), assumption);
            Facilities facilities = new Facilities(tried);
            if (sameModes)
                return new Ready(
                        run,
                        first.memory(),
                        first.run().tripped(),
                        new IdentityHashMap<>(),
                        new HashMap<>(),
                        facilities);
            Map<String, String> modes = new LinkedHashMap<>(first.memory().modes());
            modes.putAll(tried.modes());
            return new Ready(
                    run,
                    new Memory(modes, first.memory().inForce()),
                    first.run().tripped(),
                    new IdentityHashMap<>(),
                    new HashMap<>(),
                    facilities);
        }

        Attempt attempt(CarFunction f) {
            return attempts.computeIfAbsent(f.id(), id -> new Attempt(facilities.bind(f), run, memory));
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
        for (CarFunction f : catalogue.functions())
            outcomes.put(f.id(), outcome(reference.attempt(f), tried.attempt(f), tried.paths()));
        return outcomes;
    }

    private static Outcome outcome(Attempt reference, Attempt now, Map<Picture, Paths> known) {
        Brief brief = brief(Optional.of(reference), Optional.of(now));
        return switch (brief.kind) {
            case KEPT -> new Outcome.Kept(path(now, known), List.of());
            case CHANGED -> new Outcome.Changed(brief.how, path(now, known), List.of());
            case GAINED -> new Outcome.Gained(path(now, known), List.of());
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
        for (int i = 0; i < now.steps().size(); i++) {
            List<Expect> before = reference.function().scenario().get(i).expects();
            List<Expect> after = now.function().scenario().get(i).expects();
            for (int k = 0; k < after.size(); k++)
                how.addAll(difference(before.get(k), reference.picture(i), after.get(k), now.picture(i)));
        }
        how.addAll(servedOtherwise(now));
        return List.copyOf(how);
    }

    /** A switched supply that another output serves works at other times than it was made to. */
    private static List<String> servedOtherwise(Attempt now) {
        Optional<LeadRole> feeds = now.function().feeds();
        return now.picture(0).installation().substitutes().stream()
                .filter(s -> feeds.equals(Optional.of(s.wanted())))
                .flatMap(s -> s.source().stream())
                .map(Outcomes::when)
                .toList();
    }

    private static String when(LeadRole source) {
        return switch (source) {
            case ACCESSORY -> "on whenever the key is on";
            case REVERSE -> "on in reverse only";
            default -> "on with the radio, from any source";
        };
    }

    private static List<String> difference(Expect before, Picture first, Expect after, Picture then) {
        if (before instanceof Expect.Arrives a && after instanceof Expect.Arrives b)
            return difference(first.arrival(a.at(), a.signal()), then.arrival(b.at(), b.signal()));
        if (!(after instanceof Expect.Any) && !(before instanceof Expect.Any)) return List.of();
        Optional<Expect> used = used(before, first);
        Optional<Expect> now = used(after, then);
        if (used.isEmpty() || now.isEmpty()) return List.of();
        if (Attempt.holds(used.get(), then)) return difference(used.get(), first, used.get(), then);
        return List.of("now by " + by(now.get(), then));
    }

    /** The first branch that holds. */
    private static Optional<Expect> used(Expect expect, Picture picture) {
        List<Expect> branches = expect instanceof Expect.Any any ? any.expects() : List.of(expect);
        return branches.stream().filter(e -> Attempt.holds(e, picture)).findFirst();
    }

    private static String by(Expect expect, Picture picture) {
        String instance = expect instanceof Expect.Shows s
                ? s.instance()
                : expect instanceof Expect.Arrives a ? a.at().instance() : "another way";
        return picture.installation()
                .instance(instance)
                .map(i -> i.device().name())
                .orElse(instance);
    }

    private static List<String> difference(Optional<Arrival> before, Optional<Arrival> after) {
        List<String> how = new ArrayList<>();
        if (before.isEmpty() || after.isEmpty()) return how;
        if (before.get().reversed() != after.get().reversed()) how.add("polarity reversed");
        Optional<Decibels> first = before.get().level().number();
        Optional<Decibels> then = after.get().level().number();
        if (first.isEmpty() || then.isEmpty()) return how;
        double db = then.get().value() - first.get().value();
        if (Math.abs(db) > AUDIBLE_DB)
            how.add("%s by %s dB".formatted(db > 0 ? "louder" : "fainter", Why.number(Math.abs(db))));
        return how;
    }
}
