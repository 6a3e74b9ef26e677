package ridgefall.core.carry;

import java.util.List;
import java.util.stream.Stream;
import ridgefall.core.job.JobState;
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
            String tried) {
        boolean open() {
            return standing == Standing.TO_MOVE || standing == Standing.NOW;
        }
    }

    /** @param stepId what is in hand; null once nothing is */
    public static CarryLedger of(DeviceProfile profile, JobState state, String stepId) {
        List<Row> rows = Stream.concat(
                        profile.carryOvers().stream().map(part -> row(part, state, stepId)),
                        profile.pairedParts().stream().map(part -> row(profile, part, state, stepId)))
                .toList();
        long open = rows.stream().filter(Row::open).count();
        return new CarryLedger(
                rows,
                open == 0
                        ? "nothing more to come from the old front: keep it until all is tested"
                        : "keep the old front: " + open + " still to come from it");
    }

    private static Row row(CarryOver part, JobState state, String stepId) {
        boolean brought = part.brings() != null && PartsState.of(state).brought(part.brings());
        return new Row(
                part.id(),
                part.words(),
                part.hint(),
                part.irreplaceable(),
                part.area(),
                List.of(),
                false,
                standing(part.id(), state, stepId, brought),
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
                standing(part.id(), state, stepId, false),
                profile.functions().stream()
                        .filter(function -> function.id().equals(part.functionId()))
                        .findFirst()
                        .map(CarryLedger::tried)
                        .orElse(null));
    }

    private static String tried(Function function) {
        return function.words()
                + (function.testableWhen().contains(Seating.OPEN)
                        ? ": tried while the front is open"
                        : ": only once it is closed; to mend it then the front comes off again");
    }

    private static Standing standing(String id, JobState state, String stepId, boolean brought) {
        CarryState carried = CarryState.of(state);
        if (carried.lost().containsKey(id)) {
            return Standing.LOST;
        }
        boolean inHand = CarryStation.isAbout(stepId, id);
        if (inHand) {
            return Standing.NOW;
        } else if (carried.carriedOver(id)) {
            return Standing.MOVED;
        }
        return brought ? Standing.BROUGHT : Standing.TO_MOVE;
    }
}
