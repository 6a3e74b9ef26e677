package ridgefall.app.heat;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.job.JobState.Soak;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.units.Band;
import ridgefall.core.units.Source;

@RestController
class HeatController {
    private final Jobs jobs;

    HeatController(Jobs jobs) {
        this.jobs = jobs;
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

    record ForecastPoint(double seconds, BandView bondC, BandView batteryC, BandView displayC) {}

    record InfluenceView(
            String unknown,
            @Schema(nullable = true) Double secondsAtLow,
            @Schema(nullable = true) Double secondsAtHigh) {}

    record CandidateView(
            String sourceName, int settingC, double soakSeconds, double readyShare, boolean chosen, String because) {}

    record SourceView(String id, String name, int minC, int maxC) {}

    /** {@code running} says that the plan is the forecast of the soak that runs, not a proposal. */
    record HeatView(
            boolean running,
            boolean feasible,
            String sourceId,
            String sourceName,
            int settingC,
            double soakSeconds,
            double readyShare,
            BandView readyAtSeconds,
            double latestSeconds,
            double workableFromC,
            BandView bondAtPullC,
            BandView batteryAtPullC,
            BandView workableForSeconds,
            HeatLimits limits,
            Source howSure,
            List<ForecastPoint> curve,
            List<InfluenceView> influences,
            List<CandidateView> candidates,
            List<SourceView> sources) {}

    /**
     * The plan; the forecast of the soak that runs; or, with a source and a setting, what that choice would do.
     */
    @GetMapping("/api/jobs/{jobId}/heat")
    HeatView heat(
            @PathVariable UUID jobId,
            @RequestParam(required = false) String sourceId,
            @RequestParam(required = false) Integer settingC) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = jobs.profile(course);
        HeatPlan best = jobs.heatPlan(course);
        Optional<Soak> running = course.state().runningSoak();
        HeatPlan shown = best;
        if (sourceId != null && settingC != null) {
            shown = on(profile, course, sourceId, settingC);
        } else if (running.isPresent()) {
            Soak soak = running.get();
            shown = on(profile, course, soak.sourceId(), (int) Math.round(soak.settingC()));
        }
        return view(shown, best, running.isPresent(), profile.limits());
    }

    private static HeatPlan on(DeviceProfile profile, Course course, String sourceId, int settingC) {
        return HeatStation.planner(profile, course.state().front().orElse(FrontCondition.SHATTERED))
                .on(HeatSource.byId(sourceId), settingC);
    }

    private static HeatView view(HeatPlan plan, HeatPlan best, boolean running, HeatLimits limits) {
        return new HeatView(
                running,
                plan.feasible(),
                plan.source().id(),
                plan.source().name(),
                plan.settingC(),
                plan.soakSeconds(),
                plan.readyShare(),
                BandView.of(plan.readyAt()),
                plan.latestSeconds(),
                plan.workableFromC(),
                BandView.of(plan.bondAtPullC()),
                BandView.of(plan.batteryAtPullC()),
                BandView.of(plan.workableForSeconds()),
                limits,
                Source.COMPUTED,
                plan.curve().stream()
                        .map(p -> new ForecastPoint(
                                p.seconds(),
                                BandView.of(p.bondC()),
                                BandView.of(p.batteryC()),
                                BandView.of(p.displayC())))
                        .toList(),
                plan.influences().stream()
                        .map(i -> new InfluenceView(i.unknown(), finite(i.secondsAtLow()), finite(i.secondsAtHigh())))
                        .toList(),
                best.candidates().stream()
                        .map(c -> new CandidateView(
                                c.sourceName(), c.settingC(), c.soakSeconds(), c.readyShare(), c.chosen(), c.because()))
                        .toList(),
                HeatSource.bench().stream()
                        .map(s -> new SourceView(s.id(), s.name(), s.minC(), s.maxC()))
                        .toList());
    }

    private static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
