package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;

/** Who may ask for what, over every end point the app has: one that is not in this table fails the test. */
@ExtendWith(RunningApp.class)
class RoleMatrixTest {
    private static final Set<Role> ALL = EnumSet.allOf(Role.class);
    private static final Set<Role> BENCH = EnumSet.of(Role.TECHNICIAN, Role.LEAD);
    private static final Set<Role> LEADS = EnumSet.of(Role.LEAD);

    /** Method and path as the app describes them, and who is let in; what then happens is for other tests. */
    private static final Map<String, Set<Role>> ALLOWED = Map.ofEntries(
            Map.entry("GET /api/session", ALL),
            Map.entry("POST /api/session", ALL),
            Map.entry("DELETE /api/session", ALL),
            Map.entry("PUT /api/session/units", ALL),
            Map.entry("PUT /api/session/password", ALL),
            Map.entry("GET /api/bench", ALL),
            Map.entry("GET /api/clocks", ALL),
            Map.entry("GET /api/devices", ALL),
            Map.entry("GET /api/jobs", ALL),
            Map.entry("GET /api/returns", ALL),
            Map.entry("POST /api/jobs", ALL),
            Map.entry("GET /api/jobs/{jobId}", ALL),
            Map.entry("POST /api/jobs/{jobId}/facts", ALL),
            Map.entry("GET /api/jobs/{jobId}/edge", ALL),
            Map.entry("GET /api/jobs/{jobId}/heat", ALL),
            Map.entry("GET /api/jobs/{jobId}/heat/judged", ALL),
            Map.entry("GET /api/jobs/{jobId}/heat/forecast", ALL),
            Map.entry("GET /api/jobs/{jobId}/heat/log", ALL),
            Map.entry("POST /api/jobs/{jobId}/heat/log", BENCH),
            Map.entry("POST /api/jobs/{jobId}/heat/calibration", BENCH),
            Map.entry("GET /api/jobs/{jobId}/runs", ALL),
            Map.entry("GET /api/jobs/{jobId}/runs/{seq}/log", ALL),
            Map.entry("POST /api/jobs/{jobId}/runs/{seq}/log", BENCH),
            Map.entry("GET /api/jobs/{jobId}/attachments", ALL),
            Map.entry("POST /api/jobs/{jobId}/attachments", BENCH),
            Map.entry("GET /api/jobs/{jobId}/attachments/{attachmentId}", ALL),
            Map.entry("GET /api/instruments", ALL),
            Map.entry("PUT /api/instruments/{instrumentId}", BENCH),
            Map.entry("PUT /api/instruments/nets", LEADS),
            Map.entry("DELETE /api/instruments/{instrumentId}", BENCH),
            Map.entry("GET /api/programmers", ALL),
            Map.entry("PUT /api/programmers/{programmerId}", BENCH),
            Map.entry("DELETE /api/programmers/{programmerId}", BENCH),
            Map.entry("POST /api/programmers/{programmerId}/try", BENCH),
            Map.entry("POST /api/programmers/{programmerId}/fault", BENCH),
            Map.entry("GET /api/jobs/{jobId}/given-up-sheet/{partId}", ALL),
            Map.entry("GET /api/jobs/{jobId}/touch", ALL),
            Map.entry("POST /api/jobs/{jobId}/touch", BENCH),
            Map.entry("GET /api/jobs/{jobId}/touch/{task}", ALL),
            Map.entry("PUT /api/jobs/{jobId}/touch/{task}", BENCH),
            Map.entry("PUT /api/jobs/{jobId}/touch/{task}/by-rig", BENCH),
            Map.entry("GET /api/jobs/{jobId}/touch/by-hand", ALL),
            Map.entry("GET /api/jobs/{jobId}/touch/by-hand/sheet", ALL),
            Map.entry("POST /api/jobs/{jobId}/touch/by-hand", BENCH),
            Map.entry("DELETE /api/jobs/{jobId}/touch", BENCH),
            Map.entry("GET /api/touch/{token}/{widthPx}/{heightPx}", ALL),
            Map.entry("PUT /api/touch/{token}/{task}/{seq}", ALL),
            Map.entry("PUT /api/touch/{token}/looks/picture", ALL),
            Map.entry("PUT /api/touch/{token}/looks/light", ALL),
            Map.entry("PUT /api/touch/{token}/looks/sound", ALL),
            Map.entry("PUT /api/touch/{token}/looks/camera", ALL),
            Map.entry("PUT /api/touch/{token}/looks/motion", ALL),
            Map.entry("DELETE /api/touch/{token}/{task}", ALL),
            Map.entry("GET /api/jobs/{jobId}/proof", ALL),
            Map.entry("POST /api/jobs/{jobId}/proof", BENCH),
            Map.entry("GET /api/jobs/{jobId}/copies", ALL),
            Map.entry("GET /api/jobs/{jobId}/copies/{partId}/file", ALL),
            Map.entry("PUT /api/jobs/{jobId}/copies/{partId}/file", BENCH),
            Map.entry("GET /api/jobs/{jobId}/strip-sheet", ALL),
            Map.entry("GET /api/jobs/{jobId}/seal", ALL),
            Map.entry("GET /api/jobs/{jobId}/leak", ALL),
            Map.entry("GET /api/supplies", ALL),
            Map.entry("PUT /api/supplies/{supplyId}", BENCH),
            Map.entry("DELETE /api/supplies/{supplyId}", BENCH),
            Map.entry("GET /api/heat-sources", ALL),
            Map.entry("PUT /api/heat-sources/{sourceId}", BENCH),
            Map.entry("DELETE /api/heat-sources/{sourceId}", BENCH),
            Map.entry("DELETE /api/heat-sources/{sourceId}/calibration", BENCH),
            Map.entry("GET /api/jobs/{jobId}/separate", ALL),
            Map.entry("GET /api/jobs/{jobId}/clips", ALL),
            Map.entry("GET /api/jobs/{jobId}/pick-marks", ALL),
            Map.entry("GET /api/jobs/{jobId}/carry", ALL),
            Map.entry("GET /api/jobs/{jobId}/strip", ALL),
            Map.entry("GET /api/jobs/{jobId}/tray-sheet", ALL),
            Map.entry("GET /api/jobs/{jobId}/bond", ALL),
            Map.entry("GET /api/jobs/{jobId}/ledge", ALL),
            Map.entry("GET /api/jobs/{jobId}/join", ALL),
            Map.entry("GET /api/jobs/{jobId}/decide", ALL),
            Map.entry("GET /api/jobs/{jobId}/quote", ALL),
            Map.entry("GET /api/jobs/{jobId}/parts", ALL),
            Map.entry("GET /api/jobs/{jobId}/owner", ALL),
            Map.entry("GET /api/jobs/{jobId}/tag", ALL),
            Map.entry("GET /api/jobs/{jobId}/record", ALL),
            Map.entry("GET /api/jobs/{jobId}/record.pdf", ALL),
            Map.entry("GET /api/jobs/{jobId}/export", ALL),
            Map.entry("POST /api/jobs-import", LEADS),
            Map.entry("POST /api/jobs/{jobId}/photos", ALL),
            Map.entry("GET /api/photos/{photoId}", ALL),
            Map.entry("GET /api/people", ALL),
            Map.entry("GET /api/shop", ALL),
            Map.entry("GET /api/network", ALL),
            Map.entry("GET /api/jobs/{jobId}/charge", ALL),
            Map.entry("POST /api/jobs/{jobId}/charge/level", BENCH),
            Map.entry("GET /api/faults", ALL),
            Map.entry("PUT /api/faults", LEADS),
            Map.entry("DELETE /api/faults", LEADS),
            Map.entry("GET /api/jobs/{jobId}/faults", ALL),
            Map.entry("GET /api/jobs/{jobId}/test-plan", ALL),
            Map.entry("GET /api/stock", ALL),
            Map.entry("GET /api/book", ALL),
            Map.entry("GET /api/book/{deviceId}", ALL),
            Map.entry("GET /api/book/{deviceId}/export", ALL),
            Map.entry("GET /api/book-nearest", ALL),
            Map.entry("GET /api/book-layers", ALL),
            Map.entry("GET /api/book-usual", ALL),
            Map.entry("POST /api/jobs/{jobId}/parts", ALL),
            Map.entry("DELETE /api/jobs/{jobId}/parts", ALL),
            Map.entry("POST /api/jobs/{jobId}/corrections", BENCH),
            Map.entry("POST /api/book-check", ALL),
            Map.entry("POST /api/book/{deviceId}/put-back", LEADS),
            Map.entry("GET /api/book/{deviceId}/hanging", ALL),
            Map.entry("POST /api/book-import", BENCH),
            Map.entry("POST /api/book-outline", BENCH),
            Map.entry("POST /api/book-screws", BENCH),
            Map.entry("GET /api/book/{deviceId}/screws", ALL),
            Map.entry("GET /api/jobs/{jobId}/screws", ALL),
            Map.entry("POST /api/book-start", BENCH),
            Map.entry("PUT /api/book/{deviceId}/draft", BENCH),
            Map.entry("POST /api/stock/preview", BENCH),
            Map.entry("POST /api/stock/import", BENCH),
            Map.entry("PUT /api/stock/{stockId}/tested", BENCH),
            Map.entry("POST /api/book/{deviceId}/release", LEADS),
            Map.entry("DELETE /api/book/{deviceId}", LEADS),
            Map.entry("POST /api/book/{deviceId}/corrections/{correctionId}", LEADS),
            Map.entry("DELETE /api/jobs/{jobId}/owner", LEADS),
            Map.entry("PUT /api/shop", LEADS),
            Map.entry("POST /api/people", LEADS),
            Map.entry("PUT /api/people/{personId}", LEADS),
            Map.entry("PUT /api/people/{personId}/password", LEADS));

    private final App app;

    RoleMatrixTest(App app) {
        this.app = app;
    }

    @Test
    void everyEndPointIsInTheTable() {
        JsonNode paths = app.signedIn(Role.LEAD).get("/v3/api-docs").json().get("paths");
        Set<String> described = new TreeSet<>();
        paths.properties()
                .forEach(path -> path.getValue()
                        .propertyNames()
                        .forEach(method ->
                                described.add(method.toUpperCase(java.util.Locale.ROOT) + " " + path.getKey())));
        assertThat(described).isEqualTo(new TreeSet<>(ALLOWED.keySet()));
    }

    @Test
    void nobodyGetsPastWhatTheirRoleMay() {
        List<String> wrong = new ArrayList<>();
        for (Role role : Role.values()) {
            Client client = app.signedIn(role);
            for (Map.Entry<String, Set<Role>> entry : ALLOWED.entrySet()) {
                String[] call = entry.getKey().split(" ");
                // Ids of nothing: whoever is let in learns that it is not there, nobody changes anything.
                String path = call[1].replace("{deviceId}", "no-device")
                        .replace("{correctionId}", "0")
                        .replaceAll("\\{\\w+}", new UUID(0, 0).toString());
                if (path.startsWith("/api/session")) {
                    continue; // One's own session: SecurityTest ends it.
                }
                Answer answer = client.call(call[0], path);
                boolean refused = answer.status() == 403;
                if (refused == entry.getValue().contains(role) || answer.status() >= 500) {
                    wrong.add(role + ": " + entry.getKey() + " answered " + answer.status());
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    @Test
    void theDeskRecordsNoFactOfTheBench() {
        Client desk = app.signedIn(Role.DESK);
        UUID job = desk.openJob();
        List<Map<String, Object>> facts = List.of(
                Map.of("type", "CheckAnswered", "checkId", "parts.variant", "answer", "PASS"),
                Map.of("type", "SoakStarted", "sourceId", "plate-1", "settingC", 80, "seconds", 60, "sweep", "FACE"),
                Map.of("type", "StretchFreed", "stretchId", "top-1"),
                Map.of("type", "FrontOpened"),
                Map.of("type", "CarriedOver", "partId", "magnets"),
                Map.of("type", "StripLaid", "stripId", "top-1"),
                Map.of("type", "Sealed"),
                Map.of(
                        "type", "HoldOverridden",
                        "holdId", "separate.cold",
                        "reason", "trust me",
                        "held", Map.of("type", "StretchFreed", "stretchId", "top-1")));
        assertThat(facts.stream()
                        .map(fact -> desk.append(job, 1, fact).status())
                        .collect(Collectors.toSet()))
                .containsExactly(403);
        assertThat(desk.get("/api/jobs/" + job).json().get("seq").asLong()).isEqualTo(1);
    }
}
