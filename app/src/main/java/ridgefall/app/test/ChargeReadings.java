package ridgefall.app.test;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.core.profile.ProfileDocument.Kind;
import ridgefall.core.test.ChargeTrace;
import ridgefall.core.test.ChargeTrace.Sample;

/** What a meter said of one charge: each current with the voltage, and the temperature, that was read last. */
record ChargeReadings(List<Reading> said, Instant from) {
    ChargeTrace trace(Kind kind) {
        return ChargeTrace.of(
                said.stream()
                        .filter(r ->
                                r.quantity() == Quantity.CURRENT && !r.readAt().isBefore(from))
                        .sorted(Comparator.comparing(Reading::readAt))
                        .map(r -> new Sample(
                                Duration.between(from, r.readAt()).toMillis() / 1000.0,
                                latest(Quantity.VOLTAGE, r.readAt(), 0.0),
                                Math.abs(r.value()),
                                latest(Quantity.TEMPERATURE, r.readAt(), null)))
                        .toList(),
                kind);
    }

    /** The nearest one to that time. */
    private Double latest(Quantity quantity, Instant at, Double none) {
        return said.stream()
                .filter(r -> r.quantity() == quantity)
                .min((a, b) -> apart(a, at).compareTo(apart(b, at)))
                .map(Reading::value)
                .orElse(none);
    }

    private static Duration apart(Reading reading, Instant at) {
        return Duration.between(reading.readAt(), at).abs();
    }
}
