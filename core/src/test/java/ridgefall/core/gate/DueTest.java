package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.BondFact.HeldByChosen;
import ridgefall.core.bond.HeldBy;
import ridgefall.core.carry.CarryFact.CarryOverDeclined;
import ridgefall.core.clean.CleanFact.GlueOff;
import ridgefall.core.heat.HeatFact.SoakEnded;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact.CoverRemoved;
import ridgefall.core.strip.ScrewAt.Where;
import ridgefall.core.strip.StripFact.BatteryIsolated;
import ridgefall.core.strip.StripFact.Isolation;
import ridgefall.core.strip.StripFact.PlugFreed;
import ridgefall.core.strip.StripFact.ScrewsMoved;

/** Nothing is taken for done that comes after something which is not: what a screen that was too fast once had recorded. */
class DueTest {
    private static final Fact PICTURE = new FunctionTested("picture", Phase.OPEN, Answer.PASS, null);
    private static final Fact STYLUS = new FunctionTested("stylus", Phase.OPEN, Answer.PASS, null);

    private static FunctionTested touch(Phase phase, Answer answer) {
        return new FunctionTested("touch", phase, answer, null);
    }

    private static Fact pass(String checkId) {
        return new CheckAnswered(checkId, Answer.PASS, null);
    }

    @Test
    void aPlugUnderAShieldStaysInUntilItsScrewsAreOut() {
        Journey journey = new Journey().untilStep("strip.screws");
        Hold hold = journey.holds(new PlugFreed("display-plug")).get(0);
        assertThat(hold.because()).startsWith("Something lies over it: screws ").endsWith(" are still in");
        assertThat(hold.overridable()).as("a book can be wrong").isTrue();
        Fact plug = new PlugFreed("display-plug");
        assertThat(journey.again().signOff(hold.id(), plug).holds(plug)).isEmpty();
        assertThat(journey.untilStep("strip.display-plug").holds(plug)).isEmpty();
    }

    @Test
    void theCardGoesUnderTheContactOnceEveryScrewOverItIsOut() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("strip.screws-under");
        journey.tapNext();
        assertThat(journey.heldBy(new BatteryIsolated(Isolation.CARD_UNDER_CONTACT)))
                .containsExactly("strip.covered");
    }

    @Test
    void screwsUnderACoverComeOutAfterThoseOfTheCover() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("strip.screws-over");
        String under = journey.course()
                .profile()
                .stripOrder()
                .unscrewed()
                .skip(1)
                .findFirst()
                .orElseThrow()
                .screws()
                .get(0)
                .id();
        assertThat(journey.heldBy(new ScrewsMoved(List.of(under), Where.OUT))).containsExactly("strip.covered");
    }

    private static Journey heldByStrips() {
        Journey journey = new Journey().untilStep("bond.held");
        Fact strips = journey.step("bond.held").choices().stream()
                .map(Step.Choice::fact)
                .filter(fact -> fact instanceof HeldByChosen chosen && chosen.held() == HeldBy.STRIPS)
                .findFirst()
                .orElseThrow();
        return journey.append(strips);
    }

    @Test
    void noPlugGoesHomeBeforeAnyStripLies() {
        Journey journey = heldByStrips();
        String plug = journey.stepIds(Station.TEST).get(0);
        Hold hold = journey.holds(pass(plug)).get(0);
        assertThat(hold.station()).isEqualTo(Station.BOND);
        assertThat(hold.because()).startsWith("Before it: ");
    }

    @Test
    void nothingIsProvenWhileItIsPressed() {
        Journey journey = new Journey().untilStep("seal.press");
        journey.tapNext();
        assertThat(journey.next().map(Step::id)).contains("seal.press");
        assertThat(journey.heldBy(new FunctionTested("picture", Phase.AFTER, Answer.PASS, null)))
                .containsExactly("seal.press");
    }

    /** What comes out in one go lies over nothing any more: then it is the plug that holds its cover. */
    @Test
    void screwsInOneGoDoNotHoldOneAnotherBack() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).untilStep("strip.screws-over");
        List<String> all = journey.course().profile().stripOrder().screws().stream()
                .map(Screw::id)
                .toList();
        assertThat(journey.holds(new ScrewsMoved(all, Where.OUT)))
                .extracting(Hold::because)
                .containsExactly("Something lies over it: Panel press plug is still in");
    }

    @Test
    void noFilmComesOffWhileScrewsAreOut() {
        Journey journey = new Journey().untilStep("seal.screws");
        journey.tapNext();
        assertThat(journey.heldBy(new CoverRemoved("liner-long"))).containsExactly("seal.screws");
    }

    @Test
    void whatFailsIsMetBeforeTheNextIsTried() {
        Journey journey = new Journey().untilStep("open.touch").append(touch(Phase.OPEN, Answer.FAIL));
        assertThat(journey.next().orElseThrow().title()).as("its cause").startsWith("Touch everywhere fails: ");
        assertThat(journey.heldBy(STYLUS)).containsExactly("open.touch");
        assertThat(journey.heldBy(touch(Phase.OPEN, Answer.PASS)))
                .as("tried again")
                .isEmpty();
        assertThat(journey.heldBy(new FunctionTested("stylus", Phase.OPEN, Answer.FAIL, null)))
                .as("bad news is never too early")
                .isEmpty();
    }

    @Test
    void likeGoesWithLikeInAnyOrderAndAnAnswerCanBeCorrected() {
        Journey journey = new Journey().untilStep("open.picture");
        assertThat(journey.heldBy(STYLUS)).isEmpty();
        journey.append(PICTURE).untilStep("seal.screws");
        assertThat(journey.heldBy(new FunctionTested("picture", Phase.OPEN, Answer.CANNOT_TEST, "no power")))
                .isEmpty();
    }

    @Test
    void whatEndsSomethingAndWhatAnOwnerSignsNeverWaits() {
        List<Step> steps = List.of(
                step("clean.glue", new GlueOff(List.of("top"))),
                step("heat.soak", new SoakEnded(0)),
                step("carry.key", new CarryOverDeclined("key", "?")));
        assertThat(Due.early(new SoakEnded(90), steps)).isEmpty();
        assertThat(Due.early(new CarryOverDeclined("key", "Ansa Orrick"), steps))
                .isEmpty();
    }

    /** A proposal waits for nobody, and what a lead must settle first is no lead's to wave through here. */
    @Test
    void onlyWhatIsNotOverStandsBefore() {
        Step asked = step("open.picture", PICTURE);
        Step proposal = step("clean.glue", new GlueOff(List.of("top"))).leading(Step.Lead.PROPOSE);
        assertThat(Due.early(PICTURE, List.of(proposal, asked))).isEmpty();
        assertThat(Due.early(PICTURE, List.of(proposal.leading(Step.Lead.RECORD).asOptional(), asked)))
                .isEmpty();
        Optional<Hold> stop =
                Due.early(PICTURE, List.of(proposal.problem("swollen").leading(Step.Lead.STOP), asked));
        assertThat(stop.orElseThrow().overridable()).isFalse();
    }

    private static Step step(String id, Fact fact) {
        return Step.open(id, Station.TEST, id, null, Step.go("Done", fact));
    }
}
