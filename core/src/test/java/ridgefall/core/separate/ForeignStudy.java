package ridgefall.core.separate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.material.Adhesive;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.ForeignBenches.Outcome;
import ridgefall.core.separate.ForeignBenches.Report;
import ridgefall.core.units.Band;

/** What becomes of the best plans on benches of another model's physics; written as a page. */
public final class ForeignStudy {
    private ForeignStudy() {}

    /** @param args file, and how many benches a plan is tried on */
    public static void main(String[] args) throws IOException {
        int benches = args.length > 1 ? Integer.parseInt(args[1]) : 20;
        List<String> lines = new ArrayList<>(List.of(
                "# Plans on another physics",
                "",
                "Every source on whole glass, planned for the hand at the bench and followed on " + benches
                        + " benches of another model's physics",
                "(decision 28): hands and every unknown drawn from their ranges. Opened is what came free within 90 minutes with no more than 15 % cut cold; with solvent is the part of it that warmth alone left cold: there the product says solvent, and that was done; refused is what the plan itself refuses, and says what else would do; held up is what did not come free either way, or not in time: the screen says then that warmth or solvent has done what it does, or that it is longer at it than any way should take, and what else would do. Made by `./ridgefall bench`.",
                "",
                "| device | begun with | stops kept | opened | of these with solvent | refused | held up | forecast, min (10 / 50 / 90 of 100) | taken | passed |",
                "|---|---|---|---|---|---|---|---|---|---|"));
        List<Outcome> all = new ArrayList<>();
        List<Outcome> taped = new ArrayList<>();
        for (DeviceProfile profile :
                ShippedBook.IDS.stream().map(ShippedBook::profile).toList()) {
            if (!profile.bonded()) {
                continue;
            }
            HeatQuestion question =
                    new HeatQuestion(profile, FrontCondition.INTACT, List.of(), List.of(), HeatSource.bench());
            for (Report report : ForeignBenches.follow(question, benches, 7)) {
                if (!report.source().id().equals("plate-2")) {
                    lines.add(line(profile, report));
                    all.addAll(report.outcomes());
                    if (profile.factoryAdhesive() == Adhesive.PET_CARRIER_TAPE) {
                        taped.addAll(report.outcomes());
                    }
                }
            }
        }
        lines.addAll(List.of("", words("All together", all), "", words("Fronts taped with PET", taped)));
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
                "| %s | %s | %d %% | %d %% | %d %% | %d %% | %d %% | %s | %s | %s |",
                profile.name(),
                report.source().name(),
                report.percent(outcome -> outcome.passed().isEmpty()),
                report.percent(Outcome::opened),
                report.percent(Outcome::wet),
                report.percent(Outcome::refused),
                report.percent(outcome -> !outcome.opened() && !outcome.refused()),
                minutes(report, Outcome::forecastMinutes),
                minutes(report, Outcome::minutes),
                passed.isEmpty() ? "" : passed.toString().replaceAll("[{}]", ""));
    }

    private static String words(String what, List<Outcome> outcomes) {
        Report report = new Report(null, outcomes);
        return String.format(
                Locale.ROOT,
                "%s: stops kept on %d of 100, opened %d (of these with solvent %d), refused %d, held up %d.",
                what,
                report.percent(outcome -> outcome.passed().isEmpty()),
                report.percent(Outcome::opened),
                report.percent(Outcome::wet),
                report.percent(Outcome::refused),
                report.percent(outcome -> !outcome.opened() && !outcome.refused()));
    }

    private static String minutes(Report report, ToDoubleFunction<Outcome> of) {
        if (!report.everTried()) {
            return "–";
        }
        Band minutes = report.minutes(of);
        return String.format(Locale.ROOT, "%.0f / %.0f / %.0f", minutes.p10(), minutes.p50(), minutes.p90());
    }
}
