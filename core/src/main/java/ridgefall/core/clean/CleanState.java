package ridgefall.core.clean;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.edge.Landmark;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;

/**
 * How far the ledge has come. Journals from before it was told by stretches speak of all of it at once.
 *
 * @param everywhere the stage of each stretch that {@code but} does not name
 * @param wipings what each stretch was wiped with last
 * @param swept corners that were swept of shards
 * @param primer what lies on it; empty where none does
 * @param unprimed whether it was decided to do without
 */
public record CleanState(
        Stage everywhere,
        Map<String, Stage> but,
        Map<String, Wiping> wipings,
        Set<Landmark> swept,
        Optional<Primer> primer,
        boolean unprimed) {
    static final CleanState NOTHING = new CleanState(Stage.GLUE, Map.of(), Map.of(), Set.of(), Optional.empty(), false);

    /** @param readyAt when it is reckoned dry */
    public record Wiping(FrameSolvent solvent, Instant readyAt) {}

    /**
     * @param readyAt when it is reckoned dry
     * @param openUntil when it has to be covered
     * @param covered whether adhesive lies on it
     */
    public record Primer(Instant readyAt, Instant openUntil, boolean covered) {
        Primer underAdhesive() {
            return new Primer(readyAt, openUntil, true);
        }
    }

    public static CleanState of(JobState job) {
        CleanState known = job.of(CleanFact.FAMILY);
        Stage told = told(job);
        return known.everywhere.before(told) ? known.staged(told, known.but) : known;
    }

    /** What was told of all of it at once before the first that was told by stretches: nobody listened then. */
    private static Stage told(JobState job) {
        if (fails(job, CleanStation.BARE)) {
            return Stage.GLUE;
        } else if (fails(job, CleanStation.WIPED)) {
            return Stage.BARE;
        } else if (job.passed(CleanStation.FLAT)) {
            return Stage.ACCEPTED;
        } else if (job.passed(CleanStation.WIPED)) {
            boolean timed = job.everTimed(CleanStation.DRYING)
                    && job.timer(CleanStation.DRYING).isEmpty();
            return timed ? Stage.DRY : Stage.WIPED;
        }
        return job.passed(CleanStation.BARE) ? Stage.BARE : Stage.GLUE;
    }

    private static boolean fails(JobState job, String checkId) {
        return job.check(checkId).filter(given -> given.answer() == Answer.FAIL).isPresent();
    }

    public Stage stage(String stretchId) {
        return but.getOrDefault(stretchId, everywhere);
    }

    CleanState hears(Entry entry) {
        if (entry.fact() instanceof DetourFact.Reopened) {
            return NOTHING;
        } else if (entry.fact() instanceof JobFact.TimerStopped clock
                && clock.kind().equals(CleanStation.DRYING.id())) {
            return dried();
        } else if (Checks.laidOnFrame(entry.fact())) {
            return new CleanState(everywhere, but, wipings, swept, primer.map(Primer::underAdhesive), unprimed);
        }
        return entry.fact() instanceof JobFact.CheckAnswered check ? judged(check) : this;
    }

    /** Told of all of it at once: as it was before it was told by stretches, and where somebody does not say where. */
    private CleanState judged(JobFact.CheckAnswered check) {
        if (check.answer() == Answer.PASS) {
            return switch (check.checkId()) {
                case CleanStation.BARE -> atLeast(Stage.BARE);
                case CleanStation.WIPED -> atLeast(Stage.WIPED);
                case CleanStation.FLAT -> atLeast(Stage.ACCEPTED);
                default -> this;
            };
        }
        return switch (check.checkId()) {
            case CleanStation.BARE -> staged(Stage.GLUE, Map.of());
            case CleanStation.WIPED -> atMost(Stage.BARE);
            default -> this;
        };
    }

    private CleanState atMost(Stage stage) {
        Map<String, Stage> lowered = new LinkedHashMap<>(but);
        lowered.replaceAll((id, before) -> stage.before(before) ? stage : before);
        return staged(stage.before(everywhere) ? stage : everywhere, lowered);
    }

    private CleanState atLeast(Stage stage) {
        Map<String, Stage> raised = new LinkedHashMap<>(but);
        raised.replaceAll((id, before) -> before.before(stage) ? stage : before);
        return staged(everywhere.before(stage) ? stage : everywhere, raised);
    }

    private CleanState staged(Stage all, Map<String, Stage> single) {
        return new CleanState(all, Map.copyOf(single), wipings, swept, primer, unprimed);
    }

    CleanState to(Stage stage, List<String> stretchIds) {
        Map<String, Stage> after = new LinkedHashMap<>(but);
        stretchIds.forEach(id -> after.put(id, stage));
        return staged(everywhere, after);
    }

    CleanState wiped(List<String> stretchIds, Wiping wiping) {
        Map<String, Wiping> after = new LinkedHashMap<>(wipings);
        stretchIds.forEach(id -> after.put(id, wiping));
        CleanState wet = to(Stage.WIPED, stretchIds);
        return new CleanState(wet.everywhere, wet.but, Map.copyOf(after), swept, primer, unprimed);
    }

    CleanState dried() {
        Map<String, Stage> after = new LinkedHashMap<>(but);
        after.replaceAll((id, stage) -> stage == Stage.WIPED ? Stage.DRY : stage);
        return staged(everywhere == Stage.WIPED ? Stage.DRY : everywhere, after);
    }

    /** Primer goes off with what is wiped again. */
    CleanState sentBack(String stretchId, Stage back) {
        CleanState again = to(back, List.of(stretchId));
        return new CleanState(again.everywhere, again.but, wipings, swept, Optional.empty(), false);
    }

    CleanState swept(Landmark corner) {
        return new CleanState(everywhere, but, wipings, Fold.plus(swept, corner), primer, unprimed);
    }

    CleanState primed(Primer laid) {
        return new CleanState(everywhere, but, wipings, swept, Optional.of(laid), false);
    }

    CleanState primerDry(Instant at) {
        return new CleanState(
                everywhere,
                but,
                wipings,
                swept,
                primer.map(laid -> new Primer(at, laid.openUntil(), laid.covered())),
                unprimed);
    }

    CleanState leftUnprimed() {
        return new CleanState(everywhere, but, wipings, swept, Optional.empty(), true);
    }
}
