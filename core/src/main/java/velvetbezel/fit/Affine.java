package velvetbezel.fit;

import java.util.Collection;
import java.util.Map;
import java.util.TreeMap;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.fit.Length;

/**
 * A sum of lengths: a constant and each length so many times. A length that comes in twice counts once, so that the
 * range is exact.
 */
final class Affine {
    private final double constant;
    private final Map<FieldRef, Term> terms;

    private record Term(Length length, double times) {}

    private Affine(double constant, Map<FieldRef, Term> terms) {
        this.constant = constant;
        this.terms = terms;
    }

    static Affine of(double constant) {
        return new Affine(constant, Map.of());
    }

    static Affine of(Length length) {
        return new Affine(0, Map.of(length.field(), new Term(length, 1)));
    }

    Affine plus(Affine other, double times) {
        Map<FieldRef, Term> sum = new TreeMap<>(terms);
        other.terms.forEach((field, t) ->
                sum.merge(field, new Term(t.length, t.times * times), (a, b) -> new Term(a.length, a.times + b.times)));
        sum.values().removeIf(t -> Math.abs(t.times) < 1e-12);
        return new Affine(constant + times * other.constant, sum);
    }

    Affine plus(Affine other) {
        return plus(other, 1);
    }

    Affine plus(Length length) {
        return plus(of(length), 1);
    }

    Affine plus(double more) {
        return new Affine(constant + more, terms);
    }

    Affine minus(Affine other) {
        return plus(other, -1);
    }

    Affine minus(Length length) {
        return plus(of(length), -1);
    }

    Affine times(double times) {
        return of(0).plus(this, times);
    }

    Affine half() {
        return times(0.5);
    }

    Range range() {
        double least = constant;
        double likely = constant;
        double most = constant;
        for (Term t : terms.values()) {
            least += t.times * (t.times > 0 ? t.length.least() : t.length.most());
            likely += t.times * t.length.likely();
            most += t.times * (t.times > 0 ? t.length.most() : t.length.least());
        }
        return new Range(least, likely, most);
    }

    /** Lengths it rests on. */
    Collection<Length> rests() {
        return terms.values().stream().map(Term::length).toList();
    }

    /** The length that makes the range widest, what is missing first; null where there is none. */
    Length widest() {
        Length widest = null;
        double share = -1;
        for (Term t : terms.values()) {
            double own =
                    Math.abs(t.times) * (t.length.most() - t.length.least()) + (t.length.missing() ? Length.MOST : 0);
            if (own > share) {
                share = own;
                widest = t.length;
            }
        }
        return widest;
    }

    /** How many times a length is in it. */
    double times(Length length) {
        Term t = terms.get(length.field());
        return t == null ? 0 : t.times;
    }

    /** The same without one length. */
    Affine without(Length length) {
        Map<FieldRef, Term> rest = new TreeMap<>(terms);
        rest.remove(length.field());
        return new Affine(constant, rest);
    }
}
