package velvetbezel.fit;

/**
 * Room round the face in one direction, in all.
 *
 * @param ring mm that a trim ring hides at each end
 */
public record FaceGap(Side side, Slack slack, double ring) {
    /** A wider gap is seen: foam, a ring or an insert (FIT 3.2). */
    private static final double SEEN = 1;

    /** Mm at each end that an eye sees beside the face; 0 where none, or none that disturbs. */
    public double seen() {
        double each = slack.left().likely() / 2 - ring;
        return each > SEEN ? each : 0;
    }

    public enum Side {
        WIDTH,
        HEIGHT
    }
}
