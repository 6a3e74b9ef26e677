package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.test.TouchFinding.Weight;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;

/**
 * Diagonals drawn by hands that shake more than the panel waves, over lines that lose answers: 60, 120 and 240 a second, up to one in five
 * lost, tremor of 7 to 12 Hz whose pace and force wander as a hand's do.
 */
class WaveUnderTremorTest {
    private static final int TRACES = 200;
    private static final int[] HERTZ = {60, 120, 240};
    private static final Screen[] SCREENS = {
        new Screen(1668, 2388, 10.39), new Screen(1200, 1920, 8.9), new Screen(820, 1180, 6.6)
    };

    /** @param shakesMm to either side, in the mean */
    private record Drawn(Random random, Screen screen, int hertz, double lost, double waveMm, double shakesMm) {
        static Drawn of(int seed, double fromMm, double toMm, double shakesFromMm, double shakesToMm) {
            Random random = new Random(977L * seed + 5);
            return new Drawn(
                    random,
                    SCREENS[random.nextInt(SCREENS.length)],
                    HERTZ[random.nextInt(HERTZ.length)],
                    0.2 * random.nextDouble(),
                    fromMm + (toMm - fromMm) * random.nextDouble(),
                    shakesFromMm + (shakesToMm - shakesFromMm) * random.nextDouble());
        }

        private double between(double low, double high) {
            return low + (high - low) * random.nextDouble();
        }

        List<TouchFinding> judged() {
            double slow = between(25, 60);
            double periodMm = between(3, 12);
            return TouchProof.judge(Map.of(
                    Task.LINES_SLOW, lines(slow, periodMm),
                    Task.LINES_FAST, lines(slow * between(1.7, 2.5), periodMm)));
        }

        private TouchTrace lines(double mmPerS, double periodMm) {
            List<Sample> all = new ArrayList<>();
            line(all, mmPerS, periodMm, 1);
            line(all, mmPerS, periodMm, -1);
            return new TouchTrace(screen, all);
        }

        private void line(List<Sample> all, double mmPerS, double periodMm, int down) {
            double widthMm = screen.mm(screen.widthPx()) - 30;
            double heightMm = screen.mm(screen.heightPx()) - 30;
            double lengthMm = Math.hypot(widthMm, heightMm);
            double paceHz = between(7, 12);
            double turned = between(0, 2 * Math.PI);
            double force = 1;
            double phase = between(0, 2 * Math.PI);
            double bentMm = between(-2, 2);
            double grainMm = between(0.02, 0.06);
            double startMs = all.isEmpty() ? 0 : all.get(all.size() - 1).ms() + 500;
            for (double t = 0; t * mmPerS <= lengthMm; t += 1.0 / hertz) {
                // A hand's pace wanders by a tenth within a second, its force by a third.
                turned += 2 * Math.PI * paceHz * (1 + 0.1 * random.nextGaussian() / Math.sqrt(hertz)) / hertz;
                force += (1 - force) / hertz + 0.3 * random.nextGaussian() / Math.sqrt(hertz);
                double s = t * mmPerS;
                double share = s / lengthMm;
                double aside = 4 * bentMm * share * (1 - share)
                        + waveMm * Math.sin(2 * Math.PI * s / periodMm + phase)
                        + shakesMm * force * Math.sin(turned)
                        + grainMm * random.nextGaussian();
                if (random.nextDouble() >= lost) {
                    double x = 15 + s * widthMm / lengthMm - down * aside * heightMm / lengthMm;
                    double y = 15 + s * heightMm / lengthMm + down * aside * widthMm / lengthMm;
                    all.add(new Sample(
                            startMs + 1000 * t,
                            x * screen.pxPerMm(),
                            down > 0 ? y * screen.pxPerMm() : screen.heightPx() - y * screen.pxPerMm(),
                            down > 0 ? 1 : 2));
                }
            }
        }
    }

    private static List<List<TouchFinding>> judged(double fromMm, double toMm, double shakesFrom, double shakesTo) {
        return IntStream.range(0, TRACES)
                .mapToObj(seed ->
                        Drawn.of(seed, fromMm, toMm, shakesFrom, shakesTo).judged())
                .toList();
    }

    private static long any(List<List<TouchFinding>> all, Weight weight) {
        return all.stream()
                .filter(found -> found.stream().anyMatch(it -> it.weight() == weight))
                .count();
    }

    @Test
    void noPanelThatWavesPassesAsTheHand() {
        List<List<TouchFinding>> all = judged(0.25, 0.5, 0.3, 0.6);
        assertThat(IntStream.range(0, TRACES)
                        .filter(seed -> all.get(seed).stream().allMatch(it -> it.weight() == Weight.ASIDE)))
                .as("seeds of those that pass")
                .isEmpty();
    }

    @Test
    void aPanelThatIsWellIsHardlyEverCalledBadNorAskedAgainWhoeverDraws() {
        for (double[] shakes : new double[][] {{0, 0}, {0.3, 0.6}}) {
            List<List<TouchFinding>> all = judged(0, 0, shakes[0], shakes[1]);
            assertThat(any(all, Weight.BAD)).as("called bad").isLessThanOrEqualTo(TRACES * 3 / 100);
            assertThat(any(all, Weight.DOUBTFUL)).as("asked again").isLessThanOrEqualTo(TRACES / 10);
        }
    }
}
