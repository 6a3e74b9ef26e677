package ridgefall.core.gate;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.bond.Bead;
import ridgefall.core.bond.BeadLaying;
import ridgefall.core.bond.BondFact;
import ridgefall.core.bond.BondStation;
import ridgefall.core.bond.FilmJoin;
import ridgefall.core.bond.GlassJoin;
import ridgefall.core.bond.JoinFact;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.WhatHolds;
import ridgefall.core.carry.CarryFact;
import ridgefall.core.carry.CarryStation;
import ridgefall.core.clean.CleanFact;
import ridgefall.core.clean.CleanStation;
import ridgefall.core.clean.Priming;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.decide.DecideState;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.fault.FaultFact;
import ridgefall.core.fault.FaultSteps;
import ridgefall.core.fault.Faults;
import ridgefall.core.fault.FoundLate;
import ridgefall.core.gate.Planning.CutQuestion;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.heat.SourceTaken;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.intake.IntakeStation;
import ridgefall.core.job.AskedOnce;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Fold;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.job.TimerKind;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.parts.PartsStation;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.prove.JobRecord;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.prove.ProveState;
import ridgefall.core.prove.ProveStation;
import ridgefall.core.prove.SealProof;
import ridgefall.core.seal.SealFact;
import ridgefall.core.seal.SealState;
import ridgefall.core.seal.SealStation;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.CutPlanner;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;
import ridgefall.core.separate.SeparateFact;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.separate.SeparateStation;
import ridgefall.core.separate.Stretch;
import ridgefall.core.stop.Stop;
import ridgefall.core.stop.StopFact;
import ridgefall.core.stop.StopState;
import ridgefall.core.strip.StripFact;
import ridgefall.core.strip.StripState;
import ridgefall.core.strip.StripStation;
import ridgefall.core.test.ChargeTrace;
import ridgefall.core.test.TestStation;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * One job on its way through the twelve stations. Pure: the same journal at the same time gives the same course. A station's
 * steps are built when something first asks for them, and then kept as long as the course is.
 */
public final class Course {
    /** Where a device still goes whose owner takes it back as it is. */
    private static final Set<Station> UNREPAIRED = EnumSet.of(Station.INTAKE, Station.DECIDE, Station.PROVE);

    /** All that can stand in a journal: each fact is in one of these, and whoever reads, writes or describes facts asks here. */
    public static final List<Family<?>> FAMILIES = List.of(
            JobFact.FAMILY,
            IntakeFact.FAMILY,
            DecideFact.FAMILY,
            PartsFact.FAMILY,
            StopFact.FAMILY,
            DetourFact.FAMILY,
            DamageFact.FAMILY,
            HeatFact.FAMILY,
            SeparateFact.FAMILY,
            StripFact.FAMILY,
            CarryFact.FAMILY,
            CleanFact.FAMILY,
            BondFact.FAMILY,
            JoinFact.FAMILY,
            FaultFact.FAMILY,
            SealFact.FAMILY,
            ProveFact.FAMILY);

    /** Every kind of clock that runs at some station: whatever can be measured is measured while one runs. */
    public static final List<TimerKind> CLOCKS = List.of(
            HeatFact.SOAK,
            HeatFact.AIR,
            HeatFact.WORKABLE,
            SeparateFact.CREEPING,
            CarryStation.SPLIT_WARMING,
            CleanStation.DRYING,
            Priming.DRYING,
            Priming.OPEN,
            GlassJoin.SPREADING,
            GlassJoin.LAMP,
            FilmJoin.PRESSING,
            FilmJoin.CHAMBER,
            BeadLaying.SKINNING,
            BeadLaying.WIPING,
            BeadLaying.CURING,
            SealStation.PRESSING,
            SealProof.TESTING,
            ChargeTrace.CHARGING);

    /** As the book has it: what is computed depends on nothing that was added on the spot. */
    private final DeviceProfile asInBook;

    private final DeviceProfile profile;
    private final List<Entry> journal;
    private final JobState state;
    private final List<StationRoom> rooms;
    private final BondStation bond;
    private final SealStation seal;
    private final HeatStation heat;
    private final Planning planning;
    private final Instant now;

    /** As the course tells them: each station's own, with what the fault finder and a front that is sealed already make of them. */
    private final Map<Station, List<Step>> told = new ConcurrentHashMap<>();

    /**
     * As it stood when the latest fact happened.
     *
     * @param planning asked only for what a question needs
     */
    public Course(DeviceProfile profile, List<Entry> journal, Planning planning) {
        this(
                profile,
                List.copyOf(journal),
                JobState.of(FAMILIES, journal),
                planning,
                journal.get(journal.size() - 1).happenedAt());
    }

    private Course(DeviceProfile profile, List<Entry> journal, JobState state, Planning planning, Instant now) {
        this.asInBook = profile;
        this.profile = profile.doing(IntakeState.of(state).functionsAdded());
        this.journal = journal;
        this.state = state;
        this.planning = planning;
        this.now = now;
        this.heat = new HeatStation(
                this::heatQuestion,
                this::heatPlans,
                StripState::live,
                this::planned,
                () -> SeparateStation.workableSeconds(cutPlan()),
                sourceId -> takenByOthers()
                        .filter(taken -> taken.sourceId().equals(sourceId))
                        .findFirst(),
                now);
        StationRoom carry = new AskedOnce(new CarryStation());
        StationRoom clean = new AskedOnce(new CleanStation(planning::primer, now));
        StationRoom test = new AskedOnce(new TestStation());
        this.bond = new BondStation(planning::strips, planning::supplies, clean, now);
        StationRoom bonded = new AskedOnce(bond);
        this.seal = new SealStation(List.of(carry, clean, bonded, test), test, bond, now);
        StationRoom sealed = new AskedOnce(seal);
        this.rooms = List.of(
                new AskedOnce(new IntakeStation()),
                new AskedOnce(new DecideStation(planning::currency)),
                new AskedOnce(new PartsStation(planning::shelf)),
                new AskedOnce(heat),
                new AskedOnce(new SeparateStation(this::cutPlan, heat)),
                new AskedOnce(new StripStation()),
                carry,
                clean,
                bonded,
                test,
                sealed,
                new AskedOnce(new ProveStation(sealed)));
    }

    /** The same as it stands at another time: a device that lies there gets cold. */
    public Course at(Instant other) {
        return new Course(asInBook, journal, state, planning, other);
    }

    /** The records that can stand in a journal as this version knows it. */
    public static Stream<Class<?>> facts() {
        return FAMILIES.stream()
                .flatMap(family -> family.members().stream())
                .filter(fact -> fact != JobFact.FromNewer.class);
    }

    /** As it stands once another entry is in its journal, at the time of that entry. */
    public Course with(Entry entry) {
        List<Entry> longer = Fold.plus(journal, entry);
        boolean takesBack = entry.fact() instanceof JobFact.Undone;
        return new Course(
                asInBook,
                longer,
                takesBack ? JobState.of(FAMILIES, longer) : state.with(entry),
                planning,
                entry.happenedAt());
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

    /** What the bench has to warm with, and no other device lies on. */
    public List<HeatSource> freeSources() {
        Set<String> taken = takenIds();
        return planning.sources().stream()
                .filter(source -> !taken.contains(source.id()))
                .toList();
    }

    /**
     * What its soaks depend on.
     *
     * @throws NotAllowed when clips hold its front: there is nothing to soften
     */
    public HeatQuestion heatQuestion() {
        onlyBonded();
        return HeatQuestion.of(asInBook, state, planning.sources(), planning.hand());
    }

    /** The same by what was found at this device's edge: it is planned for the shop's hands and cut by these. */
    public HeatQuestion questionAtBench() {
        return heatQuestion().by(handNPerMm());
    }

    private double handNPerMm() {
        double hand = planning.hand().believing(HeatState.of(state).tries(asInBook.factoryAdhesive()));
        // To a hand it is one whether it pushes harder or the bond bears less.
        return hand
                / asInBook.factoryAdhesive()
                        .strengthLeft(
                                SeparateState.of(state).solventMinutes(now),
                                asInBook.heat().ledgeWidthMm());
    }

    /** Whether its steps say how it is opened, so that a plan is asked for. */
    public boolean saysHowItOpens() {
        return !SeparateState.of(state).frontOpened() && heat.prepared(profile, state);
    }

    /** How each source warms it on the best way that begins with it, the best of all first. */
    public List<HeatPlan> heatPlans() {
        return openings().stream().map(Opening::heat).toList();
    }

    /** The best way to open it by each source: what can begin now first, the best of that first. */
    public List<Opening> openings() {
        List<Opening> ranked = planning.openings(heatQuestion());
        Set<String> taken = takenIds();
        return taken.isEmpty()
                ? ranked
                : ranked.stream()
                        .sorted(Comparator.comparing(opening -> !opening.feasible() ? 2 : opening.uses(taken) ? 1 : 0))
                        .toList();
    }

    /** What other devices lie on now. */
    public Stream<SourceTaken> takenByOthers() {
        Optional<Soak> own = HeatState.of(state).runningSoak();
        return planning.taken().stream()
                .filter(taken -> taken.at(now))
                .filter(taken -> own.filter(soak -> soak.sourceId().equals(taken.sourceId())
                                && soak.startedAt().equals(taken.since()))
                        .isEmpty());
    }

    private Set<String> takenIds() {
        return takenByOthers().map(SourceTaken::sourceId).collect(Collectors.toUnmodifiableSet());
    }

    /**
     * A fact with what is known of it as it stands now: a screen that waited for its timer reckoned with its end, and one
     * that still waited for an answer did not know what is in hand.
     */
    public Fact reckoned(Fact fact) {
        HeatState heat = HeatState.of(state);
        if (fact instanceof HeatFact.SoakEnded && heat.runningSoak().isPresent()) {
            return new HeatFact.SoakEnded(
                    SeparateStation.workableSeconds(cutPlan(heat.takenOff(now).soaksSinceOpened())));
        } else if (fact instanceof HeatFact.PickTried pick && profile.bonded()) {
            // In a wet bond a pick tells nothing of the hand.
            Optional<Double> bondC = SeparateState.of(state).wet()
                    ? Optional.empty()
                    : OpeningPlanner.bondAtPickC(questionAtBench(), cutPlan(), heat.soaksSinceOpened(), now);
            return new HeatFact.PickTried(
                    pick.goesIn(), bondC.map(Course::tenth).orElse(null));
        } else if (fact instanceof DamageFact.MishapSeen seen && seen.positionMm() == null) {
            Optional<Step> inHand = next();
            return inHand.flatMap(this::positionMm)
                    .<Fact>map(at -> new DamageFact.MishapSeen(
                            seen.mishap(), at, inHand.get().id()))
                    .orElse(fact);
        }
        return fact;
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }

    /** Whether a way to open it begins or goes on with this soak: its heat was followed to the end then. */
    private boolean planned(HeatFact.SoakStarted soak) {
        boolean begins =
                !HeatState.of(state).warmed() && openings().stream().anyMatch(opening -> opening.beginsWith(soak));
        return begins || SeparateStation.warms(cutPlan(), soak);
    }

    /**
     * The way round the edge from where the bench stands.
     *
     * @throws NotAllowed when clips hold its front: there is nothing to cut
     */
    public CutPlan cutPlan() {
        SeparateState front = SeparateState.of(state);
        if (!front.frontOpened()) {
            return cutPlan(HeatState.of(state).soaksSinceOpened());
        }
        // Nobody asks of an open front how warm it is, nor by what it would have been opened best.
        HeatQuestion question = heatQuestion().by(handNPerMm()).after(Damage.harms(state));
        return CutPlanner.allFree(question, List.copyOf(front.freed())).orElseGet(() -> cutPlan(List.of()));
    }

    private CutPlan cutPlan(List<Soak> soaks) {
        return planning.cut(new CutQuestion(
                heatQuestion(),
                handNPerMm(),
                Damage.harms(state),
                List.copyOf(SeparateState.of(state).freed()),
                soaks,
                takenIds(),
                SeparateState.of(state).wet(),
                soaks.isEmpty() ? Instant.EPOCH : Instant.ofEpochSecond(now.getEpochSecond() / 10 * 10)));
    }

    /** Ways of laying strips, the best first; none where something else holds the front. */
    public List<StripPlan> strips() {
        return bond.laidAs(asInBook, state);
    }

    /** What new glass would be joined to the kept panel with. */
    public GlassJoin.Means joinedWith() {
        return bond.joinedWith(profile);
    }

    /** The bead it would be held by, of the syringe that was chosen. */
    public Bead bead() {
        return bond.bead(asInBook, state);
    }

    /** Ways to hold its front, the best first; none for one that clips hold. */
    public List<WhatHolds.Way> waysToHold() {
        return bond.ways(asInBook, state);
    }

    /** Everything that stands between the front and its seat; nothing once it is sealed. */
    public List<Hold> holdsBeforeSealing() {
        return SealState.of(state).sealedAt().isPresent() ? List.of() : seal.holdsBeforeSealing(profile, state);
    }

    private void onlyBonded() {
        if (!profile.bonded()) {
            throw new NotAllowed("device", profile.name(), "a device whose front is bonded; clips hold this one");
        }
    }

    /** The steps of every station, in working order. */
    public List<Step> steps() {
        List<Step> steps = stationsSteps().toList();
        return stop(next(steps))
                .map(stop -> Stream.concat(Stream.of(stop), steps.stream()).toList())
                .orElse(steps);
    }

    /** No station is asked before its turn comes. */
    private Stream<Step> stationsSteps() {
        return rooms().map(this::told).flatMap(List::stream);
    }

    /** Whether nothing is left to do there: without a failure no fault is looked for, and the order of what is done is all the same. */
    private boolean through(StationRoom room) {
        return !told.containsKey(room.station())
                && state.nothingFails()
                && room.steps(profile, state).stream().noneMatch(Step::open);
    }

    private List<Step> told(StationRoom room) {
        List<Step> steps = told.get(room.station());
        if (steps == null) {
            Faults faults = planning.faults();
            List<Step> own =
                    room.steps(profile, state).stream().map(this::openedFirst).toList();
            // Nothing is tried with the front loose anywhere else.
            List<Step> inOrder =
                    room.station() == Station.TEST ? FoundLate.inOrder(own, profile, state, faults.table()) : own;
            steps = FaultSteps.into(inOrder, profile, state, faults);
            told.put(room.station(), steps);
        }
        return steps;
    }

    /** A part that turns out wrong once the front is sealed is swapped after it was opened again. */
    private Step openedFirst(Step step) {
        boolean swaps = step.problem()
                && !step.choices().isEmpty()
                && step.choices().get(0).fact() instanceof PartsFact.PartSwapped;
        return swaps && SealState.of(state).sealedAt().isPresent() ? step.leadingOn(ProveStation.reopen()) : step;
    }

    /** What comes before everything else: a cell that is a danger. What was seen of it at intake is a step there. */
    private Optional<Step> stop(Optional<Step> due) {
        return StopState.of(state)
                .stopped()
                .map(stopped -> Stop.step(stopped.sign(), due.map(Step::station).orElse(Station.PROVE))
                        .choosing(Stop.letGoOn(), DecideStation.goesBack(state)));
    }

    /** Those that this device goes through. */
    private Stream<StationRoom> rooms() {
        boolean repaired = DecideState.of(state).notWorthIt().isEmpty();
        return rooms.stream().filter(room -> repaired || UNREPAIRED.contains(room.station()));
    }

    /** The facts of this job in words. */
    public FactWords words() {
        return words(steps());
    }

    /** The facts of this job in words; {@code steps} are its own, where they are at hand. */
    public FactWords words(List<Step> steps) {
        // What was done before it was sent back was done at stations that it goes through no more.
        boolean all = DecideState.of(state).notWorthIt().isEmpty();
        List<Step> named = all
                ? steps
                : rooms.stream()
                        .flatMap(room -> room.steps(profile, state).stream())
                        .toList();
        Map<String, String> sources =
                planning.sources().stream().collect(Collectors.toMap(HeatSource::id, HeatSource::name));
        return FactWords.of(profile, named, rooms, CLOCKS, sources, journal);
    }

    /** What goes with the device at hand-over. */
    public JobRecord record() {
        return JobRecord.of(profile, journal, state, words(), bond.withoutStrips(profile, state));
    }

    /** What a clock is about; one that only a newer version knows is called by its id. */
    public static TimerKind clock(String kind) {
        return CLOCKS.stream()
                .filter(known -> known.id().equals(kind))
                .findFirst()
                .orElseGet(() -> new TimerKind(kind, kind));
    }

    /** The first step that is still open; empty once handed over. No station is asked that comes after it. */
    public Optional<Step> next() {
        if (ProveState.of(state).handedOverAt().isPresent()) {
            return Optional.empty();
        }
        Optional<Step> due = rooms().filter(room -> !through(room))
                .map(this::told)
                .flatMap(List::stream)
                .filter(Step::open)
                .findFirst();
        return stop(due).or(() -> due);
    }

    /** What the job goes on with. */
    public enum Waits {
        LEAD,
        OWNER,
        PART,
        TIMER,
        HANDS
    }

    /** @param next the step that is due; a job that is done waits for nothing, and is told by that */
    public static Waits waitsFor(Optional<Step> next) {
        return next.map(step -> switch (step.lead()) {
                    case STOP -> Waits.LEAD;
                    case SETTLE -> Waits.OWNER;
                    case HAS_COME -> Waits.PART;
                    case RUNS -> Waits.TIMER;
                    default ->
                        step.waitsFor() != null
                                ? Waits.TIMER
                                : step.station() == Station.DECIDE ? Waits.OWNER : Waits.HANDS;
                })
                .orElse(Waits.HANDS);
    }

    /**
     * The straight answer to a step that is due: nothing is asked for with it, nothing has to run out first, and it begins nothing that
     * goes on by itself. Only what such an answer leads to can be told before it is given.
     */
    public static Optional<Fact> straight(Step due) {
        boolean records = due.lead() == Step.Lead.RECORD || due.lead() == Step.Lead.PROPOSE;
        return records && due.waitsFor() == null
                ? due.choices().stream()
                        .limit(1)
                        .filter(choice ->
                                choice.tone() == Step.Tone.GO && choice.asks().isEmpty())
                        .map(Choice::fact)
                        .filter(fact -> fact.timers().starts().isEmpty())
                        .findFirst()
                : Optional.empty();
    }

    /** What to do once this is told: it is known before anybody says it, for there is no time then. Empty where nobody is in danger. */
    public Optional<Step> danger(Fact fact) {
        if (fact instanceof StopFact.CellBad bad) {
            return Optional.of(Stop.step(bad.sign(), next().map(Step::station).orElse(Station.PROVE)));
        }
        return fact instanceof IntakeFact.BatterySeen seen && seen.battery().swollen()
                ? Optional.of(IntakeStation.swollen())
                : Optional.empty();
    }

    /** The first of its steps that is still open, where they are at hand; empty once handed over. */
    public Optional<Step> next(List<Step> steps) {
        return ProveState.of(state).handedOverAt().isPresent()
                ? Optional.empty()
                : steps.stream().filter(Step::open).findFirst();
    }

    /** What is said of a cell that is a danger, at any moment: the first in haste, the others once it lies safe. */
    public List<Choice> cellSigns() {
        return ProveState.of(state).handedOverAt().isPresent() ? List.of() : Stop.signs();
    }

    /** What can still be said of a device that is at home again; empty while it is here. */
    public List<Choice> afterwards() {
        return ProveState.of(state).handedOverAt().isPresent() ? ProveStation.heardBack() : List.of();
    }

    /** How it lies there, for whoever takes it up again; empty before the bench has begun with it. */
    public List<String> resume() {
        SeparateState front = SeparateState.of(state);
        boolean begun = HeatState.of(state).warmed()
                || !front.freed().isEmpty()
                || !front.wedges().isEmpty()
                || SealState.of(state).sealedAt().isPresent();
        return begun ? Resume.lines(profile, state) : List.of();
    }

    /** Ways off the straight one that are open from here. */
    public List<Choice> detours() {
        if (ProveState.of(state).handedOverAt().isPresent()) {
            return List.of();
        }
        List<Choice> ways = new ArrayList<>();
        if (SealState.of(state).sealedAt().isPresent()) {
            ways.add(ProveStation.reopen());
        }
        DecideStation.quoteAnew(state, Optional.empty()).ifPresent(ways::add);
        if (DecideState.of(state).notWorthIt().isEmpty()) {
            ways.add(DecideStation.goesBack(state));
        }
        ways.add(note("Left for whoever goes on", true));
        ways.add(note("Note", false));
        return ways;
    }

    private static Choice note(String label, boolean forNext) {
        return Step.other(
                label, new DetourFact.NoteLeft("?", forNext), new Ask("words", "Words", Ask.Kind.TEXT, null, null));
    }

    /** What can be told with one tap when it goes wrong, at what is in hand. */
    public List<Choice> whenItGoesWrong() {
        Optional<Step> inHand = next();
        String stepId = inHand.map(Step::id).orElse(null);
        Double at = inHand.flatMap(this::positionMm).orElse(null);
        return Stream.of(DamageFact.Mishap.values())
                .map(what -> Damage.mishap(what, stepId, at))
                .toList();
    }

    /** Where along the edge the stretch or clip is that is in hand. */
    private Optional<Double> positionMm(Step step) {
        String id = step.id().substring(step.id().indexOf('.') + 1);
        if (step.station() != Station.SEPARATE) {
            return Optional.empty();
        }
        Stream<EdgeInterval> places = profile.bonded()
                ? HeatState.of(state).warmed() ? inHand(id) : Stream.empty()
                : profile.features().stream()
                        .filter(clip -> clip.id().equals(id))
                        .map(EdgeFeature::where);
        return places.findFirst()
                .map(where -> (double) Math.round(profile.edge().turn().middle(where)));
    }

    /** Where nothing is being cut, the stretch that comes next is in hand: it is warmed for it. */
    private Stream<EdgeInterval> inHand(String id) {
        CutPlan way = cutPlan();
        return Stream.concat(
                way.stretches().stream()
                        .filter(stretch -> stretch.id().equals(id))
                        .map(Stretch::where),
                way.moves().stream()
                        .limit(1)
                        .map(move -> way.stretch(move.stretchId()).where()));
    }

    /** Whether a slip or a new crack can happen now: from the first heat to the last press. */
    public boolean atRisk() {
        return next().map(Step::station)
                .filter(at -> at.compareTo(Station.HEAT) >= 0 && at.compareTo(Station.SEAL) <= 0)
                .isPresent();
    }

    /** The fact a mis-tap would take back: the latest that counts, unless nothing can be taken back any more. */
    public Optional<Entry> undoable() {
        Entry latest = state.latest();
        boolean stays = latest == null
                || latest.seq() == 1
                || !latest.fact().canBeTakenBack()
                || ProveState.of(state).handedOverAt().isPresent();
        return stays ? Optional.empty() : Optional.of(latest);
    }

    /**
     * What stands in the way of a fact now; empty when it may happen.
     *
     * @throws NotAllowed when the fact names something this job does not have
     */
    public List<Hold> holds(Fact fact) {
        fact.check();
        if (state.newer()) {
            return List.of(Hold.firm(
                    "journal.newer",
                    Station.INTAKE,
                    "A newer version of this app has recorded something here that this one can't read: go on there"));
        }
        if (fact instanceof IntakeFact.JobOpened) {
            throw new NotAllowed("type", "JobOpened", "a fact for a job that is open already");
        }
        boolean gone = ProveState.of(state).handedOverAt().isPresent();
        if (fact instanceof ProveFact.HeardBack) {
            return gone
                    ? List.of()
                    : List.of(Hold.firm("prove.hand-over", Station.PROVE, "It has not been handed over yet"));
        } else if (gone) {
            return List.of(
                    Hold.firm("prove.closed", Station.PROVE, "The device is handed over: this journal is closed"));
        }
        if (fact instanceof JobFact.Undone undo) {
            return undoable().filter(entry -> entry.seq() == undo.seq()).isPresent()
                    ? List.of()
                    : List.of(Hold.firm("undo.late", Station.INTAKE, "Only the latest fact can be taken back"));
        }
        if (fact instanceof JobFact.HoldOverridden signOff) {
            return holdsNow(signOff)
                    ? List.of()
                    : List.of(Hold.firm("sign-off.late", Station.INTAKE, "Nothing is held that this would sign off"));
        }
        Optional<Station> station = station(fact);
        Stream<Hold> own = station.stream().flatMap(at -> room(at).holds(fact, profile, state).stream());
        Stream<Hold> later = rooms.stream().flatMap(room -> room.bars(fact, state).stream());
        if (fact instanceof FaultFact tried) {
            FaultSteps.known(tried, profile, planning.faults().table());
        }
        if (fact instanceof DamageFact mishap) {
            Damage.possible(profile, state, mishap);
        } else if (fact instanceof DetourFact.Reopened
                && SealState.of(state).sealedAt().isEmpty()) {
            return List.of(Hold.firm("seal.open", Station.SEAL, "The front is not sealed"));
        }
        List<Hold> holds =
                notSignedOff(Stream.of(before(fact, station), own, later).flatMap(all -> all), fact);
        // What a room says of it is nearer than that its turn has not come.
        return holds.isEmpty() ? notSignedOff(early(fact, station), fact) : holds;
    }

    private List<Hold> notSignedOff(Stream<Hold> holds, Fact fact) {
        return holds.filter(hold -> !(hold.overridable() && state.signedOff(hold.id(), fact)))
                .distinct()
                .toList();
    }

    /** What comes before the step that this answers, where the device is repaired. */
    private Stream<Hold> early(Fact fact, Optional<Station> station) {
        if (station.filter(at -> at.compareTo(Station.HEAT) >= 0).isEmpty()
                || DecideState.of(state).notWorthIt().isPresent()) {
            return Stream.empty();
        }
        // No station after its own asks for it.
        List<Step> steps = rooms.stream()
                .filter(room -> room.station().compareTo(station.get()) <= 0)
                .flatMap(room -> room.steps(profile, state).stream())
                .toList();
        return Due.early(fact, steps).stream();
    }

    /** Whether what a sign-off is about stands in the way of its fact as things are. */
    private boolean holdsNow(JobFact.HoldOverridden signOff) {
        List<Hold> same = holds(Allowed.present("held", signOff.held())).stream()
                .filter(hold -> hold.id().equals(signOff.holdId()))
                .toList();
        return !same.isEmpty() && same.stream().allMatch(Hold::overridable);
    }

    /** Clocks belong to the room that knows their kind. */
    private Optional<Station> station(Fact fact) {
        if (fact instanceof JobFact.TimerStarted f) {
            return Optional.of(stationOf(f.kind()));
        } else if (fact instanceof JobFact.TimerStopped f) {
            return Optional.of(stationOf(f.kind()));
        }
        return fact.station();
    }

    private Station stationOf(String kind) {
        return rooms.stream()
                .filter(room ->
                        room.startable().stream().anyMatch(known -> known.id().equals(kind)))
                .map(StationRoom::station)
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "kind",
                        kind,
                        rooms.stream()
                                .flatMap(room -> room.startable().stream())
                                .map(TimerKind::id)
                                .collect(Collectors.joining(" or "))));
    }

    private StationRoom room(Station station) {
        return rooms.get(station.ordinal());
    }

    /** What stands still while a cell is a danger: everything but words about it, and what the desk does. */
    private List<Hold> stopped(Fact fact) {
        boolean atIntake = IntakeState.of(state)
                .battery()
                .filter(IntakeFact.Battery::swollen)
                .isPresent();
        if (!atIntake && StopState.of(state).stopped().isEmpty()) {
            return List.of();
        }
        Hold hold = atIntake
                ? Stop.hold("intake.battery", Station.INTAKE)
                : Stop.hold(Stop.HOLD, next().map(Step::station).orElse(Station.PROVE));
        if (fact instanceof ProveFact.HandedOver) {
            return List.of(Hold.overridable(
                    "stop.hand-back", hold.station(), "It may burn: a lead hands it back, by the local rules"));
        }
        boolean soundAfterAll =
                fact instanceof IntakeFact.BatterySeen seen && !seen.battery().swollen();
        boolean words = fact instanceof StopFact
                || fact instanceof DamageFact
                || fact instanceof DetourFact.NoteLeft
                || fact instanceof ProveFact.OwnerTold;
        boolean desk =
                station(fact).filter(at -> at.compareTo(Station.DECIDE) <= 0).isPresent();
        return soundAfterAll || !desk && !words ? List.of(hold) : List.of();
    }

    /** What brings a device back together that is not repaired any further. */
    private static boolean puttingBack(Fact fact) {
        return fact instanceof SeparateFact.WedgePulled
                || fact instanceof HeatFact.SoakEnded
                || fact instanceof PartsFact.PartReturned
                || fact instanceof PartsFact.PartSwapped
                || fact instanceof StripFact.ScrewsCounted counted && counted.direction() == StripFact.Count.IN
                || fact instanceof StripFact.ScrewsMoved
                || fact instanceof StripFact.ScrewTold
                || fact instanceof StripFact.ScrewDriven;
    }

    /** Hold points that stand before whole runs of stations. */
    private Stream<Hold> before(Fact fact, Optional<Station> station) {
        List<Hold> holds = new ArrayList<>();
        holds.addAll(stopped(fact));
        boolean desk = station.filter(at -> at.compareTo(Station.DECIDE) <= 0).isPresent();
        boolean anywhere = station.isEmpty() && !(fact instanceof DetourFact.Reopened);
        boolean goesBack = DecideState.of(state).notWorthIt().isPresent();
        if (goesBack && !desk && !anywhere && !station.equals(Optional.of(Station.PROVE)) && !puttingBack(fact)) {
            holds.add(Hold.firm("decide.repair", Station.DECIDE, "The owner takes it back as it is"));
        }
        // Nothing irreversible before it is known what worked, what was agreed and that the part is right.
        if (fact.irreversible()) {
            for (Station first : List.of(Station.INTAKE, Station.DECIDE, Station.PARTS)) {
                holds.addAll(Checks.openSteps(room(first).steps(profile, state)));
            }
        }
        return holds.stream();
    }

    /** What of this device matters at a station although it was noted at another. */
    public List<String> cautions(Station station) {
        List<String> cautions = new ArrayList<>();
        boolean handling = station.compareTo(Station.HEAT) >= 0 && station.compareTo(Station.STRIP) <= 0;
        if (StripState.live(state) && handling) {
            cautions.add("Live: it can't be switched off. The battery is reached "
                    + profile.document().body().batteryReach().words() + "; isolate it before anything else.");
        }
        if (station == Station.STRIP && !StripState.isolated(state)) {
            profile.stripOrder()
                    .live()
                    .ifPresent(live -> cautions.add("Live from the "
                            + live.from().words().toLowerCase(Locale.ROOT) + " on, until the battery is out: "
                            + live.screws() + " screws, about " + live.minutes()
                            + " min. All else is ready first; nobody is called away meanwhile."));
        }
        if (station == Station.STRIP && StripState.of(state).plugsFreed().isEmpty()) {
            cautions.add("Strap on, mat under it, before the first plug; both stay until it is closed.");
        }
        boolean atTheEdge = station == Station.HEAT || station == Station.SEPARATE || station == Station.CLEAN;
        for (EdgeInterval crack : atTheEdge ? Damage.edgeCracks(profile, state) : List.<EdgeInterval>of()) {
            double middle = profile.edge().turn().middle(crack);
            cautions.add("Crack over the " + PlaceWords.at(profile, middle) + ": "
                    + switch (station) {
                        case HEAT -> "it touches the source badly and cools sooner.";
                        case SEPARATE -> "lift there, don't slide; shallow.";
                        default -> "splinters on the ledge there.";
                    });
        }
        if (station == Station.HEAT || station == Station.SEPARATE || station == Station.SEAL) {
            for (IntakeFact.BendMarked bend : IntakeState.of(state).bends()) {
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
