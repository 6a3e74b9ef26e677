package ridgefall.app.instrument;

import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
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
import ridgefall.app.instrument.Readings.Run;
import ridgefall.core.heat.HeatFact;

/**
 * Asks every instrument every two seconds and keeps what it says of a run. Each is asked on its own thread: one that is
 * slow, silent or lying keeps nobody waiting, is shown as what it is, and is called again. Of several nodes one asks
 * ({@link Leases}); the others show what it was told.
 */
@Component
class Watch implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Watch.class);

    private final Instruments instruments;
    private final Readings readings;
    private final Leases leases;
    private final ShopNets nets;
    private final Clock clock;
    private final ExecutorService asking = Executors.newCachedThreadPool();
    private final Set<String> busy = ConcurrentHashMap.newKeySet();
    private final Map<String, ScpiLine> lines = new ConcurrentHashMap<>();
    private final Map<String, Status> statuses = new ConcurrentHashMap<>();

    Watch(Instruments instruments, Readings readings, Leases leases, ShopNets nets, Clock clock) {
        this.instruments = instruments;
        this.readings = readings;
        this.leases = leases;
        this.nets = nets;
        this.clock = clock;
    }

    /**
     * How an instrument does.
     *
     * @param trouble null while it answers
     * @param said the last usable answers
     */
    record Status(
            @Schema(nullable = true) String trouble,
            List<Said> said,
            @Schema(nullable = true) Instant answeredAt) {
        static final Status NEW = new Status("not asked yet", List.of(), null);
    }

    record Said(Quantity quantity, String place, double value) {}

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
                        InetSocketAddress place = nets.place(instrument.host(), instrument.port());
                        if (leases.hold(instrument.id())) {
                            ask(instrument, place);
                        } else {
                            hangUp(instrument.id());
                        }
                    } catch (ShopNets.NotCalled e) {
                        // Not held either: another node may have it behind one of its own ports.
                        hangUp(instrument.id());
                        statuses.put(instrument.id(), new Status(e.getMessage(), List.of(), null));
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
    void ask(Instrument instrument, InetSocketAddress place) {
        Optional<Run> run = instrument.attends().equals(HeatFact.SOAK.id())
                ? readings.soakingOn(instrument.sourceId())
                : readings.latest(instrument.attends());
        Status before = own(instrument.id());
        List<Said> said = new ArrayList<>();
        String trouble = null;
        try {
            ScpiLine line = lines.get(instrument.id());
            if (line == null || !line.at(place)) {
                hangUp(instrument.id());
                line = new ScpiLine(place, ShopNets.PATIENCE);
                lines.put(instrument.id(), line);
            }
            boolean thermometer =
                    instrument.channels().stream().anyMatch(channel -> channel.quantity() == Quantity.TEMPERATURE);
            Answer.Unit unit = thermometer ? Answer.Unit.of(line.ask("UNIT:TEMP?")) : Answer.Unit.CELSIUS;
            for (Channel channel : instrument.channels()) {
                if (!channel.known()) {
                    trouble =
                            ScpiLine.shown(channel.query()) + " is no question for this: choose one again under tools";
                    continue;
                }
                Answer answer = Answer.of(line.ask(channel.query()), channel.quantity(), unit);
                if (answer instanceof Answer.Value value) {
                    said.add(new Said(channel.quantity(), channel.place(), value.value()));
                    run.ifPresent(on -> readings.add(
                            on.jobId(),
                            on.seq(),
                            new Reading(
                                    instrument.name(),
                                    channel.quantity(),
                                    channel.place(),
                                    clock.instant(),
                                    value.value())));
                } else if (answer instanceof Answer.Unusable unusable) {
                    trouble = unusable.because();
                }
            }
        } catch (IOException e) {
            trouble = e.getMessage();
            hangUp(instrument.id());
        }
        Status status = new Status(
                trouble, said.isEmpty() ? before.said() : said, said.isEmpty() ? before.answeredAt() : clock.instant());
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
