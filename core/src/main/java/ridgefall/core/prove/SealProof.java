package ridgefall.core.prove;

import java.time.ZoneOffset;
import java.util.Optional;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Kind;
import ridgefall.core.prove.LeakTest.Verdict;
import ridgefall.core.prove.ProveFact.SealTested;

/** Whether a watch's seal was tested, and what may be said of it. Nobody has to; untested stays not tested. */
public final class SealProof {
    public static final TimerKind TESTING = new TimerKind("LEAK_TEST", "Watch under pressure");

    /** Air that was pressed in is warm at first. */
    public static final int SETTLE_S = 15;

    /** Long enough that half of what is allowed shows. */
    public static final int TEST_S = 60;

    /** As small chambers are, with a watch in them. */
    public static final double USUAL_CHAMBER_ML = 30;

    public static final double USUAL_KPA = 20;

    public static final String STEP = "prove.seal-tested";

    private SealProof() {}

    static boolean asked(DeviceProfile profile) {
        return profile.document().kind() == Kind.WATCH;
    }

    static Optional<Step> step(DeviceProfile profile, JobState state) {
        if (!asked(profile)) {
            return Optional.empty();
        }
        SealTested typed = new SealTested(
                USUAL_KPA, USUAL_KPA, USUAL_KPA, TEST_S, 20, 20, USUAL_CHAMBER_ML, LeakTest.innerMl(profile));
        Step.Choice byHand = Step.other(
                "It reads",
                typed,
                number("solidKPa", "Filled over a solid piece", "kPa", "20"),
                number("startKPa", "Over the watch, at the start", "kPa", null),
                number("endKPa", "After {s:" + TEST_S + "}", "kPa", null),
                number("startC", "Warmth at the start", "C", null),
                number("endC", "Warmth at the end", "C", null));
        Step.Choice start = Step.go(
                "Start the test, {s:" + (SETTLE_S + TEST_S) + "}",
                new JobFact.TimerStarted(TESTING, SETTLE_S + TEST_S));
        Step step = Step.open(
                STEP,
                Station.PROVE,
                "Seal tested in the chamber",
                "dry, closed, at the room's warmth; over-pressure only, no water; untested stays not tested",
                start,
                byHand);
        return Optional.of(state.timer(TESTING)
                .map(timer -> step.choosing(byHand).waiting(timer.seq()))
                .or(() -> ProveState.of(state)
                        .sealTested()
                        .map(tested -> answered(step, tested.fact().test(), state)))
                .orElseGet(step::asOptional));
    }

    private static Step answered(Step step, LeakTest test, JobState state) {
        if (state.signedOff(STEP)) {
            return step.answered(test.words()).asOptional();
        }
        return switch (test.verdict()) {
            case LEAKS, GROSS ->
                step.hinted("by eye and nail first: a fold, a hair, a lap of the ring, a corner that stands up;"
                                + " then open it and lay a new one")
                        .problem(test.words())
                        .leadingOn(ProveStation.reopen());
            case DOUBTFUL ->
                step.hinted("let it lie at the room's warmth, chamber and all, and test it again")
                        .problem(test.words());
            case TIGHT, TOO_LARGE -> step.answered(test.words()).asOptional();
        };
    }

    private static Ask number(String field, String label, String unit, String suggestion) {
        return new Ask(field, label, Ask.Kind.NUMBER, unit, suggestion);
    }

    /** For whoever hands it over. */
    static String claim(DeviceProfile profile, JobState state) {
        return ProveState.of(state)
                .sealTested()
                .map(tested -> tested.fact().test().verdict())
                .filter(verdict -> verdict != Verdict.TOO_LARGE)
                .map(verdict -> "its seal is " + verdict.words() + " against air; that is no rating against water")
                .orElse(
                        asked(profile)
                                ? "its seal was not tested: no water resistance is claimed"
                                : "water resistance was not tested");
    }

    /** For the page that goes with it. */
    static String told(DeviceProfile profile, JobState state) {
        return ProveState.of(state)
                .sealTested()
                .filter(tested -> tested.fact().test().verdict() != Verdict.TOO_LARGE)
                .map(tested -> "Seal " + tested.fact().test().words() + ", on {day:"
                        + tested.at().atZone(ZoneOffset.UTC).toLocalDate()
                        + "}. A test with air on that day, no rating against water: none is claimed.")
                .orElse("Water resistance was not tested and is not claimed.");
    }
}
