package ridgefall.app.test;

import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Answers;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.app.security.SignedIn;
import ridgefall.app.sheet.SheetFiles;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.test.TouchByHand;
import ridgefall.core.test.TouchGrid;
import ridgefall.core.test.TouchGrid.Cell;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Touch square by square, with the squares on paper. */
@RestController
@RequestMapping("/api/jobs/{jobId}/touch/by-hand")
class TouchByHandController {
    private final Jobs jobs;
    private final Journal journal;
    private final Answers answers;

    TouchByHandController(Jobs jobs, Journal journal, Answers answers) {
        this.jobs = jobs;
        this.journal = journal;
        this.answers = answers;
    }

    /** @param name as it stands on the paper */
    record SquareView(int column, int row, String name) {}

    /**
     * @param aspect of the screen, across over down
     * @param squares row by row
     */
    record TouchSquaresView(int columns, double aspect, List<SquareView> squares) {}

    record SquaresTried(UUID commandId, List<Cell> silent) {}

    @GetMapping
    TouchSquaresView squares(@PathVariable UUID jobId) {
        DeviceProfile profile = jobs.course(jobId).profile();
        TouchGrid grid = TouchByHand.grid(profile);
        List<SquareView> squares = IntStream.range(0, grid.cells())
                .mapToObj(i -> new Cell(i % grid.columns(), i / grid.columns()))
                .map(cell -> new SquareView(cell.column(), cell.row(), TouchByHand.name(cell)))
                .toList();
        return new TouchSquaresView(
                grid.columns(), profile.screen().widthMm() / profile.screen().heightMm(), squares);
    }

    @GetMapping("/sheet")
    ResponseEntity<byte[]> sheet(
            @PathVariable UUID jobId, @RequestParam(defaultValue = "PDF") SheetFiles.Format format) {
        return SheetFiles.answer(TouchByHand.sheet(jobs.course(jobId).profile()), format, "touch-grid");
    }

    /** @throws NotAllowed where the next step asks for no touch, or a square is not on the screen */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Receipt tried(@PathVariable UUID jobId, @RequestBody SquaresTried tried, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        Phase phase = course.next()
                .flatMap(step -> Checks.tried(step, Checks.TOUCH))
                .orElseThrow(() -> new NotAllowed("step", "another", "one that asks for the touch"));
        TouchByHand.Told told = TouchByHand.judge(course.profile(), Allowed.present("silent", tried.silent()));
        FunctionTested fact =
                new FunctionTested(Checks.TOUCH, phase, told.works() ? Answer.PASS : Answer.FAIL, told.words());
        UUID commandId = Allowed.present("commandId", tried.commandId());
        return answers.of(journal.appendNow(jobId, commandId, fact, who, () -> {}), jobId, who);
    }
}
