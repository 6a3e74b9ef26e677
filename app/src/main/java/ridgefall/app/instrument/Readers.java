package ridgefall.app.instrument;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Instruments.Instrument;

/** What card and payment readers of the bench see right now. They are asked all the time, so nobody waits for one. */
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

    /** The first reader; empty where the bench has none. */
    public Optional<Seen> seen() {
        return instruments.all().stream()
                .filter(instrument ->
                        instrument.channels().stream().anyMatch(channel -> channel.quantity() == Quantity.CARD))
                .findFirst()
                .map(this::seen);
    }

    private Seen seen(Instrument reader) {
        Watch.Status status = watch.status(reader.id());
        Instant latest = status.answeredAt();
        boolean fresh = latest != null && latest.plus(FRESH).isAfter(clock.instant()) && status.trouble() == null;
        return new Seen(
                reader.name(),
                fresh
                        ? status.said().stream()
                                .filter(said -> said.quantity() == Quantity.CARD)
                                .anyMatch(said -> said.value() >= Quantity.CARD_ANSWERS)
                        : null);
    }
}
