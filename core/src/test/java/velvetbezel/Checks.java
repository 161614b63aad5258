package velvetbezel;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Check values from outside the project: GNU units 2.22 and ngspice 39 where a tool made them, else from
 * memory of the standard named in each entry ("source" of checks.json).
 */
public final class Checks {
    private static final JsonNode ALL = read();

    private Checks() {}

    private static JsonNode read() {
        try (InputStream in = Checks.class.getResourceAsStream("/checks.json")) {
            return new JsonMapper().readTree(in.readAllBytes()).get("checks");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** All checks of a group. */
    public static Stream<JsonNode> of(String group) {
        return ALL.valueStream().filter(c -> c.get("group").asString().equals(group));
    }

    /** An expected number of one check. */
    public static double number(String id, String name) {
        return ALL.valueStream()
                .filter(c -> c.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow()
                .get("expected")
                .get(name)
                .asDouble();
    }
}
