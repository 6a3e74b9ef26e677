package ridgefall.core.gate;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.job.Station;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.MarrowbyQuire11;
import ridgefall.core.separate.CutPlanner;

/** What the core's answers cost; run by ./ridgefall bench, asserts nothing. */
public final class CoreBenchmark {
    private CoreBenchmark() {}

    public static void main(String[] args) {
        DeviceProfile quire = MarrowbyQuire11.profile();
        Journey late = new Journey().until(Station.SEAL);
        System.out.println("core, ms: median (p90) of 40 runs after 20 to warm up");
        time(
                "ranked heat plan, 17 settings, 64 benches each, with bands (target 100)",
                () -> HeatStation.planner(quire, FrontCondition.CRACKED).best(HeatSource.bench()));
        time(
                "way round the edge, exact (target 50)",
                () -> CutPlanner.plan(quire, FrontCondition.CRACKED, List.of(), List.of(), 57.8, 60));
        time(
                "all steps of a job with " + late.journal().size() + " facts",
                () -> late.course().steps());
    }

    private static void time(String what, Runnable work) {
        double[] ms = new double[40];
        for (int i = -20; i < ms.length; i++) {
            long start = System.nanoTime();
            work.run();
            if (i >= 0) {
                ms[i] = (System.nanoTime() - start) / 1e6;
            }
        }
        Arrays.sort(ms);
        System.out.printf(Locale.ROOT, "  %-75s %7.2f (%.2f)%n", what, ms[20], ms[36]);
    }
}
