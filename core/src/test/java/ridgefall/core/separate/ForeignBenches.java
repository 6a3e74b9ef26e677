package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.Bench;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.ForeignBench;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.Setup;
import ridgefall.core.units.Band;

/** Plans followed to the end on benches whose truth is another model's. */
final class ForeignBenches {
    /** How far hands differ, as a logarithm; and how far an adhesive is from its handbook. */
    private static final double HAND_SIGMA = 0.35;

    /** Longer is no opening. */
    private static final double LONGEST_S = 90 * 60;

    /** So much may be left for a thin blade. */
    private static final double COLD_SHARE = 0.15;

    private ForeignBenches() {}

    /**
     * What came of one.
     *
     * @param passed what got hotter than its stop
     * @param opened whether a hand came through in reasonable time
     */
    record Outcome(List<String> passed, boolean opened, double minutes) {}

    /** What came of many. */
    record Report(Opening opening, List<Outcome> outcomes) {
        long kept() {
            return outcomes.stream()
                    .filter(outcome -> outcome.passed().isEmpty())
                    .count();
        }

        long opened() {
            return outcomes.stream().filter(Outcome::opened).count();
        }

        Band minutes() {
            return Band.of(outcomes.stream().mapToDouble(Outcome::minutes).toArray());
        }

        List<String> passed() {
            List<String> all = new ArrayList<>();
            outcomes.forEach(outcome -> all.addAll(outcome.passed()));
            return all;
        }
    }

    static Report follow(HeatQuestion question, Opening opening, int benches, long seed) {
        List<Outcome> outcomes = IntStream.range(0, benches)
                .parallel()
                .mapToObj(n -> follow(question, opening, new Random(seed * 1_000 + n)))
                .toList();
        return new Report(opening, outcomes);
    }

    private static Outcome follow(HeatQuestion question, Opening opening, Random random) {
        HeatQuestion truth = question.by(question.handNPerMm() * Math.exp(HAND_SIGMA * random.nextGaussian()));
        CutPlanner.Round round = CutPlanner.round(truth, List.of());
        ForeignBench bench = ForeignBench.drawn(question, random);
        Reckoned along =
                new Reckoned(bench, BenchRun.firstLook(question, opening.heat().source()));
        BenchWarmth warmth =
                BenchWarmth.planned(along, round.turn(), round.cutting(), opening.means(), Double.POSITIVE_INFINITY);
        double soak = opening.stretches() ? 0 : opening.heat().soakSeconds();
        warmth.first(new Act(opening.heat().source(), opening.heat().setup(), soak));
        List<Cut> cuts = round.cut(warmth);
        double seconds = soak + cuts.stream().mapToDouble(Cut::allSeconds).sum();
        double coldMm = cuts.stream().mapToDouble(Cut::coldMm).sum();
        boolean opened =
                seconds <= LONGEST_S && coldMm <= COLD_SHARE * round.turn().lengthMm();
        return new Outcome(bench.passed(), opened, seconds / 60);
    }

    /**
     * What the hand has: it feels the bond and reads the glass of the bench that is; of the battery it knows what the product
     * reckons meanwhile, on the likeliest bench that the same is done to.
     */
    private record Reckoned(ForeignBench truth, BenchRun likeliest) implements Bench {
        @Override
        public double bondC(double positionMm) {
            return truth.bondC(positionMm);
        }

        @Override
        public double bondC(EdgeInterval where) {
            return truth.bondC(where);
        }

        @Override
        public void rest(double seconds) {
            truth.rest(seconds);
            likeliest.rest(seconds);
        }

        @Override
        public void through(List<Act> acts) {
            truth.through(acts);
            likeliest.through(acts);
        }

        @Override
        public AtSource on(HeatSource source, Setup setup) {
            AtSource there = truth.on(source, setup);
            AtSource here = likeliest.on(source, setup);
            return new AtSource() {
                @Override
                public void step() {
                    there.step();
                    here.step();
                }

                @Override
                public double seconds() {
                    return there.seconds();
                }

                @Override
                public double nextFaceOverK() {
                    return there.nextFaceOverK();
                }
            };
        }

        @Override
        public double batteryOverK() {
            return likeliest.batteryOverK();
        }

        @Override
        public boolean keptStops() {
            return truth.keptStops();
        }

        @Override
        public String nearestLimit() {
            return likeliest.nearestLimit();
        }
    }
}
