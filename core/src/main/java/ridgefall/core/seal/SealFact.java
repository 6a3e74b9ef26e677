package ridgefall.core.seal;

import java.util.Optional;
import ridgefall.core.bond.BeadLaying;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.units.Allowed;

/** The front goes on for good. */
public sealed interface SealFact extends Fact.Of<SealState> {
    Family<SealState> FAMILY = new Family<>(SealFact.class, SealState.NOTHING, SealState::hears);

    @Override
    default Family<SealState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.SEAL);
    }

    /** A film or a liner is off. */
    record CoverRemoved(String coverId) implements SealFact {
        @Override
        public void check() {
            Allowed.text("coverId", coverId, 40);
        }

        @Override
        public SealState after(SealState before, Entry entry) {
            return before.uncovered(coverId);
        }

        @Override
        public String words(FactWords told) {
            return FactWords.name(coverId, told.profile().covers().stream(), Cover::id, Cover::words) + ": off";
        }
    }

    record Sealed() implements SealFact {
        @Override
        public SealState after(SealState before, Entry entry) {
            return before.sealed(entry.happenedAt());
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(Checks.OPEN_TIME, BeadLaying.SKINNING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Front sealed";
        }
    }

    /**
     * How far the front stands over its rim; below 0 it lies under it.
     *
     * @param positionMm along the edge
     */
    record FlushRead(double positionMm, double overMm) implements SealFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.between("positionMm", positionMm, 0, 4000, "mm");
            Allowed.between("overMm", overMm, -3, 3, "mm");
        }

        @Override
        public SealState after(SealState before, Entry entry) {
            return before.read(this);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return FlushGap.words(told.profile(), positionMm) + ": " + over(overMm);
        }

        static String over(double mm) {
            return mm == 0 ? "flush" : mm > 0 ? "{mm:" + mm + "} over the rim" : "{mm:" + -mm + "} under the rim";
        }
    }

    /**
     * A light from the side along one zone of the front.
     *
     * @param zone as {@link DustLook#zones} numbers them
     */
    record ZoneLooked(int zone, DustLook.Speck found) implements SealFact {
        @Override
        public void check() {
            Allowed.between("zone", zone, 1, 100, "zones");
            Allowed.present("found", found);
        }

        @Override
        public SealState after(SealState before, Entry entry) {
            return before.looked(zone, found);
        }

        @Override
        public String words(FactWords told) {
            return "By low light, zone " + zone + ": " + found.words();
        }
    }

    /** What holds a bead's front down until it has cured; squeeze-out is wiped meanwhile. */
    record ClampsSet(int clamps, int wipeSeconds) implements SealFact {
        @Override
        public void check() {
            Allowed.between("clamps", clamps, 1, 200, "clamps");
            Allowed.between("wipeSeconds", wipeSeconds, 60, 7200, "s");
        }

        @Override
        public SealState after(SealState before, Entry entry) {
            return before.clamped();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(BeadLaying.WIPING, wipeSeconds));
        }

        @Override
        public String words(FactWords told) {
            return clamps + " clamps on";
        }
    }

    record SqueezeOutWiped(int cureSeconds) implements SealFact {
        @Override
        public void check() {
            Allowed.between("cureSeconds", cureSeconds, 60, 400_000, "s");
        }

        @Override
        public SealState after(SealState before, Entry entry) {
            return before.wiped();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(BeadLaying.CURING, cureSeconds), BeadLaying.WIPING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Squeeze-out wiped; left clamped";
        }
    }

    record ClampsOff() implements SealFact {
        @Override
        public SealState after(SealState before, Entry entry) {
            return before.unclamped();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(BeadLaying.CURING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Clamps off";
        }
    }
}
