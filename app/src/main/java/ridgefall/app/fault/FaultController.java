package ridgefall.app.fault;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.FaultBook;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.core.fault.FaultCase;
import ridgefall.core.fault.FaultSteps;
import ridgefall.core.fault.FaultTable;
import ridgefall.core.fault.FaultTable.Cause;
import ridgefall.core.fault.Faults;
import ridgefall.core.fault.FoundLate;
import ridgefall.core.fault.Reach;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Given;
import ridgefall.core.job.Phase;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.Seating;

/** Why something does not work, as far as it is known, and by which numbers. */
@RestController
class FaultController {
    private final Jobs jobs;
    private final FaultBook book;

    FaultController(Jobs jobs, FaultBook book) {
        this.jobs = jobs;
        this.book = book;
    }

    /**
     * @param share how likely, 0–1
     * @param cases closed cases of this shop that count for it, in shares of a case
     */
    record CauseView(String words, double share, double cases) {}

    /**
     * @param minutes it takes; {@code toTheCure} as expected where it comes first
     * @param opens whether the device is opened for it
     */
    record FaultCheckView(String words, double minutes, double toTheCure, boolean opens) {}

    /**
     * @param stepIds the test that failed, and the checks for it
     * @param because what the job's history says, then what was tried
     * @param checks what can be done, the one to do next first
     */
    record OpenFaultView(
            List<String> stepIds,
            String words,
            List<CauseView> causes,
            List<String> because,
            List<FaultCheckView> checks,
            double openingMinutes,
            double plugMinutes) {}

    /** @param changedBy null while the table is as it shipped */
    record FaultTableView(
            FaultTable table,
            Map<String, Map<String, Double>> cases,
            @Schema(nullable = true) String changedBy) {}

    /**
     * @param chance that it fails, 0–1
     * @param lateMinutes that not testing it now costs in the mean
     * @param answer null while it was not tried
     */
    record TestedView(
            String stepId,
            String words,
            double chance,
            double lateMinutes,
            List<String> because,
            @Schema(nullable = true) Answer answer) {}

    /**
     * @param tests what can be tried with the front loose, what costs most found late first
     * @param atStakeMinutes of what was not tried, were it sealed now
     * @param onlyClosed what can be tried only then, in words
     */
    record TestPlanView(
            double openingMinutes, double atStakeMinutes, List<TestedView> tests, List<String> onlyClosed) {}

    /** What to try before the front goes down, and what each would cost found after it. */
    @GetMapping("/api/jobs/{jobId}/test-plan")
    TestPlanView testPlan(@PathVariable UUID jobId) {
        Course course = jobs.course(jobId);
        List<FoundLate> plan =
                FoundLate.plan(course.profile(), course.state(), book.faults().table());
        List<TestedView> tests = plan.stream()
                .map(one -> new TestedView(
                        Checks.functionStepId(Phase.OPEN, one.function().id()),
                        one.function().words(),
                        one.chance(),
                        one.minutes(),
                        one.because(),
                        course.state()
                                .function(Phase.OPEN, one.function().id())
                                .map(Given::answer)
                                .orElse(null)))
                .toList();
        return new TestPlanView(
                Reach.openingMinutes(course.profile()),
                tests.stream()
                        .filter(one -> one.answer() == null)
                        .mapToDouble(TestedView::lateMinutes)
                        .sum(),
                tests,
                course.profile().functions().stream()
                        .filter(function -> !function.testableWhen().contains(Seating.OPEN))
                        .map(Function::words)
                        .toList());
    }

    @GetMapping("/api/jobs/{jobId}/faults")
    List<OpenFaultView> faults(@PathVariable UUID jobId) {
        Course course = jobs.course(jobId);
        Faults faults = book.faults();
        return FaultSteps.open(course.profile(), course.state(), faults).stream()
                .map(open -> view(open, faults))
                .toList();
    }

    private static OpenFaultView view(FaultCase open, Faults faults) {
        Map<String, Double> cases =
                faults.closed().getOrDefault(open.complaint().id(), Map.of());
        return new OpenFaultView(
                FaultSteps.about(open),
                open.function().words(),
                open.belief().likeliestFirst().stream()
                        .map(one -> new CauseView(
                                words(open, one.getKey()), one.getValue(), cases.getOrDefault(one.getKey(), 0.0)))
                        .toList(),
                open.because(),
                open.left().stream()
                        .map(one -> new FaultCheckView(
                                one.check().words(), one.check().minutes(), one.minutes(), open.opens(one.check())))
                        .toList(),
                open.reach().opening(),
                open.reach().plugs());
    }

    private static String words(FaultCase open, String causeId) {
        return open.complaint().causes().stream()
                .filter(cause -> cause.id().equals(causeId))
                .map(Cause::words)
                .findFirst()
                .orElseThrow();
    }

    @GetMapping("/api/faults")
    FaultTableView table() {
        Faults faults = book.faults();
        return new FaultTableView(
                faults.table(), faults.closed(), book.changedBy().orElse(null));
    }

    /** The whole table, as a lead has it now. */
    @PutMapping("/api/faults")
    FaultTableView change(@RequestBody FaultTable table, @AuthenticationPrincipal SignedIn who) {
        book.change(table, who.name());
        return table();
    }

    /** As it shipped again; what closed cases say stays. */
    @DeleteMapping("/api/faults")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void asShipped() {
        book.forget();
    }
}
