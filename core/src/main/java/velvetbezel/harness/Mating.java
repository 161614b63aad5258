package velvetbezel.harness;

/** Two plugs pushed together. */
public record Mating(String instance, String plug, String otherInstance, String otherPlug, String family) {
    public boolean has(String who, String itsPlug) {
        return instance.equals(who) && plug.equals(itsPlug) || otherInstance.equals(who) && otherPlug.equals(itsPlug);
    }

    public boolean touches(String who) {
        return instance.equals(who) || otherInstance.equals(who);
    }
}
