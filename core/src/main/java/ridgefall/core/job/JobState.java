package ridgefall.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.job.Fact.Answer;
import ridgefall.core.job.Fact.Count;
import ridgefall.core.job.Fact.Phase;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;

/** What is known of a job after all its facts: a pure fold of the journal. Undone facts don't count. */
public final class JobState {
    /** Half the width, along the edge, that a crack tapped at one place is taken to have. */
    private static final double TAPPED_CRACK_HALF_MM = 4;

    /** An answer with who gave it. */
    public record Given(Answer answer, String reason, Instant at, String who) {}

    /** One soak; {@code endedAt} is null while it lies on the source. */
    public record Soak(long seq, String sourceId, double settingC, int seconds, Instant startedAt, Instant endedAt) {
        public boolean running() {
            return endedAt == null;
        }
    }

    /** A clock that runs at the bench; {@code stoppedAt} is null while it runs. */
    public record Timer(long seq, Kind kind, String words, Instant startedAt, int seconds, Instant stoppedAt) {
        public enum Kind {
            SOAK,
            WORKABLE,
            DRYING,
            PRESSING
        }

        public boolean running() {
            return stoppedAt == null;
        }

        Timer stopped(Instant at) {
            return new Timer(seq, kind, words, startedAt, seconds, at);
        }
    }

    public record Reading(Instant at, Fact.TemperatureRead reading) {}

    public record MishapNote(long seq, Instant at, Fact.MishapSeen mishap) {}

    private final long seq;
    private Fact.JobOpened opened;
    private Instant openedAt;
    private FrontCondition front;
    private final List<EdgeInterval> cracks = new ArrayList<>();
    private Fact.Battery battery;
    private Boolean canSwitchOff;
    private final Map<Phase, Map<String, Given>> functions = new EnumMap<>(Phase.class);
    private final Map<String, Given> checks = new HashMap<>();
    private Fact.RepairAgreed repair;
    private final List<Soak> soaks = new ArrayList<>();
    private final List<Timer> timers = new ArrayList<>();
    private final List<Reading> readings = new ArrayList<>();
    private final Set<String> freed = new LinkedHashSet<>();
    private final Set<Double> wedges = new LinkedHashSet<>();
    private final List<MishapNote> mishaps = new ArrayList<>();
    private boolean frontOpened;
    private Fact.Isolation isolation;
    private boolean isolationProven;
    private final Set<String> plugsFreed = new HashSet<>();
    private final Map<Count, Integer> screws = new EnumMap<>(Count.class);
    private final Set<String> carriedOver = new HashSet<>();
    private final Map<String, String> carryOverLost = new LinkedHashMap<>();
    private TapeSchool school;
    private final Set<String> stripsLaid = new HashSet<>();
    private final Set<String> coversOff = new HashSet<>();
    private Instant sealedAt;
    private Instant handedOverAt;
    private final Set<String> overridden = new HashSet<>();
    private Entry latest;

    private JobState(long seq) {
        this.seq = seq;
    }

    /** Folds a journal; entries in order of their numbers. */
    public static JobState of(List<Entry> journal) {
        JobState state = new JobState(
                journal.isEmpty() ? 0 : journal.get(journal.size() - 1).seq());
        for (Entry entry : effective(journal)) {
            state.take(entry);
        }
        return state;
    }

    /** The entries that count: without those undone and without the undoing. */
    public static List<Entry> effective(List<Entry> journal) {
        Set<Long> undone = new HashSet<>();
        for (Entry entry : journal) {
            if (entry.fact() instanceof Fact.Undone undo) {
                undone.add(undo.seq());
                undone.add(entry.seq());
            }
        }
        return journal.stream().filter(entry -> !undone.contains(entry.seq())).toList();
    }

    private void take(Entry entry) {
        Fact fact = entry.fact();
        Instant at = entry.happenedAt();
        latest = entry;
        // A switch over the sealed type is preview in this Java release: a chain, closed by the exception below.
        if (fact instanceof Fact.JobOpened f) {
            opened = f;
            openedAt = at;
        } else if (fact instanceof Fact.FrontSeen f) {
            front = f.condition();
        } else if (fact instanceof Fact.CrackMarked f) {
            cracks.add(new EdgeInterval(f.fromMm(), f.lengthMm()));
        } else if (fact instanceof Fact.BatterySeen f) {
            battery = f.battery();
        } else if (fact instanceof Fact.PowerSeen f) {
            canSwitchOff = f.canSwitchOff();
        } else if (fact instanceof Fact.FunctionTested f) {
            functions
                    .computeIfAbsent(f.phase(), p -> new HashMap<>())
                    .put(f.functionId(), new Given(f.answer(), f.reason(), at, entry.who()));
        } else if (fact instanceof Fact.RepairAgreed f) {
            repair = f;
        } else if (fact instanceof Fact.CheckAnswered f) {
            checks.put(f.checkId(), new Given(f.answer(), f.reason(), at, entry.who()));
        } else if (fact instanceof Fact.SoakStarted f) {
            stop(Timer.Kind.WORKABLE, at);
            soaks.add(new Soak(entry.seq(), f.sourceId(), f.settingC(), f.seconds(), at, null));
            timers.add(new Timer(entry.seq(), Timer.Kind.SOAK, "Soaking", at, f.seconds(), null));
        } else if (fact instanceof Fact.SoakEnded f) {
            soaks.replaceAll(s ->
                    s.running() ? new Soak(s.seq(), s.sourceId(), s.settingC(), s.seconds(), s.startedAt(), at) : s);
            stop(Timer.Kind.SOAK, at);
            timers.add(new Timer(entry.seq(), Timer.Kind.WORKABLE, "Bond workable", at, f.workableSeconds(), null));
        } else if (fact instanceof Fact.TemperatureRead f) {
            readings.add(new Reading(at, f));
        } else if (fact instanceof Fact.StretchFreed f) {
            freed.add(f.stretchId());
        } else if (fact instanceof Fact.WedgeSet f) {
            wedges.add(f.positionMm());
        } else if (fact instanceof Fact.WedgePulled f) {
            wedges.remove(f.positionMm());
        } else if (fact instanceof Fact.MishapSeen f) {
            mishaps.add(new MishapNote(entry.seq(), at, f));
            if (f.mishap() == Fact.Mishap.NEW_CRACK && f.positionMm() != null) {
                cracks.add(
                        new EdgeInterval(Math.max(0, f.positionMm() - TAPPED_CRACK_HALF_MM), 2 * TAPPED_CRACK_HALF_MM));
            }
        } else if (fact instanceof Fact.FrontOpened) {
            frontOpened = true;
            stop(Timer.Kind.WORKABLE, at);
        } else if (fact instanceof Fact.BatteryIsolated f) {
            isolation = f.how();
            isolationProven = false;
        } else if (fact instanceof Fact.IsolationProven) {
            isolationProven = true;
        } else if (fact instanceof Fact.PlugFreed f) {
            plugsFreed.add(f.plugId());
        } else if (fact instanceof Fact.ScrewsCounted f) {
            screws.put(f.direction(), f.screws());
        } else if (fact instanceof Fact.CarriedOver f) {
            carriedOver.add(f.partId());
            carryOverLost.remove(f.partId());
        } else if (fact instanceof Fact.CarryOverLost f) {
            carryOverLost.put(f.partId(), f.reason());
            carriedOver.remove(f.partId());
        } else if (fact instanceof Fact.TimerStarted f) {
            Timer.Kind kind = Timer.Kind.valueOf(f.kind().name());
            stop(kind, at);
            timers.add(new Timer(entry.seq(), kind, f.kind().words(), at, f.seconds(), null));
        } else if (fact instanceof Fact.TimerStopped f) {
            stop(Timer.Kind.valueOf(f.kind().name()), at);
        } else if (fact instanceof Fact.StripsChosen f) {
            school = f.school();
            stripsLaid.clear();
        } else if (fact instanceof Fact.StripLaid f) {
            stripsLaid.add(f.stripId());
        } else if (fact instanceof Fact.CoverRemoved f) {
            coversOff.add(f.coverId());
        } else if (fact instanceof Fact.Sealed) {
            sealedAt = at;
        } else if (fact instanceof Fact.HandedOver) {
            handedOverAt = at;
            timers.replaceAll(t -> t.running() ? t.stopped(at) : t);
        } else if (fact instanceof Fact.HoldOverridden f) {
            overridden.add(f.holdId());
        } else {
            throw new IllegalStateException("no fold for " + fact.getClass());
        }
    }

    private void stop(Timer.Kind kind, Instant at) {
        timers.replaceAll(t -> t.kind() == kind && t.running() ? t.stopped(at) : t);
    }

    /** Number of the last fact in the journal, undone or not: what the next append expects. */
    public long seq() {
        return seq;
    }

    public Fact.JobOpened opened() {
        return opened;
    }

    public Instant openedAt() {
        return openedAt;
    }

    public Optional<FrontCondition> front() {
        return Optional.ofNullable(front);
    }

    /** Marked at intake or tapped since. */
    public List<EdgeInterval> cracks() {
        return Collections.unmodifiableList(cracks);
    }

    public Optional<Fact.Battery> battery() {
        return Optional.ofNullable(battery);
    }

    public Optional<Boolean> canSwitchOff() {
        return Optional.ofNullable(canSwitchOff);
    }

    public Optional<Given> function(Phase phase, String functionId) {
        return Optional.ofNullable(functions.getOrDefault(phase, Map.of()).get(functionId));
    }

    public Optional<Given> check(String checkId) {
        return Optional.ofNullable(checks.get(checkId));
    }

    public boolean passed(String checkId) {
        return check(checkId).filter(g -> g.answer() == Answer.PASS).isPresent();
    }

    public Optional<Fact.RepairAgreed> repair() {
        return Optional.ofNullable(repair);
    }

    public List<Soak> soaks() {
        return Collections.unmodifiableList(soaks);
    }

    public Optional<Soak> runningSoak() {
        return soaks.stream().filter(Soak::running).findFirst();
    }

    public List<Timer> timers() {
        return Collections.unmodifiableList(timers);
    }

    public Optional<Timer> timer(Timer.Kind kind) {
        return timers.stream().filter(t -> t.kind() == kind && t.running()).findFirst();
    }

    public boolean everTimed(Timer.Kind kind) {
        return timers.stream().anyMatch(t -> t.kind() == kind);
    }

    public List<Reading> readings() {
        return Collections.unmodifiableList(readings);
    }

    /** Stretches cut free, in the order it was done. */
    public List<String> freed() {
        return List.copyOf(freed);
    }

    /** Edge positions of wedges that are in. */
    public List<Double> wedges() {
        return List.copyOf(wedges);
    }

    public List<MishapNote> mishaps() {
        return Collections.unmodifiableList(mishaps);
    }

    public boolean frontOpened() {
        return frontOpened;
    }

    public Optional<Fact.Isolation> isolation() {
        return Optional.ofNullable(isolation);
    }

    public boolean isolationProven() {
        return isolationProven;
    }

    public boolean plugFreed(String plugId) {
        return plugsFreed.contains(plugId);
    }

    public Optional<Integer> screws(Count direction) {
        return Optional.ofNullable(screws.get(direction));
    }

    public boolean carriedOver(String partId) {
        return carriedOver.contains(partId);
    }

    /** Parts given up, with the reason. */
    public Map<String, String> carryOverLost() {
        return Collections.unmodifiableMap(carryOverLost);
    }

    public Optional<TapeSchool> school() {
        return Optional.ofNullable(school);
    }

    public boolean stripLaid(String stripId) {
        return stripsLaid.contains(stripId);
    }

    public boolean coverOff(String coverId) {
        return coversOff.contains(coverId);
    }

    public Optional<Instant> sealedAt() {
        return Optional.ofNullable(sealedAt);
    }

    public Optional<Instant> handedOverAt() {
        return Optional.ofNullable(handedOverAt);
    }

    public boolean overridden(String holdId) {
        return overridden.contains(holdId);
    }

    /** The last fact that counts. */
    public Entry latest() {
        return latest;
    }
}
