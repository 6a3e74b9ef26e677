package ridgefall.core.clean;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import ridgefall.core.carry.GlassSplit;
import ridgefall.core.clean.LedgeMap.Stretch;
import ridgefall.core.damage.Damage;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.HeatState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Given;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.job.Timer;
import ridgefall.core.job.TimerKind;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.LedgeMaterial;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;

/** The step that decides whether the front stays down. */
public final class CleanStation implements StationRoom {
    public static final TimerKind DRYING = new TimerKind("DRYING", "Solvent drying");

    static final String BARE = "clean.bare";
    static final String WIPED = "clean.wiped";
    static final String FLAT = "clean.flat";
    private static final String SWEPT = "clean.swept";
    private static final String DRY = "clean.drying";

    private static final double USUAL_ROOM_C = 20;

    private final Supplier<PrimerSchool> school;
    private final Instant now;

    /**
     * @param school when this house primes a ledge
     * @param now primer dries and ages
     */
    public CleanStation(Supplier<PrimerSchool> school, Instant now) {
        this.school = school;
        this.now = now;
    }

    @Override
    public Station station() {
        return Station.CLEAN;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        if (!profile.bonded()) {
            return brushed(state);
        }
        LedgeMap map = LedgeMap.of(profile);
        List<Step> steps = new ArrayList<>();
        steps.add(bare(profile, state, map));
        swept(profile, state).ifPresent(steps::add);
        steps.add(wiped(profile, state, map));
        steps.add(drying(state, map));
        GlassSplit.of(profile, state)
                .map(split -> Checks.check(
                        state,
                        "clean.panel",
                        "Old optical bond off the panel",
                        "rolled off with a thumb, the rest with remover on a cloth, never at its edge: it creeps in; then dust-free",
                        "Clear, no streak"))
                .ifPresent(steps::add);
        steps.add(flat(state, map));
        steps.add(Priming.step(profile, state, map, school.get(), now));
        return steps;
    }

    /** Nothing was glued where clips hold: there is no solvent and nothing to dry. What was done all the same stays told. */
    private static List<Step> brushed(JobState state) {
        Step dried = Step.open(DRY, Station.CLEAN, "Drying", null);
        return Stream.of(
                        Checks.check(
                                state,
                                BARE,
                                "Gasket channel and clip seats bare",
                                "brush, never a blade; shards into the rigid bin",
                                "Bare"),
                        Checks.check(state, WIPED, "Wiped with solvent", null, "Wiped"),
                        state.everTimed(DRYING) ? dried.answered("dried") : dried,
                        Checks.check(state, FLAT, "Ledge flat, dry and shiny", null, "Flat and shiny"))
                .filter(step -> step.id().equals(BARE) || step.answer() != null)
                .toList();
    }

    /** Blade and bin, edge by edge. */
    private static Step bare(DeviceProfile profile, JobState state, LedgeMap map) {
        CleanState clean = CleanState.of(state);
        List<Stretch> glued = at(map, clean, Stage.GLUE);
        List<Choice> choices = new ArrayList<>();
        if (!glued.isEmpty()) {
            List<Stretch> edge = edgeOf(glued);
            choices.add(
                    Step.go(upper(profile.placeName(edge.get(0).on())) + " bare", new CleanFact.GlueOff(ids(edge))));
            if (edge.size() < glued.size()) {
                choices.add(Step.other("All round bare", new CleanFact.GlueOff(ids(glued))));
            }
        }
        choices.add(Step.fail(
                "Not right",
                new JobFact.CheckAnswered(BARE, Answer.FAIL, null),
                Step.Ask.reason("What is wrong?", "glue that smears", "ledge dented", "paint came off")));
        Step step = Step.open(
                BARE, Station.CLEAN, "Ledge bare of glue and glass", blade(profile), choices.toArray(Choice[]::new));
        return glued.isEmpty() ? step.answered("Bare") : told(step, state.check(BARE));
    }

    /** Of an edge that is told in full, the corner after it goes with it: the blade runs on. */
    private static List<Stretch> edgeOf(List<Stretch> stretches) {
        Landmark first = stretches.get(0).on();
        Landmark next = Landmark.values()[(first.ordinal() + 1) % Landmark.values().length];
        return stretches.stream()
                .filter(stretch -> stretch.on() == first || !first.isCorner() && stretch.on() == next)
                .toList();
    }

    private static String blade(DeviceProfile profile) {
        LedgeMaterial material = profile.document().seat().material();
        return switch (material) {
                    case PLASTIC -> "plastic blade, steel digs in; ";
                    case PAINTED_METAL -> "plastic blade, steel takes the paint; ";
                    default -> "steel blade flat on the metal, away from the hand; ";
                }
                + "shards into the rigid bin";
    }

    /** Corner by corner, where glass went to splinters. */
    private static Optional<Step> swept(DeviceProfile profile, JobState state) {
        boolean shattered = Damage.front(state)
                .filter(front -> front == FrontCondition.SHATTERED)
                .isPresent();
        if (!shattered) {
            return Optional.empty();
        }
        Set<Landmark> done = CleanState.of(state).swept();
        List<Landmark> left = Arrays.stream(Landmark.values())
                .filter(Landmark::isCorner)
                .filter(corner -> !done.contains(corner))
                .toList();
        Step step = Step.open(
                SWEPT,
                Station.CLEAN,
                "Splinters looked for by low light",
                "lamp flat over the ledge; brush and tape, never a finger; 1 left lifts or breaks the new glass",
                left.stream()
                        .limit(1)
                        .map(corner ->
                                Step.go(upper(profile.placeName(corner)) + " swept", new CleanFact.CornerSwept(corner)))
                        .toArray(Choice[]::new));
        return Optional.of(left.isEmpty() ? step.answered("Swept") : step);
    }

    /** Acetone first where nothing minds it, then alcohol; a house without acetone takes alcohol all round. */
    private static Step wiped(DeviceProfile profile, JobState state, LedgeMap map) {
        CleanState clean = CleanState.of(state);
        List<Stretch> open = map.stretches().stream()
                .filter(stretch -> clean.stage(stretch.id()).before(Stage.WIPED))
                .toList();
        List<Choice> choices = new ArrayList<>();
        String hint = "a damp cloth, never poured; aired, no flame, no source near";
        if (!open.isEmpty()) {
            List<Stretch> acetone = open.stream()
                    .filter(stretch -> stretch.solvent() == FrameSolvent.ACETONE)
                    .toList();
            FrameSolvent solvent = acetone.isEmpty() ? FrameSolvent.ALCOHOL : FrameSolvent.ACETONE;
            List<Stretch> now = acetone.isEmpty() ? open : acetone;
            choices.add(Step.go("Wiped with " + solvent.words(), wipe(state, now, solvent)));
            if (!acetone.isEmpty()) {
                choices.add(Step.other("Alcohol all round", wipe(state, open, FrameSolvent.ALCOHOL)));
                hint += "; acetone nowhere within {mm:" + Math.round(LedgeMap.REACH_MM)
                        + "} of plastic, paint, lens or battery: " + Math.round(100 * share(acetone, open))
                        + " in 100 of the way";
            }
        }
        choices.add(Step.fail(
                "Not right",
                new JobFact.CheckAnswered(WIPED, Answer.FAIL, null),
                Step.Ask.reason("What is wrong?", "it smears", "paint comes off", "ran inside")));
        Step step = Step.open(WIPED, Station.CLEAN, "Wiped with solvent", hint, choices.toArray(Choice[]::new));
        return open.isEmpty() ? step.answered("Wiped") : told(step, state.check(WIPED));
    }

    private static double share(List<Stretch> some, List<Stretch> all) {
        return lengthMm(some) / lengthMm(all);
    }

    private static double lengthMm(List<Stretch> stretches) {
        return stretches.stream()
                .mapToDouble(stretch -> stretch.where().lengthMm())
                .sum();
    }

    private static CleanFact.Wiped wipe(JobState state, List<Stretch> stretches, FrameSolvent solvent) {
        return new CleanFact.Wiped(ids(stretches), solvent, solvent.readyAfterSeconds(roomC(state)));
    }

    /** As it was read; 20 °C otherwise: a cooler guess waits longer. */
    public static double roomC(JobState state) {
        Double read = HeatState.of(state).roomC();
        return read == null ? USUAL_ROOM_C : read;
    }

    private static Step drying(JobState state, LedgeMap map) {
        CleanState clean = CleanState.of(state);
        Step step = Step.open(
                DRY,
                Station.CLEAN,
                "Drying",
                "no smell, nothing shines; corners last",
                Step.go("Dry", new CleanFact.LedgeDry()));
        boolean wet = !at(map, clean, Stage.WIPED).isEmpty();
        boolean unwiped = map.stretches().stream()
                .anyMatch(stretch -> clean.stage(stretch.id()).before(Stage.WIPED));
        // What a lead lets by unwiped has nothing to dry.
        if (!wet && (!unwiped || state.signedOff(WIPED))) {
            return step.answered(unwiped ? "nothing wet" : "dried");
        }
        return state.running().stream()
                .filter(timer -> timer.kind().equals(DRYING.id()))
                .reduce((one, other) -> end(one).isAfter(end(other)) ? one : other)
                .map(timer -> step.waiting(timer.seq()))
                .orElse(wet ? step : step.titled("Let it dry"));
    }

    private static Instant end(Timer timer) {
        return timer.startedAt().plusSeconds(timer.seconds());
    }

    private static Step flat(JobState state, LedgeMap map) {
        CleanState clean = CleanState.of(state);
        Step step = Checks.check(
                state,
                FLAT,
                "Ledge flat, dry and shiny",
                "run a nail along it, corners too; where it is not, tap the band there",
                "Flat and shiny");
        boolean all = map.stretches().stream().allMatch(stretch -> clean.stage(stretch.id()) == Stage.ACCEPTED);
        if (all
                && !state.check(FLAT)
                        .filter(given -> given.answer() == Answer.FAIL)
                        .isPresent()) {
            return step.answered("Flat and shiny");
        }
        return state.passed(FLAT)
                ? Step.open(
                        FLAT,
                        Station.CLEAN,
                        step.title(),
                        step.hint(),
                        step.choices().toArray(Choice[]::new))
                : step;
    }

    /** As it was told before it was told by stretches. */
    private static Step told(Step step, Optional<Given> given) {
        return given.filter(it -> it.answer() == Answer.FAIL)
                .map(it -> it.signedOff()
                        ? step.answered(it.reason() + ", signed off by a lead")
                        : step.problem(it.reason() == null ? "Not right" : it.reason()))
                .orElse(step);
    }

    private static List<Stretch> at(LedgeMap map, CleanState clean, Stage stage) {
        return map.stretches().stream()
                .filter(stretch -> clean.stage(stretch.id()) == stage)
                .toList();
    }

    private static List<String> ids(List<Stretch> stretches) {
        return stretches.stream().map(Stretch::id).toList();
    }

    private static String upper(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** What can be told of one stretch that somebody points at. */
    public static List<Choice> about(JobState state, Stretch stretch) {
        Stage stage = CleanState.of(state).stage(stretch.id());
        List<String> only = List.of(stretch.id());
        List<Choice> choices = new ArrayList<>();
        if (stage == Stage.GLUE) {
            choices.add(Step.other("Bare here", new CleanFact.GlueOff(only)));
        } else if (stage == Stage.BARE) {
            choices.add(Step.other(
                    "Wiped with " + stretch.solvent().words(), wipe(state, List.of(stretch), stretch.solvent())));
        }
        if (stage == Stage.DRY) {
            choices.add(Step.other("Flat and shiny here", new CleanFact.Accepted(only)));
        }
        if (stage != Stage.GLUE) {
            Stream.of(CleanFact.Flaw.values())
                    .filter(flaw -> flaw.back().before(stage))
                    .map(flaw -> Step.fail(upper(flaw.words()), new CleanFact.SentBack(stretch.id(), flaw)))
                    .forEach(choices::add);
        }
        return choices;
    }

    @Override
    public List<TimerKind> startable() {
        return List.of(DRYING);
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        LedgeMap map = LedgeMap.of(profile);
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    steps(profile, state).stream()
                            .map(Step::id)
                            .filter(id -> !id.equals(Priming.ID) && !id.equals(SWEPT))
                            .toList());
        } else if (fact instanceof CleanFact.GlueOff f) {
            known(map, f.stretchIds());
        } else if (fact instanceof CleanFact.SentBack f) {
            known(map, List.of(f.stretchId()));
        } else if (fact instanceof CleanFact.Accepted f) {
            known(map, f.stretchIds());
            CleanState clean = CleanState.of(state);
            if (f.stretchIds().stream().anyMatch(id -> clean.stage(id).before(Stage.DRY))) {
                holds.add(Hold.firm(DRY, Station.CLEAN, "It is not dry there"));
            }
        } else if (fact instanceof CleanFact.Wiped f) {
            known(map, f.stretchIds());
            holds.addAll(unwipeable(map, f, state));
        }
        StripState.stillIn(profile, state).stream()
                .findFirst()
                .map(plug -> Hold.firm(StripStation.stepOf(plug), Station.STRIP, "The old front is still on its plugs"))
                .ifPresent(holds::add);
        if (fact instanceof JobFact.CheckAnswered f && f.checkId().equals(FLAT) && f.answer() == Answer.PASS
                || fact instanceof CleanFact.Primed) {
            undone(profile, state, map).ifPresent(holds::add);
        }
        return holds;
    }

    /** Nothing is judged or primed that is still glued, unwiped or wet. */
    private Optional<Hold> undone(DeviceProfile profile, JobState state, LedgeMap map) {
        CleanState clean = CleanState.of(state);
        return steps(profile, state).stream()
                .filter(Step::open)
                .filter(step -> Set.of(BARE, SWEPT, WIPED, DRY).contains(step.id()))
                .findFirst()
                .map(step -> Hold.firm(
                        step.id(),
                        Station.CLEAN,
                        step.title() + (at(map, clean, Stage.WIPED).isEmpty() ? "" : ": still wet by the reckoning")));
    }

    private static List<Hold> unwipeable(LedgeMap map, CleanFact.Wiped f, JobState state) {
        List<Hold> holds = new ArrayList<>();
        CleanState clean = CleanState.of(state);
        if (f.solvent() == FrameSolvent.ACETONE
                && map.stretches().stream()
                        .anyMatch(stretch ->
                                f.stretchIds().contains(stretch.id()) && stretch.solvent() != FrameSolvent.ACETONE)) {
            holds.add(Hold.firm(
                    WIPED,
                    Station.CLEAN,
                    "Acetone within {mm:" + Math.round(LedgeMap.REACH_MM) + "} of what it takes: alcohol there"));
        }
        if (!state.signedOff(BARE) && f.stretchIds().stream().anyMatch(id -> clean.stage(id) == Stage.GLUE)) {
            holds.add(Hold.firm(BARE, Station.CLEAN, "There is glue on it still"));
        }
        return holds;
    }

    private static void known(LedgeMap map, List<String> stretchIds) {
        List<String> all = ids(map.stretches());
        stretchIds.forEach(id -> Checks.known("stretchIds", id, all));
    }

    @Override
    public List<Hold> bars(Fact later, JobState state) {
        return Priming.bars(later, state, now);
    }
}
