package velvetbezel.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import velvetbezel.draft.Archetypes;

/** The catalogue of what standard devices do, as it ships with the program. */
public final class StandardArchetypes {
    private static final Archetypes ARCHETYPES = read();

    private StandardArchetypes() {}

    public static Archetypes all() {
        return ARCHETYPES;
    }

    private static Archetypes read() {
        try (InputStream in = StandardArchetypes.class.getResourceAsStream("/velvetbezel/store/archetypes.json")) {
            return Archetypes.read(Json.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException("The catalogue of standard devices cannot be read.", e);
        }
    }
}
