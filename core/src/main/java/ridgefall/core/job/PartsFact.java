package ridgefall.core.job;

import java.util.List;
import java.util.UUID;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.Allowed;

/** Which part of the shelf goes into this job. */
public sealed interface PartsFact extends Fact {
    @Override
    default Station station() {
        return Station.PARTS;
    }

    /** One piece of a stock row is this job's now; what it brings is written down as it was then. */
    record PartReserved(UUID stockId, PartKind kind, Grade grade, String words, List<Brings> brings)
            implements PartsFact {
        public PartReserved {
            Allowed.present("stockId", stockId);
            Allowed.present("kind", kind);
            Allowed.present("grade", grade);
            Allowed.text("words", words, 160);
            brings = List.copyOf(Allowed.present("brings", brings));
        }
    }

    /** Back on the shelf. */
    record PartReturned(UUID stockId) implements PartsFact {
        public PartReturned {
            Allowed.present("stockId", stockId);
        }
    }
}
