package ridgefall.core.carry;

import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.units.Allowed;

/** What moves from the old front to the new one, or does not. */
public sealed interface CarryFact extends Fact.Of<CarryState> {
    Family<CarryState> FAMILY = new Family<>(CarryFact.class, CarryState.NOTHING, CarryState::hears);

    String partId();

    @Override
    default Family<CarryState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.CARRY);
    }

    record CarriedOver(String partId) implements CarryFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.moved(partId);
        }

        @Override
        public String words(FactWords told) {
            return part(partId, told) + " carried over";
        }
    }

    /** The feature that hangs on this part is given up, and why. */
    record CarryOverLost(String partId, String reason) implements CarryFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("reason", reason, 200);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.lost(partId, reason);
        }

        @Override
        public String words(FactWords told) {
            return part(partId, told) + " lost" + FactWords.because(reason);
        }
    }

    private static String part(String id, FactWords told) {
        return FactWords.name(
                id,
                Stream.of(
                                told.profile().carryOvers().stream().map(p -> new String[] {p.id(), p.words()}),
                                told.profile().pairedParts().stream().map(p -> new String[] {p.id(), p.words()}),
                                Stream.<String[]>of(new String[] {CarryStation.PANEL, "Panel"}))
                        .flatMap(some -> some),
                pair -> pair[0],
                pair -> pair[1]);
    }
}
