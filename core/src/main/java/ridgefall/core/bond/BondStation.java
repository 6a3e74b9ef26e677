package ridgefall.core.bond;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import ridgefall.core.bond.StripPlan.Strip;
import ridgefall.core.decide.DecideState;
import ridgefall.core.edge.Landmark;
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
import ridgefall.core.profile.ProfileDocument.AdhesiveKind;
import ridgefall.core.units.NotAllowed;

public final class BondStation implements StationRoom {
    /** New glass is joined to the panel that was kept. */
    public static final String OPTICAL = "bond.optical";

    private static final String RING = "bond.ring";
    static final String RING_MEASURED = "bond.ring-measured";

    private final Function<DeviceProfile, List<StripPlan>> plans;
    private final StationRoom clean;
    private final Instant now;

    /**
     * @param plans ways of laying strips on a device, the best first; none where no tape fits its ledge
     * @param clean what must be done before adhesive lies on the frame
     * @param now syringes have their date
     */
    public BondStation(Function<DeviceProfile, List<StripPlan>> plans, StationRoom clean, Instant now) {
        this.plans = plans;
        this.clean = clean;
        this.now = now;
    }

    @Override
    public Station station() {
        return Station.BOND;
    }

    @Override
    public List<Step> steps(DeviceProfile profile, JobState state) {
        Optional<Step> ready = readyMade(profile, state);
        if (ready.isPresent()) {
            return joins(profile, state)
                    ? Stream.concat(
                                    GlassJoin.steps(profile, state).stream(),
                                    Stream.of(ready.get().leadingOn(GlassJoin.offAgain("Split off again"))))
                            .toList()
                    : Stream.concat(ringMeasured(profile, state).stream(), Stream.of(ready.get()))
                            .toList();
        }
        List<StripPlan> plans = this.plans.apply(profile);
        Choice[] schools = plans.stream()
                .map(plan -> plan == plans.get(0)
                        ? Step.go(plan.school().words(), new BondFact.StripsChosen(plan.school()))
                        : Step.other(plan.school().words(), new BondFact.StripsChosen(plan.school())))
                .toArray(Choice[]::new);
        Step choose = Step.open(
                "bond.school",
                Station.BOND,
                "How the strips end at the corners",
                "the first holds most" + bent(profile, state),
                schools);
        List<Step> steps = new ArrayList<>();
        steps.add(BondState.of(state)
                .school()
                .map(s -> choose.answered(s.words()))
                .orElse(choose));
        plans.stream()
                .filter(plan -> plan.school()
                        == BondState.of(state).school().orElse(plans.get(0).school()))
                .flatMap(plan -> plan.strips().stream())
                .map(strip -> lay(profile, strip, state))
                .forEach(steps::add);
        return steps;
    }

    /** Whether the ring in hand seals in this seat; not asked for one that lies already. */
    private Optional<Step> ringMeasured(DeviceProfile profile, JobState state) {
        Optional<Double> ringMm = BondState.of(state).ringMm();
        boolean rings = readyMade(profile, state)
                .filter(step -> step.id().equals(RING))
                .filter(step -> step.answer() == null || ringMm.isPresent())
                .isPresent();
        return rings
                ? RingSeal.gapMm(profile, state).map(gapMm -> {
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
                })
                : Optional.empty();
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
                        .flatMap(mm ->
                                RingSeal.gapMm(profile, state).map(gapMm -> new RingSeal(mm, gapMm).greatestStretch()))
                        .filter(stretch -> stretch > 0)
                        .map(stretch -> "; not stretched: " + (int) Math.floor(100 * stretch)
                                + " in 100 longer and it leaks all round")
                        .orElse("; never stretch it");
    }

    private static boolean joins(DeviceProfile profile, JobState state) {
        return profile.bonded()
                && !PartsState.of(state).brought(Brings.TAPE)
                && DecideState.of(state).joinsGlass(profile);
    }

    /** What holds the new front where no strips are cut; empty where they are. */
    private Optional<Step> readyMade(DeviceProfile profile, JobState state) {
        if (!profile.bonded()) {
            return Optional.of(Checks.check(
                    state,
                    "bond.gasket",
                    "Gasket whole and seated all round",
                    "clips hold this front: no adhesive",
                    "Seated"));
        }
        if (PartsState.of(state).brought(Brings.TAPE)) {
            return Optional.of(Checks.check(
                    state,
                    "bond.pre-applied",
                    "Pre-applied tape lies flat on the new front",
                    "puckered or dusty: peel it and cut strips instead",
                    "Flat, liners on"));
        }
        if (DecideState.of(state).joinsGlass(profile)) {
            return Optional.of(Checks.check(
                    state,
                    OPTICAL,
                    "Glass bonded with optical liquid and cured, ring on",
                    "no bubbles at the corners; UV: shield eyes and skin; never stretch the ring",
                    "Clear and cured"));
        }
        AdhesiveKind usual = profile.document().seals().stream()
                .filter(kind -> kind != AdhesiveKind.PRE_APPLIED)
                .findFirst()
                .orElse(AdhesiveKind.DIE_CUT);
        if (usual == AdhesiveKind.STRIPS && !plans.apply(profile).isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                switch (usual) {
                    case BEAD ->
                        Checks.check(
                                state,
                                "bond.bead",
                                "Bead laid without a gap, clamps at hand",
                                "solvent vapour: ventilate; wipe squeeze-out before it cures",
                                "Laid");
                    default -> Checks.check(state, RING, "Die-cut ring laid", ringHint(profile, state), "Laid flat");
                });
    }

    /** The strips to choose from; none where something else holds the front. */
    public List<StripPlan> strips(DeviceProfile profile, JobState state) {
        return readyMade(profile, state).isPresent() ? List.of() : plans.apply(profile);
    }

    /** In words, for the record, what holds the front when it is not strips. */
    public String withoutStrips(DeviceProfile profile, JobState state) {
        return readyMade(profile, state)
                .filter(step -> !step.open())
                .map(Step::title)
                .orElse("none laid");
    }

    private static Step lay(DeviceProfile profile, Strip strip, JobState state) {
        double tenths = Math.round(strip.lengthMm() * 10) / 10.0;
        Step step = Step.open(
                "bond." + strip.id(),
                Station.BOND,
                "Strip {mm:" + tenths + "} × {mm:" + strip.widthMm() + "}, "
                        + profile.placeName(Landmark.valueOf(strip.side().name())),
                "straight and flat, nothing up the side wall; never stretch it",
                Step.go("Laid", new BondFact.StripLaid(strip.id())));
        return BondState.of(state).stripLaid(strip.id()) ? step.answered("laid") : step;
    }

    @Override
    public List<Hold> holds(Fact fact, DeviceProfile profile, JobState state) {
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof JobFact.CheckAnswered f) {
            Checks.known(
                    "checkId",
                    f.checkId(),
                    Stream.concat(
                                    readyMade(profile, state).stream().map(Step::id),
                                    joins(profile, state)
                                            ? GlassJoin.CHECKS.stream().sorted()
                                            : Stream.empty())
                            .toList());
            if (f.checkId().equals(RING) && f.answer() == Answer.PASS) {
                holds.addAll(
                        Checks.openSteps(ringMeasured(profile, state).stream().toList()));
            }
            if (f.checkId().equals(OPTICAL) && f.answer() == Answer.PASS) {
                holds.addAll(GlassJoin.unjoined(profile, state));
            }
        } else if (fact instanceof JoinFact f) {
            if (!joins(profile, state)) {
                throw new NotAllowed(
                        "type", f.getClass().getSimpleName(), "a fact for a job that joins glass to a panel");
            }
            holds.addAll(GlassJoin.holds(f, profile, state, now));
        } else if (fact instanceof BondFact.StripLaid f) {
            if (BondState.of(state).school().isEmpty()) {
                holds.add(Hold.firm("bond.school", Station.BOND, "No way of ending the strips is chosen"));
            }
            TapeSchool school = BondState.of(state).school().orElse(TapeSchool.BUTT);
            Checks.known(
                    "stripId",
                    f.stripId(),
                    plans.apply(profile).stream()
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
}
