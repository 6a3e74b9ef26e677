package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** A meter between charger and device is asked before a hand. */
@ExtendWith(RunningApp.class)
class ChargeTest {
    private final App app;
    private final Client ansa;

    ChargeTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        // The demo's own meter would read beside the log.
        ansa.send("DELETE", "/api/instruments/stand-in-usb-meter", null);
    }

    private long seq(UUID job) {
        return ansa.get("/api/jobs/" + job).json().get("seq").asLong();
    }

    private Answer tell(UUID job, Object fact) {
        return ansa.append(job, seq(job), fact);
    }

    private UUID watched(DoubleUnaryOperator amps) {
        UUID job = app.jobAt("open.charge");
        assertThat(tell(job, Map.of("type", "TimerStarted", "kind", "CHARGE_TEST", "seconds", 60))
                        .status())
                .isEqualTo(200);
        String log = "seconds,quantity,place,value\n"
                + IntStream.rangeClosed(0, 60)
                        .mapToObj(s -> String.format(
                                Locale.ROOT,
                                "%d,CURRENT,cable,%.3f%n%d,VOLTAGE,cable,%.3f%n",
                                s,
                                amps.applyAsDouble(s),
                                s,
                                5.1))
                        .collect(Collectors.joining());
        assertThat(ansa.text("/api/jobs/" + job + "/runs/" + seq(job) + "/log", log)
                        .status())
                .isEqualTo(200);
        return job;
    }

    private static Map<String, Object> works() {
        return Map.of("type", "FunctionTested", "functionId", "charge", "phase", "OPEN", "answer", "PASS");
    }

    @Test
    void whatTheMeterReadLeadsAndIsRecordedWithItsNumbers() {
        UUID job = watched(s -> s < 5 ? 0.2 : s < 10 ? 1.0 : s < 15 ? 0.5 : 1.7);
        JsonNode charge = ansa.get("/api/jobs/" + job + "/charge").json();
        assertThat(charge.get("verdict").asString()).isEqualTo("CHARGES");
        assertThat(charge.get("curve")).hasSize(61);
        JsonNode leads = ansa.leads(job);
        assertThat(leads.get("label").asString()).isEqualTo("Works, by its current");
        assertThat(tell(job, leads.get("fact")).status()).isEqualTo(200);
        assertThat(ansa.get("/api/jobs/" + job).json().toString())
                .contains("Works, 1.70 A at 5.10 V, in steps: it starts");
        assertThat(ansa.get("/api/jobs/" + job).json().get("timers").toString())
                .as("its clock is over")
                .doesNotContain("On the charger");
    }

    @Test
    void aHandThatSaysOtherwiseIsHeldAndTheFaultFinderGoesOn() {
        UUID job = watched(s -> s % 10 < 6 ? 0.8 : 0.0);
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo("Fails, by its current");
        Answer held = tell(job, works());
        assertThat(held.status())
                .as(held.raw().body()
                        + ansa.get("/api/jobs/" + job + "/charge").raw().body())
                .isEqualTo(422);
        assertThat(held.raw().body()).contains("The meter says otherwise: it starts over");
        assertThat(tell(job, ansa.leads(job).get("fact")).status()).isEqualTo(200);
        assertThat(ansa.get("/api/jobs/" + job).text("nextStepId")).startsWith("test.fault.charge.");
    }

    @Test
    void littleIsNeitherGoodNorBad() {
        UUID job = watched(s -> 0.2);
        assertThat(ansa.get("/api/jobs/" + job + "/charge").text("verdict")).isEqualTo("LITTLE");
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo("Works");
        assertThat(tell(job, works()).status()).isEqualTo(200);
    }

    @Test
    void itsLevelTellsWhetherLittleIsFullOrWeak() {
        UUID job = watched(s -> 0.2);
        Answer beyond = ansa.send("POST", level(job), read(120));
        assertThat(beyond.status()).isEqualTo(400);
        assertThat(beyond.raw().body()).contains("percent", "120", "0 to 100");
        assertThat(ansa.send("POST", level(job), read(55)).status()).isEqualTo(201);
        assertThat(ansa.get("/api/jobs/" + job).raw().body()).contains("at 55 %: it is weak");
        assertThat(ansa.get("/api/jobs/" + job).text("nextStepId")).startsWith("test.fault.charge.");
        UUID full = watched(s -> 0.2);
        assertThat(ansa.send("POST", level(full), read(97)).status()).isEqualTo(201);
        assertThat(ansa.get("/api/jobs/" + full).raw().body()).contains("at 97 %: it is full");
        UUID plain = watched(s -> 1.2);
        assertThat(ansa.send("POST", level(plain), read(97)).status()).isEqualTo(400);
    }

    private static String level(UUID job) {
        return "/api/jobs/" + job + "/charge/level";
    }

    private static Map<String, Object> read(int percent) {
        return Map.of("commandId", UUID.randomUUID(), "percent", percent);
    }

    @Test
    void withoutAMeterAHandTells() {
        UUID job = app.jobAt("open.charge");
        assertThat(ansa.get("/api/jobs/" + job + "/charge")
                        .json()
                        .get("verdict")
                        .isNull())
                .isTrue();
        assertThat(tell(job, works()).status()).isEqualTo(200);
    }
}
