package velvetbezel.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** One change of a job. */
public record LogEntry(long seq, Instant at, String who, String what, Optional<Long> undoOf, List<Change> changes) {
    public LogEntry {
        changes = List.copyOf(changes);
    }

    /** @param before empty where the field had no value; @param after empty where it was taken away */
    public record Change(String field, Optional<String> before, Optional<String> after) {}
}
