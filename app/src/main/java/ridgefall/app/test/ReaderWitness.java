package ridgefall.app.test;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Readers;
import ridgefall.app.instrument.Readers.Seen;
import ridgefall.app.job.Witness;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;

/** "It pays" is what the bench's reader says as well, or it is not so; another reader is named by whoever used it. */
@Component
class ReaderWitness implements Witness {
    private final Readers readers;

    ReaderWitness(Readers readers) {
        this.readers = readers;
    }

    @Override
    public Fact heard(UUID jobId, Course here, Fact fact) {
        return asked(here, fact)
                .flatMap(tested -> readers.seen()
                        .filter(reader -> Boolean.TRUE.equals(reader.answers()))
                        .<Fact>map(reader -> new FunctionTested(
                                tested.functionId(), tested.phase(), tested.answer(), reader.words())))
                .orElse(fact);
    }

    @Override
    public List<Hold> against(UUID jobId, Course here, Fact fact) {
        return asked(here, fact)
                .flatMap(tested -> readers.seen()
                        .filter(reader -> Boolean.FALSE.equals(reader.answers()))
                        .map(reader -> nothingAnswers(tested, reader)))
                .stream()
                .toList();
    }

    private static Hold nothingAnswers(FunctionTested tested, Seen reader) {
        return Hold.firm(
                Checks.functionStepId(tested.phase(), tested.functionId()),
                tested.phase().station(),
                reader.words()
                        + ". Move the device about on it, screen awake; it fails, or it works at another reader");
    }

    /** A bare "works" of a function that hangs on a board that was moved. */
    private static Optional<FunctionTested> asked(Course here, Fact fact) {
        return fact instanceof FunctionTested tested
                        && tested.answer() == Answer.PASS
                        && tested.reason() == null
                        && tested.phase() != Phase.BEFORE
                        && here.profile().provenAtReader(tested.functionId())
                ? Optional.of(tested)
                : Optional.empty();
    }
}
