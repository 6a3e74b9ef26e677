package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.app.RunningApp.App;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Plans;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Role;
import ridgefall.core.job.Step;

/** The ways that tests begin on are the straight ways of today. */
@ExtendWith(RunningApp.class)
class WalkTest {
    private final App app;

    WalkTest(App app) {
        this.app = app;
    }

    static Stream<String> devices() {
        return Walk.devices();
    }

    /** What is cut, and in which order, is the planner's to say; all else comes as it came when it was tapped. */
    @ParameterizedTest
    @MethodSource("devices")
    void whatComesNextIsWhatCameNextWhenItWasTapped(String device) {
        Walk walk = Walk.of(device);
        List<Entry> journal = app.bean(Jobs.class)
                .course(walk.bringIn(app.signedIn(Role.LEAD), lastStep(walk)))
                .journal();
        List<String> next = new ArrayList<>();
        List<String> was = new ArrayList<>();
        Course course = app.bean(Plans.class).course(journal.subList(0, 1));
        for (int i = 0; i < walk.next().size() && i + 1 < journal.size(); i++) {
            course = i == 0 ? course : course.with(journal.get(i));
            String then = walk.next().get(i).asString("null");
            if (!then.startsWith("separate.")) {
                was.add(then);
                next.add(course.next().map(Step::id).orElse("null"));
            }
        }
        assertThat(next).as("stale: ./ridgefall walks taps it anew").isEqualTo(was);
    }

    private static String lastStep(Walk walk) {
        return walk.next().get(walk.next().size() - 1).asString("null");
    }
}
