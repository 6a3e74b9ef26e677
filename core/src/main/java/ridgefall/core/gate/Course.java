package ridgefall.core.gate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import ridgefall.core.bond.BondStation;
import ridgefall.core.carry.CarryStation;
import ridgefall.core.clean.CleanStation;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.intake.IntakeStation;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.parts.PartsStation;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.prove.JobRecord;
import ridgefall.core.prove.ProveStation;
import ridgefall.core.seal.SealStation;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.CutPlanner;
import ridgefall.core.separate.SeparateStation;
import ridgefall.core.strip.StripStation;
import ridgefall.core.test.TestStation;
import ridgefall.core.units.NotAllowed;

/** One job on its way through the twelve stations. Pure: the same journal always gives the same course. */
public final class Course {
    private final DeviceProfile profile;
    private final List<Entry> journal;
    private final JobState state;
    private final List<StationRoom> rooms;
    private final CutPlan cutPlan;

    /** @param heatPlan the best plan for this device in this condition; asked for only when needed */
    public Course(DeviceProfile profile, List<Entry> journal, Supplier<HeatPlan> heatPlan) {
        this.profile = profile;
        this.journal = journal;
        this.state = JobState.of(journal);
        HeatStation heat = new HeatStation(heatPlan);
        HeatPlan plan = heatPlan.get();
        this.cutPlan = CutPlanner.plan(
                profile,
                state.front().orElse(FrontCondition.SHATTERED),
                state.cracks(),
                state.freed(),
                plan.workableFromC(),
                plan.workableForSeconds().p50());
        this.rooms = List.of(
                new IntakeStation(),
                new DecideStation(),
                new PartsStation(),
                heat,
                new SeparateStation(cutPlan, heat),
                new StripStation(),
                new CarryStation(),
                new CleanStation(),
                new BondStation(),
                new TestStation(),
                new SealStation(),
                new ProveStation());
    }

    public JobState state() {
        return state;
    }

    public CutPlan cutPlan() {
        return cutPlan;
    }

    /** The steps of every station, in working order. */
    public List<Step> steps() {
        return rooms.stream()
                .flatMap(room -> room.steps(profile, state).stream())
                .toList();
    }

    /** The facts of this job in words. */
    public FactWords words() {
        return FactWords.of(profile, steps());
    }

    /** What goes with the device at hand-over. */
    public JobRecord record() {
        return JobRecord.of(profile, journal, words());
    }

    /** The first step that is still open; empty once handed over. */
    public static Optional<Step> next(List<Step> steps) {
        return steps.stream().filter(Step::open).findFirst();
    }

    /** The fact a mis-tap would take back: the latest that counts, unless nothing can be taken back any more. */
    public Optional<Entry> undoable() {
        Entry latest = state.latest();
        boolean last =
                latest == null || latest.seq() == 1 || state.handedOverAt().isPresent();
        return last ? Optional.empty() : Optional.of(latest);
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
        if (fact instanceof Fact.HoldOverridden) {
            return List.of();
        }
        Stream<Hold> own = room(fact.station()).holds(fact, profile, state).stream();
        return Stream.concat(before(fact), own)
                .filter(hold -> !(hold.overridable() && state.overridden(hold.id())))
                .distinct()
                .toList();
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
        // Nothing irreversible before it is known what worked, what was agreed and that the part is right.
        if (fact instanceof Fact.SoakStarted || fact instanceof Fact.StretchFreed) {
            for (Station station : List.of(Station.INTAKE, Station.DECIDE, Station.PARTS)) {
                holds.addAll(Checks.openSteps(room(station).steps(profile, state)));
            }
        }
        return holds.stream();
    }

    public List<Entry> journal() {
        return journal;
    }
}
