package ridgefall.app.clean;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.clean.CleanFact;
import ridgefall.core.clean.CleanState;
import ridgefall.core.clean.CleanState.Wiping;
import ridgefall.core.clean.CleanStation;
import ridgefall.core.clean.LedgeMap;
import ridgefall.core.clean.LedgeMap.Stretch;
import ridgefall.core.clean.Stage;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;

@RestController
class LedgeController {
    private final Jobs jobs;

    LedgeController(Jobs jobs) {
        this.jobs = jobs;
    }

    /**
     * A stretch along the edge line.
     *
     * @param readyAt when it is reckoned dry; null where it was not wiped
     * @param now whether the large action is about it
     * @param choices what can be told of it alone
     */
    record LedgeStretchView(
            String id,
            String place,
            double fromMm,
            double lengthMm,
            Stage stage,
            String stageWords,
            String solvent,
            List<String> near,
            @Schema(nullable = true) Instant readyAt,
            boolean now,
            List<ChoiceView> choices) {}

    /**
     * @param inwardMm from the ledge to where it begins
     * @param soft whether acetone takes it
     */
    record KeepOffView(String id, String words, double fromMm, double lengthMm, double inwardMm, boolean soft) {}

    /** @param covered whether adhesive lies on it */
    record PrimerView(Instant readyAt, Instant openUntil, boolean covered) {}

    /**
     * @param widthMm of the ledge, but for where it narrows
     * @param primer what lies on it; null where none does
     */
    record LedgeView(
            List<LedgeStretchView> stretches,
            List<KeepOffView> keepOffs,
            double widthMm,
            @Schema(nullable = true) PrimerView primer) {}

    @GetMapping("/api/jobs/{jobId}/ledge")
    LedgeView ledge(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        DeviceProfile profile = course.profile();
        LedgeMap map = LedgeMap.of(profile);
        CleanState clean = CleanState.of(course.state());
        List<String> now = inHand(course);
        return new LedgeView(
                map.stretches().stream()
                        .map(stretch -> new LedgeStretchView(
                                stretch.id(),
                                PlaceWords.along(profile, stretch.where(), true),
                                stretch.where().fromMm(),
                                stretch.where().lengthMm(),
                                clean.stage(stretch.id()),
                                clean.stage(stretch.id()).words(),
                                solvent(clean, stretch),
                                stretch.near(),
                                Optional.ofNullable(clean.wipings().get(stretch.id()))
                                        .map(Wiping::readyAt)
                                        .orElse(null),
                                now.contains(stretch.id()),
                                CleanStation.about(course.state(), stretch).stream()
                                        .map(choice -> ChoiceView.of(choice, who.role()))
                                        .toList()))
                        .toList(),
                map.keepOffs().stream()
                        .map(off -> new KeepOffView(
                                off.id(),
                                off.words(),
                                off.where().fromMm(),
                                off.where().lengthMm(),
                                off.inwardMm(),
                                off.soft()))
                        .toList(),
                map.usualMm(),
                clean.primer()
                        .map(laid -> new PrimerView(laid.readyAt(), laid.openUntil(), laid.covered()))
                        .orElse(null));
    }

    /** What it was wiped with, or is to be. */
    private static String solvent(CleanState clean, Stretch stretch) {
        Wiping wiping = clean.stage(stretch.id()).compareTo(Stage.WIPED) >= 0
                ? clean.wipings().get(stretch.id())
                : null;
        return (wiping == null ? stretch.solvent() : wiping.solvent()).words();
    }

    private static List<String> inHand(Course course) {
        return course.next().stream()
                .flatMap(step -> step.choices().stream().limit(1))
                .map(Step.Choice::fact)
                .flatMap(fact -> fact instanceof CleanFact.GlueOff off
                        ? off.stretchIds().stream()
                        : fact instanceof CleanFact.Wiped wiped ? wiped.stretchIds().stream() : Stream.empty())
                .toList();
    }
}
