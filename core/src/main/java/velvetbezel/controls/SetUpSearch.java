package velvetbezel.controls;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.Rule;
import velvetbezel.sheet.Trait;

/**
 * Finds what each setting of a kit has to be. Values that no rule tells apart count as one; what is left is tried in all
 * combinations where these are few, which proves the answer, and else climbed setting by setting and pair by pair, which
 * is said. A person's own value and a fact that a sheet names come first and are not searched.
 */
public final class SetUpSearch {
    /** More combinations than this are not all tried. */
    static final int MOST_RUNS = 512;

    private final Installation built;
    private final Asked asked;
    private final Outcomes.Against against;
    private final Catalogue catalogue;
    private final List<FunctionId> functions;
    private final List<Setting> settings;
    private final Comparator<Map<SettingId, String>> order;
    private final Map<List<String>, Tried> tried = new HashMap<>();
    private int runs;

    /**
     * What the settings are to serve.
     *
     * @param had     functions of the car as it came
     * @param persons values that a person decided
     * @param traits  of this car
     */
    public record Asked(
            Set<FunctionId> musts,
            Set<FunctionId> wished,
            Set<FunctionId> had,
            Map<SettingId, String> persons,
            Map<Trait, String> traits) {}

    /** @param choices one of each kind of value that rules tell apart, the delivered one first */
    private record Setting(SettingId id, Choice choice, boolean radio, List<String> choices) {
        boolean searched() {
            return choices.size() > 1;
        }

        boolean ofButton() {
            return choice.press().isPresent();
        }

        Optional<Trait> fact() {
            return choice.how().fact();
        }
    }

    private record Tried(Map<FunctionId, Kind> kinds, boolean tripped) {
        boolean works(FunctionId f) {
            return kinds.get(f).works();
        }
    }

    private SetUpSearch(Installation built, Catalogue catalogue, Outcomes.Against against, Asked asked) {
        this.built = built;
        this.asked = asked;
        this.against = against;
        this.catalogue = catalogue;
        this.functions = catalogue.functions().stream().map(CarFunction::id).toList();
        this.settings = settings(built, catalogue.settingsInUse());
        this.order = order();
    }

    /**
     * @param built   the kit in its car, with what a person decided
     * @param against the factory installation
     */
    public static SetUpPlan of(Installation built, Catalogue catalogue, Outcomes.Against against, Asked asked) {
        SetUpSearch search = new SetUpSearch(built, catalogue, against, asked);
        return search.settings.isEmpty() && !built.recipe().vehicle().wheelOpen() ? SetUpPlan.NOTHING : search.plan();
    }

    /** Kept over time: no scenario chooses them, they are no device's of the car, or their sheet says when they are set. */
    private static List<Setting> settings(Installation built, Set<String> inUse) {
        Set<String> heard = ButtonMap.heard(built.instances().stream());
        List<Setting> settings = new ArrayList<>();
        for (Instance i : built.instances())
            for (Choice c : i.device().settings()) {
                boolean kept = c.how()
                        .when()
                        .map(w -> w != HowSet.Moment.IN_USE)
                        .orElse(i.owner() != Instance.Owner.CAR && !inUse.contains(c.name()));
                if (kept)
                    settings.add(new Setting(
                            new SettingId(i.id(), c.name()),
                            c,
                            i.owner() == Instance.Owner.RADIO,
                            choices(i, c, heard)));
            }
        return settings;
    }

    private static List<String> choices(Instance i, Choice c, Set<String> heard) {
        // what a button does is chosen: by wish, by a person, or as delivered
        if (c.press().isPresent()) return List.of(c.start());
        Map<List<String>, String> kinds = new LinkedHashMap<>();
        kinds.put(asking(i, c, c.start(), heard), c.start());
        for (String value : c.values()) kinds.putIfAbsent(asking(i, c, value, heard), value);
        return List.copyOf(kinds.values());
    }

    /** Rules that ask for a value and whose effect anybody notices; values that the same ask for are alike. */
    private static List<String> asking(Instance i, Choice c, String value, Set<String> heard) {
        Guard.Setting wanted = new Guard.Setting(c.name(), value);
        return i.device().rules().stream()
                .filter(r -> i.device().parts(r.when()).anyMatch(wanted::equals) && noticed(r, heard))
                .map(Rule::id)
                .toList();
    }

    private static boolean noticed(Rule rule, Set<String> heard) {
        return rule.then().stream().anyMatch(e -> !(e instanceof Effect.Emit m) || heard.contains(m.signal()));
    }

    private SetUpPlan plan() {
        Map<SettingId, String> start = delivered();
        Map<SettingId, String> fixed = fixed();
        start.putAll(fixed);
        List<Setting> free = settings.stream()
                .filter(s ->
                        s.searched() && !fixed.containsKey(s.id) && openFact(s).isEmpty())
                .toList();
        long combinations =
                free.stream().mapToLong(s -> s.choices.size()).reduce(1, (a, b) -> Math.min(a * b, 1L << 40));
        boolean all = combinations <= MOST_RUNS;
        Map<SettingId, String> best = all ? exhausted(start, free) : climbed(start, free);
        Map<Boolean, List<Decision>> decided = decisions(best).stream()
                .collect(Collectors.partitioningBy(d -> setting(d.id()).ofButton()));
        return new SetUpPlan(
                withButtons(decided.get(false), decided.get(true)),
                decided.get(true),
                looks(),
                lostBySetting(best),
                openFunctions(best),
                all ? SetUpPlan.Proof.PROVEN : SetUpPlan.Proof.BEST_FOUND);
    }

    /** Functions that would work with everything as delivered, or with one setting of these as delivered. */
    private List<FunctionId> lostBySetting(Map<SettingId, String> best) {
        Set<FunctionId> lost = new HashSet<>(lost(delivered(), best));
        for (Setting s : settings) lost.addAll(lost(with(best, s.id, s.choice.start()), best));
        return functions.stream().filter(lost::contains).toList();
    }

    private Setting setting(SettingId id) {
        return settings.stream().filter(s -> s.id.equals(id)).findFirst().orElseThrow();
    }

    private List<Trait> looks() {
        Stream<Trait> wheel = built.recipe().vehicle().wheelOpen() ? Stream.of(Trait.STEERING_LAYOUT) : Stream.of();
        return Stream.concat(settings.stream().flatMap(s -> openFact(s).stream()), wheel)
                .distinct()
                .toList();
    }

    /** What a device is told of its buttons is loaded as a whole, so it is one thing to set. */
    private static List<Decision> withButtons(List<Decision> decisions, List<Decision> presses) {
        List<Decision> all = new ArrayList<>(decisions);
        presses.stream().map(d -> d.id().instance()).distinct().forEach(instance -> {
            List<Decision> own = presses.stream()
                    .filter(d -> d.id().instance().equals(instance))
                    .toList();
            all.add(ButtonMap.decision(instance, own));
        });
        all.sort(Comparator.comparing(Decision::when));
        return all;
    }

    private Map<SettingId, String> delivered() {
        Map<SettingId, String> delivered = new TreeMap<>();
        for (Setting s : settings) delivered.put(s.id, s.choice.start());
        return delivered;
    }

    /** By a person, else by a fact. */
    private Map<SettingId, String> fixed() {
        Map<SettingId, String> fixed = new TreeMap<>();
        for (Setting s : settings)
            Optional.ofNullable(asked.persons.get(s.id))
                    .or(() -> byFact(s))
                    .or(() -> byWish(s))
                    .ifPresent(v -> fixed.put(s.id, v));
        return fixed;
    }

    /** What functions that are wanted want a button to do, where it can. */
    private Optional<String> byWish(Setting s) {
        return wishing(s).stream()
                .flatMap(f -> f.shownWhilePressed().stream())
                .filter(s.choice.values()::contains)
                .findFirst();
    }

    /** Musts first. */
    private List<CarFunction> wishing(Setting s) {
        if (s.choice.press().filter(p -> p.fixed().isEmpty()).isEmpty()) return List.of();
        KeyPress press = s.choice.press().get();
        Set<String> pressed = press.held() ? Set.of(press.button(), KeyPress.HELD) : Set.of(press.button());
        return Stream.of(asked.musts, asked.wished)
                .flatMap(wanted -> catalogue.functions().stream().filter(f -> wanted.contains(f.id())))
                .filter(f -> f.pressed().equals(pressed))
                .toList();
    }

    private Optional<String> byFact(Setting s) {
        return s.fact()
                .flatMap(f -> Optional.ofNullable(asked.traits.get(f)))
                .flatMap(seen -> s.choice.values().stream()
                        .filter(v -> v.equalsIgnoreCase(seen.strip()))
                        .findFirst());
    }

    private Optional<Trait> openFact(Setting s) {
        return s.fact()
                .filter(f -> !asked.persons.containsKey(s.id) && byFact(s).isEmpty());
    }

    private Map<SettingId, String> exhausted(Map<SettingId, String> start, List<Setting> free) {
        List<Map<SettingId, String>> all = new ArrayList<>(List.of(start));
        for (Setting s : free) {
            List<Map<SettingId, String>> next = new ArrayList<>();
            for (Map<SettingId, String> a : all) for (String v : s.choices) next.add(with(a, s.id, v));
            all = next;
        }
        return all.stream().max(order).orElseThrow();
    }

    private Map<SettingId, String> climbed(Map<SettingId, String> start, List<Setting> free) {
        Map<SettingId, String> best = start;
        while (runs < MOST_RUNS) {
            Optional<Map<SettingId, String>> better = better(best, singles(best, free));
            if (better.isEmpty()) better = better(best, pairs(best, free));
            if (better.isEmpty()) break;
            best = better.get();
        }
        return best;
    }

    private Optional<Map<SettingId, String>> better(Map<SettingId, String> best, List<Map<SettingId, String>> others) {
        return others.stream()
                .takeWhile(o -> runs < MOST_RUNS)
                .filter(o -> order.compare(o, best) > 0)
                .max(order);
    }

    private static List<Map<SettingId, String>> singles(Map<SettingId, String> from, List<Setting> free) {
        return free.stream()
                .flatMap(s -> s.choices.stream()
                        .filter(v -> !v.equals(from.get(s.id)))
                        .map(v -> with(from, s.id, v)))
                .toList();
    }

    private static List<Map<SettingId, String>> pairs(Map<SettingId, String> from, List<Setting> free) {
        List<Map<SettingId, String>> pairs = new ArrayList<>();
        for (int i = 0; i < free.size(); i++)
            for (Map<SettingId, String> one : singles(from, List.of(free.get(i))))
                pairs.addAll(singles(one, free.subList(i + 1, free.size())));
        return pairs;
    }

    private static Map<SettingId, String> with(Map<SettingId, String> a, SettingId id, String value) {
        Map<SettingId, String> changed = new TreeMap<>(a);
        changed.put(id, value);
        return changed;
    }

    private Tried tried(Map<SettingId, String> values) {
        return tried.computeIfAbsent(List.copyOf(values.values()), k -> {
            runs++;
            Outcomes.Trial trial = against.trial(built.withSettings(values));
            Map<FunctionId, Kind> kinds = trial.kinds(functions);
            return new Tried(kinds, trial.tripped());
        });
    }

    /** Nothing tripped, then musts, wishes and what the car had; then the fewest changes from how it is delivered. */
    private Comparator<Map<SettingId, String>> order() {
        Set<FunctionId> all = Set.copyOf(functions);
        return Comparator.<Map<SettingId, String>>comparingInt(v -> tried(v).tripped ? 0 : 1)
                .thenComparingLong(v -> working(v, asked.musts))
                .thenComparingLong(v -> working(v, asked.wished))
                .thenComparingLong(v -> working(v, asked.had))
                .thenComparingLong(v -> working(v, all))
                .thenComparingInt(v -> -changes(v))
                .thenComparingInt(v -> -places(v));
    }

    private long working(Map<SettingId, String> values, Set<FunctionId> of) {
        Tried t = tried(values);
        return functions.stream().filter(f -> of.contains(f) && t.works(f)).count();
    }

    private int changes(Map<SettingId, String> values) {
        return (int) settings.stream()
                .filter(s -> !s.choice.start().equals(values.get(s.id)))
                .count();
    }

    /** Of two alike, the one whose values stand first on their sheets. */
    private int places(Map<SettingId, String> values) {
        return settings.stream()
                .mapToInt(s -> s.choice.values().indexOf(values.get(s.id)))
                .sum();
    }

    /** Functions that work in one and not in the other. */
    private List<FunctionId> lost(Map<SettingId, String> from, Map<SettingId, String> to) {
        Tried before = tried(from);
        Tried after = tried(to);
        return functions.stream()
                .filter(f -> before.works(f) && !after.works(f))
                .toList();
    }

    private List<FunctionId> differ(Map<SettingId, String> a, Map<SettingId, String> b) {
        Tried x = tried(a);
        Tried y = tried(b);
        return functions.stream().filter(f -> x.kinds.get(f) != y.kinds.get(f)).toList();
    }

    private List<FunctionId> openFunctions(Map<SettingId, String> best) {
        Set<FunctionId> open = new LinkedHashSet<>();
        for (Setting s : settings)
            if (openFact(s).isPresent()) for (String v : s.choices) open.addAll(differ(best, with(best, s.id, v)));
        open.addAll(ofOpenButtons());
        return functions.stream().filter(open::contains).toList();
    }

    /** Functions of buttons that this wheel may have or not. */
    private List<FunctionId> ofOpenButtons() {
        Set<String> maybe = built.recipe().vehicle().openButtons();
        return catalogue.functions().stream()
                .filter(f -> f.pressed().stream().anyMatch(maybe::contains))
                .map(CarFunction::id)
                .toList();
    }

    private List<Decision> decisions(Map<SettingId, String> best) {
        List<FunctionId> together = lost(best, delivered());
        Map<SettingId, List<FunctionId>> alone = new HashMap<>();
        for (Setting s : settings) alone.put(s.id, lost(best, with(best, s.id, s.choice.start())));
        // what needs any one of several is lost only where all of them are as delivered
        List<FunctionId> ofSeveral = together.stream()
                .filter(f -> alone.values().stream().noneMatch(l -> l.contains(f)))
                .toList();
        List<Decision> decisions = new ArrayList<>();
        for (Setting s : settings) {
            List<FunctionId> lost = new ArrayList<>(alone.get(s.id));
            if (!best.get(s.id).equals(s.choice.start())) lost.addAll(ofSeveral);
            decisions.add(decision(s, best, lost));
        }
        decisions.sort(Comparator.comparing(Decision::when));
        return decisions;
    }

    private Decision decision(Setting s, Map<SettingId, String> best, List<FunctionId> lost) {
        Set<FunctionId> lostByAny = new HashSet<>();
        for (String v : s.choices) lostByAny.addAll(lost(best, with(best, s.id, v)));
        List<FunctionId> serves = functions.stream().filter(lostByAny::contains).toList();
        Decision.Wanted wanted = wanted(s, best.get(s.id), serves);
        return new Decision(
                s.id,
                s.choice.how(),
                moment(s),
                s.choice.start(),
                s.choice.values(),
                wanted,
                ground(s, wanted, serves),
                lost);
    }

    private Decision.Wanted wanted(Setting s, String best, List<FunctionId> serves) {
        if (openFact(s).isPresent()) return new Decision.Wanted.Open(openFact(s).get(), s.choice.values());
        boolean said =
                s.ofButton() || asked.persons.containsKey(s.id) || byFact(s).isPresent();
        return !said && serves.isEmpty() && best.equals(s.choice.start())
                ? new Decision.Wanted.Either()
                : new Decision.Wanted.Value(best);
    }

    private Decision.Ground ground(Setting s, Decision.Wanted wanted, List<FunctionId> serves) {
        if (asked.persons.containsKey(s.id)) return new Decision.Ground.FromPerson();
        if (byFact(s).isPresent()) {
            Trait fact = s.fact().orElseThrow();
            return new Decision.Ground.FromFact(fact, asked.traits.get(fact));
        }
        if (byWish(s).isPresent())
            return new Decision.Ground.FromWish(
                    wishing(s).stream().map(CarFunction::id).toList());
        if (s.ofButton()) return new Decision.Ground.ByDefault();
        return wanted instanceof Decision.Wanted.Value
                ? new Decision.Ground.FromRules(serves)
                : new Decision.Ground.NoneTells();
    }

    private static HowSet.Moment moment(Setting s) {
        return s.choice.how().when().orElse(s.radio ? HowSet.Moment.AFTER : HowSet.Moment.BEFORE_POWER);
    }
}
