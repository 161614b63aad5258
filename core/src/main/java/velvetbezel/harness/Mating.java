package velvetbezel.harness;

/** Two plugs pushed together. */
public record Mating(String instance, String plug, String otherInstance, String otherPlug, String family) {
    public PlugRef first() {
        return new PlugRef(instance, plug);
    }

    public PlugRef second() {
        return new PlugRef(otherInstance, otherPlug);
    }

    public boolean has(String who, String itsPlug) {
        PlugRef ref = new PlugRef(who, itsPlug);
        return first().equals(ref) || second().equals(ref);
    }

    public boolean touches(String who) {
        return instance.equals(who) || otherInstance.equals(who);
    }
}
