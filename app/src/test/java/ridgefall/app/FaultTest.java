package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Why something fails, by a table that a lead changes and that closed cases move. */
@ExtendWith(RunningApp.class)
class FaultTest {
    private final App app;
    private final Client ansa;
    private final Client lead;

    FaultTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        lead = app.signedIn(Role.LEAD);
    }

    @AfterEach
    void asShipped() {
        lead.send("DELETE", "/api/faults", null);
    }

    private void tell(UUID job, Map<String, ?> fact) {
        Answer told =
                ansa.append(job, ansa.get("/api/jobs/" + job).json().get("seq").asLong(), fact);
        assertThat(told.status()).as(told.raw().body()).isEqualTo(200);
    }

    private void charges(UUID job, String answer) {
        tell(job, Map.of("type", "FunctionTested", "functionId", "charge", "phase", "OPEN", "answer", answer));
    }

    private UUID weakCharge() {
        UUID job = app.jobAt("open.charge");
        charges(job, "FAIL");
        return job;
    }

    private JsonNode first(UUID job) {
        return ansa.get("/api/jobs/" + job + "/faults").json().get(0);
    }

    private static JsonNode complaint(JsonNode table, String id) {
        return table.get("complaints")
                .valueStream()
                .filter(one -> one.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anOpenCaseSaysWhatItMayBeWhyAndWhatLeadsToTheCureSoonest() {
        JsonNode open = first(weakCharge());
        assertThat(open.get("stepIds").get(0).asString()).isEqualTo("open.charge");
        double sum = open.get("causes")
                .valueStream()
                .mapToDouble(cause -> cause.get("share").asDouble())
                .sum();
        assertThat(sum).isCloseTo(1, within(1e-9));
        assertThat(open.get("because").toString()).contains("it worked at intake", "its plug came off in this job");
        double[] minutes = open.get("checks")
                .valueStream()
                .mapToDouble(check -> check.get("toTheCure").asDouble())
                .toArray();
        assertThat(minutes).isSorted().hasSizeGreaterThan(4);
    }

    @Test
    void aCaseThatWasClosedCountsForTheNextOne() {
        UUID job = weakCharge();
        double before = cases("plug");
        tell(job, Map.of("type", "FaultChecked", "functionId", "charge", "faultCheckId", "reseat", "finding", "DONE"));
        charges(job, "PASS");
        assertThat(cases("plug") - before).as("reseating cured it").isBetween(0.8, 1.0);
        assertThat(ansa.get("/api/jobs/" + job + "/faults").json().isEmpty()).isTrue();
        tell(
                job,
                Map.of(
                        "type",
                        "Undone",
                        "seq",
                        ansa.get("/api/jobs/" + job).json().get("seq").asLong()));
        assertThat(cases("plug")).as("taken back, it never was").isCloseTo(before, within(1e-9));
    }

    private double cases(String cause) {
        return ansa.get("/api/faults").json().at("/cases/charge/" + cause).asDouble(0);
    }

    @Test
    void aLeadSetsTheNumbersAndTheBenchGoesByThem() {
        ObjectNode table = (ObjectNode) lead.get("/api/faults").json().get("table");
        JsonNode board = complaint(table, "charge")
                .get("causes")
                .valueStream()
                .filter(cause -> cause.get("id").asString().equals("board"))
                .findFirst()
                .orElseThrow();
        ((ObjectNode) board).put("weight", 900);
        assertThat(ansa.send("PUT", "/api/faults", table).status()).isEqualTo(403);
        Answer changed = lead.send("PUT", "/api/faults", table);
        assertThat(changed.status()).as(changed.raw().body()).isEqualTo(200);
        assertThat(changed.text("changedBy")).isEqualTo("Marn Ulscarth");
        assertThat(first(weakCharge()).at("/causes/0/words").asString()).isEqualTo("the board");
        assertThat(lead.send("DELETE", "/api/faults", null).status()).isEqualTo(204);
        assertThat(first(weakCharge()).at("/causes/0/words").asString()).isNotEqualTo("the board");
    }

    @Test
    void anImpossibleNumberIsRefusedByNameAndNothingIsChanged() {
        ObjectNode table = (ObjectNode) lead.get("/api/faults").json().get("table");
        ((ObjectNode) complaint(table, "touch").at("/checks/0/badIf")).put("plug", 1.5);
        Answer refused = lead.send("PUT", "/api/faults", table);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.raw().body()).contains("badIf").contains("0.01");
        assertThat(lead.get("/api/faults").json().get("changedBy").isNull()).isTrue();
    }

    @Test
    void whatIsAtStakeWereItSealedNowFallsWithEveryTest() {
        UUID job = app.jobAt("open.charge");
        JsonNode before = ansa.get("/api/jobs/" + job + "/test-plan").json();
        JsonNode last = before.get("tests").get(before.get("tests").size() - 1);
        assertThat(last.get("stepId").asString()).isEqualTo("open.charge");
        assertThat(before.get("atStakeMinutes").asDouble())
                .isEqualTo(last.get("lateMinutes").asDouble())
                .isPositive();
        charges(job, "PASS");
        JsonNode after = ansa.get("/api/jobs/" + job + "/test-plan").json();
        assertThat(after.get("atStakeMinutes").asDouble()).isZero();
        assertThat(after.get("onlyClosed").toString()).contains("Front camera");
    }
}
