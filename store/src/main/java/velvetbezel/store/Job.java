package velvetbezel.store;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A job as it stands: named fields with their values.
 *
 * @param seq version that people edit against: the number of the last change
 */
public record Job(UUID id, int number, String title, long seq, Map<String, String> fields) {
    public Job {
        fields = Map.copyOf(fields);
    }

    public Optional<String> field(String name) {
        return Optional.ofNullable(fields.get(name));
    }
}
