package ridgefall.core.job;

import java.util.Optional;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;

/**
 * Why a fact may not happen now.
 *
 * @param id stable name, for overriding
 * @param station where it can be cleared
 * @param overridable whether a lead may answer for going on all the same
 */
public record Hold(String id, Station station, String because, boolean overridable) {
    public static Hold firm(String id, Station station, String because) {
        return new Hold(id, station, because, false);
    }

    public static Hold overridable(String id, Station station, String because) {
        return new Hold(id, station, because, true);
    }

    /** How a lead answers for recording this fact all the same; empty where nobody may. */
    public Optional<Choice> signOff(Fact held) {
        return overridable
                ? Optional.of(Step.other(
                        "Sign off", new JobFact.HoldOverridden(id, "?", held), Ask.reason("Why it is right here")))
                : Optional.empty();
    }
}
