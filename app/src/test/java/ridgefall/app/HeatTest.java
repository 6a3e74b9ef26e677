package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;

/** The bench's own sources, and what they would do to a device. */
@ExtendWith(RunningApp.class)
class HeatTest {
    private static final TypeReference<Map<String, Object>> FACT = new TypeReference<>() {};

    private final App app;
    private final Client ansa;
    private final UUID job;
    private final List<UUID> laidOn = new ArrayList<>();

    HeatTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        job = ansa.openJob();
    }

    private static Map<String, Object> mat(int maxC) {
        Map<String, Object> mat = new HashMap<>();
        mat.put("name", "Silicone mat");
        mat.put("kind", "PLATE");
        mat.put("minC", 40);
        mat.put("maxC", maxC);
        mat.put("settleS", 120);
        mat.put("air", null);
        return mat;
    }

    private JsonNode judged(String recipe) {
        Answer answer = ansa.get("/api/jobs/" + job + "/heat/judged?" + recipe);
        assertThat(answer.status()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void aShopAddsItsOwnSourceChangesItAndPutsItAway() {
        Answer added = ansa.send("PUT", "/api/heat-sources/mat-test", mat(70));
        assertThat(added.status()).isEqualTo(200);
        assertThat(added.json().get("sources").toString()).contains("Silicone mat");
        assertThat(judged("sourceId=mat-test&settingC=70&seconds=300")
                        .get("sourceName")
                        .asString())
                .isEqualTo("Silicone mat");
        ansa.send("PUT", "/api/heat-sources/mat-test", mat(60));
        assertThat(ansa.get("/api/jobs/" + job + "/heat/judged?sourceId=mat-test&settingC=70")
                        .text("allowed"))
                .isEqualTo("40 to 60 °C on Silicone mat");
        assertThat(ansa.call("DELETE", "/api/heat-sources/mat-test").status()).isEqualTo(204);
        assertThat(ansa.get("/api/heat-sources").raw().body()).doesNotContain("Silicone mat");
    }

    @Test
    void anOutletKeepsWhetherAShieldGoesWithIt() {
        Map<String, Object> outlet = mat(300);
        outlet.put("kind", "HOT_AIR");
        outlet.put("air", Map.of("outletMm", 10, "dialFrom", 1, "dialTo", 5, "usualDistanceMm", 30, "shielded", true));
        ansa.send("PUT", "/api/heat-sources/air-test", outlet);
        assertThat(judged("sourceId=air-test&settingC=200&sweep=STRETCH_BY_STRETCH&seconds=60")
                        .toString())
                .contains("shield on the glass");
        assertThat(ansa.call("DELETE", "/api/heat-sources/air-test").status()).isEqualTo(204);
    }

    @Test
    void aSourceThatCannotBeIsRefusedByField() {
        assertThat(ansa.send("PUT", "/api/heat-sources/mat-bad", mat(500)).text("field"))
                .isEqualTo("maxC");
        Map<String, Object> pencil = mat(90);
        pencil.put("kind", "HOT_AIR");
        assertThat(ansa.send("PUT", "/api/heat-sources/mat-bad", pencil).text("field"))
                .isEqualTo("air");
        assertThat(ansa.call("DELETE", "/api/heat-sources/oven").text("field")).isEqualTo("sourceId");
    }

    @Test
    void aRecipeFromElsewhereIsTakenThroughTheBenchesAndAnsweredInWords() {
        JsonNode judged = judged("sourceId=air-1&settingC=170&dial=3&distanceMm=20&sweep=ROUND&seconds=90");
        assertThat(judged.get("soakSeconds").asDouble()).isEqualTo(90);
        assertThat(judged.get("because").get(0).asString()).startsWith("the coldest bond gets to {C:");
        assertThat(judged("sourceId=air-1&settingC=200&sweep=STRETCH_BY_STRETCH&seconds=60")
                        .get("because")
                        .get(0)
                        .asString())
                .startsWith("over the ")
                .contains("the bond gets to {C:");
    }

    @Test
    void theFirstLookIsRoughAndTheFullPlanKnowsAllSources() {
        String heat = "/api/jobs/" + job + "/heat";
        JsonNode all = ansa.get(heat).json();
        assertThat(all.get("rough").asBoolean()).isFalse();
        assertThat(all.get("plans").size())
                .isEqualTo(ansa.get("/api/heat-sources").json().get("sources").size());
        // Once the full plans are at hand nobody gets less.
        assertThat(ansa.get(heat + "?first=true").json()).isEqualTo(all);
    }

    @Test
    void thereIsNoForecastWithoutASoak() {
        assertThat(ansa.get("/api/jobs/" + job + "/heat/forecast").text("allowed"))
                .isEqualTo("a job that was laid on a source");
    }

    /** What lies on sources when a test ends comes off: other tests share them. */
    @AfterEach
    void offTheirSources() {
        for (UUID id : laidOn) {
            for (JsonNode timer : ansa.get("/api/jobs/" + id).json().get("timers")) {
                if (timer.get("warmth").asString().equals("RISING")) {
                    record(id, Map.of("type", "SoakEnded", "workableSeconds", 0));
                }
            }
        }
    }

    /** It lies on a source, as the planner says. */
    private UUID soaking() {
        return soaking(app.jobAt("heat.soak"));
    }

    private UUID soaking(UUID id) {
        laidOn.add(id);
        record(id, Client.JSON.convertValue(ansa.leads(id).get("fact"), FACT));
        return id;
    }

    /** Another device on it is in the way, with when it is free; a lead may stand by both lying there. */
    @Test
    void aSourceThatAnotherDeviceLiesOnIsPlannedWithoutUntilItIsFree() {
        UUID first = soaking();
        JsonNode soak = ansa.get("/api/jobs/" + first + "/heat/forecast").json();
        String source = soak.get("sourceName").asString();
        UUID second = app.jobAt("heat.soak");
        JsonNode plan = plan(second, source);
        assertThat(plan.get("taken").get("whose").asString()).matches("job \\d+, Marrowby Quire 11");
        Map<String, Object> same = Client.JSON.convertValue(plan.get("begin").get("fact"), FACT);
        Answer refused = ansa.append(second, seq(second), same);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.raw().body()).contains("heat.taken", "lies on " + source + ": free in");
        record(first, Map.of("type", "SoakEnded", "workableSeconds", 0));
        assertThat(plan(second, source).get("taken").isNull()).isTrue();
        laidOn.add(second);
        assertThat(ansa.append(second, seq(second), same).status()).isEqualTo(200);
    }

    private JsonNode plan(UUID id, String sourceName) {
        for (JsonNode plan : ansa.get("/api/jobs/" + id + "/heat").json().get("plans")) {
            if (plan.get("sourceName").asString().equals(sourceName)) {
                return plan;
            }
        }
        throw new IllegalStateException("no plan with " + sourceName);
    }

    /**
     * Picks that go in before it is warm tell of strong hands; taken back they tell of nothing. A job that was brought in tells of
     * another shop's.
     */
    @Test
    void theHandsOfAShopAreLearnedFromThePicksTheyTry() {
        ansa.skipTo(job, "heat.soak");
        UUID id = soaking(job);
        for (int tried = 0; tried < 5; tried++) {
            assertThat(hand(id)).contains("usual hand: 0.4 N");
            record(id, Map.of("type", "PickTried", "goesIn", true));
        }
        assertThat(hand(id)).contains("learned from 5 picks tried").doesNotContain("0.4 N");
        String export = ansa.get("/api/jobs/" + id + "/export").raw().body();
        assertThat(export).containsPattern("\"type\":\"PickTried\",\"goesIn\":true,\"bondC\":2[2-9]");
        for (int tried = 0; tried < 5; tried++) {
            record(id, Map.of("type", "Undone", "seq", seq(id) - 2 * tried));
        }
        assertThat(hand(id)).contains("usual hand: 0.4 N");
    }

    private String hand(UUID id) {
        return ansa.get("/api/jobs/" + id + "/heat?first=true")
                .json()
                .get("hand")
                .asString();
    }

    private long seq(UUID id) {
        return ansa.get("/api/jobs/" + id).json().get("seq").asLong();
    }

    private void record(UUID id, Map<String, Object> fact) {
        assertThat(ansa.append(id, seq(id), fact).status()).isEqualTo(200);
    }

    /** A frame that warms like one on a plate: to 60 °C with a time constant of 160 s. */
    private static String log(double fromC, double toC) {
        StringBuilder csv = new StringBuilder("seconds,surface,celsius\n");
        for (int s = 0; s <= 300; s += 5) {
            csv.append("%d,FRAME,%.2f%n".formatted(s, toC - (toC - fromC) * Math.exp(-s / 160.0)));
        }
        return csv.toString();
    }

    @Test
    void aLogBroughtInIsKeptMovesTheForecastAndTeachesTheSource() {
        UUID id = soaking();
        String heat = "/api/jobs/" + id + "/heat";
        double before = ansa.get(heat + "/forecast").json().get("agreeing").asDouble();
        assertThat(before).isEqualTo(1);
        assertThat(ansa.text(heat + "/log", log(22, 70)).json().get("readings").asInt())
                .isEqualTo(61);
        assertThat(ansa.get(heat + "/forecast").json().get("agreeing").asDouble())
                .isLessThan(before);
        assertThat(ansa.get(heat + "/log").raw().body()).startsWith("seconds,surface,celsius\n0.0,FRAME,22.00");
        assertThat(ansa.text(heat + "/log", log(22, 70)).text("allowed")).isEqualTo("one imported log a soak");
        JsonNode fit = ansa.post(heat + "/calibration", Map.of()).json();
        assertThat(fit.get("taken").asBoolean()).as(fit.toString()).isTrue();
        String source = fit.get("sourceName").asString();
        JsonNode measured = null;
        String sourceId = null;
        for (JsonNode one : ansa.get("/api/heat-sources").json().get("sources")) {
            if (one.get("name").asString().equals(source)) {
                measured = one.get("measured");
                sourceId = one.get("id").asString();
            }
        }
        assertThat(measured.get("readings").asInt()).isEqualTo(31);
        assertThat(ansa.get(heat + "/judged?sourceId=" + sourceId + "&settingC=80")
                        .text("howSure"))
                .isEqualTo("MEASURED_HERE");
        assertThat(ansa.call("DELETE", "/api/heat-sources/" + sourceId + "/calibration")
                        .status())
                .isEqualTo(204);
        assertThat(ansa.get(heat + "/judged?sourceId=" + sourceId + "&settingC=80")
                        .text("howSure"))
                .isEqualTo("COMPUTED");
    }

    @Test
    void aLogThatTeachesNothingIsRefusedWithReasons() {
        UUID id = soaking();
        String heat = "/api/jobs/" + id + "/heat";
        assertThat(ansa.text(heat + "/log", "time;temp\n1;2\n").text("field")).isEqualTo("header");
        assertThat(ansa.text(heat + "/log", "seconds,surface,celsius\n1,FRAME,hot\n")
                        .text("field"))
                .isEqualTo("celsius in line 2");
        assertThat(ansa.text(heat + "/log", "seconds,surface,celsius\n1,TOE,22\n")
                        .text("allowed"))
                .isEqualTo("one of [FRAME, GLASS, SOURCE]");
        ansa.text(heat + "/log", log(72, 158));
        JsonNode fit = ansa.post(heat + "/calibration", Map.of()).json();
        assertThat(fit.get("taken").asBoolean()).isFalse();
        assertThat(fit.get("because").get(0).asString()).contains("or in another unit");
    }

    @Test
    void anInstrumentOutsideTheShopIsNotCalled() {
        Map<String, Object> meter = new HashMap<>();
        meter.put("name", "Far away");
        meter.put("host", "203.0.113.5");
        meter.put("port", 5025);
        meter.put("attends", "SOAK");
        meter.put("sourceId", "plate-1");
        meter.put("channels", List.of(Map.of("quantity", "TEMPERATURE", "place", "FRAME", "query", "MEAS:TEMP?")));
        assertThat(ansa.send("PUT", "/api/instruments/far", meter).text("allowed"))
                .isEqualTo("nothing yet: a lead first names the net of this shop's instruments, under tools");
        meter.put("host", "127.0.0.1");
        meter.put("port", 99_999);
        assertThat(ansa.send("PUT", "/api/instruments/far", meter).text("field"))
                .isEqualTo("port");
        meter.put("port", 5025);
        meter.put("channels", List.of(Map.of("quantity", "TEMPERATURE", "place", "FRAME", "query", "two\nlines")));
        assertThat(ansa.send("PUT", "/api/instruments/far", meter).text("field"))
                .isEqualTo("query");
    }

    /** Lifted at once nothing is warm, whatever the screen reckoned with; sent once more it is the same. */
    @Test
    void howLongTheBondStaysWorkableIsReckonedWhenItComesOff() {
        UUID id = soaking();
        long seq = ansa.get("/api/jobs/" + id).json().get("seq").asLong();
        UUID command = UUID.randomUUID();
        Map<String, Object> lifted = Map.of("type", "SoakEnded", "workableSeconds", 3000);
        assertThat(ansa.append(id, command, seq, lifted).status()).isEqualTo(200);
        JsonNode timer = ansa.get("/api/jobs/" + id).json().get("timers").get(0);
        assertThat(timer.get("warmth").asString()).isEqualTo("FALLING");
        assertThat(timer.get("seconds").asInt()).isLessThan(60);
        assertThat(ansa.append(id, command, seq, lifted).status()).isEqualTo(200);
        assertThat(ansa.get("/api/jobs/" + id).json().get("seq").asLong()).isEqualTo(seq + 1);
    }
}
