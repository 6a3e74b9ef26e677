package ridgefall.app.instrument;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Instruments.Instrument;

/** What readers and meters of the bench see right now. They are asked all the time, so nobody waits for one. */
@Component
public class Readers {
    /** Three rounds of questions; what is older was of another device. */
    private static final Duration FRESH = Duration.ofSeconds(6);

    private final Instruments instruments;
    private final Watch watch;
    private final Clock clock;

    Readers(Instruments instruments, Watch watch, Clock clock) {
        this.instruments = instruments;
        this.watch = watch;
        this.clock = clock;
    }

    /** @param answers whether a card answers; null where the reader itself does not */
    public record Seen(String reader, Boolean answers) {
        public String words() {
            return reader + ": " + (answers == null ? "does not answer" : Quantity.CARD.words(answers ? 1 : 0));
        }
    }

    /** @param value in the quantity's unit */
    public record Read(String instrument, double value) {}

    /** What the first instrument of a quantity says right now; empty where none does. */
    public Optional<Read> latest(Quantity quantity) {
        return instruments.all().stream()
                .flatMap(instrument -> said(instrument)
                        .filter(said -> said.quantity() == quantity)
                        .map(said -> new Read(instrument.name(), said.value())))
                .findFirst();
    }

    /** The first reader; empty where the bench has none. */
    public Optional<Seen> seen() {
        return instruments.all().stream()
                .filter(instrument ->
                        instrument.channels().stream().anyMatch(channel -> channel.quantity() == Quantity.CARD))
                .findFirst()
                .map(this::seen);
    }

    private Seen seen(Instrument reader) {
        return new Seen(
                reader.name(),
                fresh(watch.status(reader.id()))
                        ? said(reader)
                                .filter(said -> said.quantity() == Quantity.CARD)
                                .anyMatch(said -> said.value() >= Quantity.CARD_ANSWERS)
                        : null);
    }

    /** What is no longer so, or of one in trouble, is nothing. */
    private Stream<Watch.Said> said(Instrument instrument) {
        Watch.Status status = watch.status(instrument.id());
        return fresh(status) ? status.said().stream() : Stream.empty();
    }

    private boolean fresh(Watch.Status status) {
        Instant latest = status.answeredAt();
        return latest != null && latest.plus(FRESH).isAfter(clock.instant()) && status.trouble() == null;
    }
}
