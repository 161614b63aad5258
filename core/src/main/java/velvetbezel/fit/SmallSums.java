package velvetbezel.fit;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** Sums that a fitter does on the back of a box, in mm. */
public final class SmallSums {
    private static final double INCH = 25.4;
    /** Threads that must bite (common practice, no source). */
    private static final int PITCHES = 3;
    /** Usual stock (from memory). */
    private static final int[] SCREWS = {4, 5, 6, 8, 10, 12, 16, 20, 25};

    private SmallSums() {}

    /** Millimetres as people read them: tenths only where they say something. */
    public static String tenths(double mm) {
        double tenth = Math.round(mm * 10) / 10.0;
        return tenth == Math.rint(tenth) ? String.valueOf((long) tenth) : String.valueOf(tenth);
    }

    /**
     * A strip cut into equal pieces.
     *
     * @param each  length of a piece
     * @param folds how often folding in half marks the cuts; empty where it does not come out
     */
    public record Pieces(double each, Optional<Integer> folds) {}

    /** @param cut what each cut takes @throws IllegalArgumentException where nothing is left, or of no number of pieces */
    public static Pieces pieces(double length, int number, double cut) {
        double each = number < 1 ? 0 : (length - (number - 1) * cut) / number;
        if (each <= 0)
            throw new IllegalArgumentException(
                    "A strip of %s mm gives no %d pieces with cuts of %s mm.".formatted(length, number, cut));
        boolean halves = number > 1 && Integer.bitCount(number) == 1;
        return new Pieces(each, halves ? Optional.of(Integer.numberOfTrailingZeros(number)) : Optional.empty());
    }

    /** Foam for a gap: pressed to between a half and three quarters of its thickness (common practice, no source). */
    public static Range foam(double gap) {
        return new Range(gap / 0.75, gap / 0.6, gap / 0.5);
    }

    /** A drill in mm, and one in inches. @param inch in sixteenths; empty where none lies between */
    public record Drill(OptionalDouble mm, Optional<Integer> sixteenths) {}

    /** The smallest drill that a body passes with 0.2 to spare and a flange covers with 1 a side. */
    public static Drill drill(double body, double flange) {
        double least = body + 0.2;
        double most = flange - 2;
        return new Drill(
                DoubleStream.concat(
                                IntStream.rangeClosed(2, 26).mapToDouble(i -> i / 2.0),
                                IntStream.rangeClosed(14, 40).mapToDouble(i -> i))
                        .filter(d -> d >= least && d <= most)
                        .findFirst(),
                IntStream.rangeClosed(1, 24)
                        .filter(i -> i * INCH / 16 >= least && i * INCH / 16 <= most)
                        .boxed()
                        .findFirst());
    }

    /** Mm of a round hole that a plug passes: its diagonal. */
    public static double diagonal(double width, double height) {
        return Math.hypot(width, height);
    }

    /**
     * Mm that a leaning face stands off the slide from its lower to its upper edge.
     *
     * @param degrees between face and slide
     */
    public static double wedge(double height, double degrees) {
        return height * Math.tan(Math.toRadians(Math.abs(degrees)));
    }

    /** Pitch of an ISO metric coarse thread (ISO 261, from memory); empty for others. */
    public static OptionalDouble pitch(String thread) {
        return switch (thread) {
            case "M3" -> OptionalDouble.of(0.5);
            case "M4" -> OptionalDouble.of(0.7);
            case "M5" -> OptionalDouble.of(0.8);
            case "M6" -> OptionalDouble.of(1.0);
            default -> OptionalDouble.empty();
        };
    }

    /**
     * A screw for a radio's side.
     *
     * @param most longest that does not touch what is inside
     * @param least shortest whose threads bite
     * @param stock the longest of the usual lengths between; empty where none is
     */
    public record Screw(double most, double least, Optional<Integer> stock) {}

    /** @param inside mm that a screw may reach into the radio @param thickness of the bracket @param pitch of the thread */
    public static Screw screw(double inside, double thickness, double pitch) {
        double most = inside + thickness;
        double least = thickness + PITCHES * pitch;
        return new Screw(
                most,
                least,
                IntStream.of(SCREWS)
                        .filter(l -> l >= least && l <= most)
                        .boxed()
                        .reduce((a, b) -> b));
    }
}
