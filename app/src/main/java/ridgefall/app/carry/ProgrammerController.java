package ridgefall.app.carry;

import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.carry.Programmers.Programmer;
import ridgefall.app.carry.SimulatedProgrammer.Fault;
import ridgefall.app.http.Problem;
import ridgefall.app.instrument.ScpiLine;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The programmers of this bench. */
@RestController
@RequestMapping("/api/programmers")
class ProgrammerController {
    private final Programmers programmers;

    ProgrammerController(Programmers programmers) {
        this.programmers = programmers;
    }

    record GivenProgrammer(String name, String host, int port) {}

    record FaultView(Fault id, String words) {}

    /** @param faults that it can be told to play; of a real one none */
    record ProgrammerView(String id, String name, String host, int port, List<FaultView> faults) {
        static ProgrammerView of(Programmer p) {
            return new ProgrammerView(
                    p.id(),
                    p.name(),
                    p.host(),
                    p.port(),
                    standsIn(p)
                            ? Stream.of(Fault.values())
                                    .map(fault -> new FaultView(fault, fault.words()))
                                    .toList()
                            : List.of());
        }
    }

    /**
     * What it says when it is called.
     *
     * @param trouble null where it answers
     */
    record TriedView(
            @Schema(nullable = true) String identity,
            @Schema(nullable = true) String adapter,
            @Schema(nullable = true) String trouble) {}

    record GivenFault(Fault fault) {}

    private static boolean standsIn(Programmer programmer) {
        return programmer.id().equals(StandInProgrammer.ID);
    }

    @GetMapping
    List<ProgrammerView> all() {
        return programmers.all().stream().map(ProgrammerView::of).toList();
    }

    @PutMapping("/{programmerId}")
    List<ProgrammerView> put(@PathVariable String programmerId, @RequestBody GivenProgrammer given) {
        Programmer programmer = new Programmer(programmerId, given.name(), given.host(), given.port());
        programmers.check(programmer);
        programmers.put(programmer);
        return all();
    }

    @DeleteMapping("/{programmerId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String programmerId) {
        if (!programmers.remove(programmerId)) {
            throw unknown(programmerId);
        }
    }

    @PostMapping("/{programmerId}/try")
    TriedView tried(@PathVariable String programmerId) {
        try (ProgrammerLine line = programmers.call(known(programmerId))) {
            return new TriedView(ScpiLine.shown(line.identity()), ScpiLine.shown(line.adapter()), null);
        } catch (IOException e) {
            return new TriedView(null, null, String.valueOf(e.getMessage()));
        }
    }

    /** What a stand-in plays at its next job. */
    @PostMapping("/{programmerId}/fault")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void play(@PathVariable String programmerId, @RequestBody GivenFault given) {
        Programmer programmer = known(programmerId);
        Fault fault = Allowed.present("fault", given.fault());
        if (!standsIn(programmer)) {
            throw new NotAllowed("programmerId", programmerId, StandInProgrammer.ID + ": a real one plays nothing");
        }
        try (ProgrammerLine line = programmers.call(programmer)) {
            line.play(fault.name());
        } catch (IOException e) {
            throw Problem.of(
                    HttpStatus.BAD_GATEWAY, "The programmer does not answer", String.valueOf(e.getMessage()), Map.of());
        }
    }

    private Programmer known(String programmerId) {
        return programmers.all().stream()
                .filter(programmer -> programmer.id().equals(programmerId))
                .findFirst()
                .orElseThrow(() -> unknown(programmerId));
    }

    private static NotAllowed unknown(String programmerId) {
        return new NotAllowed("programmerId", programmerId, "a programmer of this bench");
    }
}
