package ridgefall.app.attach;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Types;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.http.Problem;
import ridgefall.core.units.NotAllowed;

/** Files of jobs. One id stands for one file: brought again it is there already, with other content it is refused. */
@Repository
public class Attachments {
    private final JdbcClient jdbc;
    private final Clock clock;

    Attachments(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * @param sha256 of the file as it was brought
     * @param runSeq of the run it belongs to; null where it belongs to none
     */
    public record Attachment(
            UUID id,
            Kind kind,
            String name,
            String mediaType,
            int size,
            byte[] sha256,
            Long runSeq,
            Instant addedAt,
            String addedBy) {}

    /**
     * @param thumb a small picture of it; null where there is none
     * @param sha256 of the file as it was brought, which need not be what is kept
     */
    public record New(
            UUID id,
            Kind kind,
            String name,
            String mediaType,
            byte[] content,
            byte[] thumb,
            byte[] sha256,
            Long runSeq,
            String by) {}

    public static byte[] sha256(byte[] file) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(file);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /**
     * @return false where it was there already
     * @throws Problem when the id stands for another file, or one of another job
     * @throws NotAllowed when the job has as many of its kind as it may
     */
    @Transactional
    public boolean add(UUID jobId, New file) {
        return add(jobId, file, clock.instant());
    }

    /** The same of one that came to its job before today. */
    @Transactional
    public boolean add(UUID jobId, New file, Instant addedAt) {
        if (isThere(jobId, file)) {
            return false;
        }
        int count = jdbc.sql("select count(*) from attachment where job_id = :job and kind = :kind")
                .param("job", jobId)
                .param("kind", file.kind().name())
                .query(Integer.class)
                .single();
        if (count >= file.kind().mostAJob()) {
            String what = file.kind().word();
            throw new NotAllowed(
                    what, "number " + (count + 1), "at most " + file.kind().mostAJob() + " " + what + "s a job");
        }
        int added = jdbc.sql("""
                        insert into attachment (id, job_id, kind, name, media_type, content, thumb, sha256, run_seq,
                            added_at, added_by)
                        values (:id, :job, :kind, :name, :type, :content, :thumb, :hash, :run, :at, :by)
                        on conflict (id) do nothing""")
                .param("id", file.id())
                .param("job", jobId)
                .param("kind", file.kind().name())
                .param("name", file.name())
                .param("type", file.mediaType())
                .param("content", file.content())
                .param("thumb", file.thumb(), Types.BINARY)
                .param("hash", file.sha256())
                .param("run", file.runSeq(), Types.BIGINT)
                .param("at", addedAt.atOffset(ZoneOffset.UTC))
                .param("by", file.by())
                .update();
        // Somebody brought the same in this very moment.
        return added > 0 || !isThere(jobId, file);
    }

    /** @throws Problem when the id stands for another file, or one of another job */
    private boolean isThere(UUID jobId, New file) {
        Optional<Boolean> same = jdbc.sql("""
                        select job_id = :job and (sha256 is null or sha256 = :hash) as same from attachment
                        where id = :id""")
                .param("job", jobId)
                .param("hash", file.sha256())
                .param("id", file.id())
                .query(Boolean.class)
                .optional();
        if (same.isPresent() && !same.get()) {
            throw Problem.commandUsedBefore(file.id());
        }
        return same.isPresent();
    }

    /** Whether the file of this id is the one; those from before hashes were kept, and erased ones, are taken at their word. */
    public boolean isSame(UUID id, byte[] sha256) {
        return jdbc.sql("select not exists (select 1 from attachment where id = :id and sha256 <> :hash)")
                .param("id", id)
                .param("hash", sha256)
                .query(Boolean.class)
                .single();
    }

    public List<Attachment> of(UUID jobId) {
        return jdbc.sql("""
                        select id, kind, name, media_type, size, sha256, run_seq, added_at, added_by from attachment
                        where job_id = :job order by added_at""")
                .param("job", jobId)
                .query((row, n) -> new Attachment(
                        row.getObject("id", UUID.class),
                        Kind.valueOf(row.getString("kind")),
                        row.getString("name"),
                        row.getString("media_type"),
                        row.getInt("size"),
                        row.getBytes("sha256"),
                        row.getObject("run_seq", Long.class),
                        row.getObject("added_at", OffsetDateTime.class).toInstant(),
                        row.getString("added_by")))
                .list();
    }

    public Optional<byte[]> content(UUID id) {
        return bytes("content", id);
    }

    /** The small picture of it. */
    public Optional<byte[]> thumb(UUID id) {
        return bytes("thumb", id);
    }

    private Optional<byte[]> bytes(String column, UUID id) {
        return jdbc.sql("select " + column + " from attachment where id = :id and " + column + " is not null")
                .param("id", id)
                .query((row, n) -> row.getBytes(1))
                .optional();
    }

    /** All of a job's, for good. */
    public void erase(UUID jobId) {
        jdbc.sql("delete from attachment where job_id = :job")
                .param("job", jobId)
                .update();
    }
}
