package ridgefall.core.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import ridgefall.core.edge.Point;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Checks;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.CarryOver;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.sheet.Sheet;
import ridgefall.core.sheet.Sheet.Mark;
import ridgefall.core.units.NotAllowed;

/** One page for the owner: what stays gone with a part that does not move over, to be signed before anything is thrown away. */
public final class GivenUpSheet {
    private static final double WORDS_MM = 4;
    private static final double LINE_MM = 8;
    private static final double FIRST_MM = 40;
    private static final double SIGNATURE_MM = 80;

    private GivenUpSheet() {}

    /**
     * @param number of the job
     * @throws NotAllowed when nothing of that name moves over on this device
     */
    public static Sheet of(DeviceProfile profile, JobState state, long number, String partId) {
        Checks.known(
                "partId",
                partId,
                Stream.concat(
                                profile.carryOvers().stream().map(CarryOver::id),
                                profile.pairedParts().stream().map(PairedPart::id))
                        .toList());
        List<String> lines = new ArrayList<>(List.of(
                "Job " + number + ", " + profile.name(),
                "Owner: " + IntakeState.of(state).opened().owner(),
                "",
                "After this repair the device will be without:"));
        lines.add("    " + gone(profile, partId));
        lines.add("");
        lines.addAll(why(profile, partId));
        lines.add("");
        lines.add("Everything else is repaired as agreed. The old front is kept until the device is handed over.");
        lines.add("");
        lines.add("I have read this and do without it.");
        List<Mark> marks = new ArrayList<>();
        double y = FIRST_MM;
        for (String line : lines) {
            marks.add(new Sheet.Words(new Point(Sheet.MARGIN_MM, y), WORDS_MM, line));
            y += LINE_MM;
        }
        String signed = CarryState.of(state).lost().getOrDefault(partId, "");
        for (String who : List.of("Owner, date", "Technician, date")) {
            y += 2 * LINE_MM;
            marks.add(Sheet.line(Sheet.MARGIN_MM, y, Sheet.MARGIN_MM + SIGNATURE_MM, y, 0.2));
            marks.add(new Sheet.Words(new Point(Sheet.MARGIN_MM, y + LINE_MM / 1.5), WORDS_MM, who));
        }
        if (!signed.isEmpty()) {
            marks.add(new Sheet.Words(
                    new Point(Sheet.MARGIN_MM, y + 2 * LINE_MM), WORDS_MM, "On record: " + signed + "."));
        }
        return Sheet.a4("Given up: " + name(profile, partId), marks);
    }

    private static String name(DeviceProfile profile, String partId) {
        return Stream.concat(
                        profile.carryOvers().stream()
                                .filter(part -> part.id().equals(partId))
                                .map(CarryOver::words),
                        profile.pairedParts().stream()
                                .filter(part -> part.id().equals(partId))
                                .map(PairedPart::words))
                .findFirst()
                .orElseThrow();
    }

    /** The function that hangs on it, or the part itself where the book names none. */
    private static String gone(DeviceProfile profile, String partId) {
        return Stream.concat(
                        profile.carryOvers().stream()
                                .filter(part -> part.id().equals(partId) && part.functionId() != null)
                                .map(CarryOver::functionId),
                        profile.pairedParts().stream()
                                .filter(part -> part.id().equals(partId))
                                .map(PairedPart::functionId))
                .flatMap(id -> profile.functions().stream()
                        .filter(function -> function.id().equals(id)))
                .map(Function::words)
                .findFirst()
                .orElseGet(() -> name(profile, partId));
    }

    private static List<String> why(DeviceProfile profile, String partId) {
        boolean paired =
                profile.pairedParts().stream().anyMatch(part -> part.id().equals(partId));
        return paired
                ? List.of(
                        "It is bound to this device's main board by what only the old front holds.",
                        "Once the old front is gone it can't be brought back, here or elsewhere.")
                : List.of(
                        "It sits on the old front and does not move to the new one.",
                        "A later repair may bring it back.");
    }
}
