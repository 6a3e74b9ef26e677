package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** Over the rim, and in the tester: what is read is judged, with or without an instrument. */
@ExtendWith(RunningApp.class)
class SealTest {
    private final App app;
    private final Client ansa;

    SealTest(App app) {
        this.app = app;
        ansa = app.signedIn(Role.TECHNICIAN);
        // What a test tells is what was read.
        ansa.send("DELETE", "/api/instruments/stand-in-leak-tester", null);
    }

    private long seq(UUID job) {
        return ansa.get("/api/jobs/" + job).json().get("seq").asLong();
    }

    private Answer tell(UUID job, Object fact) {
        return ansa.append(job, seq(job), fact);
    }

    @Test
    void aPlaceThatStandsUpIsSaidAtItsPlaceAndPressedDown() {
        UUID job = app.jobAt("prove.hand-over");
        JsonNode seal = ansa.get("/api/jobs/" + job + "/seal").json();
        assertThat(seal.get("press").get("places").asInt()).isEqualTo(28);
        assertThat(seal.get("bead").isNull()).isTrue();
        double at = seal.get("places").get(2).get("positionMm").asDouble();
        assertThat(tell(job, Map.of("type", "FlushRead", "positionMm", at, "overMm", 0.3))
                        .status())
                .isEqualTo(200);
        JsonNode there =
                ansa.get("/api/jobs/" + job + "/seal").json().get("places").get(2);
        assertThat(there.get("verdict").asString()).isEqualTo("STANDS_UP");
        assertThat(tell(job, Map.of("type", "HandedOver", "to", "x")).status()).isEqualTo(422);
        tell(job, Map.of("type", "FlushRead", "positionMm", at, "overMm", 0.0));
        assertThat(tell(job, Map.of("type", "HandedOver", "to", "x")).status()).isEqualTo(200);
    }

    /** 30 ml at 20 kPa, a kelvin of cooling and a leak of 0.3 ml a minute, as a tester's log has it. */
    private static String log() {
        return "seconds,quantity,place,value\n"
                + String.join(
                        "",
                        IntStream.rangeClosed(0, 40)
                                .mapToObj(i -> {
                                    double s = 2.0 * i;
                                    double c = 21 + Math.exp(-s / 12);
                                    double tight = 121.325 * (c + 273.15) / 294.15 - 101.325;
                                    double kPa = tight - 0.3 / 60 * s * 101.325 / 30;
                                    return String.format(
                                            Locale.ROOT,
                                            "%.1f,PRESSURE,chamber,%.4f%n%.1f,TEMPERATURE,chamber,%.4f%n",
                                            s,
                                            kPa,
                                            s,
                                            c);
                                })
                                .toList());
    }

    @Test
    void whatTheTesterLoggedIsReckonedAtOneWarmthAndTaken() {
        UUID job = app.jobAt("pellow-dial-41", "prove.hand-over");
        tell(job, Map.of("type", "TimerStarted", "kind", "LEAK_TEST", "seconds", 75));
        long run = seq(job);
        assertThat(ansa.get("/api/jobs/" + job + "/leak").json().get("read").asBoolean())
                .as("a minute is not over")
                .isFalse();
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo("It reads");
        assertThat(ansa.text("/api/jobs/" + job + "/runs/" + run + "/log", log())
                        .status())
                .isEqualTo(200);
        JsonNode leak = ansa.get("/api/jobs/" + job + "/leak").json();
        assertThat(leak.get("curve")).hasSize(41);
        assertThat(leak.get("read").asBoolean()).isTrue();
        assertThat(ansa.leads(job).get("label").asString()).isEqualTo("Take what the tester read");
        JsonNode fact = ansa.leads(job).get("fact");
        assertThat(fact.get("startC").asDouble()).isCloseTo(21.29, within(0.02));
        assertThat(tell(job, fact).status()).isEqualTo(200);
        JsonNode result = ansa.get("/api/jobs/" + job + "/leak").json().get("result");
        assertThat(result.get("verdict").asString()).isEqualTo("LEAKS");
        assertThat(result.get("mlPerMinute").asDouble()).isCloseTo(0.3, within(0.02));
        assertThat(tell(job, Map.of("type", "HandedOver", "to", "x")).status()).isEqualTo(422);
        assertThat(ansa.get("/api/jobs/" + job + "/record").json().get("sealed").asString())
                .startsWith("Seal leaks under 2");
    }
}
