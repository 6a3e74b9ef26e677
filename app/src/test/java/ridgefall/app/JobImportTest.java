package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.OldForms;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A job comes in as it went out: whole, under a new number, and checked like anything that is typed. */
@ExtendWith(RunningApp.class)
class JobImportTest {
    private static final String LINES = "{\"strokes\":[[10,20,300,150,880,290],[40,40,60,280]]}";

    private static UUID whole;

    private final App app;
    private final Client lead;
    private final JdbcClient jdbc;

    JobImportTest(App app) {
        this.app = app;
        this.lead = app.signedIn(Role.LEAD);
        this.jdbc = app.bean(JdbcClient.class);
    }

    private Answer bringIn(UUID command, JsonNode file) {
        return lead.text("/api/jobs-import?commandId=" + command, file.toString());
    }

    private ObjectNode export(UUID job) {
        return (ObjectNode) lead.get("/api/jobs/" + job + "/export").json();
    }

    static Stream<Path> journals() throws IOException {
        return ReplayTest.journals();
    }

    @ParameterizedTest
    @MethodSource("journals")
    void everyRecordedJournalIsTheSameJobAgain(Path journal) throws IOException {
        ObjectNode file = Client.JSON.createObjectNode();
        file.put("format", "ridgefall-job/3").put("number", 7);
        file.set("journal", Client.JSON.readTree(Files.readString(journal)).get("journal"));
        List.of("files", "runs", "touch").forEach(file::putArray);
        UUID first = UUID.randomUUID();
        Answer answer = bringIn(first, file);
        assertThat(answer.status()).as(journal + answer.raw().body()).isEqualTo(200);
        ArrayNode in = (ArrayNode) export(first).get("journal");
        in.remove(in.size() - 1);
        assertThat(facts(in)).isEqualTo(facts((ArrayNode) file.get("journal")));
        comesInAsItWentOut(first);
    }

    @Test
    void everyJobOfTheDemoWithItsFilesIsTheSameJobAgain() throws IOException {
        List<UUID> demo = jdbc.sql(
                        "select id from job where touched_by = 'Ansa Orrick' and owner ~ '(ferry|hut|station|crew|School)'")
                .query(UUID.class)
                .list();
        assertThat(demo).hasSizeGreaterThanOrEqualTo(6);
        for (UUID job : demo) {
            comesInAsItWentOut(job);
        }
    }

    /** With a photo, a trace, a drawn name, what a thermometer said, and what a device told of its touch. */
    @Test
    void whatLiesBesideTheJournalComesWithIt() throws IOException {
        UUID job = withEverything();
        ObjectNode file = comesInAsItWentOut(job);
        assertThat(file.get("files")).hasSize(3);
        assertThat(file.get("runs").valueStream())
                .singleElement()
                .satisfies(run -> assertThat(run.get("readings")).hasSizeGreaterThanOrEqualTo(3));
        assertThat(file.get("touch").valueStream())
                .singleElement()
                .satisfies(told -> assertThat(told.get("batches")).hasSize(1));
        UUID copy = UUID.randomUUID();
        assertThat(bringIn(copy, file).status()).isEqualTo(200);
        assertThat(app.signedIn(Role.TECHNICIAN)
                        .get(photo(copy) + "?thumb=true")
                        .status())
                .isEqualTo(200);
        assertThat(export(copy).at("/record/signatures/0/path").asString()).startsWith("M10 20");
    }

    /** Its word on a run counts the readings that are in the file, while an instrument goes on telling more. */
    @Test
    void aFileIsOfOneMoment() throws InterruptedException {
        UUID job = app.jobAt("open.charge");
        long run = timed(job);
        AtomicBoolean over = new AtomicBoolean();
        Thread tells = new Thread(() -> {
            while (!over.get()) {
                jdbc.sql("insert into sample (channel_id, at, value) select min(id), now(), 0.8 from channel"
                                + " where job_id = :id and run_seq = :run")
                        .param("id", job)
                        .param("run", run)
                        .update();
            }
        });
        tells.start();
        try {
            int readings = 3;
            for (int times = 0; times < 12 || readings == 3; times++) {
                assertThat(tells.isAlive()).as("it goes on telling").isTrue();
                ObjectNode file = export(job);
                readings = file.at("/runs/0/readings").size();
                assertThat(file.at("/record/evidence/0/words").asString()).endsWith(": " + readings + " readings");
            }
        } finally {
            over.set(true);
            tells.join();
        }
    }

    private String photo(UUID job) {
        return export(job)
                .at("/record/evidence")
                .valueStream()
                .filter(piece -> piece.get("photo").asBoolean())
                .findFirst()
                .orElseThrow()
                .get("path")
                .asString();
    }

    /** Brings a job's export in, exports that, and finds the same but for ids, numbers and the word where it comes from. */
    private ObjectNode comesInAsItWentOut(UUID job) {
        ObjectNode out = export(job);
        UUID copy = UUID.randomUUID();
        Answer answer = bringIn(copy, out);
        assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
        ObjectNode in = export(copy);
        JsonNode last = in.get("journal").get(in.get("journal").size() - 1);
        assertThat(last.at("/fact/type").asString()).isEqualTo("BroughtIn");
        assertThat(last.at("/fact/number")).isEqualTo(out.get("number"));
        assertThat(last.get("who").asString()).isEqualTo("Marn Ulscarth");
        assertThat(in.get("number").asLong()).isGreaterThan(out.get("number").asLong());
        ((ArrayNode) in.get("journal")).remove(in.get("journal").size() - 1);
        assertThat(plain(in)).isEqualTo(plain(out));
        return out;
    }

    /** Ids by the order in which they come, so that two files with others say the same. */
    private static String plain(ObjectNode exported) {
        ObjectNode file = exported.deepCopy();
        file.remove("number");
        return withoutIds(file.toPrettyString());
    }

    private static String withoutIds(String text) {
        Map<String, String> ids = new LinkedHashMap<>();
        return Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}")
                .matcher(text)
                .replaceAll(id -> ids.computeIfAbsent(id.group(), any -> "id " + ids.size()));
    }

    /** As this version reads them: what came into a fact since then says nothing. */
    private String facts(ArrayNode entries) {
        JsonMapper json = app.bean(JsonMapper.class);
        entries.forEach(entry -> {
            OldForms.upCast((ObjectNode) entry.get("fact"));
            Fact fact = json.treeToValue(entry.get("fact"), Fact.class);
            ((ObjectNode) entry)
                    .set("fact", Client.JSON.readTree(json.writerFor(Fact.class).writeValueAsString(fact)));
        });
        return withoutIds(entries.toPrettyString());
    }

    @Test
    void sentTwiceItIsOneJobAndAnotherFileUnderItsIdIsRefused() {
        ObjectNode file = export(lead.openJob());
        UUID command = UUID.randomUUID();
        Answer first = bringIn(command, file);
        assertThat(bringIn(command, file).json()).isEqualTo(first.json());
        assertThat(jdbc.sql("select count(*) from journal where job_id = :id")
                        .param("id", command)
                        .query(Long.class)
                        .single())
                .isEqualTo(2);
        ObjectNode other = file.deepCopy();
        other.put("number", 99_999);
        assertThat(bringIn(command, other).status()).isEqualTo(422);
    }

    /** What lay on another bench lies on none of this one's sources, and what it used is not off this shelf. */
    @Test
    void whatWasDoneElsewhereTakesNothingOfThisShop() {
        Client ansa = app.signedIn(Role.TECHNICIAN);
        UUID job = app.jobAt("heat.soak");
        JsonNode start = ansa.leads(job).get("fact");
        assertThat(ansa.append(job, export(job).get("journal").size(), start).status())
                .isEqualTo(200);
        ObjectNode file = export(job);
        assertThat(ansa.append(job, file.get("journal").size(), Map.of("type", "SoakEnded", "workableSeconds", 0))
                        .status())
                .isEqualTo(200);
        UUID copy = UUID.randomUUID();
        assertThat(bringIn(copy, file).status()).isEqualTo(200);
        assertThat(jdbc.sql("select count(*) from source_taken where job_id = :id")
                        .param("id", copy)
                        .query(Long.class)
                        .single())
                .isZero();
    }

    @Test
    void onlyALeadBringsJobsIn() {
        ObjectNode file = export(lead.openJob());
        for (Role role : List.of(Role.DESK, Role.TECHNICIAN)) {
            assertThat(app.signedIn(role)
                            .text("/api/jobs-import?commandId=" + UUID.randomUUID(), file.toString())
                            .status())
                    .as(role.words())
                    .isEqualTo(403);
        }
        assertThat(lead.append(lead.openJob(), 1, Map.of("type", "BroughtIn", "number", 3, "facts", 12))
                        .status())
                .as("nobody says so without a file")
                .isEqualTo(400);
    }

    /** One thing wrong each, where it is said to be. */
    @Test
    void whatIsWrongIsNamedByItsPlace() throws IOException {
        ObjectNode right = export(withEverything());
        long jobs = jobs();
        Map<String, Consumer<ObjectNode>> wrong = new LinkedHashMap<>();
        wrong.put("format", file -> file.put("format", "ridgefall-job/2"));
        wrong.put("file/number", file -> file.put("number", 0));
        wrong.put("journal", file -> file.putArray("journal"));
        wrong.put("journal/2/seq", file -> entry(file, 1).put("seq", 3));
        wrong.put("journal/2/happenedAt", file -> entry(file, 1).put("happenedAt", "2019-01-01T00:00:00Z"));
        wrong.put("journal/3/happenedAt", file -> entry(file, 2).put("happenedAt", "2219-01-01T00:00:00Z"));
        wrong.put("journal/2/who", file -> entry(file, 1).put("who", " "));
        wrong.put("journal/2/role", file -> entry(file, 1).put("role", "OWNER"));
        wrong.put("journal/2/surplus", file -> entry(file, 1).put("surplus", 1));
        wrong.put("journal/2/type", file -> fact(file, 1).put("type", "Exploded"));
        wrong.put("journal/1/fact/profileId", file -> fact(file, 0).put("profileVersion", 4_711));
        wrong.put(
                "journal/1/type",
                file -> fact(file, 0).removeAll().put("type", "PowerSeen").put("canSwitchOff", true));
        wrong.put("files/1/base64", file -> attached(file, 0).put("base64", "not base 64"));
        wrong.put("files/1/photo", file -> attached(file, 0).put("base64", base64("no picture")));
        wrong.put("files/2/sha256", file -> attached(file, 1).put("base64", base64("other")));
        wrong.put("files/2/runSeq", file -> attached(file, 1).put("runSeq", 2));
        wrong.put(
                "files/3/strokes",
                file -> attached(file, 2).putNull("sha256").put("base64", base64("{\"strokes\":[]}")));
        wrong.put(
                "files/2/id",
                file -> attached(file, 1).put("id", attached(file, 0).get("id").asString()));
        wrong.put("runs/1/seq", file -> ((ObjectNode) file.at("/runs/0")).put("seq", 1));
        wrong.put("runs/1/readings/2/value", file -> ((ObjectNode) file.at("/runs/0/readings/1")).put("value", 1e6));
        wrong.put("touch/1/samples", file -> ((ArrayNode) file.at("/touch/0/batches/0/samples/0")).add(1));
        wrong.put("runs", file -> file.remove("runs"));
        wrong.forEach((place, damage) -> {
            ObjectNode file = right.deepCopy();
            damage.accept(file);
            Answer answer = bringIn(UUID.randomUUID(), file);
            assertThat(answer.status()).as(place + answer.raw().body()).isEqualTo(400);
            assertThat(answer.text("field")).isEqualTo(place);
            assertThat(answer.text("allowed")).as(place).isNotBlank();
        });
        assertThat(jobs()).isEqualTo(jobs);
    }

    /** Damaged by chance and on purpose, by a seed: either it says where, or what is left is a job like any other. */
    @Test
    void twoHundredDamagedFilesAreRefusedWithTheirPlaceAndNothingIsChanged() throws IOException {
        String right = export(withEverything()).toString();
        long jobs = jobs();
        long files = files();
        int refused = 0;
        for (int seed = 0; refused < 200; seed++) {
            assertThat(seed).as("most damage is damage").isLessThan(320);
            String damaged = damaged(right, new Random(seed));
            UUID command = UUID.randomUUID();
            Answer answer = lead.text("/api/jobs-import?commandId=" + command, damaged);
            if (answer.status() == 200) {
                // A word, a number or a time was changed into another that can be.
                assertThat(jdbc.sql("select count(*) from job where id = :id")
                                .param("id", command)
                                .query(Long.class)
                                .single())
                        .isEqualTo(1);
                jobs++;
                files += jdbc.sql("select count(*) from attachment where job_id = :id")
                        .param("id", command)
                        .query(Long.class)
                        .single();
                continue;
            }
            refused++;
            assertThat(answer.status())
                    .as("seed " + seed + ": " + answer.raw().body())
                    .isEqualTo(400);
            assertThat(answer.text("field")).as("seed " + seed).isNotBlank();
            assertThat(answer.text("allowed")).as("seed " + seed).isNotBlank();
        }
        assertThat(jobs()).isEqualTo(jobs);
        assertThat(files()).isEqualTo(files);
    }

    /** Cut off, a byte changed, or a value somewhere in it gone, null, of another kind, or endless. */
    private static String damaged(String text, Random random) throws IOException {
        if (random.nextInt(8) == 0) {
            return text.substring(0, random.nextInt(text.length()));
        }
        ObjectNode file = (ObjectNode) Client.JSON.readTree(text);
        file.remove("record");
        List<JsonNode> places = new ArrayList<>();
        collect(file, places);
        JsonNode at = places.get(random.nextInt(places.size()));
        JsonNode[] instead = {
            Client.JSON.nullNode(),
            Client.JSON.createArrayNode(),
            Client.JSON.createObjectNode(),
            Client.JSON.getNodeFactory().numberNode(-1),
            Client.JSON.getNodeFactory().numberNode(1e300),
            Client.JSON.getNodeFactory().booleanNode(true),
            Client.JSON.getNodeFactory().stringNode("x".repeat(5_000)),
            Client.JSON.getNodeFactory().stringNode("a\u0000b")
        };
        JsonNode other = instead[random.nextInt(instead.length)];
        if (at instanceof ObjectNode object) {
            List<String> names = new ArrayList<>(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            if (random.nextInt(4) == 0) {
                object.remove(name);
            } else {
                object.set(name, other);
            }
        } else {
            ((ArrayNode) at).set(random.nextInt(at.size()), other);
        }
        return file.toString();
    }

    private static void collect(JsonNode node, List<JsonNode> places) {
        if (node.isContainer() && !node.isEmpty()) {
            places.add(node);
            node.valueStream().forEach(child -> collect(child, places));
        }
    }

    private long jobs() {
        return jdbc.sql("select count(*) from job").query(Long.class).single();
    }

    private long files() {
        return jdbc.sql("select count(*) from attachment").query(Long.class).single();
    }

    private static ObjectNode entry(ObjectNode file, int index) {
        return (ObjectNode) file.at("/journal/" + index);
    }

    private static ObjectNode fact(ObjectNode file, int index) {
        return (ObjectNode) file.at("/journal/" + index + "/fact");
    }

    private static ObjectNode attached(ObjectNode file, int index) {
        return (ObjectNode) file.at("/files/" + index);
    }

    private static String base64(String text) {
        return Base64.getEncoder().encodeToString(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Taken there once: a job that is looked at is as it was. */
    private UUID withEverything() throws IOException {
        if (whole == null) {
            whole = taken();
        }
        return whole;
    }

    private UUID taken() throws IOException {
        Client ansa = app.signedIn(Role.TECHNICIAN);
        UUID job = app.jobAt("open.charge");
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "jpeg", picture);
        assertThat(ansa.upload(
                                "/api/jobs/" + job + "/photos?photoId=" + UUID.randomUUID() + "&words=top",
                                "image/jpeg",
                                picture.toByteArray())
                        .status())
                .isEqualTo(200);
        UUID drawing = UUID.randomUUID();
        attach(job, "TRACE&runSeq=" + timed(job), UUID.randomUUID(), "text/csv", "t_ms,x,y,contact_id\n1,2,3,1\n");
        ansa.skipTo(job, "prove.hand-over");
        attach(job, "SIGNATURE", drawing, "application/json", LINES);
        append(job, Map.of("type", "Signed", "signer", "OWNER", "name", "T. Hut", "drawing", drawing.toString()));
        String token = ansa.send("POST", "/api/jobs/" + job + "/touch", null)
                .json()
                .get("address")
                .asString()
                .split("#")[1];
        Client device = app.client();
        assertThat(device.send(
                                "PUT",
                                "/api/touch/" + token + "/WATCH/0",
                                Map.of(
                                        "widthPx",
                                        396,
                                        "heightPx",
                                        484,
                                        "samples",
                                        List.of(List.of(1, 2, 3, 1)),
                                        "last",
                                        true))
                        .status())
                .isEqualTo(204);
        assertThat(device.send("PUT", "/api/touch/" + token + "/looks/picture", Map.of("fields", 7, "spots", List.of()))
                        .status())
                .isEqualTo(204);
        return job;
    }

    /** A charge that was timed, and three readings of its meter; the number of the fact that began it. */
    private long timed(UUID job) {
        long seq =
                append(job, Map.of("type", "TimerStarted", "kind", "CHARGE_TEST", "timerId", "charge", "seconds", 60));
        String log =
                "seconds,quantity,place,value\n0.5,CURRENT,charger,0.84\n1.5,CURRENT,charger,0.83\n2,VOLTAGE,charger,5.05\n";
        Answer taken = app.signedIn(Role.TECHNICIAN).text("/api/jobs/" + job + "/runs/" + seq + "/log", log);
        assertThat(taken.status()).as(taken.raw().body()).isEqualTo(200);
        return seq;
    }

    private long append(UUID job, Map<String, Object> fact) {
        long seq = lead.get("/api/jobs/" + job).json().get("seq").asLong();
        Answer answer = lead.append(job, seq, fact);
        assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
        return answer.json().get("seq").asLong();
    }

    private void attach(UUID job, String kind, UUID id, String type, String content) {
        Answer answer = lead.upload(
                "/api/jobs/" + job + "/attachments?attachmentId=" + id + "&name=file&kind=" + kind,
                type,
                content.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).as(answer.raw().body()).isEqualTo(200);
    }
}
