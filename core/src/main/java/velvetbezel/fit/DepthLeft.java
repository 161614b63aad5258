package velvetbezel.fit;

/**
 * Room behind a body: to the end of the cavity, or to something that stays.
 *
 * @param to     band or obstruction
 * @param nearer whether it is room before the body, towards the seat
 */
public record DepthLeft(String body, String to, boolean nearer, Slack slack) {}
