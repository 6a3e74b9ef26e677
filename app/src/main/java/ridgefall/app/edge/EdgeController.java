package ridgefall.app.edge;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.edge.EdgeLine.View;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;

/** The shared picture of a device: its outline by edge position, as it lies on the bench. */
@RestController
class EdgeController {
    private final Jobs jobs;

    EdgeController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping("/api/jobs/{jobId}/edge")
    EdgeView edge(
            @PathVariable UUID jobId,
            @RequestParam(defaultValue = "0") int quarterTurns,
            @RequestParam(defaultValue = "false") boolean faceDown,
            @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        return EdgeView.of(
                course.profile(), IntakeState.of(course.state()).marks(), new View(quarterTurns, faceDown), who.role());
    }
}
