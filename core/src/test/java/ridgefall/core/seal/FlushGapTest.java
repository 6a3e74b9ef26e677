package ridgefall.core.seal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Hold;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.seal.FlushGap.Verdict;
import ridgefall.core.seal.SealFact.FlushRead;

/** A place is judged by its neighbours: what is high all round is thick, what is high in one place has something under it. */
class FlushGapTest {
    private static final List<Double> AT = FlushGap.places(ShippedBook.quire11());

    private static Journey sealed() {
        return new Journey().untilStep("prove.hand-over");
    }

    @Test
    void aTabletIsReadAtItsCornersAndTwiceALongSide() {
        assertThat(AT).hasSize(12);
        assertThat(FlushGap.places(ShippedBook.profile("pellow-dial-41"))).hasSize(8);
    }

    @Test
    void byItsNeighboursAndByTheRestOfTheRim() {
        assertThat(FlushGap.judged(0.05, 0.02, 0.02)).isEqualTo(Verdict.FLUSH);
        assertThat(FlushGap.judged(0.15, 0.15, 0.15)).as("thick all round").isEqualTo(Verdict.FLUSH);
        assertThat(FlushGap.judged(0.25, 0.25, 0.25)).as("too thick all round").isEqualTo(Verdict.STANDS_UP);
        assertThat(FlushGap.judged(0.14, 0.02, 0.02)).isEqualTo(Verdict.STANDS_UP);
        assertThat(FlushGap.judged(0.15, 0.14, 0.02)).as("two side by side").isEqualTo(Verdict.STANDS_UP);
        assertThat(FlushGap.judged(-0.3, 0.0, 0.0)).isEqualTo(Verdict.SUNK);
    }

    /** Glass that lies hollow breaks under a thumb. */
    @Test
    void aSunkenPlaceIsNotPressed() {
        Journey journey = sealed();
        AT.forEach(place -> journey.append(new FlushRead(place, 0.0)));
        journey.append(new FlushRead(AT.get(3), -0.3));
        assertThat(journey.step("seal.flush").hint())
                .contains("do not press there")
                .doesNotContain("press there again");
        journey.append(new FlushRead(AT.get(3), 0.3));
        assertThat(journey.step("seal.flush").hint()).contains("press there again");
    }

    @Test
    void aPlaceFarUpDoesNotMakeItsLevelNeighboursSunk() {
        Journey journey = sealed();
        AT.forEach(place -> journey.append(new FlushRead(place, 0.0)));
        journey.append(new FlushRead(AT.get(3), 0.6));
        List<FlushGap.Place> places = FlushGap.of(journey.course().profile(), SealState.of(journey.state()));
        for (int i = 0; i < AT.size(); i++) {
            assertThat(places.get(i).verdict()).contains(i == 3 ? Verdict.STANDS_UP : Verdict.FLUSH);
        }
    }

    @Test
    void nobodyIsHeldBackBeforeAStepIsFelt() {
        assertThat(sealed().step("seal.flush").optional()).isTrue();
    }

    @Test
    void oneThatStandsUpHoldsTheHandOverUntilItIsPressedDownAndReadAgain() {
        Journey journey = sealed();
        for (double place : AT) {
            journey.append(new FlushRead(place, 0.02));
        }
        assertThat(journey.step("seal.flush").answer()).isEqualTo("12 of 12 places read, flush");
        journey.append(new FlushRead(AT.get(3), 0.25));
        assertThat(journey.step("seal.flush").problem()).isTrue();
        assertThat(journey.step("seal.flush").answer()).endsWith("{mm:0.25} over the rim");
        assertThat(journey.holds(new ProveFact.HandedOver("x")))
                .extracting(Hold::id)
                .contains("seal.flush");
        journey.append(new FlushRead(AT.get(3), 0.04));
        assertThat(journey.step("seal.flush").problem()).isFalse();
    }
}
