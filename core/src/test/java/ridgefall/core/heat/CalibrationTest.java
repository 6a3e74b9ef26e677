package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.heat.CalibrationFit.Fitted;
import ridgefall.core.heat.CalibrationFit.Outcome;
import ridgefall.core.heat.CalibrationFit.Refused;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.units.Source;

/** Against benches that are not there: their truth is finer and uneven, and no plan knows it. */
class CalibrationTest {
    private static final Instant AT = Instant.parse("2026-03-02T09:00:00Z");
    private static final HeatSource PLATE = HeatSource.byId(HeatSource.bench(), "plate-1");

    /** Of which one in ten may be off by more; {@code ./ridgefall bench} measures more of them. */
    private static final int BENCHES = Integer.getInteger("ridgefall.benches", 10);

    private static final HeatQuestion UNMEASURED = question(PLATE);

    private static HeatQuestion question(HeatSource plate) {
        return new HeatQuestion(ShippedBook.quire11(), FrontCondition.INTACT, List.of(), List.of(), List.of(plate));
    }

    private static Soak soak(double settingC, int seconds) {
        return new Soak(
                1,
                new SoakStarted("plate-1", settingC, seconds, null, null, HeatFact.Sweep.FACE),
                AT,
                AT.plusSeconds(seconds),
                List.of());
    }

    /** Both thermocouples every two seconds, from the touch to the pull. */
    private static List<Measured> log(StandInBench truth, int seconds) {
        List<Measured> log = new ArrayList<>();
        for (int s = 0; s < seconds; s += 2) {
            for (Surface surface : Surface.values()) {
                log.add(new Measured(s, surface, truth.shows(surface, s), 0.5));
            }
        }
        return log;
    }

    private static Outcome calibrate(long seed, UnaryOperator<List<Measured>> spoilt) {
        Soak logged = soak(75, 300);
        StandInBench truth = new StandInBench(UNMEASURED, List.of(logged), seed);
        return CalibrationFit.of(UNMEASURED, List.of(logged), spoilt.apply(log(truth, 300)), AT);
    }

    /** Mean bond round the edge as forecast, likely, at a time. */
    private static double bondC(Forecast forecast, int point) {
        return forecast.stretches().stream()
                .mapToDouble(stretch -> stretch.bondC().get(point))
                .average()
                .orElseThrow();
    }

    private static double worstBondErrorK(HeatQuestion question, Soak soak, StandInBench truth) {
        Forecast forecast = Forecast.of(question, List.of(soak), List.of());
        return IntStream.range(0, forecast.curve().size())
                .mapToDouble(i -> Math.abs(
                        bondC(forecast, i) - truth.bondC(forecast.curve().get(i).seconds())))
                .max()
                .orElseThrow();
    }

    @Test
    void afterOneLoggedSoakTheNextDifferentOneIsForecastWithinOneAndAHalfKelvin() {
        List<String> failed = new ArrayList<>();
        List<String> unnoticed = new ArrayList<>();
        for (long seed = 1; seed <= BENCHES; seed++) {
            Outcome outcome = calibrate(seed, log -> log);
            if (!(outcome instanceof Fitted fitted)) {
                failed.add(seed + ": " + outcome);
                continue;
            }
            HeatQuestion measured = question(PLATE.measured(fitted.calibration()));
            HeatPlan plan = measured.planner(HeatPlanner.FULL).best(measured.sources());
            Soak next = soak(plan.settingC(), (int) plan.soakSeconds());
            StandInBench truth = new StandInBench(UNMEASURED, List.of(next), seed);
            double error = worstBondErrorK(measured, next, truth);
            if (error > 1.5) {
                failed.add(seed + ": off by " + error + " K");
            }
            HeatLimits limits = UNMEASURED.profile().limits();
            for (Limit limit : Limit.values()) {
                if (truth.peakC(limit) > limit.stopC(limits)) {
                    unnoticed.add(seed + ": " + limit.words() + " at " + truth.peakC(limit));
                }
            }
        }
        assertThat(failed).as("of %s benches", BENCHES).hasSizeLessThanOrEqualTo(BENCHES / 10);
        assertThat(unnoticed).isEmpty();
    }

    @Test
    void beforeItIsMeasuredTheBenchLiesInsideTheForecastsOwnBand() {
        Soak soak = soak(80, 240);
        Forecast forecast = Forecast.of(UNMEASURED, List.of(soak), List.of());
        int inside = 0;
        for (long seed = 1; seed <= 20; seed++) {
            StandInBench truth = new StandInBench(UNMEASURED, List.of(soak), seed);
            double at = truth.bondC(240);
            HeatPlan.Point pull = forecast.curve().stream()
                    .filter(point -> point.seconds() >= 240)
                    .findFirst()
                    .orElseThrow();
            if (at > pull.bondC().p10() - 1 && at < pull.bondC().p90() + 1) {
                inside++;
            }
        }
        // Eight of ten lie between the tenth and the ninetieth of a hundred.
        assertThat(inside).isBetween(13, 20);
    }

    @Test
    void aMeasuredSourceSaysSoAndItsBandIsNarrower() {
        Fitted fitted = (Fitted) calibrate(3, log -> log);
        HeatQuestion measured = question(PLATE.measured(fitted.calibration()));
        HeatPlan before = UNMEASURED.planner(HeatPlanner.FULL).on(PLATE, Setup.face(80));
        HeatPlan after =
                measured.planner(HeatPlanner.FULL).on(measured.sources().get(0), Setup.face(80));
        assertThat(after.howSure()).isEqualTo(Source.MEASURED_HERE);
        assertThat(after.readyAt().p90() - after.readyAt().p10())
                .isLessThan((before.readyAt().p90() - before.readyAt().p10()) / 2);
    }

    @Test
    void aShortLogIsRefused() {
        assertRefused(log -> log.subList(0, 60), "needed to tell contact from offset");
    }

    @Test
    void aThermometerThatComesLooseIsRefused() {
        assertRefused(
                log -> log.stream()
                        .map(m -> m.seconds() < 150 || m.surface() == Surface.GLASS
                                ? m
                                : new Measured(m.seconds(), m.surface(), m.celsius() - 12, m.sigmaK()))
                        .toList(),
                "did it come loose?");
    }

    @Test
    void fahrenheitTakenForCelsiusIsRefused() {
        assertRefused(
                log -> log.stream()
                        .map(m -> new Measured(m.seconds(), m.surface(), m.celsius() * 1.8 + 32, m.sigmaK()))
                        .toList(),
                "or in another unit");
    }

    @Test
    void aThermometerThatNeverTouchedIsRefused() {
        assertRefused(
                log -> log.stream()
                        .map(m -> new Measured(m.seconds(), m.surface(), 22, m.sigmaK()))
                        .toList(),
                "did the thermometer touch?");
    }

    private static void assertRefused(UnaryOperator<List<Measured>> spoilt, String because) {
        assertThat(calibrate(3, spoilt))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.because()).anyMatch(reason -> reason.contains(because)));
    }
}
