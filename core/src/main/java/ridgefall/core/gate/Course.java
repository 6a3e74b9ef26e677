package ridgefall.core.gate;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import ridgefall.core.bond.BondStation;
import ridgefall.core.carry.CarryStation;
import ridgefall.core.clean.CleanStation;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.gate.Planning.CutQuestion;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.intake.IntakeStation;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Damage;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Hold;
import ridgefall.core.job.IntakeFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.PartsFact;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsStation;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.prove.JobRecord;
import ridgefall.core.prove.ProveStation;
import ridgefall.core.seal.SealStation;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.SeparateStation;
import ridgefall.core.strip.StripStation;
import ridgefall.core.test.TestStation;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** One job on its way through the twelve stations. Pure: the same journal at the same time gives the same course. */
public final class Course {
    /** Where a device still goes whose owner takes it back as it is. */
    private static final Set<Station> UNREPAIRED = EnumSet.of(Station.INTAKE, Station.DECIDE, Station.PROVE);

    private final DeviceProfile profile;
    private final List<Entry> journal;
    private final JobState state;
    private final List<StationRoom> rooms;
    private final Planning planning;
    private final Instant now;

    /**
     * As it stood when the latest fact happened.
     *
     * @param planning asked only for what a question needs
     */
    public Course(DeviceProfile profile, List<Entry> journal, Planning planning) {
        this(profile, journal, planning, journal.get(journal.size() - 1).happenedAt());
    }

    private Course(DeviceProfile profile, List<Entry> journal, Planning planning, Instant now) {
        this.profile = profile;
        this.journal = journal;
        this.state = JobState.of(journal);
        this.planning = planning;
        this.now = now;
        HeatStation heat = new HeatStation(this::heatQuestion, this::heatPlans, now);
        this.rooms = List.of(
                new IntakeStation(),
                new DecideStation(planning::currency),
                new PartsStation(),
                heat,
                new SeparateStation(this::cutPlan, heat),
                new StripStation(),
                new CarryStation(),
                new CleanStation(),
                new BondStation(),
                new TestStation(),
                new SealStation(),
                new ProveStation());
    }

    /** The same as it stands at another time: a device that lies there gets cold. */
    public Course at(Instant other) {
        return new Course(profile, journal, planning, other);
    }

    public JobState state() {
        return state;
    }

    /** Whether it may still be warm from a soak. */
    public boolean stillWarm() {
        return HeatStation.stillWarm(state, now);
    }

    public DeviceProfile profile() {
        return profile;
    }

    /**
     * What its soaks depend on.
     *
     * @throws NotAllowed when clips hold its front: there is nothing to soften
     */
    public HeatQuestion heatQuestion() {
        onlyBonded();
        return HeatQuestion.of(profile, state, planning.sources());
    }

    /** The best plan of each source for this device in this condition, the best of all first. */
    public List<HeatPlan> heatPlans() {
        return planning.heat(heatQuestion());
    }

    /**
     * The way round the edge from where the bench stands.
     *
     * @throws NotAllowed when clips hold its front: there is nothing to cut
     */
    public CutPlan cutPlan() {
        return planning.cut(new CutQuestion(heatQuestion(), List.copyOf(state.freed())));
    }

    private void onlyBonded() {
        if (!profile.bonded()) {
            throw new NotAllowed("device", profile.name(), "a device whose front is bonded; clips hold this one");
        }
    }

    /** The steps of every station, in working order. */
    public List<Step> steps() {
        return rooms.stream()
                .filter(room -> state.notWorthIt().isEmpty() || UNREPAIRED.contains(room.station()))
                .flatMap(room -> room.steps(profile, state).stream())
                .toList();
    }

    /** The facts of this job in words. */
    public FactWords words() {
        return words(steps());
    }

    /** The facts of this job in words; {@code steps} are its own, where they are at hand. */
    public FactWords words(List<Step> steps) {
        Map<String, String> signOffs = new HashMap<>();
        rooms.forEach(room -> signOffs.putAll(room.signOffs()));
        return FactWords.of(profile, steps, signOffs, journal);
    }

    /** What goes with the device at hand-over. */
    public JobRecord record() {
        return JobRecord.of(profile, journal, words());
    }

    /** The first step that is still open; empty once handed over. */
    public static Optional<Step> next(List<Step> steps) {
        return steps.stream().filter(Step::open).findFirst();
    }

    /** Whether a slip or a new crack can happen now: from the first heat to the last press. */
    public boolean atRisk() {
        return next(steps())
                .map(Step::station)
                .filter(at -> at.compareTo(Station.HEAT) >= 0 && at.compareTo(Station.SEAL) <= 0)
                .isPresent();
    }

    /** The fact a mis-tap would take back: the latest that counts, unless nothing can be taken back any more. */
    public Optional<Entry> undoable() {
        Entry latest = state.latest();
        // A piece off the shelf and a picture in the store have more to them than their fact.
        boolean stays = latest == null
                || latest.seq() == 1
                || latest.fact() instanceof PartsFact
                || latest.fact() instanceof IntakeFact.PhotoTaken
                || state.handedOverAt().isPresent();
        return stays ? Optional.empty() : Optional.of(latest);
    }

    /**
     * What stands in the way of a fact now; empty when it may happen.
     *
     * @throws NotAllowed when the fact names something this job does not have
     */
    public List<Hold> holds(Fact fact) {
        if (fact instanceof Fact.JobOpened) {
            throw new NotAllowed("type", "JobOpened", "a fact for a job that is open already");
        }
        if (state.handedOverAt().isPresent()) {
            return List.of(
                    Hold.firm("prove.closed", Station.PROVE, "The device is handed over: this journal is closed"));
        }
        if (fact instanceof Fact.Undone undo) {
            return undoable().filter(entry -> entry.seq() == undo.seq()).isPresent()
                    ? List.of()
                    : List.of(Hold.firm("undo.late", Station.INTAKE, "Only the latest fact can be taken back"));
        }
        if (fact instanceof Fact.HoldOverridden signOff) {
            return holdsNow(signOff)
                    ? List.of()
                    : List.of(Hold.firm("sign-off.late", Station.INTAKE, "Nothing is held that this would sign off"));
        }
        Stream<Hold> own = room(fact.station()).holds(fact, profile, state).stream();
        return Stream.concat(before(fact), own)
                .filter(hold -> !(hold.overridable() && state.signedOff(hold.id(), fact)))
                .distinct()
                .toList();
    }

    /** Whether what a sign-off is about stands in the way of its fact as things are. */
    private boolean holdsNow(Fact.HoldOverridden signOff) {
        List<Hold> same = holds(Allowed.present("held", signOff.held())).stream()
                .filter(hold -> hold.id().equals(signOff.holdId()))
                .toList();
        return !same.isEmpty() && same.stream().allMatch(Hold::overridable);
    }

    private StationRoom room(Station station) {
        return rooms.get(station.ordinal());
    }

    /** Hold points that stand before whole runs of stations. */
    private Stream<Hold> before(Fact fact) {
        List<Hold> holds = new ArrayList<>();
        boolean desk = fact.station().ordinal() <= Station.DECIDE.ordinal();
        if (!desk && state.battery().filter(b -> b == Fact.Battery.SWOLLEN).isPresent()) {
            holds.add(Hold.firm(
                    "intake.battery",
                    Station.INTAKE,
                    "Swollen battery: stop, isolate, follow the local rules for damaged batteries"));
        }
        if (!desk && state.notWorthIt().isPresent() && fact.station() != Station.PROVE) {
            holds.add(Hold.firm("decide.repair", Station.DECIDE, "The owner takes it back as it is"));
        }
        // Nothing irreversible before it is known what worked, what was agreed and that the part is right.
        if (fact instanceof Fact.SoakStarted || fact instanceof Fact.StretchFreed) {
            for (Station station : List.of(Station.INTAKE, Station.DECIDE, Station.PARTS)) {
                holds.addAll(Checks.openSteps(room(station).steps(profile, state)));
            }
        }
        return holds.stream();
    }

    /** What of this device matters at a station although it was noted at another. */
    public List<String> cautions(Station station) {
        List<String> cautions = new ArrayList<>();
        boolean handling = station.compareTo(Station.HEAT) >= 0 && station.compareTo(Station.STRIP) <= 0;
        if (state.live() && handling) {
            cautions.add("Live: it can't be switched off. The battery is reached "
                    + profile.document().body().batteryReach().words() + "; isolate it before anything else.");
        }
        boolean atTheEdge = station == Station.HEAT || station == Station.SEPARATE || station == Station.CLEAN;
        for (EdgeInterval crack : atTheEdge ? Damage.edgeCracks(profile, state) : List.<EdgeInterval>of()) {
            double perimeter = profile.edge().lengthMm();
            String place = profile.placeName(profile.edge().landmarkAt(crack.middleMm(perimeter)));
            cautions.add("Crack over the " + place + " at {mm:" + Math.round(crack.middleMm(perimeter)) + "}: "
                    + switch (station) {
                        case HEAT -> "it touches the source badly and cools sooner.";
                        case SEPARATE -> "lift there, don't slide; shallow.";
                        default -> "splinters on the ledge there.";
                    });
        }
        if (station == Station.HEAT || station == Station.SEPARATE || station == Station.SEAL) {
            for (IntakeFact.BendMarked bend : state.bends()) {
                cautions.add("Bent: {mm:" + bend.gapMm() + "} under the " + profile.placeName(bend.corner()) + ", "
                        + switch (station) {
                            case HEAT -> "a plate does not touch there; a pad or air does.";
                            case SEPARATE -> "the glass is under stress there: leave that corner to the end.";
                            default -> "straighten with the battery out, or clamp.";
                        });
            }
        }
        return cautions;
    }

    public List<Entry> journal() {
        return journal;
    }
}
