package ridgefall.app.job;

import java.util.UUID;
import ridgefall.core.gate.Course;

/** What lists, searches and watches are told of a job, made from its journal and from nothing else. */
interface Projector {
    String name();

    /** Raised whenever the same journal would be told differently. */
    int version();

    /** Makes it anew from the whole journal, inside the caller's transaction. */
    void rebuild(UUID jobId, Course course);
}
