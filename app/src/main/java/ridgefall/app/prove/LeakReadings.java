package ridgefall.app.prove;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings.Reading;
import ridgefall.core.prove.LeakTest;
import ridgefall.core.prove.ProveFact.SealTested;
import ridgefall.core.prove.SealProof;

/**
 * What a tester said of one chamber.
 *
 * @param from when it was filled
 */
record LeakReadings(List<Reading> said, Instant from) {
    /** Readings that near the start or the end are averaged. */
    private static final double NEAR_S = 6;

    private static final double START_S = SealProof.SETTLE_S;
    private static final double END_S = SealProof.SETTLE_S + SealProof.TEST_S;

    /** @param kPa over the air's; {@code atOneWarmthKPa} as it would be had the chamber kept its temperature */
    record Pressure(double seconds, double kPa, double atOneWarmthKPa) {}

    List<Pressure> curve() {
        OptionalDouble first = near(Quantity.TEMPERATURE, START_S);
        return said.stream()
                .filter(r -> r.quantity() == Quantity.PRESSURE)
                .map(r -> {
                    double at = seconds(r);
                    double now = near(Quantity.TEMPERATURE, at).orElse(20);
                    return new Pressure(at, r.value(), LeakTest.atOneWarmthKPa(r.value(), now, first.orElse(now)));
                })
                .toList();
    }

    /** Once the test is over, and only of what both channels said then. */
    Optional<SealTested> read(double innerMl) {
        OptionalDouble startKPa = near(Quantity.PRESSURE, START_S);
        OptionalDouble endKPa = near(Quantity.PRESSURE, END_S);
        OptionalDouble startC = near(Quantity.TEMPERATURE, START_S);
        OptionalDouble endC = near(Quantity.TEMPERATURE, END_S);
        boolean over = said.stream().anyMatch(r -> seconds(r) >= END_S);
        return over && startKPa.isPresent() && endKPa.isPresent() && startC.isPresent() && endC.isPresent()
                ? Optional.of(new SealTested(
                        SealProof.USUAL_KPA,
                        hundredths(startKPa.getAsDouble()),
                        hundredths(endKPa.getAsDouble()),
                        SealProof.TEST_S,
                        hundredths(startC.getAsDouble()),
                        hundredths(endC.getAsDouble()),
                        SealProof.USUAL_CHAMBER_ML,
                        innerMl))
                : Optional.empty();
    }

    private static double hundredths(double value) {
        return Math.round(value * 100) / 100.0;
    }

    private OptionalDouble near(Quantity quantity, double atS) {
        return said.stream()
                .filter(r -> r.quantity() == quantity)
                .filter(r -> Math.abs(seconds(r) - atS) <= NEAR_S / 2)
                .mapToDouble(Reading::value)
                .average();
    }

    private double seconds(Reading reading) {
        return Duration.between(from, reading.readAt()).toMillis() / 1000.0;
    }
}
