package ridgefall.app.test;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.springframework.web.util.UriComponentsBuilder;
import ridgefall.app.instrument.TouchRigs;
import ridgefall.app.job.Jobs;
import ridgefall.app.reach.BenchNetwork;
import ridgefall.app.reach.BenchNetwork.Door;
import ridgefall.app.security.SignedIn;
import ridgefall.app.sheet.QrSquares;
import ridgefall.app.test.TouchProofs.Proof;
import ridgefall.app.test.TouchVerdicts.Verdict;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.test.Look;
import ridgefall.core.test.Looked;
import ridgefall.core.test.ProvenBy;
import ridgefall.core.test.TouchFinding;
import ridgefall.core.test.TouchFinding.Weight;
import ridgefall.core.test.TouchGrid;
import ridgefall.core.test.TouchGrid.Cell;
import ridgefall.core.test.TouchProof;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace;

/** The touch of a repaired device as its own browser tells it, watched from the bench. */
@RestController
@RequestMapping("/api/jobs/{jobId}/touch")
class TouchController {
    /** As fine as a picture shows. */
    private static final int MOST_DRAWN = 1500;

    private final Jobs jobs;
    private final TouchProofs proofs;
    private final TouchVerdicts verdicts;
    private final TouchRigs rigs;
    private final BenchNetwork network;
    private final Clock clock;

    TouchController(
            Jobs jobs, TouchProofs proofs, TouchVerdicts verdicts, TouchRigs rigs, BenchNetwork network, Clock clock) {
        this.jobs = jobs;
        this.proofs = proofs;
        this.verdicts = verdicts;
        this.rigs = rigs;
        this.network = network;
        this.clock = clock;
    }

    /**
     * @param works null where nobody can say
     * @param spots where something was seen in its picture, as shares of the screen's width and height
     */
    record LookView(
            Look look,
            String words,
            @Schema(nullable = true) Boolean works,
            List<TouchPointView> spots) {}

    /** @param byRig whether a rig can do it, and it is needed */
    record TouchTaskView(Task task, String words, boolean done, int samples, boolean byRig) {}

    /** @param at where, as shares of the screen's width and height; none for cells, which are silent */
    record TouchFindingView(Weight weight, String words, List<TouchPointView> at) {}

    record TouchPointView(double x, double y) {}

    /** @param cable its way, from one end to the other; none where the book has none */
    record TouchPlugView(String words, TouchPointView at, List<TouchPointView> cable) {}

    /** One finger's way, as shares of the screen's width and height. */
    record TouchStrokeView(Task task, List<TouchPointView> points) {}

    /**
     * @param stepId what it would prove next; null where its browser can tell nothing of that
     * @param strips of tape round it that lie, {@code border} how far the device reaches beyond its screen, as shares of that
     * @param touchAsked whether that is the touch
     * @param rig of the bench; null where it has none
     * @param openUntil null while no link is open
     * @param works what would be recorded; null while something is doubtful or not done
     */
    record TouchView(
            @Schema(nullable = true) String stepId,
            @Schema(nullable = true) Instant openUntil,
            List<TouchTaskView> tasks,
            double aspect,
            int columns,
            int rows,
            List<Cell> silent,
            List<TouchStrokeView> strokes,
            List<TouchPlugView> plugs,
            List<List<TouchPointView>> strips,
            TouchPointView border,
            List<TouchFindingView> findings,
            List<LookView> looks,
            boolean touchAsked,
            @Schema(nullable = true) String rig,
            @Schema(nullable = true) Boolean works) {}

    /**
     * @param address to open on the device; said once, and kept nowhere
     * @param fingerprint of the certificate it will show; null where the link opens on this machine only
     * @param squares of a QR code that leads there, {@code modules} a side
     */
    record TouchLinkView(
            String address,
            String squares,
            int modules,
            @Schema(nullable = true) String fingerprint,
            Instant openUntil) {}

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    TouchLinkView open(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        jobs.course(jobId);
        String token = proofs.open(jobId, who.name());
        Optional<Door> door = network.door();
        String address = door.map(it -> UriComponentsBuilder.fromUriString(it.url()))
                .orElseGet(ServletUriComponentsBuilder::fromCurrentContextPath)
                .path("/touch.html")
                .fragment(token)
                .build()
                .toUriString();
        QrSquares code = QrSquares.of(address);
        return new TouchLinkView(
                address,
                code.path(),
                code.modules(),
                door.map(Door::fingerprint).orElse(null),
                proofs.newest(jobId).orElseThrow().expiresAt());
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable UUID jobId) {
        jobs.course(jobId);
        proofs.end(jobId);
    }

    @GetMapping
    TouchView touch(@PathVariable UUID jobId) {
        Course course = jobs.course(jobId);
        Verdict verdict = verdicts.of(jobId, course);
        Map<Task, TouchTrace> traces = verdict.traces();
        Optional<TouchGrid> grid = verdict.grid();
        double aspect = traces.values().stream()
                .findFirst()
                .map(trace -> trace.screen().widthPx() / trace.screen().heightPx())
                .orElse(course.profile().edge().widthMm()
                        / course.profile().edge().heightMm());
        return new TouchView(
                course.next()
                        .filter(step -> ProvenBy.of(course.profile(), step).equals(Optional.of(ProvenBy.DEVICE)))
                        .map(Step::id)
                        .orElse(null),
                proofs.newest(jobId)
                        .filter(it -> it.open(clock.instant()) && !TouchVerdicts.told(course, it))
                        .map(Proof::expiresAt)
                        .orElse(null),
                Stream.of(Task.values())
                        .filter(task -> hasPen(course) || !TouchProof.PEN_NEEDED.contains(task))
                        .map(task -> new TouchTaskView(
                                task,
                                task.words(),
                                verdict.done().contains(task),
                                traces.containsKey(task)
                                        ? traces.get(task).samples().size()
                                        : 0,
                                TouchProof.NEEDED.contains(task)))
                        .toList(),
                aspect,
                grid.map(TouchGrid::columns).orElse(0),
                grid.map(TouchGrid::rows).orElse(0),
                grid.map(TouchGrid::silent).orElse(List.of()),
                strokes(traces),
                TouchPlugs.of(course.profile(), aspect),
                TouchPlugs.strips(course, aspect),
                TouchPlugs.border(course.profile(), aspect),
                verdict.findings().stream()
                        .map(one -> view(one, traces.values().iterator().next()))
                        .toList(),
                looks(jobId, course),
                course.next().flatMap(step -> Checks.tried(step, Checks.TOUCH)).isPresent(),
                rigs.name().orElse(null),
                verdict.works().orElse(null));
    }

    /** What is asked for now first. */
    private List<LookView> looks(UUID jobId, Course course) {
        Instant since = proofs.newest(jobId).map(Proof::madeAt).orElse(Instant.MAX);
        return verdicts.looks(jobId, course).stream()
                .filter(told -> !told.at().isBefore(since))
                .sorted(Comparator.comparing(
                        told -> !askedNow(course, told.looked().look())))
                .map(told -> new LookView(
                        told.looked().look(),
                        told.looked().words(course.profile()),
                        told.looked().works().orElse(null),
                        told.looked() instanceof Looked.Picture picture
                                ? picture.spots().stream()
                                        .map(spot -> new TouchPointView(spot.x(), spot.y()))
                                        .toList()
                                : List.of()))
                .toList();
    }

    private static boolean askedNow(Course course, Look look) {
        return course.next().flatMap(look::asked).isPresent();
    }

    private static boolean hasPen(Course course) {
        return Look.of(course.profile()).anyMatch(look -> look == Look.STYLUS);
    }

    /** What was told of one task, as it was told. */
    @GetMapping(path = "/{task}", produces = "text/csv")
    ResponseEntity<String> trace(@PathVariable UUID jobId, @PathVariable Task task) {
        TouchTrace trace = verdicts.of(jobId, jobs.course(jobId)).traces().get(task);
        return TouchTraceFile.answer(
                "touch-" + jobs.job(jobId).number() + "-"
                        + task.name().toLowerCase(Locale.ROOT).replace('_', '-') + ".csv",
                trace == null ? List.of() : trace.samples());
    }

    /** A whole task from a file: of a rig, or of a device whose browser another program listened to. */
    @PutMapping(path = "/{task}", consumes = MediaType.TEXT_PLAIN_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(
            @PathVariable UUID jobId,
            @PathVariable Task task,
            @RequestParam double widthPx,
            @RequestParam double heightPx,
            @RequestBody String csv,
            @AuthenticationPrincipal SignedIn who) {
        keep(jobId, task, widthPx, heightPx, csv, who);
    }

    /** The same from a touch rig, once it is done with it: for a device whose browser tells nothing. */
    @PutMapping("/{task}/by-rig")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void byRig(@PathVariable UUID jobId, @PathVariable Task task, @AuthenticationPrincipal SignedIn who) {
        Area screen = jobs.course(jobId).profile().screen();
        TouchRigs.Told told = rigs.run(task.name(), screen.widthMm(), screen.heightMm());
        keep(jobId, task, told.widthPx(), told.heightPx(), told.csv(), who);
    }

    private void keep(UUID jobId, Task task, double widthPx, double heightPx, String csv, SignedIn who) {
        Course course = jobs.course(jobId);
        TouchScreens.of(course.profile(), widthPx, heightPx);
        List<double[]> samples = TouchTraceFile.read(csv);
        Proof proof = proofs.newest(jobId)
                .filter(it -> it.open(clock.instant()) && !TouchVerdicts.told(course, it))
                .orElseGet(() -> {
                    proofs.open(jobId, who.name());
                    return proofs.newest(jobId).orElseThrow();
                });
        proofs.again(proof, task);
        proofs.take(proof, task, 0, widthPx, heightPx, samples, true);
    }

    private static List<TouchStrokeView> strokes(Map<Task, TouchTrace> traces) {
        int all = traces.values().stream()
                .mapToInt(trace -> trace.samples().size())
                .sum();
        int every = 1 + all / MOST_DRAWN;
        List<TouchStrokeView> strokes = new ArrayList<>();
        traces.forEach((task, trace) -> {
            for (TouchTrace.Stroke stroke : trace.strokes()) {
                List<TouchPointView> points = new ArrayList<>();
                for (int i = 0; i < stroke.samples().size(); i += every) {
                    points.add(point(stroke.samples().get(i), trace));
                }
                strokes.add(new TouchStrokeView(task, points));
            }
        });
        return strokes;
    }

    private static TouchPointView point(TouchTrace.Sample sample, TouchTrace trace) {
        return new TouchPointView(
                sample.xPx() / trace.screen().widthPx(),
                sample.yPx() / trace.screen().heightPx());
    }

    private static TouchFindingView view(TouchFinding finding, TouchTrace any) {
        List<TouchPointView> at = List.of();
        if (finding instanceof TouchFinding.Ghosts it) {
            at = it.at().stream().map(sample -> point(sample, any)).toList();
        } else if (finding instanceof TouchFinding.Leaps it) {
            at = it.at().stream().map(leap -> point(leap.at(), any)).toList();
        } else if (finding instanceof TouchFinding.LostLines it) {
            at = it.at().stream().map(lost -> point(lost.at(), any)).toList();
        } else if (finding instanceof TouchFinding.PulledAtEdge it) {
            at = List.of(point(it.at(), any));
        }
        return new TouchFindingView(finding.weight(), finding.words(), at);
    }
}
