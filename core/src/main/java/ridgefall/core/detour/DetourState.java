package ridgefall.core.detour;

import java.time.Instant;
import java.util.List;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;

/** How often it was opened again, and what was left in words, in the order it was. */
public record DetourState(int timesReopened, List<Note> notes) {
    static final DetourState NOTHING = new DetourState(0, List.of());

    public record Note(Instant at, String who, String words, boolean forNext) {}

    public static DetourState of(JobState job) {
        return job.of(DetourFact.FAMILY);
    }

    DetourState reopened() {
        return new DetourState(timesReopened + 1, notes);
    }

    DetourState noted(Note note) {
        return new DetourState(timesReopened, Fold.plus(notes, note));
    }
}
