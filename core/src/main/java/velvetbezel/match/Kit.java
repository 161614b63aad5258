package velvetbezel.match;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.fit.FitReport;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;

/**
 * A radio and the parts that hold, plug and feed it.
 *
 * @param parts in the order in which a kit is listed
 * @param cost  of all of it
 * @param loss  what does not work, weighed by the wishes
 * @param kinds of every function, as it comes out when the kit is built and run
 */
public record Kit(Sheet.Radio radio, List<Sheet.Part> parts, Cost cost, int loss, Map<FunctionId, Kind> kinds) {
    /** Those proven in such cars first, then least lost, then cheapest. */
    static final Comparator<Kit> BEST = Comparator.comparing(Kit::unproven)
            .thenComparingInt(Kit::loss)
            .thenComparingLong(k -> k.cost().cents());

    public Kit {
        parts = List.copyOf(parts);
    }

    /** No other kit is better in one thing and as good in the rest. */
    public boolean covers(Kit other) {
        return loss <= other.loss && cost.covers(other.cost);
    }

    public Installation build(Sheet.Vehicle vehicle) {
        return Builder.replacement(vehicle, radio, parts);
    }

    /** Access points elsewhere in the car that its parts go to. */
    public List<Access> places(Sheet.Vehicle vehicle) {
        return parts.stream().flatMap(p -> Slots.ways(vehicle, p).stream()).toList();
    }

    /** Whether it has a part that nobody has proven in such a car. */
    public boolean unproven() {
        return cost.missing().fits() > 0;
    }

    /** What a person should know before buying that no function tells: a fit nobody has proven, a colour that differs. */
    public List<String> remarks(Sheet.Vehicle vehicle) {
        return Stream.of(unprovenFits(vehicle), goesIn(vehicle), otherColours(vehicle))
                .flatMap(r -> r)
                .toList();
    }

    /** What has to go for the radio, and what is to be measured first. */
    private Stream<String> goesIn(Sheet.Vehicle vehicle) {
        return fit(vehicle).stream().flatMap(r -> HolderFit.remarks(vehicle, r).stream());
    }

    /** What holds the radio; empty where it holds itself. */
    Optional<Sheet.Part> holder() {
        return parts.stream().filter(p -> p.holds().isPresent()).findFirst();
    }

    /** Whether it goes into a car with the plugs it uses; empty where opening, radio or holder are not measured. */
    public Optional<FitReport> fit(Sheet.Vehicle vehicle) {
        if (vehicle.site().isEmpty()) return Optional.empty();
        return radio.shape().flatMap(s -> HolderFit.report(vehicle, radio, holder(), PlugsInUse.in(build(vehicle), s)));
    }

    private Stream<String> unprovenFits(Sheet.Vehicle vehicle) {
        return parts.stream().flatMap(p -> p.unproven(vehicle).stream()
                .map(why -> "Fit unproven: %s. %s. Ask its maker, or hold it to the car before the dash is opened."
                        .formatted(p.name(), why)));
    }

    private Stream<String> otherColours(Sheet.Vehicle vehicle) {
        Optional<String> dash = Optional.ofNullable(vehicle.traits().get(Trait.PANEL_COLOUR));
        return parts.stream()
                .filter(p -> dash.isPresent()
                        && !p.finishes().isEmpty()
                        && !p.finishes().contains(dash.get()))
                .map(p -> "%s comes in %s only; the panel here is %s."
                        .formatted(p.name(), String.join(" or ", p.finishes()), dash.get()));
    }

    public Set<FunctionId> working() {
        return having(Kind::works);
    }

    public Set<FunctionId> lost() {
        return having(k -> k == Kind.LOST);
    }

    /** Parts that are sheets of the library, and so can be bought. */
    public List<Sheet.Part> bought() {
        return parts.stream()
                .filter(p -> KitDecisions.standsIn(p.id()).isEmpty())
                .toList();
    }

    public int losses() {
        return (int) kinds.values().stream().filter(k -> k == Kind.LOST).count();
    }

    public Set<FunctionId> gained() {
        return having(k -> k == Kind.GAINED);
    }

    public boolean has(String sheet) {
        return radio.id().equals(sheet) || parts.stream().anyMatch(p -> p.id().equals(sheet));
    }

    private Set<FunctionId> having(Predicate<Kind> wanted) {
        return kinds.entrySet().stream()
                .filter(e -> wanted.test(e.getValue()))
                .map(Map.Entry::getKey)
                .collect(Collectors.toUnmodifiableSet());
    }
}
