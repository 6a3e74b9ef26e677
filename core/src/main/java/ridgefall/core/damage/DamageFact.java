package ridgefall.core.damage;

import java.util.Optional;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.units.Allowed;

/** What went wrong at the bench, at whatever station. */
public sealed interface DamageFact extends Fact.Of<DamageState> {
    Family<DamageState> FAMILY = new Family<>(DamageFact.class, DamageState.NOTHING);

    @Override
    default Family<DamageState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.empty();
    }

    enum Mishap {
        SLIP("Slip"),
        NEW_CRACK("New crack"),
        SCREW_DROPPED("Dropped screw"),
        PICK_LOST("Pick fell out");

        private final String words;

        Mishap(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** One tap when something goes wrong; the place is optional. */
    record MishapSeen(Mishap mishap, Double positionMm) implements DamageFact {
        @Override
        public void check() {
            Allowed.present("mishap", mishap);
            if (positionMm != null) {
                Allowed.between("positionMm", positionMm, 0, 4000, "mm along the edge");
            }
        }

        @Override
        public DamageState after(DamageState before, Entry entry) {
            return before.with(entry.happenedAt(), this);
        }

        @Override
        public Page page() {
            return Page.FOUND;
        }

        @Override
        public String words(FactWords told) {
            return mishap.words() + (positionMm == null ? "" : " at {mm:" + positionMm + "}");
        }
    }
}
