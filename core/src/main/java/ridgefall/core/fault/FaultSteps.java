package ridgefall.core.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.fault.FaultFact.FaultChecked;
import ridgefall.core.fault.FaultFact.Finding;
import ridgefall.core.fault.FaultTable.Check;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsStation;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.units.NotAllowed;

/** The fault finder's next check, before the test that fails, at whatever station it does. */
public final class FaultSteps {
    private FaultSteps() {}

    /** All cases that stand open, in the order their functions are tested. */
    public static List<FaultCase> open(DeviceProfile profile, JobState state, Faults faults) {
        return open(profile, state, faults, stepId -> true);
    }

    private static List<FaultCase> open(
            DeviceProfile profile, JobState state, Faults faults, Predicate<String> ofStep) {
        return Stream.of(Phase.values())
                .flatMap(phase -> profile.functions().stream()
                        .filter(function -> ofStep.test(Checks.functionStepId(phase, function.id())))
                        .filter(function -> asked(state, function, phase))
                        .map(function -> FaultCase.of(profile, state, function, phase, faults)))
                .toList();
    }

    /** As it comes in a failing function is why it came; unless it comes back, or hangs on no part that is replaced. */
    private static boolean asked(JobState state, Function function, Phase phase) {
        boolean fails = state.function(phase, function.id())
                .filter(given -> given.answer() == Answer.FAIL && !given.signedOff())
                .isPresent();
        return fails
                && (phase != Phase.BEFORE || IntakeState.of(state).cameFrom().isPresent());
    }

    /** A station's steps with the next check of each open case before the step that failed. */
    public static List<Step> into(List<Step> steps, DeviceProfile profile, JobState state, Faults faults) {
        if (state.nothingFails()) {
            return steps;
        }
        Set<String> ids = steps.stream().map(Step::id).collect(Collectors.toSet());
        List<FaultCase> open = open(profile, state, faults, ids::contains);
        if (open.isEmpty()) {
            return steps;
        }
        List<Step> all = new ArrayList<>();
        for (Step step : steps) {
            Optional<FaultCase> about = open.stream()
                    .filter(one -> step.id().equals(one.stepId()))
                    .filter(one -> step.problem() || one.phase() == Phase.BEFORE)
                    .findFirst();
            Optional<Check> next = about.flatMap(one -> one.next().or(one::onceOpen));
            if (next.isPresent() && about.get().opens(next.get())) {
                // The step itself leads on to that.
                all.add(step.hinted(likeliest(about.get()) + "; opened again: "
                        + next.get().words().toLowerCase(Locale.ROOT)));
            } else {
                next.map(check -> step(profile, state, about.get(), check)).ifPresent(all::add);
                all.add(step);
            }
        }
        return List.copyOf(all);
    }

    private static Step step(DeviceProfile profile, JobState state, FaultCase open, Check check) {
        Function function = open.function();
        List<Choice> choices = switch (check.kind()) {
            case SWAP ->
                List.of(
                        PartsStation.swap(
                                state,
                                FaultCase.part(profile, state, function).orElseThrow(),
                                PartsFact.Bad.DEAD_AT_TEST),
                        left(open, check));
            case COPY ->
                List.of(
                        Step.other(
                                "Back to carry over: copy it anew",
                                new CopyFact.CopyDueAgain(
                                        FaultCase.copied(profile, function)
                                                .orElseThrow()
                                                .id(),
                                        function.id())),
                        left(open, check));
            case QUOTE ->
                Stream.concat(
                                DecideStation.quoteAnew(state, Optional.empty()).stream(),
                                Stream.of(
                                        Step.other("Done: test it again", tried(open, check, Finding.DONE)),
                                        left(open, check)))
                        .toList();
            case MEND ->
                List.of(Step.other("Done: test it again", tried(open, check, Finding.DONE)), left(open, check));
            case LOOK ->
                List.of(
                        Step.other(check.good(), tried(open, check, Finding.SOUND)),
                        Step.fail(check.bad(), tried(open, check, Finding.BAD)),
                        left(open, check));
        };
        Step step = Step.open(
                stepId(open, check),
                open.phase().station(),
                function.words() + " fails: " + check.words().toLowerCase(Locale.ROOT),
                hint(open, check) + plugs(profile, open.function(), check),
                choices.toArray(Choice[]::new));
        // At intake nothing has to be mended yet.
        return open.phase() == Phase.BEFORE ? step.asOptional() : step.leading(Step.Lead.PROPOSE);
    }

    private static String stepId(FaultCase open, Check check) {
        String prefix =
                open.phase() == Phase.OPEN ? "test.fault." : open.phase().name().toLowerCase(Locale.ROOT) + ".fault.";
        return prefix + open.function().id() + "." + check.id();
    }

    /** The steps that are about a case: the test that failed, and whatever check is next. */
    public static List<String> about(FaultCase open) {
        return Stream.concat(
                        Stream.of(open.stepId()),
                        open.complaint().checks().stream().map(check -> stepId(open, check)))
                .toList();
    }

    private static String hint(FaultCase open, Check check) {
        return Math.round(Math.max(1, check.minutes())) + " min; " + likeliest(open);
    }

    /** Where a check is about plugs: which. */
    private static String plugs(DeviceProfile profile, Function function, Check check) {
        return check.words().contains("plug") || check.words().contains("ontacts")
                ? Signs.plugsOf(profile, function).stream()
                        .map(plug -> "; " + plug.words().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining())
                : "";
    }

    private static String likeliest(FaultCase open) {
        var likeliest = open.belief().likeliestFirst().get(0);
        String cause = open.complaint().causes().stream()
                .filter(one -> one.id().equals(likeliest.getKey()))
                .findFirst()
                .orElseThrow()
                .words();
        return "most likely " + cause + ", about " + Math.round(10 * likeliest.getValue()) + " in 10";
    }

    private static Choice left(FaultCase open, Check check) {
        return Step.other("Not that: what else?", tried(open, check, Finding.LEFT));
    }

    private static FaultChecked tried(FaultCase open, Check check, Finding finding) {
        return new FaultChecked(
                open.function().id(), check.id(), finding, open.phase() == Phase.OPEN ? null : open.phase());
    }

    /** @throws NotAllowed where the device has no such function, or its complaint no such check */
    public static void known(FaultFact fact, DeviceProfile profile, FaultTable table) {
        if (fact instanceof FaultChecked checked) {
            Checks.known(
                    "functionId",
                    checked.functionId(),
                    profile.functions().stream().map(Function::id).toList());
            Checks.known(
                    "faultCheckId",
                    checked.faultCheckId(),
                    Stream.of(table, UsualFaults.TABLE)
                            .flatMap(one -> one.about(checked.functionId()).checks().stream())
                            .map(Check::id)
                            .distinct()
                            .toList());
        }
    }
}
