package velvetbezel.job;

import java.util.Optional;

/**
 * A change of one entry.
 *
 * @param value empty where it is taken away
 */
public record Change<V>(Entry<V> entry, Optional<V> value) {
    public static <V> Change<V> set(Entry<V> entry, V value) {
        return new Change<>(entry, Optional.of(value));
    }

    public static <V> Change<V> gone(Entry<V> entry) {
        return new Change<>(entry, Optional.empty());
    }
}
