package ridgefall.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import ridgefall.core.fault.FaultFact.FaultChecked;
import ridgefall.core.fault.FaultFact.Finding;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;

/** To open a watch again is not to open a tablet again. */
class ReachTest {
    private static double opening(String id) {
        return Reach.openingMinutes(ShippedBook.profile(id));
    }

    private static Reach of(Journey journey, String functionId, Phase phase) {
        DeviceProfile profile = journey.course().profile();
        return Reach.of(profile, journey.state(), profile.function(functionId).orElseThrow(), phase);
    }

    /** 11 min, and 2.2 s for each mm of 825, 661 and 138: 30.3, 24.2 and 5.1 min. A clipped front has nothing to warm. */
    @Test
    void howLongAnOpeningTakesFollowsFromTheEdge() {
        assertThat(opening("marrowby-quire-11")).isCloseTo(41.3, within(0.1));
        assertThat(opening("marrowby-quire-8")).isCloseTo(35.2, within(0.1));
        assertThat(opening("pellow-dial-41")).isCloseTo(16.1, within(0.1));
        assertThat(opening("drumlin-crate-10")).isEqualTo(8);
    }

    /**
     * The touch plug of the Quire 8 wants the battery out of circuit, which is under the plate under the panel: 4 + 13 screws at 8 s,
     * panel plug 15, panel 30, tape, plate and shield 10 each, 211 s down and as long back. The panel's plug has its shield only.
     */
    @Test
    void whatLiesOverAPlugComesOffAndGoesBack() {
        Journey sealed = new Journey(ShippedBook.profile("marrowby-quire-8"));
        assertThat(of(sealed, "touch", Phase.AFTER).plugs()).isCloseTo(2 * 211 / 60.0, within(1e-9));
        assertThat(of(sealed, "picture", Phase.AFTER).plugs()).isCloseTo(2 * 10 / 60.0, within(1e-9));
    }

    @Test
    void withTheFrontLooseThePlugsThatCameOffLieBare() {
        Journey loose = new Journey(ShippedBook.profile("marrowby-quire-8")).until(Station.TEST);
        assertThat(of(loose, "touch", Phase.OPEN)).isEqualTo(Reach.AT_HAND);
    }

    /** Once something was done inside, the way in is paid for; a look from outside pays for nothing. */
    @Test
    void theWayInIsCountedOnce() {
        Journey journey = new Journey()
                .untilStep("after.touch")
                .append(new FunctionTested("touch", Phase.AFTER, Answer.FAIL, null));
        double before = only(journey).reach().minutes();
        assertThat(before).isGreaterThan(40);
        journey.append(new FaultChecked("touch", "press", Finding.SOUND, Phase.AFTER));
        assertThat(only(journey).reach().minutes()).isEqualTo(before);
        journey.append(new FaultChecked("touch", "flex", Finding.SOUND, Phase.AFTER));
        assertThat(only(journey).reach()).isEqualTo(Reach.AT_HAND);
    }

    private static FaultCase only(Journey journey) {
        return FaultSteps.open(journey.course().profile(), journey.state(), Faults.USUAL).stream()
                .filter(one -> one.function().id().equals("touch"))
                .findFirst()
                .orElseThrow();
    }
}
