package ridgefall.core.gate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.CutPlanner;
import ridgefall.core.separate.Warmth;

/** What the plans say for every demo device on every source, to be read by somebody who does this daily. */
public final class OpeningTable {
    private OpeningTable() {}

    /** @param args the file to write */
    public static void main(String[] args) throws IOException {
        Files.writeString(Path.of(args[0]), table());
    }

    private static String table() {
        StringBuilder table = new StringBuilder("""
                # Opening plans

                Made by `./ridgefall bench`: every bonded demo device on every source of the demo bench, by handbook values. *Cut* is
                until all is free once it is warm, with every warming again. Cracked: a crack over one corner.

                | device | glass | source | plan | workable from | soak | bond, battery, display then | cut | all | thickest pick |
                |---|---|---|---|---|---|---|---|---|---|
                """);
        ShippedBook.documents()
                .map(document -> DeviceProfile.of(document, 1, null))
                .filter(DeviceProfile::bonded)
                .forEach(profile -> Stream.of(FrontCondition.values())
                        .forEach(condition -> rows(profile, condition).forEach(table::append)));
        return table.toString();
    }

    private static Stream<String> rows(DeviceProfile profile, FrontCondition condition) {
        List<EdgeInterval> cracks = condition == FrontCondition.CRACKED
                ? List.of(profile.edge().interval(Landmark.BOTTOM_RIGHT))
                : List.of();
        HeatQuestion question = new HeatQuestion(profile, condition, cracks, List.of(), HeatSource.bench());
        return question.ranked().stream().map(heat -> row(profile, condition, cracks, heat));
    }

    private static String row(
            DeviceProfile profile, FrontCondition condition, List<EdgeInterval> cracks, HeatPlan heat) {
        CutPlan cut = CutPlanner.plan(
                profile,
                condition,
                cracks,
                List.of(),
                Warmth.of(heat, profile.edge().turn()));
        String plan = heat.feasible()
                ? "%.0f °C%s".formatted(heat.settingC(), heat.dwells() > 1 ? ", stretch by stretch" : "")
                : "no: " + String.join("; ", heat.because());
        CutPlan.Move first = cut.moves().get(0);
        return "| %s | %s | %s | %s | %.0f °C | %s | %.0f, %.0f, %.0f °C | %s, warmed again %d × %s | %s | %s |%n"
                .formatted(
                        profile.name(),
                        condition.name().toLowerCase(Locale.ROOT),
                        heat.source().name(),
                        plan,
                        heat.workableFromC(),
                        clock(heat.soakSeconds()),
                        heat.bondAtPullC().p50(),
                        heat.batteryAtPullC().p50(),
                        heat.displayAtPullC().p50(),
                        clock(cut.cuttingSeconds()),
                        cut.warmings(),
                        clock(cut.againSeconds()),
                        clock(heat.soakSeconds() + cut.totalSeconds()),
                        first.pickMm() == null ? "none" : first.pickMm() + " mm, " + Math.round(first.forceN()) + " N");
    }

    private static String clock(double seconds) {
        return "%d:%02d".formatted(Math.round(seconds) / 60, Math.round(seconds) % 60);
    }
}
