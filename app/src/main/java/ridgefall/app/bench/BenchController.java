package ridgefall.app.bench;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.bench.BenchJobs.BenchJob;
import ridgefall.app.bench.BenchJobs.BenchTimer;
import ridgefall.app.disk.Disk;
import ridgefall.core.job.Station;

/** The bench at a glance, read from projections only: its cost does not grow with the jobs that are done. */
@RestController
@RequestMapping("/api")
class BenchController {
    private static final int SHOWN_CLOSED = 6;
    private static final int SHOWN_OPEN = 500;
    private static final int MOST_FOUND = 30;

    private final BenchJobs jobs;
    private final Disk disk;
    private final Clock clock;

    BenchController(BenchJobs jobs, Disk disk, Clock clock) {
        this.jobs = jobs;
        this.disk = disk;
        this.clock = clock;
    }

    record BenchView(
            Instant serverTime,
            List<Station> stations,
            List<BenchJob> open,
            List<BenchJob> closed,
            List<BenchJob> atHomeForAWeek) {}

    /**
     * What every screen shows of the bench, whatever else is on it.
     *
     * @param diskLeft where it is little: null while there is enough
     */
    record ClocksView(
            Instant serverTime,
            List<BenchTimer> timers,
            @Schema(nullable = true) String diskLeft) {}

    /** Jobs by number, owner, device or fault; by the id that a tag carries too. */
    @GetMapping("/jobs")
    List<BenchJob> find(
            @RequestParam(defaultValue = "") String query, @RequestParam(defaultValue = "false") boolean handedOver) {
        return jobs.find(query, handedOver, MOST_FOUND);
    }

    @GetMapping("/bench")
    BenchView bench() {
        return new BenchView(
                clock.instant(),
                List.of(Station.values()),
                jobs.open(SHOWN_OPEN),
                jobs.handedOver(SHOWN_CLOSED),
                jobs.atHomeForAWeek(clock.instant(), SHOWN_CLOSED));
    }

    @GetMapping("/clocks")
    ClocksView clocks() {
        return new ClocksView(clock.instant(), jobs.timers(), disk.nearlyFull().orElse(null));
    }
}
