package velvetbezel.fit;

/** Something that a hand must reach, beside the face. @param side where it lies; @param slack Short: it is covered */
public record Neighbour(String id, Collision.Escape side, Slack slack) {}
