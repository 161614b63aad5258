package velvetbezel.fit;

/** Room behind a body: to the end of the cavity, or to something that stays. @param to band or obstruction */
public record DepthLeft(String body, String to, Slack slack) {}
