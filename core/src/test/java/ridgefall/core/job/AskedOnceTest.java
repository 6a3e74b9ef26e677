package ridgefall.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;

/** A station builds its steps once while a job stands as it does. */
class AskedOnceTest {
    private static final DeviceProfile QUIRE = ShippedBook.quire11();

    private final List<JobState> asked = new ArrayList<>();

    private final StationRoom room = new AskedOnce(new StationRoom() {
        @Override
        public Station station() {
            return Station.CLEAN;
        }

        @Override
        public List<Step> steps(DeviceProfile profile, JobState state) {
            asked.add(state);
            return new ArrayList<>(List.of(Step.open("clean.bare", Station.CLEAN, "Bare", null)));
        }

        @Override
        public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
            return List.of(Hold.firm("clean.bare", Station.CLEAN, "not bare"));
        }
    });

    @Test
    void askedAgainOfTheSameItSaysTheSameWithoutBuildingAnything() {
        JobState state = JobState.of(List.of());
        List<Step> first = room.steps(QUIRE, state);
        assertThat(room.steps(QUIRE, state)).isSameAs(first);
        assertThat(asked).hasSize(1);
    }

    @Test
    void anotherStateOrDeviceIsAskedOfTheRoomItself() {
        JobState before = JobState.of(List.of());
        room.steps(QUIRE, before);
        JobState after = before.with(new Entry(
                1,
                Instant.EPOCH,
                "Ansa Orrick",
                Role.TECHNICIAN,
                new JobFact.CheckAnswered("clean.bare", Answer.PASS, null)));
        room.steps(QUIRE, after);
        room.steps(ShippedBook.profile("marrowby-quire-8"), after);
        assertThat(asked).containsExactly(before, after, after);
    }

    @Test
    void whatItHoldsIsTheRoomsToSay() {
        assertThat(room.holds(null, QUIRE, JobState.of(List.of())))
                .extracting(Hold::id)
                .containsExactly("clean.bare");
    }
}
