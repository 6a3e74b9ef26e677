package ridgefall.app.test;

import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.test.Look;
import ridgefall.core.test.Looked;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Links into one touch proof each, and what came in by them. */
@Repository
public class TouchProofs {
    /** As long as nobody forgets that it is open. */
    static final Duration OPEN_FOR = Duration.ofMinutes(30);

    /** Two hundred and fifty-six bits: nobody guesses one. */
    private static final int TOKEN_BYTES = 32;

    /** Milliseconds, x, y, contact. */
    private static final int SAMPLE = 4;

    private static final TypeReference<List<double[]>> SAMPLES = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    TouchProofs(JdbcClient jdbc, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /**
     * @param endedAt null while it is not called off
     * @param widthPx of the page on the device; null before it was opened
     */
    record Proof(
            UUID id, UUID jobId, Instant madeAt, Instant expiresAt, Instant endedAt, Double widthPx, Double heightPx) {
        boolean open(Instant now) {
            return endedAt == null && now.isBefore(expiresAt);
        }
    }

    /** A new one; an older one of the job is open no more. */
    @Transactional
    String open(UUID jobId, String by) {
        end(jobId);
        byte[] secret = new byte[TOKEN_BYTES];
        random.nextBytes(secret);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        OffsetDateTime now = now();
        jdbc.sql("""
                        insert into touch_proof (id, job_id, token_hash, made_by, made_at, expires_at)
                        values (:id, :job, :hash, :by, :at, :until)""")
                .param("id", UUID.randomUUID())
                .param("job", jobId)
                .param("hash", hash(token))
                .param("by", by)
                .param("at", now)
                .param("until", now.plus(OPEN_FOR))
                .update();
        return token;
    }

    void end(UUID jobId) {
        jdbc.sql("update touch_proof set ended_at = :now where job_id = :job and ended_at is null")
                .param("now", now())
                .param("job", jobId)
                .update();
    }

    /** Owner's words go, and so does how their device was touched. */
    public void erase(UUID jobId) {
        jdbc.sql("delete from touch_proof where job_id = :job")
                .param("job", jobId)
                .update();
    }

    /** The job's newest, open or not. */
    Optional<Proof> newest(UUID jobId) {
        return jdbc.sql("select * from touch_proof where job_id = :job order by made_at desc limit 1")
                .param("job", jobId)
                .query(TouchProofs::proof)
                .optional();
    }

    /** The last that anything came in by before a time. */
    Optional<Proof> lastBefore(UUID jobId, Instant until) {
        return jdbc.sql("""
                        select * from touch_proof where job_id = :job and made_at < :until and width_px is not null
                        order by made_at desc limit 1""")
                .param("job", jobId)
                .param("until", until.atOffset(ZoneOffset.UTC))
                .query(TouchProofs::proof)
                .optional();
    }

    /** What a token opens; empty for one that is unknown, over or called off: which of them, nobody is told. */
    Optional<Proof> by(String token) {
        return jdbc.sql("select * from touch_proof where token_hash = :hash")
                .param("hash", hash(token))
                .query(TouchProofs::proof)
                .optional()
                .filter(proof -> proof.open(clock.instant()));
    }

    /** What came in by a link so far. */
    record Used(int calls, long bytes) {}

    /** One more call of so many bytes; empty where the token opens nothing. */
    Optional<Used> use(String token, long bytes) {
        return jdbc.sql("""
                        update touch_proof set calls = calls + 1, bytes = bytes + :bytes
                        where token_hash = :hash and ended_at is null and expires_at > :now returning calls, bytes""")
                .param("bytes", bytes)
                .param("hash", hash(token))
                .param("now", now())
                .query(Used.class)
                .optional();
    }

    @Transactional
    void take(Proof proof, Task task, int seq, double widthPx, double heightPx, List<double[]> samples, boolean last) {
        long held = jdbc.sql(
                        "select coalesce(sum(jsonb_array_length(samples)), 0) from touch_batch where proof_id = :id")
                .param("id", proof.id())
                .query(Long.class)
                .single();
        if (held + samples.size() > TouchTrace.MOST_SAMPLES) {
            throw new NotAllowed(
                    "samples", held + samples.size(), "0 to " + TouchTrace.MOST_SAMPLES + " samples in all");
        }
        jdbc.sql("update touch_proof set width_px = :width, height_px = :height where id = :id")
                .param("width", widthPx)
                .param("height", heightPx)
                .param("id", proof.id())
                .update();
        jdbc.sql("""
                        insert into touch_batch (proof_id, task, seq, samples, last)
                        values (:id, :task, :seq, cast(:samples as jsonb), :last) on conflict do nothing""")
                .param("last", last)
                .param("id", proof.id())
                .param("task", task.name())
                .param("seq", seq)
                .param("samples", json.writeValueAsString(samples))
                .update();
    }

    /** A task is done anew. */
    void again(Proof proof, Task task) {
        jdbc.sql("delete from touch_batch where proof_id = :id and task = :task")
                .param("id", proof.id())
                .param("task", task.name())
                .update();
    }

    /** Tasks that are over. */
    Set<Task> done(Proof proof) {
        return Set.copyOf(jdbc.sql("select distinct task from touch_batch where proof_id = :id and last")
                .param("id", proof.id())
                .query((row, nth) -> Task.valueOf(row.getString("task")))
                .list());
    }

    /** Tasks that something came in for, be it that nothing was touched. */
    Map<Task, TouchTrace> traces(Proof proof, TouchTrace.Screen screen) {
        Map<Task, List<Sample>> samples = new EnumMap<>(Task.class);
        jdbc.sql("select task, samples from touch_batch where proof_id = :id order by task, seq")
                .param("id", proof.id())
                .query((row, nth) -> {
                    List<Sample> of =
                            samples.computeIfAbsent(Task.valueOf(row.getString("task")), any -> new ArrayList<>());
                    for (double[] one : json.readValue(row.getString("samples"), SAMPLES)) {
                        of.add(new Sample(one[0], one[1], one[2], (int) one[3]));
                    }
                    return nth;
                })
                .list();
        Map<Task, TouchTrace> traces = new EnumMap<>(Task.class);
        samples.forEach((task, of) -> traces.put(task, new TouchTrace(screen, of)));
        return traces;
    }

    /** What a device told beside its touches. */
    record LookTold(Looked looked, Instant at) {}

    /** Looked at anew, the last time counts. */
    void looked(Proof proof, Looked looked) {
        jdbc.sql("""
                        insert into touch_look (proof_id, look, told, told_at)
                        values (:id, :look, cast(:told as jsonb), :at)
                        on conflict (proof_id, look) do update set told = excluded.told, told_at = excluded.told_at""")
                .param("id", proof.id())
                .param("look", looked.look().name())
                .param("told", json.writeValueAsString(looked))
                .param("at", now())
                .update();
    }

    /** By the job's links, the latest first. */
    List<LookTold> looks(UUID jobId) {
        return jdbc.sql("""
                        select look, told, told_at from touch_look join touch_proof on id = proof_id
                        where job_id = :job order by told_at desc""")
                .param("job", jobId)
                .query((row, n) -> new LookTold(
                        json.readValue(row.getString("told"), kind(Look.valueOf(row.getString("look")))),
                        row.getObject("told_at", OffsetDateTime.class).toInstant()))
                .list();
    }

    private static Class<? extends Looked> kind(Look look) {
        return switch (look) {
            case STYLUS -> throw new IllegalStateException("what a stylus drew is in its traces");
            case PICTURE -> Looked.Picture.class;
            case LIGHT -> Looked.Light.class;
            case SOUND -> Looked.Sound.class;
            case CAMERA -> Looked.Camera.class;
            case MOTION -> Looked.Motion.class;
        };
    }

    /** What a device told of one task. */
    public record Told(Task task, int samples, Instant at) {}

    /** Of the job's newest link, as far as it got. */
    public List<Told> told(UUID jobId) {
        return newest(jobId)
                .map(proof -> jdbc.sql("""
                                select task, sum(jsonb_array_length(samples))::integer as samples from touch_batch
                                where proof_id = :id group by task order by task""")
                        .param("id", proof.id())
                        .query((row, n) ->
                                new Told(Task.valueOf(row.getString("task")), row.getInt("samples"), proof.madeAt()))
                        .list())
                .orElse(List.of());
    }

    /** A link with all that came in by it, its token left out: nothing opens by it any more. */
    public record Kept(
            Instant madeAt,
            String madeBy,
            @Schema(nullable = true) Double widthPx,
            @Schema(nullable = true) Double heightPx,
            List<KeptBatch> batches,
            List<KeptLook> looks) {}

    /** @param samples each of ms, x, y, contact */
    public record KeptBatch(Task task, int seq, boolean last, List<double[]> samples) {}

    /** @param told as the device told it, JSON in a text */
    public record KeptLook(Look look, Instant toldAt, String told) {}

    /** All of a job's links that something came in by, in order. */
    public List<Kept> kept(UUID jobId) {
        return jdbc.sql("""
                        select p.* from touch_proof p where job_id = :job and (
                            exists (select 1 from touch_batch where proof_id = p.id)
                            or exists (select 1 from touch_look where proof_id = p.id)) order by made_at""")
                .param("job", jobId)
                .query((row, n) -> {
                    Proof proof = proof(row, n);
                    return new Kept(
                            proof.madeAt(),
                            row.getString("made_by"),
                            proof.widthPx(),
                            proof.heightPx(),
                            batches(proof.id()),
                            looksOf(proof.id()));
                })
                .list();
    }

    private List<KeptBatch> batches(UUID proofId) {
        return jdbc.sql("select task, seq, last, samples from touch_batch where proof_id = :id order by task, seq")
                .param("id", proofId)
                .query((row, n) -> new KeptBatch(
                        Task.valueOf(row.getString("task")),
                        row.getInt("seq"),
                        row.getBoolean("last"),
                        json.readValue(row.getString("samples"), SAMPLES)))
                .list();
    }

    private List<KeptLook> looksOf(UUID proofId) {
        return jdbc.sql("select look, told_at, told from touch_look where proof_id = :id order by look")
                .param("id", proofId)
                .query((row, n) -> new KeptLook(
                        Look.valueOf(row.getString("look")),
                        row.getObject("told_at", OffsetDateTime.class).toInstant(),
                        row.getString("told")))
                .list();
    }

    /** @throws NotAllowed where no device can have told that */
    public void check(Kept kept, Instant now) {
        Allowed.text("madeBy", kept.madeBy(), 80);
        unlike("batches", kept.batches(), batch -> Allowed.present("task", batch.task()) + " " + batch.seq());
        unlike("looks", kept.looks(), look -> Allowed.present("look", look.look()));
        for (Double px : Arrays.asList(kept.widthPx(), kept.heightPx())) {
            if (px != null) {
                Allowed.between("widthPx", px, 1, 100_000, "px");
            }
        }
        kept.batches().forEach(batch -> Allowed.present("samples", batch.samples()));
        int samples = kept.batches().stream()
                .mapToInt(batch -> batch.samples().size())
                .sum();
        Allowed.between("samples", samples, 0, TouchTrace.MOST_SAMPLES, "samples in all");
        for (KeptBatch batch : kept.batches()) {
            for (double[] sample : batch.samples()) {
                if (sample.length != SAMPLE || !Arrays.stream(sample).allMatch(Double::isFinite)) {
                    throw new NotAllowed("samples", Arrays.toString(sample), "ms, x, y and contact, four numbers");
                }
            }
        }
        for (KeptLook look : kept.looks()) {
            Instant at = Allowed.present("toldAt", look.toldAt());
            if (at.isBefore(kept.madeAt()) || at.isAfter(now)) {
                throw new NotAllowed("toldAt", at, kept.madeAt() + " to " + now);
            }
            try {
                json.readValue(Allowed.present("told", look.told()), kind(look.look()));
            } catch (JacksonException | IllegalStateException e) {
                throw new NotAllowed("told", "something else", "what a device tells of its " + look.look());
            }
        }
    }

    private static <T> void unlike(String field, List<T> all, Function<T, Object> which) {
        Set<Object> seen = new HashSet<>();
        for (T one : Allowed.present(field, all)) {
            if (!seen.add(which.apply(one))) {
                throw new NotAllowed(field, which.apply(one) + " twice", "each once");
            }
        }
    }

    /** One that was made elsewhere, of a job that is brought in. */
    public void bringIn(UUID jobId, Kept kept) {
        UUID id = UUID.randomUUID();
        byte[] nobodys = new byte[TOKEN_BYTES];
        random.nextBytes(nobodys);
        OffsetDateTime madeAt = kept.madeAt().atOffset(ZoneOffset.UTC);
        jdbc.sql("""
                        insert into touch_proof (id, job_id, token_hash, made_by, made_at, expires_at, ended_at, width_px, height_px)
                        values (:id, :job, :hash, :by, :at, :at, :at, :width, :height)""")
                .param("id", id)
                .param("job", jobId)
                .param("hash", HexFormat.of().formatHex(nobodys))
                .param("by", kept.madeBy())
                .param("at", madeAt)
                .param("width", kept.widthPx(), Types.DOUBLE)
                .param("height", kept.heightPx(), Types.DOUBLE)
                .update();
        for (KeptBatch batch : kept.batches()) {
            jdbc.sql("""
                            insert into touch_batch (proof_id, task, seq, samples, last)
                            values (:id, :task, :seq, cast(:samples as jsonb), :last)""")
                    .param("id", id)
                    .param("task", batch.task().name())
                    .param("seq", batch.seq())
                    .param("samples", json.writeValueAsString(batch.samples()))
                    .param("last", batch.last())
                    .update();
        }
        for (KeptLook look : kept.looks()) {
            jdbc.sql("""
                            insert into touch_look (proof_id, look, told, told_at)
                            values (:id, :look, cast(:told as jsonb), :at)""")
                    .param("id", id)
                    .param("look", look.look().name())
                    .param("told", json.writeValueAsString(json.readValue(look.told(), kind(look.look()))))
                    .param("at", look.toldAt().atOffset(ZoneOffset.UTC))
                    .update();
        }
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Proof proof(ResultSet row, int nth) throws SQLException {
        OffsetDateTime ended = row.getObject("ended_at", OffsetDateTime.class);
        return new Proof(
                row.getObject("id", UUID.class),
                row.getObject("job_id", UUID.class),
                row.getObject("made_at", OffsetDateTime.class).toInstant(),
                row.getObject("expires_at", OffsetDateTime.class).toInstant(),
                ended == null ? null : ended.toInstant(),
                row.getObject("width_px", Double.class),
                row.getObject("height_px", Double.class));
    }
}
