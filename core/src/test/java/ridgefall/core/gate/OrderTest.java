package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.DamageFact.MishapSeen;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.intake.IntakeFact.FrontSeen;
import ridgefall.core.job.Condition;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.strip.ScrewAt.Where;
import ridgefall.core.strip.StripFact.ScrewTold;

/** What comes next follows from how the device lies there. */
class OrderTest {
    private static final Condition ON = Condition.runs(Phase.BEFORE);

    private static Step step(String id, Station station) {
        return Step.open(id, station, id, null);
    }

    private static List<String> order(Set<Condition> stands, Step... listed) {
        return Order.of(stands, List.of(listed), List.of()).turns().stream()
                .map(turn -> turn.step().id())
                .toList();
    }

    @Test
    void whatNothingOrdersGoesAsItIsListed() {
        assertThat(order(Set.of(), step("a", Station.HEAT), step("b", Station.HEAT)))
                .containsExactly("a", "b");
    }

    @Test
    void whatMakesWhatAStepNeedsComesBeforeIt() {
        assertThat(order(
                        Set.of(),
                        step("bare", Station.CLEAN).needs(Condition.FRAME_STRAIGHT),
                        step("wiped", Station.CLEAN),
                        step("straight", Station.SEAL).makes(Condition.FRAME_STRAIGHT)))
                .containsExactly("straight", "bare", "wiped");
    }

    @Test
    void whatCouldNotBeDoneAnyMoreComesBeforeWhatSpoilsIt() {
        assertThat(order(
                        Set.of(ON),
                        step("off", Station.INTAKE).spoils(ON),
                        step("picture", Station.INTAKE).needs(ON)))
                .containsExactly("picture", "off");
    }

    @Test
    void whatNobodyMakesAHandSeesTo() {
        Order order = Order.of(Set.of(), List.of(step("picture", Station.INTAKE).needs(ON)), List.of());
        assertThat(order.circle()).isEmpty();
        assertThat(order.due().orElseThrow().hint()).isEqualTo("only once it is on");
    }

    @Test
    void stepsThatWaitForEachOtherAreNamed() {
        Order order = Order.of(
                Set.of(),
                List.of(
                        step("a", Station.HEAT).needs(Condition.DARK).makes(Condition.OFF),
                        step("b", Station.HEAT).needs(Condition.OFF).makes(Condition.DARK)),
                List.of());
        assertThat(order.circle()).extracting(Step::id).containsExactly("a");
        assertThat(order.turns()).hasSize(2);
    }

    @Test
    void whatWasDoneIsDoneAgainWhereSomethingNeedsIt() {
        Step dark = step("dark", Station.STRIP).makes(Condition.DARK);
        Order order = Order.of(Set.of(), List.of(step("look", Station.TEST).needs(Condition.DARK)), List.of(dark));
        assertThat(order.turns()).extracting(turn -> turn.step().id()).containsExactly("dark", "look");
        assertThat(order.turns().get(0).why()).isEqualTo("before \"look\"");
    }

    private static List<String> walked(Journey journey) {
        List<String> ids = new ArrayList<>();
        for (; journey.next().isPresent(); journey.tapNext()) {
            ids.add(journey.next().orElseThrow().id());
        }
        return ids;
    }

    @Test
    void aBackThatIsReachedFromBehindComesOffDarkAndGoesOnAgain() {
        assertThat(walked(new Journey(ShippedBook.profile("sillery-satchel-7"))))
                .containsSubsequence("before.card", "intake.power", "intake.cards")
                .containsSubsequence("heat.powered", "heat.battery-out", "strip.proven", "heat.soak")
                .containsSubsequence("seal.on-label", "seal.on-back", "seal.seal");
    }

    @Test
    void aBatteryUnderAHatchIsApartBeforeTheFirstClip() {
        assertThat(walked(new Journey(ShippedBook.profile("drumlin-crate-10"))
                        .append(new FrontSeen(FrontCondition.SHATTERED))))
                .containsSubsequence("separate.guarded", "separate.taped", "separate.clip-bottom-4")
                .containsSubsequence("strip.isolate", "strip.proven", "separate.clip-bottom-4", "separate.open");
    }

    @Test
    void aFilmUnderGlassComesOffBeforeItIsJoinedAndPrimerIsBrushedOnAfter() {
        Journey journey = new Journey(ShippedBook.profile("pellow-dial-45"))
                .untilStep("decide.repair")
                .append(new RepairAgreed("rebond", null, new BigDecimal("120.00"), "EUR", "Hut at Nine Tarns"));
        assertThat(walked(journey))
                .containsSubsequence("seal.glass-film", "bond.liquid", "bond.optical", "clean.primer", "bond.ring");
    }

    @Test
    void whatMayShortIsFoundBeforeTheBatteryIsBackInCircuit() {
        Journey journey = new Journey().untilStep("test.home-sensor-latch");
        journey.append(new MishapSeen(Mishap.SCREW_DROPPED, null, null));
        assertThat(walked(journey.again()))
                .containsSubsequence("test.after-" + journey.state().seq(), "test.plugged");
        Journey lost = new Journey().untilStep("test.plugged");
        lost.append(new ScrewTold("shield-1", Where.LOST, null));
        assertThat(walked(lost)).containsSubsequence("seal.lost-shield-1", "test.plugged", "open.picture");
    }

    /** Only then nothing is looked for on a live board: the battery comes out of circuit, and goes back in. */
    @Test
    void whatGoesWrongWhileItIsOnIsLookedAfterInTheDark() {
        Journey journey = new Journey().untilStep("open.touch");
        journey.append(new MishapSeen(Mishap.SCREW_DROPPED, null, null));
        assertThat(walked(journey.again()))
                .startsWith(
                        "strip.isolate",
                        "strip.proven",
                        "test.after-" + journey.state().seq(),
                        "test.plugged",
                        "open.touch");
    }
}
