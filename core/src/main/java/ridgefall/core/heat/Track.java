package ridgefall.core.heat;

import java.util.ArrayList;
import java.util.List;

/**
 * One run of a device on a source, reduced to what decides: K above the room at equal steps from the start. What must
 * not get too hot is the greatest so far; what has to get warm is as it is.
 *
 * @param bond the coldest of the pieces that are meant to get warm
 * @param rim the frame at the coldest of them
 * @param display its hottest cell, or its edge where that is hotter
 * @param plastics the bezel where it faces the source, else the frame at its hottest
 * @param snapshots the whole state, every {@value #SNAPSHOT} steps
 */
record Track(
        double stepS,
        double[] bond,
        double[] rim,
        double[] battery,
        double[] display,
        double[] plastics,
        List<double[]> snapshots) {
    static final int SNAPSHOT = 8;

    /** How a run is looked at. */
    record Look(HeatRing ring, EdgePieces.Warmed targets, int dwells, boolean air, boolean plasticBezel) {
        /** From the end of one dwell to the next: the cut between them. */
        private static final double CUT_S = 45;

        Track run(double[] from, Exposure.Over over, double stepS, int steps, double startS) {
            return run(from, over, stepS, steps, startS, (seconds, state) -> {});
        }

        Track run(
                double[] from,
                Exposure.Over over,
                double stepS,
                int steps,
                double startS,
                HeatRing.Observer alsoSeenBy) {
            Track track = new Track(
                    stepS,
                    new double[steps + 1],
                    new double[steps + 1],
                    new double[steps + 1],
                    new double[steps + 1],
                    new double[steps + 1],
                    new ArrayList<>());
            note(track, 0, from);
            int[] step = {0};
            ring.run(from, startS, over, stepS, steps, (seconds, state) -> {
                note(track, ++step[0], state);
                alsoSeenBy.at(seconds, state);
            });
            return track;
        }

        /** From a state on in the air of the room. */
        Track cooling(double[] from, double stepS, int steps) {
            Exposure air = Exposure.stillAir(ring.pieces());
            return run(from, (a, b) -> air, stepS, steps, 0);
        }

        private void note(Track track, int i, double[] state) {
            double edge = 0;
            double bezel = 0;
            for (int piece = 0; piece < ring.pieces(); piece++) {
                edge = Math.max(edge, ring.panelsEdge(state, piece, air));
                bezel = Math.max(bezel, plasticBezel ? ring.glass(state, piece) : ring.rim(state, piece));
            }
            double before = beforeK(state, i * track.stepS);
            track.bond[i] = targets.coldest(piece -> ring.bond(state, piece));
            track.rim[i] = targets.coldest(piece -> ring.rim(state, piece));
            track.battery[i] = peak(track.battery, i, before + ring.battery(state));
            track.display[i] = peak(track.display, i, before + Math.max(ring.display(state), edge));
            track.plastics[i] = peak(track.plastics, i, before + bezel);
            if (i % SNAPSHOT == 0) {
                track.snapshots.add(state.clone());
            }
        }

        /**
         * What all stretches before the last left behind, evened out over the device: each brought what this one brings, and
         * what it brought has been leaving since.
         */
        private double beforeK(double[] state, double dwellS) {
            if (dwells == 1) {
                return 0;
            }
            double stillThere = 1 / Math.expm1((dwellS + CUT_S) / ring.coolingS());
            return Math.min(dwells - 1, stillThere) * ring.storedJ(state) / ring.heldJPerK();
        }

        private static double peak(double[] sofar, int i, double now) {
            return i == 0 ? now : Math.max(sofar[i - 1], now);
        }

        /** The whole state after some steps of a run. */
        double[] state(Track track, Exposure.Over over, int steps) {
            int at = steps / SNAPSHOT;
            double from = at * SNAPSHOT * track.stepS;
            return ring.run(
                    track.snapshots.get(at), from, over, track.stepS, steps - at * SNAPSHOT, (seconds, state) -> {});
        }
    }
}
