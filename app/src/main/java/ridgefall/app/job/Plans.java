package ridgefall.app.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import ridgefall.app.http.Problem;
import ridgefall.app.shop.Shop;
import ridgefall.app.tools.HeatSources;
import ridgefall.app.tools.Supplies;
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.Supply;
import ridgefall.core.clean.PrimerSchool;
import ridgefall.core.fault.Faults;
import ridgefall.core.gate.Course;
import ridgefall.core.gate.Planning;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.SourceTaken;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Entry;
import ridgefall.core.material.Hand;
import ridgefall.core.parts.Shelf;
import ridgefall.core.profile.DeviceBook;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;

/** Plans depend on their questions alone: the latest answers are kept while the app runs. */
@Component
public class Plans implements Planning {
    private final LoadingCache<HeatQuestion, List<HeatPlan>> heat =
            Caffeine.newBuilder().maximumSize(200).build(this::ranked);
    private final LoadingCache<HeatQuestion, List<Opening>> openings =
            Caffeine.newBuilder().maximumSize(200).build(this::opened);
    /** What has happened at an edge since asks of one source alone. */
    private record Begun(HeatQuestion question, HeatSource first) {}

    private final LoadingCache<Begun, Opening> begun =
            Caffeine.newBuilder().maximumSize(200).build(this::beginning);
    private final LoadingCache<CutQuestion, CutPlan> cut =
            Caffeine.newBuilder().maximumSize(2000).build(Planning.super::cut);
    /** A profile's version never changes, and its strips are asked for with every fact of every job. */
    private final Cache<String, List<StripPlan>> strips =
            Caffeine.newBuilder().maximumSize(500).build();

    private final DeviceBook book;
    private final HeatSources sources;
    private final Shop shop;
    private final PicksTried picks;
    private final SourcesTaken taken;
    private final Supplies supplies;
    private final FaultBook faults;
    private final Shelf shelf;
    private final boolean thorough;

    /** @param thorough whether plans are ranked by all plausible benches and ways; tests that are about others look once */
    Plans(
            DeviceBook book,
            HeatSources sources,
            Shop shop,
            PicksTried picks,
            SourcesTaken taken,
            Supplies supplies,
            FaultBook faults,
            Shelf shelf,
            @Value("${ridgefall.thorough-plans:true}") boolean thorough) {
        this.book = book;
        this.sources = sources;
        this.shop = shop;
        this.picks = picks;
        this.taken = taken;
        this.supplies = supplies;
        this.faults = faults;
        this.shelf = shelf;
        this.thorough = thorough;
    }

    public Course course(List<Entry> journal) {
        if (!(journal.get(0).fact() instanceof IntakeFact.JobOpened opened)) {
            throw Problem.of(
                    HttpStatus.CONFLICT,
                    "A newer version opened this job",
                    "It can be read where that version runs",
                    Map.of("field", "jobId"));
        }
        return new Course(book.profile(opened.profileId(), opened.profileVersion(), opened.variantId()), journal, this);
    }

    @Override
    public List<HeatSource> sources() {
        return sources.all();
    }

    @Override
    public Hand hand() {
        return picks.hand();
    }

    @Override
    public List<SourceTaken> taken() {
        return taken.all();
    }

    @Override
    public Faults faults() {
        return faults.faults();
    }

    @Override
    public PrimerSchool primer() {
        return shop.settings().primer();
    }

    @Override
    public List<Supply> supplies() {
        return supplies.all();
    }

    @Override
    public String currency() {
        return shop.settings().currency();
    }

    @Override
    public Shelf shelf() {
        return shelf;
    }

    private List<HeatPlan> ranked(HeatQuestion question) {
        return KeptPlans.of(question)
                .map(KeptPlans.Kept::heat)
                .orElseGet(() -> thorough
                        ? Planning.super.heat(question)
                        : question.planner(HeatPlanner.QUICK).ranked(question.sources()));
    }

    private List<Opening> opened(HeatQuestion question) {
        return KeptPlans.of(question)
                .map(KeptPlans.Kept::openings)
                .orElseGet(() -> thorough ? Planning.super.openings(question) : looked(question));
    }

    private static List<Opening> looked(HeatQuestion question, List<HeatPlan> heat) {
        return heat.stream()
                .map(plan -> OpeningPlanner.firstLook(question, plan))
                .toList();
    }

    private List<Opening> looked(HeatQuestion question) {
        return looked(question, heat(question));
    }

    private Opening beginning(Begun one) {
        return thorough
                ? OpeningPlanner.beginningWith(one.question, one.first)
                : looked(one.question, one.question.planner(HeatPlanner.QUICK).ranked(List.of(one.first)))
                        .get(0);
    }

    @Override
    public List<HeatPlan> heat(HeatQuestion question) {
        return heat.get(question);
    }

    @Override
    public List<Opening> openings(HeatQuestion question) {
        return openings.get(question);
    }

    @Override
    public Opening opening(HeatQuestion question, HeatSource first) {
        return Optional.ofNullable(openings.getIfPresent(question)).stream()
                .flatMap(List::stream)
                .filter(opening -> opening.heat().source().equals(first))
                .findFirst()
                .orElseGet(() -> begun.get(new Begun(question, first)));
    }

    /** Whether they were already asked for, or came with the app. */
    public boolean openingsAtHand(HeatQuestion question) {
        return openings.getIfPresent(question) != null || KeptPlans.has(question);
    }

    /** Whether nothing of how it is opened has to be planned before its steps can be told. */
    public boolean atHand(Course course) {
        return !course.saysHowItOpens() || openingsAtHand(course.heatQuestion());
    }

    @Override
    public List<StripPlan> strips(DeviceProfile profile, List<Double> rollsMm, boolean patched) {
        return strips.get(profile.key() + rollsMm + patched, key -> Planning.super.strips(profile, rollsMm, patched));
    }

    @Override
    public CutPlan cut(CutQuestion question) {
        return cut.get(question);
    }
}
