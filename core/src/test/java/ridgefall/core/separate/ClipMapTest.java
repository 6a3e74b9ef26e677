package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.profile.Beneath;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.ShippedBook;

/** The clip-held tablet: 16 clips, a camera beside the second of the handle edge, the hinge on the hatch edge. */
class ClipMapTest {
    private static final DeviceProfile CRATE = ShippedBook.profile("drumlin-crate-10");

    private final ClipMap map = new ClipMap(CRATE);
    private final List<ClipMap.Move> moves = map.moves(List.of());

    private static List<String> ids(List<ClipMap.Move> moves) {
        return moves.stream().map(move -> move.clip().id()).toList();
    }

    @Test
    void itIsBegunWhereNothingLiesBeneathAndTheFrontGives() {
        ClipMap.Move first = moves.get(0);
        assertThat(first.newEntry()).isTrue();
        assertThat(first.beneath()).isEmpty();
        assertThat(first.stiff()).isFalse();
        assertThat(CRATE.edge().landmarkAt(ClipMap.middleMm(CRATE, first.clip())))
                .isNotEqualTo(CRATE.hinge());
    }

    @Test
    void theHingeEdgeHoldsUntilAllOthersAreFree() {
        assertThat(ids(moves)).hasSize(16).doesNotHaveDuplicates();
        assertThat(ids(moves).subList(13, 16)).containsExactlyInAnyOrder("clip-left-1", "clip-left-2", "clip-left-3");
    }

    @Test
    void whatAToolCouldHarmIsSaidAtTheClipItBelongsTo() {
        List<ClipMap.Move> overTheCamera = moves.stream()
                .filter(move -> move.beneath().stream().map(Beneath::words).anyMatch("front camera"::equals))
                .toList();
        // The camera is at 78 to 88 mm, and a tool reaches 12 mm: the clip at 62.6 to 70.6 alone.
        assertThat(ids(overTheCamera)).containsExactly("clip-top-2");
        assertThat(ids(moves).indexOf("clip-top-2")).isGreaterThan(6);
        assertThat(moves)
                .noneMatch(move -> move.beneath().stream()
                        .anyMatch(there ->
                                there.kind() == EdgeFeature.Kind.CLIP || there.kind() == EdgeFeature.Kind.GASKET));
    }

    /** Corners have a radius of 20 mm: the straight part of the handle edge is 222 mm, its first clip is at 18 to 26 mm. */
    @Test
    void besideACornerAClipIsStiff() {
        assertThat(ids(moves.stream().filter(ClipMap.Move::stiff).toList()))
                .contains("clip-top-1", "clip-bottom-5")
                .doesNotContain("clip-top-3", "clip-right-2", "clip-bottom-3", "clip-left-2");
    }

    /** Whatever came free first, in whatever order: the rest is planned from there. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void fromAnyStateTheRestComesOnceEachBesideWhatIsFree(long seed) {
        Random random = new Random(seed);
        List<String> all = new ArrayList<>(map.ids());
        Collections.shuffle(all, random);
        List<String> freed = all.subList(0, random.nextInt(16));
        Set<String> free = new HashSet<>(freed);
        List<String> clockwise = map.ids();
        for (ClipMap.Move move : map.moves(freed)) {
            int at = clockwise.indexOf(move.clip().id());
            boolean before = free.contains(clockwise.get((at + 15) % 16));
            boolean after = free.contains(clockwise.get((at + 1) % 16));
            assertThat(move.newEntry()).isEqualTo(!before && !after);
            assertThat(move.clockwise()).isEqualTo(before || !after);
            assertThat(free.add(move.clip().id())).isTrue();
        }
        assertThat(free).hasSize(16);
    }

    @Test
    void itIsClosedTheWayBackFromTheHinge() {
        List<ClipMap.Closing> closing = map.closing();
        assertThat(closing.get(0).edge()).isEqualTo(Landmark.LEFT);
        List<String> back = closing.stream()
                .flatMap(edge -> edge.clips().stream())
                .map(EdgeFeature::id)
                .toList();
        assertThat(back).containsExactlyElementsOf(reversed(ids(moves)));
    }

    private static List<String> reversed(List<String> ids) {
        List<String> back = new ArrayList<>(ids);
        Collections.reverse(back);
        return back;
    }

    @Test
    void aClipThatBreaksIsToldInOneTapAndItsPiecesHoldTheSeal() {
        Journey journey = new Journey(CRATE).until(Station.SEPARATE);
        Step clip = journey.next().orElseThrow();
        assertThat(clip.title()).startsWith("Unclip clip ").contains(", {mm:").doesNotContain(": ");
        journey.append(clip.choices().get(1).fact());
        assertThat(journey.next().orElseThrow().id()).isEqualTo(clip.id());
        journey.until(Station.SEAL);
        assertThat(journey.course().steps())
                .filteredOn(step -> step.id().startsWith("test.after-"))
                .singleElement()
                .satisfies(step -> assertThat(step.hint()).contains("Every piece out of the body"));
    }

    @Test
    void everyEdgeIsPressedHomeBeforeTheFrontCountsAsClosed() {
        Journey journey = new Journey(CRATE).until(Station.SEAL).untilStep("seal.clips-1");
        assertThat(journey.next().orElseThrow().title()).isEqualTo("Press home the hatch edge: 3 clips");
        journey.untilStep("seal.seal");
        assertThat(journey.next().orElseThrow().title()).isEqualTo("Closed all round");
        assertThat(journey.stepIds(Station.SEAL))
                .filteredOn(id -> id.startsWith("seal.clips-"))
                .hasSizeBetween(4, 7);
    }
}
