package ridgefall.app.parts;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.Answers;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.job.Jobs;
import ridgefall.app.parts.PriceLists.Changes;
import ridgefall.app.parts.Stock.Row;
import ridgefall.app.security.SignedIn;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.decide.DecideState;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.NotAllowed;

@RestController
class StockController {
    private static final int MOST_RETURNS = 100;

    private final Stock stock;
    private final PriceLists priceLists;
    private final Reservations reservations;
    private final Jobs jobs;
    private final Answers answers;

    StockController(Stock stock, PriceLists priceLists, Reservations reservations, Jobs jobs, Answers answers) {
        this.stock = stock;
        this.priceLists = priceLists;
        this.reservations = reservations;
        this.jobs = jobs;
        this.answers = answers;
    }

    /** @param needed whether the agreed repair asks for this kind of part */
    record FittingView(Row row, String words, boolean needed, boolean taken) {}

    record Taking(UUID commandId, UUID stockId) {}

    record Tested(boolean tested) {}

    @GetMapping("/api/stock")
    List<Row> search(@RequestParam(defaultValue = "") String query) {
        return stock.search(query);
    }

    /** What an import would change; nothing is stored. */
    @PostMapping(path = "/api/stock/preview", consumes = MediaType.TEXT_PLAIN_VALUE)
    Changes preview(@RequestBody String csv) {
        return priceLists.preview(csv);
    }

    @PostMapping(path = "/api/stock/import", consumes = MediaType.TEXT_PLAIN_VALUE)
    Changes importFile(@RequestBody String csv) {
        return priceLists.take(csv);
    }

    @PutMapping("/api/stock/{stockId}/tested")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tested(@PathVariable UUID stockId, @RequestBody Tested given) {
        if (!stock.tested(stockId, given.tested())) {
            throw new NotAllowed("stockId", stockId, "a part of this shop's stock");
        }
    }

    /** What went to the returns, the latest first. */
    @GetMapping("/api/returns")
    List<Stock.ReturnRow> returns() {
        return stock.returns(MOST_RETURNS);
    }

    /** Parts that fit this job's device: those the agreed repair asks for first, of them the agreed grade. */
    @GetMapping("/api/jobs/{jobId}/parts")
    List<FittingView> fitting(@PathVariable UUID jobId) {
        DeviceProfile profile = jobs.profile(jobId);
        JobState state = jobs.course(jobId).state();
        List<PartKind> needed = DecideState.of(state)
                .repair()
                .map(agreed -> profile.repair(agreed.repairId()).parts())
                .orElse(List.of());
        Optional<Grade> agreed = DecideState.of(state).repair().map(RepairAgreed::grade);
        return stock.fitting(profile.id(), profile.variantId()).stream()
                .map(row -> new FittingView(
                        row,
                        row.words(),
                        needed.contains(row.kind()),
                        PartsState.of(state).parts().stream()
                                .anyMatch(part -> part.stockId().equals(row.id()))))
                .sorted(Comparator.comparing((FittingView fitting) -> !fitting.needed())
                        .thenComparing(
                                fitting -> agreed.isPresent() && fitting.row().grade() != agreed.get()))
                .toList();
    }

    @PostMapping("/api/jobs/{jobId}/parts")
    Receipt take(@PathVariable UUID jobId, @RequestBody Taking taking, @AuthenticationPrincipal SignedIn who) {
        return answers.of(reservations.take(jobId, taking.commandId(), taking.stockId(), who), jobId, who);
    }

    @DeleteMapping("/api/jobs/{jobId}/parts")
    Receipt putBack(@PathVariable UUID jobId, @RequestBody Taking taking, @AuthenticationPrincipal SignedIn who) {
        return answers.of(reservations.putBack(jobId, taking.commandId(), taking.stockId(), who), jobId, who);
    }
}
