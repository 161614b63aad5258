package velvetbezel.store;

import velvetbezel.fit.PlacingRules;

/** Where antennas, microphones, sockets and modules may go, as it ships with the program. */
public final class StandardPlacing {
    private static final PlacingRules RULES = PlacingRules.read(Shipped.tree("placing.json"));

    private StandardPlacing() {}

    public static PlacingRules all() {
        return RULES;
    }
}
