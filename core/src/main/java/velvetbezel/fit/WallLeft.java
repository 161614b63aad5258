package velvetbezel.fit;

/** Room beside a body to the wall of a band at its rear, where the cavity is narrowest. */
public record WallLeft(String body, String band, Collision.Escape side, Slack slack) {}
