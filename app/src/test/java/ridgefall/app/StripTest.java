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
        int out = 0;
        for (JsonNode kind : strip.get("screws")) {
            out += kind.get("out").asInt();
        }
        assertThat(out).isEqualTo(14);
        for (JsonNode hole : strip.get("holes")) {
            assertThat(hole.get("kind").asInt())
                    .isBetween(0, strip.get("screws").size() - 1);
        }
        assertThat(strip.get("screws").get(0).get("words").asString()).matches("\\{mm:[\\d.]+} M[\\d.]+, \\w+, .+");
    }

    @Test
    void turnedOverAndRoundItIsSeenFromThere() {
        JsonNode upright = strip("").get("holes").get(0).get("at");
        JsonNode over = strip("?faceDown=true").get("holes").get(0).get("at");
        assertThat(over.get("y").asDouble()).isEqualTo(upright.get("y").asDouble());
        assertThat(over.get("x").asDouble()).isNotEqualTo(upright.get("x").asDouble());
    }
}
