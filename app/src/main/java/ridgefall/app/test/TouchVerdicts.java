package ridgefall.app.test;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.test.TouchProofs.LookTold;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.JobState;
import ridgefall.core.separate.SeparateFact.FrontOpened;
import ridgefall.core.test.Looked;
import ridgefall.core.test.TouchFinding;
import ridgefall.core.test.TouchFinding.Weight;
import ridgefall.core.test.TouchGrid;
import ridgefall.core.test.TouchProof;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace;

/** What a job's newest touch proof says so far. */
@Component
class TouchVerdicts {
    /** As long as a reason may be. */
    private static final int LONGEST = 200;

    private final TouchProofs proofs;

    TouchVerdicts(TouchProofs proofs) {
        this.proofs = proofs;
    }

    /**
     * @param over whether it was answered for or called off: whatever was done since, it does not speak of
     * @param traces as far as they came in
     * @param done tasks that are over: of the others nobody says anything yet
     * @param grid of what was swept; empty before that
     */
    record Verdict(
            boolean over,
            Map<Task, TouchTrace> traces,
            Set<Task> done,
            Optional<TouchGrid> grid,
            List<TouchFinding> findings) {
        boolean bad() {
            return !over && findings.stream().anyMatch(it -> it.weight() == Weight.BAD);
        }

        /** Fails by anything bad, whatever is left to do; works once all is done and nothing is doubtful. */
        Optional<Boolean> works() {
            if (bad()) {
                return Optional.of(false);
            }
            boolean all = done.containsAll(TouchProof.NEEDED);
            boolean doubtful = findings.stream().anyMatch(it -> it.weight() == Weight.DOUBTFUL);
            return !over && all && !doubtful ? Optional.of(true) : Optional.empty();
        }

        String says() {
            List<String> words = new ArrayList<>();
            grid.ifPresent(it ->
                    words.add("touch proof: " + (it.cells() - it.silent().size()) + " of " + it.cells() + " cells"));
            findings.stream()
                    .filter(it -> it.weight() == Weight.BAD || it instanceof TouchFinding.Before && bad())
                    .map(TouchFinding::words)
                    .forEach(words::add);
            String all = String.join("; ", words);
            return all.length() <= LONGEST ? all : all.substring(0, LONGEST - 1) + "…";
        }
    }

    /** Whether the touch was answered for since the proof was begun: by what it said, or by hand. */
    static boolean told(Course course, TouchProofs.Proof proof) {
        return JobState.effective(course.journal()).stream()
                .filter(entry -> entry.fact() instanceof FunctionTested tested
                        && tested.functionId().equals(Checks.TOUCH))
                .anyMatch(entry -> !entry.happenedAt().isBefore(proof.madeAt()));
    }

    /** What was told beside the touch, with what a stylus drew; the latest first. */
    List<LookTold> looks(UUID jobId, Course course) {
        List<LookTold> looks = new ArrayList<>(proofs.looks(jobId));
        proofs.newest(jobId).filter(proof -> proof.widthPx() != null).ifPresent(proof -> {
            Set<Task> done = proofs.done(proof);
            Map<Task, TouchTrace> drawn = new EnumMap<>(Task.class);
            drawn.putAll(proofs.traces(proof, TouchScreens.of(course.profile(), proof.widthPx(), proof.heightPx())));
            drawn.keySet().retainAll(done);
            drawn.keySet().retainAll(TouchProof.PEN_NEEDED);
            if (!drawn.isEmpty()) {
                looks.add(new LookTold(
                        new Looked.Stylus(done.containsAll(TouchProof.PEN_NEEDED), TouchProof.judgePen(drawn)),
                        proof.madeAt()));
            }
        });
        return looks;
    }

    Verdict of(UUID jobId, Course course) {
        Optional<TouchProofs.Proof> newest = proofs.newest(jobId);
        Map<Task, TouchTrace> traces = newest.filter(proof -> proof.widthPx() != null)
                .map(proof ->
                        proofs.traces(proof, TouchScreens.of(course.profile(), proof.widthPx(), proof.heightPx())))
                .orElse(Map.of());
        Set<Task> done = newest.map(proofs::done).orElse(Set.of());
        Map<Task, TouchTrace> over = new EnumMap<>(Task.class);
        over.putAll(traces);
        over.keySet().retainAll(done);
        List<TouchFinding> findings = new ArrayList<>(TouchProof.judge(over));
        before(jobId, course, newest).ifPresent(was -> findings.addAll(TouchProof.compared(was, over)));
        return new Verdict(
                newest.filter(proof -> proof.endedAt() != null || told(course, proof))
                        .isPresent(),
                traces,
                done,
                Optional.ofNullable(traces.get(Task.SWEEP)).map(TouchGrid::of),
                findings);
    }

    /** What it told with its old front still down, where this is another time. */
    private Optional<Map<Task, TouchTrace>> before(UUID jobId, Course course, Optional<TouchProofs.Proof> newest) {
        return JobState.effective(course.journal()).stream()
                .filter(entry -> entry.fact() instanceof FrontOpened)
                .map(Entry::happenedAt)
                .min(Instant::compareTo)
                .filter(opened ->
                        newest.filter(it -> it.madeAt().isAfter(opened)).isPresent())
                .flatMap(opened -> proofs.lastBefore(jobId, opened))
                .map(proof ->
                        proofs.traces(proof, TouchScreens.of(course.profile(), proof.widthPx(), proof.heightPx())));
    }
}
