package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.app.book.ProfileFormat;
import ridgefall.core.job.Role;
import ridgefall.core.profile.Confidence;
import ridgefall.core.profile.OrderGraph;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileCheck;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.AdhesiveKind;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.OpticalBond;
import ridgefall.core.profile.ProfileDocument.PanelType;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileGaps;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Devices written in the first format are worked from as before, and say what nobody was asked for then. */
@ExtendWith(RunningApp.class)
class FirstFormatTest {
    private final App app;
    private final Client lead;

    FirstFormatTest(App app) {
        this.app = app;
        this.lead = app.signedIn(Role.LEAD);
    }

    static Stream<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(ReplayTest.BOOK)) {
            return files.sorted().toList().stream();
        }
    }

    private ProfileDocument read(String id) throws IOException {
        return app.bean(ProfileFormat.class).stored(Files.readString(ReplayTest.BOOK.resolve(id + ".json")));
    }

    @ParameterizedTest
    @MethodSource("files")
    void isRightInTheFormatOfTodayAndHasGaps(Path file) throws IOException {
        ProfileDocument device = app.bean(ProfileFormat.class).stored(Files.readString(file));
        assertThat(device.format()).isEqualTo("ridgefall-device/2");
        assertThat(ProfileCheck.flaws(device)).isEmpty();
        assertThat(ProfileGaps.gaps(device)).isNotEmpty();
    }

    @Test
    void whatWasNotAskedIsAGuessOrNotKnown() throws IOException {
        ProfileDocument quire = read("marrowby-quire-8");
        assertThat(quire.screws())
                .filteredOn(screw -> screw.id().equals("plate-1"))
                .singleElement()
                .satisfies(screw -> {
                    assertThat(screw.underHeadMm()).isEqualTo(1.8);
                    assertThat(screw.threadMm()).isEqualTo(1.2);
                    assertThat(screw.stackMm()).isNull();
                    assertThat(screw.holds()).isNull();
                });
        assertThat(quire.confidenceOf("screws/plate-1/threadMm")).isEqualTo(Confidence.GUESS);
        assertThat(quire.confidenceOf("screws/plate-1/underHeadMm"))
                .as("what was measured stays measured")
                .isEqualTo(Confidence.MEASURED);
        assertThat(quire.connectors())
                .extracting(Connector::role)
                .containsExactly(PlugRole.BATTERY, PlugRole.PANEL, PlugRole.TOUCH, PlugRole.KEY);
        assertThat(quire.confidenceOf("connectors/battery-card/role")).isEqualTo(Confidence.GUESS);
        assertThat(quire.front().panel()).isEqualTo(PanelType.LCD);
        assertThat(quire.confidenceOf("front/panel")).isEqualTo(Confidence.GUESS);
        // Its battery is only reached under the panel: so there is one, whatever else is not known of it.
        assertThat(quire.inside()).extracting(Inside::id).containsExactly("plate", "plug-shield", "panel");
        assertThat(OrderGraph.of(quire).before(new Move(Act.UNPLUG, "battery-card")))
                .contains(new Move(Act.OFF, "panel"), OrderGraph.FRONT_OPEN);
    }

    @Test
    void sealAndOpticalBondWereOneList() throws IOException {
        ProfileDocument dial = read("pellow-dial-45");
        assertThat(dial.seals()).containsExactly(AdhesiveKind.DIE_CUT);
        assertThat(dial.opticalBonds()).containsExactly(OpticalBond.LIQUID);
        assertThat(dial.front().panel()).isEqualTo(PanelType.OLED);
        assertThat(OrderGraph.of(dial).isolation())
                .as("no battery's plug was asked for")
                .isEmpty();
    }

    private ObjectNode file(String id) throws IOException {
        ObjectNode tree =
                (ObjectNode) Client.JSON.readTree(Files.readString(ReplayTest.BOOK.resolve("drumlin-crate-10.json")));
        return tree.put("id", id).put("name", "Old " + id);
    }

    @Test
    void isImportedAndDrawnOn() throws IOException {
        String id = "old-" + UUID.randomUUID();
        assertThat(lead.text("/api/book-import", file(id).toString()).status()).isEqualTo(200);
        JsonNode detail = lead.get("/api/book/" + id).json();
        assertThat(detail.get("document").get("format").asString()).isEqualTo("ridgefall-device/2");
        JsonNode checked = lead.post("/api/book-check", detail.get("document")).json();
        assertThat(checked.get("flaws")).isEmpty();
        assertThat(checked.get("gaps").valueStream().map(gap -> gap.get("path").asString()))
                .contains("inside", "connectors/front-plug/place", "screws/hatch-1/stackMm");
        assertThat(checked.get("orders").get(0).get("moves").get(0))
                .isEqualTo(
                        Client.JSON.readTree("{\"words\":\"Battery slide-in plug\",\"isolates\":true,\"live\":false}"));
        assertThat(lead.post("/api/book/" + id + "/release", Map.of()).status()).isEqualTo(200);
    }

    @Test
    void isJudgedByTheSchemaItWasWrittenTo() throws IOException {
        ObjectNode bad = file("old-bad");
        bad.remove("adhesives");
        Answer answer = lead.text("/api/book-import", bad.toString());
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text("field")).isEqualTo("adhesives");
    }

    @Test
    void isNotRewrittenAndItsJobsGoOn() throws IOException {
        String id = "old-" + UUID.randomUUID();
        assertThat(lead.text("/api/book-import", file(id).toString()).status()).isEqualTo(200);
        // As a shop has it that drew the device before there was another format.
        JdbcClient jdbc = app.bean(JdbcClient.class);
        jdbc.sql("update device_version set document = cast(:old as jsonb) where device_id = :id")
                .param("old", file(id).toString())
                .param("id", id)
                .update();
        assertThat(lead.post("/api/book/" + id + "/release", Map.of()).status()).isEqualTo(200);
        UUID job = UUID.randomUUID();
        assertThat(lead.post(
                                "/api/jobs",
                                Map.of(
                                        "commandId",
                                        job,
                                        "profileId",
                                        id,
                                        "variantId",
                                        "cellular",
                                        "owner",
                                        "Hut",
                                        "fault",
                                        "cracked"))
                        .status())
                .isEqualTo(200);
        assertThat(lead.get("/api/jobs/" + job)
                        .json()
                        .get("steps")
                        .valueStream()
                        .map(step -> step.get("id").asString()))
                .contains("strip.isolate", "strip.antenna-coax", "carry.antenna")
                .doesNotContain("strip.battery-plug");
        assertThat(jdbc.sql("select document ->> 'format' from device_version where device_id = :id")
                        .param("id", id)
                        .query(String.class)
                        .list())
                .isEqualTo(List.of("ridgefall-device/1"));
    }
}
