package ridgefall.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.job.Fact.Answer;
import ridgefall.core.job.Fact.Count;
import ridgefall.core.job.Fact.Phase;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.Money;

/** What is known of a job after all its facts: a pure fold of the journal. Undone facts don't count. */
public final class JobState {
    /** Half the width, along the edge, that a crack tapped at one place is taken to have. */
    private static final double TAPPED_CRACK_HALF_MM = 4;

    /** The step that counts screws back in. */
    public static final String SCREWS_IN = "seal.screws";

    /** An answer with who gave it; {@code signedOff} once a lead has taken a bad one for good enough. */
    public record Given(Answer answer, String reason, Instant at, String who, boolean signedOff) {
        private Given signed() {
            return new Given(answer, reason, at, who, answer == Answer.FAIL);
        }
    }

    /**
     * One soak; {@code endedAt} is null while it lies on the source.
     *
     * @param happened what was changed, tried and measured meanwhile, in order
     */
    public record Soak(
            long seq, Fact.SoakStarted started, Instant startedAt, Instant endedAt, List<Happening> happened) {
        public boolean running() {
            return endedAt == null;
        }

        public String sourceId() {
            return started.sourceId();
        }

        /** What the source is set to by now. */
        public double settingC() {
            return happened.stream()
                    .filter(h -> h.fact() instanceof Fact.SettingChanged)
                    .map(h -> ((Fact.SettingChanged) h.fact()).settingC())
                    .reduce(started.settingC(), (before, after) -> after);
        }

        /** False once it has slipped, until it lies flat again. */
        public boolean flat() {
            return happened.stream()
                    .filter(h -> h.fact() instanceof Fact.LyingChanged)
                    .map(h -> ((Fact.LyingChanged) h.fact()).flat())
                    .reduce(true, (before, after) -> after);
        }

        public int seconds() {
            return started.seconds();
        }

        private Soak ended(Instant at) {
            return running() ? new Soak(seq, started, startedAt, at, happened) : this;
        }

        private Soak with(Instant at, Fact fact) {
            List<Happening> more = new ArrayList<>(happened);
            more.add(new Happening(Duration.between(startedAt, at).toMillis() / 1000.0, fact));
            return running() ? new Soak(seq, started, startedAt, null, List.copyOf(more)) : this;
        }
    }

    /** Something during a soak, so many seconds after it began. */
    public record Happening(double seconds, Fact fact) {}

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

    /** A crack, dent or bend drawn on the outline, by the number of its fact. */
    public record Mark(long seq, IntakeFact mark) {}

    private final long seq;
    private Fact.JobOpened opened;
    private Instant openedAt;
    private FrontCondition front;
    private final List<EdgeInterval> cracks = new ArrayList<>();
    private final Set<Symptom> symptoms = EnumSet.noneOf(Symptom.class);
    private final List<Mark> marks = new ArrayList<>();
    private final List<IntakeFact.PhotoTaken> photos = new ArrayList<>();
    private Long cameFrom;
    private Fact.Battery battery;
    private Boolean canSwitchOff;
    private final Map<Phase, Map<String, Given>> functions = new EnumMap<>(Phase.class);
    private final Map<String, Given> checks = new HashMap<>();
    private Fact.RepairAgreed repair;
    private Money replacement;
    private Fact.NotWorthIt notWorthIt;
    private final Map<UUID, PartsFact.PartReserved> parts = new LinkedHashMap<>();
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
    private boolean screwsSignedOff;
    private final List<Fact.HoldOverridden> signOffs = new ArrayList<>();
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
        // Good for one time.
        signOffs.removeIf(signOff -> fact.equals(signOff.held()));
        // A switch over the sealed type is preview in this Java release: a chain, closed by the exception below.
        if (fact instanceof Fact.JobOpened f) {
            opened = f;
            openedAt = at;
        } else if (fact instanceof Fact.FrontSeen f) {
            front = f.condition();
        } else if (fact instanceof Fact.CrackMarked f) {
            cracks.add(crack(f.fromMm(), f.lengthMm()));
        } else if (fact instanceof IntakeFact f) {
            take(entry.seq(), f);
        } else if (fact instanceof PartsFact.PartReserved f) {
            parts.put(f.stockId(), f);
        } else if (fact instanceof PartsFact.PartReturned f) {
            parts.remove(f.stockId());
        } else if (fact instanceof Fact.ReplacementPriced f) {
            replacement = Money.of("price", f.price(), f.currency());
        } else if (fact instanceof Fact.NotWorthIt f) {
            notWorthIt = f;
            repair = null;
        } else if (fact instanceof Fact.BatterySeen f) {
            battery = f.battery();
        } else if (fact instanceof Fact.PowerSeen f) {
            canSwitchOff = f.canSwitchOff();
        } else if (fact instanceof Fact.FunctionTested f) {
            functions
                    .computeIfAbsent(f.phase(), p -> new HashMap<>())
                    .put(f.functionId(), new Given(f.answer(), f.reason(), at, entry.who(), false));
        } else if (fact instanceof Fact.RepairAgreed f) {
            repair = f;
            notWorthIt = null;
        } else if (fact instanceof Fact.CheckAnswered f) {
            checks.put(f.checkId(), new Given(f.answer(), f.reason(), at, entry.who(), false));
        } else if (fact instanceof Fact.SoakStarted f) {
            stop(Timer.Kind.WORKABLE, at);
            soaks.add(new Soak(entry.seq(), f, at, null, List.of()));
            timers.add(new Timer(entry.seq(), Timer.Kind.SOAK, "Soaking", at, f.seconds(), null));
        } else if (fact instanceof Fact.SoakEnded f) {
            soaks.replaceAll(s -> s.ended(at));
            stop(Timer.Kind.SOAK, at);
            timers.add(new Timer(entry.seq(), Timer.Kind.WORKABLE, "Bond workable", at, f.workableSeconds(), null));
        } else if (fact instanceof Fact.TemperatureRead f) {
            readings.add(new Reading(at, f));
            soaks.replaceAll(s -> s.with(at, f));
        } else if (fact instanceof Fact.SettingChanged
                || fact instanceof Fact.LyingChanged
                || fact instanceof Fact.PickTried) {
            soaks.replaceAll(s -> s.with(at, fact));
        } else if (fact instanceof Fact.StretchFreed f) {
            freed.add(f.stretchId());
        } else if (fact instanceof Fact.WedgeSet f) {
            wedges.add(f.positionMm());
        } else if (fact instanceof Fact.WedgePulled f) {
            wedges.remove(f.positionMm());
        } else if (fact instanceof Fact.MishapSeen f) {
            mishaps.add(new MishapNote(entry.seq(), at, f));
            if (f.mishap() == Fact.Mishap.NEW_CRACK && f.positionMm() != null) {
                cracks.add(crack(f.positionMm(), 0));
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
            screwsSignedOff = false;
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
            signOff(f);
        } else {
            throw new IllegalStateException("no fold for " + fact.getClass());
        }
    }

    /** A bad answer is taken for good enough, as long as it is the answer; whatever else was held is let by once. */
    private void signOff(Fact.HoldOverridden f) {
        if (f.holdId().equals(SCREWS_IN)) {
            screwsSignedOff = true;
        } else if (checks.containsKey(f.holdId())) {
            checks.computeIfPresent(f.holdId(), (id, given) -> given.signed());
        } else if (!signedFunction(f.holdId()) && f.held() != null) {
            signOffs.add(f);
        }
    }

    private boolean signedFunction(String stepId) {
        for (Map.Entry<Phase, Map<String, Given>> phase : functions.entrySet()) {
            for (Map.Entry<String, Given> answer : phase.getValue().entrySet()) {
                if (Checks.functionStepId(phase.getKey(), answer.getKey()).equals(stepId)) {
                    answer.setValue(answer.getValue().signed());
                    return true;
                }
            }
        }
        return false;
    }

    private void take(long number, IntakeFact fact) {
        if (fact instanceof IntakeFact.SymptomSeen f) {
            if (f.present()) {
                symptoms.add(f.symptom());
            } else {
                symptoms.remove(f.symptom());
            }
        } else if (fact instanceof IntakeFact.MarkRemoved f) {
            marks.removeIf(mark -> mark.seq() == f.seq());
        } else if (fact instanceof IntakeFact.PhotoTaken f) {
            photos.add(f);
        } else if (fact instanceof IntakeFact.CameBack f) {
            cameFrom = f.jobNumber();
        } else {
            marks.add(new Mark(number, fact));
        }
    }

    private static EdgeInterval crack(double fromMm, double lengthMm) {
        return lengthMm > 0
                ? new EdgeInterval(fromMm, lengthMm)
                : new EdgeInterval(Math.max(0, fromMm - TAPPED_CRACK_HALF_MM), 2 * TAPPED_CRACK_HALF_MM);
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

    public Set<Symptom> symptoms() {
        return Collections.unmodifiableSet(symptoms);
    }

    /** Cracks, dents and bends drawn on the outline, in the order they were drawn. */
    public List<Mark> marks() {
        return Collections.unmodifiableList(marks);
    }

    public List<IntakeFact.BendMarked> bends() {
        return marks.stream()
                .filter(mark -> mark.mark() instanceof IntakeFact.BendMarked)
                .map(mark -> (IntakeFact.BendMarked) mark.mark())
                .toList();
    }

    public List<IntakeFact.PhotoTaken> photos() {
        return Collections.unmodifiableList(photos);
    }

    /** Number of the job as which it was here before with the same. */
    public Optional<Long> cameFrom() {
        return Optional.ofNullable(cameFrom);
    }

    /** What is taken off the shelf for this job. */
    public List<PartsFact.PartReserved> parts() {
        return List.copyOf(parts.values());
    }

    /** Whether a part of this job brings something along. */
    public boolean brought(Brings what) {
        return parts.values().stream().anyMatch(part -> part.brings().contains(what));
    }

    public Optional<Money> replacement() {
        return Optional.ofNullable(replacement);
    }

    public Optional<Fact.NotWorthIt> notWorthIt() {
        return Optional.ofNullable(notWorthIt);
    }

    /** Whether it must be treated as live: it can't be switched off and isolation is not proven. */
    public boolean live() {
        return Boolean.FALSE.equals(canSwitchOff) && !isolationProven;
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

    public Optional<Soak> lastSoak() {
        return soaks.isEmpty() ? Optional.empty() : Optional.of(soaks.get(soaks.size() - 1));
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

    /** Whether a lead has answered for recording this fact although it is held, and that was not used yet. */
    public boolean signedOff(String holdId, Fact held) {
        return signOffs.stream().anyMatch(signOff -> signOff.holdId().equals(holdId) && held.equals(signOff.held()));
    }

    /** Whether a lead has taken the latest count of screws for good enough. */
    public boolean screwsSignedOff() {
        return screwsSignedOff;
    }

    /** The last fact that counts. */
    public Entry latest() {
        return latest;
    }
}
