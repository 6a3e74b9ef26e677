package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiPredicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** The device's own browser tells of its touch, by a link and by nothing else. */
@ExtendWith(RunningApp.class)
class TouchTest {
    private static final double WIDTH = 1194;
    private static final double HEIGHT = 834;

    private final App app;
    private final Client ansa;
    /** Nobody: the device has no session. */
    private final Client device;

    TouchTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        device = app.client();
    }

    private UUID atTheTouch() {
        UUID job = app.jobAt("open.touch");
        return job;
    }

    private String link(UUID job) {
        Answer made = ansa.send("POST", "/api/jobs/" + job + "/touch", null);
        assertThat(made.status()).isEqualTo(201);
        return made.json().get("address").asString().split("#")[1];
    }

    private JsonNode seen(UUID job) {
        return ansa.get("/api/jobs/" + job + "/touch").json();
    }

    private void takesWhatLeads(UUID job, String label) {
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo(label);
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        Answer taken = ansa.append(job, seq, ansa.leads(job).get("fact"));
        assertThat(taken.status()).as(taken.raw().body()).isEqualTo(200);
    }

    /** All there is of a task. */
    private Answer tells(String token, String task, int seq, List<List<Double>> samples) {
        return tells(token, task, seq, samples, true);
    }

    private Answer tells(String token, String task, int seq, List<List<Double>> samples, boolean last) {
        return device.send(
                "PUT",
                "/api/touch/" + token + "/" + task + "/" + seq,
                Map.of("widthPx", WIDTH, "heightPx", HEIGHT, "samples", samples, "last", last));
    }

    /** A finger up and down every 20 px, but where nothing answers. */
    private static List<List<Double>> sweep(BiPredicate<Double, Double> dead) {
        List<List<Double>> samples = new ArrayList<>();
        double ms = 0;
        int contact = 0;
        for (double x = 10; x < WIDTH; x += 20) {
            contact++;
            for (double y = 2; y < HEIGHT; y += 10) {
                ms += 8;
                if (dead.test(x, y)) {
                    contact++;
                } else {
                    samples.add(List.of(ms, x, y, (double) contact));
                }
            }
            ms += 200;
        }
        return samples;
    }

    private static List<List<Double>> lines(double pxPerMs) {
        List<List<Double>> samples = new ArrayList<>();
        for (int line = 0; line < 2; line++) {
            for (double s = 0; s <= 1; s += pxPerMs * 8 / Math.hypot(WIDTH, HEIGHT)) {
                double x = line == 0 ? 20 + s * (WIDTH - 40) : WIDTH - 20 - s * (WIDTH - 40);
                samples.add(List.of(
                        line * 100_000 + s * Math.hypot(WIDTH, HEIGHT) / pxPerMs,
                        x,
                        20 + s * (HEIGHT - 40),
                        1.0 + line));
            }
        }
        return samples;
    }

    private void tellsAllOf(String token, String task, List<List<Double>> samples) {
        for (int from = 0, seq = 0; from == 0 || from < samples.size(); from += 1000, seq++) {
            int to = Math.min(samples.size(), from + 1000);
            Answer told = tells(token, task, seq, samples.subList(from, to), to == samples.size());
            assertThat(told.status()).as(told.raw().body()).isEqualTo(204);
        }
    }

    private Answer looks(String token, String look, Object told) {
        return device.send("PUT", "/api/touch/" + token + "/looks/" + look, told);
    }

    @Test
    void whatTheDevicesOwnPageSawLeadsAndStandsAgainstAHand() {
        UUID job = app.jobAt("open.picture");
        String token = link(job);
        assertThat(device.get("/api/touch/" + token + "/1194/834").json().get("looks"))
                .hasSize(5);
        assertThat(looks(
                                token,
                                "picture",
                                Map.of("fields", 7, "spots", List.of(Map.of("x", 0.1, "y", 0.9, "field", "white"))))
                        .status())
                .isEqualTo(204);
        JsonNode leads = ansa.leads(job);
        assertThat(leads.get("label").asString()).isEqualTo("Fails, by the device");
        assertThat(leads.at("/fact/reason").asString()).startsWith("seen on white, {mm:");
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        Answer byHand = ansa.append(
                job, seq, Map.of("type", "FunctionTested", "functionId", "picture", "phase", "OPEN", "answer", "PASS"));
        assertThat(byHand.status()).isEqualTo(422);
        assertThat(byHand.raw().body()).contains("The device's own page says otherwise");
        assertThat(looks(token, "picture", Map.of("fields", 7, "spots", List.of()))
                        .status())
                .as("looked at anew")
                .isEqualTo(204);
        takesWhatLeads(job, "Works, by the device");
        assertThat(device.get("/api/touch/" + token + "/1194/834").json().get("looked"))
                .hasSize(1);
        // Told of the front that lies open: of the closed one it says nothing.
        assertThat(looks(token, "sound", Map.of("quietDb", -70, "toneDb", -30)).status())
                .isEqualTo(204);
        ansa.skipTo(job, "after.sound");
        assertThat(ansa.leads(job).get("label").asString()).isNotEqualTo("Works, by the device");
    }

    @Test
    void linesDrawnWithTheStylusSpeakForIt() {
        UUID job = app.jobAt("open.stylus");
        String token = link(job);
        tellsAllOf(token, "PEN_SLOW", lines(0.2));
        assertThat(ansa.leads(job).get("label").asString()).as("half of it").isEqualTo("Works");
        tellsAllOf(token, "PEN_FAST", lines(0.4));
        assertThat(seen(job).at("/looks/0/words").asString()).isEqualTo("its own lines are straight, slow and fast");
        takesWhatLeads(job, "Works, by the device");
        UUID watch = ansa.openJob("pellow-dial-41");
        assertThat(seen(watch)
                        .get("tasks")
                        .valueStream()
                        .map(task -> task.get("task").asString()))
                .doesNotContain("PEN_SLOW");
    }

    @Test
    void aSensorThatFollowsUprightLeadsAndOneThatIsStuckFails() {
        UUID job = app.jobAt("brackenholt-tarn-10", "after.motion");
        String token = link(job);
        assertThat(looks(token, "motion", Map.of("tiltedDeg", 0.1)).status()).isEqualTo(204);
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo("Fails, by the device");
        assertThat(looks(token, "motion", Map.of("tiltedDeg", 89)).status()).isEqualTo(204);
        takesWhatLeads(job, "Works, by the device");
        assertThat(ansa.get("/api/jobs/" + job).raw().body()).contains("its own sensor: tilted by 89°");
    }

    @Test
    void whatADeviceDoesNotHaveOrCanNotBeIsRefused() {
        String token = link(atTheTouch());
        assertThat(looks(token, "picture", Map.of("fields", 8, "spots", List.of()))
                        .text("field"))
                .isEqualTo("fields");
        assertThat(looks(token, "sound", Map.of("quietDb", -70)).text("field")).isEqualTo("toneDb");
        assertThat(looks(token, "camera", Map.of("open", 300, "covered", 1, "contrast", 9))
                        .text("field"))
                .isEqualTo("open");
        assertThat(looks("guessed", "light", Map.of("dims", true)).status()).isEqualTo(404);
        UUID watch = ansa.openJob("pellow-dial-45");
        assertThat(looks(link(watch), "camera", Map.of("seen", true)).text("field"))
                .isEqualTo("look");
    }

    /** Its microphone and camera are for that page alone. */
    @Test
    void onlyTheProofPageMayListenAndSee() {
        assertThat(device.get("/touch.html").raw().headers().firstValue("Permissions-Policy"))
                .hasValueSatisfying(policy -> assertThat(policy).contains("microphone=(self)"));
        assertThat(device.get("/").raw().headers().firstValue("Permissions-Policy"))
                .hasValueSatisfying(policy -> assertThat(policy).contains("microphone=()"));
    }

    @Test
    void aWholeProofIsRecordedAsWhatTheTracesSay() {
        UUID job = atTheTouch();
        String token = link(job);
        assertThat(device.get("/api/touch/" + token + "/1194/834")
                        .json()
                        .get("done")
                        .isEmpty())
                .isTrue();
        assertThat(seen(job).get("works").isNull()).isTrue();
        tellsAllOf(token, "SWEEP", sweep((x, y) -> false));
        tellsAllOf(token, "LINES_SLOW", lines(0.2));
        tellsAllOf(token, "LINES_FAST", lines(0.4));
        tellsAllOf(token, "WATCH", List.of());
        JsonNode all = seen(job);
        assertThat(all.get("findings").toString()).isEqualTo("[]");
        assertThat(all.get("silent").isEmpty()).isTrue();
        assertThat(all.get("works").asBoolean()).isTrue();
        takesWhatLeads(job, "Works, by its trace");
        JsonNode journal = ansa.get("/api/jobs/" + job + "/export").json().get("journal");
        JsonNode fact = journal.get(journal.size() - 1).get("fact");
        assertThat(fact.get("answer").asString()).isEqualTo("PASS");
        int cells = all.get("columns").asInt() * all.get("rows").asInt();
        assertThat(fact.get("reason").asString()).isEqualTo("touch proof: " + cells + " of " + cells + " cells");
        assertThat(tells(token, "SWEEP", 900, List.of()).status()).as("used up").isEqualTo(404);
    }

    /** A strip of 40 px, four and a half hundredths of the width, from top to bottom. */
    @Test
    void aDeadBandFailsBeforeTheLinesAreDrawn() {
        UUID job = atTheTouch();
        String token = link(job);
        List<List<Double>> sweep = sweep((x, y) -> x > 560 && x < 640);
        tells(token, "SWEEP", 9000, sweep.subList(0, 500), false);
        assertThat(seen(job).get("works").isNull())
                .as("what the finger has not come to yet is not dead")
                .isTrue();
        tellsAllOf(token, "SWEEP", sweep);
        JsonNode seen = seen(job);
        assertThat(seen.get("works").asBoolean(true)).isFalse();
        assertThat(seen.get("findings").get(0).get("words").asString()).startsWith("dead right across");
        Answer works = ansa.append(
                job,
                ansa.get("/api/jobs/" + job).json().get("seq").asLong(),
                Map.of("type", "FunctionTested", "functionId", "touch", "phase", "OPEN", "answer", "PASS"));
        assertThat(works.status()).as("a tired hand").isEqualTo(422);
        assertThat(works.raw().body()).contains("The device's own trace says otherwise");
        takesWhatLeads(job, "Fails, by its trace");
        assertThat(seen(job).get("works").isNull()).as("it was taken").isTrue();
        JsonNode state = ansa.get("/api/jobs/" + job).json();
        assertThat(state.get("nextStepId").asString())
                .as("the fault finder leads on")
                .startsWith("test.fault.touch");
        assertThat(state.toString()).contains("dead right across");
    }

    @Test
    void whatTheOldFrontDidIsSaidBesideWhatTheNewOneDoes() {
        UUID job = app.jobAt("before.touch");
        tellsAllOf(link(job), "SWEEP", sweep((x, y) -> false));
        ansa.skipTo(job, "open.touch");
        tellsAllOf(link(job), "SWEEP", sweep((x, y) -> x > 560 && x < 640));
        assertThat(seen(job).get("findings").toString()).contains("dead right across", "before: all of these answered");
        takesWhatLeads(job, "Fails, by its trace");
        assertThat(ansa.get("/api/jobs/" + job).raw().body()).contains("before: all of these answered");
    }

    @Test
    void whatIsSentTwiceCountsOnceAndATaskDoneAnewForgetsTheLast() {
        UUID job = atTheTouch();
        String token = link(job);
        List<List<Double>> one = List.of(List.of(1.0, 5.0, 5.0, 1.0));
        tells(token, "WATCH", 0, one);
        tells(token, "WATCH", 0, one);
        assertThat(seen(job).get("tasks").get(3).get("samples").asInt()).isEqualTo(1);
        assertThat(seen(job).get("findings").get(0).get("words").asString()).startsWith("one touch with nobody near");
        assertThat(device.send("DELETE", "/api/touch/" + token + "/WATCH", null).status())
                .isEqualTo(204);
        assertThat(seen(job).get("tasks").get(3).get("done").asBoolean()).isFalse();
    }

    @Test
    void twoProofsAtOnceDoNotMixAndNoTokenOpensAnythingElse() {
        UUID one = atTheTouch();
        UUID other = atTheTouch();
        String first = link(one);
        String second = link(other);
        tells(first, "WATCH", 0, List.of(List.of(1.0, 5.0, 5.0, 1.0), List.of(9.0, 50.0, 5.0, 2.0)));
        tells(second, "WATCH", 0, List.of());
        assertThat(seen(one).get("findings").get(0).get("words").asString()).isEqualTo("2 touches with nobody near");
        assertThat(seen(other).get("findings").isEmpty()).isTrue();
        String page = device.get("/api/touch/" + first + "/1194/834").raw().body();
        assertThat(page).doesNotContain("hut", "Quire", one.toString());
        for (String path : List.of("/api/jobs/" + one, "/api/jobs/" + one + "/touch", "/api/bench", "/api/people")) {
            assertThat(device.get(path).status()).as(path).isEqualTo(401);
        }
    }

    @Test
    void aLinkThatIsGuessedCalledOffReplacedOrOldIsNotOpen() {
        UUID job = atTheTouch();
        String replaced = link(job);
        String token = link(job);
        assertThat(tells(replaced, "WATCH", 0, List.of()).text("title")).isEqualTo("This link is not open");
        assertThat(tells("x".repeat(43), "WATCH", 0, List.of()).status()).isEqualTo(404);
        assertThat(tells(token, "WATCH", 0, List.of()).status()).isEqualTo(204);
        app.bean(JdbcClient.class)
                .sql("update touch_proof set expires_at = now() - interval '1 second' where job_id = :job")
                .param("job", job)
                .update();
        assertThat(tells(token, "WATCH", 1, List.of()).status()).isEqualTo(404);
        String last = link(job);
        assertThat(ansa.send("DELETE", "/api/jobs/" + job + "/touch", null).status())
                .isEqualTo(204);
        assertThat(tells(last, "WATCH", 0, List.of()).status()).isEqualTo(404);
    }

    @Test
    void aLinkTakesSoManyCallsAndBytesAndNoMore() {
        UUID job = ansa.openJob();
        String token = link(job);
        JdbcClient jdbc = app.bean(JdbcClient.class);
        jdbc.sql("update touch_proof set calls = 8998 where job_id = :job")
                .param("job", job)
                .update();
        assertThat(device.get("/api/touch/" + token + "/1194/834").status()).isEqualTo(200);
        assertThat(device.send("DELETE", "/api/touch/" + token + "/WATCH", null).status())
                .isEqualTo(204);
        Answer over = device.get("/api/touch/" + token + "/1194/834");
        assertThat(over.status()).isEqualTo(429);
        assertThat(over.text("field")).isEqualTo("calls");
        jdbc.sql("update touch_proof set calls = 1, bytes = 33554400 where job_id = :job")
                .param("job", job)
                .update();
        assertThat(tells(token, "WATCH", 0, List.of(), true).text("field")).isEqualTo("bytes");
    }

    @Test
    void badTracesAreNamedAndTooManyRefused() {
        UUID job = atTheTouch();
        String token = link(job);
        Answer short1 = tells(token, "SWEEP", 0, List.of(List.of(1.0, 2.0)));
        assertThat(short1.status()).isEqualTo(400);
        assertThat(short1.text("detail")).contains("ms, x, y and contact each");
        assertThat(tells(token, "SWEEP", 0, List.of(List.of(1.0, 1e9, 2.0, 1.0)))
                        .status())
                .isEqualTo(400);
        assertThat(tells(token, "NONSENSE", 0, List.of()).status()).isEqualTo(400);
        assertThat(ansa.leads(job).get("label").asString())
                .as("nothing is proven")
                .isEqualTo("Works");
    }

    @Test
    void aTraceGoesOutAndComesInAsAFileAndIsJudgedTheSame() {
        UUID job = atTheTouch();
        String token = link(job);
        tellsAllOf(token, "SWEEP", sweep((x, y) -> x > 560 && x < 640));
        String said = seen(job).get("findings").toString();
        String file = ansa.get("/api/jobs/" + job + "/touch/SWEEP").raw().body();
        assertThat(file).startsWith("t_ms,x,y,contact_id");
        UUID other = atTheTouch();
        String path = "/api/jobs/" + other + "/touch/SWEEP?widthPx=1194&heightPx=834";
        Answer taken = ansa.text("PUT", path, file);
        assertThat(taken.status()).as(taken.raw().body()).isEqualTo(204);
        assertThat(seen(other).get("findings").toString()).isEqualTo(said);
        Answer bad = ansa.text("PUT", path, "t_ms,x,y,contact_id\n1,2,3,1\n2,x,4,1\n");
        assertThat(bad.status()).isEqualTo(400);
        assertThat(bad.text("detail")).contains("line 3, x");
        assertThat(seen(other).get("findings").toString()).as("nothing is lost").isEqualTo(said);
    }

    @Test
    void anErasedOwnersTracesAreErasedToo() {
        UUID job = atTheTouch();
        tells(link(job), "WATCH", 0, List.of());
        app.signedIn(Role.LEAD).send("DELETE", "/api/jobs/" + job + "/owner", null);
        assertThat(seen(job).get("tasks").get(3).get("done").asBoolean()).isFalse();
    }
}
