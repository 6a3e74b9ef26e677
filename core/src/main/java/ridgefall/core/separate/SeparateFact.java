package ridgefall.core.separate;

import java.util.Optional;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.units.Allowed;

/** The front comes free. */
public sealed interface SeparateFact extends Fact.Of<SeparateState> {
    /** Before that it is not worth cutting; common practice. */
    int CREEPS_MINUTES = 3;

    TimerKind CREEPING = new TimerKind("CREEPING", "Solvent creeps in");

    Family<SeparateState> FAMILY = new Family<>(SeparateFact.class, SeparateState.NOTHING, SeparateState::hears);

    @Override
    default Family<SeparateState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.SEPARATE);
    }

    /** Cut free, or unclipped. */
    record StretchFreed(String stretchId) implements SeparateFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.text("stretchId", stretchId, 40);
        }

        @Override
        public SeparateState after(SeparateState before, Entry entry) {
            return before.freed(stretchId);
        }

        /** What the air was turned on for is done. */
        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(HeatFact.AIR.id());
        }

        @Override
        public boolean irreversible() {
            return true;
        }

        @Override
        public String words(FactWords told) {
            return told.title("separate." + stretchId) + ": free";
        }
    }

    record WedgeSet(double positionMm) implements SeparateFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            onAnEdge(positionMm);
        }

        @Override
        public SeparateState after(SeparateState before, Entry entry) {
            return before.wedged(positionMm);
        }

        @Override
        public String words(FactWords told) {
            return "Wedge in: " + PlaceWords.at(told.profile(), positionMm);
        }
    }

    record WedgePulled(double positionMm) implements SeparateFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            onAnEdge(positionMm);
        }

        @Override
        public SeparateState after(SeparateState before, Entry entry) {
            return before.unwedged(positionMm);
        }

        @Override
        public String words(FactWords told) {
            return "Wedge out: " + PlaceWords.at(told.profile(), positionMm);
        }
    }

    /** Along the edge, with no source near it; it creeps in before it is cut. */
    record SolventLaid() implements SeparateFact {
        @Override
        public SeparateState after(SeparateState before, Entry entry) {
            return before.wetSince(entry.happenedAt());
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(CREEPING, 60 * CREEPS_MINUTES), HeatFact.WORKABLE.id());
        }

        @Override
        public String words(FactWords told) {
            return "Solvent along the edge";
        }
    }

    /** No smell and nothing wet: a source may come near again. */
    record SolventDry() implements SeparateFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public SeparateState after(SeparateState before, Entry entry) {
            return before.wetSince(null);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(CREEPING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Solvent dry";
        }
    }

    record FrontOpened() implements SeparateFact {
        @Override
        public SeparateState after(SeparateState before, Entry entry) {
            return before.opened();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(HeatFact.WORKABLE.id(), CREEPING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Front open and propped";
        }
    }

    private static void onAnEdge(double positionMm) {
        Allowed.between("positionMm", positionMm, 0, 4000, "mm along the edge");
    }
}
