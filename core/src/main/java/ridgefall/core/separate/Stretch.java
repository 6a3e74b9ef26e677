package ridgefall.core.separate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.Harm;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Turn;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.EdgeFeature;
import ridgefall.core.profile.PerDevice;
import ridgefall.core.profile.ProfileDocument.PanelType;

/**
 * A piece of the bond line that is cut in one go, with one allowed depth.
 *
 * @param id stable for a device whatever its damage, so that the journal can name it
 * @param depthMm how far in from the outline the tool may go, and {@code depthBecause} what sets it
 * @param hazard how bad a slip is, 0–1
 * @param difficulty how much slower than a clear straight edge, 1 or more
 */
public record Stretch(
        String id,
        EdgeInterval where,
        Landmark landmark,
        double depthMm,
        String depthBecause,
        double hazard,
        String hazardWords,
        double difficulty,
        boolean hinge,
        boolean cracked) {

    private static final double DANGEROUS_HAZARD = 0.4;
    private static final double BORDER_MARGIN_MM = 1.5;
    /** Narrower borders, as on watches, leave just the tip of the tool. */
    /** An OLED touched at its seal dies from there; an LCD is scratched. */
    private static final double OLED_MARGIN_MM = 0.5;

    private static final double LEAST_DEPTH_MM = 1;

    /** What a tool that went wrong once goes too far, and how much slower one goes after that; common practice. */
    private static final double OVERSHOOT_MM = 1;

    private static final double CARE = 1.5;

    private static final double CRACK_DEPTH_MM = 2.0;
    private static final double CRACK_REACH_MM = 10;
    private static final double FEATURE_REACH_MM = 3;
    private static final double SLIVER_MM = 9;

    /** Whether a position is on it; stretches do not run over the start of the edge. */
    boolean has(double positionMm) {
        return positionMm >= where.fromMm() && positionMm < where.fromMm() + where.lengthMm();
    }

    /** Whether a slip here costs a part rather than a scratch. */
    public boolean dangerous() {
        return hazard >= DANGEROUS_HAZARD;
    }

    /**
     * Cuts the edge at its corners and beside its features; neighbours in working order, clockwise. On a crowded edge
     * short pieces melt into their neighbours until an order can be planned.
     */
    public static List<Stretch> along(DeviceProfile profile, List<EdgeInterval> cracks) {
        return cracks.isEmpty() ? WHOLE.of(profile) : pieces(profile, cracks);
    }

    private static final PerDevice<List<Stretch>> WHOLE = new PerDevice<>(profile -> pieces(profile, List.of()));

    private static List<Stretch> pieces(DeviceProfile profile, List<EdgeInterval> cracks) {
        double sliverMm = SLIVER_MM;
        List<Stretch> stretches = along(profile, cracks, sliverMm);
        while (stretches.size() > CutOrder.GREATEST_STRETCHES) {
            sliverMm *= 1.5;
            stretches = along(profile, cracks, sliverMm);
        }
        return stretches;
    }

    /** The same where a tool went wrong beside it or in it: shallower, with the neighbours open first, slower. */
    Stretch after(List<Harm> harms, Turn turn) {
        Stretch careful = this;
        for (Harm harm : harms) {
            if (turn.overlap(harm.where(), where)) {
                careful = careful.after(harm.what());
            }
        }
        return careful;
    }

    private Stretch after(Mishap what) {
        boolean cut = what == Mishap.CUT;
        double shallower = Math.max(LEAST_DEPTH_MM, cut ? LEAST_DEPTH_MM : depthMm - OVERSHOOT_MM);
        return new Stretch(
                id,
                where,
                landmark,
                Math.min(depthMm, shallower),
                shallower < depthMm
                        ? what.words().toLowerCase(Locale.ROOT) + " here already" + (cut ? ": just the tip" : "")
                        : depthBecause,
                Math.max(hazard, DANGEROUS_HAZARD),
                hazardWords == null ? what.words() + " here already: shallower and slower" : hazardWords,
                difficulty * CARE,
                hinge,
                cracked);
    }

    private static List<Stretch> along(DeviceProfile profile, List<EdgeInterval> cracks, double sliverMm) {
        EdgeLine edge = profile.edge();
        List<Stretch> stretches = new ArrayList<>();
        for (EdgeLine.Part part : edge.parts()) {
            List<Double> cuts = cuts(profile, part, sliverMm);
            for (int i = 0; i + 1 < cuts.size(); i++) {
                EdgeInterval where = new EdgeInterval(cuts.get(i), cuts.get(i + 1) - cuts.get(i));
                String name = part.landmark().name().toLowerCase(Locale.ROOT).replace('_', '-');
                stretches.add(
                        of(profile, cuts.size() == 2 ? name : name + "-" + (i + 1), where, part.landmark(), cracks));
            }
        }
        return List.copyOf(stretches);
    }

    private static List<Double> cuts(DeviceProfile profile, EdgeLine.Part part, double sliverMm) {
        Turn turn = profile.edge().turn();
        double from = part.interval().fromMm();
        double to = from + part.interval().lengthMm();
        TreeSet<Double> cuts = new TreeSet<>();
        if (!part.landmark().isCorner()) {
            for (EdgeFeature feature : profile.featuresOn(part.interval())) {
                EdgeInterval reach = turn.grown(feature.where(), FEATURE_REACH_MM);
                cuts.add(reach.fromMm());
                cuts.add(turn.end(reach));
            }
        }
        List<Double> kept = new ArrayList<>(List.of(from));
        for (double cut : cuts) {
            if (cut - kept.get(kept.size() - 1) >= sliverMm && to - cut >= sliverMm) {
                kept.add(cut);
            }
        }
        kept.add(to);
        return kept;
    }

    private static Stretch of(
            DeviceProfile profile, String id, EdgeInterval where, Landmark landmark, List<EdgeInterval> cracks) {
        Turn turn = profile.edge().turn();
        double margin = BORDER_MARGIN_MM + (profile.document().front().panel() == PanelType.OLED ? OLED_MARGIN_MM : 0);
        double depth = Math.max(LEAST_DEPTH_MM, profile.leastBorderMm(where) - margin);
        String because = "border less a margin";
        List<EdgeFeature> features = profile.featuresOn(where);
        for (EdgeFeature feature : features) {
            if (feature.allowedDepthMm() < depth) {
                depth = feature.allowedDepthMm();
                because = feature.words();
            }
        }
        boolean cracked = cracks.stream().anyMatch(c -> turn.overlap(turn.grown(c, CRACK_REACH_MM), where));
        if (cracked && CRACK_DEPTH_MM < depth) {
            depth = CRACK_DEPTH_MM;
            because = "crack: lift, don't slide";
        }
        EdgeFeature worst =
                features.stream().max(Comparator.comparing(EdgeFeature::hazard)).orElse(null);
        return new Stretch(
                id,
                where,
                landmark,
                depth,
                because,
                worst == null ? 0.05 : worst.hazard(),
                worst == null ? null : worst.words() + ": " + worst.consequence(),
                (landmark.isCorner() ? 2 : 1) * (cracked ? 1.6 : 1) * (worst == null ? 1 : 1.3),
                landmark == profile.hinge(),
                cracked);
    }
}
