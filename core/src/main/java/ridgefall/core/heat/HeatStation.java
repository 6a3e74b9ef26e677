package ridgefall.core.heat;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Fact.Surface;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.JobState.Soak;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;

/** Soaks are offered as the plan says and held back where its spread passes a limit. */
public final class HeatStation implements StationRoom {
    public static final String TOO_LONG = "heat.limit";

    private final Supplier<HeatPlan> best;

    /** @param best the plan for this device in its condition; asked for only when a step needs it */
    public HeatStation(Supplier<HeatPlan> best) {
        this.best = best;
    }

    @Override
    public Station station() {
        return Station.HEAT;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>(preparation(state));
        steps.add(soak(state));
        steps.add(reading(state));
        return steps;
    }

    private static List<Step> preparation(JobState state) {
        List<Step> steps = new ArrayList<>();
        if (state.front().orElse(FrontCondition.INTACT) != FrontCondition.INTACT) {
            steps.add(
                    Checks.check(state, "heat.taped", "Face taped over the cracks", "clear film, one layer", "Taped"));
        }
        steps.add(Checks.check(
                state, "heat.cleared", "Cards out, nothing stuck on the back", "it must lie flat", "Clear"));
        steps.add(Checks.check(
                state, "heat.guarded", "Gloves and eye protection on", "plates and nozzles burn; glass flies", "On"));
        return steps;
    }

    private Step soak(JobState state) {
        if (state.runningSoak().isPresent()) {
            return lifting(state.runningSoak().get());
        }
        Step step = start("heat.soak", Station.HEAT, "Warm the bond");
        List<Soak> soaks = state.soaks();
        return soaks.isEmpty()
                ? step
                : step.answered("soaked " + soaks.size() + (soaks.size() == 1 ? " time" : " times"));
    }

    /** The step that starts a soak as planned; also when the bond has gone cold while cutting. */
    public Step start(String id, Station station, String title) {
        HeatPlan plan = best.get();
        int seconds = (int) Math.round(plan.soakSeconds());
        return Step.open(
                id,
                station,
                title,
                plan.feasible()
                        ? "face down and flat; the timer starts with this tap"
                        : "no source of this bench softens the bond within the limits",
                Step.go(
                        plan.source().name() + " at {C:" + plan.settingC() + "}, {s:" + seconds + "}: lay it on",
                        new Fact.SoakStarted(plan.source().id(), plan.settingC(), seconds)));
    }

    /** The step that ends the soak that runs. */
    public Step lifting(Soak soak) {
        HeatSource source = HeatSource.byId(soak.sourceId());
        int workable = (int) Math.round(best.get().workableForSeconds().p50());
        return Step.open(
                        "heat.lift",
                        Station.HEAT,
                        "Soaking on " + source.name(),
                        "at {C:" + soak.settingC() + "}; lift the edge, the pick must go in without force",
                        Step.go("Off the source", new Fact.SoakEnded(workable)))
                .waiting(soak.seq());
    }

    private static Step reading(JobState state) {
        Step step = Step.open(
                        "heat.reading",
                        Station.HEAT,
                        "Thermometer on frame or glass",
                        "a measured temperature beats every computed one",
                        Step.go("Frame", new Fact.TemperatureRead(Surface.FRAME, 0), celsius()),
                        Step.other("Glass", new Fact.TemperatureRead(Surface.GLASS, 0), celsius()))
                .asOptional();
        int count = state.readings().size();
        return count == 0
                ? step
                : step.answered(
                        "{C:" + state.readings().get(count - 1).reading().celsius() + "} measured");
    }

    private static Ask celsius() {
        return new Ask("celsius", "Temperature", Ask.Kind.NUMBER, "C", null);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof Fact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    preparation(state).stream().map(Step::id).toList());
        } else if (fact instanceof Fact.SoakStarted f) {
            HeatSource source = HeatSource.byId(f.sourceId());
            source.checkSetting(f.settingC());
            if (state.runningSoak().isPresent()) {
                holds.add(Hold.firm("heat.running", Station.HEAT, "It already lies on a source"));
            }
            if (state.frontOpened()) {
                holds.add(Hold.firm("heat.opened", Station.HEAT, "The front is open: no more heat"));
            }
            holds.addAll(Checks.openSteps(preparation(state)));
            double latest = latestSeconds(profile, state, source, f.settingC());
            if (f.seconds() > latest + 1) {
                holds.add(Hold.overridable(
                        TOO_LONG,
                        Station.HEAT,
                        "Battery or display may pass a limit after {s:" + Math.round(latest) + "} at {C:" + f.settingC()
                                + "}"));
            }
        } else if (fact instanceof Fact.SoakEnded && state.runningSoak().isEmpty()) {
            holds.add(Hold.firm("heat.none", Station.HEAT, "Nothing lies on a source"));
        }
        return holds;
    }

    /** From the plan at hand where it is about this setting; computed anew where someone chose another. */
    private double latestSeconds(DeviceProfile profile, JobState state, HeatSource source, double settingC) {
        HeatPlan plan = best.get();
        if (plan.source().kind() == source.kind() && plan.settingC() == settingC) {
            return plan.latestSeconds();
        }
        return planner(profile, state.front().orElse(FrontCondition.SHATTERED))
                .on(source, (int) Math.ceil(settingC))
                .latestSeconds();
    }

    /** The planner for a device at the room temperature a bench usually has. */
    public static HeatPlanner planner(DeviceProfile profile, FrontCondition condition) {
        return new HeatPlanner(profile.heat(), condition, profile.factoryAdhesive(), profile.limits(), 22);
    }
}
