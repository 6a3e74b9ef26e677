package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.SourceTaken;
import ridgefall.core.job.Hold;
import ridgefall.core.job.Step;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.SeparateState;

/** A source that another device lies on is planned around; it is known when it is free. */
class SourceTakenTest {
    /** What the others lie on; a test lays them there. */
    private final List<SourceTaken> others = new ArrayList<>();

    private final Planning shared = new Planning() {
        @Override
        public List<SourceTaken> taken() {
            return others;
        }

        @Override
        public List<Opening> openings(HeatQuestion question) {
            return Journey.PLANNING.openings(question);
        }

        @Override
        public CutPlan cut(CutQuestion question) {
            return Journey.PLANNING.cut(question);
        }
    };

    private final Journey journey = new Journey(Journey.QUIRE, shared).untilStep("heat.soak");

    private Instant now() {
        return journey.state().latest().happenedAt();
    }

    private void take(String sourceId, Duration forSo) {
        others.add(new SourceTaken(sourceId, "job 7, Dial 45", now(), now().plus(forSo)));
        journey.anew();
    }

    private SoakStarted offered() {
        return (SoakStarted) journey.next().orElseThrow().choices().get(0).fact();
    }

    @Test
    void theNextBestIsOfferedAndTheTakenOneIsHeldWithWhenItIsFree() {
        SoakStarted best = offered();
        take(best.sourceId(), Duration.ofMinutes(3));
        assertThat(offered().sourceId()).isNotEqualTo(best.sourceId());
        assertThat(journey.holds(offered())).isEmpty();
        assertThat(journey.course().openings())
                .filteredOn(Opening::feasible)
                .last()
                .satisfies(opening -> assertThat(opening.heat().source().id()).isEqualTo(best.sourceId()));
        assertThat(journey.holds(best)).singleElement().satisfies(hold -> {
            assertThat(hold.id()).isEqualTo("heat.taken");
            assertThat(hold.because())
                    .isEqualTo("job 7, Dial 45 lies on "
                            + HeatSource.byId(HeatSource.bench(), best.sourceId())
                                    .name() + ": free in {s:180}");
            assertThat(hold.overridable()).isTrue();
        });
    }

    @Test
    void twoMinutesAfterItWasMeantToComeOffNobodyIsBelievedToLieThere() {
        SoakStarted best = offered();
        take(best.sourceId(), Duration.ofSeconds(-100));
        assertThat(journey.holds(best)).extracting(Hold::id).containsExactly("heat.taken");
        others.clear();
        take(best.sourceId(), Duration.ofSeconds(-120));
        assertThat(journey.holds(best)).isEmpty();
        assertThat(offered()).isEqualTo(best);
    }

    @Test
    void whereAllAreTakenTheLargeActionStartsNothing() {
        journey.course()
                .openings()
                .forEach(opening -> take(opening.heat().source().id(), Duration.ofMinutes(5)));
        Step soak = journey.next().orElseThrow();
        assertThat(soak.lead()).isEqualTo(Step.Lead.REASONS);
        assertThat(soak.hint()).contains("job 7, Dial 45 lies on").contains("free in {s:300}");
    }

    @Test
    void aDeviceIsNotInItsOwnWay() {
        SoakStarted best = offered();
        journey.append(best);
        others.add(new SourceTaken(best.sourceId(), "job 8, Quire 11", now(), now().plusSeconds(best.seconds())));
        assertThat(journey.course().takenByOthers()).isEmpty();
        journey.append(new HeatFact.SoakEnded(600));
        assertThat(journey.course().takenByOthers()).hasSize(1);
    }

    /** Whoever has come off a plate that another device lies on by now is warmed again by something else. */
    @Test
    void onTheWayRoundItIsWarmedByWhatIsFree() {
        journey.tapNext();
        journey.tapNext();
        String first = HeatState.of(journey.state()).soaks().get(0).sourceId();
        Course cold = journey.course().at(now().plus(Duration.ofMinutes(20)));
        assertThat(SeparateState.of(cold.state()).freed()).isEmpty();
        take(first, Duration.ofHours(1));
        assertThat(cold.cutPlan().moves().stream().flatMap(move -> move.warmings()))
                .isNotEmpty()
                .noneMatch(warming -> warming.source().id().equals(first));
    }
}
