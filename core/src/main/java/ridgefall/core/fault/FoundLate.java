package ridgefall.core.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import ridgefall.core.fault.FaultTable.Check;
import ridgefall.core.fault.FaultTable.Complaint;
import ridgefall.core.job.Checks;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.Seating;
import ridgefall.core.profile.Symptom;

/**
 * What it costs to find a failing function only once the device is closed. How likely it fails is the usual of such repairs, moved by
 * what this job's history says (Bayes, against how often the same is seen where nothing is wrong); what it costs is the opening,
 * where nothing that is done from outside mends it.
 *
 * @param chance that it fails now, 0–1
 * @param opens how likely it is opened for that, 0–1, where it fails
 * @param reach what it takes then to come to what is mended
 * @param because what makes it likelier here than elsewhere
 */
public record FoundLate(Function function, double chance, double opens, Reach reach, List<String> because) {
    /** How often each fails at its first test, front loose; common practice, not measured. By complaint. */
    private static final Map<String, Double> USUAL = Map.ofEntries(
            Map.entry("picture", 0.05),
            Map.entry("touch", 0.05),
            Map.entry("stylus", 0.06),
            Map.entry("key", 0.04),
            Map.entry("pay", 0.04),
            Map.entry("sensor", 0.03),
            Map.entry("charge", 0.02),
            Map.entry("sound", 0.02),
            Map.entry("camera", 0.02),
            Map.entry("reception", 0.02),
            Map.entry("card", 0.01));

    private static final double ELSE = 0.02;

    /** How often each is seen in a job where nothing is wrong. What says nothing of the way to this test is not here. */
    private static final Map<Sign, Double> NOTHING_WRONG = new EnumMap<>(Map.ofEntries(
            Map.entry(Sign.WORKED_BEFORE, 0.93),
            Map.entry(Sign.FAILED_BEFORE, 0.07),
            Map.entry(Sign.FLEX_IN_DANGER, 0.06),
            Map.entry(Sign.HOT_SPOT, 0.03),
            Map.entry(Sign.SOLVENT, 0.04),
            Map.entry(Sign.SCREW_LOST, 0.03),
            Map.entry(Sign.STIFF_PLUG, 0.05),
            Map.entry(Sign.EARLIER_REPAIR, 0.22),
            Map.entry(Sign.PLAIN_COPY, 0.22),
            Map.entry(Sign.SECOND_PART, 0.04),
            Map.entry(Sign.PLUG_OFF, 0.55),
            Map.entry(Sign.PLUG_UNTOUCHED, 0.45),
            Map.entry(Sign.DATA_PROVEN, 0.85),
            Map.entry(Sign.DATA_NOT_PROVEN, 0.15)));

    /** Less makes nothing likelier that a hand would notice. */
    private static final double LIKELIER = 1.25;

    /** Minutes that not testing it now costs in the mean. */
    public double minutes() {
        return chance * opens * reach.minutes();
    }

    static FoundLate of(DeviceProfile profile, JobState state, Function function, FaultTable table) {
        Complaint complaint = table.about(function.id());
        Belief belief = Belief.before(complaint.causes(), Map.of());
        double odds = odds(USUAL.getOrDefault(complaint.id(), ELSE));
        List<String> because = new ArrayList<>();
        for (Sign sign : Signs.of(profile, state, function, Phase.OPEN)) {
            Map<String, Double> seenIf = FaultCase.seenIf(table, complaint, sign);
            if (NOTHING_WRONG.containsKey(sign)
                    && seenIf.size() == complaint.causes().size()) {
                double likelier = belief.chance(seenIf) / NOTHING_WRONG.get(sign);
                odds *= likelier;
                belief = belief.given(seenIf);
                if (likelier > LIKELIER) {
                    because.add(sign.words());
                }
            }
        }
        return new FoundLate(
                function,
                odds / (1 + odds),
                belief.chance(notFromOutside(complaint)),
                Reach.of(profile, state, function, Phase.AFTER),
                List.copyOf(because));
    }

    private static double odds(double chance) {
        return chance / (1 - chance);
    }

    /** By cause, how likely nothing that can be done on a sealed device mends it. */
    private static Map<String, Double> notFromOutside(Complaint complaint) {
        List<Check> outside = complaint.checks().stream()
                .filter(check -> check.closed() && check.mends())
                .toList();
        return complaint.causes().stream()
                .collect(Collectors.toMap(
                        FaultTable.Cause::id,
                        cause -> outside.stream()
                                .mapToDouble(check -> check.badIf().get(cause.id()))
                                .reduce(1, (a, b) -> a * b)));
    }

    /** All that can be tried with the front loose, what costs most found late first; a picture first of all: the rest is seen on it. */
    public static List<FoundLate> plan(DeviceProfile profile, JobState state, FaultTable table) {
        return profile.functions().stream()
                .filter(function -> function.testableWhen().contains(Seating.OPEN))
                .map(function -> of(profile, state, function, table))
                .sorted(Comparator.comparing((FoundLate one) -> one.function().failsAs() != Symptom.DEAD_PICTURE)
                        .thenComparing(Comparator.comparing(FoundLate::minutes).reversed()))
                .toList();
    }

    /** The tests among a station's steps, in that order; what else there is stays where it is. */
    public static List<Step> inOrder(List<Step> steps, DeviceProfile profile, JobState state, FaultTable table) {
        Map<String, Step> byId = steps.stream().collect(Collectors.toMap(Step::id, step -> step, (a, b) -> a));
        List<Step> tests = plan(profile, state, table).stream()
                .map(one -> byId.get(
                        Checks.functionStepId(Phase.OPEN, one.function().id())))
                .filter(step -> step != null)
                .toList();
        Set<String> ids = tests.stream().map(Step::id).collect(Collectors.toSet());
        Iterator<Step> next = tests.iterator();
        return steps.stream()
                .map(step -> ids.contains(step.id()) ? next.next() : step)
                .toList();
    }
}
