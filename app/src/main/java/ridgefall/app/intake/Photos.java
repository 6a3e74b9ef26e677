package ridgefall.app.intake;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;
import ridgefall.app.http.Problem;
import ridgefall.app.job.Journal;
import ridgefall.app.job.Journal.Outcome;
import ridgefall.app.security.SignedIn;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.units.NotAllowed;

/**
 * Pictures of what came in. What is stored was drawn anew from the pixels: place, time and device that a camera writes
 * into its files do not survive.
 */
@Repository
class Photos {
    static final int MOST_A_JOB = 12;
    private static final int LONG_SIDE = 1600;
    private static final int THUMB_SIDE = 240;

    private final JdbcClient jdbc;
    private final Journal journal;
    private final Clock clock;
    private final TransactionTemplate transactions;

    Photos(JdbcClient jdbc, Journal journal, Clock clock, TransactionTemplate transactions) {
        this.jdbc = jdbc;
        this.journal = journal;
        this.clock = clock;
        this.transactions = transactions;
    }

    /**
     * @throws NotAllowed when it is no JPEG or PNG, or too large, or one too many
     * @throws Problem when the id stands for another picture
     */
    public Outcome add(UUID jobId, UUID photoId, byte[] file, String words, SignedIn who) {
        // Unpacked before a connection is taken: whoever waits for the decoder holds nothing else up.
        Picture.Sizes sizes = Picture.sizes(file, LONG_SIDE, THUMB_SIDE);
        byte[] hash = sha256(file);
        return transactions.execute(status -> add(jobId, photoId, sizes, hash, words, who));
    }

    private Outcome add(UUID jobId, UUID photoId, Picture.Sizes sizes, byte[] hash, String words, SignedIn who) {
        Outcome outcome = journal.appendNow(jobId, photoId, new IntakeFact.PhotoTaken(photoId, words), who, () -> {
            int there = jdbc.sql("select count(*) from photo where job_id = :job")
                    .param("job", jobId)
                    .query(Integer.class)
                    .single();
            if (there >= MOST_A_JOB) {
                throw new NotAllowed("photo", "number " + (there + 1), "at most " + MOST_A_JOB + " photos a job");
            }
            jdbc.sql("""
                            insert into photo (id, job_id, picture, thumb, file_sha256, added_at, added_by)
                            values (:id, :job, :picture, :thumb, :hash, :at, :by)""")
                    .param("id", photoId)
                    .param("job", jobId)
                    .param("picture", sizes.large())
                    .param("thumb", sizes.thumb())
                    .param("hash", hash)
                    .param("at", clock.instant().atOffset(ZoneOffset.UTC))
                    .param("by", who.name())
                    .update();
        });
        if (outcome instanceof Outcome.Recorded recorded && recorded.before() && !isSame(photoId, hash)) {
            throw Problem.commandUsedBefore(photoId);
        }
        return outcome;
    }

    /** Photos from before hashes were kept, and erased ones, are taken at their word. */
    private boolean isSame(UUID photoId, byte[] hash) {
        return jdbc.sql("select not exists (select 1 from photo where id = :id and file_sha256 <> :hash)")
                .param("id", photoId)
                .param("hash", hash)
                .query(Boolean.class)
                .single();
    }

    private static byte[] sha256(byte[] file) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(file);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    Optional<byte[]> picture(UUID photoId, boolean thumb) {
        return jdbc.sql("select " + (thumb ? "thumb" : "picture") + " from photo where id = :id")
                .param("id", photoId)
                .query((row, n) -> row.getBytes(1))
                .optional();
    }
}
