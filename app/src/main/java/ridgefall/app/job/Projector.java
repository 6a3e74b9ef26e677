package ridgefall.app.job;

import java.util.UUID;
import ridgefall.core.gate.Course;
import ridgefall.core.job.JobState;

/** What lists, searches and watches are told of a job, made from its journal and from nothing else. */
public interface Projector {
    String name();

    /** Raised whenever the same journal would be told differently. */
    int version();

    /** Whether what it tells may differ between the two. */
    boolean concerns(JobState here, JobState there);

    /**
     * Within the transaction that makes {@code there} of {@code here}, before it is projected.
     *
     * @throws ridgefall.core.units.NotAllowed where what it is projected on can't follow
     */
    default void admit(UUID jobId, Course here, Course there) {}

    /** Makes it anew from the whole journal, inside the caller's transaction. */
    void rebuild(UUID jobId, Course course);
}
