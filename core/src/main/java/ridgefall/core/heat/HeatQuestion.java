package ridgefall.core.heat;

import java.util.List;
import java.util.Optional;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.Harm;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobState;
import ridgefall.core.material.Cutting;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.Hand;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument;

/**
 * All that a soak depends on: the device with its damage, what the bench owns and how hard it pushes.
 *
 * @param handNPerMm of the pick's width
 * @param roomC as it was read, or what is usual
 * @param harms where a tool went wrong already: cut with care there; no soak minds them
 */
public record HeatQuestion(
        DeviceProfile profile,
        FrontCondition condition,
        List<EdgeInterval> cracks,
        List<BendMarked> bends,
        boolean batteryOut,
        List<HeatSource> sources,
        double handNPerMm,
        double roomC,
        List<Harm> harms) {
    /** What a room usually has, °C. */
    public static final double USUAL_ROOM_C = 22;

    public HeatQuestion {
        // On a watch a card finds no hold, and no place beside the spot.
        if (!bearsShield(profile)) {
            sources = sources.stream().map(HeatSource::bare).toList();
        }
    }

    /** Whether a shield would lie on its glass. */
    public boolean bearsShield() {
        return bearsShield(profile);
    }

    private static boolean bearsShield(DeviceProfile profile) {
        return profile.document().kind() != ProfileDocument.Kind.WATCH;
    }

    /** With the battery in, by a usual hand. */
    public HeatQuestion(
            DeviceProfile profile,
            FrontCondition condition,
            List<EdgeInterval> cracks,
            List<BendMarked> bends,
            List<HeatSource> sources) {
        this(profile, condition, cracks, bends, false, sources, Hand.USUAL.nPerMm(), USUAL_ROOM_C, List.of());
    }

    /** Until the front was looked at, the question is about the worst. */
    public static HeatQuestion of(DeviceProfile profile, JobState state, List<HeatSource> sources, Hand hand) {
        boolean tired = IntakeState.of(state)
                .battery()
                .filter(battery -> battery == IntakeFact.Battery.TIRED)
                .isPresent();
        return new HeatQuestion(
                tired ? profile.withTiredBattery() : profile,
                Damage.front(state).orElse(FrontCondition.SHATTERED),
                Damage.edgeCracks(profile, state),
                IntakeState.of(state).bends(),
                state.passed(HeatStation.BATTERY_OUT),
                sources,
                hand.nPerMm(),
                Optional.ofNullable(HeatState.of(state).roomC()).orElse(USUAL_ROOM_C),
                List.of());
    }

    /** The same by another hand. */
    public HeatQuestion by(double otherNPerMm) {
        return new HeatQuestion(profile, condition, cracks, bends, batteryOut, sources, otherNPerMm, roomC, harms);
    }

    /** The same once a tool went wrong there. */
    public HeatQuestion after(List<Harm> done) {
        return new HeatQuestion(profile, condition, cracks, bends, batteryOut, sources, handNPerMm, roomC, done);
    }

    public Cutting cutting() {
        return new Cutting(profile.factoryAdhesive(), handNPerMm);
    }

    public HeatSource source(String id) {
        return HeatSource.byId(sources, id);
    }

    /** What the glass may get to where it faces a source: the display ends behind it, and with a plastic bezel that too, °C. */
    public double glassCautionC() {
        return HeatedDevice.glassCautionC(profile.heat(), profile.limits());
    }

    /** As it is called at the bench; of a source that is gone, what the journal calls it. */
    public String sourceName(String id) {
        return sources.stream()
                .filter(source -> source.id().equals(id))
                .map(HeatSource::name)
                .findFirst()
                .orElse(id.replace('-', ' '));
    }

    HeatedDevice device(double pieceMm) {
        HeatedDevice device = HeatedDevice.of(profile, condition, cracks, bends, cutting(), roomC, pieceMm);
        return batteryOut ? device.withoutBattery() : device;
    }

    HeatedDevice device() {
        return device(HeatedDevice.PLANNING_MM);
    }

    /** @param benches how many plausible benches to weigh: {@link HeatPlanner#FULL}, or few for a first look */
    public HeatPlanner planner(int benches) {
        return new HeatPlanner(device(), benches);
    }

    /** The best plan of each source the bench owns, the best of all first. */
    public List<HeatPlan> ranked() {
        return planner(HeatPlanner.FULL).ranked(sources);
    }

    /**
     * A plan that is there before anyone can look away: few benches, and only the sources that the front lies on where
     * the bench owns one. Its band is rough; nothing is judged by it.
     */
    public HeatPlan firstLook() {
        List<HeatSource> faces =
                sources.stream().filter(source -> !source.kind().air()).toList();
        return new HeatPlanner(device(HeatedDevice.FIRST_LOOK_MM), HeatPlanner.QUICK)
                .best(faces.isEmpty() ? sources : faces);
    }
}
