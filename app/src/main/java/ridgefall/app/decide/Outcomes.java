package ridgefall.app.decide;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import ridgefall.core.decide.Diagnosis;
import ridgefall.core.profile.Grade;

/** How finished jobs of a device went, by grade of part: what the risk in a quote is learned from. */
@Repository
class Outcomes {
    private final JdbcClient jdbc;

    Outcomes(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** How finished jobs of a profile went, by the grade of their part: broken on the way, or back with the same. */
    List<Diagnosis.Outcomes> of(String profileId) {
        return jdbc.sql("""
                        select grade, count(*) as jobs, count(*) filter (where mishaps > 0) as breaks,
                            count(*) filter (where exists (select 1 from job later where later.came_from = job.number))
                                as comebacks
                        from job
                        where profile_id = :profile and grade is not null and handed_over_at is not null
                            and not unrepaired
                        group by grade""")
                .param("profile", profileId)
                .query((row, n) -> new Diagnosis.Outcomes(
                        Grade.valueOf(row.getString("grade")),
                        row.getInt("jobs"),
                        row.getInt("breaks"),
                        row.getInt("comebacks")))
                .list();
    }
}
