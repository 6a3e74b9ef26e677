package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.test.PlayedPanel.Fault;
import ridgefall.core.test.TouchFinding.DeadPatch;
import ridgefall.core.test.TouchFinding.Weight;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;
import ridgefall.core.test.TouchTrace.Stroke;

/** What traces say of a panel: the two of the reference, then hundreds that are played with a fault known beforehand. */
class TouchProofTest {
    private static final Screen SCREEN = new Screen(1668, 2388, 10.39);

    /** Of each kind; {@code ./ridgefall bench} plays more. */
    private static final int PANELS = Integer.getInteger("ridgefall.panels", 40);

    /** The first two strokes are the diagonals along a ruler, the others a sweep. */
    private static TouchTrace reference(String name) throws IOException {
        List<Sample> samples = new ArrayList<>();
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(TouchProofTest.class.getResourceAsStream("/" + name), StandardCharsets.UTF_8))) {
            in.lines()
                    .skip(1)
                    .map(line -> line.split(","))
                    .forEach(f -> samples.add(new Sample(
                            Double.parseDouble(f[0]),
                            Double.parseDouble(f[1]),
                            Double.parseDouble(f[2]),
                            Integer.parseInt(f[3]))));
        }
        return new TouchTrace(SCREEN, samples);
    }

    private static TouchTrace only(TouchTrace trace, int first, int last) {
        return new TouchTrace(
                trace.screen(),
                trace.samples().stream()
                        .filter(sample -> sample.contact() >= first && sample.contact() <= last)
                        .toList());
    }

    private static TouchLine line(TouchTrace trace, int nth) {
        Stroke stroke = trace.strokes().get(nth);
        return TouchLine.of(stroke, trace.screen());
    }

    @Test
    void theHealthyReferenceIsStraightWholeAndQuiet() throws IOException {
        TouchTrace trace = reference("touch_healthy.csv");
        assertThat(line(trace, 0).rmsMm()).isCloseTo(0.0386, within(0.00005));
        assertThat(line(trace, 1).rmsMm()).isCloseTo(0.0407, within(0.00005));
        assertThat(line(trace, 0).wave().amplitudeMm()).isLessThan(0.01);
        assertThat(line(trace, 1).wave().amplitudeMm()).isLessThan(0.01);
        assertThat(TouchGrid.of(trace, 100).silent()).isEmpty();
        assertThat(IntStream.range(0, 19).mapToObj(nth -> line(trace, nth)))
                .allSatisfy(line -> assertThat(line.breaks()).isEmpty());
        assertThat(TouchProof.judge(Map.of(Task.SWEEP, only(trace, 3, 19), Task.LINES_SLOW, only(trace, 1, 2))))
                .isEmpty();
    }

    /** Fingers down at 0, 20, 40 … ms; the first of them up again after so long. */
    private static TouchTrace fingers(int count, double upAfterMs, Screen screen) {
        List<Sample> samples = new ArrayList<>();
        for (int finger = 0; finger < count; finger++) {
            samples.add(new Sample(20 * finger, 100 + 60 * finger, 200, finger + 1));
        }
        for (int finger = 0; finger < count; finger++) {
            samples.add(new Sample(upAfterMs + 20 * finger, 100 + 60 * finger, 200, finger + 1));
        }
        return new TouchTrace(screen, samples);
    }

    @Test
    void fingersThatLieTogetherAreCountedWhereMostLie() {
        Screen watch = new Screen(368, 448, 11);
        assertThat(TouchProof.judge(Map.of(Task.FINGERS, fingers(5, 1000, SCREEN))))
                .isEmpty();
        assertThat(TouchProof.judge(Map.of(Task.FINGERS, fingers(2, 1000, watch))))
                .isEmpty();
        TouchFinding three =
                TouchProof.judge(Map.of(Task.FINGERS, fingers(3, 1000, SCREEN))).get(0);
        assertThat(three.weight()).isEqualTo(Weight.DOUBTFUL);
        assertThat(three.words()).startsWith("3 fingers at once: lay 5 down together");
        // One after the other: the first is up before the second comes down.
        TouchFinding one =
                TouchProof.judge(Map.of(Task.FINGERS, fingers(5, 5, SCREEN))).get(0);
        assertThat(one.weight()).isEqualTo(Weight.BAD);
        assertThat(one.words()).isEqualTo("one finger at a time only");
    }

    @Test
    void theWobblyReferenceWavesEveryFiveMillimetres() throws IOException {
        TouchTrace trace = reference("touch_wobbly.csv");
        assertThat(line(trace, 0).rmsMm()).isCloseTo(0.4272, within(0.00005));
        assertThat(line(trace, 1).rmsMm()).isCloseTo(0.4261, within(0.00005));
        assertThat(line(trace, 0).wave().periodMm()).isCloseTo(5.00, within(0.05));
        assertThat(line(trace, 0).wave().amplitudeMm()).isCloseTo(0.601, within(0.01));
        // Drawn at one speed it might be the hand: that is asked for.
        assertThat(TouchProof.judge(Map.of(Task.LINES_SLOW, only(trace, 1, 2))))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.weight()).isEqualTo(Weight.DOUBTFUL);
                    assertThat(finding.words()).endsWith("draw again, slowly and twice as fast");
                });
    }

    /** A layer may be well for a finger and wavy for a stylus that was told of the old front: each speaks for itself. */
    @Test
    void whatAStylusDrewIsJudgedApartFromTheTouch() {
        int named = 0;
        for (int seed = 0; seed < PANELS; seed++) {
            Map<Task, TouchTrace> well = new PlayedPanel(Fault.HEALTHY, seed).proof();
            Map<Task, TouchTrace> wavy = new PlayedPanel(Fault.WAVE, seed).proof();
            Map<Task, TouchTrace> both = new EnumMap<>(well);
            both.put(Task.PEN_SLOW, wavy.get(Task.LINES_SLOW));
            both.put(Task.PEN_FAST, wavy.get(Task.LINES_FAST));
            assertThat(TouchProof.judge(both)).noneMatch(finding -> finding.weight() == Weight.BAD);
            Looked.Stylus drawn = new Looked.Stylus(true, TouchProof.judgePen(both));
            named += drawn.works().equals(Optional.of(false)) ? 1 : 0;
            Map<Task, TouchTrace> straight =
                    Map.of(Task.PEN_SLOW, well.get(Task.LINES_SLOW), Task.PEN_FAST, well.get(Task.LINES_FAST));
            assertThat(new Looked.Stylus(true, TouchProof.judgePen(straight)).works())
                    .isNotEqualTo(Optional.of(false));
        }
        assertThat(named).isGreaterThanOrEqualTo(PANELS - PANELS / 20);
    }

    /** Seeded: of twenty of each at least 19 named as what they are, and nothing bad said besides. */
    @ParameterizedTest
    @CsvSource({
        "DEAD_ROW, DeadPatch",
        "DEAD_ZONE, DeadPatch",
        "GHOST, Ghosts",
        "JUMP, Leaps",
        "WAVE, Wavy",
        "TREMOR, ShakyHand",
        "PULLED, PulledAtEdge",
        "SLOW, SlowAnswers",
    })
    void aPlayedFaultIsNamedAsWhatItIs(Fault fault, String name) {
        List<String> wrong = new ArrayList<>();
        int played = 0;
        for (int seed = 0; played < PANELS; seed++) {
            PlayedPanel panel = new PlayedPanel(fault, seed);
            List<TouchFinding> found = TouchProof.judge(panel.proof());
            if (!panel.played()) {
                continue;
            }
            played++;
            boolean named = found.stream()
                    .anyMatch(it ->
                            is(it, name) && (it.weight() != Weight.DOUBTFUL || it instanceof TouchFinding.SlowAnswers));
            boolean besides = found.stream().anyMatch(it -> it.weight() == Weight.BAD && !is(it, name));
            if (!named || besides) {
                wrong.add(seed + " " + panel.screen + ": "
                        + found.stream().map(TouchFinding::words).toList());
            }
        }
        assertThat(wrong).hasSizeLessThanOrEqualTo(PANELS / 20);
    }

    private static boolean is(TouchFinding finding, String name) {
        return finding.getClass().getSimpleName().equals(name);
    }

    @Test
    void aHealthyPanelIsNeverCalledBad() {
        List<String> bad = new ArrayList<>();
        int doubted = 0;
        for (int seed = 0; seed < PANELS; seed++) {
            List<TouchFinding> found = TouchProof.judge(new PlayedPanel(Fault.HEALTHY, seed).proof());
            found.stream()
                    .filter(it -> it.weight() == Weight.BAD)
                    .map(TouchFinding::words)
                    .forEach(bad::add);
            doubted += found.isEmpty() ? 0 : 1;
        }
        assertThat(bad).isEmpty();
        assertThat(doubted).as("asked once more for nothing").isLessThanOrEqualTo(PANELS / 20);
    }

    @Test
    void aFaintWaveIsDoubtfulAndNotCalledBad() {
        int doubted = 0;
        for (int seed = 0; seed < PANELS; seed++) {
            List<TouchFinding> found = TouchProof.judge(new PlayedPanel(Fault.FAINT_WAVE, seed).proof());
            assertThat(found).as("panel " + seed).allMatch(it -> it.weight() == Weight.DOUBTFUL);
            doubted += found.isEmpty() ? 0 : 1;
        }
        assertThat(doubted).isGreaterThanOrEqualTo(PANELS - PANELS / 20);
    }

    @Test
    void aBandIsToldFromASpotAndALoneCellIsSweptAgain() {
        // Ten columns and ten rows, every cell touched but some.
        Screen small = new Screen(960, 960, 10);
        assertThat(TouchProof.judge(Map.of(Task.SWEEP, without(small, (x, y) -> y == 4))))
                .singleElement()
                .satisfies(it -> assertThat(((DeadPatch) it).band()).isTrue());
        assertThat(TouchProof.judge(Map.of(Task.SWEEP, without(small, (x, y) -> y == 4 && x > 6))))
                .singleElement()
                .satisfies(it -> {
                    assertThat(((DeadPatch) it).band()).isFalse();
                    assertThat(it.words()).isEqualTo("dead: 3 cells side by side");
                });
        assertThat(TouchProof.judge(Map.of(Task.SWEEP, without(small, (x, y) -> y == 4 && x == 6))))
                .singleElement()
                .satisfies(it -> assertThat(it.weight()).isEqualTo(Weight.DOUBTFUL));
    }

    @Test
    void whatItDidAsItCameInIsSaidBesideWhatItDoesNow() {
        Screen small = new Screen(960, 960, 10);
        Map<Task, TouchTrace> whole = Map.of(Task.SWEEP, without(small, (x, y) -> false));
        Map<Task, TouchTrace> row = Map.of(Task.SWEEP, without(small, (x, y) -> y == 4));
        Map<Task, TouchTrace> two = Map.of(Task.SWEEP, without(small, (x, y) -> y == 4 || y == 5));
        assertThat(words(whole, row)).containsExactly("before: all of these answered");
        assertThat(words(row, two)).containsExactly("before: 10 of these 20 answered");
        assertThat(words(row, whole)).containsExactly("before: 10 cells did not answer that do now");
        assertThat(words(whole, whole)).isEmpty();
    }

    /** Nothing found in nothing drawn is no proof. */
    @Test
    void linesThatNeverCameProveNothingAndAStylusWithoutOneIsDead() {
        TouchTrace nothing = new TouchTrace(SCREEN, List.of());
        assertThat(TouchProof.judge(Map.of(Task.LINES_SLOW, nothing)))
                .singleElement()
                .satisfies(it -> assertThat(it.weight()).isEqualTo(Weight.DOUBTFUL));
        List<TouchFinding> pen = TouchProof.judgePen(Map.of(Task.PEN_SLOW, nothing, Task.PEN_FAST, nothing));
        assertThat(new Looked.Stylus(true, pen).works()).contains(false);
        assertThat(pen)
                .singleElement()
                .satisfies(it -> assertThat(it.words()).isEqualTo("no line of the stylus arrives"));
    }

    @Test
    void aLoneLineIsToldFromSeveralSideBySide() {
        Screen small = new Screen(960, 960, 10);
        assertThat(TouchProof.judge(Map.of(Task.SWEEP, without(small, (x, y) -> y == 4)))
                        .get(0)
                        .words())
                .isEqualTo("dead right across, 10 cells: a line of the layer");
        assertThat(TouchProof.judge(Map.of(Task.SWEEP, without(small, (x, y) -> y == 4 || y == 5)))
                        .get(0)
                        .words())
                .isEqualTo("dead right across, 20 cells: lines of the layer, or its plug or cable");
    }

    @Test
    void aWaveIsComparedWithTheOldFrontsOwn() {
        Map<Task, TouchTrace> well = new PlayedPanel(Fault.HEALTHY, 1).proof();
        Map<Task, TouchTrace> wavy = new PlayedPanel(Fault.WAVE, 1).proof();
        assertThat(words(well, wavy))
                .singleElement()
                .asString()
                .matches("before: lines swung \\{mm:0\\.0.}, now \\{mm:0\\.[3-8].}");
        assertThat(words(well, well)).isEmpty();
    }

    private static List<String> words(Map<Task, TouchTrace> before, Map<Task, TouchTrace> now) {
        List<TouchFinding> found = TouchProof.compared(before, now);
        assertThat(found).allMatch(it -> it.weight() == Weight.ASIDE);
        return found.stream().map(TouchFinding::words).toList();
    }

    private interface Silent {
        boolean at(int column, int row);
    }

    private static TouchTrace without(Screen screen, Silent silent) {
        List<Sample> taps = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            if (!silent.at(i % 10, i / 10)) {
                taps.add(new Sample(100.0 * i, 96 * (i % 10) + 48, 96 * (i / 10) + 48, i));
            }
        }
        return new TouchTrace(screen, taps);
    }
}
