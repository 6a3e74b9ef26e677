package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.http.HttpRequest.BodyPublishers;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Role;

/** Whatever is sent, the answer names field, value and allowed range, and nothing changes. */
@ExtendWith(RunningApp.class)
class BadInputTest {
    private final App app;
    private Client ansa;
    private UUID job;

    BadInputTest(App app) {
        this.app = app;
    }

    @BeforeEach
    void openJob() {
        ansa = app.signedIn(Role.TECHNICIAN);
        job = ansa.openJob();
    }

    @AfterEach
    void nothingHasChanged() {
        assertThat(ansa.get("/api/jobs/" + job).json().path("seq").asLong()).isEqualTo(1);
    }

    static Stream<String> types() {
        return Course.facts().map(Class::getSimpleName);
    }

    /** Checked before anybody asks a fact whose it is or where it belongs. */
    @ParameterizedTest
    @MethodSource("types")
    void aFactWithoutAnyOfItsValuesIsRefusedWhateverItIs(String type) {
        assertThat(ansa.append(job, 1, Map.of("type", type)).status()).isBetween(400, 422);
        Map<String, Object> signOff = Map.of(
                "type", "HoldOverridden", "holdId", "heat.limit", "reason", "tried", "held", Map.of("type", type));
        assertThat(app.signedIn(Role.LEAD).append(job, 1, signOff).status()).isBetween(400, 422);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'type':'CheckAnswered','checkId':null,'answer':'PASS','reason':null}",
                "{'type':'FunctionTested','functionId':'touch','phase':null,'answer':'PASS','reason':null}",
                "{'type':'CrackDrawn','line':[null,null]}",
                "{'type':'ScrewsCounted','direction':null,'screws':3}",
                "{'type':'ScrewsMoved','holeIds':[null],'where':'OUT'}",
                "{'type':'ScrewsMoved','holeIds':['cover-5'],'where':null}",
                "{'type':'ScrewTold','holeId':'cover-5','where':'BACK','words':null}",
                "{'type':'CopyBegun','partId':'stylus-data','doing':null}"
            })
    void aNullWhereAValueBelongsIsABadValue(String fact) {
        assertThat(ansa.append(job, 1, Client.JSON.readTree(fact.replace('\'', '"')))
                        .status())
                .isEqualTo(400);
    }

    static Stream<Arguments> badFacts() {
        return Stream.of(
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':'hot','seconds':60,'sweep':'FACE'}",
                        "settingC",
                        "hot",
                        "a number"),
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':'80','seconds':60,'sweep':'FACE'}",
                        "settingC",
                        "80",
                        "a number"),
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':-5,'seconds':60,'sweep':'FACE'}",
                        "settingC",
                        "-5",
                        "30 to 600 °C"),
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':NaN,'seconds':60,'sweep':'FACE'}",
                        "settingC",
                        "NaN",
                        "30 to 600 °C"),
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':80,'seconds':90.25,'sweep':'FACE'}",
                        "seconds",
                        "90",
                        "a whole number"),
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':80,'sweep':'FACE'}",
                        "seconds",
                        "missing",
                        "a whole number"),
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'oven','settingC':80,'seconds':60,'sweep':'FACE'}",
                        "sourceId",
                        "oven",
                        "one of plate-1, plate-2, pad-1"),
                Arguments.of(
                        "{'type':'WedgeSet','positionMm':1e9}",
                        "positionMm",
                        "1000000000",
                        "0 to 4000 mm along the edge"),
                Arguments.of("{'type':'WedgeSet','positionMm':3000}", "positionMm", "3000", "mm along the edge"),
                Arguments.of(
                        "{'type':'WedgeSet','positionMm':3,'color':'red'}",
                        "color",
                        "not known here",
                        "the fields positionMm"),
                Arguments.of(
                        "{'type':'BatterySeen','battery':'FLAT'}", "battery", "FLAT", "one of SOUND, SWOLLEN, TIRED"),
                Arguments.of("{'type':'BatterySeen','battery':1}", "battery", "1", "one of SOUND, SWOLLEN, TIRED"),
                Arguments.of("{'type':'Levitated'}", "type", "Levitated", "the name of a fact"),
                Arguments.of(
                        "{'type':'FunctionTested','functionId':'smell','phase':'BEFORE','answer':'PASS'}",
                        "functionId",
                        "smell",
                        "one of picture, touch"),
                Arguments.of(
                        "{'type':'FunctionTested','functionId':'touch','phase':'BEFORE','answer':'CANNOT_TEST'}",
                        "reason",
                        "null",
                        "not blank"),
                Arguments.of(
                        "{'type':'RepairAgreed','repairId':'fused-original','price':1.999,'currency':'EUR','agreedBy':'x'}",
                        "price",
                        "1.999",
                        "at most two decimals"),
                Arguments.of(
                        "{'type':'JobOpened','profileId':'p','profileVersion':1,'owner':'o','fault':'f'}",
                        "type",
                        "JobOpened",
                        "a job that is open already"));
    }

    @ParameterizedTest
    @MethodSource("badFacts")
    void aBadFactIsToldByFieldValueAndRange(String fact, String field, String value, String allowed) {
        String body = "{\"commandId\":\"" + UUID.randomUUID() + "\",\"expectedSeq\":1,\"fact\":"
                + fact.replace('\'', '"') + "}";
        Answer answer = ansa.post("/api/jobs/" + job + "/facts", body);
        assertThat(answer.status()).as(answer.raw().body()).isEqualTo(400);
        assertThat(answer.raw().headers().firstValue("Content-Type")).contains("application/problem+json");
        assertThat(answer.text("field")).isEqualTo(field);
        assertThat(answer.text("value")).contains(value);
        assertThat(answer.text("allowed")).contains(allowed);
        assertThat(answer.text("detail")).isNotBlank();
    }

    @Test
    void aBodyOfTenMegabytesIsRefusedWithOrWithoutASaidLength() {
        byte[] large = ("{\"commandId\":\"" + "x".repeat(10_000_000) + "\"}").getBytes();
        Answer said = ansa.post("/api/jobs/" + job + "/facts", BodyPublishers.ofByteArray(large));
        assertThat(said.status()).isEqualTo(413);
        assertThat(said.text("allowed")).isEqualTo("at most 65536 bytes");
        Answer unsaid = ansa.post(
                "/api/jobs/" + job + "/facts",
                BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(large, 0, 200_000)));
        assertThat(unsaid.status()).isEqualTo(413);
        assertThat(unsaid.text("field")).isEqualTo("body");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "not json at all | body | a JSON object",
                "{\"commandId\":\"zz\",\"expectedSeq\":1} | commandId | hexadecimal",
                "{\"expectedSeq\":1,\"fact\":{\"type\":\"Sealed\"}} | commandId | a value",
                "{\"commandId\":\"6a3f2f86-6a0b-4d2c-9a5c-0a4b6a3f2f86\",\"expectedSeq\":\"one\"} | expectedSeq | a whole number",
                "[] | body | fields of NewFact"
            })
    void aBadEnvelopeToo(String body, String field, String allowed) {
        Answer answer = ansa.post("/api/jobs/" + job + "/facts", body);
        assertThat(answer.status()).as(answer.raw().body()).isEqualTo(400);
        assertThat(answer.text("field")).isEqualTo(field);
        assertThat(answer.text("allowed")).contains(allowed);
    }

    @Test
    void aForeignOrImpossibleJobIdIsNotFoundByName() {
        Answer foreign = ansa.append(UUID.randomUUID(), 1, Map.of("type", "Sealed"));
        assertThat(foreign.status()).isEqualTo(404);
        assertThat(foreign.text("field")).isEqualTo("jobId");
        Answer impossible = ansa.get("/api/jobs/42");
        assertThat(impossible.status()).isEqualTo(400);
        assertThat(impossible.text("value")).isEqualTo("42");
        assertThat(ansa.get("/api/jobs/" + UUID.randomUUID() + "/heat").status())
                .isEqualTo(404);
    }

    @Test
    void aViewThatCannotBeIsRefused() {
        Answer answer = ansa.get("/api/jobs/" + job + "/edge?quarterTurns=7");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text("allowed")).isEqualTo("0 to 3 quarter turns");
        assertThat(ansa.get("/api/jobs/" + job + "/heat/judged?sourceId=plate-1&settingC=-5")
                        .text("allowed"))
                .isEqualTo("50 to 90 °C on Plate 1");
    }
}
