package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.Supply;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;

/** What comes next asks no station after the one that answers, and what was asked of planning once is not asked again. */
class AskedInTurnTest {
    private final List<String> asked = new ArrayList<>();

    /** Counts what is asked; answers as the other journeys' does. */
    private final Planning counting = new Planning() {
        @Override
        public List<HeatPlan> heat(HeatQuestion question) {
            return Journey.PLANNING.heat(question);
        }

        @Override
        public List<Opening> openings(HeatQuestion question) {
            asked.add("openings");
            return Journey.PLANNING.openings(question);
        }

        @Override
        public CutPlan cut(CutQuestion question) {
            asked.add("cut");
            return Journey.PLANNING.cut(question);
        }

        @Override
        public List<StripPlan> strips(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
            return Journey.PLANNING.strips(profile, rollsMm, patched);
        }

        @Override
        public List<Supply> supplies() {
            asked.add("shelf");
            return List.of();
        }
    };

    private Course at(Station station) {
        Journey journey = new Journey(Journey.QUIRE).until(station);
        Course course = new Course(Journey.QUIRE, journey.journal(), counting);
        asked.clear();
        return course;
    }

    @Test
    void atIntakeNeitherAPlanNorTheShelfIsAskedFor() {
        assertThat(at(Station.INTAKE).next()).isPresent();
        assertThat(asked).isEmpty();
    }

    @Test
    void whatIsNextBeforeTheBondAsksNothingOfTheShelf() {
        assertThat(at(Station.STRIP).next()).isPresent();
        assertThat(asked).doesNotContain("shelf");
    }

    @Test
    void anOpenFrontThatIsFreeAllAlongAsksForNoPlan() {
        Course course = at(Station.SEAL);
        course.steps();
        course.cutPlan();
        assertThat(asked).doesNotContain("cut", "openings");
        assertThat(course.cutPlan().moves()).isEmpty();
        assertThat(course.cutPlan().stretches())
                .isEqualTo(new Journey(Journey.QUIRE)
                        .until(Station.SEAL)
                        .course()
                        .cutPlan()
                        .stretches());
    }

    @Test
    void allStepsTwiceAndWhatComesNextAreBuiltOnce() {
        Course course = at(Station.SEAL);
        List<Step> steps = course.steps();
        int once = asked.size();
        assertThat(course.steps()).isEqualTo(steps);
        assertThat(course.next()).isEqualTo(course.next(steps));
        course.words();
        assertThat(asked).hasSize(once);
    }

    /** What is done at a station need not be told to see that nothing is left there. */
    @Test
    void whatIsNextIsTheFirstOpenOfAllStepsWhereverItStands() {
        for (Station station : Station.values()) {
            Course course = at(station);
            Course told = at(station);
            assertThat(course.next()).as(station.words()).isEqualTo(told.next(told.steps()));
        }
    }

    /** At another time the bench may own something else by then. */
    @Test
    void atAnotherTimeItIsAskedAnew() {
        Course course = at(Station.SEAL);
        course.steps();
        int once = asked.size();
        course.at(course.journal().get(0).happenedAt().plusSeconds(7200)).steps();
        assertThat(asked).hasSize(2 * once);
    }
}
