package ridgefall.core.separate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.ForeignBenches.Report;

/** What becomes of the best plans on benches of another model's physics; written as a page. */
public final class ForeignStudy {
    private ForeignStudy() {}

    /** @param args file, and how many benches a plan is tried on */
    public static void main(String[] args) throws IOException {
        int benches = args.length > 1 ? Integer.parseInt(args[1]) : 20;
        List<String> lines = new ArrayList<>(List.of(
                "# Plans on another physics",
                "",
                "Every plan that is offered for whole glass, followed on " + benches
                        + " benches of another model's physics",
                "(decision 28): hands and every unknown drawn from their ranges. Opened is what came free within 90 minutes with no more than 15 % cut cold. Made by `./ridgefall bench`.",
                "",
                "| device | begun with | stops kept | opened | forecast, min | taken, min (10 / 50 / 90 of 100) | passed |",
                "|---|---|---|---|---|---|---|"));
        for (DeviceProfile profile :
                ShippedBook.IDS.stream().map(ShippedBook::profile).toList()) {
            if (!profile.bonded()) {
                continue;
            }
            HeatQuestion question =
                    new HeatQuestion(profile, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench());
            List<Opening> openings = OpeningPlanner.ranked(
                    question, question.planner(HeatPlanner.FULL).ranked(question.sources()));
            for (Opening opening : openings) {
                if (opening.feasible() && !opening.heat().source().id().equals("plate-2")) {
                    lines.add(line(profile, ForeignBenches.follow(question, opening, benches, 7)));
                }
            }
        }
        if (args.length > 0) {
            Files.write(Path.of(args[0]), lines);
        }
    }

    private static String line(DeviceProfile profile, Report report) {
        Map<String, Long> passed = report.passed().stream()
                .collect(Collectors.groupingBy(
                        words -> words.replaceAll(" [0-9]+$", ""), TreeMap::new, Collectors.counting()));
        return String.format(
                Locale.ROOT,
                "| %s | %s, %s | %d %% | %d %% | %.0f (90 of 100: %.0f) | %.0f / %.0f / %.0f | %s |",
                profile.name(),
                report.opening().heat().source().name(),
                report.opening().then().replaceAll("\\{C:([0-9.]+)}", "$1 °C"),
                100 * report.kept() / report.outcomes().size(),
                100 * report.opened() / report.outcomes().size(),
                report.opening().seconds() / 60,
                report.opening().followed().p90() / 60,
                report.minutes().p10(),
                report.minutes().p50(),
                report.minutes().p90(),
                passed.isEmpty() ? "" : passed.toString().replaceAll("[{}]", ""));
    }
}
