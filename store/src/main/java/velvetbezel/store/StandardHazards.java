package velvetbezel.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import velvetbezel.strip.HazardRules;

/** The hazards of taking a dash apart, as they ship with the program. */
public final class StandardHazards {
    private static final HazardRules RULES = read();

    private StandardHazards() {}

    public static HazardRules all() {
        return RULES;
    }

    private static HazardRules read() {
        try (InputStream in = StandardHazards.class.getResourceAsStream("/velvetbezel/store/hazards.json")) {
            return HazardRules.read(Json.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException("The hazard rules cannot be read.", e);
        }
    }
}
