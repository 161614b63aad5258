package velvetbezel.fit;

/** Room round the face, on one side or in all. */
public record FaceGap(Side side, Slack slack) {
    public enum Side {
        WIDTH,
        HEIGHT
    }
}
