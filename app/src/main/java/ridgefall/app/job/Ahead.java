package ridgefall.app.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import ridgefall.app.security.SignedIn;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Step;

/** What straight answers lead to, said before they are given: a screen may go there at once, and nowhere else. */
@Component
class Ahead {
    /** As far as a quick hand gets while a slow line carries one answer there and back. */
    private static final int STEPS = 4;

    private final Plans plans;
    private final List<Witness> witnesses;

    Ahead(Plans plans, List<Witness> witnesses) {
        this.plans = plans;
        this.witnesses = witnesses;
    }

    /** A step as it is offered, with what an instrument would record of it. */
    Step offered(UUID jobId, Course course, Step next) {
        return witnesses.stream()
                .flatMap(witness -> witness.offers(jobId, course, next).stream())
                .findFirst()
                .map(next::offering)
                .orElse(next);
    }

    /**
     * The steps that come up one after the other while each is answered straight; none where what comes after the first can't be known
     * before, or is not this reader's to answer.
     *
     * @param due as it is offered
     */
    List<Step> from(UUID jobId, Course course, Step due, SignedIn reader, Instant now) {
        List<Step> way = new ArrayList<>();
        Course here = course;
        Step step = due;
        while (way.size() < STEPS) {
            Optional<Course> there = answered(jobId, here, step, reader, now);
            Optional<Step> next = there.flatMap(Course::next).filter(one -> one.waitsFor() == null);
            if (next.isEmpty()) {
                break;
            }
            here = there.get();
            step = offered(jobId, here, next.get());
            way.add(step);
        }
        return Collections.unmodifiableList(way);
    }

    private Optional<Course> answered(UUID jobId, Course here, Step step, SignedIn reader, Instant now) {
        Optional<Fact> straight = Course.straight(step).filter(reader.role()::mayRecord);
        // What is offered first is held by no room: only by what an instrument saw.
        if (straight.isEmpty()
                || witnesses.stream()
                        .anyMatch(witness ->
                                !witness.against(jobId, here, straight.get()).isEmpty())) {
            return Optional.empty();
        }
        Fact fact = here.reckoned(straight.get());
        for (Witness witness : witnesses) {
            fact = witness.heard(jobId, here, fact);
        }
        Course there = here.with(new Entry(here.state().seq() + 1, now, reader.name(), reader.role(), fact));
        return plans.atHand(there) ? Optional.of(there) : Optional.empty();
    }
}
