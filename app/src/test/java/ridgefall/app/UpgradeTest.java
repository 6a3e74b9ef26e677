package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Plans;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import tools.jackson.databind.JsonNode;

/**
 * A shop's data as the version of 28 November 2026 left them, with jobs under way at every station of a tablet, a watch and a
 * ruggedised one. Started on by this version, every job is where it was
 * and takes its next answer.
 */
class UpgradeTest {
    private static final String THEN = "/upgrade/2026-11-28.sql.gz";

    private static void restore(Connection database) throws IOException, SQLException {
        try (InputStream packed = UpgradeTest.class.getResourceAsStream(THEN);
                Statement statement = database.createStatement()) {
            statement.execute(new String(new GZIPInputStream(packed).readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    /** What that version said comes next, by job. */
    private static Map<UUID, String> running(Connection database) throws SQLException {
        Map<UUID, String> next = new TreeMap<>();
        try (Statement statement = database.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select id, station, next_step from public.job where handed_over_at is null")) {
            while (rows.next()) {
                next.put(rows.getObject(1, UUID.class), rows.getString(2) + ": " + rows.getString(3));
            }
        }
        return next;
    }

    private static String next(ConfigurableApplicationContext app, UUID job) {
        Step next = app.getBean(Plans.class)
                .course(app.getBean(Jobs.class).course(job).journal())
                .next()
                .orElseThrow();
        return next.station() + ": " + next.title();
    }

    @Test
    void jobsUnderWayAtEveryStationStayWhereTheyWereAndGoOn() throws IOException, SQLException {
        try (ThrowawayPostgres postgres = new ThrowawayPostgres(false);
                Connection database = DriverManager.getConnection(postgres.url(), "ridgefall", "")) {
            restore(database);
            Map<UUID, String> before = running(database);
            assertThat(before).hasSizeGreaterThan(50);
            try (ConfigurableApplicationContext app = SpringApplication.run(
                    RidgefallApp.class,
                    "--server.port=0",
                    "--ridgefall.warm-up=false",
                    "--ridgefall.thorough-plans=false",
                    "--spring.datasource.url=" + postgres.url(),
                    "--spring.datasource.username=ridgefall")) {
                Map<UUID, String> now = new TreeMap<>();
                before.keySet().forEach(job -> now.put(job, next(app, job)));
                assertThat(now).isEqualTo(before);
                assertThat(now.values().stream().map(at -> at.split(":")[0]).collect(Collectors.toSet()))
                        .containsExactlyInAnyOrder(Arrays.stream(Station.values())
                                .map(Station::name)
                                .toArray(String[]::new));

                Client lead = new Client(App.url(app));
                assertThat(lead.signIn("Marn Ulscarth", "ridge-lead-33").status())
                        .as("whose password is as old")
                        .isEqualTo(200);
                now.forEach((job, at) -> {
                    JsonNode straight = lead.leads(job);
                    if (straight.get("asks").isEmpty()) {
                        long seq = app.getBean(Jobs.class).course(job).state().seq();
                        assertThat(lead.append(job, seq, straight.get("fact")).status())
                                .as(at)
                                .isEqualTo(200);
                    }
                });
            }
        }
    }
}
