package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What the store promises: append-only, in order, once, all or nothing. */
@ExtendWith(RunningApp.class)
class JournalTest {
    private static final Map<String, Object> SOUND = Map.of("type", "BatterySeen", "battery", "SOUND");
    private static final Map<String, Object> CRACKED = Map.of("type", "FrontSeen", "condition", "CRACKED");

    private final App app;
    private Client ansa;
    private UUID job;

    JournalTest(App app) {
        this.app = app;
    }

    @BeforeEach
    void openJob() {
        ansa = app.signedIn(Role.TECHNICIAN);
        job = ansa.openJob();
    }

    private List<Entry> journal() {
        return app.bean(Jobs.class).course(job).journal();
    }

    @Test
    void factsComeBackAsTheyWereRecordedWithWhoAndInOrder() {
        assertThat(ansa.append(job, 1, CRACKED).json().path("seq").asLong()).isEqualTo(2);
        ansa.append(job, 2, SOUND);
        assertThat(journal()).extracting(Entry::seq).containsExactly(1L, 2L, 3L);
        assertThat(journal().get(2).fact()).isEqualTo(new IntakeFact.BatterySeen(IntakeFact.Battery.SOUND));
        assertThat(journal().get(2).who()).isEqualTo("Ansa Orrick");
    }

    @Test
    void aRepeatedCommandAnswersAsTheFirstDidAndRecordsNothing() {
        UUID command = UUID.randomUUID();
        Answer first = ansa.append(job, command, 1, CRACKED);
        ansa.append(job, 2, SOUND);
        Answer again = ansa.append(job, command, 1, CRACKED);
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.json()).isEqualTo(first.json());
        assertThat(journal()).hasSize(3);
    }

    @Test
    void theAnswerBringsTheJobAsItIsThenWhereItIsAskedFor() {
        assertThat(ansa.append(job, 1, CRACKED).json().get("job").isNull())
                .as("nobody asked")
                .isTrue();
        ansa.get("/api/jobs/" + job);
        JsonNode shown = tapped(2, SOUND).get("job");
        JsonNode asked = ansa.get("/api/jobs/" + job).json();
        assertThat(shown.get("seq").asLong()).isEqualTo(3);
        for (String part : List.of("steps", "nextStepId", "stations", "journal", "marks", "undo")) {
            assertThat(shown.get(part)).as(part).isEqualTo(asked.get(part));
        }
        job = app.jobAt("heat.soak");
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        Map<String, Object> bend = Map.of("type", "BendMarked", "corner", "TOP_LEFT", "gapMm", 0.73);
        assertThat(tapped(seq, bend).at("/job/marks/0").asLong())
                .as("what comes next was planned with the tap itself")
                .isEqualTo(seq + 1);
    }

    /** Nobody waits for a plan to know that a tap is in: all was made ready early, and what comes next is still at intake. */
    @Test
    void theAnswerLeavesTheJobOutWhereItsStepsAskForAPlanThatIsNotAtHand() {
        Client lead = app.signedIn(Role.LEAD);
        long seq = ansa.append(job, 1, CRACKED).json().get("seq").asLong();
        for (JsonNode step : ansa.get("/api/jobs/" + job).json().get("steps")) {
            boolean before = step.get("station").asString().equals("HEAT")
                    && step.get("open").asBoolean()
                    && !step.get("id").asString().equals("heat.soak");
            if (before) {
                JsonNode fact = step.at("/choices/0/fact");
                Map<String, Object> early = Map.of(
                        "type", "HoldOverridden", "holdId", "intake.battery", "reason", "ready early", "held", fact);
                seq = lead.append(job, seq, early).json().get("seq").asLong();
                seq = tapped(seq, fact).get("seq").asLong();
            }
        }
        Map<String, Object> bend = Map.of("type", "BendMarked", "corner", "TOP_LEFT", "gapMm", 0.91);
        assertThat(tapped(seq, bend).get("job").isNull()).isTrue();
        assertThat(ansa.get("/api/jobs/" + job).json().get("station").asString())
                .isEqualTo("INTAKE");
        assertThat(tapped(seq + 1, SOUND).at("/job/marks/0").asLong())
                .as("planned when it was asked for by itself")
                .isEqualTo(seq + 1);
    }

    private JsonNode tapped(long expectedSeq, Object fact) {
        Answer answer = ansa.post(
                "/api/jobs/" + job + "/facts?view=true",
                Map.of("commandId", UUID.randomUUID(), "expectedSeq", expectedSeq, "fact", fact));
        assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void openingTwiceWithOneCommandOpensOneJob() {
        Answer again = ansa.post("/api/jobs", opening(job, "Test hut"));
        assertThat(again.json().path("seq").asLong()).isEqualTo(1);
        assertThat(journal()).hasSize(1);
    }

    private static Map<String, Object> opening(UUID id, String owner) {
        return Map.of("commandId", id, "profileId", "marrowby-quire-11", "owner", owner, "fault", "cracked in a test");
    }

    private static void isRefusedAsUsed(Answer answer) {
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.text("title")).isEqualTo("Not recorded: this id was used before");
        assertThat(answer.text("field")).isEqualTo("commandId");
    }

    @Test
    void anIdThatStandsForOneThingIsNoReceiptForAnother() {
        UUID command = UUID.randomUUID();
        ansa.append(job, command, 1, CRACKED);
        isRefusedAsUsed(ansa.append(job, command, 2, SOUND));
        isRefusedAsUsed(ansa.append(ansa.openJob(), command, 1, CRACKED));
        UUID untested = UUID.randomUUID();
        Map<String, Object> locked = Map.of(
                "type",
                "FunctionTested",
                "functionId",
                "touch",
                "phase",
                "BEFORE",
                "answer",
                "CANNOT_TEST",
                "reason",
                "locked");
        Map<String, Object> dark = new HashMap<>(locked);
        dark.put("reason", "no picture");
        ansa.append(job, untested, 2, locked);
        assertThat(ansa.append(job, untested, 2, locked).status()).isEqualTo(200);
        isRefusedAsUsed(ansa.append(job, untested, 2, dark));
        isRefusedAsUsed(ansa.post("/api/jobs", opening(job, "Somebody else")));
        isRefusedAsUsed(ansa.post("/api/jobs", opening(command, "Test hut")));
        assertThat(journal()).hasSize(3);
    }

    @Test
    void ofOneIdSentToTwoJobsInTheSameMomentOneIsRecorded() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(2);
        UUID other = ansa.openJob();
        try {
            for (int i = 1; i <= 8; i++) {
                UUID command = UUID.randomUUID();
                List<Callable<Answer>> taps = new ArrayList<>();
                for (UUID to : List.of(job, other)) {
                    long seen = seq(to);
                    taps.add(() -> ansa.append(to, command, seen, SOUND));
                }
                List<Integer> statuses = new ArrayList<>();
                for (Future<Answer> tap : pool.invokeAll(taps)) {
                    statuses.add(tap.get().status());
                }
                assertThat(statuses).containsExactlyInAnyOrder(200, 422);
            }
        } finally {
            pool.shutdownNow();
        }
    }

    private long seq(UUID id) {
        return ansa.get("/api/jobs/" + id).json().path("seq").asLong();
    }

    @Test
    void whatANewerNodeWroteIsShownKeptAndHoldsTheRest() {
        JdbcClient jdbc = app.bean(JdbcClient.class);
        String text = "{\"type\":\"PanelGlowed\",\"lumen\":7}";
        jdbc.sql("""
                        insert into journal (job_id, seq, command_id, happened_at, who, role, fact)
                        values (:job, 2, gen_random_uuid(), now(), 'Somebody', 'LEAD', cast(:fact as jsonb))""").param("job", job).param("fact", text).update();
        jdbc.sql("update job set seq = 2 where id = :job").param("job", job).update();
        JsonNode shown = ansa.get("/api/jobs/" + job).json();
        assertThat(shown.at("/journal/0/words").asString()).isEqualTo("Recorded by a newer version: PanelGlowed");
        assertThat(shown.get("undo").isNull()).isTrue();
        Answer held = ansa.append(job, 2, CRACKED);
        assertThat(held.status()).isEqualTo(422);
        assertThat(held.text("detail")).contains("go on there");
        assertThat(ansa.get("/api/jobs/" + job + "/export").json().at("/journal/1/fact"))
                .isEqualTo(Client.JSON.readTree(text));
        assertThat(journal()).hasSize(2);
    }

    @Test
    void whatIsErasedMeanwhileIsNotReadFromWhatANodeRemembers() {
        ansa.append(job, 1, CRACKED);
        assertThat(ansa.get("/api/jobs/" + job).json().path("owner").asString()).isEqualTo("Test hut");
        app.bean(JdbcClient.class)
                .sql("delete from owner_words where job_id = :job")
                .param("job", job)
                .update();
        app.bean(JdbcClient.class)
                .sql("update job set owner_erased_at = now() where id = :job")
                .param("job", job)
                .update();
        assertThat(ansa.get("/api/jobs/" + job).json().path("owner").asString()).isEqualTo(Journal.ERASED);
        assertThat(ansa.append(job, 2, SOUND).status()).isEqualTo(200);
        assertThat(ansa.get("/api/jobs/" + job).json().path("owner").asString()).isEqualTo(Journal.ERASED);
    }

    @Test
    void whatAnotherNodeAddedIsReadOnFromWhereThisOneStood() {
        ansa.append(job, 1, CRACKED);
        JdbcClient jdbc = app.bean(JdbcClient.class);
        jdbc.sql("""
                        insert into journal (job_id, seq, command_id, happened_at, who, role, fact)
                        values (:job, 3, gen_random_uuid(), now(), 'Another node', 'LEAD',
                            '{"type":"BatterySeen","battery":"SOUND"}')""").param("job", job).update();
        jdbc.sql("update job set seq = 3 where id = :job").param("job", job).update();
        Answer behind = ansa.append(job, 2, Map.of("type", "PowerSeen", "canSwitchOff", true));
        assertThat(behind.status()).isEqualTo(409);
        assertThat(behind.text("detail")).isEqualTo("Another node: Battery sound");
        assertThat(ansa.append(job, 3, Map.of("type", "PowerSeen", "canSwitchOff", true))
                        .json()
                        .path("seq")
                        .asLong())
                .isEqualTo(4);
    }

    @Test
    void whatOneRecordedOnlyTheyOrALeadTakeBack() {
        Client tove = app.signedIn(Role.DESK);
        Client marn = app.signedIn(Role.LEAD);
        tove.append(job, 1, CRACKED);
        Map<String, Object> undo = Map.of("type", "Undone", "seq", 2);
        Answer refused = ansa.append(job, 2, undo);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.text("detail"))
                .isEqualTo("Tove Brandreth recorded this: Tove Brandreth or a lead may take it back");
        assertThat(ansa.get("/api/jobs/" + job).json().at("/undo/choice/mine").asBoolean())
                .isFalse();
        assertThat(tove.append(job, 2, undo).status()).isEqualTo(200);
        ansa.append(job, 3, CRACKED);
        assertThat(tove.append(job, 4, Map.of("type", "Undone", "seq", 4)).status())
                .isEqualTo(403);
        assertThat(marn.append(job, 4, Map.of("type", "Undone", "seq", 4)).status())
                .isEqualTo(200);
        assertThat(ansa.get("/api/jobs/" + job).json().at("/journal/0/words").asString())
                .isEqualTo("Taken back: Front glass cracked, holds together");
    }

    @Test
    void anOwnersNameInWhatASignOffIsForStandsApartTooAndCanBeErased() {
        Client marn = app.signedIn(Role.LEAD);
        job = app.jobAt("after.touch");
        ansa.append(
                job,
                seq(job),
                Map.of("type", "FunctionTested", "functionId", "touch", "phase", "AFTER", "answer", "FAIL"));
        Map<String, Object> handOver = Map.of("type", "HandedOver", "to", "Wanda of the Hut");
        Map<String, Object> signOff =
                Map.of("type", "HoldOverridden", "holdId", "after.touch", "reason", "known", "held", handOver);
        assertThat(marn.append(job, seq(job), signOff).status()).isEqualTo(200);
        assertThat(marn.get("/api/jobs/" + job).json().at("/journal/0/words").asString())
                .contains("Handed over to Wanda of the Hut");
        assertThat(app.bean(JdbcClient.class)
                        .sql("select fact::text from journal where job_id = :job")
                        .param("job", job)
                        .query(String.class)
                        .list())
                .noneMatch(fact -> fact.contains("Wanda"));
        marn.send("DELETE", "/api/jobs/" + job + "/owner", Map.of());
        assertThat(marn.get("/api/jobs/" + job).json().at("/journal/0/words").asString())
                .contains("Handed over to (erased)");
    }

    @Test
    void theDeskTakesBackNoIsolationAndATechnicianNoSignOff() {
        Client marn = app.signedIn(Role.LEAD);
        job = app.jobAt("strip.isolate");
        ansa.append(job, seq(job), Map.of("type", "BatteryIsolated", "how", "UNPLUGGED"));
        Map<String, Object> isolation = Map.of("type", "Undone", "seq", seq(job));
        assertThat(app.signedIn(Role.DESK).append(job, seq(job), isolation).status())
                .isEqualTo(403);
        ansa.skipTo(job, "test.plugged");
        ansa.append(
                job,
                seq(job),
                Map.of("type", "CheckAnswered", "checkId", "test.plugged", "answer", "FAIL", "reason", "no click"));
        Map<String, Object> signOff = Map.of(
                "type", "HoldOverridden",
                "holdId", "test.plugged",
                "reason", "seen by me",
                "held", Map.of("type", "Sealed"));
        assertThat(ansa.append(job, seq(job), signOff).status()).isEqualTo(403);
        assertThat(marn.append(job, seq(job), signOff).status()).isEqualTo(200);
        assertThat(ansa.append(job, seq(job), Map.of("type", "Undone", "seq", seq(job)))
                        .status())
                .isEqualTo(403);
        Answer twice = marn.append(job, seq(job), signOff);
        assertThat(twice.status()).isEqualTo(422);
        assertThat(twice.text("detail")).isEqualTo("Nothing is held that this would sign off");
    }

    @Test
    void theSlowerOfTwoBenchesIsToldWhatChanged() {
        ansa.append(job, 1, CRACKED);
        Answer late = app.signedIn(Role.LEAD).append(job, 1, SOUND);
        assertThat(late.status()).isEqualTo(409);
        JsonNode changes = late.json().path("changes");
        assertThat(changes).hasSize(1);
        assertThat(changes.get(0).path("who").asString()).isEqualTo("Ansa Orrick");
        assertThat(changes.get(0).path("words").asString()).isEqualTo("Front glass cracked, holds together");
        assertThat(journal()).hasSize(2);
    }

    @Test
    void ofSixteenWritersWithOneExpectationExactlyOneWins() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(16);
        try {
            List<Callable<Integer>> taps = new ArrayList<>();
            for (int i = 0; i < 16; i++) {
                taps.add(() -> ansa.append(job, 1, SOUND).status());
            }
            List<Integer> statuses = new ArrayList<>();
            for (Future<Integer> tap : pool.invokeAll(taps)) {
                statuses.add(tap.get());
            }
            assertThat(statuses).filteredOn(s -> s == 200).hasSize(1);
            assertThat(statuses).filteredOn(s -> s == 409).hasSize(15);
            assertThat(journal()).hasSize(2);
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void ofSixteenDeliveriesOfOneCommandOneIsRecordedAndAllAnswerAlike() throws Exception {
        UUID command = UUID.randomUUID();
        ExecutorService pool = Executors.newFixedThreadPool(16);
        try {
            List<Callable<JsonNode>> taps = new ArrayList<>();
            for (int i = 0; i < 16; i++) {
                taps.add(() -> ansa.append(job, command, 1, SOUND).json());
            }
            List<JsonNode> answers = new ArrayList<>();
            for (Future<JsonNode> tap : pool.invokeAll(taps)) {
                answers.add(tap.get());
            }
            assertThat(answers).allMatch(answers.get(0)::equals);
            assertThat(journal()).hasSize(2);
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void aHeldFactLeavesNoTrace() {
        Answer held = ansa.append(job, 1, Map.of("type", "Sealed"));
        assertThat(held.status()).isEqualTo(422);
        assertThat(held.json().path("holds").toString()).contains("open.touch", "seal.inner-film", "carry.stylus-data");
        assertThat(journal()).hasSize(1);
        assertThat(ansa.get("/api/jobs/" + job).json().path("seq").asLong()).isEqualTo(1);
    }

    @Test
    void rowsOfTheJournalCannotBeChangedOrDeleted() {
        JdbcClient jdbc = app.bean(JdbcClient.class);
        for (String sql : List.of(
                "update journal set who = 'x' where job_id = :job", "delete from journal where job_id = :job")) {
            assertThatThrownBy(() -> jdbc.sql(sql).param("job", job).update())
                    .hasMessageContaining("the journal is append-only");
        }
    }

    @Test
    void tapsKeepTheirOwnTimeButNeverRunAheadOrBackwards() {
        Instant opened = journal().get(0).happenedAt();
        Instant future = Instant.now().plusSeconds(3600);
        tap(future, CRACKED, 1);
        assertThat(journal().get(1).happenedAt()).isBefore(future.minusSeconds(3000));
        tap(opened.minus(Duration.ofDays(2)), SOUND, 2);
        assertThat(journal().get(2).happenedAt()).isAfterOrEqualTo(opened);
        Instant justNow = Instant.now().truncatedTo(ChronoUnit.MILLIS);
        tap(justNow, Map.of("type", "PowerSeen", "canSwitchOff", true), 3);
        assertThat(journal().get(3).happenedAt()).isEqualTo(justNow);
    }

    private void tap(Instant at, Map<String, Object> fact, long expected) {
        Answer answer = ansa.post(
                "/api/jobs/" + job + "/facts",
                Map.of(
                        "commandId",
                        UUID.randomUUID(),
                        "expectedSeq",
                        expected,
                        "tappedAt",
                        at.toString(),
                        "fact",
                        fact));
        assertThat(answer.status()).isEqualTo(200);
    }

    @Test
    void projectionsFollowEveryFactAndATimerIsOneOfThem() {
        ansa.append(job, 1, CRACKED);
        JsonNode row = null;
        for (JsonNode open : ansa.get("/api/bench").json().path("open")) {
            row = open.path("id").asString().equals(job.toString()) ? open : row;
        }
        assertThat(row).isNotNull();
        assertThat(row.path("station").asString()).isEqualTo("INTAKE");
        assertThat(row.path("nextStep").asString()).isEqualTo("Battery: flat, cool, quiet?");
    }
}
