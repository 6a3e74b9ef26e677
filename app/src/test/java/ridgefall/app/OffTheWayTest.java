package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What the store keeps and the screens are told where a job leaves the straight way. */
@ExtendWith(RunningApp.class)
class OffTheWayTest {
    private final App app;
    private static final String HEADER =
            "part_number,supplier,device,variant,kind,grade,brings,price,currency,pieces,lot\n";

    private final Client ansa;
    private final Client desk;
    private final Client lead;

    OffTheWayTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        desk = app.signedIn(Role.DESK);
        lead = app.signedIn(Role.LEAD);
    }

    private JsonNode view(Client who, UUID job) {
        return who.get("/api/jobs/" + job).json();
    }

    private long seq(UUID job) {
        return view(ansa, job).get("seq").asLong();
    }

    private void append(Client who, UUID job, Map<String, Object> fact) {
        assertThat(who.append(job, seq(job), fact).status()).as("%s", fact).isEqualTo(200);
    }

    private JsonNode onTheBench(UUID job) {
        return ansa.get("/api/bench")
                .json()
                .get("open")
                .valueStream()
                .filter(one -> one.get("id").asString().equals(job.toString()))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode row(String number) {
        return ansa.get("/api/stock?query=" + number).json().get(0);
    }

    private static Map<String, Object> swap(String stockId) {
        Map<String, Object> swap = new HashMap<>(
                Map.of("type", "PartSwapped", "kind", "FUSED_FRONT", "why", "DEAD_ON_ARRIVAL", "pluggedIn", false));
        swap.put("stockId", stockId);
        swap.put("words", "stripes");
        return swap;
    }

    @Test
    void aPartThatIsNoGoodLeavesTheShelfForTheReturnsAndNeverComesBack() {
        lead.text(
                "/api/stock/import",
                HEADER + "OW-1,Test Supply,marrowby-quire-11,,fused_front,premium_copy,,61.00,EUR,3,T1\n");
        UUID job = ansa.openJob();
        String stockId = row("OW-1").get("id").asString();
        ansa.post("/api/jobs/" + job + "/parts", Map.of("commandId", UUID.randomUUID(), "stockId", stockId));
        assertThat(row("OW-1").get("free").asInt()).isEqualTo(2);
        append(ansa, job, swap(stockId));
        assertThat(row("OW-1").get("pieces").asInt()).isEqualTo(2);
        assertThat(row("OW-1").get("free").asInt()).isEqualTo(2);
        assertThat(ansa.get("/api/returns").json().valueStream())
                .filteredOn(one -> one.get("jobId").asString().equals(job.toString()))
                .singleElement()
                .satisfies(one -> {
                    assertThat(one.get("part").asString()).isEqualTo("OW-1 of Test Supply");
                    assertThat(one.get("why").asString()).isEqualTo("dead on arrival");
                    assertThat(one.get("words").asString()).isEqualTo("stripes");
                });
        assertThat(ansa.append(job, seq(job), swap(stockId)).text("field")).isEqualTo("stockId");
    }

    @Test
    void aPartOfAnotherDeviceIsNotTaken() {
        lead.text(
                "/api/stock/import",
                HEADER + "OW-2,Test Supply,pellow-dial-41,,fused_front,premium_copy,,61.00,EUR,3,T1\n");
        UUID job = ansa.openJob();
        assertThat(ansa.post(
                                "/api/jobs/" + job + "/parts",
                                Map.of(
                                        "commandId",
                                        UUID.randomUUID(),
                                        "stockId",
                                        row("OW-2").get("id").asString()))
                        .text("allowed"))
                .isEqualTo("a part for the Marrowby Quire 11");
    }

    @Test
    void whatIsOrderedWaitsForItsPartUntilTheDeskSaysItHasCome() {
        UUID job = app.jobAt("parts.here");
        append(
                desk,
                job,
                Map.of("type", "PartOrdered", "stepId", "parts.here", "supplier", "Fellside", "due", "2026-03-09"));
        assertThat(onTheBench(job).get("waitsFor").asString()).isEqualTo("PART");
        assertThat(onTheBench(job).get("partDue").asString()).isEqualTo("2026-03-09");
        append(desk, job, Map.of("type", "PartArrived", "stepId", "parts.here"));
        assertThat(onTheBench(job).get("waitsFor").asString()).isEqualTo("HANDS");
        assertThat(onTheBench(job).get("partDue").isNull()).isTrue();
        assertThat(ansa.append(
                                job,
                                seq(job),
                                Map.of("type", "PartOrdered", "stepId", "parts.tape", "supplier", "F", "due", "soon"))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void aStoppedJobWaitsForALeadWhoAloneLetsItGoOn() {
        UUID job = ansa.openJob();
        append(desk, job, Map.of("type", "CellBad", "sign", "HISSING"));
        assertThat(onTheBench(job).get("waitsFor").asString()).isEqualTo("LEAD");
        Map<String, Object> letGo = Map.of("type", "LetGoOn", "reason", "another cell is in");
        assertThat(ansa.append(job, seq(job), letGo).status()).isEqualTo(403);
        append(lead, job, letGo);
        assertThat(onTheBench(job).get("waitsFor").asString()).isEqualTo("HANDS");
    }

    @Test
    void aSlipIsToldWhereItWasWithWhatLiesThereAndStandsApartOnTheRecord() {
        UUID job = ansa.openJob();
        append(
                ansa,
                job,
                Map.of("type", "MishapSeen", "mishap", "SLIP", "positionMm", 262, "stepId", "separate.top-1"));
        JsonNode slip = view(ansa, job).at("/mishaps/0");
        assertThat(slip.get("latest").asBoolean()).isTrue();
        assertThat(slip.at("/beneath/0").asString()).startsWith("fingerprint key cable");
        append(ansa, job, Map.of("type", "MishapTold", "seq", slip.get("seq").asLong(), "words", "the pick jumped"));
        append(ansa, job, Map.of("type", "NoteLeft", "words", "mind the key", "forNext", true));
        assertThat(view(ansa, job).at("/mishaps/0/latest").asBoolean()).isFalse();
        JsonNode record = ansa.get("/api/jobs/" + job + "/record").json();
        assertThat(record.at("/wentWrong/0/told").asString()).isEqualTo("the pick jumped");
        assertThat(record.at("/wentWrong/0/outcome").asString()).isEqualTo("not looked at since");
        assertThat(record.at("/wentWrong/0/forOwner").asBoolean()).isTrue();
        assertThat(record.get("found").isEmpty()).isTrue();
        assertThat(record.at("/notes/0/words").asString()).isEqualTo("mind the key");
    }

    @Test
    void whoeverTakesItUpSeesHowItLiesThereAndWhoeverLeftItDoesNot() {
        UUID job = app.jobAt("strip.proven");
        append(ansa, job, Map.of("type", "NoteLeft", "words", "mind the key", "forNext", true));
        assertThat(view(ansa, job).get("resume").isNull()).isTrue();
        JsonNode resume = view(lead, job).get("resume");
        assertThat(resume.get("lines").valueStream().map(JsonNode::asString))
                .contains("Front open", "Battery out of circuit, not proven");
        assertThat(resume.at("/notes/0/words").asString()).isEqualTo("mind the key");
    }

    @Test
    void aJobIsFoundByWhateverIsKnownOfItAndByItsTag() {
        UUID job = ansa.openJob();
        long number = view(ansa, job).get("number").asLong();
        for (String query : List.of(Long.toString(number), "test hut quire", job.toString())) {
            assertThat(ansa.get("/api/jobs?query=" + query.replace(" ", "%20"))
                            .json()
                            .valueStream()
                            .map(one -> one.get("number").asLong()))
                    .as(query)
                    .contains(number);
        }
        assertThat(ansa.get("/api/jobs?handedOver=true&query=" + job).json().isEmpty())
                .isTrue();
    }

    @Test
    void whatIsPromisedStandsOnTheBench() {
        UUID job = ansa.openJob();
        append(desk, job, Map.of("type", "Promised", "on", "2026-03-05"));
        assertThat(onTheBench(job).get("promisedOn").asString()).isEqualTo("2026-03-05");
    }
}
