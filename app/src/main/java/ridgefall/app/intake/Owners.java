package ridgefall.app.intake;

import java.time.Clock;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.attach.Attachments;
import ridgefall.app.job.Journal;
import ridgefall.app.shop.Shop;
import ridgefall.app.test.TouchProofs;

/** What is known of owners, for as long as the shop needs it: the journal stays, their names go. */
@Repository
public class Owners {
    private static final long ONE_HOUR_MS = 3_600_000;

    private final JdbcClient jdbc;
    private final Attachments attachments;
    private final TouchProofs touchProofs;
    private final Shop shop;
    private final Clock clock;

    Owners(JdbcClient jdbc, Attachments attachments, Shop shop, Clock clock, TouchProofs touchProofs) {
        this.touchProofs = touchProofs;
        this.jdbc = jdbc;
        this.attachments = attachments;
        this.shop = shop;
        this.clock = clock;
    }

    Optional<String> contact(UUID jobId) {
        return jdbc.sql("select contact from owner_contact where job_id = :job")
                .param("job", jobId)
                .query(String.class)
                .optional();
    }

    /** Erases name, contact and files of one job for good. */
    @Transactional
    public boolean erase(UUID jobId) {
        for (String table : List.of("owner_words", "owner_contact")) {
            jdbc.sql("delete from " + table + " where job_id = :job")
                    .param("job", jobId)
                    .update();
        }
        attachments.erase(jobId);
        touchProofs.erase(jobId);
        return jdbc.sql("update job set owner = :erased, owner_erased_at = :now where id = :job")
                        .param("erased", Journal.ERASED)
                        .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                        .param("job", jobId)
                        .update()
                > 0;
    }

    /** Erases what was handed over longer ago than the shop keeps it. */
    @Scheduled(fixedDelay = ONE_HOUR_MS, initialDelay = 60_000)
    @Transactional
    public void eraseWhatIsOld() {
        Duration kept = Duration.ofDays(shop.settings().retentionDays());
        jdbc.sql("select id from job where handed_over_at < :before and owner_erased_at is null limit 500")
                .param("before", clock.instant().minus(kept).atOffset(ZoneOffset.UTC))
                .query(UUID.class)
                .list()
                .forEach(this::erase);
    }
}
