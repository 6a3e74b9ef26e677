package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
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
        app.bean(JdbcClient.class)
                .sql("update person set locked_until = now() - interval '1 second' where name = 'Guessed At'")
                .update();
        assertThat(client.signIn("Guessed At", "a-right-password").status()).isEqualTo(200);
    }

    @Test
    void aWrongNameAnswersLikeAWrongPassword() {
        Answer nobody = app.client().signIn("No Body", "x");
        Answer wrong = app.client().signIn("Marn Ulscarth", "x");
        assertThat(nobody.raw().body()).isEqualTo(wrong.raw().body());
        app.client().as(Role.LEAD);
    }

    @Test
    void passwordsAreKeptOnlyAsSlowHashes() {
        List<String> hashes = app.bean(JdbcClient.class)
                .sql("select password_hash from person")
                .query(String.class)
                .list();
        assertThat(hashes).isNotEmpty().allSatisfy(hash -> assertThat(hash).startsWith("$2a$12$"));
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
        app.bean(People.class).add("Short Stay", "a-short-stay", Role.TECHNICIAN);
        Client client = app.client();
        client.signIn("Short Stay", "a-short-stay");
        assertThat(client.get("/api/bench").status()).isEqualTo(200);
        app.bean(JdbcClient.class)
                .sql("delete from spring_session where principal_name = 'Short Stay'")
                .update();
        Answer after = client.get("/api/bench");
        assertThat(after.status()).isEqualTo(401);
        assertThat(after.text("detail")).contains("Sign in again");
    }

    @Test
    void theDeskMayNotWorkTheBenchAndNothingIsRecorded() {
        Client desk = app.client().as(Role.DESK);
        UUID job = desk.openJob();
        Answer answer = desk.append(
                job, 1, Map.of("type", "SoakStarted", "sourceId", "plate-1", "settingC", 80, "seconds", 60));
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
        Map<String, String> override =
                Map.of("type", "HoldOverridden", "holdId", "separate.cold", "reason", "warm room");
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
