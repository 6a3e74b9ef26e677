package ridgefall.app.instrument;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.instrument.Instruments.Instrument;
import ridgefall.app.instrument.Watch.Status;
import ridgefall.app.tools.HeatSources;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.job.TimerKind;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

@RestController
@RequestMapping("/api/instruments")
class InstrumentController {
    private final Instruments instruments;
    private final Watch watch;
    private final HeatSources sources;
    private final ShopNets nets;

    InstrumentController(Instruments instruments, Watch watch, HeatSources sources, ShopNets nets) {
        this.instruments = instruments;
        this.watch = watch;
        this.sources = sources;
        this.nets = nets;
    }

    record GivenInstrument(
            String name,
            String host,
            int port,
            String attends,
            @Schema(nullable = true) String sourceId,
            List<Channel> channels) {}

    record InstrumentView(
            String id,
            String name,
            String host,
            int port,
            String attends,
            @Schema(nullable = true) String sourceId,
            List<Channel> channels,
            StatusView status) {}

    /** @param trouble null while it answers */
    record StatusView(
            @Schema(nullable = true) String trouble,
            List<SaidView> said,
            @Schema(nullable = true) Instant answeredAt) {
        static StatusView of(Status status) {
            return new StatusView(
                    status.trouble(),
                    status.said().stream()
                            .map(said ->
                                    new SaidView(said.place(), said.quantity().words(said.value())))
                            .toList(),
                    status.answeredAt());
        }
    }

    /** @param words value and unit, with temperatures as texts of steps have theirs */
    record SaidView(String place, String words) {}

    /** What an instrument can attend to, and what it can measure. */
    record RunKind(String id, String words, boolean onASource) {}

    /** @param questions one of which is put for it */
    record QuantityView(Quantity id, String unit, List<String> questions) {}

    /** @param nets in which instruments may be called, as {@link Net} has them */
    record GivenNets(List<String> nets) {}

    /**
     * @param places that the bench's own reckoning knows; any other word will do
     * @param nets in which a lead lets instruments be called
     */
    record InstrumentsView(
            List<InstrumentView> instruments,
            List<RunKind> runs,
            List<QuantityView> quantities,
            List<String> places,
            List<String> nets) {}

    @GetMapping
    InstrumentsView all() {
        return new InstrumentsView(
                instruments.all().stream()
                        .map(i -> new InstrumentView(
                                i.id(),
                                i.name(),
                                i.host(),
                                i.port(),
                                i.attends(),
                                i.sourceId(),
                                i.channels(),
                                StatusView.of(watch.status(i.id()))))
                        .toList(),
                Stream.concat(
                                Course.CLOCKS.stream()
                                        .map(kind -> new RunKind(kind.id(), kind.words(), kind.equals(HeatFact.SOAK))),
                                Stream.of(new RunKind(Instruments.NO_RUN, "no run, when it is needed", false)))
                        .toList(),
                Stream.of(Quantity.values())
                        .map(q -> new QuantityView(q, q.unit(), q.questions()))
                        .toList(),
                Stream.concat(Stream.of(HeatFact.Surface.values()).map(Enum::name), Stream.of(Channel.SOURCE))
                        .toList(),
                nets.named());
    }

    /** What is in none of them any more is not called again. */
    @PutMapping("/nets")
    InstrumentsView nets(@RequestBody GivenNets given) {
        nets.name(given.nets());
        return all();
    }

    @PutMapping("/{instrumentId}")
    InstrumentsView put(@PathVariable String instrumentId, @RequestBody GivenInstrument given) {
        Instrument instrument = new Instrument(
                instrumentId,
                given.name(),
                given.host(),
                given.port(),
                given.attends(),
                given.sourceId(),
                given.channels());
        List<String> kinds = Stream.concat(Course.CLOCKS.stream().map(TimerKind::id), Stream.of(Instruments.NO_RUN))
                .toList();
        if (!kinds.contains(instrument.attends())) {
            throw new NotAllowed("attends", instrument.attends(), "one of " + String.join(", ", kinds));
        }
        if (instrument.attends().equals(HeatFact.SOAK.id())) {
            HeatSource.byId(sources.all(), Allowed.present("sourceId", instrument.sourceId()));
        }
        instrument.channels().forEach(Channel::check);
        nets.check(instrument.host(), instrument.port());
        instruments.put(instrument);
        watch.hangUp(instrumentId);
        return all();
    }

    @DeleteMapping("/{instrumentId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String instrumentId) {
        if (!instruments.remove(instrumentId)) {
            throw new NotAllowed("instrumentId", instrumentId, "an instrument of this bench");
        }
        watch.hangUp(instrumentId);
    }
}
