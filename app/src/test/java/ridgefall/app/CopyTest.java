package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The stylus data of a job, through the stand-in programmer: read, kept, written, read back; and all that goes wrong there. */
@ExtendWith(RunningApp.class)
class CopyTest {
    private final App app;
    private static final String PART = "stylus-data";
    private static final Duration SECONDS = Duration.ofSeconds(30);

    private final JdbcClient jdbc;
    private final Client ansa;
    private UUID job;

    CopyTest(App app) {
        this.app = app;
        jdbc = app.bean(JdbcClient.class);
        ansa = app.signedIn(Role.TECHNICIAN);
    }

    @BeforeEach
    void atTheAdapter() {
        job = app.jobAt("carry.old-on-" + PART);
    }

    private Answer tell(Map<String, Object> fact) {
        return ansa.append(job, job().get("seq").asLong(), fact);
    }

    private JsonNode job() {
        return ansa.get("/api/jobs/" + job).json();
    }

    private void plugged(String front) {
        assertThat(tell(Map.of("type", "CheckAnswered", "checkId", "carry." + front + "-on-" + PART, "answer", "PASS"))
                        .status())
                .isEqualTo(200);
    }

    /** Begins it, and waits until it has ended. */
    private void begun(String doing) {
        assertThat(tell(Map.of("type", "CopyBegun", "partId", PART, "doing", doing))
                        .status())
                .isEqualTo(200);
        await().atMost(SECONDS).until(() -> copy().get("doing").isNull());
    }

    private JsonNode copy() {
        return ansa.get("/api/jobs/" + job + "/copies").json().get(0);
    }

    private JsonNode step(String id) {
        return job().get("steps")
                .valueStream()
                .filter(step -> step.get("id").asString().equals("carry." + id + "-" + PART))
                .findFirst()
                .orElseThrow();
    }

    private static void plays(Client client, String fault) {
        assertThat(client.post("/api/programmers/stand-in-programmer/fault", Map.of("fault", fault))
                        .status())
                .isEqualTo(204);
    }

    private void read() {
        plugged("old");
        begun("READ");
        assertThat(copy().get("read").get("bytes").asInt()).isEqualTo(16_384);
    }

    private void written() {
        plugged("new");
        begun("WRITE");
    }

    private String files() {
        return "/api/jobs/" + job + "/attachments";
    }

    @Test
    void whatTheOldFrontHoldsIsKeptAndIsWhatTheNewOneHoldsInTheEnd() {
        read();
        JsonNode kept = ansa.get(files()).json().get(0);
        String hash = copy().get("read").get("sha256").asString();
        assertThat(kept.get("sha256").asString()).isEqualTo(hash);
        assertThat(kept.get("size").asInt()).isEqualTo(16_384);
        written();
        assertThat(copy().get("written").get("sha256").asString()).isEqualTo(hash);
        assertThat(copy().get("written").get("front").asString())
                .isNotEqualTo(copy().get("read").get("front").asString());
        assertThat(ansa.get(files()).json().findValuesAsString("name"))
                .as("what the new one held before is kept too")
                .hasSize(2)
                .anyMatch(name -> name.endsWith("-before.bin"));
        assertThat(job().get("nextStepId").asString()).isEqualTo("carry." + PART);
    }

    /** @param at where it is mended */
    private record Fault(String played, String at, String told) {}

    private static final List<Fault> READING = List.of(
            new Fault("OPEN", "old-on", "a plug at the adapter is not home"),
            new Fault("LOOP", "old-on", "it starts over and over"),
            new Fault("READ", "read", "some of it can't be read: Read error at 5000"),
            new Fault("SHORT", "read", "less came than was promised: says 1024 bytes, sends 512"),
            new Fault("CHECKSUM", "read", "what came is not what its checksum says: says "),
            new Fault("SILENT", "read", "the programmer fell silent: hung up"),
            new Fault(
                    "GENERATION",
                    "old-on",
                    "its data are of another generation: it says another generation, the book"));

    private static final List<Fault> WRITING = List.of(
            new Fault("VERIFY", "write", "it does not read back as it was written: byte 5,000: written "),
            new Fault("FRONT", "new-on", "another front is on the adapter: this is R2-"),
            new Fault("LOOP", "new-on", "it starts over and over"));

    private void gotOver(List<Fault> faults, String front, String doing) {
        for (Fault fault : faults) {
            if (step(front + "-on").get("open").asBoolean()) {
                plugged(front);
            }
            plays(ansa, fault.played());
            begun(doing);
            assertThat(step(fault.at()).get("answer").asString()).startsWith(fault.told());
            assertThat(job().get("nextStepId").asString()).isEqualTo("carry." + fault.at() + "-" + PART);
        }
    }

    @Test
    void everyFaultIsToldAndGotOverAndNothingHalfIsKept() {
        gotOver(READING, "old", "READ");
        assertThat(ansa.get(files()).json()).isEmpty();
        read();
        gotOver(WRITING, "new", "WRITE");
        assertThat(copy().get("half").asBoolean()).isTrue();
        written();
        assertThat(copy().get("written").isNull()).isFalse();
        assertThat(copy().get("half").asBoolean()).isFalse();
        assertThat(ansa.get(files()).json()).hasSize(2);
    }

    @Test
    void aFrontThatWasReadForAnotherJobIsNotReadForThisOne() {
        read();
        long first = job().get("number").asLong();
        String front = copy().get("read").get("front").asString();
        atTheAdapter();
        plugged("old");
        plays(ansa, "FRONT");
        begun("READ");
        assertThat(step("old-on").get("answer").asString())
                .isEqualTo("another front is on the adapter: " + front + ": its data were read for job " + first
                        + ": the old front of that device");
    }

    @Test
    void aFileComesInAgainWholeAndIntoItsOwnJobOnly() {
        read();
        JsonNode file =
                ansa.get("/api/jobs/" + job + "/copies/" + PART + "/file").json();
        byte[] data = Base64.getDecoder().decode(file.get("data").asString());
        assertThat(data).hasSize(16_384);
        atTheAdapter();
        Answer foreign = bring(file);
        assertThat(foreign.status()).isEqualTo(400);
        assertThat(foreign.text("field")).isEqualTo("job");
        recorded("{\"type\":\"CameBack\",\"jobNumber\":" + file.get("job").asLong() + "}");
        ObjectNode cut = file.deepCopy().asObject();
        cut.put("data", Base64.getEncoder().encodeToString(Arrays.copyOf(data, 9_000)));
        assertThat(bring(cut).text("field")).isEqualTo("bytes");
        ObjectNode changed = file.deepCopy().asObject();
        data[77] ^= 1;
        changed.put("data", Base64.getEncoder().encodeToString(data));
        assertThat(bring(changed).text("field")).isEqualTo("sha256");
        ObjectNode device = file.deepCopy().asObject();
        device.put("device", "marrowby-quire-8");
        assertThat(bring(device).text("field")).isEqualTo("device");
        assertThat(copy().get("read").isNull()).as("nothing of it was kept").isTrue();
        assertThat(bring(file).status()).isEqualTo(200);
        assertThat(copy().get("read").get("sha256").asString())
                .isEqualTo(file.get("sha256").asString());
    }

    private Answer bring(JsonNode file) {
        return ansa.send(
                "PUT",
                "/api/jobs/" + job + "/copies/" + PART + "/file",
                Map.of("commandId", UUID.randomUUID(), "file", file));
    }

    /** Past whoever would act on it. */
    private void recorded(String fact) {
        long seq = job().get("seq").asLong() + 1;
        jdbc.sql("""
                        insert into journal (job_id, seq, command_id, happened_at, who, role, fact)
                        values (:job, :seq, gen_random_uuid(), now(), 'Ansa Orrick', 'TECHNICIAN', cast(:fact as jsonb))""").param("job", job).param("seq", seq).param("fact", fact).update();
        jdbc.sql("update job set seq = :seq where id = :job")
                .param("job", job)
                .param("seq", seq)
                .update();
    }

    /** Reading, taken by another node, until then, with that programmer. */
    private void taken(String until, String programmer) {
        long seq = job().get("seq").asLong() + 1;
        recorded("{\"type\":\"CopyBegun\",\"partId\":\"stylus-data\",\"doing\":\"READ\"}");
        jdbc.sql("insert into copy_run (job_id, part_id, seq, doing, begun_at, node, until, programmer_id) values"
                        + " (:job, 'stylus-data', :seq, 'READ', now(), gen_random_uuid(), " + until + ", " + programmer
                        + ")")
                .param("job", job)
                .param("seq", seq)
                .update();
    }

    @Test
    void whatWasBegunWhereTheServerDiedIsToldAsBrokenOff() {
        plugged("old");
        taken("now() - interval '1 s'", "null");
        await().atMost(SECONDS).until(() -> copy().get("doing").isNull());
        assertThat(step("read").get("answer").asString()).isEqualTo("it was broken off before it was through");
        begun("READ");
        assertThat(copy().get("read").isNull()).isFalse();
    }

    /** As a server does that dies between keeping what it read and telling so: the file is there, the journal knows nothing. */
    @Test
    void whatWasKeptButNotToldIsReadAgainAndIsTheSame() {
        plugged("old");
        jdbc.sql("""
                        create function deaf() returns trigger language plpgsql as
                        $$ begin raise exception 'the server died here'; end $$""").update();
        jdbc.sql("""
                        create trigger deaf before insert on journal for each row
                        when (new.fact ->> 'type' = 'DataRead') execute function deaf()""").update();
        try {
            tell(Map.of("type", "CopyBegun", "partId", PART, "doing", "READ"));
            await().atMost(SECONDS).until(() -> ansa.get(files()).json().size() == 1);
        } finally {
            jdbc.sql("drop trigger deaf on journal").update();
            jdbc.sql("drop function deaf()").update();
        }
        jdbc.sql("update copy_run set until = now() - interval '1 s'").update();
        await().atMost(SECONDS).until(() -> copy().get("doing").isNull());
        assertThat(step("read").get("answer").asString()).isEqualTo("it was broken off before it was through");
        assertThat(copy().get("read").isNull()).isTrue();
        JsonNode kept = ansa.get(files()).json();
        assertThat(kept.size()).isEqualTo(1);
        begun("READ");
        assertThat(copy().get("read").get("sha256")).isEqualTo(kept.get(0).get("sha256"));
        assertThat(ansa.get(files()).json().findValuesAsString("sha256"))
                .containsOnly(kept.get(0).get("sha256").asString());
    }

    /** One programmer, two tablets of one model: who comes second is told so, and gets what is on its own adapter afterwards. */
    @Test
    void twoJobsAtOneProgrammerComeOneAfterTheOther() {
        UUID second = app.jobAt("carry.old-on-" + PART);
        plugged("old");
        taken("now() + interval '60 s'", "'stand-in-programmer'");
        UUID first = job;
        job = second;
        plugged("old");
        begun("READ");
        assertThat(step("read").get("answer").asString()).endsWith("is at another job");
        assertThat(copy().get("read").isNull()).isTrue();
        jdbc.sql("update copy_run set until = now() - interval '1 s'").update();
        job = first;
        await().atMost(SECONDS).until(() -> copy().get("doing").isNull());
        job = second;
        begun("READ");
        assertThat(copy().get("read").isNull()).isFalse();
    }

    @Test
    void whatAProgrammerDidNobodyElseTells() {
        plugged("old");
        Answer made = tell(Map.of(
                "type",
                "DataRead",
                "partId",
                PART,
                "front",
                "R2-1",
                "generation",
                "x",
                "bytes",
                4,
                "sha256",
                "0a".repeat(32),
                "fileId",
                UUID.randomUUID(),
                "from",
                "me"));
        assertThat(made.status()).isEqualTo(400);
        assertThat(made.raw().body()).contains("what a programmer did it tells itself");
        assertThat(tell(Map.of("type", "CopyFailed", "partId", PART, "doing", "READ", "trouble", "DIFFERS", "said", ""))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void aProgrammerThatNobodyHasIsMissed() {
        plugged("old");
        JsonNode stand = ansa.get("/api/programmers").json().get(0);
        assertThat(ansa.call("DELETE", "/api/programmers/stand-in-programmer").status())
                .isEqualTo(204);
        begun("READ");
        assertThat(step("read").get("answer").asString())
                .isEqualTo("no programmer with this adapter answers: none is entered under tools");
        assertThat(ansa.send(
                                "PUT",
                                "/api/programmers/stand-in-programmer",
                                Map.of(
                                        "name", stand.get("name").asString(),
                                        "host", stand.get("host").asString(),
                                        "port", stand.get("port").asInt()))
                        .status())
                .isEqualTo(200);
        assertThat(ansa.post("/api/programmers/stand-in-programmer/try", Map.of())
                        .text("adapter"))
                .isEqualTo("24-way ribbon adapter, type R");
        assertThat(ansa.send("PUT", "/api/programmers/far", Map.of("name", "Far", "host", "8.8.8.8", "port", 5025))
                        .raw()
                        .body())
                .contains("a lead first names the net of this shop's instruments");
    }
}
