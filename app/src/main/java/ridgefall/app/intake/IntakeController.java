package ridgefall.app.intake;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import ridgefall.app.http.Problem;
import ridgefall.app.job.Answers;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.app.sheet.QrSquares;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;

@RestController
class IntakeController {

    private final Photos photos;
    private final Owners owners;
    private final Jobs jobs;
    private final Answers answers;

    IntakeController(Photos photos, Owners owners, Jobs jobs, Answers answers) {
        this.photos = photos;
        this.owners = owners;
        this.jobs = jobs;
        this.answers = answers;
    }

    record OwnerView(String name, @Schema(nullable = true) String contact) {}

    /**
     * What is printed and tied to the device.
     *
     * @param path of the squares of a QR code with {@code modules} squares a side; it leads to the job's screen
     */
    record TagView(long number, String device, String owner, String fault, String path, int modules) {}

    @GetMapping("/api/jobs/{jobId}/owner")
    OwnerView owner(@PathVariable UUID jobId) {
        return new OwnerView(
                IntakeState.of(jobs.course(jobId).state()).opened().owner(),
                owners.contact(jobId).orElse(null));
    }

    @DeleteMapping("/api/jobs/{jobId}/owner")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void erase(@PathVariable UUID jobId) {
        if (!owners.erase(jobId)) {
            throw Problem.unknownJob(jobId);
        }
    }

    @PostMapping(
            path = "/api/jobs/{jobId}/photos",
            consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    Receipt photo(
            @PathVariable UUID jobId,
            @RequestParam UUID photoId,
            @RequestParam(required = false) String words,
            @RequestBody byte[] file,
            @AuthenticationPrincipal SignedIn who) {
        return answers.of(photos.add(jobId, photoId, file, words, who), jobId, who);
    }

    @GetMapping(path = "/api/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> picture(@PathVariable UUID photoId, @RequestParam(defaultValue = "false") boolean thumb) {
        byte[] picture = photos.picture(photoId, thumb)
                .orElseThrow(() -> Problem.of(
                        HttpStatus.NOT_FOUND,
                        "No such photo",
                        "It was erased, or never taken",
                        Map.of("field", "photoId", "value", photoId.toString(), "allowed", "the id of a photo")));
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(picture);
    }

    @GetMapping("/api/jobs/{jobId}/tag")
    TagView tag(@PathVariable UUID jobId) {
        Jobs.Job job = jobs.job(jobId);
        Course course = job.course();
        String address = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/jobs/{jobId}")
                .buildAndExpand(jobId)
                .toUriString();
        QrSquares code = QrSquares.of(address);
        return new TagView(
                job.number(),
                course.profile().name(),
                IntakeState.of(course.state()).opened().owner(),
                IntakeState.of(course.state()).opened().fault(),
                code.path(),
                code.modules());
    }
}
