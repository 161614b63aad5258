package velvetbezel.fit;

import java.util.Optional;
import java.util.OptionalDouble;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.fit.Length;

/** Room that is left somewhere, or is not. */
public sealed interface Slack {
    Range left();

    /** So much is left for certain. */
    record Clear(Range left) implements Slack {}

    /** It is too little for certain. */
    record Short(Range left) implements Slack {}

    /** It depends. @param ask what would settle it; empty where more than a measurement is missing */
    record Open(Range left, Optional<Settle> ask) implements Slack {}

    /**
     * One measurement that settles a question.
     *
     * @param measure the length
     * @param atLeast whether more of it is better
     * @param fits    from here on it fits, whatever the rest
     * @param fails   beyond here it does not, whatever the rest; empty where something else may still save it
     * @param also    another length that is missing too; empty text where none is
     */
    record Settle(FieldRef measure, boolean atLeast, double fits, OptionalDouble fails, String also) {}

    /** A hair's breadth does not decide. */
    double HAIR = 1e-9;

    static Slack of(Affine room) {
        Range left = room.range();
        if (left.least() >= -HAIR) return new Clear(left);
        return left.most() < -HAIR ? new Short(left) : new Open(left, settle(room));
    }

    /** The widest length; its thresholds are where the rest at its worst, and at its best, leaves nothing. */
    private static Optional<Settle> settle(Affine room) {
        Length ask = room.widest();
        if (ask == null) return Optional.empty();
        double times = room.times(ask);
        Range rest = room.without(ask).range();
        String also = room.rests().stream()
                .filter(l -> l.missing() && !l.field().equals(ask.field()))
                .map(l -> l.field().path())
                .findFirst()
                .orElse("");
        return Optional.of(new Settle(
                ask.field(), times > 0, -rest.least() / times, OptionalDouble.of(-rest.most() / times), also));
    }
}
