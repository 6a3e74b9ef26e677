package ridgefall.app.heat;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.heat.HeatViews.ForecastView;
import ridgefall.app.heat.HeatViews.HeatPlanView;
import ridgefall.app.heat.HeatViews.HeatView;
import ridgefall.app.heat.HeatViews.SchoolView;
import ridgefall.app.instrument.Readings;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Plans;
import ridgefall.app.security.SignedIn;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Turn;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.Forecast;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.Measured;
import ridgefall.core.heat.Setup;
import ridgefall.core.heat.StretchRecipe;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;

@RestController
@RequestMapping("/api/jobs/{jobId}")
class HeatController {
    private final Jobs jobs;
    private final Plans plans;
    private final Readings readings;
    /** Air is held over no more at a time. */
    private static final double HANDS_WIDTH_MM = 60;

    private final LoadingCache<Asked, Forecast> forecasts =
            Caffeine.newBuilder().maximumSize(50).build(Asked::forecast);

    HeatController(Jobs jobs, Plans plans, Readings readings) {
        this.jobs = jobs;
        this.plans = plans;
        this.readings = readings;
    }

    private final LoadingCache<HeatQuestion, List<SchoolView>> schools =
            Caffeine.newBuilder().maximumSize(200).build(SchoolView::of);

    /** All that a forecast depends on; the time is not of it. */
    private record Asked(HeatQuestion question, List<Soak> soaks, List<Measured> measured) {
        Forecast forecast() {
            return Forecast.of(question, soaks, measured);
        }
    }

    /**
     * The best plan of each source.
     *
     * @param first a rough one that is there at once, where the full ones are not at hand yet
     */
    @GetMapping("/heat")
    HeatView heat(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "false") boolean first,
            @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        HeatQuestion question = course.heatQuestion();
        boolean rough = first && !plans.openingsAtHand(question);
        return HeatView.of(
                question,
                rough,
                course.stillWarm(),
                HeatState.of(course.state()).soaks().size(),
                plans.hand(),
                rough ? List.of() : schools(question, course.openings()),
                rough ? List.of(OpeningPlanner.firstLook(question, question.firstLook())) : course.openings(),
                course.takenByOthers().toList(),
                who.role());
    }

    private List<SchoolView> schools(HeatQuestion question, List<Opening> openings) {
        return Stream.concat(
                        schools.get(question).stream(),
                        openings.stream()
                                .limit(1)
                                .filter(Opening::feasible)
                                .map(plan -> SchoolView.anyOrder(question, plan)))
                .toList();
    }

    /** What a source in a setting would do: with the time that suits it, or with one that someone swears by. */
    @GetMapping("/heat/judged")
    HeatPlanView judged(
            @PathVariable UUID jobId,
            @RequestParam String sourceId,
            @RequestParam double settingC,
            @RequestParam(required = false) @Schema(nullable = true) Double dial,
            @RequestParam(required = false) @Schema(nullable = true) Double distanceMm,
            @RequestParam(defaultValue = "FACE") Sweep sweep,
            @RequestParam(required = false) @Schema(nullable = true) Double seconds,
            @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        HeatQuestion question = course.heatQuestion();
        HeatPlanner planner = question.planner(HeatPlanner.FULL);
        HeatSource source = question.source(sourceId);
        Setup setup = source.completed(new Setup(settingC, dial, distanceMm, sweep));
        HeatPlan plan = seconds == null ? planner.on(source, setup) : planner.judged(source, setup, seconds);
        if (seconds != null && sweep == Sweep.STRETCH_BY_STRETCH) {
            StretchRecipe recipe = StretchRecipe.judged(question, source, setup.over(meant(course)), seconds);
            plan = plan.told(recipe.feasible(), recipe.says());
        }
        return HeatPlanView.of(plan, course.takenByOthers().toList(), course.stillWarm(), who.role());
    }

    /** The stretch that is cut next: what somebody who holds an outlet there asks about. */
    private static EdgeInterval meant(Course course) {
        CutPlan plan = course.cutPlan();
        if (plan.moves().isEmpty()) {
            return plan.stretches().get(0).where();
        }
        CutPlan.Move move = plan.moves().get(0);
        EdgeInterval all = plan.stretch(move.stretchId()).where();
        double length = Math.min(HANDS_WIDTH_MM, all.lengthMm());
        Turn turn = course.profile().edge().turn();
        return new EdgeInterval(move.clockwise() ? all.fromMm() : turn.wrap(turn.end(all) - length), length);
    }

    /** What the device does that lies on a source, or came off it last. */
    @GetMapping("/heat/forecast")
    ForecastView forecast(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        Soak last = CalibrationController.last(jobId, course);
        List<Soak> soaks = HeatState.of(course.state()).soaks();
        HeatQuestion question = course.questionAtBench();
        List<Measured> measured = readings.thinned(jobId, last.seq(), last.startedAt());
        return ForecastView.of(
                question, last, forecasts.get(new Asked(question, soaks, measured)), measured, who.role());
    }
}
