package ridgefall.core.bond;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.bond.WhatHolds.Way;
import ridgefall.core.decide.DecideState;
import ridgefall.core.edge.Landmark;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
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
import ridgefall.core.material.TapeSchool;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.units.NotAllowed;

public final class BondStation implements StationRoom {
    /** New glass is joined to the panel that was kept. */
    public static final String OPTICAL = "bond.optical";

    static final String HELD = "bond.held";
    static final String RING = "bond.ring";
    static final String RING_MEASURED = "bond.ring-measured";
    private static final String PRE_APPLIED = "bond.pre-applied";
    private static final String OLD_BEAD = "bond.bead";
    private static final String GASKET = "bond.gasket";
    private static final String SEAT = "bond.seat";
    private static final String SCHOOL = "bond.school";

    private static final Choice SEAT_READ = Step.other(
            "Seat measured",
            new BondFact.SeatMeasured(1.1, 0.9),
            new Ask("depthMm", "Ledge under the rim", Ask.Kind.NUMBER, "mm", null),
            new Ask("frontMm", "Front, over the ledge", Ask.Kind.NUMBER, "mm", null));

    /** What is asked anew once something else is to hold it. */
    static final Set<String> LAID = Set.of(RING, RING_MEASURED, PRE_APPLIED, OLD_BEAD, BeadLaying.READY);

    /** Ways of laying strips on a device from rolls of these widths, the best first; none where no tape fits. */
    @FunctionalInterface
    public interface Strips {
        List<StripPlan> plans(DeviceProfile profile, List<Double> rollsMm, boolean patched);
    }

    private final Strips strips;
    private final Supplier<List<Supply>> shelf;
    private final StationRoom clean;
    private final Instant now;

    /**
     * @param shelf what the bench has to hold fronts with
     * @param clean what must be done before adhesive lies on the frame
     * @param now syringes have their date
     */
    public BondStation(Strips strips, Supplier<List<Supply>> shelf, StationRoom clean, Instant now) {
        this.strips = strips;
        this.shelf = shelf;
        this.clean = clean;
        this.now = now;
    }

    @Override
    public Station station() {
        return Station.BOND;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        if (!profile.bonded()) {
            return List.of(Checks.check(
                    state,
                    GASKET,
                    "Gasket whole and seated all round",
                    "clips hold this front: no adhesive",
                    "Seated"));
        }
        List<Step> steps = new ArrayList<>();
        Optional<HeldBy> by = by(profile, state);
        if (BondState.of(state).held().isPresent() || by.isEmpty()) {
            steps.addAll(measured(profile, state));
            steps.add(held(profile, state));
        }
        if (joins(profile, state)) {
            steps.addAll(GlassJoin.steps(profile, state, joinedWith(profile)));
            steps.add(joined(state));
        }
        by.ifPresent(it -> steps.addAll(lying(it, profile, state)));
        return steps;
    }

    /** What was chosen to hold it, or was laid when nobody was asked. */
    private Optional<HeldBy> by(DeviceProfile profile, JobState state) {
        BondState bond = BondState.of(state);
        if (bond.held().isPresent()) {
            return bond.held().map(BondFact.HeldByChosen::held);
        } else if (bond.school().isPresent()) {
            return Optional.of(HeldBy.STRIPS);
        } else if (state.check(PRE_APPLIED).isPresent()) {
            return Optional.of(HeldBy.CAME_ON_IT);
        } else if (state.check(OLD_BEAD).isPresent()) {
            return Optional.of(HeldBy.BEAD);
        }
        boolean ring = state.check(RING).isPresent()
                || bond.ringMm().isPresent()
                || joins(profile, state) && state.check(OPTICAL).isPresent();
        return ring ? Optional.of(HeldBy.RING) : Optional.empty();
    }

    /** The ways to hold a front, the best first; none for one that clips hold. */
    public List<Way> ways(DeviceProfile profile, JobState state) {
        return profile.bonded()
                ? new WhatHolds(
                                profile,
                                state,
                                shelf.get(),
                                (device, rollsMm) -> strips.plans(device, rollsMm, true),
                                today())
                        .ways()
                : List.of();
    }

    private LocalDate today() {
        return now.atZone(ZoneOffset.UTC).toLocalDate();
    }

    private Step held(DeviceProfile profile, JobState state) {
        Optional<BondFact.HeldByChosen> chosen = BondState.of(state).held();
        List<Way> ways = ways(profile, state);
        boolean some = ways.get(0).allowed();
        Stream<Choice> choices = ways.stream()
                .filter(way -> some ? way.allowed() : possible(way.by(), state))
                .map(way -> choice(way, way == ways.get(0) && some));
        Step step = Step.open(
                HELD,
                Station.BOND,
                some ? "What will hold it" : "Nothing holds it as it is",
                some ? held(ways.get(0)) : ways.get(0).against().get(0),
                (some ? choices : Stream.concat(again(profile, state), choices)).toArray(Choice[]::new));
        return chosen.map(it -> step.answered(it.held().words() + (it.supply() == null ? "" : ": " + it.supply())))
                .orElseGet(() -> some ? step : step.leading(Step.Lead.REASONS));
    }

    /** Straightened or looked at once more, it may be otherwise. */
    private static Stream<Choice> again(DeviceProfile profile, JobState state) {
        return Stream.concat(
                BentCorner.of(profile, state).stream()
                        .limit(1)
                        .map(bent -> measured("Bend measured again", bent.corner(), bent.bentMm())),
                Stream.of(SEAT_READ));
    }

    private static Choice measured(String label, Landmark corner, Double bentMm) {
        return Step.other(
                label,
                new BondFact.CornerMeasured(corner, 0, bentMm),
                new Ask("gapMm", "Gap at the corner", Ask.Kind.NUMBER, "mm", "0"));
    }

    private static String held(Way way) {
        return way.asks().isEmpty() ? "the first suits it best" : "needs " + String.join("; ", way.asks());
    }

    private Choice choice(Way way, boolean best) {
        BondFact.HeldByChosen fact = new BondFact.HeldByChosen(
                way.by(),
                way.from() == null ? null : way.from().id(),
                way.from() == null ? null : way.from().name(),
                way.rollsMm());
        String label = capital(way.by().words());
        return best ? Step.go(label, fact) : Step.other(label, fact);
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** By caliper, where the book is not enough: the seat, and bent corners as they are now. */
    private static List<Step> measured(DeviceProfile profile, JobState state) {
        BondState bond = BondState.of(state);
        List<Step> steps = new ArrayList<>();
        for (BendMarked bend : IntakeState.of(state).bends()) {
            Step step = Step.open(
                            "bond.bent-"
                                    + bend.corner()
                                            .name()
                                            .toLowerCase(Locale.ROOT)
                                            .replace('_', '-'),
                            Station.BOND,
                            capital(profile.placeName(bend.corner())) + ", gap as it is now",
                            "with the front laid on dry; straightened only with the battery out, a little past flat,"
                                    + " and measured each time",
                            measured("It reads", bend.corner(), bend.bentMm()))
                    .asOptional();
            steps.add(Optional.ofNullable(bond.corners().get(bend.corner()))
                    .map(read -> step.answered(read.gapMm() == 0 ? "flat" : "{mm:" + read.gapMm() + "}"))
                    .orElse(step));
        }
        Step seat = Step.open(
                        SEAT,
                        Station.BOND,
                        "Seat measured by caliper",
                        "rim down to the ledge, and the front's edge that lies over it",
                        SEAT_READ)
                .asOptional();
        steps.add(bond.seat()
                .map(read -> seat.answered("{mm:" + read.depthMm() + "} deep, front {mm:" + read.frontMm() + "}"))
                .orElse(seat));
        return steps;
    }

    private List<Step> lying(HeldBy by, DeviceProfile profile, JobState state) {
        return switch (by) {
            case CAME_ON_IT -> List.of(cameOnIt(profile, state));
            case RING -> ring(profile, state);
            case STRIPS -> strips(profile, state);
            case BEAD -> List.of(BondState.of(state).held().isEmpty() ? oldBead(state) : ready(profile, state));
            case OLD_BOND -> List.of();
        };
    }

    /** Puckered, it is peeled off, and the next best holds instead. */
    private Step cameOnIt(DeviceProfile profile, JobState state) {
        Step step = Checks.check(
                state,
                PRE_APPLIED,
                "Pre-applied tape lies flat on the new front",
                "puckered or dusty: peel it and choose what else will hold it",
                "Flat, liners on");
        return step.problem()
                ? step.leadingOn(ways(profile, state).stream()
                        .filter(way -> way.allowed() && way.by() != HeldBy.CAME_ON_IT)
                        .limit(2)
                        .map(way -> choice(way, false))
                        .toArray(Choice[]::new))
                : step;
    }

    private Step ready(DeviceProfile profile, JobState state) {
        return BeadLaying.ready(state, bead(profile, state));
    }

    private static Step oldBead(JobState state) {
        return Checks.check(
                state,
                OLD_BEAD,
                "Bead laid without a gap, clamps at hand",
                "solvent vapour: ventilate; wipe squeeze-out before it cures",
                "Laid");
    }

    /** Of the syringe that was chosen, or as needles mostly are. */
    public Bead bead(DeviceProfile profile, JobState state) {
        return WhatHolds.bead(profile, state, glue(state));
    }

    /** How long clamps take to press that bead flat, s. */
    public int sinksSeconds(DeviceProfile profile, JobState state) {
        return WhatHolds.sinksSeconds(bead(profile, state), glue(state), shelf.get(), BentCorner.of(profile, state));
    }

    /** The syringe that was chosen. */
    public Optional<Supply.Glue> glue(JobState state) {
        return BondState.of(state)
                .held()
                .map(BondFact.HeldByChosen::supplyId)
                .flatMap(id -> Supply.of(shelf.get(), Supply.Glue.class).stream()
                        .filter(glue -> glue.id().equals(id))
                        .findFirst());
    }

    /** What of the shelf would join glass to this device's panel. */
    public GlassJoin.Means joinedWith(DeviceProfile profile) {
        return GlassJoin.Means.of(profile, shelf.get(), today());
    }

    private List<Step> ring(DeviceProfile profile, JobState state) {
        boolean toldWithTheGlass = BondState.of(state).held().isEmpty() && joins(profile, state);
        return toldWithTheGlass
                ? List.of()
                : Stream.concat(
                                ringMeasured(profile, state).stream(),
                                Stream.of(Checks.check(
                                        state, RING, "Die-cut ring laid", ringHint(profile, state), "Laid flat")))
                        .toList();
    }

    private static Step joined(JobState state) {
        return Checks.check(
                        state,
                        OPTICAL,
                        "Glass bonded to the panel, clear and for good",
                        "low light: no bubbles at the corners; UV: shield eyes and skin",
                        "Clear and cured")
                .leadingOn(GlassJoin.offAgain("Split off again"));
    }

    private List<Step> strips(DeviceProfile profile, JobState state) {
        List<StripPlan> plans = plans(profile, state);
        Choice[] schools = plans.stream()
                .map(plan -> plan == plans.get(0)
                        ? Step.go(plan.school().words(), new BondFact.StripsChosen(plan.school()))
                        : Step.other(plan.school().words(), new BondFact.StripsChosen(plan.school())))
                .toArray(Choice[]::new);
        Step choose = Step.open(
                SCHOOL,
                Station.BOND,
                "How the strips end at the corners",
                "the first holds most of those in long pieces"
                        + (plans.stream().anyMatch(plan -> plan.school() == TapeSchool.CHORDS)
                                ? "; chords close the corners too"
                                : "")
                        + bent(profile, state),
                schools);
        Optional<TapeSchool> school = BondState.of(state).school();
        List<Step> steps = new ArrayList<>();
        steps.add(school.map(s -> choose.answered(s.words())).orElse(choose));
        plans.stream()
                .filter(plan -> plan.school() == school.orElse(plans.get(0).school()))
                .flatMap(plan -> plan.strips().stream())
                .map(strip -> lay(profile, strip, state))
                .forEach(steps::add);
        return steps;
    }

    /** From the rolls it was chosen with, however the shelf looks now. */
    private List<StripPlan> plans(DeviceProfile profile, JobState state) {
        return BondState.of(state)
                .held()
                .map(BondFact.HeldByChosen::rollsMm)
                .map(rollsMm -> strips.plans(profile, rollsMm, true))
                .orElseGet(() -> strips.plans(profile, BenchTape.USUAL_MM, false));
    }

    /** Whether the ring in hand seals in this seat; not asked for one that lies already. */
    private Optional<Step> ringMeasured(DeviceProfile profile, JobState state) {
        Optional<Double> ringMm = BondState.of(state).ringMm();
        Optional<SeatGap> seat = SeatGap.of(profile, state).filter(SeatGap::room);
        return state.check(RING).isPresent() && ringMm.isEmpty()
                ? Optional.empty()
                : seat.map(SeatGap::gapMm).map(gapMm -> {
                    Step step = Step.open(
                            RING_MEASURED,
                            Station.BOND,
                            "Ring measured by caliper",
                            "at three places, not pressed, the least of them; the seat leaves {mm:" + gapMm
                                    + "} for it",
                            Step.go(
                                    "It reads",
                                    new BondFact.RingMeasured(0.3),
                                    new Ask("thicknessMm", "Ring, thickness", Ask.Kind.NUMBER, "mm", null)));
                    return ringMm.map(mm -> {
                                RingSeal seal = new RingSeal(mm, gapMm);
                                String found = "{mm:" + mm + "}, " + seal.words();
                                return seal.seals(0) || state.signedOff(RING_MEASURED)
                                        ? step.answered(found)
                                        : step.problem(found);
                            })
                            .orElse(step);
                });
    }

    /** A corner that tape does not hold for good is known before tape is chosen. */
    private static String bent(DeviceProfile profile, JobState state) {
        return BentCorner.of(profile, state).stream()
                .filter(corner -> corner.verdict() != BentCorner.Verdict.TAPE_HOLDS)
                .findFirst()
                .map(corner -> "; bent: " + corner.words(profile))
                .orElse("");
    }

    private static String ringHint(DeviceProfile profile, JobState state) {
        return "one corner first, then along; a fold, a lap or a joint leaks"
                + bent(profile, state)
                + BondState.of(state)
                        .ringMm()
                        .flatMap(mm -> SeatGap.of(profile, state)
                                .filter(SeatGap::room)
                                .map(seat -> new RingSeal(mm, seat.gapMm()).greatestStretch()))
                        .filter(stretch -> stretch > 0)
                        .map(stretch -> "; not stretched: " + (int) Math.floor(100 * stretch)
                                + " in 100 longer and it leaks all round")
                        .orElse("; never stretch it");
    }

    private static boolean joins(DeviceProfile profile, JobState state) {
        return profile.bonded() && DecideState.of(state).joinsGlass(profile);
    }

    /** The strips to choose from; none where something else holds the front. */
    public List<StripPlan> laidAs(DeviceProfile profile, JobState state) {
        return profile.bonded()
                        && by(profile, state).filter(by -> by == HeldBy.STRIPS).isPresent()
                ? plans(profile, state)
                : List.of();
    }

    /** In words, for the record, what holds the front when it is not strips. */
    public String withoutStrips(DeviceProfile profile, JobState state) {
        return by(profile, state)
                .map(HeldBy::words)
                .or(() -> state.check(GASKET).map(it -> "clips and gasket"))
                .orElse("none laid");
    }

    private Step lay(DeviceProfile profile, Strip strip, JobState state) {
        double tenths = Math.round(strip.lengthMm() * 10) / 10.0;
        Step step = Step.open(
                "bond." + strip.id(),
                Station.BOND,
                "Strip {mm:" + tenths + "} × {mm:" + strip.widthMm() + "}, " + profile.placeName(strip.on()),
                (strip.on() == profile.hinge() ? "cables held away from the blade; " : "")
                        + "straight and flat, nothing up the side wall, trimmed along a pressed crease; never stretch it",
                Step.go("Laid", cut(strip)));
        return BondState.of(state).stripLaid(strip.id()) ? step.answered("laid") : step;
    }

    /** From the roll that it leaves least over of. */
    private BondFact.StripLaid cut(Strip strip) {
        double needsMm = Math.round((strip.lengthMm() + BenchTape.WASTE_MM) * 10) / 10.0;
        return Supply.of(shelf.get(), Supply.Roll.class).stream()
                .filter(roll -> roll.widthMm() == strip.widthMm() && roll.left() >= needsMm)
                .min(Comparator.comparing(Supply.Roll::left))
                .map(roll -> new BondFact.StripLaid(strip.id(), roll.id(), needsMm))
                .orElseGet(() -> new BondFact.StripLaid(strip.id()));
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known("checkId", f.checkId(), checks(profile, state));
            if (f.checkId().equals(RING) && f.answer() == Answer.PASS) {
                holds.addAll(
                        Checks.openSteps(ringMeasured(profile, state).stream().toList()));
            }
            if (f.checkId().equals(OPTICAL) && f.answer() == Answer.PASS) {
                holds.addAll(GlassJoin.unjoined(profile, state));
            }
        } else if (fact instanceof BondFact.HeldByChosen f) {
            holds.addAll(against(f, profile, state));
        } else if (fact instanceof JoinFact f) {
            if (!joins(profile, state)) {
                throw new NotAllowed(
                        "type", f.getClass().getSimpleName(), "a fact for a job that joins glass to a panel");
            }
            holds.addAll(GlassJoin.holds(f, profile, state, now));
        } else if (fact instanceof BondFact.StripLaid f) {
            if (BondState.of(state).school().isEmpty()) {
                holds.add(Hold.firm(SCHOOL, Station.BOND, "No way of ending the strips is chosen"));
            }
            TapeSchool school = BondState.of(state).school().orElse(TapeSchool.BUTT);
            Checks.known(
                    "stripId",
                    f.stripId(),
                    plans(profile, state).stream()
                            .filter(plan -> plan.school() == school)
                            .flatMap(plan -> plan.strips().stream())
                            .map(Strip::id)
                            .toList());
        }
        if (Checks.laidOnFrame(fact)) {
            holds.addAll(Checks.openSteps(clean.steps(profile, state)));
        }
        return holds;
    }

    /** What a choice is refused for, or what a lead would sign for. */
    private List<Hold> against(BondFact.HeldByChosen chosen, DeviceProfile profile, JobState state) {
        Way way = ways(profile, state).stream()
                .filter(it -> it.by() == chosen.held())
                .findFirst()
                .orElseThrow(() -> new NotAllowed("held", chosen.held(), "a way to hold a front that is bonded"));
        return way.against().stream()
                .map(why -> possible(way.by(), state)
                        ? Hold.overridable(HELD, Station.BOND, capital(way.by().words()) + ": " + why)
                        : Hold.firm(HELD, Station.BOND, capital(way.by().words()) + ": " + why))
                .limit(1)
                .toList();
    }

    /** Whether a lead could stand by it: not by what is not there. */
    private static boolean possible(HeldBy by, JobState state) {
        return by != HeldBy.OLD_BOND
                && (by != HeldBy.CAME_ON_IT || PartsState.of(state).brought(Brings.TAPE));
    }

    /** Those that may be answered as it stands, those of older journals with them. */
    private List<String> checks(DeviceProfile profile, JobState state) {
        List<String> own = profile.bonded() ? lyingChecks(profile, state) : List.of(GASKET);
        return joins(profile, state)
                ? Stream.concat(
                                own.stream(),
                                Stream.concat(
                                        Stream.of(OPTICAL),
                                        GlassJoin.CHECKS.stream().sorted()))
                        .toList()
                : own;
    }

    private List<String> lyingChecks(DeviceProfile profile, JobState state) {
        return by(profile, state).stream()
                .flatMap(it -> lying(it, profile, state).stream())
                .filter(step -> step.choices().stream().anyMatch(c -> c.fact() instanceof JobFact.CheckAnswered))
                .map(Step::id)
                .toList();
    }
}
