package ridgefall.core.gate;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.CutPlanner;
import ridgefall.core.separate.Warmth;

/** What the core's answers cost; run by ./ridgefall bench. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class CoreBenchmark {
    private final DeviceProfile quire = ShippedBook.quire11();
    private final Warmth warmth = Warmth.of(
            new HeatQuestion(quire, FrontCondition.CRACKED, List.of(), List.of(), HeatSource.bench()).firstLook(),
            quire.edge().turn());
    private final Journey late = new Journey().until(Station.SEAL);

    /** The exact order over all stretches of the demo tablet; target 50 ms. */
    @Benchmark
    public CutPlan wayRoundTheEdge() {
        return CutPlanner.plan(quire, FrontCondition.CRACKED, List.of(), List.of(), warmth);
    }

    /** Folding a late job's journal and asking all twelve stations, plans at hand. */
    @Benchmark
    public List<Step> stepsOfALateJob() {
        return late.course().steps();
    }
}
