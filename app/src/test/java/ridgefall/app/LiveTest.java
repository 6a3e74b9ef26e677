package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** What a screen hears of changes, whatever becomes of the notices. */
@ExtendWith(RunningApp.class)
class LiveTest {
    private final App app;
    private final Client ansa;

    LiveTest(App app) {
        this.app = app;
        this.ansa = app.signedIn(Role.TECHNICIAN);
    }

    private CompletableFuture<Long> hearsOf(UUID job, long seq) {
        return ansa.hears("/api/live", "{\"jobId\":\"" + job + "\",\"seq\":" + seq + "}");
    }

    @Test
    void aScreenHearsOfATap() throws Exception {
        UUID job = ansa.openJob();
        CompletableFuture<Long> heard = hearsOf(job, 2);
        ansa.append(job, 1, Map.of("type", "BatterySeen", "battery", "SOUND"));
        assertThat(heard.get(3, TimeUnit.MINUTES)).isNotNull();
    }

    /** Every screen asks for the clocks again when it hears that: no other tap says so. */
    @Test
    void aClockThatStartsAndADeviceOnASourceAreHeardAndNoOtherTapIsTakenForOne() throws Exception {
        UUID job = app.jobAt("heat.soak");
        JsonNode begun = ansa.leads(job).get("fact");
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        // What the first brings with it is how the bench stood; by the word of the second that was told.
        seq = noted(job, noted(job, seq));
        CompletableFuture<Long> clocks = ansa.hears("/api/live", "event:clocks");
        CompletableFuture<Long> sources = ansa.hears("/api/live", "event:sources");
        seq = noted(job, noted(job, seq));
        assertThat(clocks).isNotDone();
        assertThat(sources).isNotDone();
        assertThat(ansa.append(job, seq, begun).status()).isEqualTo(200);
        assertThat(clocks.get(3, TimeUnit.MINUTES)).isNotNull();
        assertThat(sources.get(3, TimeUnit.MINUTES)).isNotNull();
        assertThat(ansa.get("/api/clocks").json().get("timers").findValuesAsString("jobId"))
                .contains(job.toString());
        ansa.append(job, seq + 1, Map.of("type", "SoakEnded", "workableSeconds", 0));
    }

    /** A tap that starts nothing, once screens have heard of it; the number after it. */
    private long noted(UUID job, long seq) throws Exception {
        CompletableFuture<Long> heard = hearsOf(job, seq + 1);
        ansa.append(job, seq, Map.of("type", "NoteLeft", "words", "odd screw at the port", "forNext", false));
        assertThat(heard.get(3, TimeUnit.MINUTES)).isNotNull();
        return seq + 1;
    }

    @Test
    void aNodeThatDiedBeforeItsNoticeIsFoundOut() throws Exception {
        UUID job = ansa.openJob();
        CompletableFuture<Long> heard = hearsOf(job, 17);
        // As an append leaves it, without the words that follow one.
        app.bean(JdbcClient.class)
                .sql("update job set seq = 17, changed = pg_current_xact_id() where id = :id")
                .param("id", job)
                .update();
        assertThat(heard.get(3, TimeUnit.MINUTES)).isNotNull();
    }

    @Test
    void aTapThatIsRefusedIsNoNews() {
        UUID job = ansa.openJob();
        long before = changed(job);
        ansa.append(job, 1, Map.of("type", "Sealed"));
        assertThat(changed(job)).isEqualTo(before);
        ansa.append(job, 1, Map.of("type", "BatterySeen", "battery", "SOUND"));
        assertThat(changed(job)).isGreaterThan(before);
    }

    private long changed(UUID job) {
        return app.bean(JdbcClient.class)
                .sql("select changed::text from job where id = :id")
                .param("id", job)
                .query(Long.class)
                .single();
    }
}
