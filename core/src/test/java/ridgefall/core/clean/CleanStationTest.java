package ridgefall.core.clean;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.BondFact;
import ridgefall.core.clean.CleanFact.Accepted;
import ridgefall.core.clean.CleanFact.CornerSwept;
import ridgefall.core.clean.CleanFact.Flaw;
import ridgefall.core.clean.CleanFact.GlueOff;
import ridgefall.core.clean.CleanFact.LedgeDry;
import ridgefall.core.clean.CleanFact.LeftUnprimed;
import ridgefall.core.clean.CleanFact.Primed;
import ridgefall.core.clean.CleanFact.SentBack;
import ridgefall.core.clean.CleanFact.Wiped;
import ridgefall.core.gate.Course;
import ridgefall.core.gate.Journey;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.TimerStarted;
import ridgefall.core.job.JobFact.TimerStopped;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact;

/** Bare, wiped, dry, flat, stretch by stretch; primed where tape would not hold without. */
class CleanStationTest {
    private static final Fact FLAT = new CheckAnswered("clean.flat", Answer.PASS, null);

    private static Journey atTheLedge() {
        return new Journey().until(Station.CLEAN);
    }

    private static Journey atTheLedgeOf(String id) {
        return new Journey(ShippedBook.profile(id)).until(Station.CLEAN);
    }

    private static Stage stage(Journey journey, String stretchId) {
        return CleanState.of(journey.state()).stage(stretchId);
    }

    private static Fact firstOf(Journey journey, String stepId) {
        return journey.step(stepId).choices().get(0).fact();
    }

    @Test
    void goesFromBladeToSolventToDryingToTheNail() {
        assertThat(new Journey().stepIds(Station.CLEAN))
                .containsExactly("clean.bare", "clean.wiped", "clean.drying", "clean.flat", "clean.primer");
    }

    @Test
    void theBladeGoesEdgeByEdgeEachWithTheCornerAfterIt() {
        Journey journey = atTheLedge();
        Step bare = journey.step("clean.bare");
        assertThat(bare.choices()).extracting(Step.Choice::label).startsWith("Camera edge bare", "All round bare");
        assertThat(bare.choices().get(0).fact())
                .isEqualTo(new GlueOff(List.of("top-1", "top-2", "top-3", "top-right-1")));
        assertThat(bare.hint()).startsWith("steel blade");
        journey.append(bare.choices().get(0).fact());
        assertThat(journey.step("clean.bare").choices().get(0).label()).isEqualTo("Port edge bare");
        assertThat(stage(journey, "top-2")).isEqualTo(Stage.BARE);
        assertThat(stage(journey, "left-1")).isEqualTo(Stage.GLUE);
        assertThat(atTheLedgeOf("sillery-satchel-7").step("clean.bare").hint()).startsWith("plastic blade");
    }

    @Test
    void acetoneGoesFirstWhereNothingMindsItThenAlcoholAndEachHasItsClock() {
        Journey journey = atTheLedge().untilStep("clean.wiped");
        Wiped acetone = (Wiped) firstOf(journey, "clean.wiped");
        assertThat(acetone.solvent()).isEqualTo(FrameSolvent.ACETONE);
        assertThat(acetone.seconds()).isEqualTo(60);
        assertThat(acetone.stretchIds()).contains("top-1").doesNotContain("top-2", "right-1", "left-2");
        assertThat(journey.step("clean.wiped").hint()).contains("acetone nowhere within {mm:10} of plastic");
        journey.append(acetone);
        Wiped alcohol = (Wiped) firstOf(journey, "clean.wiped");
        assertThat(alcohol).isEqualTo(new Wiped(List.of("top-2", "right-1", "left-2"), FrameSolvent.ALCOHOL, 145));
        journey.append(alcohol);
        assertThat(journey.state().running())
                .extracting(timer -> timer.id())
                .contains("DRYING-ACETONE", "DRYING-ALCOHOL");
        Step drying = journey.step("clean.drying");
        assertThat(drying.waitsFor())
                .as("the one that ends last")
                .isEqualTo(journey.state().seq());
        journey.append(new LedgeDry());
        assertThat(journey.step("clean.drying").answer()).isEqualTo("dried");
        assertThat(journey.state().running()).isEmpty();
    }

    @Test
    void aWarmRoomThatWasReadDriesSooner() {
        Journey journey = atTheLedge().append(new HeatFact.RoomRead(35)).untilStep("clean.wiped");
        journey.append(firstOf(journey, "clean.wiped"));
        assertThat(((Wiped) firstOf(journey, "clean.wiped")).seconds()).isEqualTo(62);
    }

    @Test
    void aHouseWithoutAcetoneTakesAlcoholAllRound() {
        Journey journey = atTheLedge().untilStep("clean.wiped");
        Step.Choice all = journey.step("clean.wiped").choices().get(1);
        assertThat(all.label()).isEqualTo("Alcohol all round");
        journey.append(all.fact());
        assertThat(journey.step("clean.wiped").answer()).isEqualTo("Wiped");
    }

    @Test
    void acetoneWhereItTakesSomethingIsHeldAndSoIsSolventOnGlue() {
        Journey journey = atTheLedge();
        assertThat(journey.holds(new Wiped(List.of("top-2"), FrameSolvent.ACETONE, 60)))
                .extracting(Hold::because)
                .containsExactly("Acetone within {mm:10} of what it takes: alcohol there", "There is glue on it still");
        assertThatThrownBy(() -> journey.holds(new GlueOff(List.of("middle-1"))))
                .hasMessageStartingWith("stretchIds is middle-1; allowed: one of top-1, top-2");
    }

    @Test
    void whatTheNailFindsGoesBackByItselfAndOnlyThat() {
        Journey journey = atTheLedge().untilStep("clean.flat").append(FLAT);
        assertThat(stage(journey, "top-2")).isEqualTo(Stage.ACCEPTED);
        journey.append(new SentBack("right-1", Flaw.DULL));
        assertThat(stage(journey, "right-1")).isEqualTo(Stage.BARE);
        assertThat(stage(journey, "top-2")).isEqualTo(Stage.ACCEPTED);
        assertThat(journey.next().orElseThrow().id()).isEqualTo("clean.wiped");
        assertThat(firstOf(journey, "clean.wiped")).isEqualTo(new Wiped(List.of("right-1"), FrameSolvent.ALCOHOL, 145));
        journey.append(new SentBack("left-1", Flaw.SHARD));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("clean.bare");
        assertThat(journey.heldBy(FLAT)).containsExactly("clean.bare");
        journey.untilStep("clean.flat");
        assertThat(journey.step("clean.flat").open())
                .as("run a nail along it again")
                .isTrue();
    }

    @Test
    void aShatteredFrontIsSweptCornerByCorner() {
        Journey journey = atTheLedge().append(new IntakeFact.FrontSeen(FrontCondition.SHATTERED));
        journey.untilStep("clean.swept");
        assertThat(journey.step("clean.swept").choices())
                .extracting(Step.Choice::label)
                .containsExactly("Corner of camera edge and port edge swept");
        for (int left = 4; left > 0; left--) {
            assertThat(journey.heldBy(new Primed(145))).contains("clean.swept");
            assertThat(journey.tapNext()).isInstanceOf(CornerSwept.class);
        }
        assertThat(journey.step("clean.swept").answer()).isEqualTo("Swept");
    }

    @Test
    void primerIsAskedForOnANarrowLedgeAndOfferedOnAWideOne() {
        assertThat(atTheLedge().step("clean.primer").open()).isFalse();
        Journey watch = atTheLedgeOf("pellow-dial-41");
        assertThat(watch.step("clean.primer").open()).isTrue();
        assertThat(watch.step("clean.primer").hint()).startsWith("the ledge is only {mm:1.1} wide");
        assertThat(watch.append(new LeftUnprimed()).step("clean.primer").answer())
                .isEqualTo("without");
        assertThat(atTheLedge().step("clean.primer").hint())
                .contains("never on a lens: stop {mm:5} short of it (front camera)");
    }

    @Test
    void wetPrimerHoldsTheTapeAndPrimerThatAgedIsLaidAgain() {
        Journey journey = atTheLedge().untilStep("clean.flat").append(FLAT);
        journey.append(new Primed(145)).append(new BondFact.StripsChosen(TapeSchool.BUTT));
        Instant primed = journey.journal().get(journey.journal().size() - 2).happenedAt();
        Fact strip = new BondFact.StripLaid("top-1");
        assertThat(at(journey, primed.plusSeconds(144)).holds(strip))
                .extracting(Hold::because)
                .contains("The primer is still wet");
        journey.append(journey.step("clean.primer").choices().get(0).fact());
        assertThat(journey.state().timer(Priming.OPEN))
                .as("said 20 s after it was primed, its clock ends an hour after it was primed all the same")
                .hasValueSatisfying(clock -> assertThat(clock.startedAt().plusSeconds(clock.seconds()))
                        .isEqualTo(primed.plusSeconds(3600)));
        Course dry = at(journey, primed.plusSeconds(3599));
        assertThat(dry.holds(strip)).isEmpty();
        Course old = at(journey, primed.plusSeconds(3601));
        assertThat(old.holds(strip)).extracting(Hold::because).contains("The primer's open time is over: prime again");
        assertThat(old.next().orElseThrow().title()).isEqualTo("Primer's open time is over: prime again");
    }

    @Test
    void tapeThatCameOnTheFrontMeetsThePrimerWhenItIsSealed() {
        Journey journey = atTheLedge().untilStep("clean.flat").append(FLAT).append(new Primed(145));
        Instant primed = journey.state().latest().happenedAt();
        journey.append(new CleanFact.PrimerDry(3455));
        assertThat(at(journey, primed.plusSeconds(3601)).holds(new SealFact.Sealed()))
                .extracting(Hold::because)
                .contains("The primer's open time is over: prime again");
        journey.append(new CheckAnswered("bond.ring", Answer.PASS, null));
        assertThat(at(journey, primed.plusSeconds(3601)).holds(new SealFact.Sealed()))
                .extracting(Hold::because)
                .doesNotContain("The primer's open time is over: prime again");
    }

    private static Course at(Journey journey, Instant time) {
        return journey.course().at(time);
    }

    @Test
    void theOldFrontIsOffItsPlugsFirst() {
        Fact bare = new CheckAnswered("clean.bare", Answer.PASS, null);
        assertThat(new Journey().heldBy(bare)).containsExactly("strip.isolate");
        assertThat(atTheLedge().heldBy(bare)).isEmpty();
    }

    @Test
    void whatWasToldOfAllOfItAtOnceStillCounts() {
        Journey journey = atTheLedge()
                .append(new CheckAnswered("clean.bare", Answer.PASS, null))
                .append(new CheckAnswered("clean.wiped", Answer.PASS, null))
                .append(new TimerStarted("DRYING", 90, null))
                .append(new TimerStopped("DRYING", null))
                .append(FLAT);
        assertThat(List.of("clean.bare", "clean.wiped", "clean.drying", "clean.flat"))
                .extracting(id -> journey.step(id).answer())
                .containsExactly("Bare", "Wiped", "dried", "Flat and shiny");
        assertThat(stage(journey, "left-2")).isEqualTo(Stage.ACCEPTED);
    }

    @Test
    void aLedgeThatIsNotRightStaysOpenAndAsksAgain() {
        Journey journey = atTheLedge()
                .untilStep("clean.flat")
                .append(new CheckAnswered("clean.flat", Answer.FAIL, "ridge at the port"));
        assertThat(journey.step("clean.flat").lead()).isEqualTo(Step.Lead.ASK_AGAIN);
        assertThat(journey.step("clean.flat").answer()).isEqualTo("ridge at the port");
        assertThat(journey.step("clean.flat").open()).isTrue();
    }

    @Test
    void whatALeadLetsByIsNoTrap() {
        Fact strip = new BondFact.StripLaid("top-1");
        Journey smeared = atTheLedge().append(new CheckAnswered("clean.bare", Answer.FAIL, "paint came off"));
        smeared.signOff("clean.bare", strip);
        assertThat(smeared.next().orElseThrow().id()).isEqualTo("clean.wiped");
        assertThat(smeared.heldBy(firstOf(smeared, "clean.wiped"))).isEmpty();
        Journey dry = atTheLedge()
                .untilStep("clean.wiped")
                .append(new CheckAnswered("clean.wiped", Answer.FAIL, "no solvent near this cell"));
        dry.signOff("clean.wiped", strip);
        assertThat(dry.step("clean.drying").answer()).isEqualTo("nothing wet");
        assertThat(dry.next().orElseThrow().id()).isEqualTo("clean.flat");
    }

    @Test
    void checksAndClocksOfOtherKindsAreRefused() {
        assertThatThrownBy(() -> atTheLedge().holds(new CheckAnswered("clean.windows", Answer.PASS, null)))
                .hasMessage(
                        "checkId is clean.windows; allowed: one of clean.bare, clean.wiped, clean.drying, clean.flat");
        assertThatThrownBy(() -> atTheLedge().holds(new TimerStarted("TEA", 240, null)))
                .hasMessage(
                        "kind is TEA; allowed: CREEPING or SPLIT_WARMING or DRYING or CHARGE_TEST or PRESSING or LEAK_TEST");
    }

    @Test
    void itIsAcceptedStretchByStretchOrAllRound() {
        Journey journey = atTheLedge();
        List<String> all = LedgeMap.of(journey.course().profile()).stretches().stream()
                .map(LedgeMap.Stretch::id)
                .toList();
        assertThat(journey.heldBy(new Accepted(all.subList(0, 1))))
                .as("glue is on it")
                .contains("clean.drying");
        journey.untilStep("clean.flat").append(new Accepted(all.subList(0, 3)));
        assertThat(stage(journey, all.get(2))).isEqualTo(Stage.ACCEPTED);
        assertThat(journey.step("clean.flat").open()).isTrue();
        journey.append(new Accepted(all.subList(3, all.size())));
        assertThat(journey.step("clean.flat").answer()).isEqualTo("Flat and shiny");
        journey.append(new SentBack(all.get(4), Flaw.DULL));
        assertThat(journey.step("clean.flat").open()).as("one of them is dull").isTrue();
    }

    @Test
    void theHouseMayPrimeAlwaysOrNever() {
        assertThat(primer("marrowby-quire-11", PrimerSchool.WHERE_NEEDED).optional())
                .isTrue();
        assertThat(primer("marrowby-quire-11", PrimerSchool.ALWAYS).open()).isTrue();
        assertThat(primer("marrowby-quire-11", PrimerSchool.ALWAYS).hint())
                .startsWith("a metal ledge {mm:3.0} wide holds without")
                .endsWith("this house primes all the same");
        assertThat(primer("pellow-dial-41", PrimerSchool.WHERE_NEEDED).open()).isTrue();
        assertThat(primer("pellow-dial-41", PrimerSchool.NEVER).optional()).isTrue();
        assertThat(primer("pellow-dial-41", PrimerSchool.NEVER).hint()).contains("this house does without");
    }

    private static Step primer(String id, PrimerSchool school) {
        Journey journey = atTheLedgeOf(id);
        return new CleanStation(() -> school, Instant.EPOCH)
                .steps(journey.course().profile(), journey.state()).stream()
                        .filter(step -> step.id().equals("clean.primer"))
                        .findFirst()
                        .orElseThrow();
    }
}
