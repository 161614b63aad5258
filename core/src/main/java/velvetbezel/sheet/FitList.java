package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The cars that a part's maker or paper names. A car outside the list may do as well, if the plugs mate; nobody has
 * proven it. What is left empty names every car.
 *
 * @param vehicles sheets
 * @param years    model years
 * @param trims    as the vehicles' sheets call them
 * @param proven   false where somebody lists it for these cars and nobody has fitted it to one
 */
public record FitList(List<String> vehicles, Optional<ModelYears> years, List<String> trims, boolean proven) {
    public FitList {
        vehicles = List.copyOf(vehicles);
        trims = List.copyOf(trims);
    }

    /** @param node {@code {"vehicles":[…], "years":[2004, 2007], "trims":[…], "proven":true}}, each may be left out */
    static FitList read(Node node) {
        node.only("vehicles", "years", "trims", "proven");
        return new FitList(
                node.at("vehicles").texts(),
                node.has("years") ? Optional.of(ModelYears.read(node.at("years"))) : Optional.empty(),
                node.at("trims").texts(),
                node.at("proven").truth(true));
    }

    /** What it says, in one line. */
    public String words() {
        List<String> words = new ArrayList<>();
        years.ifPresent(y -> words.add(y.toString()));
        if (!trims.isEmpty()) words.add(String.join(" or ", trims));
        if (!vehicles.isEmpty()) words.add(String.join(", ", vehicles));
        if (!proven) words.add("listed only, nobody has fitted it to one");
        return String.join("; ", words);
    }

    /** Why it is unproven in a car, as a clause; empty where it is not. */
    Optional<String> unproven(Sheet.Vehicle car) {
        if (!vehicles.isEmpty() && !vehicles.contains(car.id()))
            return Optional.of("Its fit list does not name this car");
        ModelYears built = new ModelYears(car.fromYear(), car.toYear());
        if (years.isPresent() && !years.get().hold(built))
            return Optional.of("Its fit list says %s, this car's sheet %s".formatted(years.get(), built));
        if (!trims.isEmpty() && trims.stream().noneMatch(car.trim()::equalsIgnoreCase))
            return Optional.of(
                    "Its fit list says %s, this car is %s".formatted(String.join(" or ", trims), car.trim()));
        return proven ? Optional.empty() : Optional.of("It is listed for this car, and nobody has fitted it to one");
    }
}
