package ridgefall.core.stop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.gate.Journey;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatState;
import ridgefall.core.intake.IntakeFact.Battery;
import ridgefall.core.intake.IntakeFact.BatterySeen;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.prove.ProveFact.HandedOver;
import ridgefall.core.prove.ProveState;
import ridgefall.core.stop.StopFact.CellBad;
import ridgefall.core.stop.StopFact.LetGoOn;
import ridgefall.core.stop.StopFact.Sign;

class StopTest {
    private static Journey soaking() {
        Journey journey = new Journey().until(Station.HEAT);
        while (HeatState.of(journey.state()).runningSoak().isEmpty()) {
            journey.tapNext();
        }
        return journey;
    }

    @ParameterizedTest
    @EnumSource(Station.class)
    void isSaidAtAnyStationAndThenComesFirst(Station at) {
        Journey journey = new Journey().until(at);
        Station working = journey.next().orElseThrow().station();
        CellBad bad = new CellBad(Sign.HISSING);
        assertThat(journey.holds(bad)).isEmpty();
        Step next = journey.append(bad).next().orElseThrow();
        assertThat(next.id()).isEqualTo("stop.cell");
        assertThat(next.station()).as("its picture stays in sight").isEqualTo(working);
        assertThat(next.lead()).isEqualTo(Step.Lead.STOP);
        assertThat(next.answer()).startsWith("hissing or smoking: stop");
    }

    @Test
    void takesADeviceOffItsSourceAndEndsItsClocks() {
        Journey journey = soaking().append(new CellBad(Sign.HOT));
        assertThat(HeatState.of(journey.state()).runningSoak()).isEmpty();
        assertThat(journey.state().running()).isEmpty();
        Journey seen = soaking().append(new BatterySeen(Battery.SWOLLEN));
        assertThat(HeatState.of(seen.state()).runningSoak()).isEmpty();
    }

    @Test
    void holdsTheBenchButNoWordsAboutIt() {
        Journey journey = soaking().append(new CellBad(Sign.SWOLLEN));
        assertThat(journey.heldBy(new HeatFact.PickTried(true))).contains("stop.cell");
        assertThat(journey.heldBy(new JobFact.TimerStarted("DRYING", 60, null))).contains("stop.cell");
        assertThat(journey.holds(new DetourFact.NoteLeft("in the sand box outside", true)))
                .isEmpty();
        assertThat(journey.holds(new DamageFact.MishapSeen(DamageFact.Mishap.SLIP, 20.0)))
                .isEmpty();
        assertThat(journey.holds(new DecideFact.NotWorthIt("the battery", "Hut")))
                .isEmpty();
    }

    @Test
    void isLiftedByALeadAloneAndTheBatteryIsLookedAtOnceMore() {
        LetGoOn letGo = new LetGoOn("another battery is in");
        assertThat(Role.TECHNICIAN.mayRecord(letGo)).isFalse();
        assertThat(Role.LEAD.mayRecord(letGo)).isTrue();
        assertThat(Role.DESK.mayRecord(new CellBad(Sign.DENTED))).isTrue();
        for (var said : List.of(new CellBad(Sign.SWOLLEN), new BatterySeen(Battery.SWOLLEN))) {
            Journey journey = new Journey().until(Station.STRIP).append(said);
            assertThat(journey.holds(new BatterySeen(Battery.SOUND))).isNotEmpty();
            journey.append(letGo);
            journey.toTheEnd();
            assertThat(ProveState.of(journey.state()).handedOverAt()).isPresent();
        }
        Journey asked = new Journey()
                .until(Station.STRIP)
                .append(new BatterySeen(Battery.SWOLLEN))
                .append(letGo);
        assertThat(asked.next().orElseThrow().id()).isEqualTo("intake.battery");
    }

    @Test
    void doesNotLeaveTheShopUnlessALeadHandsItBack() {
        Journey journey = new Journey()
                .append(new CellBad(Sign.PUNCTURED))
                .append(new DecideFact.NotWorthIt("the battery", "Hut"));
        HandedOver back = new HandedOver("Hut");
        assertThat(journey.heldBy(back)).containsExactly("stop.hand-back");
        assertThat(journey.signOff("stop.hand-back", back).holds(back)).isEmpty();
    }
}
