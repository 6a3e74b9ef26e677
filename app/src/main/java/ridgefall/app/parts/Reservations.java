package ridgefall.app.parts;

import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.app.job.Journal.Outcome;
import ridgefall.app.parts.Stock.Row;
import ridgefall.app.security.SignedIn;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** Takes pieces off the shelf for jobs and puts them back: shelf and journal change together or not at all. */
@Service
public class Reservations {
    private final Stock stock;
    private final Journal journal;
    private final Jobs jobs;

    Reservations(Stock stock, Journal journal, Jobs jobs) {
        this.stock = stock;
        this.journal = journal;
        this.jobs = jobs;
    }

    /** @throws NotAllowed when no such part is there or every piece is taken */
    @Transactional
    public Outcome take(UUID jobId, UUID commandId, UUID stockId, SignedIn who) {
        Row row = stock.byId(Allowed.present("stockId", stockId))
                .orElseThrow(() -> new NotAllowed("stockId", stockId, "a part of this shop's stock"));
        return journal.appendNow(
                jobId,
                Allowed.present("commandId", commandId),
                new PartsFact.PartReserved(row.id(), row.kind(), row.grade(), row.words(), row.brings()),
                who,
                () -> row.checkFits(jobs.profile(jobId)));
    }

    @Transactional
    public Outcome putBack(UUID jobId, UUID commandId, UUID stockId, SignedIn who) {
        Allowed.present("commandId", commandId);
        return journal.appendNow(jobId, commandId, new PartsFact.PartReturned(stockId), who, () -> {});
    }
}
