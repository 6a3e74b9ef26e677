package ridgefall.core.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.decide.DecideState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.units.NotAllowed;

/** The part against what the agreed repair needs, before anything is opened. */
public final class PartsStation implements StationRoom {
    @Override
    public Station station() {
        return Station.PARTS;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        Optional<Repair> repair = DecideState.of(state).repair().map(agreed -> profile.repair(agreed.repairId()));
        List<Step> steps = new ArrayList<>();
        steps.add(onTheBench(state, repair));
        steps.add(Checks.check(
                state,
                "parts.variant",
                "The exact variant",
                profile.name() + ": plug count, camera hole and antennas as on the old front",
                "Same variant"));
        steps.add(Checks.check(
                state,
                "parts.laid-beside",
                "Old and new laid side by side",
                "windows, clips, rails, shields and magnets agree; thickness too, or it sits proud",
                "They agree"));
        repair.ifPresent(r -> r.needs().forEach(need -> steps.add(need(state, need))));
        steps.add(Checks.check(
                state, "parts.arrival", "Tested on arrival", "picture and touch, before it is needed", "Works"));
        return steps;
    }

    private static Step onTheBench(JobState state, Optional<Repair> repair) {
        Step step = Step.open(
                "parts.here",
                Station.PARTS,
                repair.map(r -> "The part: "
                                + r.parts().stream().map(PartKind::words).collect(Collectors.joining(", ")))
                        .orElse("The part"),
                "taken off the shelf above, or bought for this job",
                Step.go("It lies here", new CheckAnswered("parts.here", Answer.PASS, null)),
                Step.fail(
                        "Must be ordered",
                        new CheckAnswered("parts.here", Answer.FAIL, null),
                        Ask.reason("Ordered where, due when?")));
        if (!PartsState.of(state).parts().isEmpty()) {
            return step.answered(PartsState.of(state).parts().stream()
                    .map(PartsFact.PartReserved::words)
                    .collect(Collectors.joining("; ")));
        }
        return state.check("parts.here")
                .map(given -> given.answer() == Answer.PASS
                        ? step.answered("it lies here")
                        : step.problem("ordered: " + given.reason()).leading(Step.Lead.HAS_COME))
                .orElse(step);
    }

    /** What the new part should bring: it does, or the bench says now what it does without. */
    private static Step need(JobState state, Brings need) {
        String id = checkId(need);
        boolean reserved = !PartsState.of(state).parts().isEmpty();
        Step step = Step.open(
                id,
                Station.PARTS,
                (reserved ? "Comes without " : "Does it bring ") + need.words() + (reserved ? "" : "?"),
                "without: " + need.otherwise(),
                Step.go(
                        reserved ? "Provided for" : "It does, or provided for",
                        new CheckAnswered(id, Answer.PASS, null)),
                Step.fail(
                        "Must be ordered",
                        new CheckAnswered(id, Answer.FAIL, null),
                        Ask.reason("Ordered where, due when?")));
        if (PartsState.of(state).brought(need)) {
            return Step.open(id, Station.PARTS, "Brings " + need.words(), null).answered("in the part");
        }
        return state.check(id)
                .map(given -> given.answer() == Answer.PASS
                        ? step.answered("provided for")
                        : step.problem("ordered: " + given.reason()).leading(Step.Lead.HAS_COME))
                .orElse(step);
    }

    private static String checkId(Brings need) {
        return "parts." + need.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        if (fact instanceof CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    Stream.concat(steps(profile, state).stream().map(Step::id), Stream.of("parts.here"))
                            .distinct()
                            .toList());
        } else if (fact instanceof PartsFact.PartReturned f
                && PartsState.of(state).parts().stream()
                        .noneMatch(part -> part.stockId().equals(f.stockId()))) {
            throw new NotAllowed("stockId", f.stockId(), "a part taken off the shelf for this job");
        }
        return List.of();
    }
}
