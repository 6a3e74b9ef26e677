package ridgefall.app.decide;

import static ridgefall.app.sheet.FlowingPages.TEXT;

import java.time.Instant;
import java.util.Locale;
import ridgefall.app.sheet.FlowingPages;
import ridgefall.app.sheet.Said;
import ridgefall.core.decide.Decision.FateLine;
import ridgefall.core.decide.Decision.Option;
import ridgefall.core.decide.Quote;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeState;

/** What is wrong, what is proposed, what becomes of the features, what it costs, and a line to sign. */
final class QuotePage {
    private static final float LARGER = 12.5f;

    private QuotePage() {}

    static byte[] pdf(long number, Course course, Option option, Quote quote, Instant now, Said said) {
        try (FlowingPages page = new FlowingPages("Quote for job " + number)) {
            page.line("Quote for job " + number, 20).line(said.day(now), TEXT).gap(0.5f);
            page.line(
                    course.profile().name() + ", for "
                            + IntakeState.of(course.state()).opened().owner(),
                    LARGER);
            page.line("Reported: " + IntakeState.of(course.state()).opened().fault(), TEXT);
            page.heading("Proposed")
                    .line(option.repair().words() + ", " + quote.grade().words(), LARGER);
            option.because().forEach(why -> page.line("– " + said.say(why), TEXT));
            page.heading("What becomes of it");
            if (option.fates().isEmpty()) {
                page.line("Nothing else depends on this repair.", TEXT);
            }
            option.fates().forEach(fate -> page.line("– " + words(fate), TEXT));
            quote.missing().forEach(missing -> page.line("– " + missing, TEXT));
            page.heading("Price");
            quote.lines()
                    .forEach(line -> page.amount(line.words(), line.amount().toString(), TEXT));
            page.rule().amount("Together", quote.total().toString(), LARGER).gap(0.5f);
            page.line(
                    "About " + quote.activeMinutes() + " min of work and " + quote.waitingMinutes()
                            + " min of waiting. Local taxes as the law says.",
                    TEXT);
            page.line(
                    String.format(
                            Locale.ROOT,
                            "Risk reckoned with: breaks %.0f %%, comes back %.0f %%, from %s.",
                            100 * quote.breaks().mean(),
                            100 * quote.comesBack().mean(),
                            quote.breaks().jobs() == 0
                                    ? "common practice"
                                    : quote.breaks().jobs() + " jobs of this shop"),
                    TEXT);
            page.line("Water resistance is not tested and not promised.", TEXT);
            return page.gap(3).rule().line("Agreed: name, date", TEXT).pdf();
        }
    }

    private static String words(FateLine fate) {
        return fate.function() + ": "
                + fate.fate().fate().name().toLowerCase(Locale.ROOT).replace('_', ' ') + ", "
                + fate.fate().how() + (fate.worked() ? "" : " (did not work or was not tested at intake)");
    }
}
