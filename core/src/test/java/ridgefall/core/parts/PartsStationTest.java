package ridgefall.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsFact.PartReturned;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.separate.SeparateFact.FrontOpened;
import ridgefall.core.separate.SeparateFact.StretchFreed;

/** The part against what the agreed repair needs: of a fused front tape, magnets, sensor insert and camera bracket. */
class PartsStationTest {
    private static final UUID PIECE = new UUID(0, 4);

    private static PartReserved front(Brings... brings) {
        return new PartReserved(PIECE, PartKind.FUSED_FRONT, Grade.PREMIUM_COPY, "fused front, lot 7", List.of(brings));
    }

    private static Journey agreed() {
        return new Journey().until(Station.PARTS);
    }

    @Test
    void everyNeedOfTheAgreedRepairIsAskedFor() {
        assertThat(agreed().stepIds(Station.PARTS))
                .containsExactly(
                        "parts.here",
                        "parts.variant",
                        "parts.laid-beside",
                        "parts.tape",
                        "parts.magnets",
                        "parts.sensor-insert",
                        "parts.camera-bracket",
                        "parts.arrival");
    }

    @Test
    void whatThePartBringsIsAnsweredAndWhatItComesWithoutIsAsked() {
        Journey journey = agreed().append(front(Brings.TAPE, Brings.MAGNETS));
        assertThat(journey.step("parts.here").answer()).isEqualTo("fused front, lot 7");
        assertThat(journey.step("parts.tape").answer()).isEqualTo("in the part");
        assertThat(journey.step("parts.sensor-insert").title()).startsWith("Comes without ");
        assertThat(journey.step("parts.sensor-insert").open()).isTrue();
    }

    @Test
    void whatMustBeOrderedHoldsTheHeatAndWaitsForItsComingWhoeverWouldSign() {
        Journey journey = agreed().append(new CheckAnswered("parts.here", Answer.FAIL, "Fellside, due Tuesday"));
        Step here = journey.step("parts.here");
        assertThat(here.lead()).isEqualTo(Step.Lead.HAS_COME);
        assertThat(here.answer()).isEqualTo("ordered: Fellside, due Tuesday");
        assertThat(journey.holds(new StretchFreed("top-1")))
                .filteredOn(hold -> hold.id().equals("parts.here"))
                .singleElement()
                .matches(hold -> !hold.overridable());
    }

    @Test
    void onlyWhatWasTakenGoesBackAndNothingOnceTheFrontIsOpen() {
        Journey journey = agreed().append(front());
        assertThat(journey.holds(new PartReturned(PIECE))).isEmpty();
        assertThatThrownBy(() -> journey.holds(new PartReturned(new UUID(0, 5))))
                .hasMessageContaining("a part taken off the shelf for this job");
        journey.append(new FrontOpened());
        assertThat(journey.holds(new PartReturned(PIECE))).extracting(Hold::id).containsExactly("parts.open");
    }

    @Test
    void aPieceThatChangedHandsIsNoMisTap() {
        assertThat(agreed().append(front()).course().undoable()).isEmpty();
    }
}
