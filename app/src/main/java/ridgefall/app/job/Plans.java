package ridgefall.app.job;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ridgefall.app.shop.Shop;
import ridgefall.app.tools.HeatSources;
import ridgefall.core.gate.Course;
import ridgefall.core.gate.Planning;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.DeviceBook;
import ridgefall.core.separate.CutPlan;

/** Plans depend on their questions alone: the latest answers are kept while the app runs. */
@Component
public class Plans implements Planning {
    private final LoadingCache<HeatQuestion, List<HeatPlan>> heat =
            Caffeine.newBuilder().maximumSize(200).build(Planning.super::heat);
    private final LoadingCache<CutQuestion, CutPlan> cut =
            Caffeine.newBuilder().maximumSize(2000).build(Planning.super::cut);

    private final DeviceBook book;
    private final HeatSources sources;
    private final Shop shop;

    Plans(DeviceBook book, HeatSources sources, Shop shop) {
        this.book = book;
        this.sources = sources;
        this.shop = shop;
    }

    public Course course(List<Entry> journal) {
        Fact.JobOpened opened = JobState.of(journal).opened();
        return new Course(book.profile(opened.profileId(), opened.profileVersion(), opened.variantId()), journal, this);
    }

    @Override
    public List<HeatSource> sources() {
        return sources.all();
    }

    @Override
    public String currency() {
        return shop.settings().currency();
    }

    @Override
    public List<HeatPlan> heat(HeatQuestion question) {
        return heat.get(question);
    }

    /** The plans if they were already asked for. */
    public Optional<List<HeatPlan>> heatAtHand(HeatQuestion question) {
        return Optional.ofNullable(heat.getIfPresent(question));
    }

    @Override
    public CutPlan cut(CutQuestion question) {
        return cut.get(question);
    }
}
