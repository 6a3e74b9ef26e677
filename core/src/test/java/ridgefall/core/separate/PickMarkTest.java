package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.gate.Course;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Station;
import ridgefall.core.separate.CutPlan.Move;
import ridgefall.core.sheet.Sheet;

/** A flag of tape that stops a pick before its tip is too deep. */
class PickMarkTest {

    /** By hand: (d − D/2 sin α)/cos α. */
    @ParameterizedTest
    @CsvSource({"6, 0.5, 0, 6.0000", "6, 0.5, 20, 6.2941", "6, 0.8, 30, 6.6973", "2, 0.2, 10, 2.0132"})
    void atAKnownAngleTheTipIsAsDeepAsAllowed(double depth, double thickness, double angle, double mark) {
        assertThat(PickMark.mm(depth, thickness, angle)).isCloseTo(mark, within(1e-4));
    }

    @Test
    void howeverItIsHeldTheTipIsNoDeeper() {
        for (double depth = 1; depth <= 12; depth += 0.3) {
            for (double thickness : new double[] {0.2, 0.5, 0.8}) {
                double mark = PickMark.mm(depth, thickness);
                for (double deg = 0; deg <= PickMark.STEEPEST_DEG; deg += 0.5) {
                    double angle = Math.toRadians(deg);
                    double tip = mark * Math.cos(angle) + thickness / 2 * Math.sin(angle);
                    assertThat(tip)
                            .as("%s mm, %s mm, %s°", depth, thickness, deg)
                            .isLessThanOrEqualTo(depth + 0.051);
                }
                assertThat(depth - mark).isBetween(-0.05, 0.6);
            }
        }
    }

    @Test
    void steeperThanAnyHandIsRefused() {
        assertThatThrownBy(() -> PickMark.mm(6, 0.5, 60)).hasMessageContaining("0 to 30");
    }

    @Test
    void theSheetHasAPickForEveryMarkAndSaysWhereItHolds() {
        Course course = new Journey().until(Station.SEPARATE).course();
        CutPlan way = course.cutPlan();
        Map<Double, List<Move>> marks = PickSheet.byMark(way);
        assertThat(marks.values().stream().mapToInt(List::size).sum())
                .isEqualTo(way.moves().size());
        Sheet sheet = PickSheet.of(course.profile(), way);
        List<String> words = sheet.words().map(Sheet.Words::text).toList();
        assertThat(words).contains("Pick marks, Marrowby Quire 11").noneMatch(text -> text.contains("{"));
        List<Double> drawn = sheet.paths()
                .filter(path -> path.strokeMm() == 0.4)
                .map(path -> path.points().get(0).xMm() - 20)
                .filter(x -> x > 0)
                .toList();
        assertThat(drawn)
                .containsExactlyElementsOf(marks.keySet().stream().limit(6).toList());
    }
}
