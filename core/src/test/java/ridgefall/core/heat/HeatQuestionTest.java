package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.gate.Journey;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatPlan.Stretch;
import ridgefall.core.heat.HeatSource.Kind;
import ridgefall.core.intake.IntakeFact.Battery;
import ridgefall.core.intake.IntakeFact.BatterySeen;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Cutting;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.Hand;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.HeatLimits;
import ridgefall.core.profile.HeatStack;
import ridgefall.core.profile.ShippedBook;

/** What a device and its damage do to its plan. */
class HeatQuestionTest {
    /** Drawn at random; {@code ./ridgefall bench} takes more, and others. */
    private static final int DEVICES = Integer.getInteger("ridgefall.devices", 150);

    private static final HeatSource PLATE = HeatSource.byId(HeatSource.bench(), "plate-1");
    private static final HeatSource PAD = HeatSource.byId(HeatSource.bench(), "pad-1");
    private static final DeviceProfile QUIRE = ShippedBook.quire11();
    private static final EdgeInterval CORNER = QUIRE.edge().interval(Landmark.BOTTOM_RIGHT);

    private static HeatPlan on(
            HeatSource source,
            DeviceProfile profile,
            FrontCondition condition,
            List<EdgeInterval> cracks,
            List<BendMarked> bends) {
        return new HeatQuestion(profile, condition, cracks, bends, HeatSource.bench())
                .planner(HeatPlanner.QUICK)
                .on(source, Setup.face(80));
    }

    private static HeatPlan whole(HeatSource source) {
        return on(source, QUIRE, FrontCondition.INTACT, List.of(), List.of());
    }

    private static Stretch coldest(HeatPlan plan) {
        return plan.stretches().stream()
                .min(Comparator.comparingDouble(Stretch::bondAtPullC))
                .orElseThrow();
    }

    private static boolean touches(Stretch stretch, EdgeInterval where) {
        return QUIRE.edge().turn().overlap(where, new EdgeInterval(stretch.fromMm(), stretch.lengthMm()));
    }

    @Test
    void aTiredCellIsKeptFiveKelvinCooler() {
        assertThat(QUIRE.limits().batteryCautionC()).isEqualTo(60);
        Journey journey = new Journey().append(new BatterySeen(Battery.TIRED));
        HeatQuestion tired = HeatQuestion.of(QUIRE, journey.state(), HeatSource.bench(), Hand.USUAL);
        assertThat(tired.profile().limits().batteryCautionC()).isEqualTo(55);
        assertThat(tired.profile().limits().batteryStopC()).isEqualTo(60);
        assertThat(tired.profile().limits().displayStopC()).isEqualTo(85);
        HeatPlan plan = tired.planner(HeatPlanner.QUICK).best(List.of(PLATE));
        assertThat(plan.batteryAtPullC().p50()).isLessThanOrEqualTo(55);
        assertThat(plan.batteryAtPullC().p90()).isLessThanOrEqualTo(60);
    }

    @Test
    void aCrackedCornerIsTheColdestStretchAndSaysWhy() {
        HeatPlan plan = on(PLATE, QUIRE, FrontCondition.CRACKED, List.of(CORNER), List.of());
        assertThat(touches(coldest(plan), CORNER)).isTrue();
        assertThat(coldest(plan).why()).isEqualTo("cracked glass touches badly");
        assertThat(plan.because()).anyMatch(reason -> reason.startsWith("coldest at the ") && reason.contains("crack"));
        assertThat(plan.readyAt().p50()).isGreaterThan(whole(PLATE).readyAt().p50() * 1.1);
    }

    @Test
    void aCrackedCornerIsColdAgainFirst() {
        // Of plastic: a metal frame soon evens out what the crack does.
        DeviceProfile plastic = ShippedBook.profile("class-tablet-plastic");
        EdgeInterval corner = plastic.edge().interval(Landmark.BOTTOM_RIGHT);
        HeatPlan plan = on(PAD, plastic, FrontCondition.CRACKED, List.of(corner), List.of());
        double atTheCrack = plan.stretches().stream()
                .filter(s -> plastic.edge().turn().overlap(corner, new EdgeInterval(s.fromMm(), s.lengthMm())))
                .mapToDouble(Stretch::workableForSeconds)
                .min()
                .orElseThrow();
        double elsewhere = plan.stretches().stream()
                .mapToDouble(Stretch::workableForSeconds)
                .max()
                .orElseThrow();
        assertThat(atTheCrack).isLessThan(elsewhere);
    }

    @Test
    void aBentFrameIsLiftedOffThePlateAndTheGelPadGivesWay() {
        List<BendMarked> bent = List.of(new BendMarked(Landmark.BOTTOM_RIGHT, 1.2, null));
        HeatPlan plate = on(PLATE, QUIRE, FrontCondition.INTACT, List.of(), bent);
        HeatPlan pad = on(PAD, QUIRE, FrontCondition.INTACT, List.of(), bent);
        assertThat(coldest(plate).why()).startsWith("lifted {mm:");
        assertThat(plate.readyAt().p50()).isGreaterThan(whole(PLATE).readyAt().p50() * 1.1);
        assertThat(pad.readyAt().p50()).isLessThan(whole(PAD).readyAt().p50() * 1.02);
    }

    /** Half the frame's shorter side, 88 mm, is lifted where nobody measured; 20 mm is not much of the edge. */
    @Test
    void whoMeasuresHowLongTheBendIsHeatsNoMoreThanThatFor() {
        HeatPlan usual = on(
                PLATE,
                QUIRE,
                FrontCondition.INTACT,
                List.of(),
                List.of(new BendMarked(Landmark.BOTTOM_RIGHT, 1.2, null)));
        HeatPlan asLong = on(
                PLATE,
                QUIRE,
                FrontCondition.INTACT,
                List.of(),
                List.of(new BendMarked(Landmark.BOTTOM_RIGHT, 1.2, 88.0)));
        HeatPlan shorter = on(
                PLATE,
                QUIRE,
                FrontCondition.INTACT,
                List.of(),
                List.of(new BendMarked(Landmark.BOTTOM_RIGHT, 1.2, 20.0)));
        assertThat(asLong.readyAt().p50()).isEqualTo(usual.readyAt().p50());
        assertThat(shorter.readyAt().p50()).isLessThan(usual.readyAt().p50());
    }

    @Test
    void aProfileReadASecondTimeAsksTheSame() {
        assertThat(ShippedBook.quire11()).isEqualTo(ShippedBook.quire11()).hasSameHashCodeAs(ShippedBook.quire11());
    }

    @Test
    void aPlasticBezelIsWhatForbidsTheHotPlate() {
        HeatPlan plan = on(PAD, ShippedBook.profile("sillery-satchel-7"), FrontCondition.INTACT, List.of(), List.of());
        HeatPlan hotter = new HeatQuestion(
                        ShippedBook.profile("sillery-satchel-7"),
                        FrontCondition.INTACT,
                        List.of(),
                        List.of(),
                        HeatSource.bench())
                .planner(HeatPlanner.QUICK)
                .judged(PAD, Setup.face(85), 300);
        assertThat(plan.latestSeconds()).isLessThan(whole(PAD).latestSeconds());
        assertThat(hotter.because()).anyMatch(says -> says.startsWith("the softest plastic passes its stop of {C:78}"));
    }

    @Test
    void whereNothingSoftensTheBondItIsSaidWhatForbidsToGoHotter() {
        HeatPlan plan = new HeatQuestion(
                        ShippedBook.profile("sillery-satchel-7"),
                        FrontCondition.INTACT,
                        List.of(),
                        List.of(),
                        List.of(HeatSource.byId(HeatSource.bench(), "air-2")))
                .ranked()
                .get(0);
        assertThat(plan.feasible()).isFalse();
        assertThat(plan.because()).first().asString().startsWith("too cold: ");
        assertThat(plan.because())
                .element(1)
                .asString()
                .matches(
                        "at \\{C:\\d+\\.0} the (softest plastic|display) may pass \\{C:\\d+} \\{s:\\d+} before the bond is ready");
        assertThat(plan.because()).element(2).asString().startsWith("instead: warm it through on a plate");
    }

    private static HeatPlan inRoom(double roomC) {
        HeatQuestion question = new HeatQuestion(
                QUIRE,
                FrontCondition.INTACT,
                List.of(),
                List.of(),
                false,
                HeatSource.bench(),
                Hand.USUAL.nPerMm(),
                roomC,
                List.of());
        return question.planner(HeatPlanner.FULL).judged(question.source("plate-1"), Setup.face(80), 180);
    }

    /** Heat flows go by differences: after the same time the bond has come the same share of the way from room to plate. */
    @Test
    void aColdRoomWarmsSlowerAndCoolsSooner() {
        HeatPlan usual = inRoom(22);
        HeatPlan cold = inRoom(10);
        double share = (usual.bondAtPullC().p50() - 22) / (80 - 22);
        assertThat((cold.bondAtPullC().p50() - 10) / (80 - 10)).isCloseTo(share, within(0.005));
        assertThat(cold.readyAt().p50()).isGreaterThan(usual.readyAt().p50() + 5);
        assertThat(cold.workableForSeconds().p50())
                .isLessThan(usual.workableForSeconds().p50() - 20);
    }

    @Test
    void withTheBatteryOutNothingWaitsForItAndTheRestWarmsSooner() {
        HeatPlan in = whole(PAD);
        HeatPlan out = new HeatQuestion(
                        QUIRE,
                        FrontCondition.INTACT,
                        List.of(),
                        List.of(),
                        true,
                        HeatSource.bench(),
                        Hand.USUAL.nPerMm(),
                        22,
                        List.of())
                .planner(HeatPlanner.FULL)
                .on(PAD, in.setup());
        assertThat(out.latestSeconds()).isGreaterThan(in.latestSeconds() + 60);
        assertThat(out.readyAt().p50()).isLessThan(in.readyAt().p50());
        assertThat(out.displayAtPullC().p90())
                .isLessThanOrEqualTo(QUIRE.limits().displayStopC());
    }

    @Test
    void onAWatchTheBatteryGetsHotterThanOnATabletForTheSameBond() {
        HeatPlan watch = after300(ShippedBook.profile("pellow-dial-41"));
        HeatPlan tablet = after300(QUIRE);
        double watchLag = watch.bondAtPullC().p50() - watch.batteryAtPullC().p50();
        double tabletLag = tablet.bondAtPullC().p50() - tablet.batteryAtPullC().p50();
        assertThat(watchLag).isLessThan(tabletLag);
    }

    private static HeatPlan after300(DeviceProfile profile) {
        return new HeatQuestion(profile, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench())
                .planner(HeatPlanner.QUICK)
                .judged(PLATE, Setup.face(80), 300);
    }

    @Test
    void aDeviceWithoutDataIsPlannedByItsClass() {
        HeatPlan plan = new HeatQuestion(
                        ShippedBook.profile("class-tablet-metal"),
                        FrontCondition.INTACT,
                        List.of(),
                        List.of(),
                        HeatSource.bench())
                .firstLook();
        assertThat(plan.feasible()).isTrue();
        assertThat(plan.weighed()).isEqualTo(HeatPlanner.QUICK);
        assertThat(plan.stretches()).hasSizeGreaterThan(11);
    }

    @Test
    void airStretchByStretchWarmsOneHandsWidthAndCountsThemAll() {
        HeatSource pencil = HeatSource.byId(HeatSource.bench(), "air-1");
        HeatPlan plan = new HeatQuestion(QUIRE, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench())
                .planner(HeatPlanner.QUICK)
                .judged(pencil, pencil.usual(300, Sweep.STRETCH_BY_STRETCH), 60);
        // An outlet of 8 mm warms 60 mm at a time, and the edge is 821 mm long.
        assertThat(plan.dwells()).isEqualTo(14);
        assertThat(plan.stretches().stream()
                        .mapToDouble(Stretch::bondAtPullC)
                        .max()
                        .orElseThrow())
                .isGreaterThan(coldest(plan).bondAtPullC() + 15);
    }

    /** Whatever the device, its limits and the source: nothing is recommended that its own band says may pass a stop. */
    @Test
    void noPlanForAnyDeviceOnAnySourceMayPassAStopLimitByItsOwnBand() {
        Random random = new Random(Long.getLong("ridgefall.seed", 20261125L));
        List<HeatStack> stacks = ShippedBook.documents()
                .map(document -> DeviceProfile.of(document, 1, null))
                .filter(DeviceProfile::bonded)
                .map(DeviceProfile::heat)
                .toList();
        for (int i = 0; i < DEVICES; i++) {
            HeatStack stack = stacks.get(random.nextInt(stacks.size()))
                    .varied(
                            spread(random),
                            spread(random),
                            spread(random),
                            spread(random),
                            spread(random),
                            spread(random),
                            spread(random),
                            spread(random));
            double batteryStop = 50 + 20 * random.nextDouble();
            double displayStop = 65 + 30 * random.nextDouble();
            HeatLimits limits = new HeatLimits(
                    batteryStop - 5, batteryStop, displayStop - 5, displayStop, 60 + 40 * random.nextDouble());
            FrontCondition condition = FrontCondition.values()[random.nextInt(3)];
            HeatedDevice device = new HeatedDevice(
                    "any",
                    stack,
                    condition,
                    EdgePieces.alike(stack, 6),
                    new Cutting(Adhesive.PET_CARRIER_TAPE, 0.15 + 0.3 * random.nextDouble()),
                    22,
                    limits);
            HeatSource source = anySource(random);
            HeatPlanner planner = new HeatPlanner(device, 5);
            HeatPlan plan = planner.best(List.of(source));
            assertThat(plan.batteryAtPullC().p90()).as("%d: %s", i, source).isLessThanOrEqualTo(batteryStop);
            assertThat(plan.displayAtPullC().p90()).as("%d: %s", i, source).isLessThanOrEqualTo(displayStop);
            assertThat(plan.plasticsAtPullC().p90())
                    .as("%d: %s", i, source)
                    .isLessThanOrEqualTo(limits.plasticsStopC());
            assertThat(plan.soakSeconds()).as("%d: %s %s", i, source, plan).isLessThanOrEqualTo(plan.latestSeconds());
            if (i % 10 == 0 && plan.latestSeconds() >= 10) {
                HeatPlan atTheLatest = planner.judged(source, plan.setup(), plan.latestSeconds());
                assertThat(atTheLatest.because()).as("%d: %s", i, source).noneMatch(says -> says.contains("passes"));
            }
        }
    }

    private static double spread(Random random) {
        return Math.exp(0.3 * random.nextGaussian());
    }

    private static HeatSource anySource(Random random) {
        Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
        int low = kind.air() ? 80 + random.nextInt(300) : 45 + random.nextInt(50);
        return new HeatSource(
                "any",
                "Any",
                kind,
                low,
                low + random.nextInt(8),
                kind == Kind.REUSABLE_PAD ? 600 : 0,
                kind.air() ? new HeatSource.Air(4 + random.nextInt(40), 1, 8, 20 + random.nextInt(60)) : null,
                null);
    }

    @Test
    void aBenchWithoutASourceSaysWhatIsMissing() {
        assertThatThrownBy(
                        () -> new HeatQuestion(QUIRE, FrontCondition.INTACT, List.of(), List.of(), List.of()).ranked())
                .hasMessage("sources is none; allowed: at least one heat source on the bench's list");
    }
}
