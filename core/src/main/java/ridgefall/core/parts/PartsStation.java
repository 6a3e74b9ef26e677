package ridgefall.core.parts;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.decide.DecideState;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.intake.IntakeState;
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
import ridgefall.core.job.Step.Choice;
import ridgefall.core.parts.PartsFact.Bad;
import ridgefall.core.parts.PartsFact.PartOrdered;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.Shelf.Lying;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.Repair;
import ridgefall.core.units.NotAllowed;

/** The part against what the agreed repair needs, before anything is opened. */
public final class PartsStation implements StationRoom {
    private static final String HERE = "parts.here";
    private static final String ARRIVAL = "parts.arrival";
    /** The check of a later station that says the new front hangs on its plugs. */
    private static final Set<PartKind> SHOWS = EnumSet.of(PartKind.PANEL, PartKind.FUSED_FRONT, PartKind.CLIPPED_FRONT);

    private static final Set<PartKind> FEELS =
            EnumSet.of(PartKind.GLASS_WITH_TOUCH, PartKind.FUSED_FRONT, PartKind.CLIPPED_FRONT);

    private final Supplier<Shelf> shelf;

    /** @param shelf asked only while a part is yet to be found */
    public PartsStation(Supplier<Shelf> shelf) {
        this.shelf = shelf;
    }

    @Override
    public Station station() {
        return Station.PARTS;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        Optional<Repair> repair = repair(profile, state);
        List<PartKind> kinds = repair.map(Repair::parts).orElse(List.of());
        List<Step> steps = new ArrayList<>();
        // Journals from before each part had a step of its own know one for all.
        if (kinds.isEmpty() || kinds.size() > 1 && state.passed(HERE)) {
            steps.add(onTheBench(profile, state, HERE, Optional.empty()));
        } else {
            kinds.forEach(kind -> steps.add(onTheBench(profile, state, here(kind, kinds), Optional.of(kind))));
        }
        agreed(state, kinds).ifPresent(steps::add);
        PartKind first = kinds.isEmpty() ? null : kinds.get(0);
        steps.add(Checks.check(
                        state,
                        "parts.variant",
                        "The exact variant",
                        profile.name() + ": plug count, camera hole and antennas as on the old front",
                        "Same variant")
                .leadingOn(swaps(state, first, Bad.WRONG_VARIANT)));
        steps.add(Checks.check(
                        state,
                        "parts.laid-beside",
                        "Old and new laid side by side",
                        "windows, clips, rails, shields and magnets agree; thickness too, or it sits proud",
                        "They agree")
                .leadingOn(swaps(state, first, Bad.WRONG_VARIANT)));
        repair.ifPresent(r -> r.needs().forEach(need -> steps.add(need(state, need))));
        steps.addAll(arrivals(state, kinds));
        return steps;
    }

    private static Optional<Repair> repair(DeviceProfile profile, JobState state) {
        return DecideState.of(state).repair().map(agreed -> profile.repair(agreed.repairId()));
    }

    private static String here(PartKind kind, List<PartKind> all) {
        return all.size() == 1 ? HERE : HERE + "-" + slug(kind);
    }

    private Step onTheBench(DeviceProfile profile, JobState state, String id, Optional<PartKind> kind) {
        Step step = Step.open(
                id,
                Station.PARTS,
                kind.map(k -> "The part: " + k.words()).orElse("The part"),
                "taken off the shelf, or bought for this job",
                Step.go("It lies here", new CheckAnswered(id, Answer.PASS, null)),
                order(state, id, "Must be ordered", Optional.empty()));
        List<PartReserved> taken = PartsState.of(state).parts().stream()
                .filter(part -> kind.isEmpty() || part.kind() == kind.get())
                .toList();
        if (!taken.isEmpty()) {
            return step.answered(taken.stream().map(PartReserved::words).collect(Collectors.joining("; ")));
        }
        Step found = awaited(state, step, "it lies here");
        Optional<Lying> lying = found.open() && !found.problem() ? lying(profile, state, kind) : Optional.empty();
        return lying.map(there -> found.hinted(there.words())
                        .choosing(
                                Step.go("It lies here: take it", PartReserved.of(there.piece())),
                                Step.other("Bought for this job", new CheckAnswered(id, Answer.PASS, null)),
                                order(state, id, "Must be ordered", lying)))
                .orElse(found);
    }

    /** A free piece of what was agreed; of a kind that was agreed without a grade only where there is but one. */
    private Optional<Lying> lying(DeviceProfile profile, JobState state, Optional<PartKind> kind) {
        Optional<RepairAgreed> agreed = DecideState.of(state).repair();
        if (kind.isEmpty() || agreed.isEmpty()) {
            return Optional.empty();
        }
        Grade grade = agreed.get().grade();
        List<Lying> fitting = shelf.get().lying(profile).stream()
                .filter(there -> there.piece().kind() == kind.get())
                .filter(there -> grade == null || there.piece().grade() == grade)
                .toList();
        return grade == null && fitting.size() > 1
                ? Optional.empty()
                : fitting.stream().findFirst();
    }

    /** As it stands with something that may have been ordered. */
    private static Step awaited(JobState state, Step step, String done) {
        PartsState parts = PartsState.of(state);
        PartOrdered order = parts.ordered().get(step.id());
        if (order != null) {
            return step.problem("ordered: " + order.where())
                    .leading(Step.Lead.HAS_COME)
                    .choosing(
                            Step.go("It has come", new PartsFact.PartArrived(step.id())),
                            order(state, step.id(), "Ordered anew", Optional.empty()));
        } else if (parts.arrived().contains(step.id())) {
            return step.answered("has come");
        }
        // Before orders were facts of their own they were told as an answer.
        return state.check(step.id())
                .map(given -> given.answer() == Answer.PASS
                        ? step.answered(done)
                        : step.problem("ordered: " + given.reason()).leading(Step.Lead.HAS_COME))
                .orElse(step);
    }

    /** Its price can be told once it is known what the shop reckons in. */
    private static Choice order(JobState state, String stepId, String label, Optional<Lying> instead) {
        String currency =
                DecideState.of(state).repair().map(RepairAgreed::currency).orElse(null);
        List<Ask> asks = new ArrayList<>();
        instead.ifPresent(there -> asks.add(
                new Ask("why", "Why not the one on the shelf, " + there.piece().words(), Ask.Kind.TEXT, null, null)));
        asks.add(new Ask("supplier", "Ordered from", Ask.Kind.TEXT, null, null));
        asks.add(Ask.ifKnown("due", "Due on", Ask.Kind.DATE, null));
        if (currency != null) {
            asks.add(Ask.ifKnown("price", "Price, " + currency, Ask.Kind.NUMBER, null));
        }
        return Step.fail(label, new PartOrdered(stepId, "?", null, null, currency), asks.toArray(Ask[]::new));
    }

    /** What lies there against what was agreed; only where the two differ. */
    private static Optional<Step> agreed(JobState state, List<PartKind> kinds) {
        RepairAgreed agreed = DecideState.of(state).repair().orElse(null);
        if (agreed == null || agreed.grade() == null) {
            return Optional.empty();
        }
        return PartsState.of(state).parts().stream()
                .filter(part -> part.kind() == kinds.get(0) && part.grade() != agreed.grade())
                .findFirst()
                .map(part -> differs(state, agreed, part));
    }

    private static Step differs(JobState state, RepairAgreed agreed, PartReserved part) {
        Step step = Step.open(
                "parts.agreed",
                Station.PARTS,
                "Another grade than agreed",
                "the owner hears of it before anything is opened",
                Step.other(
                        "Owner agrees after all",
                        new PartsFact.DifferenceAgreed(part.grade(), "?"),
                        DecideStation.agreedBy(state)),
                DecideStation.quoteAnew(state, Optional.of(part.grade())).orElseThrow(),
                Step.other("Put it back", new PartsFact.PartReturned(part.stockId())));
        return PartsState.of(state)
                        .agreedAfterAll()
                        .filter(part.grade()::equals)
                        .isPresent()
                ? step.answered(part.grade().words() + ", agreed after all")
                : step.problem("agreed: " + agreed.grade().words() + "; taken: "
                                + part.grade().words())
                        .leading(Step.Lead.SETTLE);
    }

    private static Choice[] swaps(JobState state, PartKind kind, Bad why) {
        return kind == null ? new Choice[0] : new Choice[] {swap(state, kind, why)};
    }

    /** A part that is no good goes to the returns; the piece of the shelf it was, where it was one. */
    public static Choice swap(JobState state, PartKind kind, Bad why) {
        UUID stockId = PartsState.of(state).parts().stream()
                .filter(part -> part.kind() == kind)
                .map(PartReserved::stockId)
                .findFirst()
                .orElse(null);
        return Step.fail(
                "Swap it: to the returns",
                new PartsFact.PartSwapped(kind, stockId, why, null, state.passed(Checks.PLUGGED_IN)),
                Ask.ifKnown("words", "What is wrong with it?", Ask.Kind.TEXT, null));
    }

    /**
     * What can be tried before it is needed depends on what it is; each part of a repair is tried by itself. Whoever began
     * before the others were asked for is not asked any more.
     */
    private static List<Step> arrivals(JobState state, List<PartKind> kinds) {
        if (kinds.isEmpty()) {
            return List.of(tested(state, ARRIVAL, "picture and touch"));
        }
        List<Step> steps = new ArrayList<>();
        for (PartKind kind : kinds) {
            boolean first = kind == kinds.get(0);
            Step step = arrival(state, first ? ARRIVAL : ARRIVAL + "-" + slug(kind), kind)
                    .leadingOn(swap(state, kind, Bad.DEAD_ON_ARRIVAL));
            boolean late = !first
                    && step.open()
                    && !step.problem()
                    && IntakeState.of(state).begun();
            if (!late && (first || SHOWS.contains(kind) || FEELS.contains(kind))) {
                steps.add(step);
            }
        }
        return steps;
    }

    private static Step arrival(JobState state, String id, PartKind kind) {
        boolean picture = SHOWS.contains(kind);
        boolean touch = FEELS.contains(kind);
        return picture || touch
                ? tested(state, id, picture && touch ? "picture and touch" : picture ? "picture" : "touch")
                : Checks.check(
                        state, id, "Looked over on arrival", "edges, windows and films, against the light", "Sound");
    }

    private static Step tested(JobState state, String id, String what) {
        return Checks.check(state, id, "Tested on arrival", what + ", before it is needed", "Works");
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
                order(state, id, "Must be ordered", Optional.empty()));
        if (PartsState.of(state).brought(need)) {
            return Step.open(id, Station.PARTS, "Brings " + need.words(), null).answered("in the part");
        }
        return awaited(state, step, "provided for");
    }

    private static String checkId(Brings need) {
        return "parts." + slug(need);
    }

    private static String slug(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        PartsState parts = PartsState.of(state);
        List<String> ids = steps(profile, state).stream().map(Step::id).toList();
        if (fact instanceof CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    Stream.concat(ids.stream(), Stream.of(HERE)).distinct().toList());
        } else if (fact instanceof PartsFact.PartReturned f) {
            reserved(parts, f.stockId());
        } else if (fact instanceof PartOrdered f) {
            Checks.known("stepId", f.stepId(), ids);
            notInstead(f, profile, state);
        } else if (fact instanceof PartsFact.PartArrived f) {
            Checks.known("stepId", f.stepId(), List.copyOf(parts.ordered().keySet()));
        } else if (fact instanceof PartsFact.PartSwapped f) {
            if (f.stockId() != null) {
                reserved(parts, f.stockId());
            }
            if (f.pluggedIn() != state.passed(Checks.PLUGGED_IN)) {
                throw new NotAllowed("pluggedIn", f.pluggedIn(), Boolean.toString(state.passed(Checks.PLUGGED_IN)));
            }
        }
        return List.of();
    }

    /** Whoever orders what lies on the shelf says why. */
    private void notInstead(PartOrdered order, DeviceProfile profile, JobState state) {
        List<PartKind> kinds = repair(profile, state).map(Repair::parts).orElse(List.of());
        kinds.stream()
                .filter(kind -> here(kind, kinds).equals(order.stepId()))
                .filter(kind -> PartsState.of(state).parts().stream().noneMatch(part -> part.kind() == kind))
                .flatMap(kind -> lying(profile, state, Optional.of(kind)).stream())
                .filter(there -> !PartsState.of(state).ordered().containsKey(order.stepId()))
                .filter(there -> order.why() == null || order.why().isBlank())
                .findFirst()
                .ifPresent(there -> {
                    throw new NotAllowed(
                            "why",
                            order.why(),
                            "why not the one on the shelf, " + there.piece().words());
                });
    }

    private static void reserved(PartsState parts, UUID stockId) {
        if (parts.parts().stream().noneMatch(part -> part.stockId().equals(stockId))) {
            throw new NotAllowed("stockId", stockId, "a part taken off the shelf for this job");
        }
    }
}
