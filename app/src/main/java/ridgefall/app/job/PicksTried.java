package ridgefall.app.job;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatState;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.JobState;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Hand;
import ridgefall.core.profile.DeviceProfile;

/** What the picks of all jobs found, and how hard the shop's hands push by that. */
@Repository
class PicksTried implements Projector {
    private static final String THE_SHOPS = "hand";

    private final JdbcClient jdbc;
    private final int remembered;
    /** Another node learns of a pick a little later. */
    private final LoadingCache<String, Hand> hand;

    /** @param remembered so many of the latest picks tell, for hands change over months; where it is none, hands are the usual ones */
    PicksTried(JdbcClient jdbc, @Value("${ridgefall.picks-remembered}") int remembered) {
        this.jdbc = jdbc;
        this.remembered = remembered;
        this.hand =
                Caffeine.newBuilder().expireAfterWrite(Duration.ofMinutes(1)).build(any -> Hand.learned(latest()));
    }

    Hand hand() {
        return hand.get(THE_SHOPS);
    }

    private List<Hand.Try> latest() {
        return jdbc.sql("""
                        select adhesive, bond_c, goes_in from pick_try join job on job.id = job_id
                        order by job.opened_at desc, nth desc limit :latest""")
                .param("latest", remembered)
                .query((row, nth) -> new Hand.Try(
                        Adhesive.valueOf(row.getString("adhesive")),
                        row.getDouble("bond_c"),
                        row.getBoolean("goes_in")))
                .list();
    }

    @Override
    public String name() {
        return "pick_try";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public boolean concerns(JobState here, JobState there) {
        return !HeatState.of(here).tries().equals(HeatState.of(there).tries());
    }

    @Override
    public void rebuild(UUID jobId, Course course) {
        jdbc.sql("delete from pick_try where job_id = :job").param("job", jobId).update();
        DeviceProfile profile = course.profile();
        // Of a job that was brought in nobody knows whose hands they were.
        boolean ours = IntakeState.of(course.state()).broughtIn() == null;
        List<Hand.Try> tries =
                profile.bonded() && ours ? HeatState.of(course.state()).tries(profile.factoryAdhesive()) : List.of();
        for (int nth = 0; nth < tries.size(); nth++) {
            jdbc.sql("""
                            insert into pick_try (job_id, nth, adhesive, bond_c, goes_in)
                            values (:job, :nth, :adhesive, :bond, :goes)""")
                    .param("job", jobId)
                    .param("nth", nth)
                    .param("adhesive", tries.get(nth).adhesive().name())
                    .param("bond", tries.get(nth).bondC())
                    .param("goes", tries.get(nth).goesIn())
                    .update();
        }
        hand.invalidateAll();
    }
}
