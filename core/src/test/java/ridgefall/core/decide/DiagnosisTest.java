package ridgefall.core.decide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.decide.Decision.Option;
import ridgefall.core.decide.Decision.Verdict;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeFact.SymptomSeen;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Role;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.Money;
import ridgefall.core.units.Source;

class DiagnosisTest {
    private static final Terms TERMS =
            new Terms(new BigDecimal("54.00"), new BigDecimal("6.50"), new BigDecimal("25.00"), "EUR");
    private static final Fact CRACKED = new IntakeFact.FrontSeen(FrontCondition.CRACKED);
    private static final Fact PICTURE = new FunctionTested("picture", Phase.BEFORE, Answer.PASS, null);
    private static final Fact NO_PICTURE = new FunctionTested("picture", Phase.BEFORE, Answer.FAIL, null);

    private static Money euro(String amount) {
        return new Money(new BigDecimal(amount), "EUR");
    }

    private static Offer offer(PartKind kind, Grade grade, String price, int inStock, Brings... brings) {
        return new Offer(UUID.randomUUID(), kind, grade, "Fellside Parts", euro(price), List.of(brings), inStock);
    }

    private static Decision decide(String device, List<Offer> offers, Money replacement, Fact... facts) {
        DeviceProfile profile = ShippedBook.profile(device);
        return Diagnosis.decide(profile, after(device, facts), offers, List.of(), TERMS, replacement);
    }

    private static JobState after(String device, Fact... facts) {
        List<Entry> journal = new ArrayList<>();
        journal.add(entry(1, new IntakeFact.JobOpened(device, 1, null, "Hut", "broken")));
        for (Fact fact : facts) {
            journal.add(entry(journal.size() + 1, fact));
        }
        return JobState.of(journal);
    }

    private static Entry entry(long seq, Fact fact) {
        return new Entry(seq, Instant.parse("2026-03-02T08:00:00Z").plusSeconds(seq), "Ansa", Role.TECHNICIAN, fact);
    }

    private static Option best(Decision decision) {
        return decision.options().get(0);
    }

    @Test
    void crackedGlassOverALivingPanelNeedsTheGlassAlone() {
        Option best = best(decide("brackenholt-tarn-10", List.of(), null, CRACKED, PICTURE));
        assertThat(best.repair().id()).isEqualTo("glass");
        assertThat(best.cures()).isTrue();
        assertThat(best.because()).contains("the picture is sound: the panel stays, the glass alone is replaced");
    }

    @Test
    void aDeadPanelBehindCrackedGlassNeedsBoth() {
        Decision decision = decide("marrowby-quire-8", List.of(), null, CRACKED, NO_PICTURE);
        assertThat(best(decision).repair().id()).isEqualTo("glass-and-panel");
        assertThat(decision.options())
                .filteredOn(option -> option.repair().id().equals("glass"))
                .singleElement()
                .satisfies(option -> {
                    assertThat(option.cures()).isFalse();
                    assertThat(option.because()).contains("does not cure: no picture");
                });
        assertThat(decision.notes()).anyMatch(note -> note.startsWith("Try the plugs first"));
    }

    @Test
    void fusedClippedPairedMovedAndRebondedExplainThemselves() {
        assertThat(best(decide("sillery-satchel-7", List.of(), null, CRACKED)).because())
                .contains("glass and panel are one piece here: they are replaced together");
        assertThat(best(decide("drumlin-crate-10", List.of(), null, CRACKED)).because())
                .contains("clips and a gasket hold it: no heat, no adhesive");
        Option stylus = best(decide("marrowby-quire-11", List.of(), null, CRACKED));
        assertThat(stylus.because()).contains("paired: Stylus data, its data must be copied from the old front");
        assertThat(stylus.oldFront()).contains("source of paired data");
        assertThat(best(decide("pellow-dial-41", List.of(), null, CRACKED)).because())
                .contains("paired: Payment chip board, its board must move to the new front");
        List<Offer> glassOrDisplay = List.of(
                offer(PartKind.TOUCH_GLASS, Grade.PREMIUM_COPY, "19.50", 1),
                offer(PartKind.OPTICAL_LIQUID, Grade.GENERIC, "6.80", 1),
                offer(PartKind.FUSED_FRONT, Grade.REFURBISHED_ORIGINAL, "104.00", 1, Brings.DIE_CUT_RING));
        assertThat(best(decide("pellow-dial-45", glassOrDisplay, null, CRACKED, PICTURE))
                        .because())
                .contains("the new glass is bonded to the old panel with optical liquid");
    }

    @Test
    void aQuoteIsPartHandsConsumablesAndExpectedLoss() {
        Option option = best(decide(
                "sillery-satchel-7",
                List.of(offer(PartKind.FUSED_FRONT, Grade.PLAIN_COPY, "31.80", 1, Brings.TAPE)),
                null,
                CRACKED));
        Quote quote = option.quotes().get(0);
        // Hands 55 min of 54.00/h = 49.50. Break 5 %: 31.80 + 49.50 = 81.30, 4.065 to the even cent 4.06. Comeback 14
        // %:
        // 81.30 + 6.50 + 25.00 = 112.80, 15.792 to 15.79. Loss 19.85.
        assertThat(quote.lines())
                .extracting(line -> line.amount().toString())
                .containsExactly("31.80 EUR", "49.50 EUR", "6.50 EUR", "19.85 EUR");
        assertThat(quote.total()).isEqualTo(euro("107.65"));
        assertThat(quote.comesBack().source()).isEqualTo(Source.COMMON_PRACTICE);
        assertThat(quote.missing()).isEmpty();
    }

    @Test
    void whatAPartDoesNotBringCostsHandsAndIsSaid() {
        Quote bare = best(decide(
                        "sillery-satchel-7",
                        List.of(offer(PartKind.FUSED_FRONT, Grade.PLAIN_COPY, "31.80", 1)),
                        null,
                        CRACKED))
                .quotes()
                .get(0);
        assertThat(bare.activeMinutes()).isEqualTo(61);
        assertThat(bare.missing())
                .containsExactly("no pre-applied adhesive: cut strips from the roll; Bond plans them");
    }

    @Test
    void theCheaperInTheEndComesFirstAndAPremiumCanWin() {
        List<Offer> offers = List.of(
                offer(PartKind.FUSED_FRONT, Grade.PLAIN_COPY, "90.00", 1),
                offer(PartKind.FUSED_FRONT, Grade.REFURBISHED_ORIGINAL, "96.00", 1, Brings.TAPE));
        List<Quote> quotes =
                best(decide("sillery-satchel-7", offers, null, CRACKED)).quotes();
        assertThat(quotes).extracting(Quote::grade).containsExactly(Grade.REFURBISHED_ORIGINAL, Grade.PLAIN_COPY);
    }

    @Test
    void aRepairOfTwoPartsIsPricedWithBothOrNotAtAll() {
        Offer glass = offer(PartKind.GLASS_WITH_TOUCH, Grade.PREMIUM_COPY, "24.90", 1);
        Offer panel = offer(PartKind.PANEL, Grade.REFURBISHED_ORIGINAL, "61.00", 1);
        assertThat(best(decide("marrowby-quire-8", List.of(glass), null, CRACKED, NO_PICTURE))
                        .quotes())
                .isEmpty();
        Quote both = best(decide("marrowby-quire-8", List.of(glass, panel), null, CRACKED, NO_PICTURE))
                .quotes()
                .get(0);
        assertThat(both.offers()).containsExactly(glass, panel);
        assertThat(both.lines().get(0).words()).isEqualTo("Glass with touch layer, premium copy");
        assertThat(both.lines().get(1).words()).isEqualTo("Panel, refurbished original");
    }

    @Test
    void worthIsWeighedAgainstAnotherOneWithItsBreakEven() {
        List<Offer> offers = List.of(offer(PartKind.FUSED_FRONT, Grade.PLAIN_COPY, "31.80", 1, Brings.TAPE));
        Decision cheap = decide("sillery-satchel-7", offers, euro("300.00"), CRACKED);
        assertThat(cheap.worth().verdict()).isEqualTo(Verdict.WORTH_IT);
        // 300.00 less everything but the part: 300.00 − (107.65 − 31.80).
        assertThat(cheap.worth().breakEvenPart()).isEqualTo(euro("224.15"));
        assertThat(decide("sillery-satchel-7", offers, euro("140.00"), CRACKED)
                        .worth()
                        .verdict())
                .isEqualTo(Verdict.DOUBTFUL);
        assertThat(decide("sillery-satchel-7", offers, euro("107.65"), CRACKED)
                        .worth()
                        .verdict())
                .isEqualTo(Verdict.NOT_WORTH_IT);
        assertThat(decide("sillery-satchel-7", offers, null, CRACKED).worth().verdict())
                .isEqualTo(Verdict.UNKNOWN);
    }

    @Test
    void whatFailsBeyondTheFrontIsSaidBeforeAnythingIsAgreed() {
        Decision decision = decide(
                "marrowby-quire-11",
                List.of(),
                null,
                CRACKED,
                new SymptomSeen(Symptom.PALE_PATCH, true),
                new FunctionTested("finger", Phase.BEFORE, Answer.FAIL, null),
                new FunctionTested("stylus", Phase.BEFORE, Answer.CANNOT_TEST, "no stylus here"));
        assertThat(decision.notes())
                .anyMatch(note -> note.contains("Fingerprint key failed at intake and no front will cure it"))
                .anyMatch(note -> note.contains("Stylus draws straight could not be tested"))
                .anyMatch(note -> note.contains("stays visible and spreads"));
        assertThat(best(decision).fates())
                .filteredOn(line -> line.function().equals("Fingerprint key"))
                .singleElement()
                .satisfies(line -> assertThat(line.worked()).isFalse());
    }

    @Test
    void nothingNotedIsNothingCured() {
        assertThat(decide("marrowby-quire-11", List.of(), null).options())
                .allSatisfy(option -> assertThat(option.cures()).isFalse());
    }

    @Test
    void chancesStartAsCommonPracticeAndFollowWhatIsCounted() {
        Chance prior = Chance.of(0.05, 0, 0);
        assertThat(prior.mean()).isCloseTo(0.05, within(1e-12));
        assertThat(prior.p10()).isLessThan(0.05).isGreaterThan(0);
        // Beta(12·0.05 + 2, 12·0.95 + 18): mean 2.6/32.
        Chance counted = Chance.of(0.05, 20, 2);
        assertThat(counted.mean()).isCloseTo(2.6 / 32, within(1e-12));
        assertThat(counted.source()).isEqualTo(Source.MEASURED_HERE);
        Chance many = Chance.of(0.05, 2000, 200);
        assertThat(many.p90() - many.p10()).isLessThan(counted.p90() - counted.p10());
        assertThat(many.mean()).isCloseTo(0.1, within(0.001));
    }

    @Test
    void roundedLinesAddUpToTheCentInEveryQuote() {
        Random random = new Random(42);
        for (int i = 0; i < 2000; i++) {
            Terms terms = new Terms(cents(random, 20_000), cents(random, 3000), cents(random, 9000), "EUR");
            List<Offer> offers = List.of(new Offer(
                    new UUID(0, i),
                    PartKind.FUSED_FRONT,
                    Grade.values()[random.nextInt(3)],
                    "any",
                    new Money(cents(random, 50_000), "EUR"),
                    List.of(),
                    random.nextInt(2)));
            Quote quote = Quote.of(
                    offers.get(0).grade(),
                    offers,
                    1 + random.nextInt(300),
                    0,
                    List.of(),
                    Chance.of(0.01 + 0.8 * random.nextDouble(), random.nextInt(9), 0),
                    Chance.of(0.01 + 0.8 * random.nextDouble(), 0, 0),
                    terms);
            BigDecimal sum =
                    quote.lines().stream().map(line -> line.amount().amount()).reduce(BigDecimal.ZERO, BigDecimal::add);
            assertThat(quote.total().amount()).isEqualByComparingTo(sum);
            assertThat(quote.lines())
                    .allSatisfy(
                            line -> assertThat(line.amount().amount().scale()).isEqualTo(2));
        }
    }

    private static BigDecimal cents(Random random, int most) {
        return BigDecimal.valueOf(1 + random.nextInt(most), 2);
    }

    @Test
    void whatCuresAllThatWasNotedIsWhatTheBenchIsOfferedFirst() {
        assertThat(offeredFirst(CRACKED, PICTURE)).isEqualTo("New glass with touch layer");
        assertThat(offeredFirst(CRACKED, NO_PICTURE)).isEqualTo("New glass and new panel");
        assertThat(offeredFirst(NO_PICTURE)).isEqualTo("New glass and new panel");
    }

    private static String offeredFirst(Fact... facts) {
        return new DecideStation(() -> "EUR")
                .steps(ShippedBook.profile("marrowby-quire-8"), after("marrowby-quire-8", facts))
                .get(0)
                .choices()
                .get(0)
                .label();
    }
}
