package velvetbezel.run;

/** Names a rule of a device. */
public record RuleRef(String instance, String rule) {
    @Override
    public String toString() {
        return instance + "/" + rule;
    }
}
