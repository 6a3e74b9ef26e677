package ridgefall.core.job;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Facts that are alike at every station: answers, clocks, what is taken back and what a lead lets by. */
public sealed interface JobFact extends Fact.Of<Map<String, Given>> {
    /** The longest duration a timer takes: a day. */
    int LONGEST_S = 86_400;

    /** The latest answer to each step. */
    Family<Map<String, Given>> FAMILY =
            new Family<>(JobFact.class, Map.of(), (known, entry) -> Fold.without(known, entry.fact()::voids));

    @Override
    default Family<Map<String, Given>> family() {
        return FAMILY;
    }

    @Override
    default Map<String, Given> after(Map<String, Given> before, Entry entry) {
        return before;
    }

    /** One line of a station's own check list; the id starts with the station's name. */
    record CheckAnswered(String checkId, Answer answer, String reason) implements JobFact {
        @Override
        public void check() {
            Allowed.text("checkId", checkId, 60);
            reasonFor(answer, reason);
            if (station().isEmpty()) {
                throw new NotAllowed("checkId", checkId, "a station's name, a dot and a check, as in clean.shards");
            }
        }

        @Override
        public Optional<Station> station() {
            return Arrays.stream(Station.values())
                    .filter(at -> checkId.startsWith(at.name().toLowerCase(Locale.ROOT) + "."))
                    .findFirst();
        }

        @Override
        public Set<String> answers() {
            return Set.of(checkId);
        }

        @Override
        public Timer.Change timers() {
            return answer == Answer.PASS && Checks.LAID_ON_FRAME.contains(checkId)
                    ? Timer.Change.stop(Checks.OPEN_TIME)
                    : Timer.Change.NONE;
        }

        @Override
        public Map<String, Given> after(Map<String, Given> before, Entry entry) {
            return Fold.plus(before, checkId, new Given(answer, reason, entry.happenedAt(), entry.who(), false));
        }

        @Override
        public String words(FactWords told) {
            return told.title(checkId) + ": "
                    + switch (answer) {
                        case PASS -> "right";
                        case FAIL -> "not right";
                        case CANNOT_TEST -> "cannot be tested";
                    }
                    + FactWords.because(reason);
        }
    }

    /** {@code reason} is asked for when the function can't be tested. */
    record FunctionTested(String functionId, Phase phase, Answer answer, String reason) implements JobFact {
        @Override
        public void check() {
            Allowed.text("functionId", functionId, 40);
            Allowed.present("phase", phase);
            reasonFor(answer, reason);
        }

        @Override
        public Optional<Station> station() {
            return Optional.of(phase.station());
        }

        @Override
        public Set<String> answers() {
            return Set.of(Checks.functionStepId(phase, functionId));
        }

        @Override
        public Map<String, Given> after(Map<String, Given> before, Entry entry) {
            return Fold.plus(
                    before,
                    Checks.functionStepId(phase, functionId),
                    new Given(answer, reason, entry.happenedAt(), entry.who(), false));
        }

        /** A charge that is answered for is not watched any longer. */
        @Override
        public Timer.Change timers() {
            return functionId.equals(Checks.CHARGE) ? Timer.Change.stop(Checks.CHARGE_CLOCK) : Timer.Change.NONE;
        }

        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public String words(FactWords told) {
            String function = told.profile()
                    .function(functionId)
                    .map(ProfileDocument.Function::words)
                    .orElse(functionId);
            return function + ": " + answer.words() + FactWords.because(reason);
        }
    }

    /** @param timerId tells two of a kind apart; null where there is only one */
    record TimerStarted(String kind, int seconds, String timerId) implements JobFact {
        public TimerStarted(TimerKind kind, int seconds) {
            this(kind.id(), seconds, null);
        }

        @Override
        public void check() {
            Allowed.text("kind", kind, 40);
            Allowed.between("seconds", seconds, 5, LONGEST_S, "s");
            Allowed.optionalText("timerId", timerId, 60);
        }

        /** The room that knows the kind has it. */
        @Override
        public Optional<Station> station() {
            return Optional.empty();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(timerId == null ? kind : timerId, kind, seconds));
        }

        @Override
        public String words(FactWords told) {
            return told.timer(kind) + " for {s:" + seconds + "}";
        }
    }

    record TimerStopped(String kind, String timerId) implements JobFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        public TimerStopped(TimerKind kind) {
            this(kind.id(), null);
        }

        @Override
        public void check() {
            Allowed.text("kind", kind, 40);
            Allowed.optionalText("timerId", timerId, 60);
        }

        @Override
        public Optional<Station> station() {
            return Optional.empty();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(timerId == null ? kind : timerId);
        }

        @Override
        public String words(FactWords told) {
            return told.timer(kind) + ": done";
        }
    }

    /** A mis-tap: the fact with this number does not count. It stays in the journal. */
    record Undone(long seq) implements JobFact {
        @Override
        public void check() {
            Allowed.between("seq", (double) seq, 1, 1_000_000, "(a fact of this job)");
        }

        @Override
        public Optional<Station> station() {
            return Optional.empty();
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public String words(FactWords told) {
            return "Taken back: " + told.say(seq);
        }
    }

    /**
     * A lead answers for going on although a hold point stands: for one fact, once; where a bad answer is what holds, for
     * that answer until it is given anew.
     *
     * @param held the fact that was held back; null in journals from before it was asked for, and then nothing is let by
     */
    record HoldOverridden(String holdId, String reason, Fact held) implements JobFact {
        @Override
        public void check() {
            Allowed.text("holdId", holdId, 80);
            Allowed.text("reason", reason, 200);
            if (held != null) {
                held.check();
            }
        }

        @Override
        public Optional<Station> station() {
            return Optional.empty();
        }

        @Override
        public Role by() {
            return Role.LEAD;
        }

        @Override
        public Page page() {
            return Page.SIGNED_OFF;
        }

        @Override
        public String words(FactWords told) {
            return "Signed off by a lead: " + told.title(holdId)
                    + (held == null ? "" : ", to go on with “" + told.say(held) + "”") + FactWords.because(reason);
        }
    }

    /**
     * What this version can't read: a newer one wrote it. It is kept as it stands, and nothing is added to its job here.
     *
     * @param type as the newer version calls it
     * @param text all of it, as it is stored
     */
    record FromNewer(String type, String text) implements JobFact {
        @Override
        public void check() {
            throw new NotAllowed("type", type, "a fact this version knows");
        }

        @Override
        public Optional<Station> station() {
            return Optional.empty();
        }

        @Override
        public boolean canBeTakenBack() {
            return false;
        }

        @Override
        public String words(FactWords told) {
            return "Recorded by a newer version: " + type;
        }
    }

    private static void reasonFor(Answer answer, String reason) {
        Allowed.present("answer", answer);
        if (answer == Answer.CANNOT_TEST) {
            Allowed.text("reason", reason, 200);
        } else {
            Allowed.optionalText("reason", reason, 200);
        }
    }
}
