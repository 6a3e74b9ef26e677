package ridgefall.core.separate;

import java.util.List;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.Bench;
import ridgefall.core.heat.BenchRun;
import ridgefall.core.heat.BenchRun.Act;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.Setup;

/**
 * A bench as a hand meets it that follows a plan: it feels the bond and reads the glass of the bench that is. Of the battery it
 * knows what is reckoned meanwhile, on the likeliest bench that the same is done to.
 */
record Followed(Bench truth, BenchRun likeliest) implements Bench {
    @Override
    public double bondC(double positionMm) {
        return truth.bondC(positionMm);
    }

    @Override
    public double bondC(EdgeInterval where) {
        return truth.bondC(where);
    }

    @Override
    public void rest(double seconds) {
        truth.rest(seconds);
        likeliest.rest(seconds);
    }

    @Override
    public void through(List<Act> acts) {
        truth.through(acts);
        likeliest.through(acts);
    }

    @Override
    public AtSource on(HeatSource source, Setup setup) {
        AtSource there = truth.on(source, setup);
        AtSource here = likeliest.on(source, setup);
        return new AtSource() {
            @Override
            public void step() {
                there.step();
                here.step();
            }

            @Override
            public void step(double glassBelowC) {
                there.step(glassBelowC);
                here.step(glassBelowC);
            }

            @Override
            public double seconds() {
                return there.seconds();
            }

            @Override
            public double nextFaceOverK() {
                return there.nextFaceOverK();
            }
        };
    }

    @Override
    public double glassCautionC() {
        return truth.glassCautionC();
    }

    @Override
    public double batteryOverK() {
        return likeliest.batteryOverK();
    }

    @Override
    public boolean keptStops() {
        return truth.keptStops();
    }

    @Override
    public String nearestLimit() {
        return truth.nearestLimit();
    }
}
