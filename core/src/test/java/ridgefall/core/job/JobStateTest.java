package ridgefall.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.BondFact;
import ridgefall.core.bond.BondState;
import ridgefall.core.carry.CarryFact;
import ridgefall.core.carry.CarryState;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.damage.DamageState;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.decide.DecideState;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Point;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsFact.PartReturned;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.profile.Symptom;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.separate.SeparateFact;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.StripFact;
import ridgefall.core.strip.StripState;

/** The journal says what happened; this is what is so after all of it. */
class JobStateTest {
    private static final Instant NINE = Instant.parse("2026-03-02T09:00:00Z");
    private static final TimerKind DRYING = new TimerKind("DRYING", "Solvent drying");
    private static final TimerKind PRESSING = new TimerKind("PRESSING", "Pressing the tape");
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
        return new HeatFact.SoakStarted("plate-1", celsius, seconds, null, null, HeatFact.Sweep.FACE);
    }

    @Test
    void nothingIsKnownOfAnEmptyJournal() {
        JobState state = JobState.of(List.of());
        assertThat(state.seq()).isZero();
        assertThat(IntakeState.of(state).front()).isEmpty();
        assertThat(IntakeState.of(state).battery()).isEmpty();
        assertThat(state.timers()).isEmpty();
        assertThat(StripState.live(state)).isFalse();
    }

    @Test
    void theLastAnswerCounts() {
        JobState state = after(
                new IntakeFact.FrontSeen(FrontCondition.INTACT),
                new IntakeFact.FrontSeen(FrontCondition.SHATTERED),
                new CheckAnswered("clean.bare", Answer.FAIL, "glue in a corner"),
                new CheckAnswered("clean.bare", Answer.PASS, null));
        assertThat(IntakeState.of(state).front()).contains(FrontCondition.SHATTERED);
        assertThat(state.passed("clean.bare")).isTrue();
        assertThat(state.seq()).isEqualTo(4);
        assertThat(state.latest().seq()).isEqualTo(4);
    }

    @Test
    void whatWasTakenBackNeverWasButKeepsItsNumber() {
        JobState state = after(
                new IntakeFact.BatterySeen(IntakeFact.Battery.SOUND),
                new IntakeFact.BatterySeen(IntakeFact.Battery.SWOLLEN),
                new JobFact.Undone(2),
                new IntakeFact.PowerSeen(true));
        assertThat(IntakeState.of(state).battery()).contains(IntakeFact.Battery.SOUND);
        assertThat(state.seq()).isEqualTo(4);
        assertThat(JobState.effective(journal)).extracting(Entry::seq).containsExactly(1L, 4L);
    }

    @Test
    void aSoakKeepsWhatHappenedWhileItLayThereAndNothingSince() {
        at(0, soak(80, 200))
                .at(30, new HeatFact.LyingChanged(false))
                .at(45, new HeatFact.LyingChanged(true))
                .at(90, new HeatFact.SettingChanged(85))
                .at(120, new HeatFact.TemperatureRead(HeatFact.Surface.FRAME, 61.5))
                .at(180, new HeatFact.SoakEnded(95))
                .at(200, new HeatFact.TemperatureRead(HeatFact.Surface.FRAME, 55));
        Soak soak = HeatState.of(JobState.of(journal)).lastSoak().orElseThrow();
        assertThat(soak.running()).isFalse();
        assertThat(soak.endedAt()).isEqualTo(NINE.plusSeconds(180));
        assertThat(soak.settingC()).isEqualTo(85);
        assertThat(soak.started().settingC()).isEqualTo(80);
        assertThat(soak.flat()).isTrue();
        assertThat(soak.happened()).extracting(HeatState.Happening::seconds).containsExactly(30.0, 45.0, 90.0, 120.0);
        assertThat(HeatState.of(JobState.of(journal)).readings()).hasSize(2);
    }

    @Test
    void takingADeviceOffStartsTheBondsOwnClockAndLayingItOnAgainStopsThat() {
        at(0, soak(80, 200)).at(180, new HeatFact.SoakEnded(95));
        JobState off = JobState.of(journal);
        assertThat(HeatState.of(off).runningSoak()).isEmpty();
        Timer workable = off.timer(HeatFact.WORKABLE).orElseThrow();
        assertThat(workable.startedAt()).isEqualTo(NINE.plusSeconds(180));
        assertThat(workable.seconds()).isEqualTo(95);
        at(300, soak(80, 40));
        JobState again = JobState.of(journal);
        assertThat(again.timer(HeatFact.WORKABLE)).isEmpty();
        assertThat(HeatState.of(again).runningSoak()).map(Soak::seq).contains(3L);
        assertThat(HeatState.of(again).soaks()).hasSize(2);
    }

    @Test
    void openingTheFrontEndsTheBondsClockAndHandingOverEndsAll() {
        after(soak(80, 200), new HeatFact.SoakEnded(95), new SeparateFact.FrontOpened());
        assertThat(JobState.of(journal).timer(HeatFact.WORKABLE)).isEmpty();
        after(new JobFact.TimerStarted(DRYING, 90), new JobFact.TimerStarted(PRESSING, 120));
        assertThat(JobState.of(journal).timers()).filteredOn(Timer::running).hasSize(2);
        JobState closed = after(new ProveFact.HandedOver("Hut warden"));
        assertThat(closed.timers()).noneMatch(Timer::running);
        assertThat(closed.everTimed(PRESSING)).isTrue();
    }

    @Test
    void aTimerStartedAgainReplacesItself() {
        JobState state = after(new JobFact.TimerStarted(DRYING, 90), new JobFact.TimerStarted(DRYING, 60));
        assertThat(state.timers())
                .filteredOn(Timer::running)
                .extracting(Timer::seconds)
                .containsExactly(60);
    }

    @Test
    void isolationIsProvenAnewAfterEveryChange() {
        JobState state = after(
                new IntakeFact.PowerSeen(false),
                new StripFact.BatteryIsolated(StripFact.Isolation.UNPLUGGED),
                new StripFact.IsolationProven());
        assertThat(StripState.live(state)).isFalse();
        JobState changed = after(new StripFact.BatteryIsolated(StripFact.Isolation.CARD_UNDER_CONTACT));
        assertThat(StripState.of(changed).isolationProven()).isFalse();
        assertThat(StripState.live(changed)).isTrue();
    }

    @Test
    void wedgesAreInUntilPulledWhereTheyAre() {
        JobState state = after(
                new SeparateFact.WedgeSet(40),
                new SeparateFact.WedgeSet(40),
                new SeparateFact.WedgeSet(52.5),
                new SeparateFact.WedgePulled(40));
        assertThat(SeparateState.of(state).wedges()).containsExactly(52.5);
    }

    @Test
    void aNewCrackSteersLikeOneMarkedAtIntake() {
        JobState state = after(
                new IntakeFact.CrackMarked(100, 12),
                new DamageFact.MishapSeen(DamageFact.Mishap.NEW_CRACK, 50.0),
                new DamageFact.MishapSeen(DamageFact.Mishap.NEW_CRACK, null),
                new DamageFact.MishapSeen(DamageFact.Mishap.SLIP, 70.0));
        assertThat(Damage.edgeCracks(ShippedBook.quire11(), state))
                .containsExactly(new EdgeInterval(100, 12), new EdgeInterval(46, 8));
        assertThat(DamageState.of(state).mishaps()).hasSize(3);
    }

    @Test
    void aMarkIsRemovedByItsNumber() {
        JobState state = after(
                new IntakeFact.DentMarked(new Point(3, 4)),
                new IntakeFact.CrackDrawn(List.of(new Point(0, 0), new Point(30, 40))),
                new IntakeFact.MarkRemoved(1));
        assertThat(IntakeState.of(state).marks())
                .extracting(IntakeState.Mark::seq)
                .containsExactly(2L);
    }

    @Test
    void aSymptomCanTurnOutNotToBeSo() {
        JobState state = after(
                new IntakeFact.SymptomSeen(Symptom.FLICKER, true),
                new IntakeFact.SymptomSeen(Symptom.FLICKER, false),
                new IntakeFact.SymptomSeen(Symptom.FLICKER, true),
                new IntakeFact.SymptomSeen(Symptom.FLICKER, false));
        assertThat(IntakeState.of(state).symptoms()).isEmpty();
    }

    @Test
    void aComebackNamesTheJobItWas() {
        JobState twice = after(new IntakeFact.CameBack(12), new IntakeFact.CameBack(11));
        assertThat(IntakeState.of(twice).cameFrom()).contains(11L);
        assertThat(IntakeState.of(after(new JobFact.Undone(2))).cameFrom()).contains(12L);
    }

    @Test
    void theOwnersLastWordIsRepairOrNot() {
        DecideFact.RepairAgreed agreed = new DecideFact.RepairAgreed(
                "fused-front", Grade.PREMIUM_COPY, new java.math.BigDecimal("189.00"), "EUR", "Hut warden");
        assertThat(DecideState.of(after(agreed, new DecideFact.NotWorthIt("too old", "Hut warden")))
                        .repair())
                .isEmpty();
        DecideState changedMind = DecideState.of(after(agreed));
        assertThat(changedMind.repair()).contains(agreed);
        assertThat(changedMind.notWorthIt()).isEmpty();
    }

    @Test
    void aPartIsLostOrCarriedOverNeverBoth() {
        CarryState found = CarryState.of(
                after(new CarryFact.CarryOverLost("magnets", "rolled away"), new CarryFact.CarriedOver("magnets")));
        assertThat(found.carriedOver("magnets")).isTrue();
        assertThat(found.lost()).isEmpty();
        CarryState broken = CarryState.of(after(new CarryFact.CarryOverLost("magnets", "snapped")));
        assertThat(broken.carriedOver("magnets")).isFalse();
        assertThat(broken.lost()).containsEntry("magnets", "snapped");
    }

    @Test
    void choosingAnotherWayOfEndingStripsStartsTheStripsAnew() {
        JobState state = after(
                new BondFact.StripsChosen(TapeSchool.BUTT),
                new BondFact.StripLaid("top-1"),
                new BondFact.StripsChosen(TapeSchool.MITRE));
        assertThat(BondState.of(state).school()).contains(TapeSchool.MITRE);
        assertThat(BondState.of(state).stripLaid("top-1")).isFalse();
    }

    @Test
    void aPartBringsWhatItBringsUntilItGoesBack() {
        UUID piece = new UUID(0, 9);
        Fact reserved = new PartReserved(
                piece, PartKind.FUSED_FRONT, Grade.PREMIUM_COPY, "fused front, lot 7", List.of(Brings.TAPE));
        assertThat(PartsState.of(after(reserved)).brought(Brings.TAPE)).isTrue();
        PartsState back = PartsState.of(after(new PartReturned(piece)));
        assertThat(back.brought(Brings.TAPE)).isFalse();
        assertThat(back.parts()).isEmpty();
    }

    @Test
    void twoClocksOfAKindRunBesideEachOtherUnderNamesOfTheirOwn() {
        JobState state = after(
                new JobFact.TimerStarted("DRYING", 90, "top"),
                new JobFact.TimerStarted("DRYING", 60, "bottom"),
                new JobFact.TimerStopped("DRYING", "top"));
        assertThat(state.running()).extracting(Timer::id).containsExactly("bottom");
        assertThat(state.timer(DRYING)).map(Timer::seconds).contains(60);
    }

    @Test
    void whatANewerVersionWroteIsKeptAndKnownOf() {
        JobState state = after(
                new IntakeFact.PowerSeen(true), new JobFact.FromNewer("PanelGlowed", "{\"type\":\"PanelGlowed\"}"));
        assertThat(state.newer()).isTrue();
        assertThat(IntakeState.of(state).canSwitchOff()).contains(true);
        assertThat(JobState.of(journal.subList(0, 1)).newer()).isFalse();
    }
}
