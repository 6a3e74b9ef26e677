package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.security.People;
import ridgefall.core.job.Role;

@ExtendWith(RunningApp.class)
class SecurityTest {
    private final App app;

    SecurityTest(App app) {
        this.app = app;
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/bench", "/api/devices", "/api/people", "/api/live", "/v3/api-docs", "/actuator/env"})
    void nothingIsShownToSomeoneNotSignedIn(String path) {
        Answer answer = app.client().get(path);
        assertThat(answer.status()).isEqualTo(401);
        assertThat(answer.text("title")).isEqualTo("Not signed in");
    }

    @Test
    void guessingIsHeldBackAfterFiveTries() {
        app.bean(People.class).add("Guessed At", "a-right-password", Role.TECHNICIAN);
        Client client = app.client();
        for (int i = 1; i <= 4; i++) {
            assertThat(client.signIn("Guessed At", "wrong-" + i).status()).isEqualTo(401);
        }
        assertThat(client.signIn("Guessed At", "wrong-5").status()).isEqualTo(429);
        Answer right = client.signIn("Guessed At", "a-right-password");
        assertThat(right.status()).isEqualTo(429);
        assertThat(right.text("detail")).contains("minutes");
        People people = app.bean(People.class);
        assertThat(people.signIn("Guessed At", "a-right-password", "192.0.2.7"))
                .as("nobody elsewhere is locked out by that")
                .isInstanceOf(People.Outcome.Welcome.class);
        assertThat(client.signIn("Guessed At", "a-right-password").status()).isEqualTo(429);
        UUID id = people.all().stream()
                .filter(one -> one.name().equals("Guessed At"))
                .findFirst()
                .orElseThrow()
                .id();
        people.setPassword(id, "another-that-does", "192.0.2.7");
        assertThat(client.signIn("Guessed At", "another-that-does").status())
                .as("a lead lets them in")
                .isEqualTo(200);
    }

    @ParameterizedTest
    @CsvSource({
        "short-7, '8 to 72 characters'",
        "aaaaaaaa, at least 5 different characters",
        "abababab12, at least 5 different characters",
        "Password1!, none of those that everybody tries first",
        "qwertyuiop, none of those that everybody tries first",
        "12345678, none of those that everybody tries first",
        "ilse-2026, without the name of whoever signs in with it"
    })
    void aPasswordThatIsGuessedFirstIsRefusedWithTheReason(String password, String allowed) {
        Answer answer = app.signedIn(Role.LEAD)
                .post("/api/people", Map.of("name", "Ilse Ferrow", "password", password, "role", "DESK"));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text("field")).isEqualTo("password");
        assertThat(answer.text("allowed")).isEqualTo(allowed);
        assertThat(answer.raw().body()).doesNotContain(password);
    }

    @Test
    void anotherPasswordEndsAllOtherSessionsAndTheirStreams() throws Exception {
        app.bean(People.class).add("Two Screens", "first-of-two-1", Role.DESK);
        Client here = app.client();
        Client there = app.client();
        here.signIn("Two Screens", "first-of-two-1");
        there.signIn("Two Screens", "first-of-two-1");
        CompletableFuture<Long> stream = there.hears("/api/live", "never said");
        Answer changed = here.send(
                "PUT", "/api/session/password", Map.of("old", "first-of-two-1", "password", "second-of-them-2"));
        assertThat(changed.status()).isEqualTo(204);
        assertThat(here.get("/api/bench").status()).isEqualTo(200);
        assertThat(there.get("/api/bench").status()).isEqualTo(401);
        assertThatThrownBy(() -> stream.get(30, TimeUnit.SECONDS)).rootCause().hasMessage("the stream ended");
    }

    private static List<Integer> atOnce(List<Callable<Integer>> calls) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(calls.size());
        try {
            List<Integer> statuses = new ArrayList<>();
            for (Future<Integer> call : pool.invokeAll(calls)) {
                statuses.add(call.get());
            }
            return statuses;
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void sixteenSignInsAtOnceHoldUpNobodyWhoWorks() throws Exception {
        app.bean(People.class).add("Many Screens", "one-for-sixteen", Role.TECHNICIAN);
        Client bench = app.signedIn(Role.TECHNICIAN);
        UUID job = bench.openJob();
        List<Callable<Integer>> calls = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            calls.add(
                    () -> app.client().signIn("Many Screens", "one-for-sixteen").status());
        }
        calls.add(() -> {
            int worst = 0;
            for (int seq = 1; seq <= 40; seq++) {
                Map<String, String> fact = Map.of("type", "BatterySeen", "battery", "SOUND");
                worst = Math.max(worst, bench.append(job, seq, fact).status());
            }
            return worst;
        });
        assertThat(atOnce(calls)).containsOnly(200);
    }

    @Test
    void guessesAtOnceAreHeldBackLikeGuessesInTurn() throws Exception {
        app.bean(People.class).add("Guessed Fast", "a-right-password", Role.TECHNICIAN);
        List<Callable<Integer>> guesses = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            guesses.add(() -> app.client().signIn("Guessed Fast", "not that").status());
        }
        List<Integer> statuses = atOnce(guesses);
        assertThat(statuses).filteredOn(s -> s == 401).hasSize(4);
        assertThat(statuses).filteredOn(s -> s == 429).hasSize(8);
        assertThat(app.client().signIn("Guessed Fast", "a-right-password").status())
                .isEqualTo(429);
    }

    @Test
    void aWrongNameAnswersLikeAWrongPassword() {
        Answer nobody = app.client().signIn("No Body", "x");
        Answer wrong = app.client().signIn("Marn Ulscarth", "x");
        assertThat(nobody.raw().body()).isEqualTo(wrong.raw().body());
        app.client().as(Role.LEAD);
    }

    @Test
    void passwordsAreKeptOnlyAsHashesThatAreSlowUnlessTheirRoundsAreSet() throws IOException {
        List<String> hashes = app.bean(JdbcClient.class)
                .sql("select password_hash from person")
                .query(String.class)
                .list();
        assertThat(hashes).isNotEmpty().allSatisfy(hash -> assertThat(hash).startsWith("$2a$04$"));
        assertThat(new ClassPathResource("application.yml").getContentAsString(StandardCharsets.UTF_8))
                .contains("hash-rounds: ${RIDGEFALL_HASH_ROUNDS:12}\n");
    }

    @Test
    void aTapWithoutTheTokenOfOurOwnScreenIsRefused() {
        Client client = app.client().as(Role.TECHNICIAN);
        UUID job = client.openJob();
        Answer answer = client.postWithoutToken(
                "/api/jobs/" + job + "/facts",
                Map.of("commandId", UUID.randomUUID(), "expectedSeq", 1, "fact", Map.of("type", "Sealed")));
        assertThat(answer.status()).isEqualTo(403);
        assertThat(answer.text("field")).isEqualTo("X-XSRF-TOKEN");
    }

    @Test
    void sessionsLiveInTheDatabaseAndAnEndedOneSaysSo() {
        app.bean(People.class).add("Short Stay", "brook-and-fell", Role.TECHNICIAN);
        Client client = app.client();
        client.signIn("Short Stay", "brook-and-fell");
        assertThat(client.get("/api/bench").status()).isEqualTo(200);
        app.bean(JdbcClient.class)
                .sql("delete from spring_session where principal_name = 'Short Stay'")
                .update();
        Answer after = client.get("/api/bench");
        assertThat(after.status()).isEqualTo(401);
        assertThat(after.text("detail")).contains("Sign in again");
    }

    @Test
    void aSessionIsTouchedAtMostOnceAMinuteAndLivesOn() {
        app.bean(People.class).add("Looks Often", "brook-and-fell", Role.DESK);
        Client client = app.client();
        client.signIn("Looks Often", "brook-and-fell");
        client.get("/api/bench");
        long first = lastLook();
        client.get("/api/bench");
        assertThat(lastLook()).isEqualTo(first);
        app.bean(JdbcClient.class)
                .sql("update spring_session set last_access_time = last_access_time - 61000"
                        + " where principal_name = 'Looks Often'")
                .update();
        assertThat(client.get("/api/bench").status()).isEqualTo(200);
        assertThat(lastLook()).isGreaterThanOrEqualTo(first);
    }

    private long lastLook() {
        return app.bean(JdbcClient.class)
                .sql("select last_access_time from spring_session where principal_name = 'Looks Often'")
                .query(Long.class)
                .single();
    }

    @Test
    void theDeskMayNotWorkTheBenchAndNothingIsRecorded() {
        Client desk = app.client().as(Role.DESK);
        UUID job = desk.openJob();
        Answer answer = desk.append(
                job,
                1,
                Map.of("type", "SoakStarted", "sourceId", "plate-1", "settingC", 80, "seconds", 60, "sweep", "FACE"));
        assertThat(answer.status()).isEqualTo(403);
        assertThat(answer.text("value")).isEqualTo("front desk");
        assertThat(desk.get("/api/jobs/" + job).json().path("seq").asLong()).isEqualTo(1);
        assertThat(desk.append(job, 1, Map.of("type", "FrontSeen", "condition", "CRACKED"))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void onlyALeadSignsOffHoldPointsAndAddsPeople() {
        Map<String, String> person =
                Map.of("name", "Ned " + UUID.randomUUID(), "password", "long-enough-1", "role", "DESK");
        assertThat(app.client().as(Role.TECHNICIAN).post("/api/people", person).status())
                .isEqualTo(403);
        Client lead = app.client().as(Role.LEAD);
        assertThat(lead.post("/api/people", person).status()).isEqualTo(201);
        assertThat(lead.post("/api/people", person).text("field")).isEqualTo("name");
        Client technician = app.client().as(Role.TECHNICIAN);
        UUID job = technician.openJob();
        Map<String, Object> override = Map.of(
                "type", "HoldOverridden",
                "holdId", "separate.cold",
                "reason", "warm room",
                "held", Map.of("type", "StretchFreed", "stretchId", "top-1"));
        assertThat(technician.append(job, 1, override).status()).isEqualTo(403);
        assertThat(lead.append(job, 1, override).status()).isEqualTo(200);
    }

    @Test
    void everyPageCarriesTheUsualHeaders() {
        var headers = app.client().get("/").raw().headers();
        assertThat(headers.firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'none'", "script-src 'self';", "frame-ancestors 'none'")
                .doesNotContain("unsafe-eval");
        assertThat(headers.firstValue("X-Content-Type-Options")).contains("nosniff");
        assertThat(headers.firstValue("Referrer-Policy")).contains("no-referrer");
        assertThat(headers.firstValue("X-Frame-Options")).contains("DENY");
    }

    @Test
    void unitsArePersonal() {
        Client lead = app.client().as(Role.LEAD);
        assertThat(lead.send("PUT", "/api/session/units", Map.of("temperature", "K", "length", "mm"))
                        .text("allowed"))
                .isEqualTo("C or F");
        lead.send("PUT", "/api/session/units", Map.of("temperature", "F", "length", "in"));
        assertThat(app.client()
                        .as(Role.LEAD)
                        .get("/api/session")
                        .json()
                        .at("/me/units/temperature")
                        .asString())
                .isEqualTo("F");
        assertThat(app.client()
                        .as(Role.DESK)
                        .get("/api/session")
                        .json()
                        .at("/me/units/temperature")
                        .asString())
                .isEqualTo("C");
        lead.send("PUT", "/api/session/units", Map.of("temperature", "C", "length", "mm"));
    }

    @Test
    void signingOutEndsTheSession() {
        Client client = app.client().as(Role.TECHNICIAN);
        assertThat(client.send("DELETE", "/api/session", Map.of()).status()).isEqualTo(204);
        assertThat(client.get("/api/bench").status()).isEqualTo(401);
    }
}
