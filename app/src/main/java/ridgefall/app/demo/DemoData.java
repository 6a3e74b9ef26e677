package ridgefall.app.demo;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import ridgefall.app.job.Journal;
import ridgefall.app.job.Plans;
import ridgefall.app.security.People;
import ridgefall.app.security.SignedIn;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;

/**
 * A day at the equipment workshop of Stannergill Ferries &amp; Huts, loaded once into an empty database. Its jobs come
 * about as a person's would: by tapping what is offered next.
 */
@Component
@ConditionalOnProperty("ridgefall.demo")
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final SignedIn ANSA = new SignedIn(new UUID(0, 1), "Ansa Orrick", Role.TECHNICIAN);
    private static final String QUIRE = "marrowby-quire-11";

    private final People people;
    private final Journal journal;
    private final Plans plans;

    DemoData(People people, Journal journal, Plans plans) {
        this.people = people;
        this.journal = journal;
        this.plans = plans;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (!people.nobody()) {
            return;
        }
        DemoPeople.SIGN_INS.forEach(who -> people.add(who.name(), who.password(), who.role()));
        job("Lake ferry Merrow, bridge tablet", "Dropped on deck, lower corner cracked, touch dead there", end());
        job("Nine Tarns hut", "Glass shattered, picture fine", at(Station.TEST));
        job("Lift station Upper Coombe", "Crack from the camera edge, ghost touches", at(Station.HEAT));
        job("Lake ferry Sandling, ticket desk", "Cracked over the port edge", at(Station.INTAKE));
        LOG.info("demo data loaded");
    }

    private static Predicate<Step> at(Station station) {
        return step -> step.station() == station;
    }

    private static Predicate<Step> end() {
        return step -> false;
    }

    private void job(String owner, String fault, Predicate<Step> until) {
        UUID id = UUID.randomUUID();
        require(journal.open(id, null, new Fact.JobOpened(QUIRE, 1, owner, fault), ANSA));
        while (true) {
            List<Entry> entries = journal.entries(id);
            Course course = plans.course(entries);
            Optional<Step> next = Course.next(course.steps());
            if (next.isEmpty() || until.test(next.get())) {
                return;
            }
            Fact fact = filled(next.get().choices().get(0).fact(), owner);
            require(journal.append(id, new Journal.Command(UUID.randomUUID(), entries.size(), null, fact), ANSA));
        }
    }

    private static void require(Journal.Outcome outcome) {
        if (!(outcome instanceof Journal.Outcome.Recorded)) {
            throw new IllegalStateException("demo data: " + outcome);
        }
    }

    /** What a person would type where a tap asks for more. */
    private static Fact filled(Fact fact, String owner) {
        if (fact instanceof Fact.RepairAgreed f) {
            return new Fact.RepairAgreed(f.repairId(), new BigDecimal("189.00"), f.currency(), owner);
        } else if (fact instanceof Fact.ScrewsCounted f) {
            return new Fact.ScrewsCounted(f.direction(), 14);
        } else if (fact instanceof Fact.HandedOver) {
            return new Fact.HandedOver(owner);
        }
        return fact;
    }
}
