package velvetbezel.store;

import velvetbezel.strip.HazardRules;

/** The hazards of taking a dash apart, as they ship with the program. */
public final class StandardHazards {
    private static final HazardRules RULES = HazardRules.read(Shipped.tree("hazards.json"));

    private StandardHazards() {}

    public static HazardRules all() {
        return RULES;
    }
}
