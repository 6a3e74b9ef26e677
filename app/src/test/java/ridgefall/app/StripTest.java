package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class StripTest {
    private final Client ansa;
    private final UUID job;

    StripTest(App app) {
        ansa = app.signedIn(Role.TECHNICIAN);
        job = ansa.openJob();
    }

    private JsonNode strip(String view) {
        return ansa.get("/api/jobs/" + job + "/strip" + view).json();
    }

    @Test
    void screwsThatLookAlikeAreOneKindAndEveryHoleSaysWhichItIs() {
        JsonNode strip = strip("");
        assertThat(strip.get("screws").size()).isGreaterThan(1);
        for (JsonNode hole : strip.get("holes")) {
            assertThat(hole.get("kind").asInt())
                    .isBetween(0, strip.get("screws").size() - 1);
        }
        assertThat(strip.get("screws").get(0).get("words").asString()).matches("\\{mm:[\\d.]+} M[\\d.]+, \\w+, .+");
    }

    @Test
    void whatIsToldOfAHoleIsSaidThereAndWhatCannotBeIsRefused() {
        ansa.skipTo(job, "strip.screws-over");
        JsonNode hole = hole("cover-5");
        assertThat(hole.get("where").isNull()).isTrue();
        assertThat(hole.get("lie").asString()).isEqualTo("NOW");
        assertThat(hole.get("choices").findValuesAsString("label"))
                .containsExactly("Out", "Was not there", "Dropped it", "Stuck");
        assertThat(tell(hole.get("choices").get(2).get("fact")).status()).isEqualTo(200);
        assertThat(hole("cover-5").get("told").asString()).isEqualTo("dropped, not found");
        Client.Answer back = tell(
                Client.JSON.readTree("{'type':'ScrewsMoved','holeIds':['cover-5'],'where':'BACK'}".replace('\'', '"')));
        assertThat(back.status()).isEqualTo(422);
        assertThat(back.raw().body()).contains("The screw of hole cover-5 is not found");
    }

    private Client.Answer tell(JsonNode fact) {
        long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
        return ansa.append(job, seq, fact);
    }

    private JsonNode hole(String id) {
        for (JsonNode hole : strip("").get("holes")) {
            if (hole.get("id").asString().equals(id)) {
                return hole;
            }
        }
        throw new AssertionError(id);
    }

    @Test
    void turnedOverAndRoundItIsSeenFromThere() {
        JsonNode upright = strip("").get("holes").get(0).get("at");
        JsonNode over = strip("?faceDown=true").get("holes").get(0).get("at");
        assertThat(over.get("y").asDouble()).isEqualTo(upright.get("y").asDouble());
        assertThat(over.get("x").asDouble()).isNotEqualTo(upright.get("x").asDouble());
    }
}
