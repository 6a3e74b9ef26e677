package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The edge-resolved model: what it reduces to, what it conserves, and the same network solved another way. */
class FaceRingTest {
    private static final double PLATE_RISE_K = 80 - 22;

    private static Exposure.Over always(Exposure exposure) {
        return (from, to) -> exposure;
    }

    private static double[] soaked(FaceRing ring, Exposure exposure, double stepS, double seconds) {
        return ring.run(ring.atRoom(), 0, always(exposure), stepS, (int) Math.round(seconds / stepS), (t, s) -> {});
    }

    @ParameterizedTest
    @CsvSource({
        "10, 35.772, 28.214, 25.657, 24.601, 22.215, 35.673, 22.608",
        "30, 41.228, 33.575, 30.874, 29.749, 24.195, 52.453, 26.150",
        "60, 46.673, 39.457, 36.849, 35.760, 29.203, 63.569, 32.379",
        "180, 59.039, 54.217, 52.450, 51.709, 46.877, 72.737, 50.367",
        "600, 69.334, 66.807, 65.873, 65.478, 62.339, 76.706, 65.426"
    })
    void alikeAllRoundItIsTheReferenceOfTheEightyDegreePlate(
            int seconds,
            double glass,
            double bond,
            double bondCold,
            double rim,
            double back,
            double display,
            double battery) {
        FaceRing ring = FaceRing.uniform(ReferenceTablet.stack(), 128);
        double[] end = soaked(ring, Exposure.uniform(128, 150, PLATE_RISE_K), 0.5, seconds);
        for (int piece : new int[] {0, 40, 127}) {
            assertThat(new double[] {
                        22 + ring.glass(end, piece),
                        22 + ring.bond(end, piece),
                        22 + ring.bondAtLedge(end, piece),
                        22 + ring.rim(end, piece),
                        22 + ring.back(end),
                        22 + ring.display(end),
                        22 + ring.battery(end)
                    })
                    .containsExactly(new double[] {glass, bond, bondCold, rim, back, display, battery}, within(0.05));
        }
    }

    /** Half a cell of a plastic ledge is as good as the rest of it: a bond over plastic warms far sooner. */
    @ParameterizedTest
    @CsvSource({"55, 29.65", "60, 44.59", "65, 79.83", "70, 243.6"})
    void overAPlasticFrameTheBondIsWarmWhenTheReferenceSays(double celsius, double seconds) {
        FaceRing ring = FaceRing.uniform(ReferenceTablet.plastic(), 12);
        double[] before = soaked(ring, Exposure.uniform(12, 150, PLATE_RISE_K), 0.25, seconds * 0.98);
        double[] after = soaked(ring, Exposure.uniform(12, 150, PLATE_RISE_K), 0.25, seconds * 1.02);
        assertThat(celsius).isBetween(22 + ring.bond(before, 0), 22 + ring.bond(after, 0));
    }

    @ParameterizedTest
    @ValueSource(ints = {3, 7, 160})
    void theNumberOfPiecesChangesNothingWhereAllAreAlike(int pieces) {
        FaceRing ring = FaceRing.uniform(ReferenceTablet.stack(), pieces);
        double[] end = soaked(ring, Exposure.uniform(pieces, 150, PLATE_RISE_K), 2, 300);
        assertThat(22 + ring.bond(end, 1)).isCloseTo(61.389, within(0.1));
        assertThat(22 + ring.battery(end)).isCloseTo(58.957, within(0.1));
    }

    /** A ring with a different ledge, length and exposure on every piece. */
    private record Uneven(double[] lengthMm, double[] ledgeMm, Exposure exposure) {
        static Uneven of(int pieces, long seed) {
            Random random = new Random(seed);
            double[] parts = random.doubles(pieces, 0.5, 1.5).toArray();
            double whole = Arrays.stream(parts).sum();
            double perimeter = ReferenceTablet.stack().perimeterM() * 1e3;
            return new Uneven(
                    Arrays.stream(parts).map(p -> p * perimeter / whole).toArray(),
                    random.doubles(pieces, 1.5, 5).toArray(),
                    new Exposure(
                            random.doubles(pieces, 10, 300).toArray(),
                            random.doubles(pieces, 0, 80).toArray(),
                            120,
                            60));
        }

        FaceRing ring() {
            return new FaceRing(ReferenceTablet.stack(), lengthMm, ledgeMm);
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void solvesTheSameNetworkAsAGeneralDenseSolver(long seed) {
        Uneven uneven = Uneven.of(9, seed);
        ThermalNetwork dense = DenseRing.of(ReferenceTablet.stack(), uneven.lengthMm, uneven.ledgeMm, uneven.exposure);
        FaceRing ring = uneven.ring();
        double[] fast = soaked(ring, uneven.exposure, 0.5, 200);
        double[] slow = dense.run(dense.uniform(0), 0.05, 4000, (t, now) -> {});
        double[] inOrder = DenseRing.asRingState(slow, 9);
        assertThat(fast).hasSameSizeAs(inOrder).containsExactly(inOrder, within(0.01));
    }

    @ParameterizedTest
    @ValueSource(longs = {5, 6, 7})
    void whatFlowsInIsWhatTheDeviceHolds(long seed) {
        Uneven uneven = Uneven.of(24, seed);
        FaceRing ring = uneven.ring();
        double[] flow = {ring.inflowW(ring.atRoom(), uneven.exposure) / 2};
        double step = 0.05;
        double[] end = ring.run(ring.atRoom(), 0, always(uneven.exposure), step, 6000, (t, s) -> {
            flow[0] += ring.inflowW(s, uneven.exposure) * (Math.round(t / step) == 6000 ? 0.5 : 1);
        });
        assertThat(ring.storedJ(end) / (flow[0] * step)).isCloseTo(1, within(2e-3));
    }

    @Test
    void aCoolingDeviceGivesAllItsHeatToTheRoomAndNoneIsMade() {
        FaceRing ring = FaceRing.uniform(ReferenceTablet.stack(), 12);
        Exposure air = Exposure.stillAir(12);
        double[] warm = soaked(ring, Exposure.uniform(12, 150, PLATE_RISE_K), 1, 300);
        double[] before = {ring.storedJ(warm)};
        double[] cold = ring.run(warm, 0, always(air), 2, 6000, (t, state) -> {
            assertThat(ring.storedJ(state)).isLessThan(before[0]);
            before[0] = ring.storedJ(state);
        });
        assertThat(ring.storedJ(cold)).isCloseTo(0, within(1.0));
    }

    @Test
    void anExposureThatIsMadeAnewEachStepIsTheSameAsOneThatStays() {
        Uneven uneven = Uneven.of(16, 8);
        FaceRing ring = uneven.ring();
        Exposure e = uneven.exposure;
        double[] kept = soaked(ring, e, 1, 120);
        double[] anew = ring.run(
                ring.atRoom(),
                0,
                (from, to) -> new Exposure(e.borderWPerM2K(), e.borderRiseK(), e.centreWPerM2K(), e.centreRiseK()),
                1,
                120,
                (t, s) -> {});
        assertThat(anew).containsExactly(kept, within(1e-9));
    }

    @Test
    void turningTheDeviceTurnsTheAnswer() {
        Uneven uneven = Uneven.of(10, 9);
        Exposure e = uneven.exposure;
        int by = 3;
        FaceRing turned =
                new FaceRing(ReferenceTablet.stack(), turned(uneven.lengthMm, by), turned(uneven.ledgeMm, by));
        double[] straightEnd = soaked(uneven.ring(), e, 1, 90);
        double[] turnedEnd = soaked(
                turned,
                new Exposure(
                        turned(e.borderWPerM2K(), by), turned(e.borderRiseK(), by), e.centreWPerM2K(), e.centreRiseK()),
                1,
                90);
        for (int i = 0; i < 10; i++) {
            assertThat(turned.bond(turnedEnd, i))
                    .isCloseTo(uneven.ring().bond(straightEnd, (i + by) % 10), within(1e-9));
        }
    }

    private static double[] turned(double[] values, int by) {
        double[] result = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            result[i] = values[(i + by) % values.length];
        }
        return result;
    }

    @Test
    void twiceTheSourceIsTwiceTheRise() {
        FaceRing ring = FaceRing.uniform(ReferenceTablet.stack(), 8);
        double one = ring.bond(soaked(ring, Exposure.uniform(8, 150, 20), 1, 100), 0);
        double two = ring.bond(soaked(ring, Exposure.uniform(8, 150, 40), 1, 100), 0);
        assertThat(two).isCloseTo(2 * one, within(1e-9));
    }

    @Test
    void aStretchThatTouchesNothingStaysBehindAndItsNeighboursHelpItThroughTheFrame() {
        FaceRing ring = FaceRing.uniform(ReferenceTablet.stack(), 100);
        Exposure lifted = Exposure.uniform(100, 150, PLATE_RISE_K);
        Arrays.fill(lifted.borderWPerM2K(), 40, 50, 15);
        double[] end = soaked(ring, lifted, 1, 240);
        assertThat(ring.bond(end, 45)).isLessThan(ring.bond(end, 90) - 2.5);
        assertThat(ring.bond(end, 41)).isGreaterThan(ring.bond(end, 45) + 0.2);
        double[] alone = soaked(ring, Exposure.uniform(100, 15, PLATE_RISE_K), 1, 240);
        assertThat(ring.bond(end, 45)).isGreaterThan(ring.bond(alone, 45) + 3);
    }

    @Test
    void aStepOfThreeSecondsIsAsGoodAsOneOfATenth() {
        FaceRing ring = FaceRing.uniform(ReferenceTablet.stack(), 8);
        Exposure plate = Exposure.uniform(8, 150, PLATE_RISE_K);
        for (int seconds : List.of(30, 60, 120, 300)) {
            double[] coarse = soaked(ring, plate, 3, seconds);
            double[] fine = soaked(ring, plate, 0.1, seconds);
            assertThat(ring.bond(coarse, 0)).isCloseTo(ring.bond(fine, 0), within(0.05));
            assertThat(ring.battery(coarse)).isCloseTo(ring.battery(fine), within(0.05));
        }
    }
}
