package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** A payment board that moved, at the reader. */
@ExtendWith(RunningApp.class)
class ProofTest {
    private static final Duration ROUNDS = Duration.ofSeconds(20);

    private final Client ansa;
    private final App app;
    private UUID job;

    ProofTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
    }

    @BeforeEach
    void atTheReader() {
        job = ansa.openJob("pellow-dial-41");
        lies("(@101)");
    }

    /** Whoever skips past a payment chip elsewhere is not held by a bare pad. */
    @AfterEach
    void cardOnThePad() {
        lies("(@101)");
        await().atMost(ROUNDS)
                .until(() -> ansa.get("/api/instruments").raw().body().contains("card answers"));
    }

    /** Something lies on the first pad, nothing on the second. */
    private void lies(String pad) {
        JsonNode reader = ansa.get("/api/instruments")
                .json()
                .get("instruments")
                .valueStream()
                .filter(one -> one.get("id").asString().equals("stand-in-reader"))
                .findFirst()
                .orElseThrow();
        assertThat(ansa.send(
                                "PUT",
                                "/api/instruments/stand-in-reader",
                                Map.of(
                                        "name", reader.get("name").asString(),
                                        "host", reader.get("host").asString(),
                                        "port", reader.get("port").asInt(),
                                        "attends", "NONE",
                                        "channels",
                                                List.of(Map.of(
                                                        "quantity",
                                                        "CARD",
                                                        "place",
                                                        "pad",
                                                        "query",
                                                        "CARD:ANSW? " + pad))))
                        .status())
                .isEqualTo(200);
    }

    private JsonNode proof() {
        return ansa.get("/api/jobs/" + job + "/proof").json();
    }

    private Client.Answer prove() {
        return ansa.post("/api/jobs/" + job + "/proof", Map.of("commandId", UUID.randomUUID()));
    }

    private String answer() {
        return ansa.get("/api/jobs/" + job)
                .json()
                .get("steps")
                .valueStream()
                .filter(step -> step.get("id").asString().equals("open.pay"))
                .findFirst()
                .orElseThrow()
                .get("answer")
                .asString();
    }

    @Test
    void theReadersAnswerIsTheFunctionsAnswer() {
        job = app.jobAt("pellow-dial-41", "open.pay");
        lies("(@102)");
        await().atMost(ROUNDS).until(() -> "false".equals(proof().get("answers").asString("")));
        assertThat(proof().get("says").asString()).isEqualTo("Payment reader (stand-in): nothing answers");
        assertThat(prove().status()).isEqualTo(201);
        assertThat(answer()).isEqualTo("Payment reader (stand-in): nothing answers");
    }

    @Test
    void aHandThatSaysItWorksIsHeldWhereTheReaderSeesNothing() {
        job = app.jobAt("pellow-dial-41", "open.pay");
        lies("(@102)");
        await().atMost(ROUNDS).until(() -> "false".equals(proof().get("answers").asString("")));
        Client.Answer refused = works(null);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.raw().body()).contains("Payment reader (stand-in): nothing answers");
        assertThat(works("the till at the front desk").status()).isEqualTo(200);
        assertThat(answer()).isEqualTo("Works, the till at the front desk");
    }

    @Test
    void aHandThatSaysItWorksTakesTheReadersWordsForItAndSentTwiceCountsOnce() {
        job = app.jobAt("pellow-dial-41", "open.pay");
        await().atMost(ROUNDS).until(() -> "true".equals(proof().get("answers").asString("")));
        Map<String, Object> command = worksCommand(null);
        assertThat(ansa.post("/api/jobs/" + job + "/facts", command).status()).isEqualTo(200);
        assertThat(answer()).isEqualTo("Works, Payment reader (stand-in): card answers");
        lies("(@102)");
        assertThat(ansa.post("/api/jobs/" + job + "/facts", command).status()).isEqualTo(200);
    }

    private Client.Answer works(String where) {
        return ansa.post("/api/jobs/" + job + "/facts", worksCommand(where));
    }

    private Map<String, Object> worksCommand(String where) {
        Map<String, Object> fact =
                new HashMap<>(Map.of("type", "FunctionTested", "functionId", "pay", "phase", "OPEN", "answer", "PASS"));
        fact.put("reason", where);
        return Map.of(
                "commandId", UUID.randomUUID(),
                "expectedSeq", ansa.get("/api/jobs/" + job).json().get("seq").asLong(),
                "fact", fact);
    }

    @Test
    void aCardThatAnswersIsProof() {
        job = app.jobAt("pellow-dial-41", "open.pay");
        await().atMost(ROUNDS).until(() -> "true".equals(proof().get("answers").asString("")));
        assertThat(prove().status()).isEqualTo(201);
        assertThat(answer()).isEqualTo("Works, Payment reader (stand-in): card answers");
    }

    @Test
    void nothingIsProvenWhereNothingIsDue() {
        assertThat(proof().get("stepId").isNull()).isTrue();
        assertThat(prove().raw().body()).contains("one whose function a reader can prove");
    }
}
