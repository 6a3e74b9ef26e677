package ridgefall.app.live;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpSession;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.http.MediaType;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every open screen which job changed, and what of the whole bench changed with it. What one node appends reaches the
 * screens of all nodes by LISTEN/NOTIFY, and within seconds by the mark where a notice was lost.
 * After a gap (database away) every screen is told to look again at everything.
 */
@RestController
class Live implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Live.class);
    private static final int POLL_MS = 500;
    private static final long MARK_NS = 2_000_000_000L;

    private final DataSourceProperties database;
    private final Marks marks;
    private final List<SeenByAll> seenByAll;
    private final Map<String, Object> shown = new HashMap<>();
    private final Screens screens = new Screens();
    private volatile boolean running;
    private Thread listener;

    Live(DataSourceProperties database, Marks marks, List<SeenByAll> seenByAll) {
        this.database = database;
        this.marks = marks;
        this.seenByAll = seenByAll;
    }

    @Hidden
    @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(HttpSession session) {
        SseEmitter screen = new SseEmitter(0L);
        screens.open(screen, session.getId());
        return screen;
    }

    /** Without a word now and then, a screen could not tell a quiet bench from a dead line. */
    @Scheduled(fixedRate = 4000)
    void beat() {
        screens.broadcast("beat", "{}");
        Set<String> sessions = screens.sessions();
        if (!sessions.isEmpty()) {
            try {
                // One that was opened meanwhile is none of these.
                screens.end(marks.ended(sessions));
            } catch (DataAccessException e) {
                LOG.warn("not known which sessions have ended: {}", e.getMessage());
            }
        }
    }

    private void listen() {
        boolean gap = false;
        while (running) {
            try (Connection connection = DriverManager.getConnection(
                            database.determineUrl(), database.determineUsername(), database.determinePassword());
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + Marks.CHANNEL);
                if (gap) {
                    screens.broadcast("look-again", "{}");
                }
                hear(connection.unwrap(PGConnection.class));
            } catch (SQLException | RuntimeException e) {
                // Whatever happens here, a screen that says it is live must go on hearing of changes.
                gap = true;
                LOG.warn("not listening: {}", e.getMessage());
                pause();
            }
        }
    }

    /** All that arrived while the screens were told of what came before goes out together. */
    private void hear(PGConnection notices) throws SQLException {
        Map<UUID, Long> told = new HashMap<>();
        String mark = marks.since(null).mark();
        long marked = System.nanoTime();
        while (running) {
            Map<UUID, Long> news = new HashMap<>();
            PGNotification[] arrived = notices.getNotifications(POLL_MS);
            for (PGNotification one : arrived == null ? new PGNotification[0] : arrived) {
                Notice.read(one.getParameter()).forEach((job, seq) -> news.merge(job, seq, Math::max));
            }
            if (System.nanoTime() - marked > MARK_NS) {
                // A node that died between its commit and its notice.
                Marks.Since since = marks.since(mark);
                since.changed().forEach((job, seq) -> news.merge(job, seq, Math::max));
                told.keySet().retainAll(since.changed().keySet());
                mark = since.mark();
                marked = System.nanoTime();
            }
            news.entrySet().removeIf(job -> told.getOrDefault(job.getKey(), 0L) >= job.getValue());
            told.putAll(news);
            if (!news.isEmpty()) {
                screens.broadcast("changed", Notice.text(news));
                seenByAll.forEach(this::tellIfChanged);
            }
        }
    }

    private void tellIfChanged(SeenByAll one) {
        Object now = one.now().get();
        if (!now.equals(shown.put(one.event(), now))) {
            screens.broadcast(one.event(), "{}");
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
