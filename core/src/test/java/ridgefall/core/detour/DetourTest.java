package ridgefall.core.detour;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ridgefall.core.bond.HeldBy;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.DamageFact.MishapSeen;
import ridgefall.core.decide.DecideFact.NotWorthIt;
import ridgefall.core.detour.DetourFact.Reopened;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.prove.ProveFact.HandedOver;
import ridgefall.core.prove.ProveState;
import ridgefall.core.seal.SealState;
import ridgefall.core.separate.SeparateFact.WedgeSet;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.StripFact.Count;
import ridgefall.core.strip.StripFact.ScrewsCounted;

class DetourTest {
    private static final Reopened REOPENED = new Reopened("camera dead once seated");
    private static final NotWorthIt BACK = new NotWorthIt("dearer than quoted", "Hut at Nine Tarns");

    private static Journey sealed() {
        Journey journey = new Journey();
        while (SealState.of(journey.state()).sealedAt().isEmpty()) {
            journey.tapNext();
        }
        return journey;
    }

    @Test
    void onlyASealedFrontIsOpenedAgain() {
        assertThat(new Journey().until(Station.TEST).heldBy(REOPENED)).containsExactly("seal.open");
        assertThat(sealed().holds(REOPENED)).isEmpty();
    }

    @Test
    void whatFailsOnceSeatedLeadsToOpeningAgain() {
        Journey journey = sealed().append(new FunctionTested("camera", Phase.AFTER, Answer.FAIL, null));
        assertThat(journey.step("after.camera").choices().get(0).fact()).isInstanceOf(Reopened.class);
    }

    @Test
    void openedAgainItIsWarmedCutIsolatedBondedTestedAndSealedOnceMore() {
        Journey journey = sealed().append(REOPENED);
        assertThat(journey.next().orElseThrow().station()).isEqualTo(Station.HEAT);
        assertThat(journey.course().steps().stream().filter(step -> step.open()).map(step -> step.station()))
                .contains(
                        Station.HEAT,
                        Station.SEPARATE,
                        Station.STRIP,
                        Station.CLEAN,
                        Station.BOND,
                        Station.TEST,
                        Station.SEAL,
                        Station.PROVE)
                .doesNotContain(Station.INTAKE, Station.DECIDE, Station.CARRY);
        assertThat(journey.toTheEnd().state())
                .satisfies(
                        state -> assertThat(ProveState.of(state).handedOverAt()).isPresent());
    }

    @Test
    void theGlassThatIsOnNowIsWholeWhateverTheOldOneWas() {
        Journey journey = sealed();
        assertThat(Damage.front(journey.state())).contains(FrontCondition.CRACKED);
        assertThat(Damage.front(journey.append(REOPENED).state())).contains(FrontCondition.INTACT);
    }

    @Test
    void adhesiveThatCameWithThePartIsSpent() {
        Journey journey = new Journey().until(Station.PARTS);
        journey.append(new PartsFact.PartReserved(
                new UUID(0, 7),
                PartKind.FUSED_FRONT,
                Grade.REFURBISHED_ORIGINAL,
                "fused front",
                List.of(Brings.TAPE, Brings.MAGNETS)));
        journey.untilStep("bond.pre-applied");
        while (SealState.of(journey.state()).sealedAt().isEmpty()) {
            journey.tapNext();
        }
        journey.append(REOPENED);
        assertThat(journey.stepIds(Station.BOND)).contains("bond.held").doesNotContain("bond.pre-applied");
        assertThat(journey.course().waysToHold().get(0).by()).isEqualTo(HeldBy.STRIPS);
        assertThat(journey.step("parts.tape").open()).isTrue();
        assertThat(journey.step("parts.magnets").open()).isFalse();
    }

    @ParameterizedTest
    @EnumSource(Station.class)
    void theOwnerMayEndItAtAnyStationAndItIsPutBackFirst(Station at) {
        Journey journey = new Journey().until(at);
        boolean open = SeparateState.of(journey.state()).frontOpened()
                && SealState.of(journey.state()).sealedAt().isEmpty();
        assertThat(journey.holds(BACK)).isEmpty();
        journey.append(BACK);
        assertThat(journey.next().orElseThrow().station()).isIn(Station.INTAKE, Station.PROVE);
        assertThat(journey.stepIds(Station.PROVE).contains("prove.seated")).isEqualTo(open);
        journey.toTheEnd();
        assertThat(ProveState.of(journey.state()).handedOverAt()).isPresent();
    }

    @Test
    void screwsThatCameOutGoInBeforeItGoesBack() {
        Journey journey = new Journey().until(Station.CARRY).append(BACK);
        assertThat(journey.stepIds(Station.PROVE)).contains("seal.screws", "prove.plugged");
        assertThat(journey.holds(new ScrewsCounted(Count.IN, 14))).isEmpty();
    }

    @Test
    void wedgesComeOutOfAFrontThatGoesBackHalfFree() {
        Journey journey = new Journey().until(Station.SEPARATE);
        while (SeparateState.of(journey.state()).freed().isEmpty()) {
            journey.tapNext();
        }
        journey.append(new WedgeSet(40)).append(BACK);
        assertThat(journey.stepIds(Station.PROVE)).startsWith("separate.wedge.40.0", "prove.seated");
        assertThat(journey.heldBy(new HandedOver("Hut"))).startsWith("separate.wedge.40.0", "prove.seated");
    }

    @Test
    void whatWentWrongBeforeIsStillNamedByWhatWasInHand() {
        Journey journey = new Journey().until(Station.CARRY);
        String step = journey.course().steps().stream()
                .map(Step::id)
                .filter(id -> id.startsWith("separate.top"))
                .findFirst()
                .orElseThrow();
        journey.append(new MishapSeen(Mishap.CUT, 40.0, step)).append(BACK);
        assertThat(journey.course().record().wentWrong()).singleElement().satisfies(one -> {
            assertThat(one.words())
                    .startsWith("Cut something, camera edge, {mm:56} from the magnet edge, at “Cut the ");
            assertThat(one.outcome()).isEqualTo("not looked at since");
        });
    }

    @Test
    void notesAreKeptApartFromWhatIsDone() {
        Journey journey = new Journey().append(new DetourFact.NoteLeft("screw at the port is odd", true));
        assertThat(DetourState.of(journey.state()).notes())
                .singleElement()
                .satisfies(note -> assertThat(note.words()).isEqualTo("screw at the port is odd"));
        assertThat(journey.course().words().say(2)).isEqualTo("For whoever goes on: screw at the port is odd");
    }
}
