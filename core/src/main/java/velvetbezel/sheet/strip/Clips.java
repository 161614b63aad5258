package velvetbezel.sheet.strip;

/**
 * Clips that hold a part.
 *
 * @param start where to begin: "lower left"
 * @param round which way round: "clockwise"
 * @param pull  which way it comes: "straight out"
 */
public record Clips(int count, String start, String round, String pull) {}
