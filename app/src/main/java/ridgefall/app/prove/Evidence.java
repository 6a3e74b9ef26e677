package ridgefall.app.prove;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.attach.Attachments;
import ridgefall.app.attach.Attachments.Attachment;
import ridgefall.app.attach.Kind;
import ridgefall.app.instrument.Readings;
import ridgefall.app.instrument.Readings.ChannelOf;
import ridgefall.app.test.TouchProofs;
import ridgefall.app.test.TouchProofs.Told;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Timer;
import ridgefall.core.prove.JobRecord;

/** What a job has beside its journal: pictures, files, and what instruments said. Erased with its owner; readings stay. */
@Component
class Evidence {
    private final Attachments attachments;
    private final Readings readings;
    private final TouchProofs touchProofs;

    Evidence(Attachments attachments, Readings readings, TouchProofs touchProofs) {
        this.attachments = attachments;
        this.readings = readings;
        this.touchProofs = touchProofs;
    }

    /**
     * @param phase before the front came up, while it was up, or after it was closed
     * @param path where it is fetched from
     * @param sha256 of the file as it was brought, in hexadecimal; null where it has none
     * @param attachment null where it is no file
     */
    record Piece(Instant at, Phase phase, String words, String who, String path, String sha256, Attachment attachment) {
        boolean photo() {
            return attachment != null && attachment.kind() == Kind.PHOTO;
        }
    }

    /** In the order they came; signatures stand apart. */
    List<Piece> of(UUID jobId, Course course, JobRecord record) {
        List<Piece> all = new ArrayList<>();
        for (Attachment file : attachments.of(jobId)) {
            if (file.kind() != Kind.SIGNATURE) {
                all.add(new Piece(
                        file.addedAt(),
                        phase(file.addedAt(), record),
                        words(file, course),
                        file.addedBy(),
                        path(jobId, file),
                        file.sha256() == null ? null : HexFormat.of().formatHex(file.sha256()),
                        file));
            }
        }
        for (Told told : touchProofs.told(jobId)) {
            all.add(new Piece(
                    told.at(),
                    phase(told.at(), record),
                    "Touch, " + told.task().words() + ": " + told.samples() + " touches",
                    "the device itself",
                    "/api/jobs/" + jobId + "/touch/" + told.task(),
                    null,
                    null));
        }
        for (Timer run : course.state().timers()) {
            List<ChannelOf> channels = readings.channels(jobId, run.seq());
            if (!channels.isEmpty()) {
                all.add(new Piece(
                        run.startedAt(),
                        phase(run.startedAt(), record),
                        Course.clock(run.kind()).words() + ": "
                                + channels.stream().mapToInt(ChannelOf::samples).sum() + " readings",
                        String.join(
                                ", ",
                                channels.stream()
                                        .map(ChannelOf::instrument)
                                        .distinct()
                                        .sorted()
                                        .toList()),
                        "/api/jobs/" + jobId + "/runs/" + run.seq() + "/log",
                        null,
                        null));
            }
        }
        return all.stream().sorted(Comparator.comparing(Piece::at)).toList();
    }

    /** Where a file is fetched from. */
    static String path(UUID jobId, Attachment file) {
        return file.kind() == Kind.PHOTO
                ? "/api/photos/" + file.id()
                : "/api/jobs/" + jobId + "/attachments/" + file.id();
    }

    private static String words(Attachment file, Course course) {
        return switch (file.kind()) {
            case PHOTO ->
                IntakeState.of(course.state()).photos().stream()
                        .filter(photo -> photo.photoId().equals(file.id()) && photo.words() != null)
                        .map(photo -> "Photo: " + photo.words())
                        .findFirst()
                        .orElse("Photo");
            case TRACE -> "Touch trace: " + file.name();
            case PAIRING -> "Pairing file: " + file.name();
            case SIGNATURE -> "Signature";
        };
    }

    private static Phase phase(Instant at, JobRecord record) {
        if (record.frontOpenedAt() == null || at.isBefore(record.frontOpenedAt())) {
            return Phase.BEFORE;
        }
        return record.sealedAt() == null || at.isBefore(record.sealedAt()) ? Phase.OPEN : Phase.AFTER;
    }
}
