package ridgefall.app.test;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Jobs;
import ridgefall.app.test.TouchProofs.Proof;
import ridgefall.core.test.Look;
import ridgefall.core.test.Looked;
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
     * @param looks what else the device has to be tried, with {@code looked} what of it was
     */
    record TouchPageView(
            int columns, int rows, double joinedPx, List<Task> done, List<Look> looks, List<Look> looked) {}

    /**
     * @param samples lists of ms, x, y and contact
     * @param last whether its task is over with it
     */
    record Batch(double widthPx, double heightPx, List<double[]> samples, boolean last) {}

    /** Of its picture: where something was seen, and on how many fields. */
    record PictureBody(int fields, List<Looked.Spot> spots) {}

    record LightBody(boolean dims) {}

    /** What the microphone told, or else an ear. */
    record SoundBody(
            @Schema(nullable = true) Double quietDb,
            @Schema(nullable = true) Double toneDb,
            @Schema(nullable = true) Boolean heard) {}

    /** What the browser measured, or else an eye. */
    record CameraBody(
            @Schema(nullable = true) Double open,
            @Schema(nullable = true) Double covered,
            @Schema(nullable = true) Double contrast,
            @Schema(nullable = true) Boolean seen) {}

    /** What its own sensor measured, or else an eye. */
    record MotionBody(
            @Schema(nullable = true) Double tiltedDeg,
            @Schema(nullable = true) Boolean turned) {}

    @PutMapping("/looks/motion")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void motion(@PathVariable String token, @RequestBody MotionBody told) {
        looked(token, new Looked.Motion(told.tiltedDeg(), told.turned()));
    }

    @PutMapping("/looks/picture")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void picture(@PathVariable String token, @RequestBody PictureBody told) {
        looked(token, new Looked.Picture(told.fields(), told.spots()));
    }

    @PutMapping("/looks/light")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void light(@PathVariable String token, @RequestBody LightBody told) {
        looked(token, new Looked.Light(told.dims()));
    }

    @PutMapping("/looks/sound")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sound(@PathVariable String token, @RequestBody SoundBody told) {
        looked(token, new Looked.Sound(told.quietDb(), told.toneDb(), told.heard()));
    }

    @PutMapping("/looks/camera")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void camera(@PathVariable String token, @RequestBody CameraBody told) {
        looked(token, new Looked.Camera(told.open(), told.covered(), told.contrast(), told.seen()));
    }

    private void looked(String token, Looked looked) {
        Proof proof = open(token);
        if (Look.of(jobs.course(proof.jobId()).profile()).noneMatch(look -> look == looked.look())) {
            throw new NotAllowed("look", looked.look(), "something this device has");
        }
        proofs.looked(proof, looked);
    }

    @GetMapping("/{widthPx}/{heightPx}")
    TouchPageView page(@PathVariable String token, @PathVariable double widthPx, @PathVariable double heightPx) {
        Proof proof = open(token);
        Screen screen = TouchScreens.of(jobs.course(proof.jobId()).profile(), widthPx, heightPx);
        TouchGrid grid = TouchGrid.of(screen);
        return new TouchPageView(
                grid.columns(),
                grid.rows(),
                TouchGrid.JOINED_MM * screen.pxPerMm(),
                proofs.done(proof).stream().sorted().toList(),
                Look.of(jobs.course(proof.jobId()).profile()).toList(),
                proofs.looks(proof.jobId()).stream()
                        .filter(told -> !told.at().isBefore(proof.madeAt()))
                        .map(told -> told.looked().look())
                        .toList());
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
                .orElseThrow(TouchLink::notOpen);
    }
}
