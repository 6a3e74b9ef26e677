package ridgefall.app.instrument;

import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Instruments.Instrument;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.app.instrument.Readings.Soaking;

/**
 * Asks every instrument every two seconds and keeps what it says of a soak. Each is asked on its own thread: one that is
 * slow, silent or lying keeps nobody waiting, is shown as what it is, and is called again. Of several nodes one asks
 * ({@link Leases}); the others show what it was told.
 */
@Component
class Watch implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Watch.class);
    private static final Duration PATIENCE = Duration.ofMillis(1500);

    private final Instruments instruments;
    private final Readings readings;
    private final Leases leases;
    private final Clock clock;
    private final ExecutorService asking = Executors.newCachedThreadPool();
    private final Set<String> busy = ConcurrentHashMap.newKeySet();
    private final Map<String, ScpiLine> lines = new ConcurrentHashMap<>();
    private final Map<String, Status> statuses = new ConcurrentHashMap<>();

    Watch(Instruments instruments, Readings readings, Leases leases, Clock clock) {
        this.instruments = instruments;
        this.readings = readings;
        this.leases = leases;
        this.clock = clock;
    }

    /**
     * How an instrument does.
     *
     * @param trouble null while it answers
     * @param celsius the last usable answers, by what they are the temperature of
     */
    record Status(
            @Schema(nullable = true) String trouble,
            Map<String, Double> celsius,
            @Schema(nullable = true) Instant answeredAt) {
        static final Status NEW = new Status("not asked yet", Map.of(), null);
    }

    Status status(String instrumentId) {
        return leases.told(instrumentId).orElseGet(() -> own(instrumentId));
    }

    private Status own(String instrumentId) {
        return statuses.getOrDefault(instrumentId, Status.NEW);
    }

    @Scheduled(fixedRate = 2000)
    void askAll() {
        List<Instrument> all;
        try {
            all = instruments.all();
        } catch (DataAccessException e) {
            LOG.warn("instruments not asked: {}", e.getMessage());
            return;
        }
        for (Instrument instrument : all) {
            if (busy.add(instrument.id())) {
                asking.execute(() -> {
                    try {
                        if (leases.hold(instrument.id())) {
                            ask(instrument);
                        } else {
                            hangUp(instrument.id());
                        }
                    } catch (RuntimeException e) {
                        // The database may be away: the instrument is asked again, and the journal never noticed.
                        LOG.warn("reading of {} not kept: {}", instrument.name(), e.getMessage());
                    } finally {
                        busy.remove(instrument.id());
                    }
                });
            }
        }
    }

    /** Once round its questions; whoever asks decides when. */
    void ask(Instrument instrument) {
        Optional<Soaking> soaking = readings.soakingOn(instrument.sourceId());
        Status before = own(instrument.id());
        Map<String, Double> said = new LinkedHashMap<>();
        String trouble = null;
        try {
            ScpiLine line = lines.get(instrument.id());
            if (line == null) {
                line = new ScpiLine(instrument.host(), instrument.port(), PATIENCE);
                lines.put(instrument.id(), line);
            }
            Answer.Unit unit = Answer.Unit.of(line.ask("UNIT:TEMP?"));
            for (Map.Entry<String, String> query : instrument.queries().entrySet()) {
                Answer answer = Answer.of(line.ask(query.getValue()), unit);
                if (answer instanceof Answer.Celsius celsius) {
                    said.put(query.getKey(), celsius.value());
                    soaking.ifPresent(soak -> readings.add(
                            soak.jobId(),
                            soak.soakSeq(),
                            new Reading(instrument.name(), query.getKey(), clock.instant(), celsius.value())));
                } else if (answer instanceof Answer.Unusable unusable) {
                    trouble = unusable.because();
                }
            }
        } catch (IOException e) {
            trouble = e.getMessage();
            hangUp(instrument.id());
        }
        Status status = new Status(
                trouble,
                said.isEmpty() ? before.celsius() : said,
                said.isEmpty() ? before.answeredAt() : clock.instant());
        statuses.put(instrument.id(), status);
        leases.told(instrument.id(), status);
    }

    /** The next question goes to whatever is at its address then. */
    void hangUp(String instrumentId) {
        ScpiLine line = lines.remove(instrumentId);
        if (line != null) {
            try {
                line.close();
            } catch (IOException e) {
                LOG.debug("closing: {}", e.getMessage());
            }
        }
    }

    @Override
    public void destroy() {
        asking.shutdownNow();
        try {
            leases.giveBack();
        } catch (DataAccessException e) {
            LOG.debug("leases run out by themselves: {}", e.getMessage());
        }
        lines.keySet().forEach(this::hangUp);
    }
}
