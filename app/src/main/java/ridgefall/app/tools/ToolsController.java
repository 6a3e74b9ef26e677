package ridgefall.app.tools;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.core.heat.Calibration;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatSource.Air;
import ridgefall.core.heat.HeatSource.Kind;
import ridgefall.core.units.NotAllowed;

/** The bench's own list of heat sources. */
@RestController
@RequestMapping("/api/heat-sources")
class ToolsController {
    private final HeatSources sources;

    ToolsController(HeatSources sources) {
        this.sources = sources;
    }

    record KindView(Kind kind, String words, boolean air) {}

    /** Of the offset: true temperature less setting; of an outlet, air less rule of thumb. */
    record MeasuredView(
            String profileId,
            Instant at,
            double contactLow,
            double contactWPerM2K,
            double contactHigh,
            double offsetLowK,
            double offsetK,
            double offsetHighK,
            double rmsK,
            int readings) {
        static MeasuredView of(Calibration measured) {
            return new MeasuredView(
                    measured.profileId(),
                    measured.at(),
                    measured.contactWPerM2K().p10(),
                    measured.contactWPerM2K().p50(),
                    measured.contactWPerM2K().p90(),
                    measured.offsetK().p10(),
                    measured.offsetK().p50(),
                    measured.offsetK().p90(),
                    measured.rmsK(),
                    measured.readings());
        }
    }

    record SourceView(
            String id,
            String name,
            Kind kind,
            String kindWords,
            int minC,
            int maxC,
            double settleS,
            @Schema(nullable = true) Air air,
            @Schema(nullable = true) MeasuredView measured) {
        static SourceView of(HeatSource source) {
            return new SourceView(
                    source.id(),
                    source.name(),
                    source.kind(),
                    source.kind().words(),
                    source.minC(),
                    source.maxC(),
                    source.settleS(),
                    source.air(),
                    Optional.ofNullable(source.measured()).map(MeasuredView::of).orElse(null));
        }
    }

    record SourcesView(List<SourceView> sources, List<KindView> kinds) {}

    record GivenSource(
            String name,
            Kind kind,
            int minC,
            int maxC,
            double settleS,
            @Schema(nullable = true) Air air) {}

    @GetMapping
    SourcesView all() {
        return new SourcesView(
                sources.all().stream().map(SourceView::of).toList(),
                List.of(Kind.values()).stream()
                        .map(kind -> new KindView(kind, kind.words(), kind.air()))
                        .toList());
    }

    @PutMapping("/{sourceId}")
    SourcesView put(@PathVariable String sourceId, @RequestBody GivenSource given) {
        sources.put(new HeatSource(
                sourceId, given.name(), given.kind(), given.minC(), given.maxC(), given.settleS(), given.air(), null));
        return all();
    }

    @DeleteMapping("/{sourceId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway(@PathVariable String sourceId) {
        HeatSource.byId(sources.all(), sourceId);
        if (sources.all().size() == 1) {
            throw new NotAllowed("sourceId", sourceId, "another: a bench without a heat source can't plan");
        }
        sources.putAway(sourceId);
    }

    /** What was measured of it counts no longer: another mat, another sensor. */
    @DeleteMapping("/{sourceId}/calibration")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@PathVariable String sourceId) {
        HeatSource.byId(sources.all(), sourceId);
        sources.withdrawCalibrations(sourceId);
    }
}
