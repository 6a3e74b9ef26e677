package ridgefall.core.carry;

import java.util.List;
import java.util.stream.Stream;
import ridgefall.core.damage.Damage;
import ridgefall.core.decide.DecideState;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.job.JobState;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Area;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.Joint;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.profile.ProfileDocument.Seating;

/**
 * What of the old front has to get to the new one, and how far it is: as long as anything is missing the old front is kept.
 *
 * @param oldFront whether it is still needed
 */
public record CarryLedger(List<Row> rows, String oldFront) {
    public enum Standing {
        TO_MOVE,
        NOW,
        MOVED,
        /** The new part has one of its own. */
        BROUGHT,
        LOST
    }

    /**
     * @param area where it sits, seen from the face; null where nobody has looked yet, and for data
     * @param tried by what it is known to work, and when that can be tried; null for what has no function of its own
     * @param joints of a board that moves
     * @param data whether it is copied, not moved
     * @param moving how it comes off and how it lies; null for what is paired
     * @param soldering of a board that moves; null for all else
     */
    public record Row(
            String id,
            String words,
            String hint,
            boolean irreplaceable,
            Area area,
            List<Joint> joints,
            boolean data,
            Standing standing,
            String tried,
            Moving moving,
            SolderHeat soldering) {
        boolean open() {
            return standing == Standing.TO_MOVE || standing == Standing.NOW;
        }
    }

    /**
     * @param stepId what is in hand; null once nothing is
     * @param sources what the bench has to warm with
     */
    public static CarryLedger of(DeviceProfile profile, JobState state, String stepId, List<HeatSource> sources) {
        List<Row> rows = Stream.concat(
                        profile.carryOvers().stream().map(part -> row(profile, part, state, stepId, sources)),
                        profile.pairedParts().stream().map(part -> row(profile, part, state, stepId)))
                .toList();
        long open = rows.stream()
                .filter(row -> row.open() && !CarryState.of(state).carriedOver(row.id()))
                .count();
        return new CarryLedger(
                rows,
                open == 0
                        ? "nothing more to come from the old front: keep it until all is tested"
                        : "keep the old front: " + open + " still to come from it");
    }

    private static Row row(
            DeviceProfile profile, CarryOver part, JobState state, String stepId, List<HeatSource> sources) {
        boolean brought = part.brings() != null && PartsState.of(state).brought(part.brings());
        return new Row(
                part.id(),
                part.words(),
                part.hint(),
                part.irreplaceable(),
                part.area(),
                List.of(),
                false,
                standing(part.id(), state, CarryStation.isAbout(stepId, part.id()), brought),
                tried(profile, state, part.functionId()),
                Moving.of(profile, part, Damage.front(state).orElse(FrontCondition.SHATTERED), sources),
                null);
    }

    private static Row row(DeviceProfile profile, PairedPart part, JobState state, String stepId) {
        return new Row(
                part.id(),
                part.words(),
                part.hint(),
                true,
                null,
                part.joints(),
                part.method() == PairingMethod.COPY_DATA,
                standing(part.id(), state, CarryStation.isAboutBoard(stepId, part), false),
                tried(profile, state, part.functionId()),
                null,
                part.method() == PairingMethod.MOVE_BOARD ? SolderHeat.of(profile, part) : null);
    }

    private static String tried(DeviceProfile profile, JobState state, String functionId) {
        return profile.functions().stream()
                .filter(function -> function.id().equals(functionId))
                .findFirst()
                .map(function -> tried(function, DecideState.of(state).onceMore(profile)))
                .orElse(null);
    }

    private static String tried(Function function, String again) {
        return function.words()
                + (function.testableWhen().contains(Seating.OPEN)
                        ? ": tried while the front is open"
                        : ": only once it is closed; to mend it then the front comes off again" + again);
    }

    private static Standing standing(String id, JobState state, boolean inHand, boolean brought) {
        CarryState carried = CarryState.of(state);
        if (carried.lost().containsKey(id)) {
            return Standing.LOST;
        }
        if (inHand) {
            return Standing.NOW;
        } else if (carried.carriedOver(id)) {
            return Standing.MOVED;
        }
        return brought ? Standing.BROUGHT : Standing.TO_MOVE;
    }
}
