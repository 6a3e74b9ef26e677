package ridgefall.app.heat;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.core.heat.Forecast;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.heat.Measured;
import ridgefall.core.heat.SourceTaken;
import ridgefall.core.job.Role;
import ridgefall.core.material.Hand;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.separate.AnyOrder;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;
import ridgefall.core.separate.WayRound;
import ridgefall.core.units.Band;
import ridgefall.core.units.Source;

/** Plans and forecasts as JSON: what never happens is null. */
final class HeatViews {
    private HeatViews() {}

    private static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }

    /** Ten, fifty and ninety of a hundred benches stay below; null where they never get there. */
    record BandView(
            @Schema(nullable = true) Double p10,
            @Schema(nullable = true) Double p50,
            @Schema(nullable = true) Double p90) {
        static BandView of(Band band) {
            return new BandView(finite(band.p10()), finite(band.p50()), finite(band.p90()));
        }
    }

    record ForecastPoint(double seconds, BandView bondC, BandView batteryC, BandView displayC) {
        static List<ForecastPoint> of(List<HeatPlan.Point> curve) {
            return curve.stream()
                    .map(p -> new ForecastPoint(
                            p.seconds(), BandView.of(p.bondC()), BandView.of(p.batteryC()), BandView.of(p.displayC())))
                    .toList();
        }
    }

    record InfluenceView(
            String unknown,
            @Schema(nullable = true) Double secondsAtLow,
            @Schema(nullable = true) Double secondsAtHigh) {}

    record CandidateView(double settingC, Sweep sweep, double soakSeconds, boolean chosen, String because) {}

    /** A piece of the edge; {@code why} says what holds it back. */
    record BondStretchView(
            double fromMm,
            double lengthMm,
            double bondAtPullC,
            @Schema(nullable = true) Double readySeconds,
            double workableForSeconds,
            @Schema(nullable = true) String why) {}

    /**
     * What comes after the first warming.
     *
     * @param seconds until all is free, warming and all
     * @param lateSeconds on nine of ten benches
     */
    record ThenView(String words, double seconds, double lateSeconds) {
        static ThenView of(Opening opening) {
            return new ThenView(
                    opening.then(),
                    opening.seconds(),
                    Math.max(opening.seconds(), opening.followed().p90()));
        }
    }

    /** What another device lies on. */
    record TakenView(String whose, Instant freeAt) {}

    /** @param byStretch whether air warms each stretch as its turn comes; the plan is then of the first */
    record HeatPlanView(
            String sourceId,
            String sourceName,
            @Schema(nullable = true) TakenView taken,
            double settingC,
            @Schema(nullable = true) Double dial,
            @Schema(nullable = true) Double distanceMm,
            Sweep sweep,
            boolean feasible,
            int seconds,
            ChoiceView begin,
            double soakSeconds,
            int dwells,
            boolean byStretch,
            @Schema(nullable = true) ThenView then,
            double readyShare,
            BandView readyAtSeconds,
            double latestSeconds,
            double workableFromC,
            BandView bondAtPullC,
            BandView batteryAtPullC,
            BandView displayAtPullC,
            BandView workableForSeconds,
            double reheatSeconds,
            double preheatSeconds,
            List<String> because,
            Source howSure,
            int weighed,
            List<ForecastPoint> curve,
            List<BondStretchView> stretches,
            List<InfluenceView> influences,
            List<CandidateView> candidates) {
        static HeatPlanView of(Opening opening, List<SourceTaken> taken, boolean stillWarm, Role role) {
            return of(opening.heat(), taken, opening.stretches(), ThenView.of(opening), stillWarm, role);
        }

        static HeatPlanView of(HeatPlan plan, List<SourceTaken> taken, boolean stillWarm, Role role) {
            return of(plan, taken, false, null, stillWarm, role);
        }

        private static HeatPlanView of(
                HeatPlan plan,
                List<SourceTaken> taken,
                boolean byStretch,
                ThenView then,
                boolean stillWarm,
                Role role) {
            return new HeatPlanView(
                    plan.source().id(),
                    plan.source().name(),
                    taken.stream()
                            .filter(other ->
                                    other.sourceId().equals(plan.source().id()))
                            .findFirst()
                            .map(other -> new TakenView(other.whose(), other.freeAt()))
                            .orElse(null),
                    plan.settingC(),
                    plan.setup().dial(),
                    plan.setup().distanceMm(),
                    plan.setup().sweep(),
                    plan.feasible(),
                    HeatStation.seconds(plan, stillWarm),
                    ChoiceView.of(HeatStation.begin(plan, stillWarm), role),
                    plan.soakSeconds(),
                    plan.dwells(),
                    byStretch,
                    then,
                    plan.readyShare(),
                    BandView.of(plan.readyAt()),
                    plan.latestSeconds(),
                    plan.workableFromC(),
                    BandView.of(plan.bondAtPullC()),
                    BandView.of(plan.batteryAtPullC()),
                    BandView.of(plan.displayAtPullC()),
                    BandView.of(plan.workableForSeconds()),
                    plan.reheatSeconds(),
                    plan.preheatSeconds(),
                    plan.because(),
                    plan.howSure(),
                    plan.weighed(),
                    ForecastPoint.of(plan.curve()),
                    plan.stretches().stream()
                            .map(s -> new BondStretchView(
                                    s.fromMm(),
                                    s.lengthMm(),
                                    s.bondAtPullC(),
                                    finite(s.readySeconds()),
                                    s.workableForSeconds(),
                                    s.why()))
                            .toList(),
                    plan.influences().stream()
                            .map(i ->
                                    new InfluenceView(i.unknown(), finite(i.secondsAtLow()), finite(i.secondsAtHigh())))
                            .toList(),
                    plan.candidates().stream()
                            .map(c -> new CandidateView(
                                    c.setup().settingC(), c.setup().sweep(), c.soakSeconds(), c.chosen(), c.because()))
                            .toList());
        }
    }

    /** What is shown beside the bond: the battery, or where that is out the display. */
    record Guarded(boolean batteryIn, double stopC) {
        static Guarded in(HeatQuestion question) {
            HeatLimits limits = question.profile().limits();
            return new Guarded(
                    !question.batteryOut(), question.batteryOut() ? limits.displayStopC() : limits.batteryStopC());
        }
    }

    /** Another school than the plan's, and what it costs here. */
    record SchoolView(String words, String price) {
        /** What is proven of the plan's own order, which changes with the source it begins with. */
        static SchoolView anyOrder(HeatQuestion question, Opening plan) {
            AnyOrder any = AnyOrder.beside(question, plan);
            return new SchoolView(any.words(), any.price());
        }

        static List<SchoolView> of(HeatQuestion question) {
            return Stream.concat(
                            OpeningPlanner.withSolvent(question)
                                    .map(way -> new SchoolView("with solvent, laid at Separate", way.words()))
                                    .stream(),
                            WayRound.beside(question).stream().map(way -> new SchoolView(way.words(), way.price())))
                    .toList();
        }
    }

    /**
     * @param rough from few benches only: the full plans are still being computed
     * @param stillWarm from the last soak: then it goes back on for a short time only
     * @param soaks how often it was laid on a source
     */
    /**
     * @param hand how hard it is reckoned that a hand pushes, and what from
     * @param schools other ways to open it, priced; none while rough
     */
    record HeatView(
            Guarded guarded,
            boolean rough,
            boolean stillWarm,
            int soaks,
            String hand,
            List<SchoolView> schools,
            List<HeatPlanView> plans) {
        static HeatView of(
                HeatQuestion question,
                boolean rough,
                boolean stillWarm,
                int soaks,
                Hand hand,
                List<SchoolView> schools,
                List<Opening> openings,
                List<SourceTaken> taken,
                Role role) {
            return new HeatView(
                    Guarded.in(question),
                    rough,
                    stillWarm,
                    soaks,
                    hand.words() + room(question),
                    schools,
                    openings.stream()
                            .map(opening -> HeatPlanView.of(opening, taken, stillWarm, role))
                            .toList());
        }
    }

    record StretchForecast(
            double fromMm, double lengthMm, List<Double> bondC, BandView readyAtSeconds, BandView coldAtSeconds) {}

    private static String room(HeatQuestion question) {
        return question.roomC() == HeatQuestion.USUAL_ROOM_C
                ? " The room is taken to have {C:" + Math.round(question.roomC()) + "}."
                : " The room has {C:" + question.roomC() + "}, as it was read.";
    }

    /** By hand or by an instrument. */
    record MeasuredPoint(double seconds, Surface surface, double celsius) {}

    /** What can be told while it lies there. */
    record DuringView(ChoiceView pickGoesIn, ChoiceView notYet, ChoiceView lying, ChoiceView setting) {
        static DuringView of(HeatStation.During during, Role role) {
            return new DuringView(
                    ChoiceView.of(during.pickGoesIn(), role),
                    ChoiceView.of(during.notYet(), role),
                    ChoiceView.of(during.lying(), role),
                    ChoiceView.of(during.setting(), role));
        }
    }

    /** What the bench is told from then on. */
    record SoakMoment(Forecast.Moment.Kind kind, double fromSeconds) {}

    /** Seconds count from the start of the last soak; {@code bondC} of a stretch is at the times of the curve. */
    record ForecastView(
            long soakSeq,
            boolean running,
            Instant startedAt,
            String sourceName,
            double settingC,
            boolean flat,
            Guarded guarded,
            double workableFromC,
            BandView readyAtSeconds,
            double latestSeconds,
            List<SoakMoment> moments,
            @Schema(nullable = true) Double endedSeconds,
            double agreeing,
            List<ForecastPoint> curve,
            List<StretchForecast> stretches,
            List<MeasuredPoint> measured,
            DuringView during) {
        static ForecastView of(
                HeatQuestion question, Soak soak, Forecast forecast, List<Measured> instruments, Role role) {
            return new ForecastView(
                    forecast.soakSeq(),
                    forecast.running(),
                    soak.startedAt(),
                    question.sourceName(soak.sourceId()),
                    soak.settingC(),
                    soak.flat(),
                    Guarded.in(question),
                    forecast.workableFromC(),
                    BandView.of(forecast.readyAt()),
                    forecast.latestSeconds(),
                    forecast.moments().stream()
                            .map(m -> new SoakMoment(m.kind(), m.fromS()))
                            .toList(),
                    finite(forecast.endedSeconds()),
                    forecast.agreeing(),
                    ForecastPoint.of(forecast.curve()),
                    forecast.stretches().stream()
                            .map(s -> new StretchForecast(
                                    s.fromMm(),
                                    s.lengthMm(),
                                    s.bondC(),
                                    BandView.of(s.readyAt()),
                                    BandView.of(s.coldAt())))
                            .toList(),
                    Stream.concat(
                                    instruments.stream()
                                            .map(m -> new MeasuredPoint(m.seconds(), m.surface(), m.celsius())),
                                    soak.happened().stream()
                                            .filter(h -> h.fact() instanceof HeatFact.TemperatureRead)
                                            .map(h -> {
                                                HeatFact.TemperatureRead read = (HeatFact.TemperatureRead) h.fact();
                                                return new MeasuredPoint(h.seconds(), read.surface(), read.celsius());
                                            }))
                            .toList(),
                    DuringView.of(HeatStation.during(soak), role));
        }
    }
}
