package ridgefall.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.Point;
import ridgefall.core.gate.Journey;
import ridgefall.core.intake.IntakeFact.Battery;
import ridgefall.core.intake.IntakeFact.BatterySeen;
import ridgefall.core.intake.IntakeFact.CrackDrawn;
import ridgefall.core.intake.IntakeFact.CrackMarked;
import ridgefall.core.intake.IntakeFact.DentMarked;
import ridgefall.core.intake.IntakeFact.MarkRemoved;
import ridgefall.core.intake.IntakeFact.PowerSeen;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.units.NotAllowed;

/** What is asked while the owner stands there. The demo tablet is 250 × 176 mm, 825 mm round, with eight functions. */
class IntakeStationTest {

    @Test
    void asksForDangerFirstThenForThisUnitThenForEveryFunction() {
        assertThat(new Journey().stepIds(Station.INTAKE))
                .containsExactly(
                        "intake.front",
                        "intake.battery",
                        "intake.power",
                        "intake.cards",
                        "intake.accessories",
                        "intake.earlier",
                        "intake.passcode",
                        "intake.before",
                        "intake.promised",
                        "before.picture",
                        "before.touch",
                        "before.stylus",
                        "before.finger",
                        "before.camera",
                        "before.light",
                        "before.sound",
                        "before.charge");
    }

    @Test
    void aSwollenBatteryLeadsToWhatToDoAndIsNobodysToSignOff() {
        Journey journey = new Journey().append(new BatterySeen(Battery.SWOLLEN));
        Step battery = journey.step("intake.battery");
        assertThat(battery.lead()).isEqualTo(Step.Lead.STOP);
        assertThat(battery.open()).isTrue();
        assertThat(battery.hint()).contains("local rules for damaged batteries");
        List<Hold> holds = journey.holds(new CheckAnswered("parts.variant", Answer.PASS, null));
        assertThat(holds).extracting(Hold::id).containsExactly("intake.battery");
        assertThat(holds).noneMatch(Hold::overridable);
        assertThat(journey.holds(new PowerSeen(true))).isEmpty();
    }

    @Test
    void whatDoesNotWorkIsAFindingAndHoldsNothing() {
        Journey journey = new Journey().append(new FunctionTested("touch", Phase.BEFORE, Answer.FAIL, null));
        assertThat(journey.step("before.touch").answer()).isEqualTo("Fails");
        assertThat(journey.step("before.touch").open()).isFalse();
    }

    @Test
    void bothAnswersAboutThePasscodeAreFindings() {
        assertThat(new Journey()
                        .append(new CheckAnswered("intake.passcode", Answer.CANNOT_TEST, "photos only"))
                        .step("intake.passcode")
                        .answer())
                .isEqualTo("Owner unlocks now: photos only");
        assertThat(new Journey()
                        .append(new CheckAnswered("intake.passcode", Answer.PASS, null))
                        .step("intake.passcode")
                        .open())
                .isFalse();
    }

    @Test
    void whatIsDrawnLiesOnThisFace() {
        Journey journey = new Journey();
        assertThat(journey.holds(new DentMarked(new Point(254, 180)))).isEmpty();
        assertThatThrownBy(() -> journey.holds(new DentMarked(new Point(256, 10))))
                .isInstanceOf(NotAllowed.class)
                .hasMessage("xMm is 256; allowed: -5 to 255 mm");
        assertThatThrownBy(() -> journey.holds(new CrackDrawn(List.of(new Point(1, 1), new Point(1, 190)))))
                .hasMessageContaining("yMm is 190");
        assertThatThrownBy(() -> journey.holds(new CrackMarked(830, 0))).hasMessageContaining("fromMm is 830");
    }

    @Test
    void onlyWhatIsMarkedCanBeRemoved() {
        Journey journey = new Journey().append(new DentMarked(new Point(3, 4)));
        assertThat(journey.holds(new MarkRemoved(2))).isEmpty();
        assertThatThrownBy(() -> journey.holds(new MarkRemoved(1))).hasMessageContaining("the number of a mark");
    }

    @Test
    void askingAboutWhatThisDeviceHasNotIsRefusedNamingWhatItHas() {
        assertThatThrownBy(() -> new Journey().holds(new FunctionTested("crown", Phase.BEFORE, Answer.PASS, null)))
                .hasMessageContaining("functionId is crown; allowed: one of picture, touch, stylus");
        assertThatThrownBy(() -> new Journey().holds(new CheckAnswered("intake.weather", Answer.PASS, null)))
                .hasMessageContaining("checkId is intake.weather");
    }

    @Test
    void theBoardAsksForWhereAndNothingElse() {
        IntakeStation.Board board = IntakeStation.board();
        assertThat(board.crack().asks()).extracting(Step.Ask::kind).containsExactly(Step.Ask.Kind.LINE);
        assertThat(board.dent().asks()).extracting(Step.Ask::kind).containsExactly(Step.Ask.Kind.POINT);
        assertThat(board.bend().asks())
                .extracting(Step.Ask::kind)
                .containsExactly(Step.Ask.Kind.CORNER, Step.Ask.Kind.NUMBER, Step.Ask.Kind.NUMBER);
        assertThat(board.bend().asks())
                .filteredOn(Step.Ask::mayBeEmpty)
                .extracting(Step.Ask::field)
                .containsExactly("bentMm");
        assertThat(board.crackAt().asks()).extracting(Step.Ask::field).containsExactly("fromMm");
    }
}
