package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.seal.SealFact.CoverRemoved;

/** What can be tried with the front loose is tried; camera and light sensor of the demo tablet work only closed. */
class TestStationTest {
    private static Journey loose() {
        return new Journey().until(Station.TEST);
    }

    private static FunctionTested touch(Answer answer, String reason) {
        return new FunctionTested("touch", Phase.OPEN, answer, reason);
    }

    @Test
    void plugsFirstThenEveryFunctionThatWorksOpen() {
        assertThat(new Journey().stepIds(Station.TEST))
                .containsExactly(
                        "test.plugged",
                        "open.picture",
                        "open.touch",
                        "open.stylus",
                        "open.finger",
                        "open.sound",
                        "open.charge");
    }

    @Test
    void nothingIsTriedOpenWhileTheFrontIsClosed() {
        assertThat(new Journey().heldBy(touch(Answer.PASS, null))).containsExactly("test.closed");
        assertThat(loose().heldBy(touch(Answer.PASS, null))).isEmpty();
    }

    @Test
    void whatFailsAsksAgainAndHoldsTheLiners() {
        Journey journey = loose().until(Station.SEAL).append(touch(Answer.FAIL, null));
        assertThat(journey.step("open.touch").lead()).isEqualTo(Step.Lead.ASK_AGAIN);
        assertThat(journey.heldBy(new CoverRemoved("liner-long"))).containsExactly("open.touch");
        assertThat(journey.append(touch(Answer.PASS, null)).heldBy(new CoverRemoved("liner-long")))
                .isEmpty();
    }

    @Test
    void whatCannotBeTriedSaysWhyAndHoldsNothing() {
        Journey journey = loose().until(Station.SEAL).append(touch(Answer.CANNOT_TEST, "no picture to touch"));
        assertThat(journey.step("open.touch").answer()).isEqualTo("Can't test: no picture to touch");
        assertThat(journey.heldBy(new CoverRemoved("liner-long"))).isEmpty();
        assertThatThrownBy(() -> journey.holds(touch(Answer.CANNOT_TEST, null))).hasMessageContaining("reason");
    }

    @Test
    void howItWasBeforeStandsBesideTheQuestion() {
        Journey journey = new Journey().append(new FunctionTested("touch", Phase.BEFORE, Answer.FAIL, null));
        assertThat(journey.step("open.touch").hint()).isEqualTo("At intake: fails");
    }

    @Test
    void whatOnlyWorksClosedIsNotAskedHere() {
        assertThatThrownBy(() -> loose().holds(new FunctionTested("camera", Phase.OPEN, Answer.PASS, null)))
                .hasMessageContaining("functionId is camera; allowed: one of picture, touch");
        assertThatThrownBy(() -> loose().holds(new CheckAnswered("test.smell", Answer.PASS, null)))
                .hasMessageContaining("allowed: one of test.plugged");
    }
}
