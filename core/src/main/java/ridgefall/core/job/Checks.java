package ridgefall.core.job;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.units.NotAllowed;

/** Steps that are answered pass, fail or cannot be tested, alike at every station. */
public final class Checks {
    private static final Set<Step.Lead> OVERRIDABLE = EnumSet.of(Step.Lead.ASK_AGAIN, Step.Lead.LEAD_ON);

    /** Functions that nobody can judge without a picture, by the ids that profiles use. */
    private static final Set<String> SEEN = Set.of("light", "camera", "stylus");

    private static final String PICTURE = "picture";

    /** Whether the front hangs on its plugs with the battery back in circuit: several rooms ask after it. */
    public static final String PLUGGED_IN = "test.plugged";

    /** Checks that say of adhesive that it lies on the frame. */
    static final Set<String> LAID_ON_FRAME = Set.of("bond.ring", "bond.bead", "bond.optical");

    /** The clock of how long a primer may still be taped; what meets the ledge stops it. */
    public static final String OPEN_TIME = "PRIMER_OPEN";

    /** The function that a device's own browser tells of, by the id that profiles use. */
    public static final String TOUCH = "touch";

    /** The function that a meter watches, by the id that profiles use, and its clock. */
    public static final String CHARGE = "charge";

    public static final String CHARGE_CLOCK = "CHARGE_TEST";

    private Checks() {}

    /** Whether a fact says of adhesive that it lies on the frame. */
    public static boolean laidOnFrame(Fact fact) {
        // A bead lies there too, though it is laid last, at Seal: it begins to skin.
        return meetsLedge(fact)
                && (fact.station().filter(Station.BOND::equals).isPresent()
                        || !fact.timers().starts().isEmpty());
    }

    /** The same of whatever meets the ledge: tape that came on the front does when it is sealed. */
    public static boolean meetsLedge(Fact fact) {
        return fact.timers().stops().contains(OPEN_TIME)
                && fact.station().filter(at -> at != Station.CLEAN).isPresent();
    }

    /** A check of a station that is passed or not; {@code done} is the label of the good answer. */
    public static Step check(JobState state, String checkId, String title, String hint, String done) {
        Step step = Step.open(
                checkId,
                stationOf(new CheckAnswered(checkId, Answer.PASS, null)),
                title,
                hint,
                Step.go(done, new CheckAnswered(checkId, Answer.PASS, null)),
                Step.fail("Not right", new CheckAnswered(checkId, Answer.FAIL, null), Ask.reason("What is wrong?")));
        return answered(step, state.check(checkId), done);
    }

    private static Station stationOf(CheckAnswered answer) {
        return answer.station()
                .orElseThrow(() -> new IllegalStateException(answer.checkId() + " belongs to no station"));
    }

    /** A function of the device's list in one phase. */
    public static Step function(DeviceProfile profile, JobState state, ProfileDocument.Function function, Phase phase) {
        Step step = function(state, function, phase);
        // The bench's reader may be the one that is broken.
        return profile.provenAtReader(function.id()) && phase != Phase.BEFORE
                ? step.alsoChoosing(Step.other(
                        "Another reader",
                        new FunctionTested(function.id(), phase, Answer.PASS, "?"),
                        Ask.reason("Works at which reader?")))
                : step;
    }

    private static Step function(JobState state, ProfileDocument.Function function, Phase phase) {
        Step step = Step.open(
                functionStepId(phase, function.id()),
                phase.station(),
                function.words(),
                before(state, function, phase),
                Step.go("Works", new FunctionTested(function.id(), phase, Answer.PASS, null)),
                Step.fail("Fails", new FunctionTested(function.id(), phase, Answer.FAIL, null)),
                cannotTest(function, phase));
        Optional<Given> given = state.function(phase, function.id());
        boolean fails = given.filter(g -> g.answer() == Answer.FAIL).isPresent();
        // At intake a failing function is a finding; later it stands in the way, unless no front was meant to cure it.
        if (fails && phase == Phase.BEFORE) {
            return step.answered("Fails");
        } else if (fails && function.failsAs() == null && failed(state, Phase.BEFORE, function)) {
            return step.answered("Fails, as at intake");
        }
        if (given.filter(g -> g.answer() == Answer.PASS).isPresent() && blind(state, function, phase)) {
            // One of the two is not so: none of the answers that stand is offered first.
            return step.problem("works, yet there is no picture")
                    .choosing(
                            cannotTest(function, phase),
                            step.choices().get(1),
                            step.choices().get(0));
        }
        // What an instrument said of it, where one was asked.
        return answered(
                step,
                given,
                given.map(Given::reason).map(said -> "Works, " + said).orElse("Works"));
    }

    private static Step.Choice cannotTest(ProfileDocument.Function function, Phase phase) {
        return Step.other(
                "Can't test",
                new FunctionTested(function.id(), phase, Answer.CANNOT_TEST, "?"),
                Ask.reason(
                        "Cannot be tested because …",
                        "no picture",
                        "no power",
                        "locked, and the owner is not here",
                        "what it needs is not here"));
    }

    /** Whether this can only be seen on a screen, and the screen was found dark at the same time. */
    private static boolean blind(JobState state, ProfileDocument.Function function, Phase phase) {
        return SEEN.contains(function.id())
                && state.function(phase, PICTURE)
                        .filter(given -> given.answer() == Answer.FAIL)
                        .isPresent();
    }

    private static boolean failed(JobState state, Phase phase, ProfileDocument.Function function) {
        return state.function(phase, function.id())
                .filter(given -> given.answer() == Answer.FAIL)
                .isPresent();
    }

    /** When a step tries a function; empty for any other step. */
    public static Optional<Phase> tried(Step step, String functionId) {
        return Stream.of(Phase.values())
                .filter(phase -> functionStepId(phase, functionId).equals(step.id()))
                .findFirst();
    }

    public static String functionStepId(Phase phase, String functionId) {
        return phase.name().toLowerCase(Locale.ROOT) + "." + functionId;
    }

    private static String before(JobState state, ProfileDocument.Function function, Phase phase) {
        return phase == Phase.BEFORE
                ? null
                : state.function(Phase.BEFORE, function.id())
                        .map(given -> "At intake: " + given.answer().words())
                        .orElse(null);
    }

    private static Step answered(Step step, Optional<Given> given, String done) {
        if (given.isEmpty()) {
            return step;
        }
        Given it = given.get();
        return switch (it.answer()) {
            case PASS -> step.answered(done);
            case FAIL -> {
                String fails = it.reason() == null ? "Fails" : it.reason();
                yield it.signedOff() ? step.answered(fails + ", signed off by a lead") : step.problem(fails);
            }
            case CANNOT_TEST -> step.answered("Can't test: " + it.reason());
        };
    }

    /** @throws NotAllowed when the id is not one of those a device or station has */
    public static void known(String field, String id, List<String> ids) {
        if (!ids.contains(id)) {
            throw new NotAllowed(field, id, "one of " + String.join(", ", ids));
        }
    }

    /**
     * A hold for each step that is still open. A lead may answer for a bad result; not for a missing one, nor for what is
     * not there, nor where someone can get hurt.
     */
    public static List<Hold> openSteps(List<Step> steps) {
        return steps.stream()
                .filter(step -> step.open() && step.lead() != Step.Lead.PROPOSE)
                .map(step -> new Hold(
                        step.id(),
                        step.station(),
                        step.problem() ? step.title() + ": " + step.answer() : step.title(),
                        overridable(step)))
                .toList();
    }

    /** Whether a lead may answer for the bad answer to a step. */
    public static boolean overridable(Step step) {
        return step.problem() && OVERRIDABLE.contains(step.lead());
    }
}
