package ridgefall.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import ridgefall.core.fault.FaultTable.Cause;
import ridgefall.core.fault.FaultTable.Check;
import ridgefall.core.fault.FaultTable.Complaint;
import ridgefall.core.fault.FaultTable.Kind;
import ridgefall.core.units.NotAllowed;

class FaultFinderTest {
    /** The handbook's four causes and its checks. */
    private static final List<Cause> CAUSES = List.of(
            new Cause("plug", "plug", Nature.PLUG, 0.50),
            new Cause("front", "front", Nature.PART, 0.15),
            new Cause("board", "board", Nature.BOARD, 0.10),
            new Cause("flex", "flex", Nature.FLEX, 0.25));

    private static final Check RESEAT =
            new Check("reseat", "Reseat", Kind.MEND, false, 3, null, null, chances(0.10, 0.95, 0.95, 0.95));
    private static final Check FLEX =
            new Check("flex", "Flex", Kind.LOOK, false, 2, "Sound", "Torn", chances(0.05, 0.05, 0.05, 0.85));
    private static final Check SWAP =
            new Check("swap", "Swap", Kind.SWAP, false, 15, null, null, chances(0.95, 0.05, 0.95, 0.10));
    private static final Check WIPE =
            new Check("wipe", "Wipe", Kind.MEND, true, 1, null, null, chances(0.90, 0.95, 0.95, 0.95));
    private static final List<Check> ALL = List.of(RESEAT, FLEX, SWAP);

    private static final Belief PRIOR = Belief.before(CAUSES, Map.of());
    private static final Belief DARK = PRIOR.given(chances(0.8, 0.7, 0.6, 0.5));

    private static Map<String, Double> chances(double plug, double front, double board, double flex) {
        return Map.of("plug", plug, "front", front, "board", board, "flex", flex);
    }

    private static void is(Belief belief, double plug, double front, double board, double flex) {
        assertThat(belief.of().get("plug")).isCloseTo(plug, within(1e-12));
        assertThat(belief.of().get("front")).isCloseTo(front, within(1e-12));
        assertThat(belief.of().get("board")).isCloseTo(board, within(1e-12));
        assertThat(belief.of().get("flex")).isCloseTo(flex, within(1e-12));
    }

    /** The case of the handbook, by fractions: 0.40, 0.105, 0.06, 0.125 of 0.69. */
    @Test
    void aDarkScreenOnALiveDeviceIsMostLikelyAPlug() {
        is(DARK, 40 / 69.0, 7 / 46.0, 2 / 23.0, 25 / 138.0);
    }

    @Test
    void reseatingThatChangedNothingTurnsItOver() {
        is(DARK.given(RESEAT.badIf()), 80 / 631.0, 399 / 1262.0, 114 / 631.0, 475 / 1262.0);
    }

    /** The table counts for twelve cases: with eight closed ones that were boards it is (6, 1.8, 1.2 + 8, 3) of 20. */
    @Test
    void closedCasesMoveTheTable() {
        is(Belief.before(CAUSES, Map.of("board", 8.0)), 0.30, 0.09, 0.46, 0.15);
    }

    /** The handbook's bits: 0.4440 in 2 minutes against 0.6205 in 3, so greed for them would look at the flex first. */
    @Test
    void whatAlsoCuresComesBeforeWhatOnlyTells() {
        assertThat(bits(PRIOR, FLEX)).isCloseTo(0.4440, within(1e-4));
        assertThat(bits(PRIOR, RESEAT)).isCloseTo(0.6205, within(1e-4));
        assertThat(bits(PRIOR, FLEX) / FLEX.minutes()).isGreaterThan(bits(PRIOR, RESEAT) / RESEAT.minutes());
        assertThat(new FaultFinder(ALL, 0).next(DARK)).contains(RESEAT);
        assertThat(new FaultFinder(ALL, 0).next(PRIOR)).contains(RESEAT);
    }

    /** Another way to reckon: the same chances played through branch by branch, every order to its end. */
    @Test
    void theMinutesAreThoseOfTheBestOfAllOrders() {
        for (Belief belief : List.of(PRIOR, DARK, DARK.given(RESEAT.badIf()))) {
            for (double opening : new double[] {0, 35}) {
                List<Check> checks = List.of(RESEAT, FLEX, SWAP, WIPE);
                Map<String, Double> minutes = new FaultFinder(checks, opening).minutes(belief);
                for (Check first : checks) {
                    assertThat(minutes.get(first.id()))
                            .as(first.id())
                            .isCloseTo(playedFirst(first, belief.of(), checks, opening), within(0.02));
                }
            }
        }
    }

    private static double played(Map<String, Double> weights, List<Check> left, double opening) {
        double best = 60 * weights.values().stream().mapToDouble(w -> w).sum();
        for (Check check : left) {
            best = Math.min(best, playedFirst(check, weights, left, opening));
        }
        return best;
    }

    /** Weights are not normalised: what is cured simply falls out. */
    private static double playedFirst(Check check, Map<String, Double> weights, List<Check> left, double opening) {
        List<Check> rest = left.stream().filter(other -> other != check).toList();
        double alive = weights.values().stream().mapToDouble(w -> w).sum();
        Map<String, Double> bad = new HashMap<>();
        Map<String, Double> good = new HashMap<>();
        weights.forEach((cause, weight) -> {
            bad.put(cause, weight * check.badIf().get(cause));
            good.put(cause, weight * (1 - check.badIf().get(cause)));
        });
        double then = check.closed() ? opening : 0;
        return alive * (check.minutes() + opening - then)
                + played(bad, rest, then)
                + (check.kind() == Kind.LOOK ? played(good, rest, then) : 0);
    }

    /** A board is what is left: mending what it is not takes longer than to say so. */
    @Test
    void whatCostsMoreThanItSavesIsNotProposed() {
        Belief board = PRIOR.given(chances(0.01, 0.01, 0.99, 0.01));
        assertThat(new FaultFinder(List.of(SWAP), 0).next(board)).isEmpty();
        assertThat(new FaultFinder(ALL, 0).next(PRIOR)).isPresent();
    }

    @Test
    void aSealedDeviceIsTriedClosedFirst() {
        assertThat(new FaultFinder(List.of(RESEAT, SWAP, WIPE), 0).next(DARK)).contains(RESEAT);
        assertThat(new FaultFinder(List.of(RESEAT, SWAP, WIPE), 35).next(DARK)).contains(WIPE);
    }

    @Test
    void aTableThatLeavesACauseOutOrIsTooSureIsRefusedByName() {
        assertThat(refused(() -> new Complaint(
                        "x",
                        "x",
                        List.of(),
                        CAUSES,
                        List.of(new Check("reseat", "Reseat", Kind.MEND, false, 3, null, null, Map.of("plug", 0.1))))))
                .contains("checks.badIf", "flex");
        assertThat(refused(() -> new Check("a", "A", Kind.MEND, false, 3, null, null, chances(0, 0.9, 0.9, 0.9))))
                .contains("checks.badIf", "0.01");
        assertThat(refused(() -> new Cause("a", "A", Nature.PLUG, -1))).contains("causes.weight");
        assertThat(refused(() -> new Check("a", "A", Kind.LOOK, false, 3, "Sound", null, chances(0.5, 0.5, 0.5, 0.5))))
                .contains("checks.bad");
        assertThat(refused(() -> new FaultTable(
                        List.of(
                                new Complaint("x", "x", List.of(), CAUSES, ALL),
                                new Complaint("x", "y", List.of(), CAUSES, ALL)),
                        List.of())))
                .contains("complaints.id", "each once");
    }

    private static String refused(Runnable made) {
        try {
            made.run();
        } catch (NotAllowed e) {
            return e.getMessage();
        }
        throw new AssertionError("taken");
    }

    /** Every check of the shipped table can say something, and whatever mends has a cause that it mends. */
    @Test
    void everyShippedCheckIsWorthItsPlace() {
        List<String> idle = new ArrayList<>();
        for (Complaint complaint : UsualFaults.TABLE.complaints()) {
            for (Check check : complaint.checks()) {
                double least = check.badIf().values().stream()
                        .mapToDouble(c -> c)
                        .min()
                        .orElseThrow();
                double most = check.badIf().values().stream()
                        .mapToDouble(c -> c)
                        .max()
                        .orElseThrow();
                if (most - least < 0.3) {
                    idle.add(complaint.id() + "." + check.id());
                }
            }
            for (Cause cause : complaint.causes()) {
                boolean mended = complaint.checks().stream()
                        .anyMatch(check -> check.mends() && check.badIf().get(cause.id()) < 0.5);
                if (!mended && cause.nature() != Nature.BOARD) {
                    idle.add(complaint.id() + ": nothing mends " + cause.id());
                }
            }
        }
        assertThat(idle).isEmpty();
    }

    private static double bits(Belief belief, Check check) {
        double bad = belief.chance(check.badIf());
        double left = bad * entropy(belief.given(check.badIf())) + (1 - bad) * entropy(belief.given(check.goodIf()));
        return entropy(belief) - left;
    }

    private static double entropy(Belief belief) {
        return belief.of().values().stream()
                .mapToDouble(p -> p == 0 ? 0 : -p * Math.log(p) / Math.log(2))
                .sum();
    }
}
