package ridgefall.app.live;

import io.swagger.v3.oas.annotations.Hidden;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.TimeUnit;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every open screen which job changed. What one node appends reaches the screens of all nodes by LISTEN/NOTIFY.
 * After a gap (database away) every screen is told to look again at everything.
 */
@RestController
class Live implements SmartLifecycle {
    static final String CHANNEL = "ridgefall_journal";
    private static final Logger LOG = LoggerFactory.getLogger(Live.class);
    private static final int POLL_MS = 500;

    private final DataSourceProperties database;
    private final Screens screens = new Screens();
    private volatile boolean running;
    private Thread listener;

    Live(DataSourceProperties database) {
        this.database = database;
    }

    @Hidden
    @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live() {
        SseEmitter screen = new SseEmitter(0L);
        screens.open(screen);
        return screen;
    }

    /** Without a word now and then, a screen could not tell a quiet bench from a dead line. */
    @Scheduled(fixedRate = 4000)
    void beat() {
        screens.broadcast("beat", "{}");
    }

    private void listen() {
        boolean gap = false;
        while (running) {
            try (Connection connection = DriverManager.getConnection(
                            database.determineUrl(), database.determineUsername(), database.determinePassword());
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + CHANNEL);
                if (gap) {
                    screens.broadcast("look-again", "{}");
                }
                PGConnection notifications = connection.unwrap(PGConnection.class);
                while (running) {
                    PGNotification[] arrived = notifications.getNotifications(POLL_MS);
                    for (PGNotification one : arrived == null ? new PGNotification[0] : arrived) {
                        screens.broadcast("changed", one.getParameter());
                    }
                }
            } catch (SQLException | RuntimeException e) {
                // Whatever happens here, a screen that says it is live must go on hearing of changes.
                gap = true;
                LOG.warn("not listening: {}", e.getMessage());
                pause();
            }
        }
    }

    private static void pause() {
        try {
            TimeUnit.SECONDS.sleep(1);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void start() {
        running = true;
        listener = new Thread(this::listen, "journal-listener");
        listener.setDaemon(true);
        listener.start();
    }

    @Override
    public void stop() {
        running = false;
        listener.interrupt();
        screens.close();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Before the web server's graceful shutdown, which would wait for open event streams. */
    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }
}
