package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.Forecast.Moment;
import ridgefall.core.heat.Forecast.Stretch;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.HeatState.Happening;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.units.Band;

/** What happens to a device on a source, and what that does to its forecast. */
class ForecastTest {
    private static final Instant AT = Instant.parse("2026-03-02T09:00:00Z");
    private static final DeviceProfile QUIRE = ShippedBook.quire11();
    private static final HeatQuestion WHOLE =
            new HeatQuestion(QUIRE, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench());
    /** A metal frame would soon even out what a crack does. */
    private static final DeviceProfile PLASTIC = ShippedBook.profile("class-tablet-plastic");

    private static final EdgeInterval CORNER = PLASTIC.edge().interval(Landmark.BOTTOM_RIGHT);
    private static final HeatQuestion CRACKED =
            new HeatQuestion(PLASTIC, FrontCondition.CRACKED, List.of(CORNER), List.of(), HeatSource.bench());

    private static Soak running(Happening... happened) {
        return new Soak(
                1, new SoakStarted("plate-1", 80, 240, null, null, HeatFact.Sweep.FACE), AT, null, List.of(happened));
    }

    private static Soak over(int seconds) {
        return new Soak(
                1,
                new SoakStarted("plate-1", 80, seconds, null, null, HeatFact.Sweep.FACE),
                AT,
                AT.plusSeconds(seconds),
                List.of());
    }

    private static Forecast forecast(HeatQuestion question, Soak soak) {
        return Forecast.of(question, List.of(soak), List.of());
    }

    private static double readyS(Happening... happened) {
        return forecast(WHOLE, running(happened)).readyAt().p50();
    }

    @Test
    void undisturbedItIsThePlanForTheSameSourceAndSetting() {
        HeatPlan plan = WHOLE.planner(HeatPlanner.FULL).on(WHOLE.source("plate-1"), Setup.face(80));
        assertThat(readyS()).isCloseTo(plan.readyAt().p50(), within(2 * Benches.STEP_S));
        assertThat(forecast(WHOLE, running()).latestSeconds()).isCloseTo(plan.latestSeconds(), within(30.0));
    }

    /** Somebody says that it lies flat while it does: a pad goes on cooling and a nozzle goes on round. */
    @Test
    void whatIsToldAndChangesNothingMovesNothing() {
        HeatSource bag = new HeatSource("bag-1", "Warmed bag", HeatSource.Kind.REUSABLE_PAD, 40, 90, 600, null, null);
        HeatQuestion question = new HeatQuestion(
                QUIRE, FrontCondition.INTACT, List.of(), List.of(), List.of(bag, WHOLE.source("air-2")));
        for (SoakStarted started : List.of(
                new SoakStarted("bag-1", 85, 300, null, null, HeatFact.Sweep.FACE),
                new SoakStarted("air-2", 160, 300, 3.0, 60.0, HeatFact.Sweep.ROUND))) {
            Soak still = new Soak(1, started, AT, null, List.of());
            Soak told = new Soak(1, started, AT, null, List.of(new Happening(130, new HeatFact.LyingChanged(true))));
            assertThat(forecast(question, told).curve())
                    .isEqualTo(forecast(question, still).curve());
            BenchRun asTold = BenchRun.after(question, List.of(told), AT.plusSeconds(200));
            BenchRun as = BenchRun.after(question, List.of(still), AT.plusSeconds(200));
            assertThat(asTold.bondC(10)).isEqualTo(as.bondC(10));
        }
    }

    private static double bondC(Forecast forecast, double seconds) {
        return forecast.curve().stream()
                .filter(point -> point.seconds() == seconds)
                .findFirst()
                .orElseThrow()
                .bondC()
                .p50();
    }

    /** It slipped and lies flat again at once: the bag is no warmer for it. */
    @Test
    void aPadGoesOnCoolingThroughAChange() {
        HeatSource bag = new HeatSource("bag-1", "Warmed bag", HeatSource.Kind.REUSABLE_PAD, 40, 90, 300, null, null);
        HeatQuestion question = new HeatQuestion(QUIRE, FrontCondition.INTACT, List.of(), List.of(), List.of(bag));
        SoakStarted started = new SoakStarted("bag-1", 85, 600, null, null, HeatFact.Sweep.FACE);
        Forecast still = forecast(question, new Soak(1, started, AT, null, List.of()));
        Forecast slipped = forecast(
                question,
                new Soak(
                        1,
                        started,
                        AT,
                        null,
                        List.of(
                                new Happening(200, new HeatFact.LyingChanged(false)),
                                new Happening(201, new HeatFact.LyingChanged(true)))));
        assertThat(bondC(slipped, 600)).isCloseTo(bondC(still, 600), within(0.6));
    }

    private static Forecast told(double readyS, double latestS) {
        Band ready = new Band(readyS - 20, readyS, readyS + 30);
        return new Forecast(1, true, 58, ready, latestS, Double.POSITIVE_INFINITY, 1, List.of(), List.of());
    }

    @Test
    void theBenchIsToldWhenTheBondIsLikelyReadyAndWhenALimitIsNear() {
        assertThat(told(180, 240).moments())
                .containsExactly(new Moment(Moment.Kind.READY, 180), new Moment(Moment.Kind.LIMIT, 240));
    }

    @Test
    void aLimitIsToldAndNothingElseWhereTheBondIsNotReadyByThen() {
        assertThat(told(300, 240).moments()).containsExactly(new Moment(Moment.Kind.LIMIT, 240));
        assertThat(told(Double.POSITIVE_INFINITY, 240).moments()).hasSize(1);
    }

    @Test
    void takenOffAtTheLatestMomentBatteryAndDisplayStayBelowTheirStopsWhileItCools() {
        // A thick watch: the battery lies deep and is the last to feel the heat.
        DeviceProfile watch = ShippedBook.profile("pellow-dial-45");
        HeatQuestion question =
                new HeatQuestion(watch, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench());
        SoakStarted started = new SoakStarted("plate-1", 90, 240, null, null, HeatFact.Sweep.FACE);
        int latest = (int)
                forecast(question, new Soak(1, started, AT, null, List.of())).latestSeconds();
        Forecast after = forecast(question, new Soak(1, started, AT, AT.plusSeconds(latest), List.of()));
        HeatPlan.Point cooled = after.curve().get(after.curve().size() - 1);
        assertThat(cooled.seconds()).isGreaterThan(latest + 400.0);
        assertThat(cooled.batteryC().p90()).isLessThanOrEqualTo(watch.limits().batteryStopC());
        assertThat(cooled.displayC().p90()).isLessThanOrEqualTo(watch.limits().displayStopC());
    }

    @Test
    void aSlippedLidIsReadyLater() {
        assertThat(readyS(new Happening(60, new HeatFact.LyingChanged(false)))).isGreaterThan(readyS() + 60);
        assertThat(readyS(
                        new Happening(60, new HeatFact.LyingChanged(false)),
                        new Happening(90, new HeatFact.LyingChanged(true))))
                .isBetween(readyS() + 5, readyS() + 60);
    }

    @Test
    void aHotterSettingIsReadySoonerAndHasToComeOffSooner() {
        Forecast hotter = forecast(WHOLE, running(new Happening(20, new HeatFact.SettingChanged(90))));
        Forecast asSet = forecast(WHOLE, running());
        assertThat(hotter.readyAt().p50()).isLessThan(asSet.readyAt().p50() - 8);
        assertThat(hotter.latestSeconds()).isLessThan(asSet.latestSeconds() - 20);
    }

    @Test
    void aPickThatGoesInEarlyMovesTheForecastForwardAndOneThatDoesNotMovesItBack() {
        double usual = readyS();
        assertThat(readyS(new Happening(55, new HeatFact.PickTried(true)))).isLessThan(usual - 15);
        assertThat(readyS(new Happening(110, new HeatFact.PickTried(false)))).isGreaterThan(usual + 15);
    }

    @Test
    void aThermometerNarrowsTheBand() {
        Forecast asSet = forecast(WHOLE, running());
        Forecast measured = Forecast.of(
                WHOLE,
                List.of(running()),
                List.of(
                        new Measured(60, Surface.FRAME, 35.7, 1.5),
                        new Measured(120, Surface.FRAME, 45.4, 1.5),
                        new Measured(180, Surface.FRAME, 51.5, 1.5)));
        assertThat(measured.readyAt().p90() - measured.readyAt().p10())
                .isLessThan((asSet.readyAt().p90() - asSet.readyAt().p10()) * 0.6);
        assertThat(measured.agreeing()).isLessThan(asSet.agreeing());
    }

    @Test
    void offTheSourceTheCrackedCornerGoesColdFirst() {
        Forecast after = forecast(
                CRACKED,
                new Soak(
                        1,
                        new SoakStarted("pad-1", 85, 420, null, null, HeatFact.Sweep.FACE),
                        AT,
                        AT.plusSeconds(420),
                        List.of()));
        double corner = cold(after, true);
        assertThat(after.running()).isFalse();
        assertThat(after.endedSeconds()).isEqualTo(420);
        assertThat(corner).isGreaterThanOrEqualTo(420).isLessThan(cold(after, false) - 2);
    }

    private static double cold(Forecast forecast, boolean atTheCorner) {
        return forecast.stretches().stream()
                .filter(s -> PLASTIC.edge().turn().overlap(CORNER, new EdgeInterval(s.fromMm(), s.lengthMm()))
                        == atTheCorner)
                .map(Stretch::coldAt)
                .mapToDouble(band -> band.p50())
                .average()
                .orElseThrow();
    }

    @Test
    void aSecondSoakStartsFromWhatTheFirstHasLeft() {
        Soak again = new Soak(
                9,
                new SoakStarted("plate-1", 80, 120, null, null, HeatFact.Sweep.FACE),
                AT.plusSeconds(400),
                null,
                List.of());
        Forecast reheated = Forecast.of(WHOLE, List.of(over(300), again), List.of());
        assertThat(reheated.soakSeq()).isEqualTo(9);
        assertThat(reheated.curve().get(0).bondC().p50()).isGreaterThan(40);
        assertThat(reheated.readyAt().p50()).isLessThan(readyS() / 2);
        assertThat(reheated.latestSeconds())
                .isLessThan(forecast(WHOLE, running()).latestSeconds());
    }

    @Test
    void aDeviceThatHasLainLongEnoughIsColdAgain() {
        Soak nextDay = new Soak(
                9,
                new SoakStarted("plate-1", 80, 120, null, null, HeatFact.Sweep.FACE),
                AT.plusSeconds(86_400),
                null,
                List.of());
        assertThat(Forecast.of(WHOLE, List.of(over(300), nextDay), List.of()).readyAt())
                .isEqualTo(forecast(WHOLE, running()).readyAt());
    }
}
