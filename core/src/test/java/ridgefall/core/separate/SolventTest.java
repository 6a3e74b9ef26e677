package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.job.Station;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ShippedBook;

/** Solvent along the edge: off every source, then a bond that bears less, and no source until it is dry. */
class SolventTest {
    private static final HeatFact.SoakStarted PLATE =
            new HeatFact.SoakStarted("plate-1", 80, 20, null, null, Sweep.FACE);

    private static Journey cutting() {
        return new Journey().until(Station.SEPARATE).append(new SeparateFact.StretchFreed("top-1"));
    }

    @Test
    void itLeavesTheBondAsMuchOfItsStrengthAsItHasCrept() {
        // 0.4 mm · √3 of 2 mm is 0.3464; of that 60 % of the strength is gone: 0.7922.
        assertThat(Adhesive.PET_CARRIER_TAPE.strengthLeft(3, 2)).isCloseTo(0.7922, within(1e-4));
        assertThat(Adhesive.PET_CARRIER_TAPE.strengthLeft(0, 2)).isEqualTo(1);
        assertThat(Adhesive.PET_CARRIER_TAPE.strengthLeft(900, 2)).isEqualTo(0.4, within(1e-9));
    }

    @Test
    void nothingIsCutWhileItCreepsInAndNoSourceComesNearUntilItIsDry() {
        Journey journey = cutting().append(new SeparateFact.SolventLaid());
        assertThat(journey.next().orElseThrow().id()).isEqualTo("separate.creeping");
        assertThat(journey.heldBy(PLATE)).contains("separate.dry");
        journey.tapNext();
        assertThat(journey.heldBy(PLATE)).contains("separate.dry");
        assertThat(journey.step("separate.dry").optional()).isTrue();
        journey.append(new SeparateFact.SolventDry());
        assertThat(journey.heldBy(PLATE)).doesNotContain("separate.dry");
        assertThat(journey.stepIds(Station.SEPARATE)).contains("separate.solvent");
    }

    @Test
    void whatLiesOnASourceGetsNone() {
        Journey journey = cutting().append(PLATE);
        assertThat(journey.heldBy(new SeparateFact.SolventLaid())).containsExactly("separate.lift");
    }

    @Test
    void aWetBondIsCutFasterAndWithoutASource() {
        CutPlan dry = cutting().course().cutPlan();
        CutPlan wet = cutting().append(new SeparateFact.SolventLaid()).course().cutPlan();
        assertThat(wet.warmings()).isZero();
        assertThat(wet.airOn()).isFalse();
        assertThat(wet.coldBelowC()).isLessThan(dry.coldBelowC());
    }

    @Test
    void anOpenFrontIsWetNoMore() {
        Journey journey = new Journey()
                .until(Station.SEPARATE)
                .append(new SeparateFact.SolventLaid())
                .until(Station.STRIP);
        assertThat(SeparateState.of(journey.state()).wet()).isFalse();
    }

    @Test
    void theCoolerSchoolIsPricedForAWatchAndRefusedForALongBead() {
        assertThat(words("pellow-dial-41"))
                .contains("solvent along the edge, {s:180}")
                .endsWith("in all");
        assertThat(words("sillery-satchel-7"))
                .endsWith("would be cold before the blade is there: only where it sticks");
    }

    private static String words(String device) {
        return OpeningPlanner.withSolvent(new HeatQuestion(
                        ShippedBook.profile(device), FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench()))
                .orElseThrow()
                .words();
    }
}
