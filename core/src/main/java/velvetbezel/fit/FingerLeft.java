package velvetbezel.fit;

/** Room beside a slot of the radio, beyond what a hand needs. @param to what is nearest */
public record FingerLeft(String what, String to, Slack slack) {}
