package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.BondFact.BeadLaid;
import ridgefall.core.bond.BondFact.BeadLifted;
import ridgefall.core.bond.BondFact.HeldByChosen;
import ridgefall.core.detour.DetourFact.NoteLeft;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Hold;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact.ClampsOff;
import ridgefall.core.seal.SealFact.ClampsSet;
import ridgefall.core.seal.SealFact.Sealed;
import ridgefall.core.seal.SealFact.SqueezeOutWiped;

/** The plastic tablet held by glue: laid last of all, closed before it skins, wiped before it cures, clamped until it has. */
class BeadLayingTest {
    private static final Supply.Glue GLUE =
            new Supply.Glue("glue", "clear glue", 12, 0.6, 8, 24, 500, LocalDate.of(2026, 9, 1));

    private static Journey chosen() {
        Journey journey = new Journey(
                        ShippedBook.profile("sillery-satchel-7"),
                        Journey.withShelf(List.of(GLUE, new Supply.Clamps("clamps", "clamps", 20, 15))))
                .untilStep("bond.held");
        return journey.append(new HeldByChosen(HeldBy.BEAD, "glue", "clear glue", null));
    }

    private static Journey laid() {
        Journey journey = chosen().untilStep("seal.bead");
        journey.tapNext();
        return journey;
    }

    private static List<String> running(Journey journey) {
        return journey.state().running().stream().map(Timer::id).toList();
    }

    @Test
    void allElseIsDoneBeforeItIsLaid() {
        assertThat(chosen().stepIds(Station.BOND)).endsWith("bond.held", "bond.bead-ready");
        assertThat(chosen().stepIds(Station.SEAL))
                .containsSubsequence(
                        "seal.dust", "seal.bead", "seal.seal", "seal.clamps", "seal.wiped", "seal.press", "seal.flush");
        assertThat(chosen().heldBy(new BeadLaid("glue", 0.15, 480))).contains("bond.bead-ready", "seal.dust");
    }

    @Test
    void itSkinsByItsOwnClockAndComesOffTheSyringe() {
        Journey journey = laid();
        assertThat(running(journey)).containsExactly("SKINNING");
        assertThat(journey.state().timer(BeadLaying.SKINNING).orElseThrow().seconds())
                .isEqualTo(480);
        assertThat(BondState.of(journey.state()).used())
                .singleElement()
                .satisfies(used -> assertThat(used.supplyId()).isEqualTo("glue"));
    }

    @Test
    void noFrontGoesOnOneThatHasSkinnedAndNoLeadSignsForIt() {
        Journey journey = laid();
        for (int i = 0; i < 25; i++) {
            journey.append(new NoteLeft("looked for the clamps", false));
        }
        assertThat(journey.step("seal.bead").answer()).startsWith("skinned over");
        assertThat(journey.holds(new Sealed())).singleElement().satisfies(hold -> {
            assertThat(hold.id()).isEqualTo("seal.bead");
            assertThat(hold.overridable()).isFalse();
        });
        journey.append(new BeadLifted("it skinned over"));
        assertThat(running(journey)).isEmpty();
        assertThat(journey.next().orElseThrow().id()).isEqualTo("seal.bead");
        journey.tapNext();
        assertThat(journey.holds(new Sealed())).isEmpty();
    }

    @Test
    void clampedWipedAndLeftUntilItHasCured() {
        Journey journey = laid().append(new Sealed());
        assertThat(running(journey)).isEmpty();
        assertThat(journey.heldBy(new SqueezeOutWiped(86_400))).containsExactly("seal.clamps");
        journey.append(new ClampsSet(7, 1200));
        assertThat(running(journey)).containsExactly("WIPING");
        assertThat(journey.heldBy(new ClampsOff())).containsExactly("seal.wiped");
        journey.append(new SqueezeOutWiped(86_400));
        assertThat(running(journey)).containsExactly("CURING");
        assertThat(journey.course().at(Instant.parse("2026-03-02T20:00:00Z")).steps().stream()
                        .filter(step -> step.id().equals("seal.bead"))
                        .map(step -> step.answer()))
                .as("under the front it may skin")
                .containsExactly("laid");
        assertThat(journey.course().holds(new ClampsOff()))
                .extracting(Hold::because)
                .containsExactly("It has not cured yet: the front comes up");
        assertThat(journey.course().at(Instant.parse("2026-03-05T08:00:00Z")).holds(new ClampsOff()))
                .isEmpty();
    }
}
