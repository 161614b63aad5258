package velvetbezel.store;

import velvetbezel.draft.Archetypes;

/** The catalogue of what standard devices do, as it ships with the program. */
public final class StandardArchetypes {
    private static final Archetypes ARCHETYPES = Archetypes.read(Shipped.tree("archetypes.json"));

    private StandardArchetypes() {}

    public static Archetypes all() {
        return ARCHETYPES;
    }
}
