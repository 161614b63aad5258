package velvetbezel.harness;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import velvetbezel.sheet.LeadRole;

/**
 * Where nothing gives what a lead takes, another output may serve (common practice, no source). Each is a choice that a
 * person can make otherwise:
 *
 * <ul>
 *   <li>antenna feed: the radio's remote lead where its paper does not say "amplifier only" and the antenna draws 0.1 A
 *       at most; accessory, on whenever the key is on
 *   <li>amp remote: the radio's antenna lead; accessory, on with the key even where the radio is off
 *   <li>camera supply: reverse; accessory, always on
 * </ul>
 *
 * Accessory is never served by constant, nor the parking brake by anything but its switch or a module.
 */
final class Substitutes {
    private static final double MOST_FOR_REMOTE = 0.1;
    private static final double USUAL_REMOTE_LIMIT = 0.3;
    /** What may serve for what, in order; those who want the first come before those who could serve them. */
    private static final Map<LeadRole, List<LeadRole>> SOURCES = sources();

    private final Recipe recipe;
    private final Draft draft;
    private final Draws draws;
    private final List<SubstituteChoice> choices = new ArrayList<>();

    Substitutes(Recipe recipe, Draft draft, Draws draws) {
        this.recipe = recipe;
        this.draft = draft;
        this.draws = draws;
    }

    private static Map<LeadRole, List<LeadRole>> sources() {
        Map<LeadRole, List<LeadRole>> sources = new LinkedHashMap<>();
        sources.put(LeadRole.AMP_REMOTE, List.of(LeadRole.ANTENNA_POWER, LeadRole.ACCESSORY));
        sources.put(LeadRole.ANTENNA_POWER, List.of(LeadRole.AMP_REMOTE, LeadRole.ACCESSORY));
        sources.put(LeadRole.CAMERA_POWER, List.of(LeadRole.REVERSE, LeadRole.ACCESSORY));
        return sources;
    }

    /** Every role that could ever be served by another, with what could serve it. */
    static Map<LeadRole, List<LeadRole>> possible() {
        return SOURCES;
    }

    List<SubstituteChoice> choices() {
        return choices;
    }

    /** The ends with the roles of what serves them. */
    List<End> serve(List<End> ends) {
        List<End> served = new ArrayList<>(ends);
        SOURCES.forEach((wanted, sources) -> serve(served, wanted, sources));
        return served;
    }

    private void serve(List<End> ends, LeadRole wanted, List<LeadRole> sources) {
        List<End> all =
                ends.stream().filter(e -> e.role() == wanted && !e.gives()).toList();
        List<End> takers = all.stream().filter(e -> e.cable().isEmpty()).toList();
        boolean given = ends.stream().anyMatch(e -> e.role() == wanted && e.gives());
        Optional<Optional<LeadRole>> decided =
                Optional.ofNullable(recipe.substitutes().get(wanted));
        if (takers.isEmpty() || given && decided.isEmpty()) return;
        Optional<LeadRole> source = decided.isPresent()
                ? decided.get().filter(s -> givers(ends, s, e -> true))
                : sources.stream().filter(s -> allowed(ends, wanted, s, takers)).findFirst();
        if (source.isEmpty() && decided.isEmpty()) return;
        choices.add(new SubstituteChoice(
                wanted, source, takers.stream().map(End::id).sorted().toList()));
        if (source.isEmpty()) ends.removeIf(takers::contains);
        else ends.replaceAll(e -> all.contains(e) ? e.as(source.get()) : e);
    }

    private static boolean givers(List<End> ends, LeadRole role, Predicate<End> who) {
        return ends.stream().anyMatch(e -> e.role() == role && e.gives() && who.test(e));
    }

    private boolean allowed(List<End> ends, LeadRole wanted, LeadRole source, List<End> takers) {
        if (wanted != LeadRole.ANTENNA_POWER || source != LeadRole.AMP_REMOTE) return givers(ends, source, e -> true);
        double sum = 0;
        for (End taker : takers) {
            Optional<Double> drawn = draws.drawnAt(taker.id());
            if (drawn.isEmpty() || drawn.get() > MOST_FOR_REMOTE) return false;
            sum += drawn.get();
        }
        double drawnByAll = sum;
        return givers(
                ends,
                source,
                e -> e.owner() == Instance.Owner.RADIO
                        && !amplifierOnly(e)
                        && drawnByAll <= draws.limit(e.id()).orElse(USUAL_REMOTE_LIMIT));
    }

    boolean amplifierOnly(End e) {
        return draft.instance(e.id().instance()).device().leads().stream()
                .anyMatch(l -> l.name().equals(e.id().name()) && l.amplifierOnly());
    }
}
