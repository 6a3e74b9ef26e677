package ridgefall.core.strip;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.Isolation;

/**
 * What is off inside.
 *
 * @param isolationProven since the battery was last taken out of circuit
 * @param screws as many as were counted where nobody told of them hole by hole
 * @param holes what was told of the screws of some holes
 */
public record StripState(
        Optional<Isolation> isolation,
        boolean isolationProven,
        Set<String> plugsFreed,
        Map<Count, Integer> screws,
        Map<String, ScrewAt> holes) {
    static final StripState NOTHING = new StripState(Optional.empty(), false, Set.of(), Map.of(), Map.of());

    /** The check of an earlier station. */
    private static final String OUT_BEFORE_HEAT = "heat.battery-out";

    public static StripState of(JobState job) {
        return job.of(StripFact.FAMILY);
    }

    /** Whether it must be treated as live: it can't be switched off and isolation is not proven. */
    public static boolean live(JobState job) {
        return !IntakeState.of(job).canSwitchOff().orElse(true) && !of(job).isolationProven;
    }

    /** What was plugged in again is unplugged again, with the battery out of circuit first. */
    StripState hears(Entry entry) {
        if (entry.fact() instanceof DetourFact.Reopened) {
            // All screws are in again, but for the holes that have none.
            Map<String, ScrewAt> none = Fold.without(holes, id -> !holes.get(id).none());
            return new StripState(Optional.empty(), false, Set.of(), Map.of(), none);
        }
        return entry.fact() instanceof PartsFact.PartSwapped swap && swap.pluggedIn() ? underItsPlates() : this;
    }

    /** What was driven already comes out once more; what is in the tray still stays there. */
    private StripState underItsPlates() {
        return new StripState(
                Optional.empty(),
                false,
                Set.of(),
                screws.containsKey(Count.IN) ? Map.of() : screws,
                Fold.without(holes, id -> holes.get(id).driven()));
    }

    /** What was taken out before any heat is out of circuit. */
    public static boolean isolated(JobState job) {
        return of(job).isolation.isPresent() || batteryIsOut(job);
    }

    /** Whether it lies beside the device, not just off its plug. */
    public static boolean batteryIsOut(JobState job) {
        return job.passed(OUT_BEFORE_HEAT);
    }

    StripState isolated(Isolation how) {
        return new StripState(Optional.of(how), false, plugsFreed, screws, holes);
    }

    StripState proven() {
        return new StripState(isolation, true, plugsFreed, screws, holes);
    }

    StripState unplugged(String plugId) {
        return new StripState(isolation, isolationProven, Fold.plus(plugsFreed, plugId), screws, holes);
    }

    StripState counted(Count direction, int number) {
        return new StripState(isolation, isolationProven, plugsFreed, Fold.plus(screws, direction, number), holes);
    }

    StripState screw(String holeId, ScrewAt at) {
        return new StripState(isolation, isolationProven, plugsFreed, screws, Fold.plus(holes, holeId, at));
    }

    /** Whether screws of this device were taken out, however that was told. */
    public boolean unscrewed() {
        return screws.containsKey(Count.OUT) || holes.values().stream().anyMatch(at -> !at.none());
    }

    /** Plugs that are still in. A battery that is out of circuit is out by its plug or by a card at it. */
    public static List<Connector> stillIn(DeviceProfile profile, JobState job) {
        return profile.connectors().stream()
                .filter(plug -> !of(job).plugFreed(plug.id()))
                .filter(plug -> plug.role() != PlugRole.BATTERY || !isolated(job))
                .toList();
    }

    public boolean plugFreed(String plugId) {
        return plugsFreed.contains(plugId);
    }

    public Optional<Integer> screws(Count direction) {
        return Optional.ofNullable(screws.get(direction));
    }
}
