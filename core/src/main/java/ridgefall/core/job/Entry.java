package ridgefall.core.job;

import java.time.Instant;

/**
 * A fact in its place in a job's journal.
 *
 * @param seq 1 for the first fact of the job, then one more each
 * @param happenedAt when it was tapped; the journal keeps apart when it arrived
 */
public record Entry(long seq, Instant happenedAt, String who, Role role, Fact fact) {}
