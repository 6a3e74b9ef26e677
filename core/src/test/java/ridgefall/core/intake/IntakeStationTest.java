package ridgefall.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.Point;
import ridgefall.core.gate.Journey;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatFact.Sweep;
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
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.strip.ScrewAt;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.ScrewTold;
import ridgefall.core.strip.StripFact.ScrewsCounted;
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
                        "intake.data",
                        "intake.risks",
                        "intake.before",
                        "intake.promised",
                        "intake.more",
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
    void anOldCellGoesOnAndIsHeatedLess() {
        Journey journey = new Journey().append(new BatterySeen(Battery.TIRED));
        assertThat(journey.step("intake.battery").answer()).isEqualTo("sound, but old or weak: heated less");
        assertThat(journey.step("intake.battery").open()).isFalse();
        assertThat(journey.holds(new CheckAnswered("parts.variant", Answer.PASS, null)))
                .extracting(Hold::id)
                .doesNotContain("intake.battery");
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

    @Test
    void theOwnerIsAskedAboutDataAndRisksUnlessTheBenchHasBegunBeforeThatWasAsked() {
        Journey journey = new Journey();
        assertThat(journey.step("intake.data").open()).isTrue();
        assertThat(journey.holds(new SoakStarted("plate-1", 70, 60, null, null, Sweep.FACE)))
                .extracting(Hold::id)
                .contains("intake.data", "intake.risks");
        journey.append(new IntakeFact.DataAsked(IntakeFact.DataKept.NOT_SAVED))
                .append(new IntakeFact.RisksAccepted("Hut at Nine Tarns"));
        assertThat(journey.step("intake.data").answer()).isEqualTo("not saved: the owner knows that it may be lost");
        assertThat(journey.step("intake.risks").answer()).isEqualTo("accepted by Hut at Nine Tarns");
        Journey older = new Journey().append(new SoakStarted("plate-1", 70, 60, null, null, Sweep.FACE));
        assertThat(older.stepIds(Station.INTAKE)).doesNotContain("intake.data", "intake.risks");
    }

    @Test
    void screwsMissingAtIntakeAreNeitherLookedForNorHeldAgainstTheSeal() {
        Journey journey = new Journey().append(new IntakeFact.EarlierRepair("tape puckered", 2));
        assertThat(journey.step("intake.earlier").answer()).isEqualTo("tape puckered, 2 screws missing");
        assertThat(journey.course().words().say(2))
                .isEqualTo("Signs of an earlier repair: tape puckered, 2 screws missing");
        journey.until(Station.STRIP);
        assertThat(journey.step("strip.screws-over").hint()).endsWith("2 were missing when it came in: tap the holes");
        journey.append(new ScrewTold("cover-5", ScrewAt.Where.ABSENT, null));
        assertThat(journey.step("strip.screws-over").hint()).endsWith("1 were missing when it came in: tap the holes");
        journey.append(new ScrewsCounted(Count.OUT, 12));
        for (int in : new int[] {12, 13, 14}) {
            assertThat(journey.append(new ScrewsCounted(Count.IN, in))
                            .step("seal.screws")
                            .open())
                    .as("%s in", in)
                    .isFalse();
        }
        assertThat(journey.append(new ScrewsCounted(Count.IN, 15))
                        .step("seal.screws")
                        .open())
                .isTrue();
        journey.append(new CheckAnswered("intake.earlier", Answer.PASS, null));
        assertThat(journey.step("intake.earlier").answer()).isEqualTo("None");
        assertThat(journey.step("strip.screws").hint()).isNull();
    }

    @Test
    void aClassProfileIsAskedWhatThisOneHasAndItIsTriedFromThenOn() {
        Journey journey = new Journey(ShippedBook.profile("class-watch"));
        assertThat(journey.step("intake.more").open()).isTrue();
        assertThat(new Journey().step("intake.more").optional()).isTrue();
        journey.append(new IntakeFact.FunctionAdded("Payment at a reader"));
        assertThat(journey.stepIds(Station.INTAKE)).contains("before.added-2");
        assertThat(journey.stepIds(Station.TEST)).contains("open.added-2");
        assertThat(journey.stepIds(Station.PROVE)).contains("after.added-2");
        assertThat(journey.step("intake.more").choices())
                .extracting(Step.Choice::label)
                .contains("Nothing more", "Mobile network", "Something else")
                .doesNotContain("Payment at a reader");
        assertThat(journey.holds(new FunctionTested("added-2", Phase.BEFORE, Answer.PASS, null)))
                .isEmpty();
    }

    @Test
    void whatNobodyCanSeeWithoutAPictureIsAskedAgain() {
        Journey journey = new Journey()
                .append(new FunctionTested("picture", Phase.BEFORE, Answer.FAIL, null))
                .append(new FunctionTested("light", Phase.BEFORE, Answer.PASS, null));
        assertThat(journey.step("before.light").answer()).isEqualTo("works, yet there is no picture");
        assertThat(journey.step("before.light").open()).isTrue();
        assertThat(journey.step("before.light").choices().get(0).asks().get(0).options())
                .contains("no picture");
        journey.append(new FunctionTested("light", Phase.BEFORE, Answer.CANNOT_TEST, "no picture"));
        assertThat(journey.step("before.light").open()).isFalse();
    }

    @Test
    void whatTheOwnerUnlocksIsSaidAsThat() {
        Journey journey = new Journey().append(new IntakeFact.UnlockedByOwner("photos only"));
        assertThat(journey.step("intake.passcode").answer()).isEqualTo("owner unlocked it: photos only");
        assertThat(journey.course().words().say(2)).isEqualTo("Unlocked by the owner: photos only");
        journey.append(new CheckAnswered("intake.passcode", Answer.PASS, null));
        assertThat(journey.step("intake.passcode").answer()).isEqualTo("To the lock screen");
    }
}
