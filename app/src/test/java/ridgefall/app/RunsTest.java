package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What was measured during runs, and files of a job: taken as far as each is bounded, refused beyond that with the reason. */
@ExtendWith(RunningApp.class)
class RunsTest {
    private final App app;
    private final JdbcClient jdbc;
    private Client ansa;
    private UUID job;

    RunsTest(App app) {
        this.app = app;
        this.jdbc = app.bean(JdbcClient.class);
    }

    /** A job whose ledge dries: the clock was started past what holds it, as this is not about that. */
    @BeforeEach
    void aRunningClock() {
        ansa = app.signedIn(Role.TECHNICIAN);
        job = ansa.openJob();
        jdbc.sql("""
                        insert into journal (job_id, seq, command_id, happened_at, who, role, fact)
                        values (:job, 2, gen_random_uuid(), now(), 'Ansa Orrick', 'TECHNICIAN',
                            '{"type":"TimerStarted","kind":"DRYING","seconds":90}')""").param("job", job).update();
        jdbc.sql("update job set seq = 2 where id = :job").param("job", job).update();
    }

    private String runs() {
        return "/api/jobs/" + job + "/runs";
    }

    /** So many lines of three channels, at every other second. */
    private static String log(int seconds) {
        return "seconds,quantity,place,value\n"
                + IntStream.range(0, seconds / 2)
                        .mapToObj(i -> String.format(
                                "%d.0,TEMPERATURE,FRAME,%d.25%n%1$d.0,TEMPERATURE,GLASS,%2$d.50%n%1$d.0,HUMIDITY,bench,48.1%n",
                                2 * i, 20 + i % 60))
                        .collect(Collectors.joining());
    }

    @Test
    void twoHoursOfThreeChannelsAreTakenAndComeBackAsTheyWere() {
        Answer taken = ansa.text(runs() + "/2/log", log(7200));
        assertThat(taken.status()).isEqualTo(200);
        assertThat(taken.json().get("readings").asInt()).isEqualTo(10_800);
        JsonNode run = ansa.get(runs()).json().get(0);
        assertThat(run.get("words").asString()).isEqualTo("Solvent drying");
        assertThat(run.get("channels"))
                .hasSize(3)
                .allSatisfy(
                        channel -> assertThat(channel.get("samples").asInt()).isEqualTo(3600));
        String back = ansa.get(runs() + "/2/log").raw().body();
        assertThat(back.lines()).hasSize(10_801).contains("7198.0,HUMIDITY,bench,48.1000");
    }

    @Test
    void moreThanThatIsRefusedWithTheReasonAndNothingOfItIsKept() {
        Answer many = ansa.text(runs() + "/2/log", log(9000));
        assertThat(many.status()).isEqualTo(400);
        assertThat(many.text("detail")).contains("readings is 12001; allowed: 1 to 12000 in one log");
        assertThat(ansa.text(runs() + "/2/log", log(60_000)).status()).isEqualTo(413);
        assertThat(ansa.get(runs()).json().get(0).get("channels")).isEmpty();
    }

    @Test
    void aLogIsRefusedByLineAndFieldAndForARunThatIsNone() {
        String head = "seconds,quantity,place,value\n1.0,CURRENT,charger,0.5\n";
        assertThat(ansa.text(runs() + "/2/log", head + "2.0,CURRENT,charger,90\n")
                        .text("detail"))
                .isEqualTo("value in line 3 is 90; allowed: -20 to 20 A");
        assertThat(ansa.text(runs() + "/2/log", head + "2.0,MOOD,charger,1\n").text("detail"))
                .startsWith("quantity in line 3 is MOOD; allowed: one of TEMPERATURE");
        assertThat(ansa.text(runs() + "/1/log", head).text("detail"))
                .contains("the number of a fact that started a clock: [2]");
        assertThat(ansa.text(runs() + "/2/log", head).status()).isEqualTo(200);
        assertThat(ansa.text(runs() + "/2/log", head).text("allowed")).isEqualTo("one imported log a run");
    }

    private String files() {
        return "/api/jobs/" + job + "/attachments";
    }

    private Answer bring(UUID id, String kind, String type, int bytes) {
        return ansa.upload(
                files() + "?attachmentId=" + id + "&kind=" + kind + "&name=sweep.json&runSeq=2", type, new byte[bytes]);
    }

    @Test
    void aTouchTraceIsTakenOnceAndComesBackByteForByte() throws Exception {
        UUID id = UUID.randomUUID();
        Answer taken = bring(id, "TRACE", "application/json", 300_000);
        assertThat(taken.status()).isEqualTo(200);
        JsonNode file = taken.json().get(0);
        assertThat(file.get("size").asInt()).isEqualTo(300_000);
        assertThat(file.get("addedBy").asString()).isEqualTo("Ansa Orrick");
        assertThat(file.get("runSeq").asLong()).isEqualTo(2);
        assertThat(file.get("sha256").asString()).hasSize(64);
        assertThat(bring(id, "TRACE", "application/json", 300_000).json()).hasSize(1);
        assertThat(bring(id, "TRACE", "application/json", 299_999).status()).isEqualTo(422);
        assertThat(ansa.bytes(files() + "/" + id).body()).isEqualTo(new byte[300_000]);
        job = ansa.openJob();
        assertThat(ansa.get(files() + "/" + id).status()).isEqualTo(404);
        assertThat(ansa.upload(
                                files() + "?attachmentId=" + id + "&kind=TRACE&name=sweep.json",
                                "application/json",
                                new byte[300_000])
                        .status())
                .as("an id that stands for a file of another job")
                .isEqualTo(422);
    }

    @Test
    void eachKindHasABoundAndTypesOfItsOwn() {
        assertThat(bring(UUID.randomUUID(), "TRACE", "application/json", 600_000)
                        .text("detail"))
                .isEqualTo("file is 600000 bytes; allowed: 1 to 524288 bytes for a trace");
        assertThat(bring(UUID.randomUUID(), "PAIRING", "application/octet-stream", 65_537)
                        .text("detail"))
                .contains("1 to 65536 bytes for a pairing");
        assertThat(bring(UUID.randomUUID(), "PAIRING", "text/csv", 10).status()).isEqualTo(400);
        assertThat(bring(UUID.randomUUID(), "PHOTO", "application/json", 10).text("allowed"))
                .isEqualTo("photos go by /api/jobs/…/photos");
        assertThat(bring(UUID.randomUUID(), "TRACE", "application/json", 2_000_000)
                        .status())
                .isEqualTo(413);
    }

    @Test
    void filesGoWithTheOwner() {
        bring(UUID.randomUUID(), "TRACE", "application/json", 100);
        assertThat(app.signedIn(Role.LEAD)
                        .send("DELETE", "/api/jobs/" + job + "/owner", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(ansa.get(files()).json()).isEmpty();
    }

    @Test
    void aNodeOfTheVersionBeforeGoesOnAddingReadingsAndPhotos() {
        jdbc.sql("""
                        insert into reading (job_id, soak_seq, instrument, surface, read_at, celsius)
                        values (:job, 2, 'Thermocouple', 'FRAME', now(), 61.5)""").param("job", job).update();
        assertThat(app.bean(Readings.class).of(job, 2)).singleElement().satisfies(reading -> {
            assertThat(reading.quantity()).isEqualTo(Quantity.TEMPERATURE);
            assertThat(reading.value()).isEqualTo(61.5);
        });
        UUID photo = UUID.randomUUID();
        jdbc.sql("""
                        insert into photo (id, job_id, picture, thumb, file_sha256, added_at, added_by)
                        values (:id, :job, '\\xffd8', '\\xffd8', '\\x00', now(), 'Ansa Orrick')""").param("id", photo).param("job", job).update();
        assertThat(ansa.get(files()).json().get(0).get("kind").asString()).isEqualTo("PHOTO");
        assertThat(ansa.bytes("/api/photos/" + photo).body()).hasSize(2);
    }
}
