package ridgefall.core.parts;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.Allowed;

/** Which part of the shelf goes into this job. A piece changes hands with each, so none is taken back as a mis-tap. */
public sealed interface PartsFact extends Fact.Of<PartsState> {
    Family<PartsState> FAMILY = new Family<>(PartsFact.class, PartsState.NOTHING);

    @Override
    default Family<PartsState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.PARTS);
    }

    @Override
    default boolean canBeTakenBack() {
        return false;
    }

    /** One piece of a stock row is this job's now; what it brings is written down as it was then. */
    record PartReserved(UUID stockId, PartKind kind, Grade grade, String words, List<Brings> brings)
            implements PartsFact {
        public PartReserved {
            brings = brings == null ? null : List.copyOf(brings);
        }

        @Override
        public void check() {
            Allowed.present("stockId", stockId);
            Allowed.present("kind", kind);
            Allowed.present("grade", grade);
            Allowed.text("words", words, 160);
            Allowed.present("brings", brings);
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.with(this);
        }

        @Override
        public String words(FactWords told) {
            return "Taken off the shelf: " + words;
        }
    }

    /** Back on the shelf. */
    record PartReturned(UUID stockId) implements PartsFact {
        @Override
        public void check() {
            Allowed.present("stockId", stockId);
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.without(stockId);
        }

        @Override
        public String words(FactWords told) {
            return "A part went back to the shelf";
        }
    }
}
