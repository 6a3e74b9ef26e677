package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.bond.Ledge.PerSide;
import ridgefall.core.bond.StripPlan.Instead;
import ridgefall.core.bond.StripPlan.Skip;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.edge.Landmark;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.units.NotAllowed;

class StripPlannerTest {
    private static final StripPlanner CASE_A = new StripPlanner(
            new Ledge(248, 178, 18, 15, PerSide.all(3)),
            PerSide.all(2),
            List.of(2.0),
            0.3,
            1,
            0.5,
            5,
            5,
            List.of(new Skip(Landmark.TOP, 118, 130, "camera"), new Skip(Landmark.RIGHT, 80, 98, "key")),
            Adhesive.PET_CARRIER_TAPE,
            3,
            40);
    private static final StripPlanner CASE_B = new StripPlanner(
            new Ledge(160, 100, 0, 0, new PerSide(4, 3, 4, 3)),
            new PerSide(3, 2, 3, 2),
            List.of(2.0),
            0.5,
            1,
            0.5,
            5,
            5,
            List.of(),
            Adhesive.PET_CARRIER_TAPE,
            3,
            40);

    @ParameterizedTest
    @CsvSource({
        "BUTT, 702.2, 732.2, 1404, 0.5989, 179.6",
        "MITRE, 817.6, 847.6, 1440, 0.6142, 184.1",
        "GAPPED, 676.0, 706.0, 1352, 0.5765, 172.9"
    })
    void laysTheReferenceTabletWithTwoCutOuts(
            TapeSchool school, double length, double roll, double area, double coverage, double shear) {
        StripPlan plan = CASE_A.plan(school);
        assertThat(plan.lengthMm()).isCloseTo(length, within(0.05));
        assertThat(plan.rollMm()).isCloseTo(roll, within(0.05));
        assertThat(plan.areaMm2()).isCloseTo(area, within(0.5));
        assertThat(plan.coverage()).isCloseTo(coverage, within(0.0001));
        assertThat(plan.shearN()).isCloseTo(shear, within(0.06));
    }

    @ParameterizedTest
    @CsvSource({
        "BUTT, 504.0, 524.0, 1326, 0.7238",
        "MITRE, 516.0, 536.0, 1326, 0.7238",
        "GAPPED, 488.0, 508.0, 1282, 0.6998"
    })
    void laysTheSquareReferenceLedgeWithUnequalEdges(
            TapeSchool school, double length, double roll, double area, double coverage) {
        StripPlan plan = CASE_B.plan(school);
        assertThat(plan.lengthMm()).isCloseTo(length, within(0.05));
        assertThat(plan.rollMm()).isCloseTo(roll, within(0.05));
        assertThat(plan.areaMm2()).isCloseTo(area, within(0.5));
        assertThat(plan.coverage()).isCloseTo(coverage, within(0.0001));
    }

    @Test
    void mitredStripsMeetOnlyWhereTheCornerIsTightEnough() {
        // r < m + 3.41 w: 18 against 0.3 + 6.83 is too round; a square corner always closes.
        assertThat(CASE_A.plan(TapeSchool.MITRE).cornersClosed()).isFalse();
        assertThat(CASE_B.plan(TapeSchool.MITRE).cornersClosed()).isTrue();
    }

    /**
     * By hand: cos(half the turn) >= (18 - 3 + 2) / (18 - 0.3), so 16.2 degrees at most: three pieces of 2 * 17.7 * sin 15 =
     * 9.162 mm a corner, 2 * 2 * tan 15 = 1.072 shorter inside. Between them lie the gapped school's 676 mm.
     */
    @Test
    void chordsRoundACornerAreAsFewAsStayOnTheLedge() {
        StripPlan plan = CASE_A.plan(TapeSchool.CHORDS);
        assertThat(plan.strips()).filteredOn(strip -> strip.on().isCorner()).hasSize(12);
        assertThat(plan.strips())
                .filteredOn(strip -> strip.on() == Landmark.BOTTOM_LEFT)
                .extracting(Strip::lengthMm)
                .allSatisfy(mm -> assertThat(mm).isCloseTo(9.162, within(0.001)));
        assertThat(plan.lengthMm()).isCloseTo(676.0 + 12 * 9.162, within(0.05));
        assertThat(plan.areaMm2()).isCloseTo(1352 + 12 * 17.252, within(0.1));
        assertThat(plan.cornersClosed()).isTrue();
        assertThat(CASE_B.plan(TapeSchool.CHORDS).strips())
                .as("a square corner has nothing to go round")
                .noneMatch(strip -> strip.on().isCorner());
    }

    /** Each lies where its corner is: the first piece after the top begins on the top edge's own end. */
    @Test
    void chordsGoOnWhereTheEdgeEnds() {
        Strip first = CASE_A.plan(TapeSchool.CHORDS).strips().stream()
                .filter(strip -> strip.id().equals("top-right-1"))
                .findFirst()
                .orElseThrow();
        assertThat(first.outline().get(0).x).isCloseTo(248 - 18, within(1e-9));
        assertThat(first.outline().get(0).y).isCloseTo(0.3, within(1e-9));
        assertThat(first.outline().get(3).y).isCloseTo(0.3 + 2 / Math.cos(Math.PI / 12), within(1e-9));
    }

    /** Tape as wide as the ledge leaves can't turn on it: round the corners a narrower one goes. */
    @Test
    void whereTheTapeFillsTheLedgeANarrowerOneGoesRoundItsCorners() {
        StripPlanner full = new StripPlanner(
                CASE_A.ledge(),
                PerSide.all(2.7),
                List.of(2.7, 2.0, 1.0),
                0.3,
                1,
                0.5,
                5,
                5,
                List.of(),
                CASE_A.adhesive(),
                3,
                40);
        assertThat(full.plan(TapeSchool.CHORDS).strips())
                .filteredOn(strip -> strip.on().isCorner())
                .hasSize(12)
                .allMatch(strip -> strip.widthMm() == 2.0);
    }

    @Test
    void aCornerThatHasSomethingInItStaysBare() {
        StripPlanner planner = with(new Skip(Landmark.TOP_LEFT, 0, 28, "microphone stays clear"));
        StripPlan plan = planner.plan(TapeSchool.CHORDS);
        assertThat(plan.strips()).noneMatch(strip -> strip.on() == Landmark.TOP_LEFT);
        assertThat(plan.cornersClosed()).isFalse();
    }

    /** One piece 232 long less its ends, 0.8 mm taken off its inner side over 20 mm and half a millimetre either way. */
    @Test
    void whereTheLedgeOnlyNarrowsAndNoTapeIsAsNarrowThePieceIsNotched() {
        StripPlan whole = with().plan(TapeSchool.GAPPED);
        StripPlan notched = with(new Skip(Landmark.TOP, 40, 60, "too narrow", 1.5, Instead.NOTCH, 1.2))
                .plan(TapeSchool.GAPPED);
        assertThat(notched.strips()).hasSameSizeAs(whole.strips());
        assertThat(whole.areaMm2() - notched.areaMm2()).isCloseTo(21 * 0.8, within(1e-6));
        assertThat(notched.strips().get(0).outline()).hasSize(9);
    }

    private static StripPlanner with(Skip... skips) {
        return new StripPlanner(
                CASE_A.ledge(),
                CASE_A.tapeMm(),
                CASE_A.cornerMm(),
                0.3,
                1,
                0.5,
                5,
                5,
                List.of(skips),
                CASE_A.adhesive(),
                3,
                40);
    }

    @Test
    void aPieceTooShortToLayIsLeftOut() {
        StripPlanner planner = with(new Skip(Landmark.TOP, 22, 130, "window"));
        // Gapped strips start at 18; the piece up to 21.5 is 3.5 mm long.
        List<Strip> top = planner.plan(TapeSchool.GAPPED).strips().stream()
                .filter(s -> s.on() == Landmark.TOP)
                .toList();
        assertThat(top).hasSize(1);
        assertThat(top.get(0).fromMm()).isEqualTo(130.5);
    }

    @Test
    void tapeWiderThanTheLedgeIsRefused() {
        assertThatThrownBy(() -> new StripPlanner(
                        CASE_A.ledge(),
                        PerSide.all(2.8),
                        List.of(),
                        0.3,
                        1,
                        0.5,
                        5,
                        5,
                        List.of(),
                        CASE_A.adhesive(),
                        3,
                        40))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("tapeMm is 2.8; allowed: 0.3 to 2.7 mm");
    }

    @ParameterizedTest
    @EnumSource(TapeSchool.class)
    void everyStripOfTheDemoTabletLiesOnItsLedgeAndClearOfItsWindows(TapeSchool school) {
        var profile = ShippedBook.quire11();
        StripPlanner planner = BenchTape.planner(profile);
        // The square ends of butted strips touch the outline with their outer corner: hence a hundredth of slack.
        var ledge = planner.ledge().area().buffer(0.01);
        for (Strip strip : planner.plan(school).strips()) {
            for (Coordinate point : strip.outline()) {
                assertThat(ledge.covers(ledge.getFactory().createPoint(point)))
                        .as("%s at %s", strip.id(), point)
                        .isTrue();
            }
        }
        assertThat(planner.cutOuts())
                .extracting(Skip::because)
                .containsExactlyInAnyOrder("light sensor insert stays clear", "front camera stays clear");
    }

    @Test
    void theDemoTabletsTapeHoldsADrop() {
        var profile = ShippedBook.quire11();
        assertThat(BenchTape.plans(profile).get(0).shearN()).isGreaterThan(BenchTape.dropLoadN(profile));
    }
}
