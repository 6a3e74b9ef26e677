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
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;

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

                Made by `./ridgefall bench`: every bonded demo device, for every source of the demo bench the best way that begins
                with it, by handbook values. *Again* is what warms it on the way: air is held on the stretch while it is cut. All: on the
                likeliest bench, and on nine of ten as a hand follows it. Cracked: a crack over one corner.

                | device | glass | first | then | again | cut | all | thickest pick | why |
                |---|---|---|---|---|---|---|---|---|
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
        return OpeningPlanner.ranked(question, question.ranked()).stream()
                .map(opening -> row(profile, condition, opening));
    }

    private static String row(DeviceProfile profile, FrontCondition condition, Opening opening) {
        HeatPlan heat = opening.heat();
        CutPlan cut = opening.cut();
        CutPlan.Move first = cut.moves().get(0);
        boolean again = cut.warmings() > 0 || cut.airOn();
        return "| %s | %s | %s%s | %s | %d × | %s | %s (%s) | %s | %s |%n"
                .formatted(
                        profile.name(),
                        condition.name().toLowerCase(Locale.ROOT),
                        opening.feasible() ? "" : "no: ",
                        opening.stretches()
                                ? heat.source().name()
                                : "%s %.0f °C, %s"
                                        .formatted(heat.source().name(), heat.settingC(), clock(heat.soakSeconds())),
                        again
                                ? "%s %.0f °C"
                                        .formatted(
                                                opening.means().source().name(),
                                                opening.means().setup().settingC())
                                : "nothing",
                        cut.warmings(),
                        clock(cut.cuttingSeconds()),
                        clock(opening.seconds()),
                        clock(opening.followed().p90()),
                        first.pickMm() == null ? "none" : first.pickMm() + " mm, " + Math.round(first.forceN()) + " N",
                        String.join("; ", heat.because()));
    }

    private static String clock(double seconds) {
        return "%d:%02d".formatted(Math.round(seconds) / 60, Math.round(seconds) % 60);
    }
}
