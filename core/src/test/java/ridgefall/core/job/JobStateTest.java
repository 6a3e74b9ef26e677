package ridgefall.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Point;
import ridgefall.core.job.Fact.Answer;
import ridgefall.core.job.Fact.CheckAnswered;
import ridgefall.core.job.JobState.Soak;
import ridgefall.core.job.JobState.Timer;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.Symptom;

/** The journal says what happened; this is what is so after all of it. */
class JobStateTest {
    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");
    private final List<Entry> journal = new ArrayList<>();

    private JobState after(Fact... facts) {
        for (Fact fact : facts) {
            at(60 * journal.size(), fact);
        }
        return JobState.of(journal);
    }

    /** A fact so many seconds after nine. */
    private JobStateTest at(long seconds, Fact fact) {
        journal.add(new Entry(journal.size() + 1, NINE.plusSeconds(seconds), "Ansa Orrick", Role.TECHNICIAN, fact));
        return this;
    }

    private static Fact soak(double celsius, int seconds) {
        return new Fact.SoakStarted("plate-1", celsius, seconds, null, null, null);
    }

    @Test
    void nothingIsKnownOfAnEmptyJournal() {
        JobState state = JobState.of(List.of());
        assertThat(state.seq()).isZero();
        assertThat(state.front()).isEmpty();
        assertThat(state.battery()).isEmpty();
        assertThat(state.timers()).isEmpty();
        assertThat(state.live()).isFalse();
    }

    @Test
    void theLastAnswerCounts() {
        JobState state = after(
                new Fact.FrontSeen(FrontCondition.INTACT),
                new Fact.FrontSeen(FrontCondition.SHATTERED),
                new CheckAnswered("clean.bare", Answer.FAIL, "glue in a corner"),
                new CheckAnswered("clean.bare", Answer.PASS, null));
        assertThat(state.front()).contains(FrontCondition.SHATTERED);
        assertThat(state.passed("clean.bare")).isTrue();
        assertThat(state.seq()).isEqualTo(4);
        assertThat(state.latest().seq()).isEqualTo(4);
    }

    @Test
    void whatWasTakenBackNeverWasButKeepsItsNumber() {
        JobState state = after(
                new Fact.BatterySeen(Fact.Battery.SOUND),
                new Fact.BatterySeen(Fact.Battery.SWOLLEN),
                new Fact.Undone(2),
                new Fact.PowerSeen(true));
        assertThat(state.battery()).contains(Fact.Battery.SOUND);
        assertThat(state.seq()).isEqualTo(4);
        assertThat(JobState.effective(journal)).extracting(Entry::seq).containsExactly(1L, 4L);
    }

    @Test
    void aSoakKeepsWhatHappenedWhileItLayThereAndNothingSince() {
        at(0, soak(80, 200))
                .at(30, new Fact.LyingChanged(false))
                .at(45, new Fact.LyingChanged(true))
                .at(90, new Fact.SettingChanged(85))
                .at(120, new Fact.TemperatureRead(Fact.Surface.FRAME, 61.5))
                .at(180, new Fact.SoakEnded(95))
                .at(200, new Fact.TemperatureRead(Fact.Surface.FRAME, 55));
        Soak soak = JobState.of(journal).lastSoak().orElseThrow();
        assertThat(soak.running()).isFalse();
        assertThat(soak.endedAt()).isEqualTo(NINE.plusSeconds(180));
        assertThat(soak.settingC()).isEqualTo(85);
        assertThat(soak.started().settingC()).isEqualTo(80);
        assertThat(soak.flat()).isTrue();
        assertThat(soak.happened()).extracting(JobState.Happening::seconds).containsExactly(30.0, 45.0, 90.0, 120.0);
        assertThat(JobState.of(journal).readings()).hasSize(2);
    }

    @Test
    void takingADeviceOffStartsTheBondsOwnClockAndLayingItOnAgainStopsThat() {
        at(0, soak(80, 200)).at(180, new Fact.SoakEnded(95));
        JobState off = JobState.of(journal);
        assertThat(off.runningSoak()).isEmpty();
        Timer workable = off.timer(Timer.Kind.WORKABLE).orElseThrow();
        assertThat(workable.startedAt()).isEqualTo(NINE.plusSeconds(180));
        assertThat(workable.seconds()).isEqualTo(95);
        at(300, soak(80, 40));
        JobState again = JobState.of(journal);
        assertThat(again.timer(Timer.Kind.WORKABLE)).isEmpty();
        assertThat(again.runningSoak()).map(Soak::seq).contains(3L);
        assertThat(again.soaks()).hasSize(2);
    }

    @Test
    void openingTheFrontEndsTheBondsClockAndHandingOverEndsAll() {
        after(soak(80, 200), new Fact.SoakEnded(95), new Fact.FrontOpened());
        assertThat(JobState.of(journal).timer(Timer.Kind.WORKABLE)).isEmpty();
        after(new Fact.TimerStarted(Fact.TimerKind.DRYING, 90), new Fact.TimerStarted(Fact.TimerKind.PRESSING, 120));
        assertThat(JobState.of(journal).timers()).filteredOn(Timer::running).hasSize(2);
        JobState closed = after(new Fact.HandedOver("Hut warden"));
        assertThat(closed.timers()).noneMatch(Timer::running);
        assertThat(closed.everTimed(Timer.Kind.PRESSING)).isTrue();
    }

    @Test
    void aTimerStartedAgainReplacesItself() {
        JobState state = after(
                new Fact.TimerStarted(Fact.TimerKind.DRYING, 90), new Fact.TimerStarted(Fact.TimerKind.DRYING, 60));
        assertThat(state.timers())
                .filteredOn(Timer::running)
                .extracting(Timer::seconds)
                .containsExactly(60);
    }

    @Test
    void isolationIsProvenAnewAfterEveryChange() {
        JobState state = after(
                new Fact.PowerSeen(false),
                new Fact.BatteryIsolated(Fact.Isolation.UNPLUGGED),
                new Fact.IsolationProven());
        assertThat(state.live()).isFalse();
        JobState changed = after(new Fact.BatteryIsolated(Fact.Isolation.CARD_UNDER_CONTACT));
        assertThat(changed.isolationProven()).isFalse();
        assertThat(changed.live()).isTrue();
    }

    @Test
    void wedgesAreInUntilPulledWhereTheyAre() {
        JobState state =
                after(new Fact.WedgeSet(40), new Fact.WedgeSet(40), new Fact.WedgeSet(52.5), new Fact.WedgePulled(40));
        assertThat(state.wedges()).containsExactly(52.5);
    }

    @Test
    void aNewCrackSteersLikeOneMarkedAtIntake() {
        JobState state = after(
                new Fact.CrackMarked(100, 12),
                new Fact.MishapSeen(Fact.Mishap.NEW_CRACK, 50.0),
                new Fact.MishapSeen(Fact.Mishap.NEW_CRACK, null),
                new Fact.MishapSeen(Fact.Mishap.SLIP, 70.0));
        assertThat(state.cracks()).containsExactly(new EdgeInterval(100, 12), new EdgeInterval(46, 8));
        assertThat(state.mishaps()).hasSize(3);
    }

    @Test
    void aMarkIsRemovedByItsNumber() {
        JobState state = after(
                new IntakeFact.DentMarked(new Point(3, 4)),
                new IntakeFact.CrackDrawn(List.of(new Point(0, 0), new Point(30, 40))),
                new IntakeFact.MarkRemoved(1));
        assertThat(state.marks()).extracting(JobState.Mark::seq).containsExactly(2L);
    }

    @Test
    void aSymptomCanTurnOutNotToBeSo() {
        JobState state = after(
                new IntakeFact.SymptomSeen(Symptom.FLICKER, true),
                new IntakeFact.SymptomSeen(Symptom.FLICKER, false),
                new IntakeFact.SymptomSeen(Symptom.FLICKER, true),
                new IntakeFact.SymptomSeen(Symptom.FLICKER, false));
        assertThat(state.symptoms()).isEmpty();
    }

    @Test
    void aComebackNamesTheJobItWas() {
        assertThat(after(new IntakeFact.CameBack(12), new IntakeFact.CameBack(11))
                        .cameFrom())
                .contains(11L);
        assertThat(after(new Fact.Undone(2)).cameFrom()).contains(12L);
    }

    @Test
    void theOwnersLastWordIsRepairOrNot() {
        Fact.RepairAgreed agreed = new Fact.RepairAgreed(
                "fused-front", Grade.PREMIUM_COPY, new java.math.BigDecimal("189.00"), "EUR", "Hut warden");
        assertThat(after(agreed, new Fact.NotWorthIt("too old", "Hut warden")).repair())
                .isEmpty();
        JobState changedMind = after(agreed);
        assertThat(changedMind.repair()).contains(agreed);
        assertThat(changedMind.notWorthIt()).isEmpty();
    }

    @Test
    void aPartIsLostOrCarriedOverNeverBoth() {
        JobState found = after(new Fact.CarryOverLost("magnets", "rolled away"), new Fact.CarriedOver("magnets"));
        assertThat(found.carriedOver("magnets")).isTrue();
        assertThat(found.carryOverLost()).isEmpty();
        JobState broken = after(new Fact.CarryOverLost("magnets", "snapped"));
        assertThat(broken.carriedOver("magnets")).isFalse();
        assertThat(broken.carryOverLost()).containsEntry("magnets", "snapped");
    }

    @Test
    void choosingAnotherWayOfEndingStripsStartsTheStripsAnew() {
        JobState state = after(
                new Fact.StripsChosen(TapeSchool.BUTT),
                new Fact.StripLaid("top-1"),
                new Fact.StripsChosen(TapeSchool.MITRE));
        assertThat(state.school()).contains(TapeSchool.MITRE);
        assertThat(state.stripLaid("top-1")).isFalse();
    }

    @Test
    void aPartBringsWhatItBringsUntilItGoesBack() {
        UUID piece = new UUID(0, 9);
        Fact reserved = new PartsFact.PartReserved(
                piece, PartKind.FUSED_FRONT, Grade.PREMIUM_COPY, "fused front, lot 7", List.of(Brings.TAPE));
        assertThat(after(reserved).brought(Brings.TAPE)).isTrue();
        JobState back = after(new PartsFact.PartReturned(piece));
        assertThat(back.brought(Brings.TAPE)).isFalse();
        assertThat(back.parts()).isEmpty();
    }
}
