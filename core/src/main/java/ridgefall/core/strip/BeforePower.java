package ridgefall.core.strip;

import java.util.stream.Stream;
import ridgefall.core.damage.Consequence;
import ridgefall.core.job.Condition;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.DeviceProfile;

/** What may short is found before a battery is in circuit again. */
public final class BeforePower {
    private BeforePower() {}

    public static Condition[] lookedAfter(DeviceProfile profile, JobState state) {
        Stream<Condition> seen = Consequence.all(profile, state).stream()
                .filter(one -> one.todo() != null && one.dark())
                .map(Consequence::lookedAfter);
        Stream<Condition> found = Screws.of(profile, state).stream().flatMap(screws -> Stream.of(screws.found()));
        return Stream.concat(seen, found).toArray(Condition[]::new);
    }
}
