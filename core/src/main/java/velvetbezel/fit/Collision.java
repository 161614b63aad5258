package velvetbezel.fit;

/**
 * A body that meets something.
 *
 * @param body   "chassis", "face", or a plug
 * @param with   id of the obstruction
 * @param onTheWay whether it is met while sliding in, and not where the radio stands
 * @param slack  by how much: Short where it is certain, Open where it may be
 * @param escape the way in which least is missing
 */
public record Collision(
        String body, String with, boolean onTheWay, boolean insertOfKit, Slack slack, Escape escape, Remedy remedy) {
    public enum Escape {
        DEPTH,
        LEFT,
        RIGHT,
        BELOW,
        ABOVE,
        /** Towards the seat. */
        NEARER;

        Escape opposite() {
            return switch (this) {
                case DEPTH -> NEARER;
                case NEARER -> DEPTH;
                case LEFT -> RIGHT;
                case RIGHT -> LEFT;
                case BELOW -> ABOVE;
                case ABOVE -> BELOW;
            };
        }
    }

    public boolean certain() {
        return slack instanceof Slack.Short;
    }

    public boolean refused() {
        return remedy instanceof Remedy.Refused;
    }
}
