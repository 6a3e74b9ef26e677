package ridgefall.app.parts;

import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.app.job.Projector;
import ridgefall.app.parts.Stock.Row;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobState;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsState;
import ridgefall.core.parts.PartsState.Returned;
import ridgefall.core.units.NotAllowed;

/** Which pieces of the shelf jobs have taken, and which went to the returns. */
@Repository
class TakenParts implements Projector {
    private final JdbcClient jdbc;
    private final Stock stock;

    TakenParts(JdbcClient jdbc, Stock stock) {
        this.jdbc = jdbc;
        this.stock = stock;
    }

    @Override
    public String name() {
        return "reservation";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public boolean concerns(JobState here, JobState there) {
        PartsState before = PartsState.of(here);
        PartsState after = PartsState.of(there);
        return !before.reserved().keySet().equals(after.reserved().keySet())
                || before.bad().size() != after.bad().size();
    }

    /**
     * What a job takes is on the shelf, is what it says, and nobody else's; jobs that take the same piece at once stand in line for it.
     *
     * @throws NotAllowed naming what is not so
     */
    @Override
    public void admit(UUID jobId, Course here, Course there) {
        Map<UUID, PartReserved> before = PartsState.of(here.state()).reserved();
        PartsState.of(there.state()).reserved().values().stream()
                .filter(part -> !before.containsKey(part.stockId()))
                .sorted(Comparator.comparing(PartReserved::stockId))
                .forEach(part -> {
                    Row row = stock.locked(part.stockId())
                            .orElseThrow(
                                    () -> new NotAllowed("stockId", part.stockId(), "a part of this shop's stock"));
                    row.checkFits(there.profile());
                    if (!row.piece().equals(part.piece())) {
                        throw new NotAllowed("stockId", part.words(), "the part as the shelf has it: " + row.words());
                    }
                    if (row.free() < 1) {
                        throw new NotAllowed(
                                "stockId", row.partNumber(), "a part with a free piece; another job has this one");
                    }
                });
    }

    @Override
    public void rebuild(UUID jobId, Course course) {
        PartsState parts = PartsState.of(course.state());
        jdbc.sql("delete from reservation where job_id = :job")
                .param("job", jobId)
                .update();
        for (UUID stockId : parts.reserved().keySet()) {
            // A part that came with its job from elsewhere lies on no shelf here.
            jdbc.sql("insert into reservation (job_id, stock_id) select :job, id from stock where id = :stock")
                    .param("job", jobId)
                    .param("stock", stockId)
                    .update();
        }
        jdbc.sql("delete from part_return where job_id = :job")
                .param("job", jobId)
                .update();
        List<Returned> here = parts.bad().stream()
                .filter(bad -> IntakeState.of(course.state()).here(bad.at()))
                .toList();
        for (Returned bad : here) {
            jdbc.sql("""
                            insert into part_return (job_id, seq, stock_id, part, why, words, at, who)
                            values (:job, :seq, :stock, :part, :why, :words, :at, :who)""")
                    .param("job", jobId)
                    .param("seq", bad.seq())
                    .param("stock", bad.part().stockId())
                    .param("part", bad.part().kind().words())
                    .param("why", bad.part().why().words())
                    .param("words", bad.part().words() == null ? "" : bad.part().words())
                    .param("at", bad.at().atOffset(ZoneOffset.UTC))
                    .param("who", bad.who())
                    .update();
        }
    }
}
