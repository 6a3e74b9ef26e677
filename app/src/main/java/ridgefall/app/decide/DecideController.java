package ridgefall.app.decide;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.job.JobView.ChoiceView;
import ridgefall.app.job.Jobs;
import ridgefall.app.parts.Stock;
import ridgefall.app.parts.Stock.Row;
import ridgefall.app.security.SignedIn;
import ridgefall.app.shop.Shop;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.decide.DecideState;
import ridgefall.core.decide.DecideStation;
import ridgefall.core.decide.Decision;
import ridgefall.core.decide.Decision.Option;
import ridgefall.core.decide.Diagnosis;
import ridgefall.core.decide.Offer;
import ridgefall.core.decide.Piece;
import ridgefall.core.decide.Quote;
import ridgefall.core.decide.Terms;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeStation;
import ridgefall.core.job.Role;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsState;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.Fate;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.Money;
import ridgefall.core.units.NotAllowed;
import ridgefall.core.units.Source;

/** The ranked repairs of a job with their quotes, and each quote as a page to give away. */
@RestController
class DecideController {
    private final Jobs jobs;
    private final Stock stock;
    private final Outcomes outcomes;
    private final Shop shop;
    private final Clock clock;

    DecideController(Jobs jobs, Stock stock, Outcomes outcomes, Shop shop, Clock clock) {
        this.jobs = jobs;
        this.stock = stock;
        this.outcomes = outcomes;
        this.shop = shop;
        this.clock = clock;
    }

    record AmountView(BigDecimal amount, String currency) {
        static AmountView of(Money money) {
            return money == null ? null : new AmountView(money.amount(), money.currency());
        }
    }

    record PriceLine(String words, AmountView amount) {}

    record ChanceView(double mean, double p10, double p90, int jobs, int cases, Source source) {}

    /** @param onTheShelf so many times it can be made of what lies there, with what this job has; 0 where a part must be ordered */
    record QuoteView(
            Grade grade,
            String gradeWords,
            String supplier,
            int onTheShelf,
            List<PriceLine> lines,
            AmountView total,
            ChanceView breaks,
            ChanceView comesBack,
            int activeMinutes,
            int waitingMinutes,
            List<String> missing,
            ChoiceView agree) {}

    record FateView(String function, Fate fate, String how, boolean worked) {}

    record OptionView(
            String repairId,
            String words,
            boolean cures,
            List<String> because,
            List<String> parts,
            List<QuoteView> quotes,
            List<FateView> fates,
            String oldFront) {}

    record SymptomView(Symptom symptom, String words, boolean seen, ChoiceView turn) {}

    record WorthView(
            Decision.Verdict verdict,
            @Schema(nullable = true) AmountView replacement,
            @Schema(nullable = true) AmountView breakEvenPart,
            String because) {}

    /** @param stepId that a quote answers once it is agreed */
    record DecideView(
            List<SymptomView> symptoms,
            List<OptionView> options,
            List<String> notes,
            WorthView worth,
            ChoiceView priceOfAnother,
            String stepId,
            @Schema(nullable = true) String agreedRepairId,
            @Schema(nullable = true) Grade agreedGrade) {}

    @GetMapping("/api/jobs/{jobId}/decide")
    DecideView decide(@PathVariable UUID jobId, @AuthenticationPrincipal SignedIn who) {
        Course course = jobs.course(jobId);
        List<Row> rows = fitting(course);
        Decision decision = decision(course, rows);
        Set<Symptom> seen = decision.symptoms();
        Optional<DecideFact.RepairAgreed> agreed =
                DecideState.of(course.state()).repair();
        return new DecideView(
                List.of(Symptom.values()).stream()
                        .map(s -> new SymptomView(
                                s,
                                s.words(),
                                seen.contains(s),
                                ChoiceView.of(IntakeStation.turn(s, seen.contains(s)), who.role())))
                        .toList(),
                decision.options().stream()
                        .map(option -> view(option, course, rows, who.role()))
                        .toList(),
                decision.notes(),
                new WorthView(
                        decision.worth().verdict(),
                        AmountView.of(decision.worth().replacement()),
                        AmountView.of(decision.worth().breakEvenPart()),
                        decision.worth().because()),
                ChoiceView.of(
                        Step.other(
                                "What another one costs",
                                new DecideFact.ReplacementPriced(
                                        BigDecimal.ZERO, shop.settings().currency()),
                                new Ask("price", "Another one like this, used", Ask.Kind.NUMBER, null, null)),
                        who.role()),
                DecideStation.REPAIR,
                agreed.map(DecideFact.RepairAgreed::repairId).orElse(null),
                agreed.map(DecideFact.RepairAgreed::grade).orElse(null));
    }

    /** The quote as a PDF to give away. */
    @GetMapping(path = "/api/jobs/{jobId}/quote", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> quote(@PathVariable UUID jobId, @RequestParam String repairId, @RequestParam Grade grade) {
        Jobs.Job job = jobs.job(jobId);
        Course course = job.course();
        Option option = decision(course, fitting(course)).options().stream()
                .filter(o -> o.repair().id().equals(repairId))
                .findFirst()
                .orElseThrow(() -> new NotAllowed("repairId", repairId, "a repair of this device"));
        Quote quote = option.quotes().stream()
                .filter(q -> q.grade() == grade)
                .findFirst()
                .orElseThrow(() -> new NotAllowed("grade", grade, "a grade that can be had for this repair"));
        long number = job.number();
        byte[] pdf = QuotePage.pdf(number, course, option, quote, clock.instant(), shop.said());
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("quote-" + number + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }

    /** What of it lies on the shelf; the rest is ordered. */
    private static List<Piece> pieces(Quote quote, List<Row> rows) {
        return quote.offers().stream()
                .filter(offer -> offer.inStock() > 0)
                .flatMap(offer -> rows.stream().filter(row -> row.id().equals(offer.stockId())))
                .map(Row::piece)
                .toList();
    }

    private List<Row> fitting(Course course) {
        return stock.fitting(course.profile().id(), course.profile().variantId());
    }

    private Decision decision(Course course, List<Row> rows) {
        Terms terms = shop.settings().terms();
        // What this job has taken already is free for it.
        Map<UUID, PartReserved> own = PartsState.of(course.state()).reserved();
        return Diagnosis.decide(
                course.profile(),
                course.state(),
                rows.stream()
                        .filter(row -> row.currency().equals(terms.currency()))
                        .map(Row::offer)
                        .map(offer -> own.containsKey(offer.stockId()) ? offer.oneMore() : offer)
                        .toList(),
                outcomes.of(course.profile().id()),
                terms,
                DecideState.of(course.state()).replacement().orElse(null));
    }

    private OptionView view(Option option, Course course, List<Row> rows, Role role) {
        return new OptionView(
                option.repair().id(),
                option.repair().words(),
                option.cures(),
                option.because(),
                option.repair().parts().stream().map(PartKind::words).toList(),
                option.quotes().stream()
                        .map(quote -> view(option, quote, course, rows, role))
                        .toList(),
                option.fates().stream()
                        .map(line -> new FateView(
                                line.function(), line.fate().fate(), line.fate().how(), line.worked()))
                        .toList(),
                option.oldFront());
    }

    private QuoteView view(Option option, Quote quote, Course course, List<Row> rows, Role role) {
        String price = quote.total().amount().toPlainString();
        return new QuoteView(
                quote.grade(),
                quote.grade().words(),
                quote.offers().get(0).supplier(),
                quote.offers().stream().mapToInt(Offer::inStock).min().orElse(0),
                quote.lines().stream()
                        .map(line -> new PriceLine(line.words(), AmountView.of(line.amount())))
                        .toList(),
                AmountView.of(quote.total()),
                view(quote.breaks()),
                view(quote.comesBack()),
                quote.activeMinutes(),
                quote.waitingMinutes(),
                quote.missing(),
                ChoiceView.of(
                        Step.go(
                                "Agreed: " + quote.grade().words() + ", " + quote.total(),
                                new DecideFact.RepairAgreed(
                                        option.repair().id(),
                                        quote.grade(),
                                        quote.total().amount(),
                                        quote.total().currency(),
                                        "?",
                                        pieces(quote, rows)),
                                new Ask(
                                        "price",
                                        "Price agreed, " + quote.total().currency(),
                                        Ask.Kind.NUMBER,
                                        null,
                                        price),
                                DecideStation.agreedBy(course.state())),
                        role));
    }

    private static ChanceView view(ridgefall.core.decide.Chance chance) {
        return new ChanceView(
                chance.mean(), chance.p10(), chance.p90(), chance.jobs(), chance.cases(), chance.source());
    }
}
