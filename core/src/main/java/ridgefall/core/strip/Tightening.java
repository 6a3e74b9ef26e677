package ridgefall.core.strip;

import java.util.Map;
import java.util.TreeMap;
import ridgefall.core.profile.ProfileDocument.Screw;

/**
 * How firmly a small screw is driven: {@code T = K · d · F} with friction as of dry steel, and F half of what either a soft steel
 * shank of its stress area or the soft thread that it sits in bears. Handbook values; what somebody measured on a device wins.
 */
final class Tightening {
    private static final double FRICTION = 0.2;
    private static final double SHARE = 0.5;

    /** Of the softest common grade, and shear of a cast light-metal thread. */
    private static final double PROOF_MPA = 310;

    private static final double THREAD_MPA = 100;

    /** The least that holds is taken where nobody has measured the hole. */
    private static final double LEAST_DIAMETERS = 0.8;

    /** Of metric coarse threads, by diameter, mm. */
    private static final TreeMap<Double, Double> PITCH_MM =
            new TreeMap<>(Map.of(1.0, 0.25, 1.2, 0.25, 1.4, 0.3, 1.6, 0.35, 2.0, 0.4, 2.5, 0.45, 3.0, 0.5, 4.0, 0.7));

    private static final double NMM_PER_CNM = 10;

    private Tightening() {}

    /** In half centinewton metres, rounded down: a thread that is spoiled is spoiled for good. */
    static double mostCNm(Screw screw) {
        double d = screw.threadMm();
        Map.Entry<Double, Double> pitch = PITCH_MM.floorEntry(d);
        double core = d - 0.9382 * (pitch == null ? PITCH_MM.firstEntry() : pitch).getValue();
        double shankN = PROOF_MPA * Math.PI / 4 * core * core;
        double threadN = THREAD_MPA * Math.PI / 2 * d * engagedMm(screw);
        double nmm = FRICTION * d * SHARE * Math.min(shankN, threadN);
        return Math.max(0.5, Math.floor(2 * nmm / NMM_PER_CNM) / 2);
    }

    private static double engagedMm(Screw screw) {
        boolean measured = screw.stackMm() != null && screw.threadedMm() != null;
        return measured
                ? Math.min(screw.underHeadMm() - screw.stackMm(), screw.threadedMm())
                : LEAST_DIAMETERS * screw.threadMm();
    }

    /** As a hand without a torque driver feels it. */
    static String told(Screw screw) {
        double most = mostCNm(screw);
        String number = most == Math.rint(most) ? Long.toString(Math.round(most)) : Double.toString(most);
        return "to " + number + " cNm: "
                + (most < 1.5
                        ? "fingertips, stop as it seats"
                        : most < 5 ? "two fingers, stop as it seats" : "a whole hand, no weight on it");
    }
}
