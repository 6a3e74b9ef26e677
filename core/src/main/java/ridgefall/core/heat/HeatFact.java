package ridgefall.core.heat;

import java.util.Locale;
import java.util.Optional;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.job.TimerKind;
import ridgefall.core.job.TimerKind.Warmth;
import ridgefall.core.units.Allowed;

/** What heat does to a front, what is tried meanwhile and what is measured. */
public sealed interface HeatFact extends Fact.Of<HeatState> {
    Family<HeatState> FAMILY = new Family<>(HeatFact.class, HeatState.NOTHING, HeatState::hears);

    TimerKind SOAK = new TimerKind("SOAK", "Soaking", Warmth.RISING);
    /** Air on one stretch; it is cut when it is over, with the air still on. */
    TimerKind AIR = new TimerKind("AIR", "Warming a stretch");

    TimerKind WORKABLE = new TimerKind("WORKABLE", "Warm again", Warmth.FALLING);

    /** How a source meets the front: a face lies on it, or an outlet is led along the border. */
    enum Sweep {
        FACE,
        ROUND,
        STRETCH_BY_STRETCH
    }

    enum Surface {
        GLASS,
        FRAME
    }

    @Override
    default Family<HeatState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.HEAT);
    }

    /** Most of what happens, happens to the soak that runs. */
    @Override
    default HeatState after(HeatState before, Entry entry) {
        return before.meanwhile(entry.happenedAt(), this);
    }

    /**
     * Heat meets the front.
     *
     * @param seconds how long it is meant to; for each stretch where it goes stretch by stretch
     * @param dial airflow as the machine's dial counts it; null where there is none
     * @param distanceMm of the outlet from the glass; null where the front lies on the source
     * @param where the stretch that air is led over; null where all is warmed, or nobody said
     */
    record SoakStarted(
            String sourceId,
            double settingC,
            int seconds,
            Double dial,
            Double distanceMm,
            Sweep sweep,
            EdgeInterval where)
            implements HeatFact {
        /** As it was before stretches had a place. */
        public SoakStarted(String sourceId, double settingC, int seconds, Double dial, Double distanceMm, Sweep sweep) {
            this(sourceId, settingC, seconds, dial, distanceMm, sweep, null);
        }

        @Override
        public void check() {
            Allowed.text("sourceId", sourceId, 40);
            Allowed.between("settingC", settingC, 30, 600, "°C");
            Allowed.between("seconds", seconds, 5, 3600, "s");
            Allowed.present("sweep", sweep);
            if (dial != null) {
                Allowed.between("dial", dial, 0, 100, "on the dial");
            }
            if (distanceMm != null) {
                Allowed.between("distanceMm", distanceMm, 5, 300, "mm");
            }
        }

        @Override
        public HeatState after(HeatState before, Entry entry) {
            return before.laidOn(entry, this);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(
                    new Timer.Start(where == null ? SOAK : AIR, seconds), SOAK.id(), AIR.id(), WORKABLE.id());
        }

        @Override
        public boolean irreversible() {
            return true;
        }

        @Override
        public String words(FactWords told) {
            return (sweep == Sweep.FACE ? "Laid on " : "Warmed with ") + told.source(sourceId) + " at {C:"
                    + settingC + "} for {s:" + seconds + "}"
                    + switch (sweep) {
                        case FACE -> "";
                        case ROUND -> ", round the border";
                        case STRETCH_BY_STRETCH -> " a stretch";
                    };
        }
    }

    /** Off the source; the bond is reckoned to stay workable for so long. */
    record SoakEnded(int workableSeconds) implements HeatFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.between("workableSeconds", workableSeconds, 0, 3600, "s");
        }

        @Override
        public HeatState after(HeatState before, Entry entry) {
            return before.takenOff(entry.happenedAt());
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(WORKABLE, workableSeconds), SOAK.id(), AIR.id());
        }

        @Override
        public String words(FactWords told) {
            return "Off the source";
        }
    }

    /** The source runs at another setting from here on. */
    record SettingChanged(double settingC) implements HeatFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.between("settingC", settingC, 30, 600, "°C");
        }

        @Override
        public String words(FactWords told) {
            return "Source set to {C:" + settingC + "}";
        }
    }

    /** It has slipped and lies on an edge only, or lies flat again. */
    record LyingChanged(boolean flat) implements HeatFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public String words(FactWords told) {
            return flat ? "Lies flat again" : "Slipped: lies on an edge only";
        }
    }

    /**
     * The pick was tried at the edge: does it go in without force?
     *
     * @param bondC as the bond was reckoned to be under it; null on its way there, and in journals from before it was kept
     */
    record PickTried(boolean goesIn, Double bondC) implements HeatFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        public PickTried(boolean goesIn) {
            this(goesIn, null);
        }

        @Override
        public void check() {
            if (bondC != null) {
                Allowed.between("bondC", bondC, -40, 400, "°C");
            }
        }

        @Override
        public HeatState after(HeatState before, Entry entry) {
            return before.tried(entry.happenedAt(), this);
        }

        @Override
        public String words(FactWords told) {
            return goesIn ? "Pick goes in" : "Pick does not go in yet";
        }
    }

    /** What a thermometer shows in the air of the bench: warming starts there, and cooling ends there. */
    record RoomRead(double celsius) implements HeatFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.between("celsius", celsius, 5, 40, "°C");
        }

        @Override
        public HeatState after(HeatState before, Entry entry) {
            return before.inRoom(celsius);
        }

        @Override
        public String words(FactWords told) {
            return "The room: {C:" + celsius + "}";
        }
    }

    record TemperatureRead(Surface surface, double celsius) implements HeatFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.present("surface", surface);
            Allowed.between("celsius", celsius, -20, 200, "°C");
        }

        @Override
        public HeatState after(HeatState before, Entry entry) {
            return before.read(entry.happenedAt(), this);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Measured on the " + surface.name().toLowerCase(Locale.ROOT) + ": {C:" + celsius + "}";
        }
    }
}
