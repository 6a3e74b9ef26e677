package ridgefall.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigDecimal;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.app.Client.Answer;
import ridgefall.app.RunningApp.App;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Quotes that add up, price lists that are taken whole, and pieces that go to one job only. */
@ExtendWith(RunningApp.class)
class DecideAndPartsTest {
    private static final String HEADER =
            "part_number,supplier,device,variant,kind,grade,brings,price,currency,pieces,lot\n";

    private final App app;
    private final Client ansa;

    DecideAndPartsTest(App app) {
        this.app = app;
        this.ansa = app.signedIn(Role.TECHNICIAN);
    }

    private UUID cracked() {
        UUID job = ansa.openJob();
        ansa.append(job, 1, Map.of("type", "FrontSeen", "condition", "CRACKED"));
        return job;
    }

    private static String line(String number, String price, int pieces) {
        return number + ",Test Supply,marrowby-quire-11,,fused_front,premium_copy,tape magnets," + price + ",EUR,"
                + pieces + ",T1\n";
    }

    private JsonNode row(String number) {
        return ansa.get("/api/stock?query=" + number).json().get(0);
    }

    @Test
    void everyQuoteOnTheScreenAddsUpToTheCent() {
        JsonNode decision = ansa.get("/api/jobs/" + cracked() + "/decide").json();
        JsonNode quotes = decision.at("/options/0/quotes");
        assertThat(quotes.size()).isGreaterThanOrEqualTo(3);
        for (JsonNode quote : quotes) {
            BigDecimal sum = quote.get("lines")
                    .valueStream()
                    .map(line -> line.at("/amount/amount").decimalValue())
                    .reduce(BigDecimal.ZERO, BigDecimal::add);
            assertThat(quote.at("/total/amount").decimalValue()).isEqualByComparingTo(sum);
        }
    }

    @Test
    void theAgreedQuoteIsInTheJournalWithItsGradeAndName() {
        UUID job = cracked();
        JsonNode agree = ansa.get("/api/jobs/" + job + "/decide").json().at("/options/0/quotes/0/agree");
        assertThat(agree.at("/asks/0/suggestion").asString())
                .isEqualTo(agree.at("/fact/price").decimalValue().setScale(2).toPlainString());
        ObjectNode fact = (ObjectNode) agree.get("fact");
        fact.put("agreedBy", "Hut warden");
        assertThat(ansa.append(job, 2, fact).status()).isEqualTo(200);
        assertThat(ansa.get("/api/jobs/" + job).json().at("/journal/0/words").asString())
                .contains("Agreed: New fused front", "by Hut warden");
    }

    @Test
    void theQuoteIsAlsoAPageToGiveAway() throws IOException {
        UUID job = cracked();
        HttpResponse<byte[]> pdf = ansa.bytes("/api/jobs/" + job + "/quote?repairId=fused-front&grade=PREMIUM_COPY");
        assertThat(pdf.statusCode()).isEqualTo(200);
        try (PDDocument page = Loader.loadPDF(pdf.body())) {
            assertThat(new PDFTextStripper().getText(page))
                    .contains("Test hut", "Marrowby Quire 11", "premium copy", "Together", "Water resistance is not");
        }
        assertThat(ansa.get("/api/jobs/" + job + "/quote?repairId=nothing&grade=PREMIUM_COPY")
                        .text("field"))
                .isEqualTo("repairId");
        assertThat(ansa.get("/api/jobs/" + job + "/quote?repairId=fused-front&grade=GOLD")
                        .text("allowed"))
                .contains("REFURBISHED_ORIGINAL");
    }

    @Test
    void whatAnotherOneCostsDecidesWhetherItIsWorthIt() {
        UUID job = cracked();
        ansa.append(job, 2, Map.of("type", "ReplacementPriced", "price", 90, "currency", "EUR"));
        assertThat(ansa.get("/api/jobs/" + job + "/decide")
                        .json()
                        .at("/worth/verdict")
                        .asString())
                .isEqualTo("NOT_WORTH_IT");
    }

    @Test
    void aPriceListIsShownFirstAndThenTakenWhole() {
        String number = "P" + UUID.randomUUID().toString().substring(0, 8);
        JsonNode preview = ansa.text("/api/stock/preview", HEADER + line(number, "80.00", 2))
                .json();
        assertThat(preview.get("added").asInt()).isEqualTo(1);
        assertThat(ansa.get("/api/stock?query=" + number).json()).isEmpty();
        assertThat(ansa.text("/api/stock/import", HEADER + line(number, "80.00", 2))
                        .status())
                .isEqualTo(200);
        JsonNode changed = ansa.text("/api/stock/preview", HEADER + line(number, "75.50", 2))
                .json();
        assertThat(changed.get("changed").asInt()).isEqualTo(1);
        assertThat(changed.at("/lines/0/before").asString()).isEqualTo("80.00 EUR, 2 pieces");
        ansa.text("/api/stock/import", HEADER + line(number, "75.50", 2));
        assertThat(row(number).get("price").decimalValue()).isEqualByComparingTo("75.50");
        assertThat(ansa.text("/api/stock/preview", HEADER + line(number, "75.50", 2))
                        .json()
                        .get("same")
                        .asInt())
                .isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            X1,S,marrowby-quire-11,,fused_front,premium_copy,tape,12.999,EUR,1,L   | price
            X1,S,marrowby-quire-11,,fused_front,premium_copy,tape,"12,50",EUR,1,L  | price
            X1,S,marrowby-quire-11,,fused_front,premium_copy,tape,12.50,euro,1,L   | currency
            X1,S,no-such-device,,fused_front,premium_copy,tape,12.50,EUR,1,L       | device
            X1,S,marrowby-quire-11,,front,premium_copy,tape,12.50,EUR,1,L          | kind
            X1,S,marrowby-quire-11,,fused_front,golden,tape,12.50,EUR,1,L          | grade
            X1,S,marrowby-quire-11,,fused_front,premium_copy,hope,12.50,EUR,1,L    | brings
            X1,S,marrowby-quire-11,,fused_front,premium_copy,tape,12.50,EUR,-1,L   | pieces
            ,S,marrowby-quire-11,,fused_front,premium_copy,tape,12.50,EUR,1,L      | part_number
            X1,S,marrowby-quire-11                                                 | line
            """)
    void aWrongLineIsNamedAndNothingOfTheListIsTaken(String wrong, String field) {
        String number = "W" + UUID.randomUUID().toString().substring(0, 8);
        Answer answer = ansa.text("/api/stock/import", HEADER + line(number, "80.00", 2) + wrong + "\n");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/mistakes/0/line").asInt()).isEqualTo(3);
        assertThat(answer.json().at("/mistakes/0/field").asString()).isEqualTo(field);
        assertThat(ansa.get("/api/stock?query=" + number).json()).isEmpty();
    }

    @Test
    void wrongColumnsDuplicatesAndForeignEncodingsAreRefused() {
        assertThat(ansa.text("/api/stock/preview", "part,price\nX,1\n").text("value"))
                .contains("without brings, currency", "with part");
        Answer twice = ansa.text("/api/stock/import", HEADER + line("D1", "80.00", 2) + line("D1", "81.00", 2));
        assertThat(twice.json().at("/mistakes/0/allowed").asString()).contains("stands once");
        byte[] latin = (HEADER + line("Müller", "80.00", 2)).getBytes(java.nio.charset.StandardCharsets.ISO_8859_1);
        assertThat(ansa.upload("/api/stock/preview", "text/plain", latin).text("value"))
                .isEqualTo("not UTF-8 text");
        assertThat(ansa.text("/api/stock/preview", HEADER).text("value")).isEqualTo("no lines");
    }

    @Test
    void semicolonsAndAByteOrderMarkAreFine() {
        String number = "S" + UUID.randomUUID().toString().substring(0, 8);
        String csv = "\uFEFF" + (HEADER + line(number, "80.00", 2)).replace(',', ';');
        assertThat(ansa.text("/api/stock/import", csv).status()).isEqualTo(200);
        assertThat(row(number).get("brings").valueStream().map(JsonNode::asString))
                .containsExactly("TAPE", "MAGNETS");
    }

    @Test
    void theLastPieceGoesToOneOfTwoJobs() throws Exception {
        String number = "L" + UUID.randomUUID().toString().substring(0, 8);
        ansa.text("/api/stock/import", HEADER + line(number, "80.00", 1));
        String stockId = row(number).get("id").asString();
        UUID[] jobs = {cracked(), cracked()};
        ExecutorService both = Executors.newFixedThreadPool(2);
        try {
            int taken = 0;
            Callable<Answer> first = () -> take(jobs[0], stockId);
            Callable<Answer> second = () -> take(jobs[1], stockId);
            for (Future<Answer> answer : both.invokeAll(java.util.List.of(first, second))) {
                taken += answer.get().status() == 200 ? 1 : 0;
            }
            assertThat(taken).isEqualTo(1);
        } finally {
            both.shutdownNow();
        }
        assertThat(row(number).get("free").asInt()).isZero();
        UUID owner = ansa.get("/api/jobs/" + jobs[0]).raw().body().contains(number) ? jobs[0] : jobs[1];
        Map<String, Object> back = Map.of("commandId", UUID.randomUUID(), "stockId", stockId);
        assertThat(ansa.send("DELETE", "/api/jobs/" + owner + "/parts", back).status())
                .isEqualTo(200);
        assertThat(row(number).get("free").asInt()).isEqualTo(1);
        assertThat(ansa.send("DELETE", "/api/jobs/" + owner + "/parts", back).status())
                .as("said twice")
                .isEqualTo(200);
    }

    @Test
    void whatAJobUsedIsGoneOnceHandedOverUntilTheShelfIsCountedAgain() {
        String number = "U" + UUID.randomUUID().toString().substring(0, 8);
        ansa.text("/api/stock/import", HEADER + line(number, "80.00", 2));
        UUID job = cracked();
        take(job, row(number).get("id").asString());
        assertThat(row(number).get("pieces").asInt()).isEqualTo(2);
        ansa.handOver(job);
        assertThat(row(number).get("pieces").asInt()).isEqualTo(1);
        assertThat(row(number).get("free").asInt()).isEqualTo(1);
        ansa.text("/api/stock/import", HEADER + line(number, "80.00", 4));
        assertThat(row(number).get("pieces").asInt()).isEqualTo(4);
        assertThat(row(number).get("free").asInt()).isEqualTo(4);
    }

    @Test
    void aJobHandedBackUnrepairedHasUsedNothing() {
        String number = "N" + UUID.randomUUID().toString().substring(0, 8);
        ansa.text("/api/stock/import", HEADER + line(number, "80.00", 1));
        UUID job = cracked();
        take(job, row(number).get("id").asString());
        ansa.append(job, 3, Map.of("type", "NotWorthIt", "reason", "board dead", "agreedBy", "Hut warden"));
        assertThat(row(number).get("free").asInt()).isZero();
        ansa.handOver(job);
        assertThat(row(number).get("free").asInt()).isEqualTo(1);
    }

    @Test
    void aComebackCountsAgainstTheGradeOfPartThatTheJobGotThen() {
        UUID first = cracked();
        ObjectNode agree = (ObjectNode) ansa.get("/api/jobs/" + first + "/decide")
                .json()
                .at("/options/0/quotes/0/agree/fact")
                .deepCopy();
        ansa.append(first, 2, agree.put("agreedBy", "Hut warden"));
        String grade = agree.get("grade").asString();
        ansa.handOver(first);
        UUID second = cracked();
        JsonNode before = comesBack(second, grade);
        Answer unknown = ansa.append(second, 2, Map.of("type", "CameBack", "jobNumber", 999_999));
        assertThat(unknown.status()).isEqualTo(400);
        assertThat(unknown.text("detail"))
                .isEqualTo("job number is 999999; allowed: the number of a job that was handed over");
        long number = ansa.get("/api/bench")
                .json()
                .get("closed")
                .valueStream()
                .filter(job -> job.get("id").asString().equals(first.toString()))
                .findFirst()
                .orElseThrow()
                .get("number")
                .asLong();
        assertThat(ansa.append(second, 2, Map.of("type", "CameBack", "jobNumber", number))
                        .status())
                .isEqualTo(200);
        JsonNode after = comesBack(second, grade);
        assertThat(after.get("jobs")).isEqualTo(before.get("jobs"));
        assertThat(after.get("cases").asInt()).isEqualTo(before.get("cases").asInt() + 1);
        assertThat(after.get("mean").asDouble())
                .isGreaterThan(before.get("mean").asDouble());
        ansa.append(second, 3, Map.of("type", "Undone", "seq", 3));
        assertThat(comesBack(second, grade)).isEqualTo(before);
    }

    private JsonNode comesBack(UUID job, String grade) {
        return ansa.get("/api/jobs/" + job + "/decide")
                .json()
                .at("/options/0/quotes")
                .valueStream()
                .filter(quote -> quote.get("grade").asString().equals(grade))
                .findFirst()
                .orElseThrow()
                .get("comesBack");
    }

    private Answer take(UUID job, String stockId) {
        return ansa.post("/api/jobs/" + job + "/parts", Map.of("commandId", UUID.randomUUID(), "stockId", stockId));
    }

    @Test
    void aPartCannotBeReservedPastTheShelf() {
        UUID job = cracked();
        Answer answer = ansa.append(
                job,
                2,
                Map.of(
                        "type",
                        "PartReserved",
                        "stockId",
                        UUID.randomUUID().toString(),
                        "kind",
                        "FUSED_FRONT",
                        "grade",
                        "PREMIUM_COPY",
                        "words",
                        "one that nobody has",
                        "brings",
                        List.of()));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text("allowed")).isEqualTo("a part of this shop's stock");
    }

    @Test
    void onlyALeadChangesHowTheShopReckons() {
        Map<String, Object> rates = rates("EUR");
        Answer refused = ansa.send("PUT", "/api/shop", rates);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.text("detail")).isEqualTo("Only a lead may do this");
        Answer desk = app.signedIn(Role.DESK).send("PUT", "/api/supplies/roll-1", Map.of());
        assertThat(desk.status()).isEqualTo(403);
        assertThat(desk.text("detail")).isEqualTo("Only a technician or lead may do this");
        Client lead = app.signedIn(Role.LEAD);
        assertThat(lead.send("PUT", "/api/shop", rates).status()).isEqualTo(200);
        Map<String, Object> mistaken = rates("EUR");
        mistaken.put("ratePerHour", -1);
        Answer wrong = lead.send("PUT", "/api/shop", mistaken);
        assertThat(wrong.text("field")).isEqualTo("ratePerHour");
        for (String currency : new String[] {"", " ", "euro", "XQX", "JPY"}) {
            assertThat(lead.send("PUT", "/api/shop", rates(currency)).text("detail"))
                    .as("“%s”", currency)
                    .isEqualTo("currency is " + (currency.isBlank() ? "missing" : currency)
                            + "; allowed: the three letters of a currency, such as EUR, CHF or USD");
        }
    }

    /** Two deliveries of one number lie there as two lots: the second one changes nothing of the first. */
    @Test
    void aNewDeliveryIsALotOfItsOwn() {
        String number = "L-" + UUID.randomUUID().toString().substring(0, 8);
        String first = line(number, "80.00", 2);
        ansa.text("/api/stock/import", HEADER + first);
        String second = line(number, "95.00", 5).replace(",T1", ",T2");
        JsonNode preview = ansa.text("/api/stock/preview", HEADER + second).json();
        assertThat(preview.get("added").asInt()).isEqualTo(1);
        assertThat(preview.at("/lines/0/words").asString()).contains("a lot of its own beside");
        ansa.text("/api/stock/import", HEADER + second);
        JsonNode rows = ansa.get("/api/stock?query=" + number).json();
        assertThat(rows).hasSize(2);
        assertThat(rows.findValuesAsString("price")).containsExactlyInAnyOrder("80.0", "95.0");
        ansa.text("/api/stock/import", HEADER + line(number, "80.00", 7));
        assertThat(ansa.get("/api/stock?query=" + number).json())
                .as("counted anew it is still the same lot")
                .hasSize(2);
    }

    /** The last piece is quoted to two owners: who agrees first has it, at the desk too, and the other hears it. */
    @Test
    void whatIsAgreedIsKeptForItsJob() {
        String number = "K-" + UUID.randomUUID().toString().substring(0, 8);
        ansa.text("/api/stock/import", HEADER + line(number, "0.01", 1));
        UUID one = cracked();
        UUID other = cracked();
        Client tove = app.signedIn(Role.DESK);
        JsonNode mine = quoteOf(tove, one, number);
        JsonNode theirs = quoteOf(tove, other, number);
        assertThat(mine.get("onTheShelf").asInt()).isEqualTo(1);
        assertThat(agreed(tove, one, mine).status()).isEqualTo(200);
        assertThat(row(number).get("free").asInt()).isZero();
        assertThat(tove.get("/api/jobs/" + one).json().get("steps"))
                .filteredOn(step -> step.get("id").asString().equals("parts.here"))
                .singleElement()
                .satisfies(step -> assertThat(step.get("answer").asString()).contains(number));
        Answer late = agreed(tove, other, theirs);
        assertThat(late.status()).isEqualTo(400);
        assertThat(late.text("value")).isEqualTo(number);
        assertThat(seq(other)).as("nothing of it is recorded").isEqualTo(2);
    }

    private static JsonNode quoteOf(Client who, UUID job, String number) {
        return who.get("/api/jobs/" + job + "/decide")
                .json()
                .get("options")
                .valueStream()
                .flatMap(option -> option.get("quotes").valueStream())
                .filter(quote ->
                        quote.at("/agree/fact/pieces/0/words").asString("").contains(number))
                .findFirst()
                .orElseThrow();
    }

    private Answer agreed(Client who, UUID job, JsonNode quote) {
        ObjectNode fact = (ObjectNode) quote.at("/agree/fact").deepCopy();
        fact.put("price", quote.at("/total/amount").asDouble()).put("agreedBy", "The owner");
        return who.append(job, seq(job), fact);
    }

    private long seq(UUID job) {
        return ansa.get("/api/jobs/" + job).json().get("seq").asLong();
    }

    @Test
    void pricesAreAgreedInTheShopsOwnCurrency() {
        Client lead = app.signedIn(Role.LEAD);
        UUID job = cracked();
        String number = "C-" + UUID.randomUUID().toString().substring(0, 8);
        ansa.text("/api/stock/import", HEADER + line(number, "50.00", 1));
        Answer asked = lead.send("PUT", "/api/shop", rates("CHF"));
        assertThat(asked.status()).isEqualTo(409);
        assertThat(asked.text("field")).isEqualTo("perOne");
        assertThat(asked.text("detail")).contains(" parts of the shelf and of price lists are priced in EUR");
        assertThat(lead.get("/api/shop").text("currency"))
                .as("nothing is changed until told")
                .isEqualTo("EUR");
        assertThat(lead.send("PUT", "/api/shop?perOne=0", rates("CHF")).text("field"))
                .isEqualTo("perOne");
        assertThat(lead.send("PUT", "/api/shop?perOne=0.95", rates("CHF")).status())
                .isEqualTo(200);
        try {
            assertThat(row(number).get("price").asDouble()).isEqualTo(47.5);
            assertThat(row(number).get("currency").asString()).isEqualTo("CHF");
            JsonNode choice = ansa.get("/api/jobs/" + job)
                    .json()
                    .path("steps")
                    .valueStream()
                    .filter(step -> step.get("id").asString().equals("decide.repair"))
                    .findFirst()
                    .orElseThrow()
                    .at("/choices/0");
            assertThat(choice.at("/fact/currency").asString()).isEqualTo("CHF");
            assertThat(choice.at("/asks/0/label").asString()).isEqualTo("Price agreed, CHF");
            assertThat(ansa.get("/api/jobs/" + job + "/decide").status()).isEqualTo(200);
            Answer euros = ansa.append(job, 2, Map.of("type", "ReplacementPriced", "price", 90, "currency", "EUR"));
            assertThat(euros.text("detail")).isEqualTo("currency is EUR; allowed: CHF, which this shop reckons in");
            assertThat(ansa.text("/api/stock/preview", HEADER + line("E1", "10.00", 1))
                            .json()
                            .at("/mistakes/0/field")
                            .asString())
                    .isEqualTo("currency");
        } finally {
            lead.send("PUT", "/api/shop?perOne=1.052631579", rates("EUR"));
        }
    }

    private static Map<String, Object> rates(String currency) {
        Map<String, Object> rates = new HashMap<>(Map.of(
                "currency", currency, "ratePerHour", 54, "consumables", 6.5, "callback", 25, "retentionDays", 365));
        rates.putAll(Map.of(
                "primer", "WHERE_NEEDED", "language", "en-GB", "timeZone", "UTC", "temperature", "C", "length", "mm"));
        return rates;
    }

    @Test
    void whatIsPrintedIsWrittenAsTheShopSays() throws IOException {
        Client lead = app.signedIn(Role.LEAD);
        for (Map.Entry<String, String> wrong :
                Map.of("language", "tlh", "timeZone", "Mars", "length", "ell").entrySet()) {
            Map<String, Object> mistaken = rates("EUR");
            mistaken.put(wrong.getKey(), wrong.getValue());
            assertThat(lead.send("PUT", "/api/shop", mistaken).text("field")).isEqualTo(wrong.getKey());
        }
        Map<String, Object> there = rates("EUR");
        there.putAll(Map.of("language", "de-DE", "timeZone", "Pacific/Auckland"));
        UUID job = cracked();
        lead.send("PUT", "/api/shop", there);
        try (PDDocument page =
                Loader.loadPDF(ansa.bytes("/api/jobs/" + job + "/record.pdf").body())) {
            String day = DateTimeFormatter.ofPattern("dd.MM.uuuu")
                    .withZone(ZoneId.of("Pacific/Auckland"))
                    .format(Instant.now());
            assertThat(new PDFTextStripper().getText(page)).contains("taken in " + day);
        } finally {
            lead.send("PUT", "/api/shop?perOne=1.052631579", rates("EUR"));
        }
    }

    @Test
    void aPartIsTakenUnderAnIdOfItsOwnAndOnceOnly() {
        UUID job = cracked();
        String stock = row("Q11-F-P").get("id").asString();
        String path = "/api/jobs/" + job + "/parts";
        assertThat(ansa.post(path, Map.of("stockId", stock)).text("field")).isEqualTo("commandId");
        assertThat(ansa.post(path, Map.of("commandId", UUID.randomUUID())).text("field"))
                .isEqualTo("stockId");
        Map<String, Object> taking = Map.of("commandId", UUID.randomUUID(), "stockId", stock);
        int free = row("Q11-F-P").get("free").asInt();
        assertThat(ansa.post(path, taking).status()).isEqualTo(200);
        ansa.send("DELETE", path, Map.of("commandId", UUID.randomUUID(), "stockId", stock));
        // The first tap's answer was lost and it is sent again: it stays a receipt, and takes nothing once more.
        assertThat(ansa.post(path, taking).status()).isEqualTo(200);
        assertThat(row("Q11-F-P").get("free").asInt()).isEqualTo(free);
        assertThat(ansa.text("/api/stock/preview", ",,,,\n1,2,3,4,5\n").status())
                .isEqualTo(400);
    }

    @Test
    void theAgreedGradeStandsFirstOfWhatIsOnTheShelf() {
        UUID job = cracked();
        for (String grade : List.of("REFURBISHED_ORIGINAL", "PREMIUM_COPY")) {
            long seq = ansa.get("/api/jobs/" + job).json().get("seq").asLong();
            ansa.append(
                    job,
                    seq,
                    Map.of(
                            "type", "RepairAgreed",
                            "repairId", "fused-front",
                            "grade", grade,
                            "price", 189,
                            "currency", "EUR",
                            "agreedBy", "Hut warden"));
            assertThat(ansa.get("/api/jobs/" + job + "/parts")
                            .json()
                            .at("/0/row/grade")
                            .asString())
                    .isEqualTo(grade);
        }
    }
}
