package velvetbezel.sheet.fit;

import java.util.List;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Provenance;

/**
 * A length in mm that somebody stated, as a range.
 *
 * @param field   which it is, so that one length in two sums counts once
 * @param likely  what was stated; the middle of the range where nobody stated it
 * @param origin  where it comes from; ASSUMED where it is missing
 * @param missing whether nobody stated it: then only its range is known, if that
 */
public record Length(
        FieldRef field, double least, double likely, double most, Provenance.Origin origin, boolean missing) {
    /** Nothing in a car is longer, so that sums stay finite. */
    public static final double MOST = 2000;

    public Length {
        if (!(least <= likely && likely <= most))
            throw new IllegalArgumentException("Length (%s, %s, %s) must rise.".formatted(least, likely, most));
    }

    /** By how much a length of this origin may be off, in mm (FIT 2: a ruler reads to 1, a maker prints to 0.5). */
    public static double tolerance(Provenance.Origin origin) {
        return switch (origin) {
            case PRINTED -> 0.5;
            case MEASURED, CATALOGUE -> 1;
            case STATED -> 3;
            case ASSUMED -> 5;
        };
    }

    public static Length of(FieldRef field, double value, Provenance.Origin origin, double tolerance) {
        return new Length(field, value - tolerance, value, value + tolerance, origin, false);
    }

    static Length missing(FieldRef field, double least, double most) {
        return new Length(field, least, (least + most) / 2, most, Provenance.Origin.ASSUMED, true);
    }

    /**
     * The one length that several claims make: where their ranges meet, what they have in common; where they do not, it
     * is missing and may be anything any of them says.
     */
    static Length settle(FieldRef field, List<Length> claims) {
        double least = claims.stream().mapToDouble(Length::least).max().orElse(0);
        double most = claims.stream().mapToDouble(Length::most).min().orElse(MOST);
        if (least > most)
            return missing(
                    field,
                    claims.stream().mapToDouble(Length::least).min().orElse(0),
                    claims.stream().mapToDouble(Length::most).max().orElse(MOST));
        Length best =
                claims.stream().min((a, b) -> a.origin.compareTo(b.origin)).orElseThrow();
        double likely = Math.max(least, Math.min(most, best.likely));
        return new Length(field, least, likely, most, best.origin, false);
    }
}
