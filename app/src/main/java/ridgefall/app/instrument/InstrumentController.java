package ridgefall.app.instrument;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
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
import ridgefall.core.heat.HeatSource;
import ridgefall.core.units.NotAllowed;

@RestController
@RequestMapping("/api/instruments")
class InstrumentController {
    private final Instruments instruments;
    private final Watch watch;
    private final HeatSources sources;

    InstrumentController(Instruments instruments, Watch watch, HeatSources sources) {
        this.instruments = instruments;
        this.watch = watch;
        this.sources = sources;
    }

    record GivenInstrument(
            String name,
            String host,
            int port,
            String sourceId,
            @Schema(nullable = true) String glassQuery,
            @Schema(nullable = true) String frameQuery,
            @Schema(nullable = true) String surfaceQuery) {}

    record InstrumentView(
            String id,
            String name,
            String host,
            int port,
            String sourceId,
            @Schema(nullable = true) String glassQuery,
            @Schema(nullable = true) String frameQuery,
            @Schema(nullable = true) String surfaceQuery,
            Status status) {}

    @GetMapping
    List<InstrumentView> all() {
        return instruments.all().stream()
                .map(i -> new InstrumentView(
                        i.id(),
                        i.name(),
                        i.host(),
                        i.port(),
                        i.sourceId(),
                        i.glassQuery(),
                        i.frameQuery(),
                        i.surfaceQuery(),
                        watch.status(i.id())))
                .toList();
    }

    @PutMapping("/{instrumentId}")
    List<InstrumentView> put(@PathVariable String instrumentId, @RequestBody GivenInstrument given) {
        Instrument instrument = new Instrument(
                instrumentId,
                given.name(),
                given.host(),
                given.port(),
                given.sourceId(),
                given.glassQuery(),
                given.frameQuery(),
                given.surfaceQuery());
        HeatSource.byId(sources.all(), instrument.sourceId());
        Instruments.onOwnNetwork(instrument.host());
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
