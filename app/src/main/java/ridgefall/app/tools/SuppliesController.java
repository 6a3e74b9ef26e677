package ridgefall.app.tools;

import java.time.Clock;
import java.time.LocalDate;
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
import ridgefall.core.bond.Supply;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The bench's own list of what holds fronts. */
@RestController
@RequestMapping("/api/supplies")
class SuppliesController {
    private final Supplies supplies;
    private final Clock clock;

    SuppliesController(Supplies supplies, Clock clock) {
        this.supplies = supplies;
        this.clock = clock;
    }

    /**
     * @param unit that it is counted in
     * @param measures what else is told of it
     */
    record SupplyKindView(
            SupplyLine.Kind kind,
            String words,
            String unit,
            List<SupplyLine.Measure> measures,
            boolean cutForOne,
            boolean goesOff) {}

    /** @param past whether its day is over */
    record SupplyView(String id, SupplyLine line, boolean past) {}

    record SuppliesView(List<SupplyView> supplies, List<SupplyKindView> kinds) {}

    @GetMapping
    SuppliesView all() {
        return new SuppliesView(
                supplies.all().stream().map(this::view).toList(),
                Stream.of(SupplyLine.Kind.values())
                        .map(kind -> new SupplyKindView(
                                kind, kind.words(), kind.unit(), kind.measures(), kind.cutForOne(), kind.goesOff()))
                        .toList());
    }

    private SupplyView view(Supply supply) {
        SupplyLine line = SupplyLine.of(supply);
        return new SupplyView(
                supply.id(), line, line.expires() != null && line.expires().isBefore(LocalDate.now(clock)));
    }

    @PutMapping("/{supplyId}")
    SuppliesView put(@PathVariable String supplyId, @RequestBody SupplyLine given) {
        supplies.put(given.supply(Allowed.text("supplyId", supplyId, 60)));
        return all();
    }

    @DeleteMapping("/{supplyId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway(@PathVariable String supplyId) {
        if (!supplies.putAway(supplyId)) {
            throw new NotAllowed("supplyId", supplyId, "something on this bench's shelf");
        }
    }
}
