package ridgefall.core.gate;

import java.time.Instant;
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
import ridgefall.core.bond.StripPlan;
import ridgefall.core.bond.StripsOnAnyLedge;
import ridgefall.core.bond.Supply;
import ridgefall.core.bond.WhatHolds;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatFact.Sweep;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;

/** What the core's answers cost; run by ./ridgefall bench. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class CoreBenchmark {
    private final DeviceProfile quire = ShippedBook.quire11();
    private final HeatQuestion question =
            new HeatQuestion(quire, FrontCondition.CRACKED, List.of(), List.of(), HeatSource.bench());
    private final List<HeatPlan> heat = question.ranked();
    private final List<Opening> openings = OpeningPlanner.ranked(question, heat);
    private final Instant began = Instant.parse("2026-03-02T08:00:00Z");
    private final List<Soak> soaked = List.of(new Soak(
            1, new SoakStarted("plate-1", 85, 240, null, null, Sweep.FACE), began, began.plusSeconds(240), List.of()));
    private final Journey shelved = new Journey(quire, new Planning() {
        @Override
        public List<Supply> supplies() {
            return List.of(
                    new Supply.Roll("a", "a", 300, 2, 0.2),
                    new Supply.Roll("b", "b", 400, 1.5, 0.2),
                    new Supply.Roll("c", "c", 9000, 1, 0.2),
                    new Supply.Clamps("d", "d", 24, 15));
        }
    });
    private final Journey late = new Journey().until(Station.SEAL);

    /** Warm and cut as one plan, for every source of the bench, its own plans at hand; target 1500 ms. */
    @Benchmark
    public List<Opening> everyWayToOpenIt() {
        return OpeningPlanner.ranked(question, heat);
    }

    /** The way on after something has happened, from the heat it had until now; target 300 ms. */
    @Benchmark
    public CutPlan wayOnFromWhereTheBenchStands() {
        return OpeningPlanner.onward(
                question, openings.get(0), List.of("top-1"), soaked, false, began.plusSeconds(300));
    }

    /** Folding a late job's journal and asking all twelve stations, plans at hand. */
    @Benchmark
    public List<Step> stepsOfALateJob() {
        return late.course().steps();
    }

    /** Every way to hold a front, its strips laid out anew by every school; target 150 ms. */
    @Benchmark
    public List<WhatHolds.Way> everyWayToHoldIt() {
        return shelved.course().waysToHold();
    }

    /** Strips round a ledge with thirty windows; target 50 ms. */
    @Benchmark
    public StripPlan stripsRoundThirtyWindows() {
        return StripsOnAnyLedge.WITH_THIRTY_WINDOWS.plan(TapeSchool.MITRE);
    }
}
