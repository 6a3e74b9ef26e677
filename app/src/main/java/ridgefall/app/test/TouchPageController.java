package ridgefall.app.test;

import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.http.Problem;
import ridgefall.app.job.Jobs;
import ridgefall.app.test.TouchProofs.Proof;
import ridgefall.core.test.TouchGrid;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** What the repaired device's own browser may ask: by a link's token alone, and nothing of owner, device or shop. */
@RestController
@RequestMapping("/api/touch/{token}")
class TouchPageController {
    private static final int MOST_IN_A_BATCH = 10_000;

    private final TouchProofs proofs;
    private final Jobs jobs;

    TouchPageController(TouchProofs proofs, Jobs jobs) {
        this.proofs = proofs;
        this.jobs = jobs;
    }

    /**
     * Of a page as large as it says it is.
     *
     * @param joinedPx between two answers of one finger that are no further apart everything was touched
     */
    record TouchPageView(int columns, int rows, double joinedPx, List<Task> done) {}

    /**
     * @param samples lists of ms, x, y and contact
     * @param last whether its task is over with it
     */
    record Batch(double widthPx, double heightPx, List<double[]> samples, boolean last) {}

    @GetMapping("/{widthPx}/{heightPx}")
    TouchPageView page(@PathVariable String token, @PathVariable double widthPx, @PathVariable double heightPx) {
        Proof proof = open(token);
        Screen screen = TouchScreens.of(jobs.course(proof.jobId()).profile(), widthPx, heightPx);
        TouchGrid grid = TouchGrid.of(screen);
        return new TouchPageView(
                grid.columns(),
                grid.rows(),
                TouchGrid.JOINED_MM * screen.pxPerMm(),
                proofs.done(proof).stream().sorted().toList());
    }

    /** Sent again after a dropped line it counts once. */
    @PutMapping("/{task}/{seq}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(@PathVariable String token, @PathVariable Task task, @PathVariable int seq, @RequestBody Batch batch) {
        Proof proof = open(token);
        Allowed.between("seq", seq, 0, 100_000, "");
        TouchScreens.of(jobs.course(proof.jobId()).profile(), batch.widthPx(), batch.heightPx());
        Allowed.between("samples", Allowed.present("samples", batch.samples()).size(), 0, MOST_IN_A_BATCH, "samples");
        for (double[] one : batch.samples()) {
            if (one == null || one.length != 4) {
                throw new NotAllowed(
                        "samples", one == null ? null : one.length + " numbers", "ms, x, y and contact each");
            }
            new Sample(one[0], one[1], one[2], (int) one[3]);
        }
        proofs.take(proof, task, seq, batch.widthPx(), batch.heightPx(), batch.samples(), batch.last());
    }

    @DeleteMapping("/{task}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void again(@PathVariable String token, @PathVariable Task task) {
        proofs.again(open(token), task);
    }

    private Proof open(String token) {
        return proofs.by(token)
                .filter(proof -> !TouchVerdicts.told(jobs.course(proof.jobId()), proof))
                .orElseThrow(() -> Problem.of(
                        HttpStatus.NOT_FOUND,
                        "This link is not open",
                        "It was used up, called off, or is older than half an hour; the bench makes another.",
                        Map.of()));
    }
}
