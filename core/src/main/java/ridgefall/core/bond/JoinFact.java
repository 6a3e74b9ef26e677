package ridgefall.core.bond;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.edge.Landmark;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.profile.ProfileDocument.OpticalBond;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** New glass joined to the panel that was kept, with clear liquid and a lamp. */
public sealed interface JoinFact extends Fact.Of<Joining>
        permits JoinFact.JoinedWith,
                JoinFact.LampRead,
                JoinFact.LiquidLaid,
                JoinFact.CornerReached,
                JoinFact.LiquidSpread,
                JoinFact.LiquidLifted,
                JoinFact.LampOn,
                JoinFact.LampOff,
                FilmFact {
    Family<Joining> FAMILY = new Family<>(JoinFact.class, Joining.NOTHING, Joining::hears);

    /** No clock here runs longer. */
    int LONGEST_S = 7200;

    @Override
    default Family<Joining> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.BOND);
    }

    /** Where both are at hand. */
    record JoinedWith(OpticalBond with) implements JoinFact {
        @Override
        public void check() {
            Allowed.present("with", with);
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.with(with);
        }

        @Override
        public String words(FactWords told) {
            return "Glass to be joined with " + with.words();
        }
    }

    /**
     * As a radiometer reads where the glass lies: a lamp fades, and at twice the distance gives a quarter.
     *
     * @param lampId of the shelf; null where its list has none
     * @param awayMm from lamp to glass; null where nobody measured
     */
    record LampRead(double mwPerCm2, String lampId, Double awayMm) implements JoinFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        public LampRead(double mwPerCm2) {
            this(mwPerCm2, null, null);
        }

        @Override
        public void check() {
            Allowed.between("mwPerCm2", mwPerCm2, 1, 2000, "mW/cm²");
            Allowed.optionalText("lampId", lampId, 60);
            if (awayMm != null) {
                Allowed.between("awayMm", awayMm, 5, 500, "mm");
            }
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.lamp(this);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Lamp where the glass lies: " + mwPerCm2 + " mW/cm²";
        }
    }

    /**
     * @param dots of equal size
     * @param seconds until it is reckoned to reach the corners
     * @param expires printed on the syringe
     * @param supplyId of the shelf; null where its list has none
     * @param ml of it; null where nobody counted
     * @param doseJPerCm2 printed on it; null for as it mostly is
     */
    record LiquidLaid(int dots, int seconds, LocalDate expires, String supplyId, Double ml, Double doseJPerCm2)
            implements JoinFact {
        public LiquidLaid(int dots, int seconds, LocalDate expires) {
            this(dots, seconds, expires, null, null, null);
        }

        @Override
        public void check() {
            Allowed.between("dots", dots, 1, 100, "dots");
            Allowed.between("seconds", seconds, 5, LONGEST_S, "s");
            Allowed.present("expires", expires);
            Allowed.optionalText("supplyId", supplyId, 60);
            if (ml != null) {
                Allowed.between("ml", ml, 0, 100, "ml");
            }
            if (doseJPerCm2 != null) {
                Allowed.between("doseJPerCm2", doseJPerCm2, 0.2, 30, "J/cm²");
            }
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.laid(new Joining.Liquid(
                    dots,
                    entry.happenedAt(),
                    Map.of(),
                    false,
                    doseJPerCm2 == null ? OpticalLiquid.DOSE_J_PER_CM2 : doseJPerCm2));
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(GlassJoin.SPREADING, seconds));
        }

        @Override
        public String words(FactWords told) {
            return "Optical liquid laid in " + (dots == 1 ? "one dot" : dots + " dots") + ", to be used by {day:"
                    + expires + "}";
        }
    }

    /** Somebody sees it at one of the corners. */
    record CornerReached(Landmark corner) implements JoinFact {
        @Override
        public void check() {
            if (corner == null || !corner.isCorner()) {
                throw new NotAllowed("corner", corner, "TOP_RIGHT, BOTTOM_RIGHT, BOTTOM_LEFT or TOP_LEFT");
            }
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.reached(corner, entry.happenedAt());
        }

        @Override
        public String words(FactWords told) {
            return "Optical liquid at the " + told.profile().placeName(corner);
        }
    }

    /** It is at every corner. */
    record LiquidSpread() implements JoinFact {
        @Override
        public Joining after(Joining before, Entry entry) {
            return before.spread();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(GlassJoin.SPREADING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Optical liquid at every corner";
        }
    }

    /** A bubble or dust: the glass comes off again, both are wiped, and it is laid anew. */
    record LiquidLifted(String reason) implements JoinFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.text("reason", reason, 200);
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.lifted();
        }

        @Override
        public boolean voids(String id) {
            return GlassJoin.AGAIN.contains(id);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(
                    GlassJoin.SPREADING.id(), GlassJoin.LAMP.id(), FilmJoin.PRESSING.id(), FilmJoin.CHAMBER.id());
        }

        @Override
        public Page page() {
            return Page.WENT_WRONG;
        }

        @Override
        public String words(FactWords told) {
            return "Glass off again" + FactWords.because(reason);
        }
    }

    /**
     * @param seconds that the lamp is set to
     * @param lampId of the shelf; null where its list has none
     */
    record LampOn(Lit lit, double mwPerCm2, int seconds, String lampId) implements JoinFact {
        public LampOn(Lit lit, double mwPerCm2, int seconds) {
            this(lit, mwPerCm2, seconds, null);
        }

        @Override
        public void check() {
            Allowed.optionalText("lampId", lampId, 60);
            Allowed.present("lit", lit);
            Allowed.between("mwPerCm2", mwPerCm2, 1, 2000, "mW/cm²");
            Allowed.between("seconds", seconds, 5, LONGEST_S, "s");
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.on(new Joining.Lamp(lit, mwPerCm2, seconds, entry.happenedAt()));
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(GlassJoin.LAMP, seconds));
        }

        @Override
        public String words(FactWords told) {
            return "Lamp on, " + lit.words() + ": {s:" + seconds + "} at " + mwPerCm2 + " mW/cm²";
        }
    }

    /** What it gave until then counts; never longer than it was set to. */
    record LampOff() implements JoinFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.off(entry.happenedAt());
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(GlassJoin.LAMP.id());
        }

        @Override
        public String words(FactWords told) {
            return "Lamp off";
        }
    }
}
