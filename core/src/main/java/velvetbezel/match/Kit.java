package velvetbezel.match;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.sheet.Sheet;

/** A radio and the parts that hold, plug and feed it. @param outcomes of every function, by running the kit as built */
public record Kit(Sheet.Radio radio, List<Sheet.Part> parts, Map<FunctionId, Outcome> outcomes) {
    public Kit { parts = List.copyOf(parts); }

    public long priceCents() { return radio.priceCents() + parts.stream().mapToLong(Sheet.Part::priceCents).sum(); }

    public int minutes() { return parts.stream().mapToInt(Sheet.Part::minutes).sum(); }

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
