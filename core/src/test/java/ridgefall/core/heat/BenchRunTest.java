package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.BenchRun.On;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatState.Happening;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ShippedBook;

/** One bench taken through one thing after another. */
class BenchRunTest {
    private static final Instant AT = Instant.parse("2026-03-02T09:00:00Z");
    private static final HeatQuestion WHOLE =
            new HeatQuestion(ShippedBook.quire11(), FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench());
    private static final HeatSource PLATE = WHOLE.source("plate-1");
    private static final HeatSource GUN = WHOLE.source("air-2");
    private static final EdgeInterval TOP = ShippedBook.quire11().edge().interval(Landmark.TOP);
    private static final EdgeInterval BOTTOM = ShippedBook.quire11().edge().interval(Landmark.BOTTOM);
    private static final double ROOM_C = HeatQuestion.USUAL_ROOM_C;
    private static final EdgeInterval HAND = new EdgeInterval(TOP.fromMm() + 30, 60);
    private static final HeatQuestion BENT = new HeatQuestion(
            ShippedBook.quire11(),
            FrontCondition.INTACT,
            List.of(),
            List.of(new BendMarked(Landmark.TOP_LEFT, 1.5, null)),
            HeatSource.bench());
    private static final Setup GUN_ON_TOP =
            GUN.usual(200, Sweep.STRETCH_BY_STRETCH).over(TOP);

    private static BenchRun through(Act... acts) {
        BenchRun bench = BenchRun.usual(WHOLE, PLATE);
        bench.through(List.of(acts));
        return bench;
    }

    private static Soak soak(String source, Setup setup, int fromS, int seconds) {
        return new Soak(
                fromS,
                new SoakStarted(
                        source,
                        setup.settingC(),
                        seconds,
                        setup.dial(),
                        setup.distanceMm(),
                        setup.sweep(),
                        setup.where()),
                AT.plusSeconds(fromS),
                AT.plusSeconds(fromS + seconds),
                List.of());
    }

    /** Two models of one soak: the plan scales a run of one kelvin, this one adds up what is there. */
    @Test
    void onASourceItIsAsWarmAsThePlanForItSays() {
        HeatPlan plan = WHOLE.planner(HeatPlanner.QUICK).judged(PLATE, Setup.face(80), 240);
        double planned = plan.stretches().stream()
                .mapToDouble(HeatPlan.Stretch::bondAtPullC)
                .min()
                .orElseThrow();
        assertThat(through(new Act(PLATE, Setup.face(80), 240))
                        .bondC(ShippedBook.quire11().edge().turn().whole()))
                .isCloseTo(planned, within(0.1));
    }

    /** Held off alike by a hand that reads the glass, more of the air goes to frame and bond; another model says so too. */
    @Test
    void behindAShieldTheBondIsWarmerWhereTheGlassIsAsHot() {
        HeatSource shielded = GUN.behindShield();
        double bare = afterAMinuteInHand(BenchRun.usual(WHOLE, GUN), GUN);
        double behind = afterAMinuteInHand(BenchRun.usual(WHOLE, shielded), shielded);
        assertThat(behind - ROOM_C).isGreaterThan(1.15 * (bare - ROOM_C));
        Random drawn = new Random(3);
        ForeignBench solid = ForeignBench.drawn(WHOLE, drawn);
        double solidBare = afterAMinuteInHand(solid, GUN);
        double solidBehind = afterAMinuteInHand(ForeignBench.drawn(WHOLE, new Random(3)), shielded);
        assertThat(solidBehind - ROOM_C).isGreaterThan(1.15 * (solidBare - ROOM_C));
    }

    private static double afterAMinuteInHand(Bench bench, HeatSource gun) {
        Bench.AtSource on =
                bench.on(gun, gun.usual(300, Sweep.STRETCH_BY_STRETCH).over(HAND));
        while (on.seconds() < 60) {
            on.step(bench.glassCautionC());
        }
        return bench.bondC(HAND);
    }

    /** What a hand reads: the frame's side where it stays coldest, the glass where air makes it hottest. */
    @Test
    void readingsAreComparedWithThePlacesTheyAreTakenAt() {
        Soak blown = soak("air-2", GUN.usual(200, Sweep.STRETCH_BY_STRETCH).over(HAND), 0, 30);
        Timeline.Passage usual = Timeline.of(WHOLE, List.of(blown)).pass(source -> new double[Unknown.count()]);
        // By a three-dimensional model of this tablet 83 °C after half a minute; all round it is hardly warmer than the
        // room.
        assertThat(usual.at(HeatFact.Surface.GLASS, 30)).isBetween(70.0, 96.0);
        Soak plate = soak("plate-1", Setup.face(80), 0, 120);
        Timeline.Passage lying = Timeline.of(BENT, List.of(plate)).pass(source -> new double[Unknown.count()]);
        Timeline.Passage flat = Timeline.of(WHOLE, List.of(plate)).pass(source -> new double[Unknown.count()]);
        assertThat(lying.at(HeatFact.Surface.FRAME, 120))
                .as("where a corner stands off the plate")
                .isLessThan(flat.at(HeatFact.Surface.FRAME, 120) - 1);
    }

    @Test
    void airWarmsTheStretchItIsLedOverAndHardlyTheFarEdge() {
        BenchRun bench = through(new Act(GUN, GUN_ON_TOP, 60));
        assertThat(bench.bondC(TOP)).isGreaterThan(35);
        assertThat(bench.bondC(BOTTOM)).isLessThan(25);
        // Off again, what is in the glass goes on into the frame: the stretch falls, the far edge does not.
        double then = bench.bondC(TOP);
        double far = bench.bondC(BOTTOM);
        bench.rest(60);
        assertThat(bench.bondC(TOP)).isLessThan(then);
        assertThat(bench.bondC(BOTTOM)).isGreaterThan(far);
    }

    @Test
    void inOneGoOrInPartsIsTheSame() {
        Act half = new Act(PLATE, Setup.face(80), 120);
        assertThat(through(half, half).bondC(TOP))
                .isCloseTo(through(new Act(PLATE, Setup.face(80), 240)).bondC(TOP), within(1e-9));
    }

    @Test
    void actsShorterThanAStepAddUp() {
        Act little = Act.rest(2);
        Act warm = new Act(PLATE, Setup.face(80), 240);
        assertThat(through(warm, little, little, little, little, little).bondC(TOP))
                .isCloseTo(through(warm, Act.rest(10)).bondC(TOP), within(1e-9));
    }

    @Test
    void aJournalIsTakenThroughAllThatHappened() {
        List<Soak> soaks = List.of(soak("plate-1", Setup.face(80), 0, 240), soak("air-2", GUN_ON_TOP, 300, 20));
        BenchRun told = BenchRun.after(WHOLE, soaks, AT.plusSeconds(350));
        BenchRun done =
                through(new Act(PLATE, Setup.face(80), 240), Act.rest(60), new Act(GUN, GUN_ON_TOP, 20), Act.rest(30));
        assertThat(told.bondC(TOP)).isCloseTo(done.bondC(TOP), within(1e-9));
        assertThat(told.bondC(BOTTOM)).isCloseTo(done.bondC(BOTTOM), within(1e-9));
    }

    /** Slipped off its plate, or turned up late: the plans go on from what the curve on the screen shows, and from nothing else. */
    @Test
    void whatHappenedOnASourceIsReckonedAsTheCurveDoes() {
        HeatSource bag = new HeatSource("bag-1", "Warmed bag", HeatSource.Kind.REUSABLE_PAD, 40, 90, 300, null, null);
        HeatQuestion question = new HeatQuestion(
                ShippedBook.quire11(), FrontCondition.INTACT, List.of(), List.of(), List.of(bag, PLATE));
        for (String source : List.of("plate-1", "bag-1")) {
            Soak told = new Soak(
                    1,
                    new SoakStarted(source, 60, 300, null, null, Sweep.FACE),
                    AT,
                    AT.plusSeconds(240),
                    List.of(
                            new Happening(90, new HeatFact.SettingChanged(85)),
                            new Happening(150, new HeatFact.LyingChanged(false))));
            Timeline timeline = Timeline.of(question, List.of(told));
            Timeline.Passage curve = timeline.pass(
                    known -> Knowledge.of(known, question.profile().id()).scores(new double[Unknown.count()]));
            EdgePieces.Warmed top = timeline.device().pieces().on(TOP);
            for (int seconds : new int[] {90, 140, 240, 300}) {
                assertThat(BenchRun.asOf(question, List.of(told), AT.plusSeconds(seconds))
                                .bondC(TOP))
                        .as("%s after %d s", source, seconds)
                        .isCloseTo(curve.coldestC(timeline.step(seconds), top), within(0.05));
            }
        }
    }

    @Test
    void whatRunsGoesOnForAsLongAsItIsMeantTo() {
        Soak over = soak("plate-1", Setup.face(80), 0, 240);
        Soak running = new Soak(over.seq(), over.started(), over.startedAt(), null, List.of());
        assertThat(BenchRun.after(WHOLE, List.of(running), AT.plusSeconds(30)).bondC(TOP))
                .isEqualTo(BenchRun.after(WHOLE, List.of(over), AT.plusSeconds(240))
                        .bondC(TOP));
        assertThat(BenchRun.offSeconds(List.of(running), AT.plusSeconds(300))).isZero();
        assertThat(BenchRun.offSeconds(List.of(over), AT.plusSeconds(300))).isEqualTo(60);
        assertThat(BenchRun.forgotten(List.of(running), AT.plusSeconds(90_000))).isFalse();
        assertThat(BenchRun.forgotten(List.of(over), AT.plusSeconds(90_000))).isTrue();
        assertThat(BenchRun.forgotten(List.of(), AT)).isFalse();
    }

    /** However hot the air: who holds it off by what the glass reads never passes a stop, and the bond still gets warmer. */
    @ParameterizedTest
    @ValueSource(doubles = {120, 200, 300})
    void airIsHeldOffByWhatTheGlassReads(double settingC) {
        BenchRun bench = through(new Act(PLATE, Setup.face(80), 120));
        double before = bench.bondC(TOP);
        On on = bench.on(GUN, GUN.usual(settingC, Sweep.STRETCH_BY_STRETCH).over(TOP));
        for (int step = 0; step < 12; step++) {
            on.step(bench.glassCautionC() - 2);
        }
        assertThat(bench.keptStops()).isTrue();
        assertThat(bench.bondC(TOP)).isGreaterThan(before + 1);
        BenchRun inTheOpen = through(new Act(PLATE, Setup.face(80), 120));
        On asItIs = inTheOpen.on(GUN, GUN.usual(300, Sweep.STRETCH_BY_STRETCH));
        for (int step = 0; step < 12; step++) {
            asItIs.step();
        }
        assertThat(inTheOpen.keptStops()).as("300 °C held still").isFalse();
    }

    @Test
    void whatComesOffAPlateGoesOnAsWarmUnderAir() {
        BenchRun bench = through(new Act(PLATE, Setup.face(80), 240));
        BenchRun held = bench.copy();
        held.on(GUN, GUN_ON_TOP);
        assertThat(held.bondC(TOP)).isEqualTo(bench.bondC(TOP));
        bench.rest(60);
        held.rest(60);
        // Then its back and its panel are known piece by piece.
        assertThat(held.bondC(TOP)).isCloseTo(bench.bondC(TOP), within(2.0));
    }

    @Test
    void aCopyGoesItsOwnWay() {
        BenchRun one = through(new Act(PLATE, Setup.face(80), 240));
        BenchRun other = one.copy();
        double then = one.bondC(TOP);
        other.rest(120);
        assertThat(one.bondC(TOP)).isEqualTo(then);
        assertThat(other.bondC(TOP)).isLessThan(then);
    }
}
