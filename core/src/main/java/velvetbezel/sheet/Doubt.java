package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.units.WireColour;

/**
 * A fact of a sheet that is missing, in conflict or only assumed: something a person can settle at the car.
 *
 * @param claims what is said, as "value (provenance)"; values only in {@code values}
 */
public record Doubt(FieldRef field, Kind kind, String what, List<String> claims, List<String> values) {
    public enum Kind {
        MISSING,
        CONFLICT,
        ASSUMED
    }

    public Doubt {
        claims = List.copyOf(claims);
        values = List.copyOf(values);
    }

    /** Whether it is about a wire's colour, on which no answer rests but the worksheet's. */
    public boolean ofColour() {
        return field.path().endsWith(".colour");
    }

    /** Doubts about the colours and wires at a vehicle's plugs. Antenna cables have no colour to know. */
    public static List<Doubt> of(Sheet.Vehicle vehicle) {
        List<Doubt> doubts = new ArrayList<>();
        for (Plug plug : vehicle.car().plugs())
            for (Position p : plug.positions()) {
                if (p.role().filter(r -> r.group() != LeadRole.Group.PLUGGED).isEmpty()) continue;
                String path = "plugs[%s].positions[position %s]".formatted(plug.id(), p.number());
                String name = "Position %s (%s)"
                        .formatted(
                                plug.id().length() == 1 ? plug.id() + p.number() : p.number(),
                                p.role().get().label());
                doubt(new FieldRef(vehicle.id(), path + ".colour"), p.colour(), name, "colour", WireColour::words)
                        .ifPresent(doubts::add);
                doubt(
                                new FieldRef(vehicle.id(), path + ".wired"),
                                p.wired(),
                                name,
                                "wire",
                                w -> w ? "there" : "not there")
                        .ifPresent(doubts::add);
            }
        return doubts;
    }

    private static <T> Optional<Doubt> doubt(
            FieldRef field, Fact<T> fact, String name, String kind, java.util.function.Function<T, String> words) {
        if (fact instanceof Fact.Known<T> known) {
            return known.from().assumed()
                    ? Optional.of(new Doubt(
                            field,
                            Kind.ASSUMED,
                            "%s: the %s is assumed".formatted(name, kind),
                            List.of(words.apply(known.value()) + " (" + known.from() + ")"),
                            List.of(words.apply(known.value()))))
                    : Optional.empty();
        }
        Fact.Missing<T> missing = (Fact.Missing<T>) fact;
        List<String> claims = missing.claims().stream()
                .map(c -> words.apply(c.value()) + " (" + c.from() + ")")
                .toList();
        List<String> values = missing.claims().stream()
                .map(c -> words.apply(c.value()))
                .distinct()
                .toList();
        return Optional.of(new Doubt(
                field,
                missing.conflicting() ? Kind.CONFLICT : Kind.MISSING,
                missing.conflicting()
                        ? "%s has two %ss".formatted(name, kind)
                        : "%s: the %s is not known".formatted(name, kind),
                claims,
                values));
    }
}
