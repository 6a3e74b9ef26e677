package ridgefall.core.heat;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.Sheet;
import ridgefall.core.profile.HeatStack;

/**
 * A front off its device, warmed where a part is to come off it: layers as one lump per area, warmed through one side by a source and
 * losing to the room through the other. On a face it lies with its glass down; air comes from the part's side. Closed form
 * of one lump, {@code C dT/dt = h (Ts − T) − ha (T − Tr)}; layers and contacts are those of the soak.
 */
public record LooseFront(HeatStack stack, FrontCondition condition) {
    /** Still air on a warm sheet, convection and radiation together. */
    private static final double LOSES_W_PER_M2K = 10;

    private static final double ROOM_C = 22;

    /** A hand takes that long to see and to pull away. */
    private static final double LEAST_NOTICE_S = 10;

    private static final double LONGEST_S = 600;

    /** A limit is kept with that much to spare. */
    private static final double SPARE_K = 2;

    /**
     * @param seconds until the part lets go on a bench that warms as most do; on a face, on one that warms badly
     * @param noLongerS a bench that warms well is at the limit then; null where none gets there
     */
    public record Way(String sourceId, String source, boolean air, int settingC, int seconds, Integer noLongerS) {}

    /** The quickest first, one of each source; empty where none warms it to there within the limit. */
    public List<Way> ways(List<HeatSource> sources, double bondC, double limitC) {
        return (bondC > limitC - SPARE_K ? Stream.<HeatSource>empty() : sources.stream())
                .flatMap(source -> way(source, bondC, limitC - SPARE_K).stream())
                .sorted(Comparator.comparingInt(Way::seconds))
                .toList();
    }

    private Optional<Way> way(HeatSource source, double bondC, double limitC) {
        return source.settings()
                .boxed()
                .flatMap(settingC -> way(source, settingC, bondC, limitC).stream())
                .min(Comparator.comparingInt(Way::seconds));
    }

    private Optional<Way> way(HeatSource source, int settingC, double bondC, double limitC) {
        Setup setup = source.usual(settingC, source.wholeEdge());
        HeatSource.Contact contact = source.contact(condition, setup);
        double facesC = ROOM_C + source.risingShare(setup) * (settingC - ROOM_C);
        boolean air = source.kind().air();
        // Where there is no panel behind the glass it is warm soonest.
        double least = joules(stack.glass());
        double all = least
                + joules(stack.display())
                + Optional.ofNullable(stack.opticalAdhesive())
                        .map(LooseFront::joules)
                        .orElse(0.0);
        double seconds = secondsTo(bondC, facesC, air ? contact.typical() : contact.low(), all);
        double limit = secondsTo(limitC, facesC, contact.high(), least);
        boolean mayBe = limit >= (air ? LEAST_NOTICE_S : Double.POSITIVE_INFINITY);
        return seconds > LONGEST_S || !mayBe
                ? Optional.empty()
                : Optional.of(new Way(
                        source.id(),
                        source.name(),
                        air,
                        settingC,
                        inFives(seconds),
                        limit == Double.POSITIVE_INFINITY ? null : (int) limit));
    }

    private static int inFives(double seconds) {
        return 5 * (int) Math.ceil(seconds / 5);
    }

    private static double joules(Sheet sheet) {
        return sheet.thicknessMm() / 1000 * sheet.heatCapacityJPerM3K();
    }

    /** Infinite where it never gets there. */
    private static double secondsTo(double celsius, double facesC, double wPerM2K, double joulesPerM2K) {
        double sum = wPerM2K + LOSES_W_PER_M2K;
        double endsC = (wPerM2K * facesC + LOSES_W_PER_M2K * ROOM_C) / sum;
        return endsC <= celsius
                ? Double.POSITIVE_INFINITY
                : joulesPerM2K / sum * Math.log((endsC - ROOM_C) / (endsC - celsius));
    }
}
