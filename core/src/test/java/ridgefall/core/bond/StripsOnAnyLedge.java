package ridgefall.core.bond;

import java.util.ArrayList;
import java.util.List;
import ridgefall.core.bond.Ledge.PerSide;
import ridgefall.core.bond.Ledge.Side;
import ridgefall.core.bond.StripPlan.Skip;
import ridgefall.core.material.Adhesive;

/** The reference ledge, as full of windows as none is. */
public final class StripsOnAnyLedge {
    private static final int WINDOWS = 30;

    public static final StripPlanner WITH_THIRTY_WINDOWS = new StripPlanner(
            new Ledge(248, 178, 18, 15, PerSide.all(3)),
            PerSide.all(2),
            List.of(2.0),
            0.3,
            1,
            0.5,
            5,
            5,
            windows(),
            Adhesive.PET_CARRIER_TAPE,
            3,
            40);

    private StripsOnAnyLedge() {}

    private static List<Skip> windows() {
        List<Skip> windows = new ArrayList<>();
        for (int i = 0; i < WINDOWS; i++) {
            Side side = Side.values()[i % 4];
            double at = 22 + 16.0 * (i / 4);
            windows.add(new Skip(side.landmark(), at, at + 4, "window " + i));
        }
        return windows;
    }
}
