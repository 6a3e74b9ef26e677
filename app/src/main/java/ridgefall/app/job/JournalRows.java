package ridgefall.app.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;

/** The journal's rows, read; only {@link Journal} adds some. */
@Repository
class JournalRows {
    private static final String ENTRY = """
            select j.job_id, j.seq, j.happened_at, j.who, j.role, j.fact, o.words from journal j
            left join owner_words o on o.job_id = j.job_id and o.seq = j.seq""";

    private final JdbcClient jdbc;
    private final StoredFacts facts;

    JournalRows(JdbcClient jdbc, StoredFacts facts) {
        this.jdbc = jdbc;
        this.facts = facts;
    }

    /** A command that was recorded, wherever it was. */
    record Recorded(UUID jobId, long seq, Instant happenedAt, Fact fact) {}

    /** Of one job what came after a number, in order. */
    List<Entry> after(UUID jobId, long seq) {
        return jdbc.sql(ENTRY + " where j.job_id = :job and j.seq > :seq order by j.seq")
                .param("job", jobId)
                .param("seq", seq)
                .query((row, n) -> entry(row))
                .list();
    }

    /** Whole journals of many jobs in one question. */
    Map<UUID, List<Entry>> of(Collection<UUID> jobIds) {
        Map<UUID, List<Entry>> journals = new LinkedHashMap<>();
        jdbc.sql(ENTRY + " where j.job_id = any(:jobs) order by j.job_id, j.seq")
                .param("jobs", jobIds.toArray(UUID[]::new))
                .query((ResultSet row) -> {
                    journals.computeIfAbsent(row.getObject("job_id", UUID.class), id -> new ArrayList<>())
                            .add(entry(row));
                });
        return journals;
    }

    Optional<Recorded> recorded(UUID commandId) {
        return jdbc.sql(ENTRY + " where j.command_id = :command")
                .param("command", commandId)
                .query((row, n) -> {
                    Entry entry = entry(row);
                    return new Recorded(
                            row.getObject("job_id", UUID.class), entry.seq(), entry.happenedAt(), entry.fact());
                })
                .optional();
    }

    private Entry entry(ResultSet row) throws SQLException {
        return new Entry(
                row.getLong("seq"),
                row.getObject("happened_at", OffsetDateTime.class).toInstant(),
                row.getString("who"),
                Role.valueOf(row.getString("role")),
                facts.read(row.getString("fact"), row.getString("words")));
    }

    static OffsetDateTime at(Instant instant) {
        return instant.atOffset(ZoneOffset.UTC);
    }
}
