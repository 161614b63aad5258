package velvetbezel.store;

import java.util.UUID;
import velvetbezel.job.JobState;

/**
 * A job as it stands.
 *
 * @param seq version that people edit against: the number of the last change
 */
public record Job(UUID id, int number, String title, long seq, JobState state) {}
