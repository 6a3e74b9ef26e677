package ridgefall.core.strip;

import java.util.Optional;
import java.util.Set;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.units.Allowed;

/** What comes off inside, and how many screws. */
public sealed interface StripFact extends Fact.Of<StripState> {
    Family<StripState> FAMILY = new Family<>(StripFact.class, StripState.NOTHING, StripState::hears);

    /** The step that a count of screws answers: whichever way they are counted, both counts are weighed anew. */
    String SCREWS_IN = "seal.screws";

    enum Isolation {
        UNPLUGGED,
        CARD_UNDER_CONTACT
    }

    enum Count {
        OUT,
        IN
    }

    @Override
    default Family<StripState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.STRIP);
    }

    record BatteryIsolated(Isolation how) implements StripFact {
        @Override
        public void check() {
            Allowed.present("how", how);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.isolated(how);
        }

        @Override
        public String words(FactWords told) {
            return how == Isolation.UNPLUGGED ? "Battery unplugged" : "Card under the battery contact";
        }
    }

    /** The power key was held and nothing came on. */
    record IsolationProven() implements StripFact {
        @Override
        public StripState after(StripState before, Entry entry) {
            return before.proven();
        }

        @Override
        public String words(FactWords told) {
            return "Isolation proven with the power key";
        }
    }

    record PlugFreed(String plugId) implements StripFact {
        @Override
        public void check() {
            Allowed.text("plugId", plugId, 40);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.unplugged(plugId);
        }

        @Override
        public String words(FactWords told) {
            return FactWords.name(plugId, told.profile().connectors().stream(), Connector::id, Connector::words)
                    + " unplugged";
        }
    }

    /** Out while stripping down, in before sealing. */
    record ScrewsCounted(Count direction, int screws) implements StripFact {
        @Override
        public void check() {
            Allowed.present("direction", direction);
            Allowed.between("screws", screws, 0, 200, "screws");
        }

        @Override
        public Optional<Station> station() {
            return Optional.of(direction == Count.OUT ? Station.STRIP : Station.SEAL);
        }

        @Override
        public Set<String> answers() {
            return Set.of(SCREWS_IN);
        }

        @Override
        public StripState after(StripState before, Entry entry) {
            return before.counted(direction, screws);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return screws + (direction == Count.OUT ? " screws out" : " screws in");
        }
    }
}
