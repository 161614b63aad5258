package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** A fact a sheet states, or does not. What touches a missing one comes out as unknown, never as a guess. */
public sealed interface Fact<T> {

    /** @param from where the value comes from */
    record Known<T>(T value, Provenance from) implements Fact<T> {}

    /**
     * @param claims empty where nobody says anything; two or more standing claims where they disagree
     *               and a person has not chosen yet
     */
    record Missing<T>(FieldRef field, List<Known<T>> claims) implements Fact<T> {
        public Missing {
            claims = List.copyOf(claims);
        }

        public boolean conflicting() {
            return !claims.isEmpty();
        }
    }

    /** Somebody's guess, marked as one: it joins nothing that feeds, and a load only by a plug. */
    record Guessed<T>(T value, Provenance from) implements Fact<T> {}

    static <T> Fact<T> missing(FieldRef field) {
        return new Missing<>(field, List.of());
    }

    /**
     * The one fact that several claims make: what was stated or assumed gives way to what was measured,
     * printed or catalogued; standing claims that disagree leave the fact missing.
     */
    static <T> Fact<T> settle(FieldRef field, List<Known<T>> claims) {
        List<Known<T>> standing =
                claims.stream().filter(c -> c.from().origin().stands()).toList();
        List<Known<T>> counted = standing.isEmpty() ? claims : standing;
        if (counted.isEmpty()) return missing(field);
        boolean agree = counted.stream().map(Known::value).distinct().count() == 1;
        return agree
                ? counted.stream()
                        .min((a, b) -> a.from().origin().compareTo(b.from().origin()))
                        .orElseThrow()
                : new Missing<>(field, counted);
    }

    /** The value, where it is known. */
    default Optional<T> known() {
        return this instanceof Known<T> k ? Optional.of(k.value()) : Optional.empty();
    }

    /** The value where it is known, or where somebody guesses. */
    default Optional<T> said() {
        return this instanceof Guessed<T> g ? Optional.of(g.value()) : known();
    }

    default <R> Optional<R> map(Function<T, R> use) {
        return known().map(use);
    }
}
