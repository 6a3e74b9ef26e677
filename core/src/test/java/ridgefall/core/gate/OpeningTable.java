package ridgefall.core.gate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.AnyOrder;
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
                likeliest bench, and on nine of ten as a hand follows it. Any other order, warmed as planned: proven. Cracked: a crack
                over one corner.

                | device | glass | first | then | again | cut | all | thickest pick | any other order | why |
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
        return OpeningPlanner.ranked(question, question.ranked()).stream().map(opening -> row(question, opening));
    }

    private static String row(HeatQuestion question, Opening opening) {
        HeatPlan heat = opening.heat();
        CutPlan cut = opening.cut();
        boolean again = cut.warmings() > 0 || cut.airOn();
        return "| %s | %s | %s%s | %s | %d × | %s | %s (%s) | %s | %s | %s |%n"
                .formatted(
                        question.profile().name(),
                        question.condition().name().toLowerCase(Locale.ROOT),
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
                        pick(cut.moves()),
                        plain(AnyOrder.beside(question, opening).price()),
                        heat.because().stream().map(OpeningTable::plain).collect(Collectors.joining("; ")));
    }

    /** Beside a crack it is another than elsewhere. */
    private static String pick(List<CutPlan.Move> moves) {
        CutPlan.Move thickest = moves.stream()
                .max(Comparator.comparing(move -> move.pickMm() == null ? 0 : move.pickMm()))
                .orElseThrow();
        CutPlan.Move thinnest = moves.stream()
                .min(Comparator.comparing(move -> move.pickMm() == null ? 0 : move.pickMm()))
                .orElseThrow();
        return told(thickest)
                + (Objects.equals(thickest.pickMm(), thinnest.pickMm())
                        ? ""
                        : "; at the worst place " + told(thinnest));
    }

    private static String told(CutPlan.Move move) {
        return move.pickMm() == null ? "none" : move.pickMm() + " mm, " + Math.round(move.forceN()) + " N";
    }

    /** As a reader of Celsius sees it. */
    private static String plain(String reason) {
        return Pattern.compile("\\{(s|mm|C):([0-9.]+)}").matcher(reason).replaceAll(part -> switch (part.group(1)) {
            case "s" -> clock(Double.parseDouble(part.group(2)));
            case "mm" -> part.group(2) + " mm";
            default -> part.group(2) + " °C";
        });
    }

    private static String clock(double seconds) {
        return "%d:%02d".formatted(Math.round(seconds) / 60, Math.round(seconds) % 60);
    }
}
