package ridgefall.core.heat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntSupplier;
import java.util.function.Predicate;
import java.util.function.Supplier;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.damage.DamageState;
import ridgefall.core.heat.HeatFact.Surface;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.BatteryReach;

/** Soaks are offered as the plan says and held back where its spread passes a limit. */
public final class HeatStation implements StationRoom {
    public static final String TOO_LONG = "heat.limit";
    public static final String TAKEN = "heat.taken";

    private static final Set<Class<? extends Fact>> DURING_A_SOAK =
            Set.of(HeatFact.SoakEnded.class, HeatFact.SettingChanged.class, HeatFact.LyingChanged.class);

    private static final double SHORTEST_S = 10;
    static final String BATTERY_OUT = "heat.battery-out";
    private static final String TAPED = "heat.taped";

    private static final String SOAK = "heat.soak";

    private static final String WARM = "Warm the bond";
    /** Then the number of the mishap. */
    private static final String AFTER = "heat.after-";

    private static final Map<Sweep, String> LED = Map.of(
            Sweep.FACE, "face down and flat",
            Sweep.ROUND, "led round the border, never at rest",
            Sweep.STRETCH_BY_STRETCH, "to and fro along a hand's width, cut there, then the next");

    private final Supplier<HeatQuestion> question;
    private final Supplier<List<HeatPlan>> ranked;
    private final Predicate<JobState> live;
    private final Predicate<HeatFact.SoakStarted> planned;
    private final IntSupplier workable;
    private final Function<String, Optional<SourceTaken>> taken;
    private final Instant now;

    /**
     * @param question what soaks of this device depend on
     * @param ranked its plans, the best first; asked for only when a step needs one
     * @param live whether the device must be treated as live
     * @param planned whether a soak is one that the way round has been planned with
     * @param workable for how long the bond will be, s, once it comes off the source where it lies
     * @param taken what another device lies on, by the id of the source
     */
    public HeatStation(
            Supplier<HeatQuestion> question,
            Supplier<List<HeatPlan>> ranked,
            Predicate<JobState> live,
            Predicate<HeatFact.SoakStarted> planned,
            IntSupplier workable,
            Function<String, Optional<SourceTaken>> taken,
            Instant now) {
        this.question = question;
        this.ranked = ranked;
        this.live = live;
        this.planned = planned;
        this.workable = workable;
        this.taken = taken;
        this.now = now;
    }

    /** Whether a device may still be warm from a soak. */
    public static boolean stillWarm(JobState state, Instant now) {
        List<Soak> soaks = HeatState.of(state).soaks();
        return !soaks.isEmpty() && !BenchRun.forgotten(soaks, now);
    }

    private HeatPlan best() {
        return ranked.get().get(0);
    }

    @Override
    public Station station() {
        return Station.HEAT;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        if (!profile.bonded()) {
            return List.of(Step.open(
                            "heat.clips",
                            Station.HEAT,
                            "Nothing to warm",
                            "clips and a gasket hold this front: heat would only soften them")
                    .answered("held by clips"));
        }
        List<Step> steps = new ArrayList<>(stillAsked(profile, state));
        steps.add(prepared(steps) ? soak(state) : Step.open(SOAK, Station.HEAT, WARM, "planned by then"));
        steps.add(room(state));
        steps.add(reading(state));
        return steps;
    }

    /** What nobody asked for when the device was laid on comes too late; a crack that came since does not. */
    private List<Step> stillAsked(DeviceProfile profile, JobState state) {
        return preparation(profile, state).stream()
                .filter(step -> !HeatState.of(state).warmed()
                        || !step.open()
                        || step.id().equals(TAPED)
                        || step.id().startsWith(AFTER))
                .toList();
    }

    /** What has to be over before a source comes near it again: off first, where one is on. */
    private Optional<Step> over(JobState state, DamageState.Noted noted) {
        boolean wet = noted.mishap().mishap() == DamageFact.Mishap.SOLVENT_SPILLED;
        if (!wet && noted.mishap().mishap() != DamageFact.Mishap.HOT_SPOT) {
            return Optional.empty();
        }
        String id = AFTER + noted.seq();
        Step step = wet
                ? Checks.check(
                        state, id, "Solvent dry", "no source near it before: vapour catches fire. Air the bench", "Dry")
                : Checks.check(
                        state, id, "Hot spot cooled", "a hand rests on it; nothing soft, yellow or swollen", "Cool");
        boolean on = HeatState.of(state).runningSoak().isPresent();
        return Optional.of(
                on && step.open()
                        ? step.titled(wet ? "Solvent spilled: heat off" : "Hot spot: heat off")
                                .choosing(Step.go("Off the source", new HeatFact.SoakEnded(workable.getAsInt())))
                        : step);
    }

    private static boolean prepared(List<Step> before) {
        return before.stream().noneMatch(Step::open);
    }

    /** Whether its steps say how it is warmed: before that nobody asks for a plan. */
    public boolean prepared(DeviceProfile profile, JobState state) {
        return profile.bonded() && prepared(stillAsked(profile, state));
    }

    private List<Step> preparation(DeviceProfile profile, JobState state) {
        List<Step> steps = new ArrayList<>();
        DamageState.of(state).sinceClosed().forEach(noted -> over(state, noted).ifPresent(steps::add));
        if (profile.document().body().batteryReach() == BatteryReach.BEFORE_HEAT) {
            steps.add(Checks.check(
                    state,
                    BATTERY_OUT,
                    "Back off, battery out",
                    live.test(state)
                            ? "it can't be switched off: treat it as live until the battery is out"
                            : "no heat reaches a cell that is not there",
                    "Out"));
        }
        if (Damage.front(state).orElse(FrontCondition.INTACT) != FrontCondition.INTACT) {
            steps.add(
                    Checks.check(state, "heat.taped", "Face taped over the cracks", "clear film, one layer", "Taped"));
        }
        if (HeatedDevice.plasticBezel(profile.heat())) {
            steps.add(Checks.check(
                    state,
                    "heat.plastics",
                    "Loose plastic off the bezel",
                    "caps, grilles and feet soften first: {C:"
                            + Math.round(profile.limits().plasticsStopC()) + "} at most",
                    "Off"));
        }
        steps.add(Checks.check(
                state,
                "heat.cleared",
                "Cards out, nothing stuck on the back",
                "it must lie flat: prop level what can't come off",
                "Clear"));
        steps.add(Checks.check(
                state,
                "heat.powered",
                live.test(state) ? "Treated as live" : "Switched off, charge below a third",
                live.test(state)
                        ? "it can't be switched off: no metal tool inside until it is isolated"
                        : "a running board warms the battery from the other side; a full cell burns worse if it is nicked. Can't be told? Treat it as full",
                live.test(state) ? "Understood" : "Off"));
        steps.add(Checks.check(
                state, "heat.guarded", "Gloves and eye protection on", "plates and nozzles burn; glass flies", "On"));
        return steps;
    }

    private Step soak(JobState state) {
        HeatState heat = HeatState.of(state);
        Optional<Soak> running = heat.runningSoak();
        // Air over a stretch stays on it while it is cut.
        if (running.isPresent() && running.get().started().where() == null) {
            return lifting(running.get());
        }
        if (!heat.warmed()) {
            return start(state);
        }
        // What warms it again is planned with the cut: ranking the sources anew would hold up whatever was tapped.
        int soaks = heat.soaks().size() - heat.sealedIn();
        return Step.open(SOAK, Station.HEAT, WARM, null)
                .answered("soaked " + soaks + (soaks == 1 ? " time" : " times"));
    }

    /** The step that starts the first soak as planned. */
    private Step start(JobState state) {
        HeatPlan plan = best();
        boolean again = stillWarm(state, now);
        Setup setup = plan.setup();
        boolean air = plan.source().kind().air();
        Optional<String> waits = taken(plan.source());
        Step step = Step.open(
                SOAK,
                Station.HEAT,
                WARM,
                !plan.feasible()
                        ? "no source of this bench softens the bond within the limits"
                        : waits.orElse((air ? LED.get(setup.sweep()) : "face down and flat")
                                + plan.source().shieldWords() + "; the timer starts with this tap"),
                begin(plan, again));
        return plan.feasible() && waits.isEmpty() ? step : step.leading(Step.Lead.REASONS);
    }

    /** That another device lies on a source, and for how long, in words. */
    public Optional<String> taken(HeatSource source) {
        return taken.apply(source.id())
                .map(other ->
                        other.whose() + " lies on " + source.name() + ": free in {s:" + other.secondsLeft(now) + "}");
    }

    /** How long it is laid on as planned; what may still be warm from before only as long as one just gone cold. */
    public static int seconds(HeatPlan plan, boolean stillWarm) {
        return stillWarm ? againSeconds(plan) : (int) Math.max(SHORTEST_S, Math.round(plan.soakSeconds()));
    }

    /** The tap that starts a soak by a plan. */
    public static Choice begin(HeatPlan plan, boolean stillWarm) {
        int seconds = seconds(plan, stillWarm);
        Setup setup = plan.setup();
        return begin(plan.source(), setup, seconds);
    }

    /** The tap that starts a soak. */
    public static Choice begin(HeatSource source, Setup setup, int seconds) {
        return Step.go(
                source.name() + " at {C:" + setup.settingC() + "}, {s:" + seconds + "}: "
                        + (source.kind().air() ? "begin" : "lay it on"),
                new HeatFact.SoakStarted(
                        source.id(),
                        setup.settingC(),
                        seconds,
                        setup.dial(),
                        setup.distanceMm(),
                        setup.sweep(),
                        setup.where()));
    }

    /** What the hand finds at the edge, whatever is reckoned. */
    public static final Choice GOES_IN = Step.other("Pick goes in", new HeatFact.PickTried(true));

    /** What can happen while it lies there. */
    public record During(Choice pickGoesIn, Choice notYet, Choice lying, Choice setting) {}

    public static During during(Soak soak) {
        return new During(
                GOES_IN,
                Step.other("Not yet", new HeatFact.PickTried(false)),
                Step.other(soak.flat() ? "It slipped" : "Lies flat again", new HeatFact.LyingChanged(!soak.flat())),
                Step.other(
                        "New setting",
                        new HeatFact.SettingChanged(soak.settingC()),
                        new Ask("settingC", "Setting", Ask.Kind.NUMBER, "C", null)));
    }

    /** Whether a soak that runs was meant to take longer still. */
    public boolean goesOn(Soak soak) {
        return now.isBefore(soak.startedAt().plusSeconds(soak.seconds()));
    }

    /** The step that ends the soak that runs. */
    public Step lifting(Soak soak) {
        HeatQuestion asked = question.get();
        return Step.open(
                        "heat.lift",
                        Station.HEAT,
                        "Soaking on " + asked.sourceName(soak.sourceId()),
                        "at {C:" + soak.settingC() + "}; lift the edge, the pick must go in without force",
                        Step.go("Off the source", new HeatFact.SoakEnded(workable.getAsInt())))
                .waiting(soak.seq());
    }

    private static Step room(JobState state) {
        Double roomC = HeatState.of(state).roomC();
        Step step = Step.open(
                        "heat.room",
                        Station.HEAT,
                        "Thermometer in the room",
                        "a cold room warms slower and cools sooner; reckoned with {C:"
                                + Math.round(HeatQuestion.USUAL_ROOM_C) + "} until it is read",
                        Step.go("The room", new HeatFact.RoomRead(HeatQuestion.USUAL_ROOM_C), celsius()))
                .asOptional();
        return roomC == null ? step : step.answered("{C:" + roomC + "}");
    }

    private static Step reading(JobState state) {
        Step step = Step.open(
                        "heat.reading",
                        Station.HEAT,
                        "Thermometer on frame or glass",
                        "tip taped to the frame's side at the coldest stretch; infrared reads glass well, bare metal far too low: "
                                + "a bit of paper tape there",
                        Step.go("Frame", new HeatFact.TemperatureRead(Surface.FRAME, 0), celsius()),
                        Step.other("Glass", new HeatFact.TemperatureRead(Surface.GLASS, 0), celsius()))
                .asOptional();
        int count = HeatState.of(state).readings().size();
        return count == 0
                ? step
                : step.answered(
                        "{C:" + HeatState.of(state).readings().get(count - 1).celsius() + "} measured");
    }

    private static Ask celsius() {
        return new Ask("celsius", "Temperature", Ask.Kind.NUMBER, "C", null);
    }

    @Override
    public Map<String, String> signOffs() {
        return Map.of(
                TOO_LONG, "longer or hotter than the limits allow", TAKEN, "a source that another device lies on");
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    profile.bonded()
                            ? preparation(profile, state).stream().map(Step::id).toList()
                            : List.of());
        } else if (fact instanceof HeatFact.SoakStarted && !profile.bonded()) {
            holds.add(Hold.firm("heat.clips", Station.HEAT, "Clips hold this front: heat has nothing to soften"));
        } else if (fact instanceof HeatFact.SoakStarted f) {
            HeatSource source = question.get().source(f.sourceId());
            Setup setup = Setup.of(f);
            source.check(setup);
            if (HeatState.of(state)
                    .runningSoak()
                    .filter(running -> !movesOn(running, f))
                    .isPresent()) {
                holds.add(Hold.firm("heat.running", Station.HEAT, "It already lies on a source"));
            }
            holds.addAll(Checks.openSteps(stillAsked(profile, state)));
            taken(source).ifPresent(words -> holds.add(Hold.overridable(TAKEN, Station.HEAT, words)));
            double latest =
                    planned.test(f) ? Double.POSITIVE_INFINITY : longestSeconds(source, setup, stillWarm(state, now));
            if (f.seconds() > latest + 1) {
                holds.add(Hold.overridable(
                        TOO_LONG,
                        Station.HEAT,
                        "Battery, display or plastics may pass a limit after {s:" + Math.round(latest) + "} at {C:"
                                + f.settingC() + "}"));
            }
        } else if (fact instanceof HeatFact.PickTried && !HeatState.of(state).warmed()) {
            holds.add(Hold.firm("heat.none", Station.HEAT, "The bond was never warmed"));
        } else if (DURING_A_SOAK.contains(fact.getClass())) {
            if (HeatState.of(state).runningSoak().isEmpty()) {
                holds.add(Hold.firm("heat.none", Station.HEAT, "Nothing lies on a source"));
            } else if (fact instanceof HeatFact.SettingChanged f) {
                HeatFact.SoakStarted started =
                        HeatState.of(state).runningSoak().get().started();
                question.get()
                        .source(started.sourceId())
                        .check(Setup.of(started).at(f.settingC()));
            }
        }
        return holds;
    }

    /** Air goes from one stretch to the next without a tap between. */
    private static boolean movesOn(Soak running, HeatFact.SoakStarted next) {
        return running.started().where() != null
                && next.where() != null
                && running.sourceId().equals(next.sourceId());
    }

    /**
     * From the plan at hand where it is about this setup; computed anew where someone chose another. A device that may
     * still be warm from before gets only what goes for one just gone cold.
     */
    private double longestSeconds(HeatSource source, Setup setup, boolean stillWarm) {
        HeatPlan plan = ranked.get().stream()
                .filter(p -> p.source().equals(source) && p.setup().equals(setup))
                .findFirst()
                .orElseGet(() -> question.get().planner(HeatPlanner.FULL).on(source, setup));
        return stillWarm ? againSeconds(plan) : plan.latestSeconds();
    }

    private static int againSeconds(HeatPlan plan) {
        return (int) Math.max(SHORTEST_S, Math.round(plan.reheatSeconds()));
    }
}
