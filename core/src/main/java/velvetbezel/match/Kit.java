package velvetbezel.match;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;

/**
 * A radio and the parts that hold, plug and feed it.
 *
 * @param outcomes of every function, by running the kit as built
 * @param places   access points elsewhere in the car that its parts plug into
 */
public record Kit(Sheet.Radio radio, List<Sheet.Part> parts, Map<FunctionId, Outcome> outcomes, List<Access> places) {
    public Kit {
        parts = List.copyOf(parts);
        places = List.copyOf(places);
    }

    public long priceCents() { return radio.priceCents() + parts.stream().mapToLong(Sheet.Part::priceCents).sum(); }

    /** Labour, the ways to access points included. */
    public int minutes() { return parts.stream().mapToInt(Sheet.Part::minutes).sum() + places.stream().mapToInt(Access::minutes).sum(); }

    /** What a person should know before buying that no function tells: a colour that will not match. */
    public List<String> remarks(Sheet.Vehicle vehicle) {
        Optional<String> dash = Optional.ofNullable(vehicle.traits().get(Trait.PANEL_COLOUR));
        return parts.stream().filter(p -> dash.isPresent() && !p.finishes().isEmpty() && !p.finishes().contains(dash.get()))
            .map(p -> "%s comes in %s only; the panel here is %s.".formatted(p.name(), String.join(" or ", p.finishes()), dash.get())).toList();
    }

    public Set<FunctionId> working() { return having(Outcome::works); }

    public List<FunctionId> lost() { return outcomes.entrySet().stream().filter(e -> e.getValue() instanceof Outcome.Lost).map(Map.Entry::getKey).toList(); }

    public List<FunctionId> gained() { return outcomes.entrySet().stream().filter(e -> e.getValue() instanceof Outcome.Gained).map(Map.Entry::getKey).toList(); }

    public List<FunctionId> changed() { return outcomes.entrySet().stream().filter(e -> e.getValue() instanceof Outcome.Changed).map(Map.Entry::getKey).toList(); }

    public List<FunctionId> unknown() { return outcomes.entrySet().stream().filter(e -> e.getValue() instanceof Outcome.Unknown).map(Map.Entry::getKey).toList(); }

    public boolean has(String sheet) { return radio.id().equals(sheet) || parts.stream().anyMatch(p -> p.id().equals(sheet)); }

    private Set<FunctionId> having(Predicate<Outcome> wanted) {
        return outcomes.entrySet().stream().filter(e -> wanted.test(e.getValue())).map(Map.Entry::getKey).collect(Collectors.toUnmodifiableSet());
    }
}
