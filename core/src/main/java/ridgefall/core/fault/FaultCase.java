package ridgefall.core.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ridgefall.core.decide.DecideState;
import ridgefall.core.fault.FaultFact.FaultChecked;
import ridgefall.core.fault.FaultFact.Finding;
import ridgefall.core.fault.FaultTable.Cause;
import ridgefall.core.fault.FaultTable.Check;
import ridgefall.core.fault.FaultTable.Complaint;
import ridgefall.core.fault.FaultTable.Kind;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Checks;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.profile.Symptom;

/**
 * One function that fails, as far as it is known why.
 *
 * @param signs what the job's history says
 * @param tried what was done about it since, in order
 * @param left checks that were not done, the one to do next first; on a sealed device some ask for it to be opened
 * @param reach what it takes to come to the first that can't be done as it lies there
 */
public record FaultCase(
        Function function,
        Phase phase,
        Complaint complaint,
        Belief belief,
        List<Sign> signs,
        List<FaultChecked> tried,
        List<Expected> left,
        Reach reach) {
    /** @param minutes to the cure, as expected where this comes first */
    public record Expected(Check check, double minutes) {}

    static FaultCase of(DeviceProfile profile, JobState state, Function function, Phase phase, Faults faults) {
        Complaint complaint = faults.table().about(function.id());
        List<Sign> signs = Signs.of(profile, state, function, phase);
        List<FaultChecked> tried = FaultState.of(state).about(Checks.functionStepId(phase, function.id()));
        Belief belief = believed(faults, complaint, signs, tried);
        List<Check> all = complaint.checks().stream()
                .filter(check -> check.kind() != Kind.SWAP
                        || part(profile, state, function).isPresent())
                .filter(check ->
                        check.kind() != Kind.COPY || copied(profile, function).isPresent())
                .filter(check ->
                        tried.stream().noneMatch(one -> one.faultCheckId().equals(check.id())))
                .filter(check ->
                        !check.id().equals(UsualFaults.OLD) || Signs.passed(state, Phase.BEFORE, function.id()))
                .toList();
        Reach reach = reached(complaint, tried) ? Reach.AT_HAND : Reach.of(profile, state, function, phase);
        FaultFinder finder = new FaultFinder(all, reach.minutes());
        Map<String, Double> minutes = finder.minutes(belief);
        return new FaultCase(
                function,
                phase,
                complaint,
                belief,
                signs,
                tried,
                all.stream()
                        .map(check -> new Expected(check, minutes.get(check.id())))
                        .sorted(Comparator.comparing(Expected::minutes))
                        .toList(),
                reach);
    }

    /** Whether something was done that asked for the way to be cleared. */
    private static boolean reached(Complaint complaint, List<FaultChecked> tried) {
        return tried.stream()
                .filter(one -> one.finding() != Finding.LEFT)
                .map(one -> complaint.check(one.faultCheckId()))
                .anyMatch(check -> check != null && !check.closed());
    }

    private static Belief believed(Faults faults, Complaint complaint, List<Sign> signs, List<FaultChecked> tried) {
        Belief belief = Belief.before(complaint.causes(), faults.closed(complaint.id()));
        for (Sign sign : signs) {
            belief = belief.given(seenIf(faults.table(), complaint, sign));
        }
        for (FaultChecked one : tried) {
            Check check = complaint.check(one.faultCheckId());
            if (check != null) {
                belief = switch (one.finding()) {
                    // What was done and did not help: it fails again since.
                    case DONE, BAD -> belief.given(check.badIf());
                    case SOUND -> belief.given(check.goodIf());
                    case LEFT -> belief;
                };
            }
        }
        return belief;
    }

    /** By cause. */
    static Map<String, Double> seenIf(FaultTable table, Complaint complaint, Sign sign) {
        Map<Nature, Double> byNature = table.seenIf(sign);
        Map<String, Double> seen = new HashMap<>();
        for (Cause cause : complaint.causes()) {
            Optional.ofNullable(byNature.get(cause.nature())).ifPresent(chance -> seen.put(cause.id(), chance));
        }
        return seen;
    }

    /**
     * How likely each cause was, by complaint and cause, of every case of a job that came to work again here; each case sums to 1.
     */
    public static Map<String, Map<String, Double>> closed(DeviceProfile profile, JobState state, FaultTable table) {
        Map<String, Map<String, Double>> counts = new HashMap<>();
        for (FaultState.Closed closed : FaultState.of(state).closed()) {
            Complaint complaint = table.about(closed.functionId());
            Check cure = complaint.check(closed.curedBy());
            Optional<Function> function = profile.function(closed.functionId());
            // What was closed elsewhere counts there, and may be a copy of what counts here.
            boolean here = IntakeState.of(state).here(closed.at());
            if (cure != null && function.isPresent() && here) {
                Faults unlearned = new Faults(table, Map.of());
                believed(
                                unlearned,
                                complaint,
                                Signs.of(profile, state, function.get(), closed.phase()),
                                closed.before())
                        .given(cure.goodIf())
                        .of()
                        .forEach((cause, share) -> counts.computeIfAbsent(complaint.id(), any -> new HashMap<>())
                                .merge(cause, share, Double::sum));
            }
        }
        return counts;
    }

    /** Empty where all that is left takes more than it saves. */
    Optional<Check> next() {
        return left.stream()
                .findFirst()
                .filter(best -> best.minutes() < FaultFinder.GIVEN_UP_MINUTES)
                .map(Expected::check);
    }

    /** What it would be opened for, where nothing else is left. */
    Optional<Check> onceOpen() {
        return left.stream().map(Expected::check).filter(this::opens).findFirst();
    }

    /** The test that failed. */
    public String stepId() {
        return Checks.functionStepId(phase, function.id());
    }

    public boolean opens(Check check) {
        return phase != Phase.OPEN && !check.closed();
    }

    /** The new part that a function hangs on; empty where it is the device's own. */
    public static Optional<PartKind> part(DeviceProfile profile, JobState state, Function function) {
        if (function.failsAs() == null) {
            return Optional.empty();
        }
        List<PartKind> parts = DecideState.of(state)
                .repair()
                .map(agreed -> profile.repair(agreed.repairId()).parts())
                .orElse(List.of());
        return function.failsAs() == Symptom.DEAD_PICTURE && parts.contains(PartKind.PANEL)
                ? Optional.of(PartKind.PANEL)
                : parts.stream().findFirst();
    }

    static Optional<PairedPart> copied(DeviceProfile profile, Function function) {
        return profile.pairedParts().stream()
                .filter(part -> part.method() == PairingMethod.COPY_DATA
                        && function.id().equals(part.functionId()))
                .findFirst();
    }

    /** Why it is thought so, in words: the job's history first, then what was tried. */
    public List<String> because() {
        List<String> because = new ArrayList<>(signs.stream().map(Sign::words).toList());
        for (FaultChecked one : tried) {
            Check check = complaint.check(one.faultCheckId());
            if (check != null && one.finding() != Finding.LEFT) {
                because.add(check.words()
                        + switch (one.finding()) {
                            case SOUND -> ": " + check.good();
                            case BAD -> ": " + check.bad();
                            default -> ": did not help";
                        });
            }
        }
        return because;
    }
}
