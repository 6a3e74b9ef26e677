package ridgefall.core.job;

import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What is known of a job after all its facts: a pure fold of the journal. Undone facts don't count. Each room's facts are
 * remembered by the room itself; here are answers, clocks and what was let by.
 *
 * @param seq number of the last fact in the journal, undone or not: what the next append expects
 * @param rooms what each family knows
 * @param timers in the order they were started
 * @param answered the steps that have an answer, and whether a lead has taken a bad one for good enough
 * @param signOffs what a lead has let by for one fact, and was not used yet
 * @param latest the last fact that counts; null before the first
 * @param newer whether something stands there that this version can't read
 */
public record JobState(
        long seq,
        Map<Family<?>, Object> rooms,
        List<Timer> timers,
        Map<String, Boolean> answered,
        List<JobFact.HoldOverridden> signOffs,
        Entry latest,
        boolean newer) {
    /** Folds a journal for rooms that hear of nothing but their own facts. */
    public static JobState of(List<Entry> journal) {
        return of(List.of(), journal);
    }

    /**
     * Folds a journal; entries in order of their numbers.
     *
     * @param families that hear of each other's facts from the first one on
     */
    public static JobState of(List<Family<?>> families, List<Entry> journal) {
        JobState state = new JobState(
                0,
                families.stream().collect(Collectors.toUnmodifiableMap(Function.identity(), Family::nothing)),
                List.of(),
                Map.of(),
                List.of(),
                null,
                false);
        for (Entry entry : effective(journal)) {
            state = state.with(entry);
        }
        return journal.isEmpty()
                ? state
                : state.at(journal.get(journal.size() - 1).seq());
    }

    /** The entries that count: without those undone and without the undoing. */
    public static List<Entry> effective(List<Entry> journal) {
        Set<Long> undone = new HashSet<>();
        for (Entry entry : journal) {
            if (entry.fact() instanceof JobFact.Undone undo) {
                undone.add(undo.seq());
                undone.add(entry.seq());
            }
        }
        return undone.isEmpty()
                ? Collections.unmodifiableList(journal)
                : journal.stream()
                        .filter(entry -> !undone.contains(entry.seq()))
                        .toList();
    }

    private JobState at(long last) {
        return new JobState(last, rooms, timers, answered, signOffs, latest, newer);
    }

    /** After one more fact that takes nothing back. */
    public JobState with(Entry entry) {
        Fact fact = entry.fact();
        Map<Family<?>, Object> known = new HashMap<>(rooms);
        known.replaceAll((family, before) -> heard(family, before, entry));
        if (fact instanceof Fact.Of<?> own) {
            remember(known, own, entry);
        }
        Map<String, Boolean> answers = Fold.without(answered, fact::voids);
        for (String step : fact.answers()) {
            answers = Fold.plus(answers, step, false);
        }
        // Good for one time.
        List<JobFact.HoldOverridden> letBy = signOffs.stream()
                .filter(signOff -> !fact.equals(signOff.held()))
                .toList();
        if (fact instanceof JobFact.HoldOverridden signOff) {
            // A bad answer is taken for good enough, as long as it is the answer; whatever else was held is let by
            // once.
            if (answers.containsKey(signOff.holdId())) {
                answers = Fold.plus(answers, signOff.holdId(), true);
            } else if (signOff.held() != null) {
                letBy = Fold.plus(letBy, signOff);
            }
        }
        return new JobState(
                entry.seq(),
                known,
                fact.timers().on(Fold.without(timers, timer -> !timer.running() && fact.voids(timer.kind())), entry),
                answers,
                letBy,
                entry,
                newer || fact instanceof JobFact.FromNewer);
    }

    /** What a family knows once it has heard of a fact that may be another room's. */
    @SuppressWarnings("unchecked")
    private static <S> S heard(Family<S> family, Object before, Entry entry) {
        return family.facts().isInstance(entry.fact())
                ? (S) before
                : family.hears().apply((S) before, entry);
    }

    private <S> void remember(Map<Family<?>, Object> known, Fact.Of<S> fact, Entry entry) {
        known.put(fact.family(), fact.after(of(fact.family()), entry));
    }

    /** What one family knows. */
    @SuppressWarnings("unchecked")
    public <S> S of(Family<S> family) {
        return (S) rooms.getOrDefault(family, family.nothing());
    }

    private Optional<Given> given(String stepId) {
        return Optional.ofNullable(of(JobFact.FAMILY).get(stepId)).map(given -> given.signedOff(signedOff(stepId)));
    }

    /** Whether no function and no check was found to fail. */
    public boolean nothingFails() {
        return of(JobFact.FAMILY).values().stream().noneMatch(given -> given.answer() == Answer.FAIL);
    }

    public Optional<Given> function(Phase phase, String functionId) {
        return given(Checks.functionStepId(phase, functionId));
    }

    public Optional<Given> check(String checkId) {
        return given(checkId);
    }

    public boolean passed(String checkId) {
        return check(checkId).filter(g -> g.answer() == Answer.PASS).isPresent();
    }

    /** The latest of a kind that runs. */
    public Optional<Timer> timer(TimerKind kind) {
        return timers.stream()
                .filter(t -> t.kind().equals(kind.id()) && t.running())
                .reduce((earlier, later) -> later);
    }

    /** The latest of a kind, whether it runs or not. */
    public Optional<Timer> latest(TimerKind kind) {
        return timers.stream().filter(t -> t.kind().equals(kind.id())).reduce((earlier, later) -> later);
    }

    public List<Timer> running() {
        return timers.stream().filter(Timer::running).toList();
    }

    public boolean everTimed(TimerKind kind) {
        return timers.stream().anyMatch(t -> t.kind().equals(kind.id()));
    }

    /** Whether a lead has taken the latest answer to this step for good enough. */
    public boolean signedOff(String stepId) {
        return answered.getOrDefault(stepId, false);
    }

    /** Whether a lead has answered for recording this fact although it is held, and that was not used yet. */
    public boolean signedOff(String holdId, Fact held) {
        return signOffs.stream().anyMatch(signOff -> signOff.holdId().equals(holdId) && held.equals(signOff.held()));
    }
}
