package ridgefall.core.heat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.heat.HeatFact.LyingChanged;
import ridgefall.core.heat.HeatFact.PickTried;
import ridgefall.core.heat.HeatFact.SettingChanged;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatFact.TemperatureRead;
import ridgefall.core.intake.IntakeFact.Battery;
import ridgefall.core.intake.IntakeFact.BatterySeen;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fold;
import ridgefall.core.job.JobState;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Hand;
import ridgefall.core.stop.StopFact;

/**
 * What heat a device had so far, in its order.
 *
 * @param sealedIn soaks of before the front was sealed, where it was opened again since
 * @param tries picks tried since, in their order
 * @param roomC as the room was read last; null where nobody did
 */
public record HeatState(
        List<Soak> soaks, List<TemperatureRead> readings, int sealedIn, List<PickTried> tries, Double roomC) {
    static final HeatState NOTHING = new HeatState(List.of(), List.of(), 0, List.of(), null);

    public static HeatState of(JobState job) {
        return job.of(HeatFact.FAMILY);
    }

    /** Whether this front was warmed since it was last closed. */
    public boolean warmed() {
        return soaks.size() > sealedIn;
    }

    /** What is dangerous comes off its source; what is opened again is cold. */
    HeatState hears(Entry entry) {
        boolean swollen = entry.fact() instanceof BatterySeen seen && seen.battery() == Battery.SWOLLEN;
        if (swollen || entry.fact() instanceof StopFact.CellBad) {
            return takenOff(entry.happenedAt());
        }
        return entry.fact() instanceof DetourFact.Reopened
                ? new HeatState(soaks, readings, soaks.size(), List.of(), roomC)
                : this;
    }

    /**
     * One soak; {@code endedAt} is null while it lies on the source.
     *
     * @param happened what was changed, tried and measured meanwhile, in order
     */
    public record Soak(long seq, SoakStarted started, Instant startedAt, Instant endedAt, List<Happening> happened) {
        public boolean running() {
            return endedAt == null;
        }

        public String sourceId() {
            return started.sourceId();
        }

        /** What the source is set to by now. */
        public double settingC() {
            return happened.stream()
                    .filter(h -> h.fact() instanceof SettingChanged)
                    .map(h -> ((SettingChanged) h.fact()).settingC())
                    .reduce(started.settingC(), (before, after) -> after);
        }

        /** False once it has slipped, until it lies flat again. */
        public boolean flat() {
            return happened.stream()
                    .filter(h -> h.fact() instanceof LyingChanged)
                    .map(h -> ((LyingChanged) h.fact()).flat())
                    .reduce(true, (before, after) -> after);
        }

        public int seconds() {
            return started.seconds();
        }

        private Soak ended(Instant at) {
            return running() ? new Soak(seq, started, startedAt, at, happened) : this;
        }

        private Soak with(Instant at, HeatFact fact) {
            double seconds = Duration.between(startedAt, at).toMillis() / 1000.0;
            return running()
                    ? new Soak(seq, started, startedAt, null, Fold.plus(happened, new Happening(seconds, fact)))
                    : this;
        }
    }

    /** Something during a soak, so many seconds after it began. */
    public record Happening(double seconds, HeatFact fact) {}

    HeatState laidOn(Entry entry, SoakStarted started) {
        Soak soak = new Soak(entry.seq(), started, entry.happenedAt(), null, List.of());
        return new HeatState(Fold.plus(takenOff(entry.happenedAt()).soaks, soak), readings, sealedIn, tries, roomC);
    }

    public HeatState takenOff(Instant at) {
        return new HeatState(soaks.stream().map(soak -> soak.ended(at)).toList(), readings, sealedIn, tries, roomC);
    }

    HeatState meanwhile(Instant at, HeatFact fact) {
        return new HeatState(
                soaks.stream().map(soak -> soak.with(at, fact)).toList(), readings, sealedIn, tries, roomC);
    }

    HeatState read(Instant at, TemperatureRead reading) {
        return new HeatState(meanwhile(at, reading).soaks, Fold.plus(readings, reading), sealedIn, tries, roomC);
    }

    HeatState tried(Instant at, PickTried pick) {
        return new HeatState(meanwhile(at, pick).soaks, readings, sealedIn, Fold.plus(tries, pick), roomC);
    }

    HeatState inRoom(double celsius) {
        return new HeatState(soaks, readings, sealedIn, tries, celsius);
    }

    /** Picks tried where the bond's temperature was reckoned, as they tell of the hand. */
    public List<Hand.Try> tries(Adhesive adhesive) {
        return tries.stream()
                .filter(pick -> pick.bondC() != null)
                .map(pick -> new Hand.Try(adhesive, pick.bondC(), pick.goesIn()))
                .toList();
    }

    /** What heat it had since it was last closed. */
    public List<Soak> soaksSinceOpened() {
        return soaks.subList(sealedIn, soaks.size());
    }

    public Optional<Soak> lastSoak() {
        return soaks.isEmpty() ? Optional.empty() : Optional.of(soaks.get(soaks.size() - 1));
    }

    public Optional<Soak> runningSoak() {
        return soaks.stream().filter(Soak::running).findFirst();
    }
}
