package ridgefall.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import ridgefall.core.carry.CopyFact.CopyDueAgain;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.DamageFact.MishapSeen;
import ridgefall.core.fault.FaultFact.FaultChecked;
import ridgefall.core.fault.FaultFact.Finding;
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact.CameBack;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.EdgeFeature;

/** At whatever station something fails, it is said why, and what to do next. */
class FaultStepsTest {
    private static FunctionTested tells(String functionId, Phase phase, Answer answer, String said) {
        return new FunctionTested(functionId, phase, answer, said);
    }

    private static FaultCase only(Journey journey) {
        var open = FaultSteps.open(journey.course().profile(), journey.state(), Faults.USUAL);
        assertThat(open).hasSize(1);
        return open.get(0);
    }

    @Test
    void whatTheTraceSaidCountsForItsCauses() {
        Journey journey = new Journey().untilStep("open.touch");
        journey.append(
                tells("touch", Phase.OPEN, Answer.FAIL, "touch proof: 90 of 99 cells; dead right across, 9 cells: x"));
        FaultCase band = only(journey);
        assertThat(band.signs()).contains(Sign.BAND, Sign.FAILS_LOOSE, Sign.WORKED_BEFORE, Sign.PLUG_OFF);
        assertThat(band.because()).contains("dead right across, several lines wide, by its trace");
        assertThat(band.belief().of().get("film")).isLessThan(0.01);
        journey.append(tells(
                "touch",
                Phase.OPEN,
                Answer.FAIL,
                "touch proof: 90 of 99 cells; dead right across, 9 cells: a line of the layer"));
        assertThat(only(journey).signs()).contains(Sign.LINE).doesNotContain(Sign.BAND);
        assertThat(only(journey).belief().of().get("part"))
                .as("a lone line is the layer's own")
                .isGreaterThan(2 * band.belief().of().get("part"));
        journey.append(
                tells("touch", Phase.OPEN, Answer.FAIL, "touch proof: 99 of 99 cells; 4 touches with nobody near"));
        assertThat(only(journey).belief().of().get("film")).isGreaterThan(0.12);
    }

    /** Signs multiply odds: by the table, a slip over a flex is five times as likely under a torn one as under a plug. */
    @Test
    void aSlipOverACableTurnsToTheFlex() {
        Journey journey = new Journey().until(Station.TEST);
        double cable = journey.course().profile().features().stream()
                .filter(feature -> feature.kind() == EdgeFeature.Kind.CABLE)
                .mapToDouble(
                        feature -> feature.where().fromMm() + feature.where().lengthMm() / 2)
                .findFirst()
                .orElseThrow();
        Journey slipped = new Journey()
                .untilStep("separate.open")
                .append(new MishapSeen(Mishap.SLIP, cable, "separate.open"))
                .untilStep("open.picture");
        Journey plain = new Journey().untilStep("open.picture");
        for (Journey one : new Journey[] {slipped, plain}) {
            one.append(tells("picture", Phase.OPEN, Answer.FAIL, null));
        }
        Map<String, Double> after = only(slipped).belief().of();
        Map<String, Double> before = only(plain).belief().of();
        assertThat(only(slipped).signs()).contains(Sign.FLEX_IN_DANGER);
        assertThat(after.get("torn") / after.get("plug"))
                .isCloseTo(5 * before.get("torn") / before.get("plug"), within(1e-9));
    }

    @Test
    void aWavyStylusWhoseDataWereNotProvenGoesBackToCarryOver() {
        Journey journey = new Journey().untilStep("open.stylus");
        journey.append(tells("stylus", Phase.OPEN, Answer.FAIL, "wavy, x"));
        journey.append(new FaultChecked("stylus", "other", Finding.LEFT, null));
        FaultCase wavy = only(journey);
        assertThat(wavy.signs()).contains(Sign.WAVES);
        Step copy = null;
        for (Step next = journey.next().orElseThrow();
                copy == null;
                next = journey.next().orElseThrow()) {
            if (next.id().endsWith(".copy")) {
                copy = next;
            } else {
                assertThat(next.id()).startsWith("test.fault.stylus.");
                journey.append(next.choices().get(next.choices().size() - 1).fact());
            }
        }
        assertThat(copy.choices().get(0).fact()).isEqualTo(new CopyDueAgain("stylus-data", "stylus"));
        journey.append(copy.choices().get(0).fact());
        assertThat(journey.next().orElseThrow().station()).isEqualTo(Station.CARRY);
        assertThat(journey.step("open.stylus").answer())
                .as("asked again once it is")
                .isNull();
    }

    @Test
    void aSealedOneIsTriedClosedAndThenSaysWhatOpeningItWouldBeFor() {
        Journey journey = new Journey().untilStep("after.charge");
        journey.append(tells("charge", Phase.AFTER, Answer.FAIL, null));
        Step first = journey.next().orElseThrow();
        assertThat(first.id()).startsWith("after.fault.charge.");
        assertThat(first.station()).isEqualTo(Station.PROVE);
        while (journey.next().orElseThrow().id().startsWith("after.fault.")) {
            Step next = journey.next().orElseThrow();
            FaultChecked tried = (FaultChecked) next.choices().get(0).fact();
            assertThat(UsualFaults.TABLE
                            .about("charge")
                            .check(tried.faultCheckId())
                            .closed())
                    .isTrue();
            journey.append(tried);
            if (tried.finding() == Finding.DONE) {
                journey.append(tells("charge", Phase.AFTER, Answer.FAIL, null));
            }
        }
        Step fails = journey.next().orElseThrow();
        assertThat(fails.id()).isEqualTo("after.charge");
        assertThat(fails.hint()).contains("opened again: ");
        assertThat(fails.choices().get(0).label()).isEqualTo("Open it again");
    }

    /** What failed as it came in is why it came; on one that came back the finder has something to say. */
    @Test
    void atIntakeOnlyAComebackIsLookedInto() {
        Journey first = new Journey().append(tells("charge", Phase.BEFORE, Answer.FAIL, null));
        assertThat(FaultSteps.open(first.course().profile(), first.state(), Faults.USUAL))
                .isEmpty();
        Journey back = new Journey().append(new CameBack(1)).append(tells("charge", Phase.BEFORE, Answer.FAIL, null));
        assertThat(only(back).signs()).contains(Sign.CAME_BACK);
        assertThat(back.stepIds(Station.INTAKE)).anyMatch(id -> id.startsWith("before.fault.charge."));
    }

    @Test
    void aCaseIsClosedByWhatWasDoneLastAndCountsForItsCauses() {
        Journey journey = new Journey().untilStep("open.charge");
        journey.append(tells("charge", Phase.OPEN, Answer.FAIL, null));
        journey.append(new FaultChecked("charge", "other", Finding.DONE, null));
        journey.append(tells("charge", Phase.OPEN, Answer.FAIL, null));
        journey.append(new FaultChecked("charge", "reseat", Finding.DONE, null));
        assertThat(FaultCase.closed(journey.course().profile(), journey.state(), UsualFaults.TABLE))
                .isEmpty();
        journey.append(tells("charge", Phase.OPEN, Answer.PASS, null));
        Map<String, Double> counted = FaultCase.closed(journey.course().profile(), journey.state(), UsualFaults.TABLE)
                .get("charge");
        assertThat(counted.values().stream().mapToDouble(d -> d).sum()).isCloseTo(1, within(1e-9));
        assertThat(counted.get("plug")).as("reseating cured it").isGreaterThan(0.8);
        assertThat(journey.stepIds(Station.TEST)).noneMatch(id -> id.startsWith("test.fault."));
    }

    /** By the table a voltage that gives way is ten times as likely from a poor charger as from a plug. */
    @Test
    void whatTheMeterReadCountsToo() {
        Journey plain = new Journey().untilStep("open.charge").append(tells("charge", Phase.OPEN, Answer.FAIL, null));
        Journey sags = new Journey()
                .untilStep("open.charge")
                .append(tells("charge", Phase.OPEN, Answer.FAIL, "the voltage gives way, 0.80 A at 4.20 V: x"));
        Map<String, Double> before = only(plain).belief().of();
        Map<String, Double> after = only(sags).belief().of();
        assertThat(after.get("charger") / after.get("plug"))
                .isCloseTo(10 * before.get("charger") / before.get("plug"), within(1e-9));
        assertThat(only(sags).because()).contains("the voltage gives way, by the meter");
    }

    private static String next(Journey journey) {
        return journey.next().orElseThrow().id();
    }

    /** What stands next in the course is one of the steps that its case says it is about. */
    @Test
    void aCaseIsAboutTheTestThatFailedAndTheCheckThatIsNext() {
        Journey loose = new Journey().untilStep("open.touch").append(tells("touch", Phase.OPEN, Answer.FAIL, null));
        assertThat(FaultSteps.about(only(loose))).startsWith("open.touch").contains(next(loose));
        assertThat(next(loose)).startsWith("test.fault.touch.");
        Journey sealed = new Journey().untilStep("after.sound").append(tells("sound", Phase.AFTER, Answer.FAIL, null));
        assertThat(next(sealed)).startsWith("after.fault.sound.");
        assertThat(FaultSteps.about(only(sealed))).contains("after.sound", next(sealed));
    }

    @Test
    void checksThatNobodyKnowsAreNamed() {
        Journey journey = new Journey().untilStep("open.charge").append(tells("charge", Phase.OPEN, Answer.FAIL, null));
        assertThatThrownBy(() -> journey.holds(new FaultChecked("charge", "pray", Finding.DONE, null)))
                .hasMessageContaining("faultCheckId is pray; allowed: one of wiggle, meter, other");
        assertThatThrownBy(() -> journey.holds(new FaultChecked("nothing", "other", Finding.DONE, null)))
                .hasMessageContaining("functionId is nothing");
    }
}
