package ridgefall.core.test;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;

class ProvenByTest {
    private static Optional<ProvenBy> of(DeviceProfile profile, String stepId) {
        return ProvenBy.of(profile, Step.open(stepId, Station.TEST, "Works?", null));
    }

    @Test
    void aTabletTellsOfItsTouchAndAMeterOfItsCharge() {
        DeviceProfile quire = ShippedBook.quire11();
        assertThat(List.of("before.touch", "open.touch", "after.picture"))
                .allMatch(step -> of(quire, step).equals(Optional.of(ProvenBy.DEVICE)));
        assertThat(of(quire, "open.charge")).contains(ProvenBy.METER);
        assertThat(of(quire, "before.charge"))
                .as("at the counter no meter is in its lead")
                .isEmpty();
        assertThat(of(quire, "open.finger")).as("a finger alone can tell").isEmpty();
        assertThat(of(quire, "intake.front")).isEmpty();
    }

    /** Its card hangs on a board that moves onto the new front. */
    @Test
    void aWatchIsHeldToAReader() {
        DeviceProfile dial = ShippedBook.profile("pellow-dial-41");
        String card = dial.functions().stream()
                .map(function -> function.id())
                .filter(dial::provenAtReader)
                .findFirst()
                .orElseThrow();
        assertThat(of(dial, "open." + card)).contains(ProvenBy.READER);
        assertThat(of(ShippedBook.quire11(), "open." + card)).isEmpty();
    }
}
