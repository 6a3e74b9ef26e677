package ridgefall.app.prove;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import ridgefall.app.attach.Kind;
import ridgefall.app.http.ApiDescription;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.test.TouchProofs.Kept;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;

/** What a whole job is made of, as it leaves and comes in: {@code docs/formats/job.schema.json} describes it. */
record JobFile(long number, List<Line> journal, List<Attached> files, List<Run> runs, List<Kept> touch) {
    /** Names this shape, so that a reader knows what it holds. */
    static final String FORMAT = "ridgefall-job/3";

    static final int MOST_FACTS = 5_000;

    /** One fact of the journal. */
    @Schema(name = "ExportedEntry")
    record Line(
            long seq,
            Instant happenedAt,
            String who,
            Role role,
            @Schema(ref = ApiDescription.FACT) Fact fact) {
        static Line of(Entry entry) {
            return new Line(entry.seq(), entry.happenedAt(), entry.who(), entry.role(), entry.fact());
        }
    }

    /**
     * @param path where it is fetched from, which is how the record's evidence names it
     * @param sha256 of the file as it was brought, which need not be what is kept, in hexadecimal
     * @param runSeq of the fact that started the run it belongs to; null where it belongs to none
     * @param base64 its content, as it is kept
     */
    @Schema(name = "ExportedFile")
    record Attached(
            UUID id,
            Kind kind,
            String name,
            String path,
            String mediaType,
            @Schema(nullable = true) String sha256,
            @Schema(nullable = true) Long runSeq,
            Instant addedAt,
            String addedBy,
            String base64) {}

    /** @param seq of the fact that started it */
    @Schema(name = "ExportedRun")
    record Run(long seq, String kind, List<Reading> readings) {}

    /** @param seconds since its clock was started */
    @Schema(name = "ExportedReading")
    record Reading(String instrument, Quantity quantity, String unit, String place, double seconds, double value) {}
}
