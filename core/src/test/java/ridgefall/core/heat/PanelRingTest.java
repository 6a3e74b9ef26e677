package ridgefall.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.heat.AirStretch.Row;
import ridgefall.core.profile.HeatStack;

/**
 * A ring whose pieces know two strips of glass and panel inboard of their border, and their own part of the back: the ring that
 * plans will stand on. Here under air that is wiped over a stretch, against an independent three-dimensional model: how warm the bond gets, how hot
 * the panel's edge, and what is left of both once the air is off. Nothing of the ring is fitted to it.
 */
class PanelRingTest {
    private static final int PIECES = 165;
    private static final double STEP_S = 0.5;

    private static Exposure wiped(PanelRing ring, double pieceMm, double wPerM2K, double stretchMm) {
        double[] border = new double[PIECES];
        double[] borderRise = new double[PIECES];
        double[][] inboard = new double[PanelNetwork.STRIPS][PIECES];
        double[][] inboardRise = new double[PanelNetwork.STRIPS][PIECES];
        double[] side = new double[PIECES];
        for (int i = 0; i < PIECES; i++) {
            double air = wPerM2K * AirStretch.wiped((i - PIECES / 2) * pieceMm, stretchMm);
            double onBorder = air * AirStretch.bell(1.5);
            border[i] = 9 + onBorder;
            borderRise[i] = onBorder / border[i];
            side[i] = 0.3 * air;
            for (int s = 0; s < inboard.length; s++) {
                double onStrip = air * AirStretch.bell(ring.stripMm(s));
                inboard[s][i] = 9 + onStrip;
                inboardRise[s][i] = onStrip / inboard[s][i];
            }
        }
        return new Exposure(border, borderRise, 9, 0, new Exposure.Inboard(inboard, inboardRise, side, 1));
    }

    @ParameterizedTest
    @CsvSource({
        "metal, 100, 60", "metal, 100, 100", "metal, 200, 60", "metal, 200, 100",
        "plastic, 100, 60", "plastic, 100, 100", "plastic, 200, 60", "plastic, 200, 100",
    })
    void bondAndPanelsEdgeAreAsWarmAsTheyAreInThreeDimensions(String frame, int wPerM2K, int stretchMm)
            throws IOException {
        HeatStack stack = frame.equals("metal") ? ReferenceTablet.stack() : ReferenceTablet.plastic();
        PanelRing ring = PanelRing.uniform(stack, PIECES);
        double pieceMm = stack.perimeterMm() / PIECES;
        Exposure air = wiped(ring, pieceMm, wPerM2K, stretchMm);
        Exposure still = Exposure.stillAir(PIECES);
        for (String phase : List.of("heating", "off_after_30", "off_after_60")) {
            boolean heating = phase.equals("heating");
            double[] state = ring.atRoom();
            double at = 0;
            if (!heating) {
                state = run(ring, state, air, Integer.parseInt(phase.substring(10)));
            }
            for (Row row : AirStretch.rows(frame, wPerM2K, stretchMm, phase)) {
                state = run(ring, state, heating ? air : still, row.seconds() - at);
                at = row.seconds();
                if (at < 20) {
                    continue;
                }
                // Pulled off a metal frame, what is left of the bond's rise is a few kelvin: there it cools too soon.
                double bondWithin = heating ? 0.2 : frame.equals("metal") ? 0.4 : 0.3;
                int end = PIECES / 2 + (int) ((stretchMm / 2.0 - 2.5) / pieceMm);
                assertThat(ring.bond(state, end) / row.bondColdest())
                        .as("coldest bond of %s", row)
                        .isCloseTo(1, within(bondWithin));
                assertThat(ring.bond(state, PIECES / 2) / row.bondMiddle())
                        .as("bond of %s", row)
                        .isCloseTo(1, within(bondWithin));
                assertThat(ring.panel(state, PIECES / 2) / row.panelEdge())
                        .as("panel's edge of %s", row)
                        .isCloseTo(1, within(0.2));
                if (heating) {
                    assertThat(ring.panelsEdge(state, PIECES / 2, true))
                            .as("panel's edge of %s on the safe side", row)
                            .isGreaterThan(row.panelEdge());
                }
            }
        }
    }

    /** A ring with a different ledge, length and exposure on every piece. */
    private record Uneven(double[] lengthMm, double[] ledgeMm, Exposure exposure) {
        static Uneven of(int pieces, long seed) {
            Random random = new Random(seed);
            double[] parts = random.doubles(pieces, 0.5, 1.5).toArray();
            double whole = Arrays.stream(parts).sum();
            double perimeter = ReferenceTablet.stack().perimeterMm();
            return new Uneven(
                    Arrays.stream(parts).map(p -> p * perimeter / whole).toArray(),
                    random.doubles(pieces, 1.5, 5).toArray(),
                    new Exposure(
                            random.doubles(pieces, 10, 300).toArray(),
                            random.doubles(pieces, 0, 80).toArray(),
                            120,
                            60));
        }

        PanelRing ring() {
            return new PanelRing(ReferenceTablet.stack(), lengthMm, ledgeMm);
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void solvesTheSameNetworkAsAGeneralDenseSolver(long seed) {
        Uneven uneven = Uneven.of(9, seed);
        ThermalNetwork dense =
                DensePanelRing.of(ReferenceTablet.stack(), uneven.lengthMm, uneven.ledgeMm, uneven.exposure);
        PanelRing ring = uneven.ring();
        double[] fast = run(ring, ring.atRoom(), uneven.exposure, 200);
        double[] slow = dense.run(dense.uniform(0), 0.05, 4000, (t, now) -> {});
        double[] inOrder = DensePanelRing.asRingState(slow, 9);
        assertThat(fast).hasSameSizeAs(inOrder).containsExactly(inOrder, within(0.01));
    }

    @ParameterizedTest
    @ValueSource(longs = {5, 6})
    void whatFlowsInIsWhatTheDeviceHolds(long seed) {
        Uneven uneven = Uneven.of(24, seed);
        PanelRing ring = uneven.ring();
        double[] flow = {ring.inflowW(ring.atRoom(), uneven.exposure) / 2};
        double step = 0.05;
        double[] end = ring.run(ring.atRoom(), 0, (a, b) -> uneven.exposure, step, 6000, (t, s) -> {
            flow[0] += ring.inflowW(s, uneven.exposure) * (Math.round(t / step) == 6000 ? 0.5 : 1);
        });
        assertThat(ring.storedJ(end) / (flow[0] * step)).isCloseTo(1, within(2e-3));
    }

    /** Alike all round it is the two-column model of the reference case but for what that evens out. */
    @ParameterizedTest
    @CsvSource({"30, 33.575", "60, 39.457", "180, 54.217", "600, 66.807"})
    void onAPlateTheBondIsAsWarmAsTheReference(int seconds, double bondC) {
        PanelRing ring = PanelRing.uniform(ReferenceTablet.stack(), 24);
        double[] end = run(ring, ring.atRoom(), Exposure.uniform(24, 150, 58), seconds);
        assertThat(22 + ring.bond(end, 0)).isCloseTo(bondC, within(0.7));
    }

    private static double[] run(PanelRing ring, double[] from, Exposure exposure, double seconds) {
        int steps = (int) Math.round(seconds / STEP_S);
        return steps == 0 ? from : ring.run(from, 0, (a, b) -> exposure, STEP_S, steps, (t, s) -> {});
    }
}
