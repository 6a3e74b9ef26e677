package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.bond.BondFact.CornerMeasured;
import ridgefall.core.bond.BondFact.HeldByChosen;
import ridgefall.core.bond.BondFact.SeatMeasured;
import ridgefall.core.bond.BondFact.StripLaid;
import ridgefall.core.bond.WhatHolds.Way;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.Kind;
import ridgefall.core.profile.ShippedBook;

/** What of the shelf holds which front; the bench of these tests stands at 2 March 2026. */
class WhatHoldsTest {
    private static final Supply.Roll WIDE = new Supply.Roll("wide", "tape of 2", 33_000, 2, 0.2);
    private static final Supply.Roll NARROW = new Supply.Roll("narrow", "tape of 1", 9000, 1, 0.2);
    private static final Supply.Glue GLUE =
            new Supply.Glue("glue", "clear glue", 12, 0.6, 8, 24, 500, LocalDate.of(2026, 9, 1));
    private static final Supply.Clamps CLAMPS = new Supply.Clamps("clamps", "spring clamps", 16, 15);
    private static final Supply.Rings RINGS = new Supply.Rings("rings", "rings", 2, "pellow-dial-41", 0.3);

    private static Journey with(String device, Supply... shelf) {
        return new Journey(ShippedBook.profile(device), Journey.withShelf(List.of(shelf)));
    }

    private static Journey atTheChoice(String device, Supply... shelf) {
        return with(device, shelf).untilStep("bond.held");
    }

    private static Way way(Journey journey, HeldBy by) {
        return journey.course().waysToHold().stream()
                .filter(way -> way.by() == by)
                .findFirst()
                .orElseThrow();
    }

    private static List<String> labels(Journey journey) {
        return journey.step("bond.held").choices().stream()
                .map(Step.Choice::label)
                .toList();
    }

    @Test
    void theUsualOneComesFirstAndTheOldBondIsNeverOffered() {
        Journey journey = atTheChoice("marrowby-quire-11", WIDE, GLUE, CLAMPS);
        assertThat(labels(journey)).containsExactly("Strips from the roll", "Bead and clamps", "Die-cut ring");
        assertThat(journey.heldBy(new HeldByChosen(HeldBy.OLD_BOND, null, null, null)))
                .contains("bond.held");
        assertThat(journey.holds(new HeldByChosen(HeldBy.OLD_BOND, null, null, null)))
                .noneMatch(Hold::overridable);
    }

    @Test
    void tapeThatCameOnTheFrontGoesBeforeAll() {
        Journey journey = with("marrowby-quire-11", WIDE).until(Station.PARTS);
        assertThat(way(journey, HeldBy.CAME_ON_IT).against()).containsExactly("this front came without");
        journey.append(new PartsFact.PartReserved(
                new UUID(0, 7), PartKind.FUSED_FRONT, Grade.REFURBISHED_ORIGINAL, "fused front", List.of(Brings.TAPE)));
        assertThat(journey.course().waysToHold().get(0).by()).isEqualTo(HeldBy.CAME_ON_IT);
        journey.append(new HeldByChosen(HeldBy.CAME_ON_IT, null, null, null)).append(new SeatMeasured(0.95, 0.7));
        assertThat(journey.step("bond.held").answer()).isEqualTo("tape that came on the front");
        Journey puckered =
                journey.again().append(new CheckAnswered("bond.pre-applied", Answer.FAIL, "puckered at a corner"));
        assertThat(puckered.step("bond.pre-applied").choices().get(0).label())
                .as("peeled off, and the next best holds")
                .isEqualTo("Strips from the roll");
        journey.append(new PartsFact.PartSwapped(
                PartKind.FUSED_FRONT, new UUID(0, 7), PartsFact.Bad.DEAD_AT_TEST, null, false));
        assertThat(journey.step("bond.held").answer())
                .as("it went with the dead front")
                .isNull();
        assertThat(journey.step("bond.seat").answer())
                .as("another front, not measured")
                .isNull();
    }

    @Test
    void aRollTooShortIsRefusedWithBothLengthsAndANarrowerOneTakesItsPlace() {
        Supply.Roll rest = new Supply.Roll("wide", "rest of 2", 400, 2, 0.2);
        Journey alone = atTheChoice("marrowby-quire-11", rest, GLUE, CLAMPS);
        assertThat(labels(alone).get(0)).isEqualTo("Bead and clamps");
        assertThat(way(alone, HeldBy.STRIPS).against().get(0))
                .matches("needs \\{mm:8\\d\\d\\.0} of tape \\{mm:2\\.0} wide, \\{mm:400\\.0} are left");
        Journey narrower = atTheChoice("marrowby-quire-11", rest, NARROW);
        assertThat(way(narrower, HeldBy.STRIPS).allowed()).isTrue();
        assertThat(way(narrower, HeldBy.STRIPS).rollsMm()).containsExactly(1.0);
    }

    @Test
    void aWatchIsSealedByARingAndByNothingWithJoints() {
        Journey journey = atTheChoice("pellow-dial-41", WIDE, NARROW, RINGS, GLUE, CLAMPS);
        assertThat(labels(journey)).containsExactly("Die-cut ring");
        assertThat(way(journey, HeldBy.STRIPS).against().get(0)).startsWith("every joint leaks");
        assertThat(way(journey, HeldBy.BEAD).against().get(0)).contains("laid by hand it comes out; a finer needle");
        Journey none = atTheChoice("pellow-dial-41", new Supply.Rings("rings", "rings", 0, "pellow-dial-41", 0.3));
        assertThat(way(none, HeldBy.RING).against()).containsExactly("none left of rings");
    }

    @Test
    void aRingTooThinForItsSeatIsRefusedBeforeItIsTaken() {
        Journey journey = atTheChoice("pellow-dial-41", new Supply.Rings("thin", "thin", 3, "pellow-dial-41", 0.26));
        assertThat(way(journey, HeldBy.RING).against().get(0)).contains("it leaks, a thicker ring");
    }

    @Test
    void aSyringePastItsDateAndTooFewClampsAreReasons() {
        Supply.Glue old = new Supply.Glue("glue", "clear glue", 12, 0.6, 8, 24, 500, LocalDate.of(2026, 3, 1));
        assertThat(way(atTheChoice("sillery-satchel-7", old, CLAMPS), HeldBy.BEAD)
                        .against())
                .containsExactly("its syringe was to be used by {day:2026-03-01}");
        Supply.Clamps few = new Supply.Clamps("clamps", "spring clamps", 3, 15);
        assertThat(way(atTheChoice("sillery-satchel-7", GLUE, few), HeldBy.BEAD).against())
                .containsExactly("7 clamps, the shelf has 3");
    }

    /**
     * By hand, at 0.1 mm of seat, 7 weak clamps of 1 N round about half a metre: 14 N/m; 5000 · (2.827e-7)³ / (5 · 14) · 1e20 = 160 s of
     * sinking, after 88 s of laying, against 240 s of skin. With 15 N it takes a fifteenth.
     */
    @Test
    void glueTooStiffForItsSeatAndClampsSkinsBeforeItIsFlat() {
        Supply.Glue stiff = new Supply.Glue("glue", "stiff glue", 12, 0.6, 4, 24, 5000, LocalDate.of(2026, 9, 1));
        Supply.Clamps weak = new Supply.Clamps("clamps", "weak clamps", 24, 1);
        String tooStiff = "too stiff for this seat: it skins before clamps have pressed it flat";
        SeatMeasured shallow = new SeatMeasured(1.0, 0.9);
        assertThat(way(atTheChoice("sillery-satchel-7", stiff, weak).append(shallow), HeldBy.BEAD)
                        .against())
                .contains(tooStiff);
        assertThat(way(atTheChoice("sillery-satchel-7", stiff, CLAMPS).append(shallow), HeldBy.BEAD)
                        .against())
                .doesNotContain(tooStiff);
    }

    @Test
    void aCaliperThatFindsTheFrontTooThickLeavesNothingThatWouldStandProud() {
        Journey journey = atTheChoice("marrowby-quire-11", WIDE, GLUE, CLAMPS).append(new SeatMeasured(0.95, 0.90));
        // 0.05 is left and tape is 0.2 thick.
        assertThat(way(journey, HeldBy.STRIPS).proudMm()).isCloseTo(0.15, within(1e-9));
        assertThat(way(journey, HeldBy.STRIPS).against()).containsExactly("would stand {mm:0.15} over the rim");
        journey.append(new SeatMeasured(0.95, 0.70));
        assertThat(way(journey, HeldBy.STRIPS).allowed()).isTrue();
    }

    /** The frame of the antenna tablet, away by a millimetre and a half: no tape holds that, glue under clamps does. */
    @Test
    void aCornerThatNoTapeHoldsGetsABeadUntilItIsStraightened() {
        Journey bent = atTheChoice("brackenholt-tarn-10", WIDE, GLUE, new Supply.Clamps("c", "clamps", 24, 15))
                .append(new BendMarked(Landmark.BOTTOM_RIGHT, 1.5, 60.0));
        assertThat(labels(bent)).containsExactly("Bead and clamps");
        assertThat(way(bent, HeldBy.STRIPS).against().get(0)).contains("no tape holds it");
        bent.append(new CornerMeasured(Landmark.BOTTOM_RIGHT, 0, null));
        assertThat(labels(bent).get(0)).isEqualTo("Strips from the roll");
    }

    /** 0.8 over 60, at 0.7 mm of glass: between what tape holds for good and twice that. */
    @Test
    void aCornerThatTapeCreepsOpenAtAsksForClampsUntilItHasSet() {
        Journey bent =
                atTheChoice("marrowby-quire-11", WIDE, CLAMPS).append(new BendMarked(Landmark.BOTTOM_RIGHT, 0.8, 60.0));
        assertThat(way(bent, HeldBy.STRIPS).asks())
                .containsExactly(
                        "5 clamps, one every {mm:15.0}, at the corner of port edge and cable edge, until it has set:"
                                + " bent, and tape alone creeps open there");
        Journey few = atTheChoice("marrowby-quire-11", WIDE, new Supply.Clamps("clamps", "clamps", 2, 15))
                .append(new BendMarked(Landmark.BOTTOM_RIGHT, 0.8, 60.0));
        assertThat(way(few, HeldBy.STRIPS).against().get(0)).endsWith("the shelf has 2");
    }

    @Test
    void whereNothingHoldsTheBendIsMeasuredAgainOrALeadStandsByIt() {
        Journey bent = atTheChoice("pellow-dial-41", RINGS).append(new BendMarked(Landmark.TOP_LEFT, 0.8, null));
        Step step = bent.step("bond.held");
        assertThat(step.title()).isEqualTo("Nothing holds it as it is");
        assertThat(step.lead()).isEqualTo(Step.Lead.REASONS);
        assertThat(step.choices().get(0).fact()).isInstanceOf(CornerMeasured.class);
        HeldByChosen ring = new HeldByChosen(HeldBy.RING, "rings", "rings", null);
        assertThat(bent.holds(ring)).singleElement().matches(Hold::overridable);
        assertThat(bent.signOff("bond.held", ring).holds(ring)).isEmpty();
    }

    @Test
    void whatIsLaidComesOffTheShelf() {
        Journey journey = atTheChoice("marrowby-quire-11", WIDE, NARROW);
        journey.tapNext();
        while (journey.next().orElseThrow().station() == Station.BOND) {
            journey.tapNext();
        }
        StripPlan plan = journey.course().strips().get(0);
        double used = BondState.of(journey.state()).used().stream()
                .mapToDouble(BondState.Used::amount)
                .sum();
        assertThat(used).isCloseTo(plan.rollMm(), within(0.05 * plan.strips().size()));
        assertThat(BondState.of(journey.state()).used())
                .extracting(BondState.Used::supplyId)
                .contains("wide");
    }

    @Test
    void aPieceIsCutFromTheRollThatItLeavesLeastOf() {
        Supply.Roll rest = new Supply.Roll("rest", "rest of 2", 900, 2, 0.2);
        Journey journey = atTheChoice("marrowby-quire-11", WIDE, rest).untilStep("bond.top-1");
        assertThat(((StripLaid) journey.step("bond.top-1").choices().get(0).fact()).rollId())
                .isEqualTo("rest");
    }

    @Test
    void otherAdhesiveIsLaidAnew() {
        Journey journey = atTheChoice("marrowby-quire-8", WIDE).untilStep("bond.top-1");
        journey.tapNext();
        journey.append(new HeldByChosen(HeldBy.RING, null, null, null));
        assertThat(journey.stepIds(Station.BOND)).endsWith("bond.ring-measured", "bond.ring");
        assertThat(BondState.of(journey.state()).stripsLaid()).isEmpty();
    }

    @Test
    void whatNobodyHasIsAClearError() {
        Journey journey = new Journey(ShippedBook.profile("drumlin-crate-10"));
        assertThat(journey.course().waysToHold()).isEmpty();
        assertThatThrownBy(() -> new Supply.Roll("r", "tape", 10, 0.2, 0.2).check())
                .hasMessage("widthMm is 0.2; allowed: 0.5 to 12 mm");
    }

    static Stream<DeviceProfile> bonded() {
        return ShippedBook.IDS.stream().map(ShippedBook::profile).filter(DeviceProfile::bonded);
    }

    /** Whatever the shelf and the frame are like: nothing is offered that its own numbers refuse. */
    @ParameterizedTest
    @MethodSource("bonded")
    void nothingIsOfferedThatItsOwnNumbersRefuse(DeviceProfile device) {
        for (double gap : new double[] {0, 0.3, 0.8, 1.5, 3}) {
            for (double left : new double[] {0, 300, 33_000}) {
                List<Supply> shelf = new ArrayList<>(List.of(
                        new Supply.Roll("a", "a", left, 2, 0.2),
                        new Supply.Roll("b", "b", left, 1, 0.2),
                        new Supply.Rings("c", "c", left > 300 ? 1 : 0, device.id(), 0.3),
                        new Supply.Glue("d", "d", left / 1000, 0.6, 8, 24, 500, LocalDate.of(2026, 9, 1)),
                        CLAMPS));
                Journey journey = new Journey(device, Journey.withShelf(shelf));
                if (gap > 0) {
                    journey.append(new BendMarked(Landmark.TOP_LEFT, gap, null));
                }
                boolean watch = device.document().kind() == Kind.WATCH;
                for (Way way : journey.course().waysToHold()) {
                    if (way.allowed()) {
                        assertThat(way.by()).isNotEqualTo(HeldBy.OLD_BOND);
                        assertThat(way.proudMm() == null || way.proudMm() <= 0.10)
                                .isTrue();
                        assertThat(way.holdsN()).isGreaterThan(BenchTape.dropLoadN(device));
                        assertThat(!watch || way.allRound()).isTrue();
                        assertThat(way.from() == null || way.from().left() > 0).isTrue();
                    }
                }
            }
        }
    }
}
