package ridgefall.core.separate;

import java.util.List;
import java.util.stream.Stream;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.units.NotAllowed;

/**
 * The way round the edge from where the bench stands.
 *
 * @param stretches all of the edge, freed or not
 * @param moves what is left to do, in order
 * @param workableFromC bond temperature from which the pick goes without force
 * @param coldBelowC and below which it is warmed again, where anything may
 * @param again how it is warmed again from where it stands, where somebody finds it cold; null where nothing may
 * @param air null where none is held on it
 * @param wedgeNowMm where a wedge goes into what was freed last; null for nowhere
 */
public record CutPlan(
        List<Stretch> stretches,
        List<Move> moves,
        String entrySeam,
        Landmark opensOn,
        int greatestOpeningDeg,
        double workableFromC,
        double coldBelowC,
        Warming again,
        Air air,
        Double wedgeNowMm) {

    /**
     * Held on the stretch ahead of the pick while it is cut.
     *
     * @param glassBelowC what a thermometer at the glass may read
     */
    public record Air(HeatSource source, double settingC, double glassBelowC) {
        public String words() {
            return source.name() + " at {C:" + settingC + "} while you cut"
                    + (source.shielded() ? ", shield on the glass" : "") + "; glass below {C:"
                    + Math.round(glassBelowC) + "}";
        }
    }

    /** The pick rests at {@code atMm} of the edge while it is warmed. */
    public record Pause(double atMm, Warming warming) {}

    /**
     * One stretch to cut.
     *
     * @param clockwise direction of the tool along the edge
     * @param newEntry true where nothing beside it is free: enter here
     * @param warmFirst what is warmed before the pick goes in, or null
     * @param pauses what is warmed on the way
     * @param seconds of cutting
     * @param airShare how much of that air is held on the stretch, 0–1
     * @param bondC as cold as the bond gets under the pick
     * @param pickMm the thickest pick that may go in; null where nothing may lift the glass: cut from the frame's side
     * @param forceN what the hand feels behind that pick
     * @param riseMm how far the edge may rise once this stretch is free; null where nothing may lift the glass
     * @param wedgeAtMm where to leave a wedge once this stretch is free; null for none
     */
    public record Move(
            String stretchId,
            boolean clockwise,
            boolean newEntry,
            Warming warmFirst,
            List<Pause> pauses,
            double seconds,
            double airShare,
            double bondC,
            Double pickMm,
            double forceN,
            Double riseMm,
            Double wedgeAtMm) {

        private Move by(HeatSource other) {
            return new Move(
                    stretchId,
                    clockwise,
                    newEntry,
                    warmFirst == null ? null : warmFirst.by(other),
                    pauses.stream()
                            .map(pause -> new Pause(pause.atMm, pause.warming.by(other)))
                            .toList(),
                    seconds,
                    airShare,
                    bondC,
                    pickMm,
                    forceN,
                    riseMm,
                    wedgeAtMm);
        }

        /** As it is called at the bench: under glass that bears nothing there is room for a blade alone. */
        public String tool() {
            return pickMm == null || pickMm <= CutPlanner.BLADE_MM ? "blade" : "pick";
        }

        public Stream<Warming> warmings() {
            return Stream.concat(Stream.ofNullable(warmFirst), pauses.stream().map(Pause::warming));
        }

        /** On the way along a stretch of some length. */
        public double mmPerS(double lengthMm) {
            return lengthMm / seconds;
        }
    }

    /** The same warmed again by another source like the one it is warmed by. */
    CutPlan by(HeatSource other) {
        return new CutPlan(
                stretches,
                moves.stream().map(move -> move.by(other)).toList(),
                entrySeam,
                opensOn,
                greatestOpeningDeg,
                workableFromC,
                coldBelowC,
                again == null ? null : again.by(other),
                air == null ? null : new Air(other, air.settingC, air.glassBelowC),
                wedgeNowMm);
    }

    /** @throws NotAllowed when this device has no such stretch */
    public Stretch stretch(String id) {
        return stretches.stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "stretchId",
                        id,
                        "one of "
                                + String.join(
                                        ", ",
                                        stretches.stream().map(Stretch::id).toList())));
    }

    /** Where a flag of tape goes on the tool of a move, from its tip. */
    public double markMm(Move move) {
        double tool = move.pickMm() == null ? CutPlanner.BLADE_MM : move.pickMm();
        return PickMark.mm(stretch(move.stretchId()).depthMm(), tool);
    }

    /** Whether air is held on it while it is cut. */
    public boolean airOn() {
        return moves.stream().anyMatch(move -> move.airShare() > 0);
    }

    public double cuttingSeconds() {
        return moves.stream().mapToDouble(Move::seconds).sum();
    }

    /** How often it is warmed again until all is free. */
    public int warmings() {
        return (int) moves.stream().flatMap(Move::warmings).count();
    }

    /** Cutting until the first warming; until all is free where there is none. */
    public double secondsUntilWarming() {
        double seconds = 0;
        for (Move move : moves) {
            if (move.warmFirst() != null) {
                return seconds;
            } else if (!move.pauses().isEmpty()) {
                Stretch stretch = stretch(move.stretchId());
                double at = move.pauses().get(0).atMm() - stretch.where().fromMm();
                double share = Math.abs(at) / stretch.where().lengthMm();
                return seconds + move.seconds() * Math.min(1, move.clockwise() ? share : 1 - share);
            }
            seconds += move.seconds();
        }
        return seconds;
    }

    /** Until all is free, with every warming on the way. */
    public double totalSeconds() {
        return cuttingSeconds()
                + moves.stream()
                        .flatMap(Move::warmings)
                        .mapToDouble(Warming::withHandlingSeconds)
                        .sum();
    }
}
