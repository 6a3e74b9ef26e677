package ridgefall.core.heat;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.special.Erf;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.EdgePieces.Piece;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.material.FrontCondition;

/**
 * Where and when a source meets the front. A face touches all but what is lifted off it or broken; an outlet warms a
 * spot that moves: round the border, or to and fro along the working stretch.
 */
final class Meeting {
    /** How fast an outlet is led along the border. */
    static final double LED_MM_PER_S = 20;

    /** A pad gives way to gaps up to this. */
    private static final double PAD_GIVES_MM = 1.5;

    /** A device that has slipped lies on one edge; this is the air under what matters, on the safe side. */
    private static final double SLIPPED_GAP_MM = 2;

    private static final int LOOKS = 8;

    /** Of what meets the border, what goes round the frame's outer side. */
    private static final double SIDE_SHARE = 0.3;

    /** And where it is aimed at that side. */
    private static final double AIMED_SIDE_SHARE = 0.45;

    /** Of what falls on a shield, so much gets to the glass all the same: it lifts at its edge and gets warm. */
    private static final double SHIELD_PASSES = 0.15;

    /** How far below its caution a hand keeps the glass by a thermometer. */
    static final double READS_K = 2;

    private final EdgePieces pieces;
    private final HeatSource source;
    private final Setup setup;
    /** Where air goes to and fro; null for every other way of leading. */
    private final EdgeInterval stretch;

    /** What the glass is kept below by whoever holds the air over a stretch; infinite where nobody does. */
    private final double glassBelowK;

    private final double crackedShare;
    private final double stepS;
    /** Conduction along the glass, W/K for a square of it; what air warms beside the border flows into it as from a fin. */
    private final double glassWPerK;

    private final double[] ledgeM;
    /** For outlets: the share of the spot's middle that each piece gets in each step. */
    private final double[][] spot;

    Meeting(HeatedDevice device, HeatSource source, Setup setup, double stepS, int steps) {
        this.pieces = device.pieces();
        this.source = source;
        this.setup = setup;
        this.stretch = setup.sweep() != Sweep.STRETCH_BY_STRETCH
                ? null
                : setup.where() == null ? pieces.workingStretch(source.strokeMm()) : setup.where();
        this.glassBelowK = source.kind().air() && setup.where() != null
                ? device.glassCautionC() - READS_K - device.roomC()
                : Double.POSITIVE_INFINITY;
        this.stepS = stepS;
        this.glassWPerK = device.stack().glass().conductivityWPerMK()
                * device.stack().glass().thicknessM();
        this.ledgeM = pieces.pieces().stream()
                .mapToDouble(piece -> piece.ledgeMm() / 1e3)
                .toArray();
        this.crackedShare = Math.min(
                1,
                source.contact(FrontCondition.SHATTERED, setup).typical()
                        / source.contact(device.condition(), setup).typical());
        this.spot = source.kind().air() ? spots(steps) : null;
    }

    EdgePieces.Warmed targets() {
        return stretch == null ? pieces.all() : pieces.on(stretch);
    }

    /** How often the same is done to one stretch after the other. */
    int dwells() {
        return stretch == null ? 1 : source.strokes(pieces.turn().lengthMm());
    }

    /**
     * @param contactWPerM2K from a face into whole glass that lies flat, or in the middle of the spot
     * @param riseK of the face or the air over the room, by the time since the source met the front
     * @param flat false once it has slipped
     */
    Exposure.Over over(HeatRing ring, double contactWPerM2K, DoubleUnaryOperator riseK, boolean flat) {
        return source.kind().air() ? led(ring, contactWPerM2K, riseK) : lying(contactWPerM2K, riseK, flat);
    }

    private Exposure.Over lying(double contact, DoubleUnaryOperator riseK, boolean flat) {
        double[] transfer = pieces.pieces().stream()
                .mapToDouble(piece -> touching(contact * (piece.cracked() ? crackedShare : 1), gapMm(piece, flat)))
                .toArray();
        double centre = touching(contact, flat ? 0 : SLIPPED_GAP_MM);
        Exposure[] last = {null};
        return (from, to) -> {
            double rise = riseK.applyAsDouble((from + to) / 2);
            if (last[0] == null || last[0].centreRiseK() != rise) {
                double[] rises = new double[transfer.length];
                Arrays.fill(rises, rise);
                last[0] = new Exposure(transfer, rises, centre, rise);
            }
            return last[0];
        };
    }

    private double gapMm(Piece piece, boolean flat) {
        double gap = piece.gapMm() + (flat ? 0 : SLIPPED_GAP_MM);
        boolean gives = source.kind() == HeatSource.Kind.COMPLIANT_PAD || source.kind() == HeatSource.Kind.REUSABLE_PAD;
        return gives ? Math.max(0, gap - PAD_GIVES_MM) : gap;
    }

    private static double touching(double contact, double gapMm) {
        if (gapMm <= 0) {
            return contact;
        }
        return 1 / (1 / contact + 1 / (RingNetwork.AIR_W_PER_MK / (gapMm / 1e3) + RingNetwork.RADIATION_W_PER_M2K));
    }

    private Exposure.Over led(HeatRing ring, double contact, DoubleUnaryOperator riseK) {
        Exposure[] once = new Exposure[spot.length];
        Exposure[] blown = new Exposure[spot.length];
        double[] risen = new double[spot.length];
        return (from, to) -> {
            double rise = riseK.applyAsDouble((from + to) / 2);
            int at = (int) (Math.round(from / stepS) % spot.length);
            if (once[at] == null) {
                if (ring instanceof PanelRing panel) {
                    // Led round it comes by every half a minute: to the panel that is as if it were everywhere at once.
                    Arrays.fill(once, onPanel(panel, contact, everywhere()));
                } else {
                    once[at] = onFace(ring, contact, spot[at]);
                }
            }
            if (blown[at] == null || risen[at] != rise) {
                blown[at] = once[at].times(rise).inHand(glassBelowK);
                risen[at] = rise;
            }
            return blown[at];
        };
    }

    private double[] everywhere() {
        double[] mean = new double[pieces.count()];
        for (double[] share : spot) {
            for (int i = 0; i < mean.length; i++) {
                mean[i] += share[i] / spot.length;
            }
        }
        return mean;
    }

    /** Where only the border is known: what falls on the glass beside it flows in as from a fin. */
    private Exposure onFace(HeatRing ring, double contact, double[] share) {
        // Half of the spot falls on the border and beyond it, half on the glass inside.
        double inside = contact * Math.PI / 8 * Math.pow(source.spotMm() / 1e3, 2) / ring.centreM2();
        Blown border = new Blown(share.length);
        for (int i = 0; i < share.length; i++) {
            double blown = contact * share[i];
            border.set(i, blown + Math.sqrt(blown * glassWPerK) / ledgeM[i]);
        }
        Blown centre = new Blown(1);
        centre.set(0, inside);
        return new Exposure(border.wPerM2K, border.riseK, centre.wPerM2K[0], centre.riseK[0]);
    }

    /** A bell with its middle on the outline: over the border, the strips inboard of it, the rest of the front, the frame's side. */
    private Exposure onPanel(PanelRing ring, double contact, double[] share) {
        int n = share.length;
        Blown border = new Blown(n);
        Blown[] strips = {new Blown(n), new Blown(n)};
        double[] side = new double[n];
        double along = 0;
        double most = 0;
        for (int i = 0; i < n; i++) {
            double air = contact * share[i];
            border.set(i, air * bell(ledgeM[i] * 1e3 / 2));
            for (int s = 0; s < strips.length; s++) {
                strips[s].set(i, air * bell(ring.stripMm(s)) * uncovered(ring.stripFromMm(s), ring.stripToMm(s)));
            }
            side[i] = (source.shielded() ? AIMED_SIDE_SHARE : SIDE_SHARE) * air;
            along += air * ring.lengthM(i);
            most = Math.max(most, air);
        }
        double width = Math.sqrt(4 * Math.log(2)) / source.spotMm();
        double beyondM = Math.sqrt(Math.PI) / 2 / width * Erf.erfc(width * ring.stripsToMm()) / 1e3;
        Blown centre = new Blown(1);
        // The middle of a small face gets no more than what is nearest to the outline.
        centre.set(
                0,
                uncovered(ring.stripsToMm(), Double.POSITIVE_INFINITY)
                        * Math.min(along * beyondM / ring.centreM2(), most * bell(ring.stripsToMm())));
        return new Exposure(
                border.wPerM2K,
                border.riseK,
                centre.wPerM2K[0],
                centre.riseK[0],
                new Exposure.Inboard(
                        new double[][] {strips[0].wPerM2K, strips[1].wPerM2K},
                        new double[][] {strips[0].riseK, strips[1].riseK},
                        side,
                        1));
    }

    /** Share of the air over a strip that gets to its glass, by its distances from the outline. */
    private double uncovered(double fromMm, double toMm) {
        if (!source.shielded() || toMm <= HeatSource.SHIELD_FROM_MM) {
            return 1;
        }
        double open = Math.max(0, HeatSource.SHIELD_FROM_MM - fromMm) / (toMm - fromMm);
        return open + (1 - open) * SHIELD_PASSES;
    }

    /** Moving air that is a kelvin over the room, beside what the still air takes. */
    private record Blown(double[] wPerM2K, double[] riseK) {
        Blown(int count) {
            this(new double[count], new double[count]);
        }

        void set(int i, double blownWPerM2K) {
            wPerM2K[i] = Exposure.STILL_AIR_W_PER_M2K + blownWPerM2K;
            riseK[i] = blownWPerM2K / wPerM2K[i];
        }
    }

    /** As wide as the spot at half its height. */
    private double bell(double mm) {
        return Math.exp(-4 * Math.log(2) * Math.pow(mm / source.spotMm(), 2));
    }

    private double[][] spots(int steps) {
        // To and fro takes hardly longer than a step: over a stretch every step is alike.
        double[][] shares = new double[stretch == null ? steps : 1][pieces.count()];
        for (int step = 0; step < shares.length; step++) {
            for (int look = 0; look < LOOKS; look++) {
                double at = stretch == null
                        ? pieces.turn().wrap(LED_MM_PER_S * (step + (look + 0.5) / LOOKS) * stepS)
                        : onStretch((look + 0.5) / LOOKS);
                for (int i = 0; i < pieces.count(); i++) {
                    shares[step][i] +=
                            bell(pieces.turn().apart(pieces.pieces().get(i).middleMm(), at)) / LOOKS;
                }
            }
        }
        return shares;
    }

    private double onStretch(double share) {
        // Over its ends by a quarter of the spot: else they would stay behind.
        double over = source.spotMm() / 4;
        return pieces.turn().wrap(stretch.fromMm() - over + share * (stretch.lengthMm() + 2 * over));
    }
}
