package ridgefall.core.separate;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.Setup;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.Cutting;

/** The same all round, so many kelvin less every second, and two minutes on a plate to be as it was. */
final class LinearWarmth implements Warmth {
    static final double AGAIN_S = 120;

    private static final Cutting TAPE = Cutting.byHand(Adhesive.PET_CARRIER_TAPE);

    private final double fromC;
    private final double kPerS;
    double giveUpAfterS = Double.POSITIVE_INFINITY;
    private double sinceS;

    LinearWarmth(double fromC, double kPerS) {
        this.fromC = fromC;
        this.kPerS = kPerS;
    }

    @Override
    public double bondC(double positionMm) {
        return fromC - kPerS * sinceS;
    }

    @Override
    public double pass(double seconds, Supplier<List<EdgeInterval>> ahead, boolean clockwise) {
        sinceS += seconds;
        return 0;
    }

    @Override
    public boolean givenUp() {
        return sinceS > giveUpAfterS;
    }

    @Override
    public boolean worthWarming(double mmPerS) {
        return mmPerS < Cutting.SLOWEST_MM_PER_S && TAPE.mmPerS(fromC) >= Cutting.SLOWEST_MM_PER_S;
    }

    @Override
    public Optional<Warming> again(List<EdgeInterval> ahead, boolean clockwise) {
        sinceS = 0;
        return Optional.of(new Warming(HeatSource.byId(HeatSource.bench(), "plate-1"), Setup.face(85), AGAIN_S));
    }
}
