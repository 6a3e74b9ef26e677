package ridgefall.app.carry;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.attach.Attachments;
import ridgefall.app.attach.Kind;
import ridgefall.app.http.Problem;
import ridgefall.core.carry.CopyFact.DataRead;
import ridgefall.core.carry.FrontOnAdapter.Known;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** What fronts hold, as files of their jobs; the same bytes of the same front are one file. */
@Repository
class FrontData {
    static final int MOST_BYTES = 64 << 10;

    private static final String FORMAT = "front-data-1";

    private final Attachments attachments;
    private final JdbcClient jdbc;

    FrontData(Attachments attachments, JdbcClient jdbc) {
        this.attachments = attachments;
        this.jdbc = jdbc;
    }

    /**
     * As it goes out and comes in; see docs/formats/front-data.md.
     *
     * @param job number of the job that it was read for
     * @param data in base 64
     */
    record DataFile(
            String format,
            long job,
            String device,
            String part,
            String front,
            String generation,
            int bytes,
            String sha256,
            String data) {}

    static String sha256(byte[] data) {
        return HexFormat.of().formatHex(Attachments.sha256(data));
    }

    private static UUID id(UUID jobId, PairedPart part, String what) {
        return UUID.nameUUIDFromBytes((jobId + " " + part.id() + " " + what).getBytes(StandardCharsets.UTF_8));
    }

    /** @return the file's id */
    UUID keep(UUID jobId, PairedPart part, String front, byte[] data, String by) {
        UUID id = id(jobId, part, front + " " + sha256(data));
        add(jobId, id, part.id() + "-" + front + ".bin", data, by);
        return id;
    }

    boolean keptBefore(UUID jobId, PairedPart part, String front) {
        return attachments.content(before(jobId, part, front)).isPresent();
    }

    /** What a new front held before anything was written to it. */
    void keepBefore(UUID jobId, PairedPart part, String front, byte[] data, String by) {
        add(jobId, before(jobId, part, front), part.id() + "-" + front + "-before.bin", data, by);
    }

    private static UUID before(UUID jobId, PairedPart part, String front) {
        return id(jobId, part, front + " before");
    }

    private void add(UUID jobId, UUID id, String name, byte[] data, String by) {
        attachments.add(
                jobId,
                new Attachments.New(
                        id,
                        Kind.PAIRING,
                        name,
                        "application/octet-stream",
                        data,
                        null,
                        Attachments.sha256(data),
                        null,
                        by));
    }

    /** @throws Problem when it was erased with its owner, or is not what was read */
    byte[] kept(DataRead read) {
        byte[] data = attachments
                .content(read.fileId())
                .orElseThrow(() -> Problem.of(HttpStatus.NOT_FOUND, "No such file", "It was erased", Map.of()));
        if (!sha256(data).equals(read.sha256())) {
            throw Problem.of(HttpStatus.CONFLICT, "Another file", "It is not what was read", Map.of());
        }
        return data;
    }

    /** Numbers of the jobs that this one came back from: their fronts and files are of the same device. */
    static List<Long> cameBackFrom(Course course) {
        return course.journal().stream()
                .filter(entry -> entry.fact() instanceof IntakeFact.CameBack
                        && IntakeState.of(course.state()).here(entry.happenedAt()))
                .map(entry -> ((IntakeFact.CameBack) entry.fact()).jobNumber())
                .toList();
    }

    /** What became of a front in a job that this one is not, nor came back from; null where nobody knows it. */
    Known elsewhere(String front, Course course, UUID jobId) {
        return jdbc.sql("""
                        select j.number, e.fact ->> 'type' = 'DataRead' as source
                        from journal e join job j on j.id = e.job_id
                        where e.fact ->> 'front' = :front and e.job_id <> :job
                            and j.number <> all(:own)
                            and not exists (select 1 from journal l where l.job_id = e.job_id and l.seq > e.seq
                                and e.fact ->> 'type' = 'DataWritten' and l.fact ->> 'type' in ('DataWritten', 'PartSwapped'))
                        order by e.happened_at desc limit 1""")
                .param("front", front)
                .param("job", jobId)
                .param("own", cameBackFrom(course).toArray(Long[]::new))
                .query((row, n) -> new Known(row.getLong("number"), row.getBoolean("source")))
                .optional()
                .orElse(null);
    }

    /** The front that was read last for another job, for a stand-in to play. */
    Optional<String> anotherFront(UUID jobId) {
        return jdbc.sql("""
                        select fact ->> 'front' from journal
                        where fact ->> 'front' is not null and fact ->> 'type' = 'DataRead' and job_id <> :job
                        order by happened_at desc limit 1""").param("job", jobId).query(String.class).optional();
    }

    DataFile file(long number, Course course, DataRead read) {
        return new DataFile(
                FORMAT,
                number,
                course.profile().id(),
                read.partId(),
                read.front(),
                read.generation(),
                read.bytes(),
                read.sha256(),
                Base64.getEncoder().encodeToString(kept(read)));
    }

    /**
     * The bytes of a file that was brought.
     *
     * @param jobs numbers of the job and of those it came back from
     * @throws NotAllowed when it is no such file, not whole, or another device's
     */
    static byte[] brought(DataFile file, List<Long> jobs, Course course, PairedPart part) {
        same("format", file.format(), FORMAT);
        if (!jobs.contains(file.job())) {
            throw new NotAllowed("job", file.job(), "the number of this job, or of one it came back from: " + jobs);
        }
        same("device", file.device(), course.profile().id());
        same("part", file.part(), part.id());
        if (part.generation() != null) {
            same("generation", file.generation(), part.generation());
        }
        byte[] data;
        try {
            data = Base64.getDecoder().decode(Allowed.present("data", file.data()));
        } catch (IllegalArgumentException e) {
            throw new NotAllowed("data", "no base 64", "what was saved, unchanged");
        }
        if (data.length != file.bytes() || data.length < 1 || data.length > MOST_BYTES) {
            throw new NotAllowed(
                    "bytes", file.bytes(), "how many there are, " + data.length + ", and 1 to " + MOST_BYTES);
        }
        same("sha256", file.sha256(), sha256(data));
        return data;
    }

    private static void same(String field, String given, String wanted) {
        if (!wanted.equals(given)) {
            throw new NotAllowed(field, given, wanted);
        }
    }
}
