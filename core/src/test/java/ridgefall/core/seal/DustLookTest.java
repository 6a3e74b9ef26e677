package ridgefall.core.seal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.DustLook.Speck;
import ridgefall.core.seal.DustLook.Zone;
import ridgefall.core.seal.SealFact.ZoneLooked;

/** Between glass and panel, by a light from the side. */
class DustLookTest {
    private static final CheckAnswered CLEAN = new CheckAnswered("seal.dust", Answer.PASS, null);

    private static Journey atTheLook() {
        return new Journey().untilStep("seal.dust");
    }

    /** As many as patches of 90 mm: a tablet of 248 × 178 mm has three by two, a watch is one. */
    @ParameterizedTest
    @CsvSource({"marrowby-quire-11, 6", "pellow-dial-41, 1"})
    void aFrontIsLookedAtInAsManyPatchesAsTheLightNeeds(String device, int zones) {
        assertThat(DustLook.zones(ShippedBook.profile(device))).hasSize(zones);
    }

    static List<String> devices() {
        return ShippedBook.IDS;
    }

    @ParameterizedTest
    @MethodSource("devices")
    void togetherTheZonesAreTheWholeFront(String device) {
        var profile = ShippedBook.profile(device);
        double area = DustLook.zones(profile).stream()
                .mapToDouble(zone -> zone.widthMm() * zone.heightMm())
                .sum();
        assertThat(area).isCloseTo(profile.edge().widthMm() * profile.edge().heightMm(), within(1e-6));
        assertThat(DustLook.zones(profile)).allMatch(zone -> zone.widthMm() <= 90 && zone.heightMm() <= 90);
        assertThat(DustLook.zones(profile).get(0))
                .extracting(Zone::xMm, Zone::yMm)
                .containsExactly(0.0, 0.0);
    }

    @Test
    void aHairStandsInTheWayUntilItIsOffAndLookedAtAgain() {
        Journey journey = atTheLook().append(new ZoneLooked(4, Speck.HAIR));
        Step step = journey.step("seal.dust");
        assertThat(step.answer()).isEqualTo("A hair in zone 4 of 6");
        assertThat(step.problem()).isTrue();
        assertThat(step.hint()).isEqualTo("lifted with a sticky roller");
        assertThat(step.choices()).extracting(Step.Choice::label).containsExactly("Off, and looked again");
        assertThat(journey.heldBy(CLEAN)).containsExactly("seal.dust");
        assertThat(journey.heldBy(new SealFact.Sealed())).contains("seal.dust");
        journey.append(step.choices().get(0).fact());
        assertThat(journey.step("seal.dust").answer())
                .as("five were not looked at yet")
                .isNull();
        assertThat(journey.holds(CLEAN)).isEmpty();
        assertThat(journey.append(CLEAN).step("seal.dust").answer()).isEqualTo("Clean");
    }

    @Test
    void whoLooksAtEachNeedNotSayItAgainOfAll() {
        Journey journey = atTheLook();
        for (int zone = 1; zone <= 6; zone++) {
            journey.append(new ZoneLooked(zone, Speck.NOTHING));
        }
        assertThat(journey.step("seal.dust").answer()).isEqualTo("Clean, all 6 zones looked at");
    }

    @Test
    void whatIsSeenLaterIsInTheWayThoughAllWasCalledClean() {
        Journey journey = atTheLook().append(CLEAN).append(new ZoneLooked(2, Speck.SPLINTER));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("seal.dust");
        assertThat(journey.step("seal.dust").hint()).contains("never a finger");
    }

    @Test
    void aZoneThatThisFrontDoesNotHaveIsRefused() {
        assertThatThrownBy(() -> atTheLook().holds(new ZoneLooked(7, Speck.DUST)))
                .hasMessage("zone is 7; allowed: 1 to 6 zones of this front");
    }
}
