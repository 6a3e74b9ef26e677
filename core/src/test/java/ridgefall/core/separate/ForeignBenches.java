package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import ridgefall.core.heat.Bench;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.ForeignBench;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.units.Band;

/**
 * Plans followed to the end on benches whose truth is another model's. The hand is one that the product has learned from its picks:
 * what is planned is planned for it; all else is drawn and nobody knows it.
 */
final class ForeignBenches {
    /** How far hands differ, as a logarithm: of twenty one pushes less than 0.2 N/mm or more than 0.8. */
    private static final double HAND_SIGMA = 0.35;

    /** Longer is no opening. */
    private static final double LONGEST_S = 90 * 60;

    /** So much may be left for a thin blade. */
    private static final double COLD_SHARE = 0.15;

    /** How far solvent is from its handbook, as a logarithm. */
    private static final double CREEP_SIGMA = 0.3;

    private static final double CREEPS_S = 60 * SeparateFact.CREEPS_MINUTES;

    /** Laid along the edge no oftener than this; then it is put off to another day. */
    private static final int SOLVENT_ROUNDS = 3;

    private ForeignBenches() {}

    /**
     * What came of one source on one bench.
     *
     * @param refused by the plan itself, which says what else would do
     * @param passed what got hotter than its stop
     * @param opened whether a hand came through in reasonable time
     * @param wet whether that took solvent, where warmth alone did not do
     */
    record Outcome(
            HeatSource source,
            boolean refused,
            List<String> passed,
            boolean opened,
            boolean wet,
            double forecastMinutes,
            double minutes) {}

    /** What came of one source on many. */
    record Report(HeatSource source, List<Outcome> outcomes) {
        int percent(Predicate<Outcome> of) {
            return (int) (100 * outcomes.stream().filter(of).count() / outcomes.size());
        }

        boolean everTried() {
            return outcomes.stream().anyMatch(outcome -> !outcome.refused());
        }

        Band minutes(ToDoubleFunction<Outcome> of) {
            return Band.of(outcomes.stream()
                    .filter(outcome -> !outcome.refused())
                    .mapToDouble(of)
                    .toArray());
        }

        List<String> passed() {
            return outcomes.stream()
                    .flatMap(outcome -> outcome.passed().stream())
                    .toList();
        }
    }

    /** By source, in the order of the bench. */
    static Collection<Report> follow(HeatQuestion question, int benches, long seed) {
        Map<HeatSource, List<Outcome>> bySource = IntStream.range(0, benches)
                .mapToObj(n -> onBench(question, seed * 1_000 + n))
                .flatMap(List::stream)
                .collect(Collectors.groupingBy(Outcome::source, LinkedHashMap::new, Collectors.toList()));
        return bySource.entrySet().stream()
                .map(of -> new Report(of.getKey(), of.getValue()))
                .toList();
    }

    private static List<Outcome> onBench(HeatQuestion question, long seed) {
        // Seeds that follow one another give one another's first numbers; and a hand says nothing of the bench it is
        // at.
        SplittableRandom seeds = new SplittableRandom(seed);
        double hand = Math.exp(HAND_SIGMA * new Random(seeds.nextLong()).nextGaussian());
        long bench = seeds.nextLong();
        HeatQuestion learned = question.by(question.handNPerMm() * hand);
        List<Opening> openings = OpeningPlanner.ranked(
                learned, learned.planner(HeatPlanner.QUICK).ranked(learned.sources()));
        return openings.parallelStream()
                .map(opening -> opening.feasible()
                        ? followed(learned, opening, new Random(bench))
                        : new Outcome(opening.heat().source(), true, List.of(), false, false, 0, 0))
                .toList();
    }

    private static Outcome followed(HeatQuestion question, Opening opening, Random random) {
        CutPlanner.Round round = CutPlanner.rounds(question, List.of()).stream()
                .filter(one -> ids(one).equals(opening.cut().moves().stream()
                        .map(CutPlan.Move::stretchId)
                        .toList()))
                .findFirst()
                .orElseThrow();
        ForeignBench bench = ForeignBench.drawn(question, random);
        double creeps = Math.exp(CREEP_SIGMA * random.nextGaussian());
        HeatSource source = opening.heat().source();
        Bench along = new Followed(bench, BenchRun.forItsBattery(question, source));
        BenchWarmth warmth = BenchWarmth.planned(along, round.turn(), round.cutting(), opening.means(), LONGEST_S);
        double soak = opening.stretches() ? 0 : opening.heat().soakSeconds();
        warmth.first(new Act(source, opening.heat().setup(), soak));
        Went went = new Went(round, round.cut(warmth));
        double seconds = soak + went.seconds();
        boolean dry = went.leftMm() <= COLD_SHARE * round.turn().lengthMm();
        List<String> freed = new ArrayList<>(went.freed());
        for (int n = 0;
                n < SOLVENT_ROUNDS
                        && seconds < LONGEST_S
                        && went.leftMm() > COLD_SHARE * round.turn().lengthMm();
                n++) {
            went = wet(question, freed, along, creeps);
            seconds += went.seconds();
            freed.addAll(went.freed());
        }
        boolean opened = seconds <= LONGEST_S
                && went.leftMm() <= COLD_SHARE * round.turn().lengthMm();
        return new Outcome(source, false, bench.passed(), opened, opened && !dry, opening.seconds() / 60, seconds / 60);
    }

    private static List<String> ids(CutPlanner.Round round) {
        return round.ways().stream().map(way -> way.stretch().id()).toList();
    }

    /** One way along what is left: what came free, and what was too cold for it. */
    private record Went(CutPlanner.Round round, List<Cut> cuts, double beforeS) {
        Went(CutPlanner.Round round, List<Cut> cuts) {
            this(round, cuts, 0);
        }

        double seconds() {
            return beforeS + cuts.stream().mapToDouble(Cut::allSeconds).sum();
        }

        List<String> freed() {
            return IntStream.range(0, cuts.size())
                    .filter(i -> cuts.get(i).coldMm() == 0)
                    .mapToObj(i -> round.ways().get(i).stretch().id())
                    .toList();
        }

        double leftMm() {
            double cold = cuts.stream().mapToDouble(Cut::coldMm).sum();
            return cold
                    + round.ways().stream()
                            .skip(cuts.size())
                            .mapToDouble(way -> way.stretch().where().lengthMm())
                            .sum();
        }
    }

    /**
     * What the product says where its limits allow no more warmth: back on what the front lies on as far as they allow, off it,
     * solvent along the edge, and on once it has crept in.
     *
     * @param creeps how much of the handbook's share of the strength solvent takes here
     */
    private static Went wet(HeatQuestion question, List<String> freed, Bench along, double creeps) {
        HeatPlan face = OpeningPlanner.withSolvent(question).orElseThrow().heat();
        double left = question.profile()
                .factoryAdhesive()
                .strengthLeft(
                        SeparateFact.CREEPS_MINUTES, question.profile().heat().ledgeWidthMm());
        HeatQuestion stronger = question.by(question.handNPerMm() / (1 - Math.min(1, creeps * (1 - left))));
        CutPlanner.Round round = CutPlanner.round(stronger, freed);
        Means means = new Means(face.source(), face.setup(), 0.5, 4, 2);
        double before = CREEPS_S
                + round.again(BenchWarmth.planned(along, round.turn(), round.cutting(), means, LONGEST_S))
                        .map(Warming::withHandlingSeconds)
                        .orElse(0.0);
        along.rest(CREEPS_S);
        return new Went(round, round.cut(BenchWarmth.wet(along, round.turn(), round.cutting(), means)), before);
    }
}
