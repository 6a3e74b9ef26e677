package ridgefall.app.demo;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ridgefall.app.book.Book;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.app.parts.PriceLists;
import ridgefall.app.security.People;
import ridgefall.app.security.SignedIn;
import ridgefall.app.tools.HeatSources;
import ridgefall.app.tools.Supplies;
import ridgefall.core.bond.Supply;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.gate.Course;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.intake.IntakeFact.CrackDrawn;
import ridgefall.core.intake.IntakeFact.SymptomSeen;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Symptom;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.strip.StripFact;

/**
 * A day at the equipment workshop of Stannergill Ferries &amp; Huts, loaded once into an empty database. Its jobs come
 * about as a person's would: by tapping what is offered next.
 */
@Component
@ConditionalOnProperty("ridgefall.demo")
public class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final SignedIn ANSA = new SignedIn(new UUID(0, 1), "Ansa Orrick", Role.TECHNICIAN);
    private static final String QUIRE = "marrowby-quire-11";

    /** How one of its tablets came in; a plan of its own comes with the app. */
    public static final List<IntakeFact> BENT_AND_CRACKED = List.of(
            new IntakeFact.FrontSeen(FrontCondition.CRACKED),
            new CrackDrawn(List.of(new Point(140, 0.5), new Point(128, 22), new Point(137, 48), new Point(120, 71))),
            new BendMarked(Landmark.BOTTOM_RIGHT, 0.8, 60.0));

    private final People people;
    private static final Duration DAY_BEGAN = Duration.ofHours(2);
    private static final int BETWEEN_TAPS_S = 15;

    private final Clock clock;
    private final Book book;
    private final PriceLists priceLists;
    private final Journal journal;
    private final Jobs jobs;
    private final HeatSources sources;
    private final Supplies supplies;
    private final TransactionTemplate transactions;

    DemoData(
            Clock clock,
            People people,
            Book book,
            PriceLists priceLists,
            Journal journal,
            Jobs jobs,
            HeatSources sources,
            Supplies supplies,
            TransactionTemplate transactions) {
        this.clock = clock;
        this.people = people;
        this.book = book;
        this.priceLists = priceLists;
        this.journal = journal;
        this.jobs = jobs;
        this.sources = sources;
        this.supplies = supplies;
        this.transactions = transactions;
    }

    /** Rolls begun and whole, one nearly gone, a syringe past its day beside a good one. */
    private List<Supply> shelf() {
        LocalDate today = LocalDate.now(clock);
        return List.of(
                new Supply.Roll("roll-2", "Thin tape, 2 mm", 31_400, 2, 0.2),
                new Supply.Roll("roll-2-rest", "Thin tape, 2 mm, rest of a roll", 310, 2, 0.2),
                new Supply.Roll("roll-1-5", "Thin tape, 1.5 mm", 18_000, 1.5, 0.2),
                new Supply.Roll("roll-1", "Thin tape, 1 mm", 9_200, 1, 0.2),
                new Supply.Rings("rings-41", "Rings for the Dial 41", 18, "pellow-dial-41", 0.3),
                new Supply.Rings("rings-45", "Rings for the Dial 45", 12, "pellow-dial-45", 0.3),
                new Supply.Rings("frames-8", "Die-cut frames for the Quire 8", 1, "marrowby-quire-8", 0.3),
                new Supply.Glue("glue-1", "Clear glue, first syringe", 3.5, 0.6, 8, 24, 500, today.minusDays(20)),
                new Supply.Glue("glue-2", "Clear glue, second syringe", 14, 0.6, 8, 24, 500, today.plusDays(200)),
                new Supply.Liquid("liquid-1", "Optical liquid", 22, 1.0, 3, today.plusDays(90)),
                new Supply.Film("film-45", "Clear film for watches", 9, 45, 40, 0.15),
                new Supply.Laminator("laminator", "Small vacuum laminator", 1, 180, 120, 60, 500, 45),
                new Supply.Lamp("lamp", "UV lamp, flat", 640, 65, 50),
                new Supply.Clamps("clamps", "Spring clamps with pads", 24, 15));
    }

    /** In steps that each stand or fall by themselves: a start that was cut short goes on where it was. */
    @Override
    public void run(ApplicationArguments args) throws IOException {
        if (people.nobody()) {
            LOG.info("demo data: people, tools and parts");
            String prices = new ClassPathResource("demo/price-list.csv").getContentAsString(StandardCharsets.UTF_8);
            transactions.executeWithoutResult(step -> shop(prices));
        } else if (jobs.any() && !jobs.there(id(1))) {
            // Loaded by a version that gave its jobs other ids.
            return;
        }
        List<DayJob> day = day();
        for (int nth = 1; nth <= day.size(); nth++) {
            if (!jobs.there(id(nth))) {
                LOG.info("demo data: job {} of {}", nth, day.size());
                UUID id = id(nth);
                DayJob job = day.get(nth - 1);
                transactions.executeWithoutResult(step -> tapped(id, job));
            }
        }
    }

    /** The same at every start, and no two alike in their first letters: the stand-in programmer names fronts by those. */
    private static UUID id(int nth) {
        return UUID.nameUUIDFromBytes(("job " + nth + " of the demo").getBytes(StandardCharsets.UTF_8));
    }

    private void shop(String prices) {
        DemoPeople.SIGN_INS.forEach(who -> people.add(who.name(), who.password(), who.role()));
        HeatSource.bench().forEach(sources::put);
        shelf().forEach(supplies::put);
        priceLists.take(prices);
    }

    /** A device that came in, what is special about it, and the step that it has come to. */
    private record DayJob(
            String device, String variant, String owner, String fault, Predicate<Step> until, List<Fact> special) {}

    private static DayJob job(
            String device, String variant, String owner, String fault, Predicate<Step> until, Fact... special) {
        return new DayJob(device, variant, owner, fault, until, List.of(special));
    }

    private static List<DayJob> day() {
        return List.of(
                job(
                        QUIRE,
                        null,
                        "Lake ferry Merrow, bridge tablet",
                        "Dropped on deck, lower corner cracked, touch dead there",
                        end(),
                        new SymptomSeen(Symptom.DEAD_TOUCH, true),
                        new FunctionTested("touch", Phase.BEFORE, Answer.FAIL, null)),
                job(QUIRE, null, "Nine Tarns hut", "Glass shattered, picture fine", at(Station.TEST)),
                job(
                        QUIRE,
                        "cellular",
                        "Lift station Upper Coombe",
                        "Crack from the camera edge, ghost touches",
                        at(Station.HEAT),
                        Stream.concat(Stream.of(new SymptomSeen(Symptom.GHOST_TOUCH, true)), BENT_AND_CRACKED.stream())
                                .toArray(Fact[]::new)),
                job(QUIRE, null, "Lake ferry Sandling, ticket desk", "Cracked over the port edge", at(Station.INTAKE)),
                job(
                        "marrowby-quire-8",
                        null,
                        "Hut at Long Rigg, guest book",
                        "Fell on the stove: cracked and no picture",
                        at(Station.DECIDE),
                        new SymptomSeen(Symptom.DEAD_PICTURE, true),
                        new FunctionTested("picture", Phase.BEFORE, Answer.FAIL, null),
                        new FunctionTested("touch", Phase.BEFORE, Answer.CANNOT_TEST, "no picture to touch")),
                job(
                        "drumlin-crate-10",
                        "cellular",
                        "Piste crew Halsey Edge",
                        "Glass cracked, two clips gone",
                        at(Station.PARTS),
                        new SymptomSeen(Symptom.BROKEN_CLIP, true)),
                job(
                        "pellow-dial-41",
                        null,
                        "Skipper's watch, ferry Thorn",
                        "Glass shattered, payment still works",
                        at(Station.DECIDE),
                        new IntakeFact.FrontSeen(FrontCondition.SHATTERED)),
                // Primed before lunch, and lunch took its time.
                job(
                        "sillery-satchel-7",
                        null,
                        "School at Ferrow, class set",
                        "Fell off a desk: cracked, touch works",
                        step -> step.id().equals("bond.held")));
    }

    private static Predicate<Step> at(Station station) {
        return step -> step.station() == station;
    }

    private static Predicate<Step> end() {
        return step -> false;
    }

    /**
     * Takes a job in, notes what is special about it, and taps what comes next until a step is reached: two hours ago, without
     * haste, and what is warmed stays on its source until it is warm.
     */
    private void tapped(UUID id, DayJob job) {
        DeviceProfile profile = book.newest(job.device, job.variant);
        Instant now = clock.instant().minus(DAY_BEGAN);
        require(journal.open(
                id,
                now,
                new IntakeFact.JobOpened(job.device, profile.version(), job.variant, job.owner, job.fault),
                null,
                ANSA));
        List<Fact> first = new ArrayList<>(job.special);
        while (true) {
            now = now.plusSeconds(BETWEEN_TAPS_S);
            Course course = jobs.course(id).at(now);
            Optional<Step> next = course.next();
            if (next.isEmpty() || first.isEmpty() && job.until.test(next.get())) {
                return;
            }
            Fact fact = first.isEmpty() ? filled(next.get().choices().get(0).fact(), job.owner) : first.remove(0);
            now = now.plusSeconds(untilWarm(fact, course));
            require(journal.append(
                    id, new Journal.Command(UUID.randomUUID(), course.state().seq(), now, fact), ANSA));
        }
    }

    private static long untilWarm(Fact fact, Course course) {
        return fact instanceof HeatFact.SoakEnded
                ? HeatState.of(course.state()).runningSoak().orElseThrow().seconds()
                : 0;
    }

    private static void require(Journal.Outcome outcome) {
        if (!(outcome instanceof Journal.Outcome.Recorded)) {
            throw new IllegalStateException("demo data: " + outcome);
        }
    }

    /** What a person would type where a tap asks for more. */
    private static Fact filled(Fact fact, String owner) {
        if (fact instanceof DecideFact.RepairAgreed f) {
            return new DecideFact.RepairAgreed(f.repairId(), f.grade(), new BigDecimal("189.00"), f.currency(), owner);
        } else if (fact instanceof IntakeFact.RisksAccepted) {
            return new IntakeFact.RisksAccepted(owner);
        } else if (fact instanceof StripFact.ScrewsCounted f) {
            return new StripFact.ScrewsCounted(f.direction(), 14);
        } else if (fact instanceof CopyFact.CopyBegun f) {
            // No programmer copies two hours ago.
            return new CopyFact.CopiedElsewhere(f.partId(), "4F3A 91C0", "4F3A 91C0");
        } else if (fact instanceof ProveFact.HandedOver) {
            return new ProveFact.HandedOver(owner);
        }
        return fact;
    }
}
