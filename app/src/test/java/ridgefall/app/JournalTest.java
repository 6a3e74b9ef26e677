package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
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
import ridgefall.app.job.Journal;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
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
        return app.bean(Journal.class).entries(job);
    }

    @Test
    void factsComeBackAsTheyWereRecordedWithWhoAndInOrder() {
        assertThat(ansa.append(job, 1, CRACKED).json().path("seq").asLong()).isEqualTo(2);
        ansa.append(job, 2, SOUND);
        assertThat(journal()).extracting(Entry::seq).containsExactly(1L, 2L, 3L);
        assertThat(journal().get(2).fact()).isEqualTo(new Fact.BatterySeen(Fact.Battery.SOUND));
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
    void openingTwiceWithOneCommandOpensOneJob() {
        Map<String, Object> body =
                Map.of("commandId", job, "profileId", "marrowby-quire-11", "owner", "Other", "fault", "other");
        assertThat(ansa.post("/api/jobs", body).json().path("seq").asLong()).isEqualTo(1);
        assertThat(journal()).hasSize(1);
        assertThat(((Fact.JobOpened) journal().get(0).fact()).owner()).isEqualTo("Test hut");
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
